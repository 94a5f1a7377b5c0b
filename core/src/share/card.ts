import { ingredientGrams } from '../dish/ingredient-grams';
import { ingredientNames } from '../dish/ingredient-names';
import type { Dish } from '../dish/schema';
import { isToTaste } from '../quantity/parse';
import { bandKey } from '../plan/judge/band-key';
import type { FinishStep } from '../plan/document/steps';
import type { Plan } from '../plan/document/document';
import { heatKey } from '../plan/setup/finish-minutes';
import { sentenceOf } from '../words/sentence';
import { foodName, ingredientName } from '../recipe/names/food-names';
import { onceOpen } from './ingredient-line';

/* A plan as a cook would write it on a card, in plain English, for the command line and for reading many plans at a time. */

const min = (m: number): string => `${Math.round(m * 2) / 2} min`;
/** A few threads of saffron weigh nothing that a scale would show. */
const pinchG = 0.1;
const grams = (g: number): string => (g < pinchG ? 'a pinch' : weight(g));
const weight = (g: number): string => `${g < 20 ? Math.round(g * 10) / 10 : Math.round(g / 5) * 5} g`;
const millilitres = (ml: number): string => `${Math.round(ml / 5) * 5} mL`.padStart(7);

/** One part of a card: what it is about, and its lines. */
export interface CardSection {
  heading: 'Take' | 'Fry' | 'First stage' | 'Layers, from below' | 'Lid' | 'Finish' | 'Expect' | 'Mind';
  lines: string[];
}

/** The card of a plan as text. */
export function card(dish: Dish, p: Plan): string {
  const head = `${p.title} (${p.family}, serves ${p.serves}; ${p.pot.id}, ${p.pot.altitudeM} m)`;
  return [head, '', ...cardSections(dish, p).flatMap((s) => [s.heading, ...s.lines.map((l) => `  ${l}`)])].join('\n');
}

/** The parts of the card, in the order of the work; a part without lines is left out. */
export function cardSections(dish: Dish, p: Plan): CardSection[] {
  const c: Card = { dish, p, ...namesOf(dish), poured: pouredOf(p) };
  const sections: CardSection[] = [
    { heading: 'Take', lines: takeLines(c) },
    { heading: 'Fry', lines: fryLines(c) },
    { heading: 'First stage', lines: firstStageLines(c) },
    { heading: 'Layers, from below', lines: layerLines(c) },
    { heading: 'Lid', lines: [lidLine(p)] },
    { heading: 'Finish', lines: p.finish.map((f) => finishLine(c, f)) },
    { heading: 'Expect', lines: expectLines(c) },
    { heading: 'Mind', lines: mindLines(c) },
  ];
  return sections.filter((s) => s.lines.length > 0);
}

/** What every part of the card is written from. */
interface Card {
  dish: Dish;
  p: Plan;
  name: (id: string) => string;
  names: (ids: readonly string[]) => string;
  /** see pouredOf */
  poured: ReadonlyMap<string, number>;
}

function namesOf(dish: Dish): Pick<Card, 'name' | 'names'> {
  const named = ingredientNames(dish.ingredients);
  const each = (id: string): string[] => (named[id] ?? [id]).map(foodName);
  const names = (ids: readonly string[]): string => [...new Set(ids.flatMap(each))].join(', ');
  return { name: (id) => names([id]), names };
}

/** mL of each ingredient whose amount the plan decides, with its share of what goes in after opening. */
export function pouredOf(p: Plan): Card['poured'] {
  const share = (ml: number): number => ml / Math.max(1, p.liquid.addMl);
  return new Map(p.liquid.parts.map((x) => [x.ingredient, x.ml + share(x.ml) * p.topUpMl]));
}

/** A liquid of the plan as the cook calls it; that of the table by its id, as on the list. */
const liquidName = (dish: Dish, food: string): string =>
  ingredientName(dish.ingredients.find((i) => i.food === food) ?? { food });

