import { findFood } from '../src/food/find';
import { bowlHistory, bowlLitres } from '../src/pot/inner-bowl';
import { bedLagS, drinksG, grainTemps, runClock, uptakePerMin } from '../src/grain/clock';
import {
  aimIndexOf,
  pastaBand,
  pastaSauceBand,
  sauceBand,
  soakFactorOf,
  texture,
  wishShift,
} from '../src/grain/texture';
import { soakGPerG, uptakeGPerG } from '../src/grain/uptake';
import type { History } from '../src/history';
import { standIn } from './helpers/standin';

const rice = findFood('rice-long').grain!;
const quinoa = findFood('quinoa').grain!;
const plain = {
  moisture: 0.66,
  equivalentMin: 28,
  soakFactor: 1,
  coated: false,
  acidMlPer200g: 0,
  freeShare: 0,
  saucy: false,
};

// Each value computed by hand from the formula of docs/engine.md, section 3.
describe('texture index by hand', () => {
  test('at its own reference the index is the moisture and the grain’s own shift', () => {
    expect(texture(rice, plain).index).toBeCloseTo(66, 9);
    expect(texture(findFood('rice-short').grain!, plain).index).toBeCloseTo(70, 9);
  });
  test('every rice is centred on its own aim: a right risotto is not soft, a right parboiled rice not firm', () => {
    for (const [food, aim] of [
      ['rice-arborio', 0.685],
      ['rice-parboiled', 0.6],
      ['rice-basmati', 0.66],
    ] as const) {
      const g = findFood(food).grain!;
      const right = texture(g, { ...plain, moisture: aim, equivalentMin: g.eRef[0] });
      expect([g.aimMoisture[0], right.band]).toEqual([aim, 'fluffy']);
      expect(right.index).toBeCloseTo(66, 9);
    }
  });
  test('where sauce stands around it grain of 72 to 74.5 is soft, and mush begins near 75', () => {
    const band = (moisture: number, saucy = true): string =>
      texture(rice, { ...plain, moisture, freeShare: 0.3, saucy }).band;
    expect([0.7, 0.73, 0.745, 0.76].map((m) => band(m))).toEqual(['fluffy', 'soft', 'soft', 'mushy']);
    expect(band(0.73, false)).toBe('mushy');
  });
  test('past its most minutes a kernel is soft however dry it was kept, far past them it is mush', () => {
    const at = (times: number): string =>
      texture(rice, { ...plain, moisture: 0.58, equivalentMin: times * rice.eMax[0] }).band;
    expect([at(0.95), at(1.1), at(1.4)]).toEqual(['hard', 'soft', 'mushy']);
  });
  test('a night of soaking leaves whole kernels .58 of their time, half an hour polished rice .75', () => {
    const [red, white] = [findFood('rice-red').grain!, rice];
    expect([0, 15, 30, 600].map((m) => soakFactorOf(white, m))).toEqual([1, 0.875, 0.75, 0.75]);
    expect([60, 120, 240, 360, 900].map((m) => soakFactorOf(red, m))).toEqual([
      1,
      1,
      expect.closeTo(0.79, 9),
      expect.closeTo(0.58, 9),
      expect.closeTo(0.58, 9),
    ]);
    expect(soakFactorOf(findFood('penne').grain!, 600)).toBe(1);
  });
  test('other grains are centred on their own aim: as it should be is 66 for each', () => {
    const q = texture(quinoa, { ...plain, moisture: quinoa.aimMoisture[0], equivalentMin: quinoa.eRef[0] });
    expect(q.index).toBeCloseTo(66, 9);
    expect(aimIndexOf(quinoa, 'fluffy')).toBeCloseTo(66, 9);
    expect(aimIndexOf(quinoa, 'firm')).toBeCloseTo(66 + wishShift.firm, 9);
    expect(aimIndexOf(findFood('rice-short').grain!, 'soft')).toBeCloseTo(62 + 4 + wishShift.soft, 9);
  });
  test('twice the minutes are 3 ln 2 points, half of them are as many less', () => {
    expect(texture(rice, { ...plain, equivalentMin: 56 }).index).toBeCloseTo(66 + 3 * Math.log(2), 9);
    expect(texture(rice, { ...plain, equivalentMin: 14 }).index).toBeCloseTo(66 - 3 * Math.log(2), 9);
    expect(texture(rice, { ...plain, equivalentMin: 0 }).index).toBeCloseTo(36, 9);
  });
  test('soaked grain stands at its reference after three quarters of the time', () => {
    expect(texture(rice, { ...plain, soakFactor: 0.75, equivalentMin: 21 }).index).toBeCloseTo(66, 9);
    expect(texture(rice, { ...plain, soakFactor: 0.75, equivalentMin: 9 }).done).toBeCloseTo(1 - Math.exp(-2.5), 9);
  });
  test('in a sauce the time counts less, at 4 % free liquid and more not at all; elsewhere always', () => {
    const at = (freeShare: number, saucy = true): number =>
      texture(rice, { ...plain, equivalentMin: 56, freeShare, saucy }).index;
    expect(at(0.02)).toBeCloseTo(66 + 1.5 * Math.log(2), 9);
    expect(at(0.04)).toBeCloseTo(66, 9);
    expect(at(0.5)).toBeCloseTo(66, 9);
    expect(at(0.5, false)).toBeCloseTo(66 + 3 * Math.log(2), 9);
  });
  test('a core under 85 % done is hard, at it is not', () => {
    const e = (done: number): number => (-Math.log(1 - done) * rice.eMin[0]) / 2.5;
    expect(texture(rice, { ...plain, moisture: 0.75, equivalentMin: e(0.849) }).band).toBe('hard');
    expect(texture(rice, { ...plain, moisture: 0.75, equivalentMin: e(0.851) }).band).not.toBe('hard');
  });
});

