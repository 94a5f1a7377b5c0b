import { outlook } from '../../src/cook/outlook';
import { kitchenSchema } from '../../src/dish/kitchen';
import { learnedSchema, type Learned } from '../../src/dish/learned';
import { learn, learnFrom, nothingRemembered, type Log, type Remembered } from '../../src/learn/learn';
import { asEvidence, observationOf } from '../../src/learn/observation';
import type { Dish } from '../../src/dish/schema';
import { isPlanOf } from '../../src/plan/made-for';
import { plan } from '../../src/plan/plan';
import { potOfKitchen } from '../../src/plan/setup/learned';
import { pots } from '../../src/pot/profile';
import { learnedBehind } from '../../src/plan/learned-moved';
import { uncertainty } from '../../src/plan/questions/uncertainty';
import { plausible } from '../helpers/plausible';
import { demoDish } from '../helpers/demo';
import { plainRice, seaLevel, turkeyRice } from '../helpers/dishes';
import { cookedSo, lidOf } from './cooked';

const potId = 'electric-5.7';
const natural = { overrides: { release: { kind: 'natural' as const } } };
const dishes = [plainRice(natural), plainRice({}, 3), turkeyRice(natural), turkeyRice({}, 400), plainRice(natural, 1)];
const plans = dishes.map((d) => plan(d, seaLevel));
const day = 86_400_000;

/** A log of these dishes, in turn, in a pot with these factors. */
const logOf = (count: number, factors: Parameters<typeof lidOf>[3], ratings = {}, from = 0) =>
  Array.from({ length: count }, (_, n) => {
    const k = n % dishes.length;
    const [dish, p] = [dishes[k]!, plans[k]!];
    const one = { dish, plan: p, id: `c${from + n}`, startedMs: 1_000_000_000_000 + (from + n) * day };
    return cookedSo(one, lidOf(dish, seaLevel, p, factors), { ratings });
  });
const weak = { heat: -0.2, loss: 0.2 };

test('a cook without what was drawn and told of its plan teaches the same, from less text', () => {
  const log = logOf(5, weak, { grain: 3, salt: 2 });
  const lean = log.map(asEvidence);
  expect(JSON.stringify(lean).length).toBeLessThan(0.75 * JSON.stringify(log).length);
  expect(learn({ kitchen: seaLevel, cooks: lean })).toEqual(learn({ kitchen: seaLevel, cooks: log }));
});

describe('what a cook of the log says', () => {
  const [dish, p] = [dishes[1]!, plans[1]!];
  const lid = lidOf(dish, seaLevel, p, {});
  test('its taps, minutes after the lid was locked, and what was rated', () => {
    const o = observationOf(cookedSo({ dish, plan: p }, lid, { ratings: { grain: 3, meat: 2, salt: 1 } }), seaLevel)!;
    expect(o.taps.pinMin).toBeCloseTo(lid.pinMin!, 3);
    expect(o.taps.pinDownMin).toBeCloseTo(lid.pinDownMin!, 3);
    expect(o.ratings).toEqual({ grain: 3, salt: 1 });
    expect(o).toMatchObject({ potId, starch: { food: 'rice-long', kinetics: 'react' } });
    expect(o.lateMin).toBeCloseTo(0, 1);
  });
  test('practice, a cook that was never closed and one put right before the pin teach nothing', () => {
    const c = cookedSo({ dish, plan: p }, lid);
    const practice = { seed: 1, faults: [], surprise: false, speed: 10, hands: 'you' as const };
    expect(observationOf({ ...c, practice }, seaLevel)).toBeNull();
    expect(observationOf({ ...c, finishedMs: null }, seaLevel)).toBeNull();
    const put = cookedSo({ dish, plan: p }, lid, { events: [{ kind: 'off-plan', atMin: 2 }] });
    expect(observationOf(put, seaLevel)).toBeNull();
  });
  test('after trouble at pressure only what was tapped before it counts', () => {
    const c = cookedSo({ dish, plan: p }, lid, {
      ratings: { grain: 0 },
      events: [{ kind: 'burn', atMin: lid.fullMin! + 1 }],
    });
    const o = observationOf(c, seaLevel)!;
    expect(o.taps.pinMin).toBeDefined();
    expect(o.taps.pinDownMin).toBeUndefined();
    expect(o.ratings).toEqual({ bottom: 3 });
  });
});

