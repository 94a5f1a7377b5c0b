/** Mass fractions of a food; carbohydrate and fibre are for vegetables. */
export interface Composition {
  water: number;
  protein: number;
  fat: number;
  carb?: number;
  fibre?: number;
  ash: number;
}

/** The mass fractions of a meat record by their names: water, protein, fat, ash. */
export const compositionOf = ([water, protein, fat, ash]: readonly [number, number, number, number]): Composition => ({
  water,
  protein,
  fat,
  ash,
});

type Poly = readonly [number, number, number];
interface Component {
  kWPerMK: Poly;
  rhoKgPerM3: Poly;
  cpKjPerKgK: Poly;
}

/** Choi & Okos (1986) as in ASHRAE Refrigeration, chapter 19: a0 + a1 t + a2 t2, t in degC. Recalled, cross-checked. */
export const choiOkos: Record<'protein' | 'fat' | 'carb' | 'fibre' | 'ash' | 'water' | 'ice', Component> = {
  protein: {
    kWPerMK: [0.17881, 1.1958e-3, -2.7178e-6],
    rhoKgPerM3: [1329.9, -0.5184, 0],
    cpKjPerKgK: [2.0082, 1.2089e-3, -1.3129e-6],
  },
  fat: {
    kWPerMK: [0.18071, -2.7604e-4, -1.7749e-7],
    rhoKgPerM3: [925.59, -0.41757, 0],
    cpKjPerKgK: [1.9842, 1.4733e-3, -4.8008e-6],
  },
  carb: {
    kWPerMK: [0.20141, 1.3874e-3, -4.3312e-6],
    rhoKgPerM3: [1599.1, -0.31046, 0],
    cpKjPerKgK: [1.5488, 1.9625e-3, -5.9399e-6],
  },
  fibre: {
    kWPerMK: [0.18331, 1.2497e-3, -3.1683e-6],
    rhoKgPerM3: [1311.5, -0.36589, 0],
    cpKjPerKgK: [1.8459, 1.8306e-3, -4.6509e-6],
  },
  ash: {
    kWPerMK: [0.32962, 1.4011e-3, -2.9069e-6],
    rhoKgPerM3: [2423.8, -0.28063, 0],
    cpKjPerKgK: [1.0926, 1.8896e-3, -3.6817e-6],
  },
  water: {
    kWPerMK: [0.57109, 1.7625e-3, -6.7036e-6],
    rhoKgPerM3: [997.18, 3.1439e-3, -3.7574e-3],
    cpKjPerKgK: [4.1762, -9.0864e-5, 5.4731e-6],
  },
  ice: {
    kWPerMK: [2.2196, -6.2489e-3, 1.0154e-4],
    rhoKgPerM3: [916.89, -0.13071, 0],
    cpKjPerKgK: [2.0623, 6.0769e-3, 0],
  },
};
const waterBelowZero: Poly = [4.0817, -5.3062e-3, 9.9516e-4];
/** Latent heat of ice, kJ/kg, and the share of the protein's mass that binds water which never freezes. */
const iceKjPerKg = 333.6;
const boundPerProtein = 0.4;
/** Weight of the series arrangement in the conductivity [tuned to lean meat 0.49, potato 0.55 W/mK]. */
const seriesShare = { muscle: 0.4, plant: 0.2 };

const poly = (p: Poly, t: number): number => p[0] + t * (p[1] + t * p[2]);

/** Plants are mostly water and carbohydrate; the trace of it in an egg does not make it one. */
const isPlant = (c: Composition): boolean => (c.carb ?? 0) > 0.03;

/** Ice, mass fraction, at `t` degC below the freezing point (Raoult form). */
export function iceShare(c: Composition, freezeC: number, t: number): number {
  if (t >= freezeC) return 0;
  const bound = isPlant(c) ? 0 : boundPerProtein * c.protein;
  return (c.water - bound) * (1 - freezeC / t);
}

/** Density (kg/m3), heat capacity without latent heat (J/kg K) and conductivity (W/mK) of the mixture at `t` degC. */
export function mixture(c: Composition, freezeC: number, t: number): { rho: number; cp: number; k: number } {
  const ice = iceShare(c, freezeC, t);
  const parts: [keyof typeof choiOkos, number][] = [
    ['water', c.water - ice],
    ['ice', ice],
    ['protein', c.protein],
    ['fat', c.fat],
    ['carb', c.carb ?? 0],
    ['fibre', c.fibre ?? 0],
    ['ash', c.ash],
  ];
  let volume = 0;
  let cp = 0;
  let parallel = 0;
  let series = 0;
  for (const [name, x] of parts) {
    if (x <= 0) continue;
    const v = x / poly(choiOkos[name].rhoKgPerM3, t);
    const k = poly(choiOkos[name].kWPerMK, t);
    volume += v;
    parallel += v * k;
    series += v / k;
    cp += x * poly(name === 'water' && t < 0 ? waterBelowZero : choiOkos[name].cpKjPerKgK, t);
  }
  const w = isPlant(c) ? seriesShare.plant : seriesShare.muscle;
  return { rho: 1 / volume, cp: cp * 1000, k: (1 - w) * (parallel / volume) + (w * volume) / series };
}

const fromC = -45;
const toC = 135;
const stepC = 0.05;

/** Enthalpy table of a food, J/kg above -45 degC, every 0.05 K: integral of cp plus the latent heat of the ice gone. */
export function enthalpyTable(c: Composition, freezeC: number): { tempC: Float64Array; jPerKg: Float64Array } {
  const count = Math.round((toC - fromC) / stepC) + 1;
  const tempC = new Float64Array(count);
  const jPerKg = new Float64Array(count);
  const ice0 = iceShare(c, freezeC, fromC);
  let sensible = 0;
  let last = mixture(c, freezeC, fromC).cp;
  for (let i = 0; i < count; i++) {
    const t = fromC + i * stepC;
    const cp = mixture(c, freezeC, t).cp;
    if (i > 0) sensible += ((last + cp) / 2) * stepC;
    last = cp;
    tempC[i] = t;
    jPerKg[i] = sensible + iceKjPerKg * 1000 * (ice0 - iceShare(c, freezeC, t));
  }
  return { tempC, jPerKg };
}
