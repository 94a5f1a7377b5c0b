import type { CookRun } from '../pot/cook';
import { reasoned, type Term } from '../reasoned';
import type { LedgerRow } from './document';
import type { Gathered } from './gather';
import { finishedMass, steamG, type GrainOutcome, type Sources } from './water';

/** The water sum as rows: + comes in, - goes out, together 0. Each row carries the terms that made it. */
export function ledgerRows(
  g: Gathered,
  src: Sources,
  out: GrainOutcome | null,
  run: CookRun,
  addMl: number,
  earlierSteamG: number,
): LedgerRow[] {
  const yours = g.dish.overrides?.ledger ?? {};
  const grain = g.grain;
  const rec = grain?.food.grain;
  const rows: LedgerRow[] = [];
  const row = (
    item: string,
    grams: number,
    rule: string,
    terms: Term[],
    extra: Partial<LedgerRow> = {},
    was?: number,
  ): void => {
    const reason = reasoned(grams, rule, terms, was);
    rows.push({ item, grams, why: sentence(reason.terms), reason, ...extra });
  };
  const own = g.inBowl ? 0 : steamG(run) + earlierSteamG;
  const steam = out?.steamG ?? yours['steam'] ?? own;
  if (out && grain && rec)
    row(
      'grain',
      -out.upG,
      'uptake',
      [
        { label: 'dry-grain', value: grain.grams, unit: 'g', subject: grain.food.id },
        { label: 'moisture-raw', value: rec.rawMoisture[0], unit: 'share', source: 'from-memory' },
        { label: 'moisture-cooked', value: out.clock.moisture, unit: 'share', source: 'derived' },
        { label: 'equivalent-minutes', value: out.clock.equivalentMin, unit: 'min', source: 'derived' },
      ],
      { ingredient: grain.ingredient.id, spreadG: 0.04 * grain.grams },
    );
  const given = src.fromItems.reduce((s, x) => s + x.grams, 0);
  const freeG =
    out?.clock.freeG ??
    addMl * src.mainWaterPerMl + given - steam - src.filmG - src.simmerG - src.reducedG + src.gravyG;
  const finishedG = out?.finishedG ?? finishedMass(g, addMl) - steam;
  row(
    'sauce',
    -freeG,
    'left-over',
    [
      { label: 'free-share', value: freeG / Math.max(1, finishedG), unit: 'share', source: 'derived' },
      { label: 'finished-dish', value: finishedG, unit: 'g' },
    ],
    {},
    yours['sauce'] === undefined ? undefined : 0,
  );
  const kg = 1000;
  if (!g.inBowl)
    row(
      'steam',
      -steam,
      'steam-lost',
      [
        { label: 'steam-heating', value: kg * run.lost.purge, unit: 'g', source: 'derived' },
        { label: 'steam-leak', value: kg * (run.lost.leak + run.lost.relief), unit: 'g', source: 'from-memory' },
        { label: 'steam-valve', value: kg * run.lost.quick, unit: 'g', source: 'derived' },
        { label: 'steam-opening', value: kg * run.lost.open, unit: 'g', source: 'derived' },
        ...(earlierSteamG > 0
          ? [{ label: 'steam-first', value: earlierSteamG, unit: 'g' as const, source: 'derived' }]
          : []),
      ],
      { spreadG: 12 },
      yours['steam'] === undefined ? undefined : own,
    );
  if (src.simmerG > 0 && !g.inBowl)
    row('simmer', -src.simmerG, 'simmer', [
      { label: 'simmer-minutes', value: g.rule.simmerMin, unit: 'min' },
      { label: 'simmered-off', value: src.simmerG, unit: 'g', source: 'common-practice' },
    ]);
  if (src.reducedG > 0 && !g.inBowl)
    row(
      'reduced',
      -src.reducedG,
      'reduced',
      [{ label: 'reduced-off', value: src.reducedG, unit: 'g', source: 'derived' }],
      { spreadG: 0.3 * src.reducedG },
    );
  if (src.gravyG !== 0)
    row('gravy', src.gravyG, 'measured', [{ label: 'gravy-difference', value: src.gravyG, unit: 'g' }]);
  row('film', -src.filmG, 'film', [{ label: 'film', value: src.filmG, unit: 'g', source: 'derived' }]);
  if (src.soakG > 0 && grain)
    row('soak', src.soakG, 'soaked', [
      { label: 'soak-minutes', value: grain.ingredient.prep?.soakMin ?? 0, unit: 'min' },
      { label: 'dry-grain', value: grain.grams, unit: 'g', subject: grain.food.id },
    ]);
  if (src.clingG > 0 && grain && rec)
    row('cling', src.clingG, 'rinsed', [
      { label: 'dry-grain', value: grain.grams, unit: 'g', subject: grain.food.id },
      { label: 'cling', value: rec.clingGPerG[0], unit: 'g/g', source: 'common-practice' },
    ]);
  for (const x of src.fromItems) {
    const id = x.item.ingredient.id;
    row(
      `from:${id}`,
      x.grams,
      'juice',
      [
        { label: 'as-added', value: x.item.grams, unit: 'g', subject: id },
        ...(x.item.food.free[0] > 0
          ? [{ label: 'free-at-start', value: x.item.food.free[0], unit: 'share' as const, source: 'derived' }]
          : []),
        ...(x.item.food.released[0] !== 0
          ? [
              { label: 'released', value: x.item.food.released[0], unit: 'share' as const, source: 'derived' },
              { label: `left-${x.item.state}`, value: x.left, unit: 'share' as const, source: 'derived' },
            ]
          : []),
      ],
      { ingredient: id, spreadG: x.spreadG },
      x.overruledFrom,
    );
  }
  row(
    'added',
    addMl * src.mainWaterPerMl,
    'to-add',
    [
      { label: 'liquid-to-add', value: addMl, unit: 'ml', subject: g.main.food.id },
      { label: 'water-share', value: g.main.food.water[0], unit: 'share', source: 'from-memory' },
    ],
    { ingredient: g.main.ingredient.id },
  );
  return rows;
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
