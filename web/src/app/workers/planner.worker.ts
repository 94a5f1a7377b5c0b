import {
  compareSchools,
  donenessMap,
  equalise,
  outlook,
  plan,
  Problem,
  ratios,
  scaleToPot,
  solvePlan,
  uncertainty,
  type Dish,
  type Kitchen,
  type Plan,
} from '@einkorn/core';
import type { Answers, Ask, Kind, Reply } from './protocol';

const reply = (r: Reply): void => postMessage(r);

type Answer<K extends Kind> = (
  dish: Dish,
  kitchen: Kitchen,
  p: Plan,
  progress: (share: number) => void,
  more: Pick<Ask, 'real' | 'near'>,
) => Answers[K];

const answers: { [K in Kind]: Answer<K> } = {
  plan: (dish, kitchen, _p, _progress, { near }) => plan(dish, kitchen, near ? { near } : {}),
  schools: (dish, kitchen, p) => compareSchools(dish, kitchen, p),
  map: (dish, kitchen, p, progress) => donenessMap(dish, kitchen, p, progress),
  proposals: (dish, kitchen, p) => equalise(dish, kitchen, p),
  chances: (dish, kitchen, p) => uncertainty(dish, kitchen, p),
  ratios: (dish, kitchen) => ratios(dish, kitchen),
  outlook: (dish, kitchen, p, _progress, { real }) => outlook(dish, kitchen, p, real ?? {}),
  'scale-pot': (dish, kitchen) => scaleToPot(dish, kitchen),
};

addEventListener('message', ({ data }: MessageEvent<{ id: number; ask: Ask }>) => {
  const { id, ask } = data;
  try {
    const p = ask.plan ?? (ask.kind === 'plan' ? (null as never) : solvePlan(ask.dish, ask.kitchen));
    const value = answers[ask.kind](ask.dish, ask.kitchen, p, (share) => reply({ id, type: 'progress', share }), ask);
    reply({ id, type: 'done', value });
  } catch (e) {
    const problem = e instanceof Problem ? e.toJSON() : { code: 'internal', message: String(e), issues: [] };
    reply({ id, type: 'problem', problem });
  }
});
