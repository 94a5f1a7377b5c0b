import type { Kitchen } from '../dish/kitchen';
import { findFood } from '../food/find';
import type { FoodRecord } from '../food/record';
import type { Plan } from './document/document';
import { learnedIn, learnedMark } from './setup/learned';

/* What of the log moved a plan, and through which of its numbers. */

type Moved = NonNullable<Plan['learned']>['moved'];

/** A number of a plan that the log can move: the hold, the minutes to the pin, the base, the salt, or a row of the water. */
export type LearnedNumber = 'hold' | 'pin' | 'base' | 'salt' | 'grain' | 'sauce' | 'steam' | 'added';

/** What heats, loses and holds: the pot's side of the clock. */
const ofPot = ['heat', 'loss', 'leak', 'vent', 'set', 'metal', 'purge'] as const;

/** The starch's side of it: what is called right, and how fast this packet gets there. */
const ofStarch: readonly string[] = ['like', 'speed', 'shift'];

/** Through which numbers of a plan each parameter of the log works (docs/learning.md); a class of grain goes with its parameter. */
const parametersOf: Readonly<Record<LearnedNumber, readonly string[]>> = {
  hold: [...ofPot, ...ofStarch],
  pin: ['heat', 'loss', 'metal', 'purge'],
  base: ['scorch'],
  salt: ['salt'],
  grain: [...ofStarch, 'scoop'],
  sauce: ['sauce'],
  steam: ['heat', 'loss', 'leak', 'set', 'vent'],
  added: [...ofStarch, 'scoop', 'sauce', 'leak'],
};

/** Whatever works through no number moves no plan: the hands that write a log down, the jug, the juice of the food. */
const movesPlan: ReadonlySet<string> = new Set(Object.values(parametersOf).flat());
/** "like:react" is "like" of one class of grain. */
const baseOf = (parameter: string): string => parameter.split(':')[0]!;

/** A value is named beside a plan once this share of its spread is gone, and it moves something [from memory]. */
const knownFrom = 0.8;
const worthNaming = 0.7;

/** "like:diff" moves no white rice, "like:pasta" none either; a dish without a starch has none to move. */
function movesStarch(parameter: string, starch: FoodRecord | null): boolean {
  if (!ofStarch.includes(baseOf(parameter))) return true;
  const kinetics = parameter.split(':')[1];
  return starch?.grain !== undefined && (kinetics === undefined || kinetics === starch.grain.kinetics);
}

/** What of all this moved a plan, the surest first; none in a kitchen without it. */
function movedBy(kitchen: Kitchen, starch: string | undefined): Moved {
  const learned = learnedIn(kitchen);
  const { potId } = kitchen;
  if (!learned) return [];
  const food = starch === undefined ? null : findFood(starch);
  const groups = [
    { of: potId, values: learned.pots[potId] ?? {} },
    { of: 'cook', values: learned.cook },
    ...(starch === undefined ? [] : [{ of: starch, values: learned.grains[starch] ?? {} }]),
  ];
  return groups
    .flatMap(({ of, values }) =>
      Object.entries(values).map(([parameter, v]) => ({
        of,
        parameter,
        value: v.value,
        sd: v.sd,
        cooks: v.cooks,
        left: v.sd / v.priorSd,
      })),
    )
    .filter((m) => m.left < knownFrom && Math.abs(m.value) > worthNaming * m.sd)
    .filter((m) => movesPlan.has(baseOf(m.parameter)) && movesStarch(m.parameter, food))
    .sort((a, b) => a.left - b.left)
    .map(({ left: _, ...m }) => m);
}

/** What a plan keeps of what was learned when it was made. */
export function learnedOf(kitchen: Kitchen, starch: string | undefined): Plan['learned'] {
  const mark = learnedMark(kitchen);
  return mark === undefined ? undefined : { mark, moved: movedBy(kitchen, starch) };
}

/** What of the log moved one number of a plan, the surest first; nothing as from the factory. */
export const learnedBehind = ({ learned }: Pick<Plan, 'learned'>, number: LearnedNumber): Moved =>
  (learned?.moved ?? []).filter((m) => parametersOf[number].includes(baseOf(m.parameter)));

/** Is this one of the numbers? Rows of the water are named by what they are. */
export const isLearnedNumber = (number: string): number is LearnedNumber => number in parametersOf;
