import { saturationC } from './saturation';

/** Air pressure in Pa at a geometric altitude in m: ISO 2533 / ICAO standard atmosphere, troposphere. */
export function ambientPa(altitudeM: number): number {
  const geopotential = (6356766 * altitudeM) / (6356766 + altitudeM);
  return 101325 * (1 - (0.0065 * geopotential) / 288.15) ** (9.80665 / (287.05287 * 0.0065));
}

/** Temperature of air-free steam in degC at a gauge pressure in kPa and an altitude in m. */
export const steamC = (gaugeKpa: number, altitudeM: number): number =>
  saturationC(ambientPa(altitudeM) + gaugeKpa * 1000);
