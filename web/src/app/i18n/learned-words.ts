import type { LearnedValue } from '@einkorn/core';
import type { Format } from './format';

/** How a learned value is told: multipliers in percent, tastes in steps of their scale, juice in spreads of the table, delays in minutes. */
export interface LearnedWords {
  /** key of the catalogue below `learned`, with its figure in `by` */
  key: string;
  by: string;
  spread: string;
}

/** A value this near to the table's, in its own spreads, says nothing of a side. */
const sameAsTable = 0.25;
/** Tastes in steps of their scale, juice in spreads of the table: both are told as they are. */
const isPlain = (parameter: string): boolean => /^(?:like|sauce|salt|shift|juice)/.test(parameter);
const inMinutes = (parameter: string): boolean => ['sense', 'tap', 'late'].includes(parameter);

/** The words for a value and its spread: "heats 7 % more weakly", "± 5 %". */
export function learnedWords(
  parameter: string,
  { value, sd, priorMean = 0 }: Pick<LearnedValue, 'value' | 'sd' | 'priorMean'>,
  fmt: Pick<Format, 'number'>,
): LearnedWords {
  const isTable = Math.abs(value - priorMean) < sameAsTable * sd;
  const key = isTable ? 'as-table' : `${parameter.replace(':', '-')}-${value < 0 ? 'less' : 'more'}`;
  const percent = (share: number): string => `${fmt.number(100 * Math.abs(share))} %`;
  const tell = (x: number): string =>
    inMinutes(parameter)
      ? `${fmt.number(Math.abs(x), 1)} min`
      : isPlain(parameter)
        ? fmt.number(Math.abs(x), 1)
        : percent(Math.expm1(x));
  return { key, by: tell(value), spread: tell(sd) };
}
