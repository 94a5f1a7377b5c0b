import type { Family } from '../dish/schema';
import type { FoodRecord } from '../food/record';
import { fold } from './words';

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

/**
 * Recognises the family of a dish from its title, its foods (g) and its steps, with what the lines of its list say beside them: the title decides where it names the dish,
 * then what the pot holds, then what the steps do [common practice].
 */
export function recogniseFamily(title: string, foods: readonly Weighed[], steps: readonly string[]): RecognisedFamily {
  const name = fold(title);
  // A step does not run on into the next one.
  const does = fold(steps.join('. '));
  const all = foods.map(({ food, grams }) => ({ food: food.id, grams, record: food }));
  const grams = (is: (f: (typeof all)[number]) => boolean): number => all.filter(is).reduce((n, f) => n + f.grams, 0);
  const pasta = grams((f) => f.record.kind === 'pasta');
  const grain = grams((f) => f.record.kind === 'grain');
  const meat = grams((f) => f.record.kind === 'meat' && f.food !== 'egg');
  const liquid = grams((f) => f.record.kind === 'liquid' || f.food === 'milk');
  const thin = liquid - grams((f) => /^tomato-(?:diced-canned|crushed-canned|sauce)$/.test(f.food)) / 2;
  const seeds = grams((f) => f.record.plant?.staysHard === true);
  const hasFood = (id: string): boolean => all.some((f) => f.food === id);
  const because = (family: Family, why: RecognisedFamily['because']): RecognisedFamily => ({ family, because: why });

  if (grain > 0 && /\bbiryani|biriani|briyani/.test(name)) return because('biryani', 'title');
  if (grain > 0 && /risott?o/.test(name)) return because('risotto', 'title');
  if (grain > 0 && /pot[\s-]in[\s-]pot/.test(name)) return because('pot-in-pot', 'title');
  if (grain > 0 && /porridge|pudding|congee|khich[ua]?[rd]i|arroz con leche|oatmeal|gachas/.test(name))
    return because('porridge', 'title');
  if (hasFood('lasagne-sheet') || (pasta > 0 && /lasagn|lasan/.test(name))) return because('layered-pasta', 'sheets');
  if (
    /\bsoup|sopa|caldo de|caldos[oa]|asopao|stew with noodles|minestron|fagioli|chowder\b/.test(name) &&
    (pasta > 0 || grain > 0)
  )
    return because('noodle-soup', 'soup');
  if (pasta > 0 && thin > soupyFrom * (pasta + meatAsPasta * meat)) return because('noodle-soup', 'soup');
  if (pasta > grain) return because('one-pot-pasta', 'pasta');
  if (grain > 0 && grams((f) => f.food.startsWith('oats')) >= grain * 0.5) return because('porridge', 'oats');
  if (grain > 0 && /\bon (?:the|a) (?:rack|trivet)|trivet over|rejilla/.test(does) && meat > 0)
    return because('rack-over-grain', 'rack');
  if (
    grain > 0 &&
    /\b(?:inner|heatproof|small|metal|steel) (?:bowl|pot|dish|pan)\b.*\b(?:trivet|rack|inside)|pot[\s-]in[\s-]pot/.test(
      does,
    )
  )
    return because('pot-in-pot', 'inner-bowl');
  if (grain > 0 && hasFood('rice-arborio') && liquid > 2 * grain) return because('risotto', 'risotto-rice');
  if (grain > 0 && /casserole|guiso|estofado|stew|cazuela/.test(name)) return because('casserole', 'title');
  // Lentils drink beside the grain.
  const drinks = grain + seeds;
  if (grain > 0 && thin > grainIn.soup * drinks) return because('noodle-soup', 'soup');
  if (grain > 0 && meat > 0 && thin > grainIn.stew * drinks) return because('casserole', 'soup');
  if (grain > 0 && meat > 0) {
    const layered =
      /jambalaya|layer/.test(name) ||
      /(?:do not|don't|without) stir|sin remover|(?:spread|layer|sprinkle|pour) (?:the )?(?:\w+ )?(?:rice|grain|quinoa|barley)[^.]{0,40}(?:on top|over|evenly)/.test(
        does,
      );
    return layered ? because('layered-grain', 'meat-under-grain') : because('one-pot-grain', 'meat-and-grain');
  }
  if (grain > 0) {
    const fried =
      /(?:toast|coat|fry|saut\S*|stir|sofr\S*|rehog\S*)[^.]{0,50}(?:rice|grain|quinoa|barley|bulgur|arroz)/.test(
        does,
      ) || /pilaf|pilau|pulao|pilav/.test(name);
    const onlyGrain = all.every(
      (f) =>
        f.record.kind === 'grain' ||
        f.record.kind === 'liquid' ||
        f.record.kind === 'seasoning' ||
        f.record.kind === 'fat',
    );
    return fried || !onlyGrain ? because('coated-grain', 'fried-grain') : because('plain-grain', 'grain-alone');
  }
  if (meat > 0 || seeds > 0) return because('casserole', 'no-starch');
  return because('steamed-side', 'sides');
}
