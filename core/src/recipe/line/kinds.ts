import { findFood } from '../../food/find';
import type { Measure } from './amount';
import type { NamedFood } from '../names/food-names';

/** A chicken that is not said to be any part of one, as the source of a regular expression. */
const birds = 'chickens?|chicken (?:pieces?|parts?)|pollo|pollo troceado|(?:presas?|piezas?) de pollo';

/** Names that leave open which food is meant, and what they may be; the first is taken until the cook says [common practice]. */
const openNames: readonly (readonly [RegExp, readonly string[]])[] = [
  [/^(?:rice|white rice|arroz|arroz blanco)s?$/, ['rice-long', 'rice-basmati', 'rice-jasmine', 'rice-medium']],
  [new RegExp(`^(?:${birds}|chicken meat|carne de pollo)$`), ['chicken-thigh', 'chicken-breast', 'chicken-drumstick']],
  [/^(?:turkey|pavo)$/, ['turkey-thigh', 'turkey-breast', 'turkey-ground']],
  [/^(?:beef|res|ternera|carne|carne de (?:res|vaca|ternera))$/, ['beef-stew', 'beef-ground']],
  [/^(?:pork|cerdo|carne de (?:cerdo|puerco)|puerco)$/, ['pork-shoulder', 'pork-loin', 'pork-ground']],
  [/^(?:sausages?|salchichas?)$/, ['sausage-fresh', 'sausage-smoked']],
  [/^(?:pasta|short pasta|pasta corta)$/, ['penne', 'rotini', 'spaghetti']],
  [/^(?:noodles?|fideos?)$/, ['noodles-short', 'spaghetti']],
  [/^(?:wild rice (?:blend|mix)|brown and wild rice|brown rice blend)$/, ['rice-brown-long', 'rice-long', 'rice-wild']],
  [/^breasts?$|^pechugas?$/, ['chicken-breast', 'turkey-breast', 'duck-leg']],
  [/^thighs?$/, ['chicken-thigh', 'turkey-thigh']],
];

/** A bird cut up on the bone, or its pieces: legs are the thickest of them, so they are what is planned until the cook says. */
const jointed =
  /\b(?:whole|jointed|cut up|joints?|bone[\s-]?in pieces|into \w+ pieces|enter[oa]|trocead[oa]|despresad[oa]|presas?|en cuartos|en octavos)\b/;
const jointChoices = ['chicken-leg', 'chicken-drumstick', 'chicken-thigh', 'chicken-breast'] as const;
const isBird = new RegExp(`^(?:${birds})$`);
export const isJointed = (name: string, line: string): boolean => isBird.test(name) && jointed.test(line);

/** Names of a whole animal or its meat: a bare number of them says nothing about how much it is. */
export const isUncounted = (name: string): boolean =>
  /^(?:(?:rotisserie |roast |cooked |leftover )?(?:chicken|turkey|duck|rabbit)|beef|pork|lamb|goat|venison|fish|pollo(?: asado| cocido)?|pavo|pato|conejo(?: troceado)?|cerdo|cordero|pescado|carne)$/.test(
    name,
  );

/** What an open name may be, for the words of its line; the first is what `kindOf` takes. */
export const openChoices = (name: string, line: string): readonly string[] =>
  isJointed(name, line)
    ? jointChoices
    : (openNames.find(([re]) => re.test(name))?.[1] ?? (twoRices.test(line) ? blendChoices : []));

/** A packet of two rices: the slower one decides, and only its label knows how long. */
const twoRices = /\bwild (?:and|&) .*\brice\b|\brice and wild rice\b|\barroz .*\by (?:arroz )?salvaje\b/;
const blendChoices = ['rice-wild', 'rice-brown-long', 'rice-basmati', 'rice-long'];

const chickens = new Set([
  'chicken-breast',
  'chicken-breast-bone',
  'chicken-thigh',
  'chicken-thigh-bone',
  'chicken-drumstick',
  'chicken-leg',
  'turkey-breast',
  'turkey-thigh',
  'turkey-leg',
]);
const onBone = /\b(?:bone[\s-]?in|on the bone|with bones?|con hueso)\b/;
/** Thighs that are sold with their skin have their bone too, unless it is said [common practice]; it is the safer guess. */
const withSkin = /\b(?:skin[\s-]?on|with skin|con (?:su )?piel)\b/;
const boneless = /\b(?:boneless|deboned|bone out|deshuesad[oa]s?|sin hueso)\b/;
const outOfCasing =
  /\bcasings? (?:removed|discarded|off)|\b(?:without|no|removed from) (?:the |their )?casings?|\b(?:skinned|skins? (?:removed|off)|crumbled|squeezed|desmenuzad[oa]s?|sin piel|sin tripa)\b/;