describe('bands', () => {
  test.each([
    [0, 'dry'],
    [0.0399, 'dry'],
    [0.04, 'moist'],
    [0.1199, 'moist'],
    [0.12, 'saucy'],
    [0.2799, 'saucy'],
    [0.28, 'soupy'],
    [0.9, 'soupy'],
  ])('free liquid of %d of the dish is %s', (share, band) => expect(sauceBand(share)).toBe(band));
  test('around pasta by what is wanted: three quarters of it to twice as much is saucy', () =>
    expect([0.1, 0.5, 0.75, 1.25, 2, 3].map(pastaSauceBand)).toEqual([
      'dry',
      'moist',
      'saucy',
      'saucy',
      'saucy',
      'soupy',
    ]));
  test.each([
    [0.849, 0.6, 'hard'],
    [0.85, 0.6, 'al-dente'],
    [1.049, 0.6, 'al-dente'],
    [1.05, 0.6, 'tender'],
    [1.599, 0.7, 'tender'],
    // Past 1.6 its moisture decides: limited water holds it back.
    [1.6, 0.62, 'tender'],
    [3, 0.6, 'tender'],
    [1.6, 0.63, 'soft'],
  ])('pasta at %d of its packet and %d moist is %s', (x, moisture, band) => expect(pastaBand(x, moisture)).toBe(band));
});

const flat = (tempC: number, seconds: number, dtS = 1, releaseAt = seconds): History => {
  const n = Math.round(seconds / dtS) + 1;
  return {
    dtS,
    tempC: new Float64Array(n).fill(tempC),
    gaugeKpa: new Float64Array(n),
    releaseAt: Math.round(releaseAt / dtS),
    openAt: n - 1,
  };
};