function takeLines({ dish, p, poured }: Card): string[] {
  const lines = dish.ingredients.map((i) => {
    const ml = poured.get(i.id);
    if (ml !== undefined) return `${millilitres(ml)}  ${ingredientName(i)}`;
    if (isToTaste(i.amount)) return `to taste  ${ingredientName(i)}`;
    return `${grams(ingredientGrams(i)).padStart(7)}  ${ingredientName(i)}${prepWords(i.prep)}`;
  });
  const written = dish.ingredients.some((i) => poured.has(i.id));
  const addMl = p.liquid.addMl + p.topUpMl;
  return written || addMl === 0 ? lines : [`${millilitres(addMl)}  ${liquidName(dish, p.liquid.food)}`, ...lines];
}

function fryLines({ p, name }: Card): string[] {
  if (p.fry.length === 0) return [];
  const lines = p.fry.map((f) => {
    const batches = (f.batches ?? 1) > 1 ? ` in ${f.batches} batches` : '';
    const out = f.takeOut ? '; take out' : '';
    return `${name(f.ingredient)}: ${min(f.minutes)}${batches}, ${sentenceOf('until', f.until)}${out}`;
  });
  if (!p.deglaze) return lines;
  const { ml, food = p.liquid.food } = p.deglaze;
  return [
    ...lines,
    `loosen with ${ml} mL of ${food === p.liquid.food ? 'the liquid' : foodName(food)}, scrape the base clean`,
  ];
}

function firstStageLines({ p: { firstStage: first }, names }: Card): string[] {
  if (!first) return [];
  const hold = holdWords(first.holdMin, first.whistles);
  const liquid = first.liquidMl > 0 ? ` with ${first.liquidMl} mL` : '';
  return [`${names(first.ingredients)}${liquid}: ${hold}, quick release; then the rest`];
}

function layerLines({ dish, p, name, poured }: Card): string[] {
  // Wine that was boiled down is in the pan already.
  const inPan = new Set(p.fry.map((f) => f.ingredient));
  const parts =
    p.liquid.parts.length > 1
      ? ` (${p.liquid.parts.map((x) => `${x.ml} mL ${liquidName(dish, x.food)}`).join(', ')})`
      : '';
  const inAll = p.firstStage || p.deglaze ? ' in all' : '';
  const laid = p.stack.filter((l) => l.kind !== 'liquid' || !(poured.has(l.ingredient) || inPan.has(l.ingredient)));
  const first = `${p.liquid.addMl} mL ${liquidName(dish, p.liquid.food)}${inAll}${parts}`;
  return [
    ...(p.liquid.addMl > 0 ? [first] : []),
    ...(p.withLiquid ?? []).map(({ ingredient, grams: g }) =>
      g > 0 ? `${grams(g)} ${name(ingredient)}, in the liquid` : `${name(ingredient)}, to taste, in the liquid`,
    ),
    ...(p.outerLiquidMl ? [`${p.outerLiquidMl} mL water under the bowl`] : []),
    ...laid.map(
      (l) =>
        `${grams(l.grams)} ${name(l.ingredient)}${alternates(laid) ? '' : `, ${sentenceOf('card-place', l.place)}`}`,
    ),
    ...(p.salt.addG >= 0.5 ? [`${saltWords(dish, p.salt.addG)}, three quarters now`] : []),
    ...(p.salt.tableG >= 0.5 ? [`salt ${grams(p.salt.tableG)} at the table`] : []),
  ];
}

/** What is still to add: beside salt of the list it is so much more of it. */
const saltWords = ({ ingredients }: Dish, addG: number): string =>
  ingredients.some((i) => i.food === 'salt') ? `another ${grams(addG)} of salt` : `salt ${grams(addG)} in all`;

/** Layers in turn lie where they stand in the list; "at the base" would say nothing of the second. */
const alternates = (laid: Plan['stack']): boolean => new Set(laid.map((l) => l.ingredient)).size < laid.length;

function lidLine({ program }: Plan): string {
  const natural = program.release.naturalMin ?? 0;
  const pinFalls =
    natural > program.naturalFullMin ? ` (the pin falls after ${min(program.naturalFullMin)}, lid stays shut)` : '';
  const release = {
    quick: 'quick release',
    natural: `natural release, about ${min(program.naturalFullMin)}`,
    timed: `${natural} min natural${pinFalls}, then open`,
  }[program.release.kind];
  const pressure = `${program.pressure} ${Math.round(program.gaugeKpa)} kPa`;
  return `${pressure}: pin up in ${min(program.pinUpMin)}; ${holdWords(program.holdMin, program.whistles)}; ${release}`;
}