const spoons = new Set<Measure | null>(['tsp', 'tbsp', 'pinch', 'dash']);
/** What preserved food comes in, with a net mass on it. */
const tins = new Set<Measure | null>(['can-400', 'can-800', 'jar', 'carton', 'box']);
export const isTin = (m: Measure | null): boolean => tins.has(m);

/** Steaks of long fibres are tender as thin slices across them; in one piece they are braised [common practice]. */
const longFibred = /\b(?:flank|skirt|entrana|arrachera|vacio)\b/;
const anyBeef = /^(?:beef|ternera|res|carne de (?:res|ternera|vaca))$/;
/** Nobody cuts stewing meat for the wok [common practice]. */
const forTheWok = /\b(?:thin(?:ly)?|strips?|stir[\s-]?fry|tiras)\b/;
const thinlySliced = /\b(?:thin(?:ly)?|strips?|sliced|shaved|tiras|laminas|fin[oa]s?)\b/;

/**
 * The mince of an animal, by its words; birds first, whose minimum is the highest. Of a bird, a sheep or game without a mince
 * of its own the nearest stands in, of no lower minimum.
 */
const minces: readonly (readonly [RegExp, string])[] = [
  [/\b(?:turkey|pavo)\b/, 'turkey-ground'],
  [
    /\b(?:chicken|duck|goose|guinea fowl|pheasant|partridge|quail|ostrich|pollo|pato|pintada|faisan)\b/,
    'chicken-ground',
  ],
  [/\b(?:pork|boar|cerdo|puerco|jabali)\b/, 'pork-ground'],
  [/\b(?:lamb|mutton|goat|hogget|cordero|cabrito|cabra)\b/, 'lamb-ground'],
  [/\bveal\b/, 'veal-ground'],
  [/\b(?:beef|bison|venison|deer|elk|rabbit|hare|ternera|res|vaca|ciervo|venado|conejo)\b/, 'beef-ground'],
];
const mincedCuts = new Set(['white', 'dark', 'stew']);
/** "Ground chicken thigh", "turkey breast, minced": the cut went through the mincer. */
const isMincedCut = (food: string, name: string, line: string): boolean =>
  mincedCuts.has(findFood(food).meat?.cut ?? '') &&
  new RegExp(
    String.raw`\b(?:ground|minced) (?:\p{L}+ ){0,2}${name}\b|\b${name}(?:,| -)? (?:(?:finely|coarsely|freshly) )?(?:ground|minced|molid[oa]s?)(?=\s*(?:$|[,;()]))`,
    'u',
  ).test(line);
/** Mince of no animal, as it is sold; the line may still name one: "turkey thigh mince". */
const anyMince = /^(?:mince|ground meat|minced meat|keema|burger meat)$/;

function minceOf(food: string, name: string, line: string): string | undefined {
  if (!anyMince.test(name) && !isMincedCut(food, name, line)) return undefined;
  return minces.find(([animal]) => animal.test(line))?.[1];
}

