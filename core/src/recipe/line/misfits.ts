import { cookedWords } from './kinds';
import type { MisfitCode } from './said';
import { withoutBrackets } from '../text/words';

/** Things that do not belong in such a pot. `not`: words that say it is another thing after all; `surely`: words that these do not weigh against. */
const misfits: readonly { id: MisfitCode; named: RegExp; not?: RegExp; surely?: RegExp }[] = [
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
  },
  {
    id: 'instant-rice',
    named:
      /\b(?:instant|minute|ready|microwave|quick[\s-]?cook(?:ing)?|arroz instantaneo|instant white|boil in bag)\s+(?:\w+\s+)?(?:rice|oats?)\b|\barroz (?:instantaneo|precocinado)\b/,
  },
  {
    id: 'couscous',
    named: /\bcous[\s-]?cous\b/,
    not: /\b(?:giant|pearl|israeli|moghrabieh|jumbo|perlado|gigante)\b/,
  },
  {
    id: 'polenta',
    // A spoonful or 100 g binds a sauce; a cupful is a dish.
    named:
      /(?:^|\s)(?:(?:\d+(?:\.\d+)?(?: \d\/\d)?|1\/2|2\/3|3\/4|one|two|an?|una|dos) ?(?:c|cups?|tazas?)|(?:1[2-9]\d|[2-9]\d\d|\d{4,}) ?(?:g|gr|grams?|gramos)|(?:[4-9]|\d{2,}) ?(?:oz|ounces?)|\d+(?:\.\d+)? ?(?:lbs?|pounds?|kg))\b.*\b(?:polenta|grits|cornmeal|corn meal|semola de maiz|harina de maiz)\b/,
  },
  {
    id: 'fresh-pasta',
    named:
      /\bfresh (?:egg )?(?:pasta|tagliatelle|linguine|fettuccin[ei]|pappardelle|spaghetti|penne|ravioli|tortellin[io]|lasagn[ea] sheets?|noodles?|ramen|udon)\b|\bpasta fresca\b/,
  },
  {
    id: 'dough',
    named:
      /\b(?:(?<!nutritional )yeast(?! extract)|(?:pizza|bread|puff|pie|biscuit|cookie|filo|phyllo|shortcrust)\s+(?:dough|pastry|crust)|puff pastry|dough|self[\s-]raising flour|baking powder|baking soda|levadura(?! nutricional)|masa (?:de pan|de pizza|quebrada|de hojaldre)|hojaldre|polvo de hornear|bicarbonato)\b/,
  },
  {
    id: 'deep-fat',
    named: /\b(?:oil|lard|aceite)\b.*\b(?:for (?:deep[\s-]?)?frying|to deep[\s-]?fry|para freir)\b/,
  },
  {
    id: 'alcohol-strong',
    named: /\b(?:brandy|cognac|whisk(?:e)?y|bourbon|vodka|rum|tequila|ron|conac)\b/,
  },
  {
    id: 'whole-bird',
    named:
      /\b(?:whole (?:chicken|turkey|duck|bird)(?! (?:breast|thigh|leg|wing|drumstick)s?)|chicken,? whole|roasting chicken|pollo entero|pavo entero)\b/,
    not: /\b(?:cut|jointed|pieces|cut up|troceado|broken down)\b/,
  },
];

/** What a plain line names and is not planned, or nothing. What only stands in brackets is not what it names. */
export const misfitIn = (plain: string): MisfitCode | undefined => {
  const named = withoutBrackets(plain);
  return misfits.find((m) => m.named.test(named) && (!m.not?.test(plain) || m.surely?.test(plain)))?.id;
};
