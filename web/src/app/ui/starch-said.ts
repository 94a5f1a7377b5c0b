import { bandKey, type Plan, type Starch } from '@einkorn/core';
import type { Format } from '../i18n/format';

/** What a grain or pasta comes out as, with its number and what the number is: "fluffy, 68 % water", "tender, 1.2 x packet". */
export function starchSaid(
  { family }: Pick<Plan, 'family'>,
  g: Starch,
  t: (key: string, p?: Record<string, unknown>) => string,
  fmt: Format,
): string {
  const at = g.kind === 'grain' ? fmt.number(g.at) : fmt.number(g.at, 1);
  return `${t(`band.${bandKey(family, g.band)}`)}, ${t(`verdict.${g.kind}-at`, { at })}`;
}
