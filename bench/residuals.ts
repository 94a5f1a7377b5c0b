import { facts } from '../core/test/helpers/facts/all';

/** The table of docs/engine.md, section 5: every fact, what the model says, and how far it is from its window. */
console.log('| fact | | model | window | off |');
console.log('|---|---|---|---|---|');
for (const f of facts) {
  const v = f.value();
  const [low, high] = f.window;
  const off = v < low ? v - low : v > high ? v - high : 0;
  console.log(
    `| ${f.id} | ${f.what} | ${v.toFixed(1)} | ${low} to ${high} | ${off === 0 ? 'in' : `${off.toFixed(1)}${f.miss ? ', known' : ''}`} |`,
  );
}