describe('the temperature that the grain reads', () => {
  test('stirred it is the pot’s own; in a bed it lags by its time constant', () => {
    const step = flat(100, 600);
    step.tempC[0] = 20;
    expect(grainTemps(step, { lagS: 0, standMin: 0 })[1]).toBe(100);
    const lagged = grainTemps(step, { lagS: 120, standMin: 0 });
    expect(lagged[120]).toBeCloseTo(100 - 80 * Math.exp(-1), 6);
    expect(bedLagS(5)).toBeCloseTo(60 * 0.09 * 25, 9);
    expect(bedLagS(9)).toBeCloseTo(60 * 4.25, 9);
  });
  test('once the pressure falls the bed is at most 1 K above the pot, before that it may be', () => {
    const falling = flat(110, 400, 1, 200);
    for (let i = 201; i <= 400; i++) falling.tempC[i] = 110 - (i - 200) * 0.1;
    const t = grainTemps(falling, { lagS: 250, standMin: 0 });
    for (let i = 201; i <= 400; i++) expect(t[i]! - falling.tempC[i]!).toBeLessThanOrEqual(1 + 1e-12);
    expect(t[400]! - falling.tempC[400]!).toBeCloseTo(1, 9);
    const cooling = flat(110, 400, 1, 400);
    for (let i = 1; i <= 400; i++) cooling.tempC[i] = 110 - i * 0.1;
    const free = grainTemps(cooling, { lagS: 250, standMin: 0 });
    expect(free[300]! - cooling.tempC[300]!).toBeGreaterThan(5);
  });
  test.each([1, 2])('the stand cools from at most 100 degC with 45 min, whatever the step (%d s)', (dtS) => {
    const t = grainTemps(flat(108, 60, dtS), { lagS: 0, standMin: 4 });
    expect(t.length).toBe(60 / dtS + 1 + 240 / dtS);
    expect(t.at(-1)).toBeCloseTo(25 + 75 * Math.exp(-4 / 45), 9);
    expect(t[60 / dtS + 1]).toBeCloseTo(25 + 75 * Math.exp(-dtS / 60 / 45), 9);
  });
  test('opened cooler it cools from there; simmered it is held at 99 degC first', () => {
    expect(grainTemps(flat(90, 60), { lagS: 0, standMin: 1 }).at(-1)).toBeCloseTo(25 + 65 * Math.exp(-1 / 45), 9);
    const t = grainTemps(flat(90, 60), { lagS: 0, standMin: 1, simmerMin: 2 });
    expect(t.length).toBe(61 + 120 + 60);
    expect([t[61], t[180]]).toEqual([99, 99]);
    expect(t.at(-1)).toBeCloseTo(25 + 74 * Math.exp(-1 / 45), 9);
  });
});

describe('drinking', () => {
  const cook = (slowing: number) =>
    runClock(new Float64Array(600).fill(100), 1, { grain: rice, rawG: 100, soakedG: 0, reachableG: 5000, slowing });
  test('in plenty of water at 100 degC the reference is reached in its boiling time; slowed it takes longer', () => {
    const temps = new Float64Array(Math.round(rice.boilMin[0] * 60)).fill(100);
    const m = runClock(temps, 1, { grain: rice, rawG: 100, soakedG: 0, reachableG: 1e6, slowing: 1 });
    expect(m.moisture).toBeCloseTo(rice.refMoisture[0], 3);
    expect(m.equivalentMin).toBeCloseTo(rice.boilMin[0], 6);
    expect(cook(0.5).moisture).toBeLessThan(cook(1).moisture);
    expect(cook(0.5).equivalentMin).toBe(cook(1).equivalentMin);
  });
  test('below 70 degC nothing happens', () => {
    const cold = runClock(new Float64Array(600).fill(69), 1, {
      grain: rice,
      rawG: 100,
      soakedG: 0,
      reachableG: 300,
      slowing: 1,
    });
    expect(cold.equivalentMin).toBe(0);
    expect(cold.moisture).toBeCloseTo(rice.rawMoisture[0], 12);
  });
  test('what cooked grain still drinks is the exponential law: nothing at once, its whole room in the end', () => {
    expect(drinksG(rice, { rawG: 300, moisture: 0.66 }, 100, 0)).toBe(0);
    const room = 300 * (uptakeGPerG(rice.rawMoisture[0], rice.maxMoisture[0]) - uptakeGPerG(rice.rawMoisture[0], 0.66));
    expect(drinksG(rice, { rawG: 300, moisture: 0.66 }, 100, 1e4)).toBeCloseTo(room, 6);
    const k = uptakePerMin(rice);
    expect(drinksG(rice, { rawG: 300, moisture: 0.66 }, 100, 5)).toBeCloseTo(room * (1 - Math.exp(-5 * k)), 6);
    expect(drinksG(rice, { rawG: 300, moisture: 0.66 }, 90, 5)).toBeLessThan(
      drinksG(rice, { rawG: 300, moisture: 0.66 }, 100, 5),
    );
    expect(drinksG(rice, { rawG: 300, moisture: 0.78 }, 100, 5)).toBe(0);
  });
});

