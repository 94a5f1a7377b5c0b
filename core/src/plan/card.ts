import type { Dish } from '../dish/schema';
import { findFood, measurable } from '../food/find';
import { toGrams } from '../quantity/convert';
import type { Plan } from './document';

/*
 * A plan as a cook would write it on a card, in plain English, for the command line and for reading many plans at a time.
 * The interface has its own words in its catalogues.
 */

const untilWords: Record<string, string> = {
  'fat-hot': 'until the fat is hot',
  'fat-out': 'until the fat runs',
  'egg-set': 'scrambled, just set',
  'crumbs-half-brown': 'crumbled, half brown',
  'no-pink-outside': 'stirred, no pink outside',
  'brown-half-through': 'each side brown, half through',
  'well-browned': 'each side well browned',
  'cooked-through': 'cooked through',
  translucent: 'translucent',
  'deep-brown': 'deep brown',
  fragrant: 'fragrant',
  'every-kernel-coated': 'every kernel coated',
  reduced: 'boiled down to half',
};
const layerWords: Record<string, string> = {
  liquid: 'under all',
  base: 'at the base',
  grain: 'level, pressed under',
  top: 'on top',
  rack: 'on the rack',
  'inner-bowl': 'in the bowl',
};
const heatWords = { saute: 'low sauté, stirring', 'keep-warm': 'keep warm, lid on' } as const;

const min = (m: number): string => `${Math.round(m * 2) / 2} min`;
const grams = (g: number): string => `${g < 20 ? Math.round(g * 10) / 10 : Math.round(g / 5) * 5} g`;
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

