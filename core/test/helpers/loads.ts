import type { Load, SlowItem, ThinItem } from '../../src/pot/state';

/* The five kitchens of the pot's fact table: sea level, room 21 degC, lid 21 degC. */
const thin = (massKg: number, cp: number, water: number, rho: number, tempC: number): ThinItem => ({
  massKg,
  cpJPerKgK: cp,
  water,
  densityKgPerM3: rho,
  tempC,
});
const rice = (kg: number, c: number): ThinItem => thin(kg, 1850, 0.12, 1400, c);
const broth = (kg: number, c: number): ThinItem => thin(kg, 4130, 0.97, 1000, c);
const chicken = (kg: number, c: number, tauS: number): SlowItem => ({
  massKg: kg,
  cpJPerKgK: 3500,
  tauS,
  densityKgPerM3: 1050,
  tempC: c,
});

export const facts: Record<string, { load: Load; holdMin: number }> = {
  smallRice: {
    load: { thin: [rice(0.185, 20), broth(0.3, 10)], slow: [], wallC: 21, baseC: 21, lidC: 21 },
    holdMin: 5,
  },
  chickenRice: {
    load: { thin: [rice(0.37, 40), broth(0.475, 20)], slow: [chicken(1.1, 35, 350)], wallC: 75, baseC: 130, lidC: 21 },
    holdMin: 8,
  },
  hotMeatRice: {
    load: {
      thin: [thin(0.455, 3250, 0.62, 1050, 92), rice(0.185, 20), broth(0.24, 20)],
      slow: [],
      wallC: 92,
      baseC: 170,
      lidC: 21,
    },
    holdMin: 5,
  },
  pastaChicken: {
    load: {
      thin: [rice(0.45, 20), broth(0.7, 20), thin(0.25, 3900, 0.9, 1000, 75)],
      slow: [chicken(0.9, 40, 140)],
      wallC: 80,
      baseC: 140,
      lidC: 21,
    },
    holdMin: 5,
  },
  soup: { load: { thin: [thin(3, 4050, 0.92, 1020, 15)], slow: [], wallC: 21, baseC: 21, lidC: 21 }, holdMin: 10 },
};

/** Clean water alone, for checks by hand. */
export const waterLoad = (kg: number, tempC: number): Load => ({
  thin: [thin(kg, 4200, 1, 998, tempC)],
  slow: [],
  wallC: tempC,
  baseC: tempC,
  lidC: tempC,
});