describe('a log', () => {
  const learned = learn({ kitchen: seaLevel, cooks: logOf(8, weak, { grain: 3, salt: 1 }) });
  test('of a weak pot says that it heats weakly and loses more, each with its spread, and passes its own schema', () => {
    expect(learnedSchema.parse(JSON.parse(JSON.stringify(learned)))).toEqual(learned);
    const { heat, loss, leak } = learned.pots[potId]!;
    expect(heat!.value).toBeLessThan(-0.12);
    expect(heat!.value).toBeGreaterThan(-0.28);
    expect(heat!.sd).toBeLessThan(0.5 * heat!.priorSd);
    expect(heat!).toMatchObject({ priorSd: 0.15, cooks: 8 });
    expect(heat!.factor).toBeCloseTo(Math.exp(heat!.value), 5);
    expect(loss!.value).toBeGreaterThan(0.05);
    expect(leak!.sd).toBeGreaterThan(0.5 * leak!.priorSd);
    expect(learned.notIdentified).toContainEqual(expect.objectContaining({ of: potId, parameter: 'set' }));
    expect(learned.cooks).toEqual({ used: 8, leftOut: 0 });
  });
  test('of a cook who finds it soft and wants salt says so', () => {
    expect(learned.cook['like']!.value).toBeLessThan(0);
    expect(learned.cook['salt']!.value).toBeGreaterThan(0.4);
    expect(learned.cook['like:pasta']).toMatchObject({ value: 0, sd: 0.35, cooks: 0 });
    expect(learned.cook['late']).toMatchObject({ priorMean: 0.7, priorSd: 0.35 });
  });
  test('in another order, or with practice in it, teaches the same', () => {
    const cooks = logOf(6, weak);
    const practice = { seed: 1, faults: [], surprise: false, speed: 10, hands: 'you' as const };
    const fake = { ...logOf(1, { heat: 0.4 })[0]!, id: 'p', practice };
    const one = learn({ kitchen: seaLevel, cooks });
    expect(learn({ kitchen: seaLevel, cooks: [...cooks].reverse() })).toEqual(one);
    const with1 = learn({ kitchen: seaLevel, cooks: [fake, ...cooks] });
    expect(with1.pots).toEqual(one.pots);
    expect(with1.cooks).toEqual({ used: 6, leftOut: 1 });
  });
  test('of nothing says that nothing is known', () => {
    const none = learn({ kitchen: seaLevel, cooks: [] });
    expect(none).toMatchObject({ pots: {}, grains: {}, drift: [], next: [], cooks: { used: 0, leftOut: 0 } });
    for (const v of Object.values(none.cook)) expect(v.sd).toBe(v.priorSd);
  });
  test('says what would teach most: before the pin was ever let fall, that', () => {
    const quick = logOf(10, {}).filter((c) => c.plan.program.release.kind !== 'natural');
    expect(quick.length).toBeGreaterThan(2);
    const { next } = learn({ kitchen: seaLevel, cooks: quick });
    expect(next[0]).toMatchObject({ pot: potId, of: 'natural', what: 'Let the pin fall by itself and tap it.' });
    const shares = next.map((n) => n.share);
    expect(shares).toEqual([...shares].sort((a, b) => b - a));
  });
  test('of a pot that became weaker says from which cook on', () => {
    const cooks = [...logOf(10, {}), ...logOf(8, { heat: -0.25 }, {}, 10)];
    const { drift, pots: own } = learn({ kitchen: seaLevel, cooks });
    expect(drift).toHaveLength(1);
    expect(drift[0]).toMatchObject({ pot: potId, parameter: 'heat' });
    expect(Number(drift[0]!.sinceCook.slice(1))).toBeGreaterThanOrEqual(9);
    expect(Number(drift[0]!.sinceCook.slice(1))).toBeLessThanOrEqual(13);
    expect(own[potId]!['heat']!.value).toBeLessThan(-0.15);
  });
});

