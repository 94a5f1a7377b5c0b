import type { PotRun } from '../../pot/program';
import { reasoned, type Term } from '../../reasoned';
import type { LedgerRow } from '../document/document';
import type { Gathered } from '../gather/item';
import { finishedMass } from '../setup/sauce';
import { steamG, type GrainOutcome } from '../simulate/outcome';
import type { Sources } from '../setup/sources';

/** What the water sum is written from. */
export interface LedgerInput {
  g: Gathered;
  src: Sources;
  /** where the starch ended; null where nothing drinks */
  out: GrainOutcome | null;
  run: PotRun;
  addMl: number;
  /** steam that a first stage lost, g */
  earlierSteamG: number;
}

/** The water sum as rows: + comes in, - goes out, together 0. Each row carries the terms that made it. */
export function ledgerRows(x: LedgerInput): LedgerRow[] {
  const ownSteamG = x.g.inBowl ? 0 : steamG(x.run) + x.earlierSteamG;
  const lostG = x.out?.steamG ?? x.g.dish.overrides?.ledger?.['steam'] ?? ownSteamG;
  return [
    ...drunkRow(x),
    sauceRow(x, lostG),
    ...steamRow(x, lostG, ownSteamG),
    ...boiledOffRows(x),
    { item: 'film', grams: -x.src.filmG, rule: 'film', terms: [derived('film', x.src.filmG, 'g')] },
    ...heldRows(x),
    ...x.src.fromItems.map(juiceRow),
    addedRow(x),
  ].map(written);
}

/** A row before its words. */
interface Draft {
  item: string;
  grams: number;
  rule: string;
  terms: Term[];
  /** what the sum itself would have said where the cook set the row */
  was?: number | undefined;
  ingredient?: string;
  spreadG?: number;
}

function written({ item, grams, rule, terms, was, ...more }: Draft): LedgerRow {
  const reason = reasoned(grams, rule, terms, was);
  return { item, grams, why: sentence(reason.terms), reason, ...more };
}

const derived = (label: string, value: number, unit: Term['unit']): Term => ({ label, value, unit, source: 'derived' });

const dryGrain = (grain: NonNullable<Gathered['grain']>): Term => ({
  label: 'dry-grain',
  value: grain.grams,
  unit: 'g',
  subject: grain.ingredient.food,
});

/** Spread of what the starch drinks, share of its dry weight [derived]. */
const drunkSpread = 0.04;

/** Water the starch takes up. */
function drunkRow({ g: { grain }, out }: LedgerInput): Draft[] {
  const rec = grain?.food.grain;
  if (!out || !grain || !rec) return [];
  const terms: Term[] = [
    dryGrain(grain),
    { label: 'moisture-raw', value: rec.rawMoisture[0], unit: 'share', source: 'from-memory' },
    derived('moisture-cooked', out.clock.moisture, 'share'),
    derived('equivalent-minutes', out.clock.equivalentMin, 'min'),
  ];
  return [
    {
      item: 'grain',
      grams: -out.upG,
      rule: 'uptake',
      terms,
      ingredient: grain.ingredient.id,
      spreadG: drunkSpread * grain.grams,
    },
  ];
}

/** What is left free on the plate. */
function sauceRow({ g, src, out, addMl }: LedgerInput, lostG: number): Draft {
  const given = src.fromItems.reduce((s, x) => s + x.grams, 0);
  const freeG =
    out?.clock.freeG ??
    addMl * src.mainWaterPerMl + given - lostG - src.filmG - src.simmerG - src.reducedG + src.gravyG;
  const finishedG = out?.finishedG ?? finishedMass(g, addMl) - lostG;
  const terms: Term[] = [
    derived('free-share', freeG / Math.max(1, finishedG), 'share'),
    { label: 'finished-dish', value: finishedG, unit: 'g' },
  ];
  const was = g.dish.overrides?.ledger?.['sauce'] === undefined ? undefined : 0;
  return { item: 'sauce', grams: -freeG, rule: 'left-over', terms, was };
}

/** Spread of the steam from pot to pot, g [from memory]. */
const steamSpreadG = 12;

