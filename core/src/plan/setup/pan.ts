import { addTo, openFor, takeFrom, type OpenState } from '../../pot/open';
import type { PotProfile } from '../../pot/profile';
import { deglazeMin, deglazeMl, isReduced } from './fry';
import type { FryStep } from '../document/steps';
import type { Gathered, Item } from '../gather/item';

/** Where food comes from, degC [common practice]. */
const fridgeC = 4;
const shelfC = 20;
/** A reduction that never ends [common practice]. */
const mostReduceMin = 12;

/** The pan when the last step is done: what the lid is closed on. */
export interface PanRun {
  baseC: number;
  foodC: number;
  /** boiled off by reducing and deglazing, g; what frying takes from the food is in the food's own juice */
  reducedG: number;
  reduceMin: number;
  steps: { ingredient: string; foodC: number; baseC: number; evaporatedG: number }[];
}

const lump = (i: Item, grams: number) => ({
  massKg: grams / 1000,
  cpJPerKgK: i.food.cpKjPerKgK[0] * 1000,
  tempC: i.food.kind === 'meat' ? fridgeC : shelfC,
  waterKg: (grams * i.food.water[0]) / 1000,
});

/**
 * The frying as the plan orders it, second by second: every food cools the pan when it goes in, gives water to boil, and
 * takes its heat along when it is taken out; wine is boiled down to half, then the deglazing liquid cools the plate.
 */
export function panRun(g: Gathered, pot: PotProfile, altitudeM: number, fry: readonly FryStep[]): PanRun {
  let s: OpenState = {
    tempC: pot.roomC,
    baseC: pot.roomC,
    heatJPerK: pot.wallJPerK,
    evaporatedKg: 0,
    waterKg: 0,
  };
  const steps: PanRun['steps'] = [];
  for (const f of fry) {
    if (f.until === 'reduced') continue;
    const item = g.items.find((i) => i.ingredient.id === f.ingredient)!;
    const batches = f.batches ?? 1;
    const before = s.evaporatedKg;
    const part = lump(item, item.grams / batches);
    for (let k = 0; k < batches; k++) {
      const inPan = addTo(s, part);
      const fried = openFor({ pot, altitudeM }, inPan, (f.minutes / batches) * 60, 'saute');
      const lost = Math.min(part.waterKg, fried.evaporatedKg - inPan.evaporatedKg);
      s = f.takeOut ? takeFrom(fried, { ...part, massKg: part.massKg - lost, waterKg: part.waterKg - lost }) : fried;
    }
    steps.push({
      ingredient: f.ingredient,
      foodC: s.tempC,
      baseC: s.baseC,
      evaporatedG: 1000 * (s.evaporatedKg - before),
    });
  }
  const wet = s.evaporatedKg;
  let reduceMin = 0;
  for (const item of g.items.filter(isReduced)) {
    s = addTo(s, lump(item, item.grams));
    const aim = s.evaporatedKg + reducedG(item) / 1000;
    while (s.evaporatedKg < aim && reduceMin < mostReduceMin) {
      s = openFor({ pot, altitudeM }, s, 15, 'simmer');
      reduceMin += 0.25;
    }
  }
  s = addTo(s, { massKg: deglazeMl / 1000, cpJPerKgK: 4180, tempC: shelfC, waterKg: deglazeMl / 1000 });
  // The heat goes off for the scraping; what fills the pot afterwards cools it at once.
  s = openFor({ pot, altitudeM }, s, deglazeMin * 60, 'off');
  return {
    baseC: s.baseC,
    foodC: s.tempC,
    reducedG: 1000 * (s.evaporatedKg - wet),
    reduceMin,
    steps,
  };
}

const reducedTo = 0.5;
/** Water and alcohol that leave while wine is boiled down, g. */
export const reducedG = (i: Item): number => (1 - reducedTo) * i.grams;

/** The frying steps with what the pan says of each: its minutes where they follow from the heat, temperatures, water lost. */
export const withPan = (fry: readonly FryStep[], pan: PanRun): FryStep[] =>
  fry.map((f) => {
    if (f.until === 'reduced') return { ...f, minutes: pan.reduceMin };
    const s = pan.steps.find((x) => x.ingredient === f.ingredient);
    return s ? { ...f, foodC: s.foodC, baseC: s.baseC, evaporatedG: s.evaporatedG } : f;
  });
