import { setUp } from '../src/plan/setup/setup';
import { curveOf } from '../src/plan/write/curve';
import type { Plan } from '../src/plan/document/document';
import type { MeatRun } from '../src/plan/simulate/meat';
import { schedulesFor } from '../src/plan/questions/schedules';
import type { Run } from '../src/plan/judge/run';
import { cookWith, freeTraceOf } from '../src/plan/judge/runs';
import { hut, turkeyRice } from './helpers/dishes';

/* The curve of the charts is the run itself, every quarter of a minute. */
const cooked = cookWith(setUp(turkeyRice(), hut), 400, { pressure: 'high', holdMin: 4, release: { kind: 'quick' } });
const { history } = cooked.potRun;
const curve = curveOf(cooked);
const with_ = (change: Partial<Run>): Run => ({ ...cooked, ...change });

test('a point every fifteen seconds, each the run’s own', () => {
  expect(curve.minutes.slice(0, 4)).toEqual([0, 0.25, 0.5, 0.75]);
  expect(curve.minutes).toHaveLength(Math.ceil(history.tempC.length / 15));
  for (const i of [0, 7, curve.minutes.length - 1]) {
    expect(curve.tempC[i]).toBeCloseTo(history.tempC[15 * i]!, 2);
    expect(curve.gaugeKpa[i]).toBeCloseTo(history.gaugeKpa[15 * i]!, 2);
    expect(curve.grainC![i]).toBeCloseTo(cooked.temps![15 * i]!, 2);
    expect(curve.freeG![i]).toBeCloseTo(freeTraceOf(cooked)![15 * i]!, 1);
  }
  const slow = { ...cooked.potRun, history: { ...history, dtS: 30 } };
  expect(curveOf(with_({ potRun: slow })).minutes).toHaveLength(history.tempC.length);
});
test('the meat is the one that is coldest on the cautious side, read between its own points and held at its ends', () => {
  const piece = (cautiousCoreC: number, minutes: number[], coreC: number[]): MeatRun =>
    ({ verdict: { cautiousCoreC }, trace: { minutes, coreC } }) as unknown as MeatRun;
  const meats = [piece(90, [0, 100], [1, 1]), piece(70, [1, 2, 4], [10, 20, 60]), piece(80, [0, 100], [2, 2])];
  const { meatC } = curveOf(with_({ meats }));
  const at = (min: number): number => meatC![4 * min]!;
  expect([at(0), at(1), at(1.5), at(2), at(3), at(4), at(9)]).toEqual([10, 10, 15, 20, 40, 60, 60]);
  expect(curveOf(with_({ meats: [piece(70, [], [])] }))).not.toHaveProperty('meatC');
  expect(curveOf(with_({ meats: [] }))).not.toHaveProperty('meatC');
});
test('without a starch there is neither its temperature nor its water', () => {
  const { temps: _, ...bare } = cooked;
  const none = curveOf(bare);
  expect([none.grainC, none.freeG]).toEqual([undefined, undefined]);
});

describe('programs that are told, by what is in the plan', () => {
  const of = (food: string | null, more: Partial<Plan> = {}): [number, number][] =>
    schedulesFor({
      family: 'one-pot-grain',
      grain: food ? { food } : null,
      pasta: null,
      ...more,
    } as unknown as Plan).map((k) => [k.holdMin, k.naturalMin]);
  const pasta = (packetMin: number) => of(null, { pasta: { packetMin } as Plan['pasta'] });
  test('pasta by half its packet and two less, never under nothing', () => {
    expect(pasta(11)).toEqual([
      [5.5, 0],
      [3.5, 0],
    ]);
    expect(pasta(4)).toEqual([
      [2, 0],
      [0, 0],
    ]);
    expect(pasta(3)).toEqual([[1.5, 0]]);
  });
  test('white, parboiled and brown rice, a risotto and barley each have their own; what nobody tells has none', () => {
    const programs = [
      of('rice-long'),
      of('rice-parboiled'),
      of('rice-brown-long'),
      of('barley-pearl'),
      of('oats-steel-cut'),
    ];
    expect(new Set(programs.map((t) => JSON.stringify(t))).size).toBe(5);
    expect(programs.every((t) => t.length > 0)).toBe(true);
    expect(of('rice-basmati')).toEqual(of('rice-long'));
    expect(of('rice-long', { family: 'risotto' })).not.toEqual(of('rice-long'));
    expect(of('bulgur')).toEqual([]);
    expect(of(null)).toEqual([]);
  });
});