describe('one more cook', () => {
  const cooks = [...logOf(10, {}), ...logOf(7, { heat: -0.25 }, {}, 10)];
  const of = (n: number): Log => ({ kitchen: seaLevel, cooks: cooks.slice(0, n) });
  const sixteen = learnFrom(nothingRemembered, of(16)).remembered;
  /** Differences of what was learned, in prior spreads. */
  const apart = (a: Learned, b: Learned): number[] =>
    [...Object.entries(a.pots[potId]!), ...Object.entries(a.cook)].map(
      ([name, v]) => Math.abs(v.value - (b.pots[potId]![name] ?? b.cook[name]!).value) / v.priorSd,
    );

  test('is fitted from where the log stood, as all of it would be; what was read off the model is not read again', () => {
    const more = learnFrom(sixteen, of(17));
    const anew = learnFrom({ ...sixteen, standing: null }, of(17));
    expect(Math.max(...apart(more.learned, anew.learned))).toBeLessThan(0.03);
    expect(more.learned.drift).toEqual(anew.learned.drift);
    expect(more.learned.drift).toHaveLength(1);
    for (const [mark, emulator] of sixteen.emulators) expect(more.remembered.emulators.get(mark)).toBe(emulator);
  });
  test('taken away again, it leaves the log as it was', () => {
    const again = learnFrom(learnFrom(sixteen, of(17)).remembered, of(16));
    expect(Math.max(...apart(again.learned, learnFrom(sixteen, of(16)).learned))).toBeLessThan(0.03);
    expect(again.remembered.standing!.weights.size).toBe(16);
  });
  test('that rings an alarm has all judged anew: a change that was not seen before is seen', () => {
    let so: Remembered = nothingRemembered;
    const changes: number[] = [];
    for (let n = 8; n <= cooks.length; n++) {
      const read = learnFrom(so, of(n));
      so = read.remembered;
      changes.push(read.learned.drift.length);
    }
    expect(changes[0]).toBe(0);
    expect(changes.at(-1)).toBe(1);
  });
  test('of another log begins nowhere: more than a cook or two that came or went', () => {
    const other = logOf(9, weak, {}, 50);
    const read = learnFrom(sixteen, { kitchen: seaLevel, cooks: other });
    expect(read.learned).toEqual(learn({ kitchen: seaLevel, cooks: other }));
  });
});

