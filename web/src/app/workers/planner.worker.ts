import {
  asWritten,
  compareSchools,
  cookLesson,
  donenessMap,
  equalise,
  evaluate,
  lessons,
  nextTime,
  outlook,
  Problem,
  ratios,
  readRecipe,
  recipeText,
  scaleToPot,
  solvePlan,
  uncertainty,
  waysFor,
  type Plan,
  type Written,
} from '@einkorn/core';
import { differences } from '../ui/differences';
import type { Answers, Ask, Brought, Judged, Kind, Question, ReadAsk, Reply } from './protocol';

const reply = (r: Reply): void => postMessage(r);

/** What a question is asked of, and how far its answer is told. */
type Asked = Pick<Ask, 'dish' | 'kitchen' | 'real' | 'near' | 'cook'> & {
  plan: Plan;
  progress: (share: number) => void;
};

const answers: { [K in Kind]: (asked: Asked) => Answers[K] } = {
  // What would mend it is asked for behind it: the plan itself is what the cook waits for.
  plan: ({ dish, kitchen, near }) => solvePlan(dish, kitchen, near ? { near } : {}),
  evaluate: ({ dish, kitchen }) => evaluate(dish, kitchen),
  written: (a) => judged(asWritten(a.dish, a.kitchen, a.plan)),
  schools: (a) => compareSchools(a.dish, a.kitchen, a.plan),
  map: (a) => donenessMap(a.dish, a.kitchen, a.plan, a.progress),
  ways: (a) => waysFor(a.dish, a.kitchen, a.plan),
  proposals: (a) => equalise(a.dish, a.kitchen, a.plan),
  chances: (a) => uncertainty(a.dish, a.kitchen, a.plan),
  ratios: ({ dish, kitchen }) => ratios(dish, kitchen),
  outlook: (a) => outlook(a.dish, a.kitchen, a.plan, a.real ?? {}),
  'next-time': ({ kitchen, cook }) => nextTime(cook!, kitchen),
  'scale-pot': ({ dish, kitchen }) => scaleToPot(dish, kitchen),
};

addEventListener('message', ({ data }: MessageEvent<{ id: number; ask: Question }>) => {
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

function valueOf(id: number, ask: Question): Extract<Reply, { type: 'done' }>['value'] {
  if ('text' in ask) return ask.kind === 'recipe' ? readRecipe(ask.text, undefined, ask.own) : brought(ask);
  if ('lesson' in ask) return cookLesson(lessons[ask.lesson], ask.value);
  return answer(id, ask);
}

function brought({ text: source, own }: ReadAsk): Brought {
  const text = recipeText(source);
  return text === null ? { text: '', dish: readRecipe(source, undefined, own).dish } : { text, dish: null };
}

/** Questions that bring no plan along and need one are planned first. */
function answer(id: number, ask: Ask): Answers[Kind] {
  const planless = ask.kind === 'plan' || ask.kind === 'evaluate';
  const needed = ask.plan ?? (planless ? (null as never) : solvePlan(ask.dish, ask.kitchen));
  return answers[ask.kind]({ ...ask, plan: needed, progress: (share) => reply({ id, type: 'progress', share }) });
}