/** What else in the line says which food of a near kind it is: "low-sodium", "canned", "dried", "leftover". */
export function kindOf(hit: Pick<NamedFood, 'food'> & { name: string }, line: string, measure: Measure | null): string {
  const says = (re: RegExp): boolean => re.test(line);
  const { food, name } = hit;
  // Two spoons of purée are the concentrate; cups of it are sieved tomato.
  if (/^tomato puree/.test(name) && spoons.has(measure)) return 'tomato-paste';
  if (food === 'broth' && measure === 'cube') return 'stock-concentrate';
  if (
    food === 'broth' &&
    says(
      /\b(?:(?:low|reduced|no|less|lower)[\s-]?(?:added )?(?:sodium|salt)|unsalted|homemade|sin sal|casero|baj[oa] en (?:sal|sodio))\b/,
    )
  )
    return 'broth-low-salt';
  if (food === 'sausage-fresh' && says(outOfCasing)) return 'sausage-meat';
  const mince = minceOf(food, name, line);
  if (mince) return mince;
  const forSteak = longFibred.test(name) ? thinlySliced : anyBeef.test(name) ? forTheWok : null;
  if (food === 'beef-stew' && forSteak && says(forSteak)) return 'beef-steak';
  if (isJointed(name, line)) return jointChoices[0];
  if (food === 'chicken-thigh' && (says(onBone) || (says(withSkin) && !says(boneless)))) return 'chicken-thigh-bone';
  if (food === 'turkey-thigh' && says(onBone)) return 'turkey-leg';
  if (food === 'chicken-breast' && says(onBone)) return 'chicken-breast-bone';
  if (
    chickens.has(food) &&
    says(/\b(?:leftover|rotisserie|(?:pre|already )?[\s-]?cooked|cocid[oa]|asado|sobras?)\b/) &&
    !says(/\bun-?cooked\b/)
  )
    return 'chicken-cooked';
  if (food === 'tomato' && (tins.has(measure) || says(/\b(?:canned|tinned|en lata|de lata|en conserva|cans?|tins?)\b/)))
    return says(/\b(?:crushed|triturad|pureed|sieved)/) ? 'tomato-crushed-canned' : 'tomato-diced-canned';
  // Unpacked "diced tomatoes" by weight or number are fresh ones that a knife has met.
  if (food === 'tomato-diced-canned' && /^diced tomato/.test(name) && measure === null && says(/^\d/)) return 'tomato';
  // Four onions fried golden are onions for the pan, not a packet of crisp ones.
  if (food === 'onion-fried' && measure === null && says(/^\d/)) return 'onion';
  if (food === 'mushroom' && says(/\b(?:dried|sec[oa]s?)\b/)) return 'mushroom-dried';
  if (food === 'herb-fresh' && says(/\b(?:dried|dry|sec[oa]s?)\b/)) return 'herb-dried';
  if (food === 'herb-dried' && says(/\b(?:fresh|fresc[oa]s?|sprigs?|bunch|ramitas?|manojo)\b/)) return 'herb-fresh';
  const leafy = says(
    /\b(?:fresh|chopped|leaves|leaf|minced|frescas?|frescos?|picad[oa]s?|sprigs?|bunch|handful|garnish|topping|serve)\b/,
  );
  if (food === 'herb-fresh' && !leafy && spoons.has(measure))
    return /coriander/.test(name) ? 'spice-ground' : 'herb-dried';
  if (
    food === 'spice-ground' &&
    /^pepper$/.test(name.replace(/s$/, '')) &&
    (measure === null || /peppers/.test(name)) &&
    !says(/\bsalt\b|\bblack\b|\bwhite\b|\btaste\b|grind/) &&
    says(/^\d|^(?:one|two|half)/)
  )
    return 'bell-pepper';
  if (food === 'spice-ground' && (measure === 'stick' || measure === 'inch' || measure === 'cm')) return 'spice-whole';
  if (food === 'spice-whole' && /^(?:cinnamon|canela|cardamom)$/.test(name) && spoons.has(measure))
    return 'spice-ground';
  if (food === 'broth' && /^bouillon$/.test(name) && spoons.has(measure)) return 'stock-concentrate';
  if (food === 'chili' && spoons.has(measure) && says(/\b(?:powder|ground|flakes?)\b/)) return 'spice-ground';
  return food;
}

const pulses =
  'chickpeas?|garbanzos?|lentils?|lentejas?|beans?|alubias?|frijol(?:es)?|judias?|porotos?|gandules|pigeon peas|rajma|chana|chole|lobia|split peas?';
/** The names of pulses and what colour they have. */
export const pulseWords = new RegExp(
  String.raw`\b(?:${pulses}|kidney|pinto|navy|cannellini|borlotti|lima|butter|haricot|black|great northern|negr[oa]s?|puy)\b`,
  'g',
);
const pulse = new RegExp(String.raw`\b(?:${pulses})\b`);
/** Green pods, and what only has a pulse in its name. */
const noPulse =
  /\b(?:green|string|french|runner|wax) beans?\b|\bjudias? verdes?\b|\bvanilla beans?\b|\bbean (?:paste|sauce|sprouts?|dip)\b|\bblack bean (?:garlic )?sauce\b|\b(?:broad|fava|soya|edamame|refried|baked|sprouted) (?:black )?beans?\b|\bchili beans? in sauce\b|\bfrijol(?:es)? refritos?\b|\b(?:alubias?|frijol(?:es)?) en salsa de tomate\b/;

const lentils = /\b(?:lentils?|lentejas?|(?:mung|moong|masoor) (?:dal|dhal|daal))\b|\bsplit (?:mung|lentils?)\b/;
/** Words of what comes cooked, out of a tin or a jar, as the source of a regular expression. */
export const cookedWords =
  'can(?:s|ned)?|tin(?:s|ned)?|jar(?:s|red)?|cooked|drained|cocid[oa]s?|latas?|botes?|en conserva|escurrid[oa]s?';
const isCooked = new RegExp(String.raw`\b(?:${cookedWords})\b`);

/** The pulse that a line names, with its colour: "black beans", "chickpeas"; nothing where it names none. */
export const pulseNamed = (plain: string): string | undefined => namedPulse.exec(plain)?.[0];
const namedPulse = new RegExp(
  String.raw`\b(?:(?:kidney|pinto|navy|cannellini|borlotti|lima|butter|haricot|red|black|white|great northern) )?(?:${pulses})(?: (?:negr|blanc|roj|pint)[oa]s?)?\b`,
);

/** Pulses, canned or cooked: what a dry-pulse name is once the line says so. Lentils are dry where nothing says otherwise. */
export const isPulse = (line: string): boolean =>
  pulse.test(line) && !noPulse.test(line) && (isCooked.test(line) || !lentils.test(line));
