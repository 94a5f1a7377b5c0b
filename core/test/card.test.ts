import { card } from '../src/share/card';
import { plan } from '../src/plan/plan';
import { demo, demoDish } from './helpers/demo';
import { hut } from './helpers/dishes';

/* A card is followed without looking anywhere else: what is to be taken is what is poured, and nothing is left open. */
const section = (text: string, head: string): string[] => {
  const lines = text.split('\n');
  const from = lines.indexOf(head);
  const to = lines.findIndex((l, i) => i > from && !l.startsWith(' '));
  return lines.slice(from + 1, to < 0 ? undefined : to);
};
const millilitres = (lines: string[]): number =>
  lines.reduce((s, l) => s + Number(/^ *(\d+) mL {2}/.exec(l)?.[1] ?? 0), 0);

describe('a plan as a card', () => {
  test.each([...demo.keys()])('%s: takes what it pours, and says nothing that is no word or number', (id) => {
    const dish = demoDish(id);
    const p = plan(dish, hut);
    const text = card(dish, p);
    expect(Math.abs(millilitres(section(text, 'Take')) - p.liquid.addMl - p.topUpMl)).toBeLessThan(6);
    expect(text).not.toMatch(/undefined|NaN|null|\[object|\{\{/);
    expect(section(text, 'Finish').length).toBe(p.finish.length);
  });
  test('every warning stands on it, the stops by their name', () => {
    const dish = demoDish('stirred-tomato-rice');
    const p = plan(dish, hut);
    expect(section(card(dish, p), 'Mind').length).toBe(p.warnings.length + p.proposals.length);
    expect(card(dish, p)).toContain('The base');
  });
});
