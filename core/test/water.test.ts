import psychrolib from 'psychrolib';
import { ambientPa, steamC } from '../src/water/atmosphere';
import { saturationC, saturationPa } from '../src/water/saturation';
import { latentJPerKg, steamDensity } from '../src/water/steam';

const kelvin = (k: number): number => k - 273.15;

describe('saturation line', () => {
  // IAPWS-IF97, tables 35 and 36: the standard's own verification values.
  test.each([
    [300, 0.353658941e-2],
    [500, 0.263889776e1],
    [600, 0.123443146e2],
  ])('pressure at %d K', (k, mpa) => {
    expect(Math.abs(saturationPa(kelvin(k)) / (mpa * 1e6) - 1)).toBeLessThan(3e-9);
  });
  test.each([
    [0.1, 0.372755919e3],
    [1, 0.453035632e3],
    [10, 0.584149488e3],
  ])('temperature at %d MPa', (mpa, k) => {
    expect(Math.abs((saturationC(mpa * 1e6) + 273.15) / k - 1)).toBeLessThan(3e-9);
  });

  test('agrees with the ASHRAE formulation in psychrolib, 5 to 140 degC', () => {
    psychrolib.SetUnitSystem(psychrolib.SI);
    const worst = Math.max(...range(5, 140, 5).map((c) => Math.abs(saturationPa(c) / psychrolib.GetSatVapPres(c) - 1)));
    expect(worst).toBeLessThan(1e-3);
  });

  test('is its own inverse', () => {
    const worst = Math.max(...range(5, 140, 2.5).map((c) => Math.abs(saturationC(saturationPa(c)) - c)));
    expect(worst).toBeLessThan(1e-6);
  });
});

describe('steam fits', () => {
  // IAPWS SR1-86(1992) at 373.1243 K: rho'' 0.597586 kg/m3, h'' - h' = 2675.7 - 419.05 kJ/kg.
  test('density and latent heat at the normal boiling point', () => {
    expect(steamDensity(99.9743)).toBeCloseTo(0.597586, 3);
    expect(latentJPerKg(99.9743) / 1000).toBeCloseTo(2675.7 - 419.05, 0);
  });
  test('latent heat falls and density rises with temperature', () => {
    const t = range(20, 130, 1);
    expect(t.every((c) => latentJPerKg(c + 1) < latentJPerKg(c) && steamDensity(c + 1) > steamDensity(c))).toBe(true);
  });
});

describe('altitude', () => {
  // ISO 2533 standard atmosphere, geometric altitude.
  test.each([
    [0, 101325],
    [1000, 89876],
    [2000, 79501],
    [3000, 70121],
  ])('air pressure at %d m', (h, pa) => {
    expect(Math.abs(ambientPa(h) / pa - 1)).toBeLessThan(3e-5);
  });

  test('agrees with psychrolib, 0 to 4000 m (it takes geopotential for geometric height)', () => {
    psychrolib.SetUnitSystem(psychrolib.SI);
    const worst = Math.max(
      ...range(0, 4000, 250).map((h) => Math.abs(ambientPa(h) / psychrolib.GetStandardAtmPressure(h) - 1)),
    );
    expect(worst).toBeLessThan(5e-4);
  });

  // The pot table of docs/engine.md: boiling point, low, high and stovetop pressure.
  test.each([
    [0, 99.97, 109.57, 116.27, 120.42],
    [600, 97.98, 108.07, 115.03, 119.3],
    [1500, 94.98, 105.86, 113.21, 117.69],
    [3000, 89.98, 102.32, 110.36, 115.17],
  ])('pot temperatures at %d m', (h, boil, low, high, stove) => {
    const here = [0, 40, 75, 100].map((kpa) => steamC(kpa, h));
    [boil, low, high, stove].forEach((c, i) => expect(Math.abs(here[i]! - c)).toBeLessThan(0.02));
  });
});

function range(from: number, to: number, step: number): number[] {
  return Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, i) => from + i * step);
}
