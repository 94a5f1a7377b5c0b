import type { Family } from '../dish/schema';
import type { FoodRecord } from '../food/record';
import { fold } from './text/words';

/** A family and why it was recognised, as a code for the catalogue. */
export interface RecognisedFamily {
  family: Family;
  because:
    | 'title'
    | 'rack'
    | 'inner-bowl'
    | 'oats'
    | 'sheets'
    | 'soup'
    | 'pasta'
    | 'risotto-rice'
    | 'meat-under-grain'
    | 'meat-and-grain'
    | 'fried-grain'
    | 'grain-alone'
    | 'no-starch'
    | 'sides';
}

/** A food and how much of it, g. */
export interface Weighed {
  food: FoodRecord;
  grams: number;
}

/** Liquid and half of the tomato from a tin or jar, g per g of pasta: a pot of pasta in its sauce has 2 to 4, a thick soup 5; meat counts as a sixth of pasta, for it has its sauce too [common practice]. */
const soupyFrom = 4.2;
const meatAsPasta = 1 / 6;
/** Liquid, g per g of grain: rice and whole kernels in an open pot get 2 to 4; from here it is a stew, then a soup [common practice]. */
const grainIn = { stew: 4.6, soup: 6 } as const;

/** What a recipe says and holds: words folded, amounts in g. */
interface Facts {
  title: string;
  /** steps and the words beside the ingredients */
  does: string;
  pasta: number;
  grain: number;
  oats: number;
  meat: number;
  /** lentils and the like, which drink beside the grain */
  seeds: number;
  liquid: number;
  /** liquid without half of the tomato from a tin or jar */
  thin: number;
  hasSheets: boolean;
  hasRisottoRice: boolean;
  /** grain with nothing beside it but liquid, fat and seasoning */
  isBare: boolean;
}

interface Rule {
  family: Family;
  because: RecognisedFamily['because'];
  when: (d: Facts) => boolean;
}

const soupName = /\bsoup|sopa|caldo de|caldos[oa]|asopao|stew with noodles|minestron|fagioli|chowder\b/;
const inBowl =
  /\b(?:inner|heatproof|small|metal|steel) (?:bowl|pot|dish|pan)\b.*\b(?:trivet|rack|inside)|pot[\s-]in[\s-]pot/;
