import { saturationPa } from './saturation';

/** Specific gas constants, J/(kg K): water vapour and dry air (ISO 2533). */
export const steamGasJPerKgK = 461.526;
export const airGasJPerKgK = 287.05287;

/** Heat capacity of liquid water, J/(kg K): the mean of 10..117 degC is 4197 (derived from SR1-86). */
export const waterJPerKgK = 4200;

/** Latent heat, J/kg, at degC. Least-squares fit to IAPWS SR1-86(1992), 5..140 degC, worst error 1.6e-4. */
export const latentJPerKg = (c: number): number => 2501244.0 - c * (2391.3252 - c * (0.83971304 - c * 0.013953047));

/** Compressibility of saturated steam, from the same fit. */
const compressibility = (c: number): number => 0.99964649 - c * (4.7310748e-5 - c * (7.2414147e-8 - c * 1.1044841e-8));

/** Density of saturated steam, kg/m3, at degC; `pa` is its saturation pressure. Worst error 1.9e-4 against SR1-86. */
export const steamDensity = (c: number, pa = saturationPa(c)): number =>
  pa / (compressibility(c) * steamGasJPerKgK * (c + 273.15));

/** Slope of the saturation line, Pa/K (Clapeyron, with the liquid's volume as 0.00106 m3/kg). */
export const saturationSlope = (c: number, rho: number, latent: number): number =>
  (latent * rho) / ((c + 273.15) * (1 - 0.00106 * rho));
