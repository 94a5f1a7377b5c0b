import type { Dish } from '../../dish/schema';
import type { ReadLine } from '../line/line';
import { sentencesOf } from '../text/clause';
import { fold } from '../text/words';

const scrambles =
  /\bscrambl\w*\b.{0,40}\beggs?\b|\beggs?\b.{0,40}\bscrambl|\brevuelv\w* (?:los? )?huevos?\b|\bhuevos? revueltos?\b/;
const beaten = /\b(?:beaten|whisked|batid[oa]s?)\b/;

/**
 * Eggs that the steps scramble, and beaten ones of which nothing else is said, are cooked in the pan and come back at the end:
 * on a rack they are steamed in their shell. Among sheets they are beaten into the cheese.
 */
export function scrambleAsInSteps(read: readonly ReadLine[], steps: readonly string[], family: Dish['family']): void {
  if (family === 'layered-pasta') return;
  const areScrambled = sentencesOf(steps).some((s) => scrambles.test(s));
  const isBeaten = (line: ReadLine): boolean => !line.joins && beaten.test(fold(line.text));
  for (const line of read)
    if (line.food === 'egg' && !line.refused && (areScrambled || isBeaten(line))) {
      line.joins = 'fry';
      line.back = 'finish';
    }
}