describe('a plan with what was learned', () => {
  const learned = learn({ kitchen: seaLevel, cooks: logOf(8, weak) });
  const mine = kitchenSchema.parse({ learned });
  const dish = plainRice();
  const [own, table] = [plan(dish, mine), plan(dish, seaLevel)];
  test('takes longer to the pin in a weak pot, says what moved it, and is the plan of its dish', () => {
    expect(own.program.pinUpMin).toBeGreaterThan(1.1 * table.program.pinUpMin);
    expect(own.learned!.moved[0]).toMatchObject({ of: potId, parameter: 'heat', cooks: 8 });
    expect(isPlanOf(own, dish)).toBe(true);
    expect(own.madeFor).not.toBe(table.madeFor);
  });
  test('every number that was moved names what moved it, and no other', () => {
    const known = (of: string, parameter: string, value: number) => ({ of, parameter, value, sd: 0.02, cooks: 7 });
    const moved = [
      known(potId, 'heat', -0.12),
      known(potId, 'leak', 0.4),
      known('cook', 'like:react', 0.3),
      known('cook', 'sauce', 0.4),
      known('cook', 'salt', 0.3),
    ];
    const behind = (number: Parameters<typeof learnedBehind>[1]): string[] =>
      learnedBehind({ learned: { mark: 'x', moved } }, number).map((m) => m.parameter);
    expect(behind('pin')).toEqual(['heat']);
    expect(behind('steam')).toEqual(['heat', 'leak']);
    expect(behind('hold')).toEqual(['heat', 'leak', 'like:react']);
    expect(behind('grain')).toEqual(['like:react']);
    expect(behind('sauce')).toEqual(['sauce']);
    expect(behind('salt')).toEqual(['salt']);
    expect(learnedBehind(table, 'hold')).toEqual([]);
  });
  test('what is liked of whole grain says nothing beside white rice or pasta, and the other way round', () => {
    const value = { value: 0.3, sd: 0.05, priorSd: 0.25, cooks: 7 };
    const cook = { 'like:react': value, 'like:diff': value, 'speed:pasta': value, juice: value };
    const liked = kitchenSchema.parse({ learned: { format: 'einkorn.learned/1', cook } });
    const named = (d: Dish): string[] => plan(d, liked).learned!.moved.map((m) => m.parameter);
    expect(named(dish)).toEqual(['like:react']);
    expect(named(demoDish('pork-fennel-bean-rigatoni'))).toEqual(['speed:pasta']);
  });
  test('a taste for softer pasta cooks it longer, a packet that cooks fast shorter, and what is printed is still known', () => {
    const rigatoni = demoDish('pork-fennel-bean-rigatoni');
    const value = (v: number) => ({ value: v, sd: 0.05, priorSd: 0.35, cooks: 9 });
    const minutes = (cook: Learned['cook'], grains: Learned['grains'] = {}): number => {
      const p = plan(rigatoni, kitchenSchema.parse({ learned: { format: 'einkorn.learned/1', cook, grains } }));
      expect(p.pasta!.printedMin).toBe(asPrinted.packetMin);
      // Right is right for this cook: the same multiple of other minutes.
      expect(Math.abs(p.pasta!.x - asPrinted.x)).toBeLessThan(0.1);
      return p.pasta!.equivalentMin;
    };
    const asPrinted = plan(rigatoni, seaLevel).pasta!;
    const neutral = minutes({});
    expect(Math.abs(neutral - asPrinted.equivalentMin)).toBeLessThan(0.05 * neutral);
    expect(minutes({ 'like:pasta': value(0.6) })).toBeGreaterThan(1.08 * neutral);
    expect(minutes({ 'like:pasta': value(-0.6) })).toBeLessThan(0.92 * neutral);
    expect(minutes({}, { rigatoni: { speed: value(0.12) } })).toBeLessThan(0.95 * neutral);
    // Nothing moves it further than a step.
    expect(minutes({ 'like:pasta': value(5) })).toBeCloseTo(minutes({ 'like:pasta': value(1) }), 9);
  });
  test('as from the factory is the plan without it', () => {
    expect(table.learned).toBeUndefined();
    expect(potOfKitchen(seaLevel)).toBe(pots[0]);
  });
  test('a plan made as from the factory is followed so at the stove, whatever has been learned since', () => {
    const onTime = { toPinMin: table.program.pinUpMin };
    expect(outlook(dish, mine, table, onTime)).toEqual(outlook(dish, seaLevel, table, onTime));
    expect(outlook(dish, mine, own, onTime)).not.toEqual(outlook(dish, seaLevel, own, onTime));
  });
  test('a pot that is known spreads less', () => {
    const share = (k: typeof mine): number =>
      uncertainty(dish, k, plan(dish, k), { draws: 300 }).bands.reduce((m, b) => Math.max(m, b.chance), 0);
    expect(share(mine)).toBeGreaterThanOrEqual(share(seaLevel) - 0.02);
  });
  test('a taste moves the aim by its steps: softer rice drinks more, a salty tongue gets more salt', () => {
    const taste: Learned = structuredClone(learned);
    taste.cook['like'] = { value: 0.8, sd: 0.1, priorSd: 0.35, cooks: 9 };
    taste.cook['salt'] = { value: 0.8, sd: 0.1, priorSd: 0.7, cooks: 9 };
    taste.pots = {};
    const p = plan(dish, kitchenSchema.parse({ learned: taste }));
    expect(p.liquid.addMl).toBeGreaterThan(table.liquid.addMl + 10);
    expect(p.salt.aimPercent).toBeCloseTo(table.salt.aimPercent + 0.2, 6);
  });
});

test('learning never gives a shorter hold than the pot of the table needs for a piece that it calls safe', () => {
  const slow: Learned = learn({ kitchen: seaLevel, cooks: [] });
  const v = (value: number) => ({ value, sd: 0.02, priorSd: 0.15, cooks: 20 });
  slow.pots[potId] = { heat: v(-0.35), loss: v(-0.3), metal: v(0.1) };
  let pieces = 0;
  for (let seed = 1; seed <= 28; seed++) {
    const { dish } = plausible(seed);
    const kitchen = kitchenSchema.parse({ learned: slow });
    let own;
    try {
      own = plan(dish, kitchen);
    } catch {
      continue;
    }
    const safe = own.meats.filter((m) => m.ok).map((m) => m.ingredient);
    if (safe.length === 0) continue;
    const { pressure, holdMin, release } = own.program;
    const asCooked = { liquidMl: own.liquid.addMl, pressure, holdMin, release };
    if (own.firstStage) continue;
    const { overrides: _, ...bare } = dish;
    const judged = plan({ ...bare, asCooked }, seaLevel, { mode: 'evaluate' });
    for (const m of judged.meats.filter((x) => safe.includes(x.ingredient))) {
      pieces += 1;
      expect({ seed, ok: m.ok }).toEqual({ seed, ok: true });
    }
  }
  expect(pieces).toBeGreaterThan(10);
});
