import * as z from 'zod';
import { foods } from '../src/food/find';
import { pots } from '../src/pot/profile';
import { sourceKinds } from '../src/source';
import { families } from '../src/dish/schema';
import { familyRules } from '../src/plan/gather/families';
import { schoolTable } from '../src/plan/questions/schools';
import { symptoms } from '../src/rescue/moves';

/* The tables of the domain against schemas: every value in a range that a kitchen knows, every value with its source. */
const source = z.enum(Object.keys(sourceKinds) as [string, ...string[]]);
const sourced = (least: number, most: number) => z.tuple([z.number().min(least).max(most), source]);
const share = sourced(0, 1);

const grain = z.object({
  rawMoisture: sourced(0.05, 0.15),
  refMoisture: sourced(0.55, 0.9),
  maxMoisture: sourced(0.6, 0.95),
  boilMin: sourced(2, 90),
  eMin: sourced(2, 120),
  eRef: sourced(2, 120),
  eMax: sourced(2, 160),
  kinetics: z.enum(['react', 'diff', 'pasta']),
  textureShift: sourced(-10, 10),
  clingGPerG: sourced(0, 0.4),
  aimMoisture: sourced(0.5, 0.9),
  bran: z.boolean(),
});
const meat = z.object({
  composition: z.tuple([z.number(), z.number(), z.number(), z.number()]),
  compositionSource: source,
  freezeC: sourced(-4, 0),
  species: z.enum(['poultry', 'red', 'game', 'fish', 'shellfish', 'egg']),
  cut: z.string(),
  tenderCoreMin: sourced(1, 60).optional(),
  // Published minimums lie between 63 and 74 degC.
  safeMinimumC: sourced(63, 74),
  safeMinimumSource: z.string().min(10),
  defaultThicknessMm: sourced(2, 90),
});
const food = z.object({
  id: z.string().regex(/^[a-z]+(-[a-z]+)*$/),
  kind: z.enum(['grain', 'pasta', 'meat', 'vegetable', 'liquid', 'dairy', 'fat', 'seasoning', 'other']),
  water: share,
  free: share,
  // Fresh food gives juice and dried fruit drinks a little; what is dried hard (below) drinks several times its weight.
  released: sourced(-3.5, 0.7),
  releaseSd: sourced(0, 0.5),
  cpKjPerKgK: sourced(0.8, 4.3),
  densityGPerMl: sourced(0.8, 2.3),
  bulkGPerMl: sourced(0.08, 1.5),
  saltPer100g: sourced(0, 100),
  pieceG: sourced(0.5, 1000).optional(),
  packetG: sourced(50, 2000).optional(),
  grain: grain.optional(),
  meat: meat.optional(),
});

test.each(foods.map((f) => [f.id, f] as const))('%s: every value in its range and with its source', (_, f) => {
  expect(food.safeParse(f).error?.issues ?? []).toEqual([]);
  // It cannot hold more liquid than water, nor pack tighter than it is.
  expect(f.free[0] + Math.max(0, f.released[0])).toBeLessThanOrEqual(f.water[0] + 0.03);
  expect(f.bulkGPerMl[0]).toBeLessThanOrEqual(f.densityGPerMl[0] * 1.06);
  const driedHard = f.water[0] <= 0.14 && f.released[0] < 0;
  if (!driedHard) {
    expect(f.released[0]).toBeGreaterThanOrEqual(-0.4);
    expect(f.releaseSd[0]).toBeLessThanOrEqual(0.2);
  }
  const g = f.grain;
  if (g) {
    expect(g.eMin[0]).toBeLessThanOrEqual(g.eRef[0]);
    expect(g.eRef[0]).toBeLessThanOrEqual(g.eMax[0]);
    expect(g.rawMoisture[0]).toBeLessThan(g.refMoisture[0]);
    expect(g.refMoisture[0]).toBeLessThan(g.maxMoisture[0]);
  }
  if (f.meat) expect(f.meat.composition.reduce((s, x) => s + x, 0)).toBeCloseTo(1, 1);
});
test('ids are one food each', () => {
  expect(new Set(foods.map((f) => f.id)).size).toBe(foods.length);
});

// Ranges given for household cookers: docs/engine.md, section 2.
test.each(pots.map((p) => [p.id, p] as const))('%s: a cooker as kitchens have them', (_, p) => {
  expect(p.litres).toBeGreaterThanOrEqual(2.5);
  expect(p.litres).toBeLessThanOrEqual(12);
  expect(p.highKpa).toBeGreaterThanOrEqual(70);
  expect(p.highKpa).toBeLessThanOrEqual(105);
  if (p.lowKpa !== null) expect(p.lowKpa).toBeLessThan(p.highKpa);
  expect(p.pinDropPa).toBeLessThan(p.pinUpPa);
  expect(p.minimumLiquidMl[0]).toBeGreaterThanOrEqual(150);
  expect(source.safeParse(p.minimumLiquidMl[1]).success).toBe(true);
  // The pot is higher than a plate and lower than a pipe.
  const heightMm = (p.litres * 1e6) / ((Math.PI / 4) * p.diameterMm ** 2);
  expect(heightMm / p.diameterMm).toBeGreaterThan(0.4);
  expect(heightMm / p.diameterMm).toBeLessThan(1.2);
  if (p.whistle) expect(p.whistle.closePa).toBeLessThan(p.whistle.openPa);
  for (const x of p.programs ?? []) expect(x.holdMin).toBeGreaterThan(0);
});
test('every pot of the contract is there', () => {
  const ids = pots.map((p) => p.id);
  for (const id of ['electric-5.7', 'electric-8', 'electric-3', 'stovetop-6', 'whistle-5']) expect(ids).toContain(id);
});
test('every family has a rule of its own, none shared with another', () => {
  expect(Object.keys(familyRules).sort()).toEqual([...families].sort());
  expect(new Set(Object.values(familyRules)).size).toBe(families.length);
  for (const r of Object.values(familyRules)) {
    expect(sourced(0, 0.7).safeParse(r.sauceShare).success).toBe(true);
    expect(r.standMin).toBeLessThanOrEqual(10);
  }
});
test('schools are ratios between equal and three to one, or a rule of their own', () => {
  for (const s of schoolTable) if ('ratio' in s) expect(s.ratio >= 1 && s.ratio <= 3).toBe(true);
  expect(new Set(schoolTable.map((s) => s.id)).size).toBe(schoolTable.length);
});
test('every symptom says what never to do', () => {
  for (const s of Object.values(symptoms)) expect(s.never.length).toBeGreaterThan(0);
});