/** The parts of the card, in the order of the work. */
export function cardSections(dish: Dish, p: Plan): CardSection[] {
  const name = (id: string): string => dish.ingredients.find((i) => i.id === id)?.food.replaceAll('-', ' ') ?? id;
  const names = (ids: readonly string[]): string => [...new Set(ids.map(name))].join(', ');
  const out: CardSection[] = [];
  const begin = (heading: CardSection['heading']): void => void out.push({ heading, lines: [] });
  const say = (line: string): void => void out.at(-1)!.lines.push(line);
  begin('Take');
  // Of what is poured the plan decides how much; with what goes in after opening.
  const share = (ml: number): number => ml / Math.max(1, p.liquid.addMl);
  const poured = new Map(p.liquid.parts.map((x) => [x.ingredient, x.ml + share(x.ml) * p.topUpMl]));
  if (!dish.ingredients.some((i) => poured.has(i.id)))
    say(`${millilitres(p.liquid.addMl + p.topUpMl)}  ${p.liquid.food}`);
  for (const i of dish.ingredients) {
    const ml = poured.get(i.id);
    if (ml !== undefined) {
      say(`${millilitres(ml)}  ${i.food.replaceAll('-', ' ')}`);
      continue;
    }
    const g = toGrams(i.amount, measurable(findFood(i.food), i.prep?.pieceG));
    say(`${grams(g).padStart(7)}  ${i.food.replaceAll('-', ' ')}${prepWords(i.prep)}`);
  }
  if (p.fry.length > 0) {
    begin('Fry');
    for (const f of p.fry)
      say(
        `${name(f.ingredient)}: ${min(f.minutes)}${(f.batches ?? 1) > 1 ? ` in ${f.batches} batches` : ''}, ${untilWords[f.until] ?? f.until}${f.takeOut ? '; take out' : ''}`,
      );
    if (p.deglaze) say(`loosen with ${p.deglaze.ml} mL of the liquid, scrape the base clean`);
  }
  const { firstStage: first } = p;
  if (first) {
    begin('First stage');
    say(
      `${names(first.ingredients)} with ${first.liquidMl} mL: ${holdWords(first.holdMin, first.whistles)}, quick release; then the rest`,
    );
  }
  begin('Layers, from below');
  // Wine that was boiled down is in the pan already.
  const inPan = new Set(p.fry.map((f) => f.ingredient));
  const parts = p.liquid.parts.length > 1 ? ` (${p.liquid.parts.map((x) => `${x.ml} mL ${x.food}`).join(', ')})` : '';
  say(`${p.liquid.addMl} mL ${p.liquid.food}${first || p.deglaze ? ' in all' : ''}${parts}`);
  if (p.outerLiquidMl) say(`${p.outerLiquidMl} mL water under the bowl`);
  for (const l of p.stack)
    if (l.kind !== 'liquid' || !(poured.has(l.ingredient) || inPan.has(l.ingredient)))
      say(`${grams(l.grams)} ${name(l.ingredient)}, ${layerWords[l.place] ?? l.place}`);
  if (p.salt.addG >= 0.5) say(`salt ${grams(p.salt.addG)} in all, three quarters now`);
  if (p.salt.tableG >= 0.5) say(`salt ${grams(p.salt.tableG)} at the table`);
  begin('Lid');
  const { program } = p;
  const natural = program.release.naturalMin ?? 0;
  const pinFalls =
    natural > program.naturalFullMin ? ` (the pin falls after ${min(program.naturalFullMin)}, lid stays shut)` : '';
  const release = {
    quick: 'quick release',
    natural: `natural release, about ${min(program.naturalFullMin)}`,
    timed: `${natural} min natural${pinFalls}, then open`,
  }[program.release.kind];
  say(
    `${program.pressure} ${Math.round(program.gaugeKpa)} kPa: pin up in ${min(program.pinUpMin)}; ${holdWords(program.holdMin, program.whistles)}; ${release}`,
  );
  begin('Finish');
  for (const f of p.finish) {
    const notes = [
      f.ml ? `${f.ml} mL` : '',
      f.ingredients.length > 0 ? names(f.ingredients) : '',
      f.tempC !== undefined && f.ingredients.length > 0 ? `${f.tempC} °C then` : '',
      f.heat ? heatWords[f.heat] : '',
      f.minimumC ? `to ${f.minimumC} °C` : '',
    ].filter(Boolean);
    say(`${f.code.replaceAll('-', ' ')} ${min(f.minutes ?? 0)}${notes.length > 0 ? `: ${notes.join('; ')}` : ''}`);
  }
  begin('Expect');
  if (p.grain)
    say(
      `${name(p.grain.ingredient)} ${p.grain.band}, ${(100 * p.grain.moisture).toFixed(0)} % water, ${Math.round(p.grain.equivalentMin)} min at 100 °C; ${p.grain.sauce}`,
    );
  if (p.pasta)
    say(
      `${name(p.pasta.ingredient)} ${p.pasta.band}, ${p.pasta.x.toFixed(2)} x packet; ${p.pasta.sauce}, ${grams(p.pasta.sauceG ?? p.pasta.freeSauceG)} sauce`,
    );
  for (const m of p.meats)
    say(
      `${name(m.ingredient)} ${m.texture}: ${m.coreC} °C likely, ${m.cautiousCoreC} °C at the worst (minimum ${m.safeMinimumC})`,
    );
  for (const v of p.plants) say(`${name(v.ingredient)} ${v.verdict}`);
  say(
    `base: ${p.scorch.level} (${Math.round(100 * p.scorch.index)} in 100); fill ${Math.round(100 * p.pot.fillFraction)} %`,
  );
  if (program.chance)
    say(
      `${Math.round(program.chance.of100)} of 100 cooks as wanted (texture ${Math.round(program.chance.texture)}, pieces ${Math.round(program.chance.pieces)}, base ${Math.round(program.chance.base)}, release ${Math.round(program.chance.release)})`,
    );
  if (p.warnings.length > 0) begin('Mind');
  for (const w of p.warnings)
    say(`${w.severity === 'stop' ? 'STOP ' : w.severity === 'caution' ? '! ' : '- '}${w.text}`);
  for (const x of p.proposals)
    say(
      `way out: ${x.code.replaceAll('-', ' ')}${x.ingredient ? ` (${name(x.ingredient)})` : ''}${x.to === undefined ? '' : ` ${x.to}`}`,
    );
  return out;
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
  ].filter(Boolean);
  return words.length > 0 ? ` (${words.join(', ')})` : '';
}