describe('the inner bowl', () => {
  // Fact of docs/engine.md, section 3: a thin bowl of 450 g lags by two to three minutes.
  test('lags behind the pot by minutes, more of it more, and ends near it', () => {
    const pot = flat(116, 2400);
    const minutesTo = (gRice: number, gWater: number): number => {
      const t = bowlHistory(pot, { rawG: gRice, waterG: gWater, startC: 20 }).tempC;
      return t.findIndex((x) => x > 116 - 96 * Math.exp(-1)) / 60;
    };
    expect(minutesTo(200, 250)).toBeGreaterThan(1.2);
    expect(minutesTo(200, 250)).toBeLessThan(3.5);
    expect(minutesTo(400, 500)).toBeGreaterThan(minutesTo(200, 250));
    expect(bowlHistory(pot, { rawG: 200, waterG: 250, startC: 20 }).tempC.at(-1)).toBeGreaterThan(115.5);
  });
  test('cannot stay more than 3 K above a falling pot', () => {
    const pot = flat(116, 2400, 1, 1800);
    for (let i = 1801; i <= 2400; i++) pot.tempC[i] = 98;
    const t = bowlHistory(pot, { rawG: 300, waterG: 380, startC: 20 }).tempC;
    for (let i = 1801; i <= 2400; i++) expect(t[i]!).toBeLessThanOrEqual(101 + 1e-9);
    expect(t[1799]!).toBeGreaterThan(110);
  });
  test('its volume is that of the grain and the water', () => {
    expect(bowlLitres(1450, 998)).toBeCloseTo(2, 9);
  });
});

// Table of the notes for covered steel bowls of 16 cm (docs/engine.md, section 3): 6 min to the boil, 4 min at pressure
// and the extra minutes that the bowl needs.
describe('the inner bowl against its table', () => {
  test.each([
    [150, 190, 4.3, 80, 115, 2.7],
    [200, 250, 5.6, 74, 114, 3.3],
    [300, 375, 7.8, 66, 113, 4.4],
  ])('%d g rice and %d g water', (rice, water, extraMin, atHighC, atEndC, lagMin) => {
    const { tempC, releaseAt } = standIn(360, 20, 240 + 60 * extraMin, 600);
    const bowl = bowlHistory(
      { dtS: 1, tempC, gaugeKpa: new Float64Array(tempC.length), releaseAt, openAt: tempC.length - 1 },
      { rawG: rice, waterG: water, startC: 20 },
    ).tempC;
    expect(Math.abs(bowl[360 + 90]! - atHighC)).toBeLessThan(1.2);
    expect(Math.abs(bowl[releaseAt]! - atEndC)).toBeLessThan(1.2);
    expect(Math.abs((bowl.findIndex((c) => c >= 95) - 360) / 60 - lagMin)).toBeLessThan(0.2);
    // Its water boils as the pressure falls: never more than 3 K above the pot, and the wall lets it be at least 1.
    for (let i = releaseAt + 1; i < bowl.length; i++) expect(bowl[i]! - tempC[i]!).toBeLessThanOrEqual(3 + 1e-9);
    expect(Math.max(...bowl.subarray(releaseAt + 1).map((c, i) => c - tempC[releaseAt + 1 + i]!))).toBeGreaterThan(1);
  });
});

// Arrhenius with 25 kJ/mol by hand: ten minutes at 35 degC are 13.87 min at 25 degC.
test('warm water soaks faster', () => {
  expect(soakGPerG(0.12, false, 10, 35)).toBeCloseTo(soakGPerG(0.12, false, 13.87, 25), 4);
  expect(soakGPerG(0.12, false, 10, 15)).toBeLessThan(soakGPerG(0.12, false, 10, 25));
  expect(soakGPerG(0.12, false, 0)).toBe(0);
  // Even a minute counts.
  expect(soakGPerG(0.12, false, 1)).toBeGreaterThan(0);
});
// The bed's water boils as the pressure falls: from the release on it stays within 1 K of the pot, before it may lag.
test('the bed follows a falling pot within a degree', () => {
  const tempC = Float64Array.from({ length: 600 }, (_, i) => (i < 300 ? 116 : 116 - (i - 300) * 0.05));
  const temps = grainTemps(
    { dtS: 1, tempC, gaugeKpa: new Float64Array(600), releaseAt: 299, openAt: 599 },
    { lagS: 200, standMin: 0 },
  );
  expect(temps[10]).toBe(116);
  for (let i = 300; i < 600; i++) expect(temps[i]! - tempC[i]!).toBeLessThanOrEqual(1 + 1e-9);
  expect(temps[500]! - tempC[500]!).toBeCloseTo(1, 6);
});
