import type { Plan } from '../document/document';
import { baseOf, starchParameters } from '../setup/learned';

/** A number of a plan that the log can move: the hold, the minutes to the pin, the salt, or a row of the water. */
export type LearnedNumber = 'hold' | 'pin' | 'salt' | 'grain' | 'sauce' | 'steam' | 'added';

/** What heats, loses and holds: the pot's side of the clock. */
const ofPot = ['heat', 'loss', 'leak', 'vent', 'set', 'metal', 'purge'] as const;

/** Through which numbers of a plan each parameter of the log works (docs/learning.md); a class of grain goes with its parameter. */
const parametersOf: Readonly<Record<LearnedNumber, readonly string[]>> = {
  hold: [...ofPot, ...starchParameters],
  pin: ['heat', 'loss', 'metal', 'purge'],
  salt: ['salt'],
  grain: [...starchParameters, 'scoop'],
  sauce: ['sauce'],
  steam: ['heat', 'loss', 'leak', 'set', 'vent'],
  added: [...starchParameters, 'scoop', 'sauce', 'leak'],
};

type Moved = NonNullable<Plan['learned']>['moved'];

/** What of the log moved one number of a plan, the surest first; nothing as from the factory. */
export const learnedBehind = ({ learned }: Pick<Plan, 'learned'>, number: LearnedNumber): Moved =>
  (learned?.moved ?? []).filter((m) => parametersOf[number].includes(baseOf(m.parameter)));

/** Is this one of the numbers? Rows of the water are named by what they are. */
export const isLearnedNumber = (number: string): number is LearnedNumber => number in parametersOf;
