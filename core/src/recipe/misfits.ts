import type { Language } from './food-names';
import { cookedWords } from './kinds';
import { withoutBrackets } from './words';

/** A thing that does not belong in such a pot, with the reason and the way out. */
export interface Misfit {
  id:
    | 'dry-pulse'
    | 'instant-rice'
    | 'couscous'
    | 'polenta'
    | 'fresh-pasta'
    | 'dough'
    | 'deep-fat'
    | 'alcohol-strong'
    | 'whole-bird';
  reason: Readonly<Record<Language, string>>;
}

/** `not`: words that say it is another thing after all; `surely`: words that these do not weigh against. */
const misfits: readonly (Misfit & { named: RegExp; not?: RegExp; surely?: RegExp })[] = [
  {
    id: 'dry-pulse',
    named:
      /\b(?:(?:dry|dried|soaked)\s+(?:\w+\s+)?(?:bean|chickpea|pea|kidney bean|black bean)s?|(?:toor|tur|chana|urad|arhar)\s*(?:dal|dhal|daal|beans?)?|split peas?|(?:whole |green )?(?:mung|moong) beans?|(?<!(?:moong|mung|masoor|red|lentil|orange) )\bd(?:a|ha|aa)ls?\b|chickpeas?|garbanzo beans?|(?:kidney|black|pinto|navy|cannellini|borlotti|lima|butter|great northern|haricot|soy) beans?|beans|garbanzos?|alubias?|frijol(?:es)?|judias? (?:blancas?|pintas?|secas?)|habas secas|porotos?|gandules|pigeon peas|rajma|chana|chole|chhole|lobia)\b/,
    not: new RegExp(
      String.raw`\b(?:${cookedWords}|split mung|sprouts?|refried|refritos?|baked|broad|fava|edamame|soya bean green|sprouted|en salsa de tomate|in sauce|green beans?|string beans?|french beans?|runner beans?|judias? verdes?|vanilla|coffee|paste|sauce|boiled|broth|1[45](?:\.\d)?[\s-]*(?:oz|ounces?)|[x×]\s*400\s*g)\b`,
    ),
    // Soaked and drained they are as raw as before; soaked and boiled, or out of a tin, they are not.
    surely:
      /^(?!.*\b(?:cans?|canned|tins?|tinned|jars?|cooked|boiled|cocid[oa]s?|latas?|botes?)\b).*\b(?:dry|dried|soaked|sec[oa]s?|remojad[oa]s?)\b/,
    reason: {
      en: 'Dry beans and peas are not planned: soak them and boil them hard first (raw kidney beans hold a toxin), or use canned ones. Lentils and split mung are.',
      es: 'Las judías y los garbanzos secos no se planifican: remójelos y hiérvalos fuerte antes (la judía roja cruda tiene una toxina), o use los de bote. Las lentejas sí.',
    },
  },
  {
    id: 'instant-rice',
    named:
      /\b(?:instant|minute|ready|microwave|quick[\s-]?cook(?:ing)?|arroz instantaneo|instant white|boil in bag)\s+(?:\w+\s+)?(?:rice|oats?)\b|\barroz (?:instantaneo|precocinado)\b/,
    reason: {
      en: 'Instant rice is cooked already and turns to paste under pressure: stir it in after opening, or use ordinary rice.',
      es: 'El arroz instantáneo ya está cocido y se deshace a presión: añádalo al abrir, o use arroz corriente.',
    },
  },
  {
    id: 'couscous',
    named: /\bcous[\s-]?cous\b/,
    not: /\b(?:giant|pearl|israeli|moghrabieh|jumbo|perlado|gigante)\b/,
    reason: {
      en: 'Couscous only swells: stir it in after opening, lid on for five minutes, or use the giant kind.',
      es: 'El cuscús solo se hincha: añádalo al abrir, tapado cinco minutos, o use el gigante.',
    },
  },
  {
    id: 'polenta',
    // A spoonful or 100 g binds a sauce; a cupful is a dish.
    named:
      /(?:^|\s)(?:(?:\d+(?:\.\d+)?(?: \d\/\d)?|1\/2|2\/3|3\/4|one|two|an?|una|dos) ?(?:c|cups?|tazas?)|(?:1[2-9]\d|[2-9]\d\d|\d{4,}) ?(?:g|gr|grams?|gramos)|(?:[4-9]|\d{2,}) ?(?:oz|ounces?)|\d+(?:\.\d+)? ?(?:lbs?|pounds?|kg))\b.*\b(?:polenta|grits|cornmeal|corn meal|semola de maiz|harina de maiz)\b/,
    reason: {
      en: 'Polenta and grits settle and burn on the base: cook them in a pot of their own, stirring, and serve this over them.',
      es: 'La polenta se asienta y se quema en el fondo: hágala aparte, removiendo, y sirva esto encima.',
    },
  },
  {
    id: 'fresh-pasta',
    named:
      /\bfresh (?:egg )?(?:pasta|tagliatelle|linguine|fettuccin[ei]|pappardelle|spaghetti|penne|ravioli|tortellin[io]|lasagn[ea] sheets?|noodles?|ramen|udon)\b|\bpasta fresca\b/,
    reason: {
      en: 'Fresh pasta is done in two or three minutes and falls apart under pressure: cook it in the open pot at the end, or use dried.',
      es: 'La pasta fresca se hace en dos o tres minutos y a presión se deshace: cuézala al final con la olla abierta, o use seca.',
    },
  },
  {
    id: 'dough',
    named:
      /\b(?:(?<!nutritional )yeast(?! extract)|(?:pizza|bread|puff|pie|biscuit|cookie|filo|phyllo|shortcrust)\s+(?:dough|pastry|crust)|puff pastry|dough|self[\s-]raising flour|baking powder|baking soda|levadura(?! nutricional)|masa (?:de pan|de pizza|quebrada|de hojaldre)|hojaldre|polvo de hornear|bicarbonato)\b/,
    reason: {
      en: 'Dough and what makes it rise need an oven, not steam: bake it apart.',
      es: 'La masa y lo que la hace subir piden horno, no vapor: hágala aparte.',
    },
  },
  {
    id: 'deep-fat',
    named: /\b(?:oil|lard|aceite)\b.*\b(?:for (?:deep[\s-]?)?frying|to deep[\s-]?fry|para freir)\b/,
    reason: {
      en: 'Fat for frying deep never goes under pressure: fry in a pan of its own.',
      es: 'El aceite de freír nunca va a presión: fría aparte, en una sartén.',
    },
  },
  {
    id: 'alcohol-strong',
    named: /\b(?:brandy|cognac|whisk(?:e)?y|bourbon|vodka|rum|tequila|ron|conac)\b/,
    reason: {
      en: 'Strong spirits give fumes that burn: boil them off in the open pot away from the flame, or leave them out.',
      es: 'Los licores fuertes dan vapores que arden: evapórelos con la olla abierta y lejos de la llama, o déjelos.',
    },
  },
  {
    id: 'whole-bird',
    named:
      /\b(?:whole (?:chicken|turkey|duck|bird)(?! (?:breast|thigh|leg|wing|drumstick)s?)|chicken,? whole|roasting chicken|pollo entero|pavo entero)\b/,
    not: /\b(?:cut|jointed|pieces|cut up|troceado|broken down)\b/,
    reason: {
      en: 'A whole bird is thicker than what is planned here (90 mm): cut it into pieces and name them.',
      es: 'Un ave entera es más gruesa de lo que aquí se planifica (90 mm): córtela en piezas y nómbrelas.',
    },
  },
];

/** The reason why what a plain line names is not planned, or nothing. What only stands in brackets is not what it names. */
export const misfitIn = (plain: string): Misfit | undefined => {
  const named = withoutBrackets(plain);
  return misfits.find((m) => m.named.test(named) && (!m.not?.test(plain) || m.surely?.test(plain)));
};