const grainOnTop =
  /(?:do not|don't|without) stir|sin remover|(?:spread|layer|sprinkle|pour) (?:the )?(?:\w+ )?(?:rice|grain|quinoa|barley)[^.]{0,40}(?:on top|over|evenly)/;
const grainFried =
  /(?:toast|coat|fry|saut\S*|stir|sofr\S*|rehog\S*)[^.]{0,50}(?:rice|grain|quinoa|barley|bulgur|arroz)/;

/** Families whose starch is a grain, by what tells them; the first that holds is the one [common practice]. */
const ofGrain: readonly Rule[] = [
  { family: 'biryani', because: 'title', when: (d) => /\bbiryani|biriani|briyani/.test(d.title) },
  { family: 'risotto', because: 'title', when: (d) => /risott?o|\bmelos[oa]\b/.test(d.title) },
  { family: 'pot-in-pot', because: 'title', when: (d) => /pot[\s-]in[\s-]pot/.test(d.title) },
  {
    family: 'porridge',
    because: 'title',
    when: (d) =>
      /porridge|pudding|congee|\bjook\b|lugaw|okayu|arroz caldo\b|khich[ua]?[rd]i|arroz con leche|oatmeal|gachas/.test(
        d.title,
      ),
  },
];
const ofPasta: readonly Rule[] = [
  {
    family: 'layered-pasta',
    because: 'sheets',
    when: (d) => d.hasSheets || (d.pasta > 0 && /lasagn|lasan/.test(d.title)),
  },
  { family: 'noodle-soup', because: 'soup', when: (d) => d.pasta + d.grain > 0 && soupName.test(d.title) },
  {
    family: 'noodle-soup',
    because: 'soup',
    when: (d) => d.pasta > 0 && d.thin > soupyFrom * (d.pasta + meatAsPasta * d.meat),
  },
  { family: 'one-pot-pasta', because: 'pasta', when: (d) => d.pasta > d.grain },
];
/** What the pot holds and the steps do, where the title has not said it. */
const byContents: readonly Rule[] = [
  { family: 'porridge', because: 'oats', when: (d) => d.oats >= d.grain * 0.5 },
  {
    family: 'rack-over-grain',
    because: 'rack',
    when: (d) => d.meat > 0 && /\bon (?:the|a) (?:rack|trivet)|trivet over|rejilla/.test(d.does),
  },
  { family: 'pot-in-pot', because: 'inner-bowl', when: (d) => inBowl.test(d.does) },
  { family: 'risotto', because: 'risotto-rice', when: (d) => d.hasRisottoRice && d.liquid > 2 * d.grain },
  {
    family: 'casserole',
    because: 'title',
    when: (d) =>
      /casserole|guiso|estofado|stew|cazuela|\bchill?i\b(?! (?:pepper|oil|rice))|tagine|goulash/.test(d.title),
  },
  { family: 'noodle-soup', because: 'soup', when: (d) => d.thin > grainIn.soup * (d.grain + d.seeds) },
  { family: 'casserole', because: 'soup', when: (d) => d.meat > 0 && d.thin > grainIn.stew * (d.grain + d.seeds) },
  {
    family: 'layered-grain',
    because: 'meat-under-grain',
    when: (d) => d.meat > 0 && (/jambalaya|layer/.test(d.title) || grainOnTop.test(d.does)),
  },
  { family: 'one-pot-grain', because: 'meat-and-grain', when: (d) => d.meat > 0 },
  {
    family: 'coated-grain',
    because: 'fried-grain',
    when: (d) => !d.isBare || grainFried.test(d.does) || /pilaf|pilau|pulao|pilav/.test(d.title),
  },
  { family: 'plain-grain', because: 'grain-alone', when: () => true },
];
const withoutStarch: readonly Rule[] = [
  { family: 'casserole', because: 'no-starch', when: (d) => d.meat + d.seeds > 0 },
  { family: 'steamed-side', because: 'sides', when: () => true },
];

/**
 * Recognises the family of a dish from its title, its foods (g) and its steps, with what the lines of its list say beside
 * them: the title decides where it names the dish, then what the pot holds, then what the steps do [common practice].
 */
export function recogniseFamily(title: string, foods: readonly Weighed[], steps: readonly string[]): RecognisedFamily {
  const d = factsOf(title, foods, steps);
  const rules = d.grain > 0 ? [...ofGrain, ...ofPasta, ...byContents] : [...ofPasta, ...withoutStarch];
  const { family, because } = rules.find((r) => r.when(d))!;
  return { family, because };
}

function factsOf(title: string, foods: readonly Weighed[], steps: readonly string[]): Facts {
  const grams = (is: (f: FoodRecord) => boolean): number =>
    foods.filter((f) => is(f.food)).reduce((n, f) => n + f.grams, 0);
  const liquid = grams((f) => f.kind === 'liquid' || f.id === 'milk');
  const beside = new Set(['grain', 'liquid', 'seasoning', 'fat']);
  return {
    title: fold(title),
    // A step does not run on into the next one.
    does: fold(steps.join('. ')),
    pasta: grams((f) => f.kind === 'pasta'),
    grain: grams((f) => f.kind === 'grain'),
    oats: grams((f) => f.kind === 'grain' && f.id.startsWith('oats')),
    meat: grams((f) => f.kind === 'meat' && f.id !== 'egg'),
    seeds: grams((f) => f.plant?.staysHard === true),
    liquid,
    thin: liquid - grams((f) => /^tomato-(?:diced-canned|crushed-canned|sauce)$/.test(f.id)) / 2,
    hasSheets: foods.some((f) => f.food.id === 'lasagne-sheet'),
    hasRisottoRice: foods.some((f) => f.food.id === 'rice-arborio'),
    isBare: foods.every((f) => beside.has(f.food.kind)),
  };
}