function finishLine({ names }: Card, f: FinishStep): string {
  const notes = [
    f.ml ? `${f.ml} mL` : '',
    f.ingredients.length > 0 ? names(f.ingredients) : '',
    f.tempC !== undefined && f.ingredients.length > 0 ? `${f.tempC} °C then` : '',
    f.heat ? sentenceOf('heat', heatKey(f)) : '',
    f.minimumC ? `to ${f.minimumC} °C` : '',
  ].filter(Boolean);
  return `${f.text}, ${min(f.minutes ?? 0)}${notes.length > 0 ? `: ${notes.join('; ')}` : ''}`;
}

function expectLines({ p, name }: Card): string[] {
  const { grain, pasta, program } = p;
  const out: string[] = [];
  if (grain) {
    const water = (100 * grain.moisture).toFixed(0);
    const minutes = Math.round(grain.equivalentMin);
    out.push(
      `${name(grain.ingredient)} ${sentenceOf('band', bandKey(p.family, grain.band))}, ${water} % water, ${minutes} min at 100 °C; ${grain.sauce}`,
    );
  }
  if (pasta) {
    const sauce = `${pasta.sauce}, ${grams(pasta.sauceG ?? pasta.freeSauceG)} sauce`;
    out.push(`${name(pasta.ingredient)} ${pasta.band}, ${pasta.x.toFixed(2)} x packet; ${sauce}`);
  }
  for (const m of p.meats) {
    const cores = `${m.coreC} °C likely, ${m.cautiousCoreC} °C at the worst (minimum ${m.safeMinimumC})`;
    out.push(`${name(m.ingredient)} ${m.texture}: ${cores}`);
  }
  out.push(...p.plants.map((v) => `${name(v.ingredient)} ${v.verdict}`));
  const of100 = (x: number): number => Math.round(100 * x);
  out.push(`base: ${p.scorch.level} (${of100(p.scorch.index)} in 100); fill ${of100(p.pot.fillFraction)} %`);
  if (program.chance) {
    const { of100: all, texture, pieces, base, release } = program.chance;
    const each = Object.entries({ texture, pieces, base, release }).map(([k, v]) => `${k} ${Math.round(v)}`);
    out.push(`${Math.round(all)} of 100 cooks as wanted (${each.join(', ')})`);
  }
  return out;
}

const marks = { stop: 'STOP ', caution: '! ', info: '- ' } as const;

function mindLines({ p, name }: Card): string[] {
  const ways = p.proposals.map((x) => {
    const to = x.to ?? '';
    const percent = typeof to === 'number' ? Math.round(100 * to) : '';
    return `way out: ${sentenceOf('ways-out', x.code, { food: name(x.ingredient), percent, mm: to, to: foodName(String(to)) })}`;
  });
  const warned = p.warnings.map((w) => {
    const ingredient = name(String(w.params?.['ingredient'] ?? ''));
    return `${marks[w.severity]}${sentenceOf('warning', w.code, { ...w.params, ingredient })}`;
  });
  return [...warned, ...ways];
}

const holdWords = (holdMin: number, whistles: number | undefined): string =>
  whistles === undefined ? `${holdMin} min at pressure` : `${whistles} whistles (${min(holdMin)} from the first)`;

function prepWords(prep: Dish['ingredients'][number]['prep']): string {
  if (!prep) return '';
  const words = [
    prep.rinse ? 'rinsed' : '',
    prep.soakMin ? `soaked ${prep.soakMin} min` : '',
    prep.shape ?? '',
    prep.thicknessMm ? `${prep.thicknessMm} mm` : '',
    prep.pieceG ? `${prep.pieceG} g each` : '',
    prep.state ?? '',
    prep.brown ? `brown: ${prep.brown}` : '',
    prep.hot ? 'hot' : '',
    prep.slit ? 'slit' : '',
    prep.onceOpen ? onceOpen[prep.onceOpen] : '',
  ].filter(Boolean);
  return words.length > 0 ? ` (${words.join(', ')})` : '';
}
