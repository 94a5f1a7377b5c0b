import {
  asWritten,
  compareSchools,
  donenessMap,
  equalise,
  evaluate,
  nextTime,
  outlook,
  plan,
  Problem,
  ratios,
  readRecipe,
  recipeText,
  scaleToPot,
  solvePlan,
  uncertainty,
  waysToBetterOdds,
  type Dish,
  type Kitchen,
  type Plan,
  type Written,
} from '@einkorn/core';
import { differences } from '../ui/differences';
import type { Answers, Ask, Brought, Judged, Kind, ReadAsk, Reply } from './protocol';

const reply = (r: Reply): void => postMessage(r);

type Answer<K extends Kind> = (
  dish: Dish,
  kitchen: Kitchen,
  p: Plan,
  progress: (share: number) => void,
  more: Pick<Ask, 'real' | 'near' | 'cook'>,
) => Answers[K];

const answers: { [K in Kind]: Answer<K> } = {
  plan: (dish, kitchen, _p, _progress, { near }) => plan(dish, kitchen, near ? { near } : {}),
  evaluate: (dish, kitchen) => evaluate(dish, kitchen),
  written: (dish, kitchen, p) => judged(asWritten(dish, kitchen, p)),
  schools: (dish, kitchen, p) => compareSchools(dish, kitchen, p),
  map: (dish, kitchen, p, progress) => donenessMap(dish, kitchen, p, progress),
  ways: (dish, kitchen, p) => waysToBetterOdds(dish, kitchen, p),
  proposals: (dish, kitchen, p) => equalise(dish, kitchen, p),
  chances: (dish, kitchen, p) => uncertainty(dish, kitchen, p),
  ratios: (dish, kitchen) => ratios(dish, kitchen),
  outlook: (dish, kitchen, p, _progress, { real }) => outlook(dish, kitchen, p, real ?? {}),
  'next-time': (_dish, kitchen, _p, _progress, { cook }) => nextTime(cook!, kitchen),
  'scale-pot': (dish, kitchen) => scaleToPot(dish, kitchen),
};

addEventListener('message', ({ data }: MessageEvent<{ id: number; ask: Ask | ReadAsk }>) => {
  const { id, ask } = data;
  try {
    reply({ id, type: 'done', value: valueOf(id, ask) });
  } catch (e) {
    const problem = e instanceof Problem ? e.toJSON() : { code: 'internal', message: String(e), issues: [] };
    reply({ id, type: 'problem', problem });
  }
});

/** Only what follows from a number is told of it, not the number itself. */
function judged({ plan: written, changes }: Written): Judged {
  const follows = (key: string, alone: Plan) => differences(written, alone).filter((d) => d.key !== key);
  return { plan: written, changes: changes.map(({ key, alone }) => ({ key, alone: follows(key, alone) })) };
}

function valueOf(id: number, ask: Ask | ReadAsk): Extract<Reply, { type: 'done' }>['value'] {
  if ('text' in ask) return ask.kind === 'recipe' ? readRecipe(ask.text, undefined, ask.ownFoods) : brought(ask);
  return answer(id, ask);
}

function brought({ text: source, ownFoods }: ReadAsk): Brought {
  const text = recipeText(source);
  return text === null ? { text: '', dish: readRecipe(source, undefined, ownFoods).dish } : { text, dish: null };
}

/** Questions that bring no plan along and need one are planned first. */
function answer(id: number, ask: Ask): Answers[Kind] {
  const planless = ask.kind === 'plan' || ask.kind === 'evaluate';
  const p = ask.plan ?? (planless ? (null as never) : solvePlan(ask.dish, ask.kitchen));
  return answers[ask.kind](ask.dish, ask.kitchen, p, (share) => reply({ id, type: 'progress', share }), ask);
}
