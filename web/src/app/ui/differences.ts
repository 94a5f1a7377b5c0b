import { stopCount, type Plan } from '@einkorn/core';

/** What is different between two plans, as keys of the catalogue with figures; nothing for what stayed. */
export interface Difference {
  key: string;
  before: number | string;
  after: number | string;
}
export function differences(a: Plan, b: Plan): Difference[] {
  const out: Difference[] = [];
  const add = (key: string, before: number | string, after: number | string, least = 0): void => {
    const same =
      typeof before === 'number' && typeof after === 'number' ? Math.abs(before - after) <= least : before === after;
    if (!same) out.push({ key, before, after });
  };
  add('liquid', a.liquid.addMl, b.liquid.addMl, 2.5);
  add('hold', a.program.holdMin, b.program.holdMin);
  const natural = (p: Plan): string => `${p.program.release.kind}-${p.program.release.naturalMin ?? 0}`;
  add('release', natural(a), natural(b));
  add('first', a.firstStage?.holdMin ?? 0, b.firstStage?.holdMin ?? 0);
  if (a.grain && b.grain) add('grain', a.grain.textureIndex, b.grain.textureIndex, 0.4);
  if (a.pasta && b.pasta) add('pasta', a.pasta.x, b.pasta.x, 0.02);
  if (a.meats[0] && b.meats[0]) add('meat', a.meats[0].coreC, b.meats[0].coreC, 1);
  add('hard', hard(a), hard(b));
  add('scorch', a.scorch.index, b.scorch.index, 0.01);
  add('salt', a.salt.percent, b.salt.percent, 0.02);
  add('fill', a.pot.fillFraction, b.pot.fillFraction, 0.02);
  add('minutes', a.timeline.at(-1)?.endMin ?? 0, b.timeline.at(-1)?.endMin ?? 0, 1);
  add('stops', stopCount(a), stopCount(b));
  return out;
}
const hard = (p: Plan): number => p.meats.filter((m) => m.texture !== 'tender' && m.texture !== 'juicy').length;
