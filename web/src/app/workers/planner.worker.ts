import { compareSchools, donenessMap, plan, Problem } from '@einkorn/core';
import type { Ask, Reply } from './protocol';

const reply = (r: Reply): void => postMessage(r);

addEventListener('message', ({ data }: MessageEvent<{ id: number; ask: Ask }>) => {
  const { id, ask } = data;
  try {
    const value =
      ask.kind === 'plan'
        ? plan(ask.dish, ask.kitchen)
        : ask.kind === 'schools'
          ? compareSchools(ask.dish, ask.kitchen, ask.plan)
          : donenessMap(ask.dish, ask.kitchen, ask.plan, (share) => reply({ id, type: 'progress', share }));
    reply({ id, type: 'done', value });
  } catch (e) {
    const problem = e instanceof Problem ? e.toJSON() : { code: 'internal', message: String(e), issues: [] };
    reply({ id, type: 'problem', problem });
  }
});