/** Steam that leaves the pot, by where it goes; an inner bowl loses none of its own. */
function steamRow({ g, run, earlierSteamG }: LedgerInput, lostG: number, ownG: number): Draft[] {
  if (g.inBowl) return [];
  const gOf = (kg: number): number => 1000 * kg;
  const terms: Term[] = [
    derived('steam-heating', gOf(run.lost.purge), 'g'),
    { label: 'steam-leak', value: gOf(run.lost.leak + run.lost.relief), unit: 'g', source: 'from-memory' },
    derived('steam-valve', gOf(run.lost.quick), 'g'),
    derived('steam-opening', gOf(run.lost.open), 'g'),
    ...(earlierSteamG > 0 ? [derived('steam-first', earlierSteamG, 'g')] : []),
  ];
  const was = g.dish.overrides?.ledger?.['steam'] === undefined ? undefined : ownG;
  return [{ item: 'steam', grams: -lostG, rule: 'steam-lost', terms, was, spreadG: steamSpreadG }];
}

/** Spread of what frying boils off, share of it [from memory]. */
const reducedSpread = 0.3;

/** What is boiled off with the lid open, before it and after it, and what a measured gravy corrects. */
function boiledOffRows({ g, src }: LedgerInput): Draft[] {
  const rows: Draft[] = [];
  if (src.simmerG > 0 && !g.inBowl) {
    const terms: Term[] = [
      { label: 'simmer-minutes', value: g.rule.simmerMin, unit: 'min' },
      { label: 'simmered-off', value: src.simmerG, unit: 'g', source: 'common-practice' },
    ];
    rows.push({ item: 'simmer', grams: -src.simmerG, rule: 'simmer', terms });
  }
  if (src.reducedG > 0 && !g.inBowl) {
    const terms = [derived('reduced-off', src.reducedG, 'g')];
    const spreadG = reducedSpread * src.reducedG;
    rows.push({ item: 'reduced', grams: -src.reducedG, rule: 'reduced', terms, spreadG });
  }
  if (src.gravyG !== 0) {
    const terms: Term[] = [{ label: 'gravy-difference', value: src.gravyG, unit: 'g' }];
    rows.push({ item: 'gravy', grams: src.gravyG, rule: 'measured', terms });
  }
  return rows;
}

/** Water that the grain brings: soaked in, and clinging after the rinse. */
function heldRows({ g: { grain }, src }: LedgerInput): Draft[] {
  const rows: Draft[] = [];
  if (src.soakG > 0 && grain) {
    const soakMin = grain.ingredient.prep?.soakMin ?? 0;
    const terms: Term[] = [{ label: 'soak-minutes', value: soakMin, unit: 'min' }, dryGrain(grain)];
    rows.push({ item: 'soak', grams: src.soakG, rule: 'soaked', terms });
  }
  const rec = grain?.food.grain;
  if (src.clingG > 0 && grain && rec) {
    const cling: Term = { label: 'cling', value: rec.clingGPerG[0], unit: 'g/g', source: 'common-practice' };
    rows.push({ item: 'cling', grams: src.clingG, rule: 'rinsed', terms: [dryGrain(grain), cling] });
  }
  return rows;
}

/** What one ingredient gives to the liquid. */
function juiceRow(from: Sources['fromItems'][number]): Draft {
  const { item } = from;
  const id = item.ingredient.id;
  const [free, released] = [item.food.free[0], item.food.released[0]];
  const terms: Term[] = [
    { label: 'as-added', value: item.grams, unit: 'g', subject: id },
    ...(free > 0 ? [derived('free-at-start', free, 'share')] : []),
    ...(released !== 0
      ? [derived('released', released, 'share'), derived(`left-${item.state}`, from.left, 'share')]
      : []),
  ];
  return {
    item: `from:${id}`,
    grams: from.grams,
    rule: 'juice',
    terms,
    was: from.overruledFrom,
    ingredient: id,
    spreadG: from.spreadG,
  };
}

function addedRow({ g, src, addMl }: LedgerInput): Draft {
  const terms: Term[] = [
    { label: 'liquid-to-add', value: addMl, unit: 'ml', subject: g.main.ingredient.food },
    { label: 'water-share', value: g.main.food.water[0], unit: 'share', source: 'from-memory' },
  ];
  const grams = addMl * src.mainWaterPerMl;
  return { item: 'added', grams, rule: 'to-add', terms, ingredient: g.main.ingredient.id };
}

/** The sum in plain figures, for programs and the command line; the interface writes its own from the same terms. */
export const sentence = (terms: readonly Term[]): string =>
  terms
    .map((t) => {
      const name = (t.subject ? `${t.label} (${t.subject})` : t.label).replaceAll('-', ' ');
      const value =
        t.unit === 'share' || t.unit === 'percent'
          ? `${round(t.unit === 'share' ? t.value * 100 : t.value)} %`
          : `${round(t.value)} ${t.unit}`;
      return `${name} ${value}`;
    })
    .join(', ');

const round = (x: number): number => (Math.abs(x) < 10 ? Math.round(x * 10) / 10 : Math.round(x));
