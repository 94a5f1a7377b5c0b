const { sqrt } = Math;
/**
 * Saturation line of water and steam: IAPWS-IF97, region 4 (equations 30 and 31).
 * Valid 273.15 K to 647.096 K. The coefficients are the standard's; its six verification values are in the tests.
 */
const n = [
  0.11670521452767e4, -0.72421316703206e6, -0.17073846940092e2, 0.1202082470247e5, -0.32325550322333e7,
  0.1491510861353e2, -0.48232657361591e4, 0.40511340542057e6, -0.23855557567849, 0.65017534844798e3,
] as const;

/** Saturation pressure in Pa at `tempC` in degC. IF97 equation 30. */
export function saturationPa(tempC: number): number {
  const k = tempC + 273.15;
  const th = k + n[8] / (k - n[9]);
  const a = th * th + n[0] * th + n[1];
  const b = n[2] * th * th + n[3] * th + n[4];
  const c = n[5] * th * th + n[6] * th + n[7];
  const q = (2 * c) / (-b + sqrt(b * b - 4 * a * c));
  return q * q * q * q * 1e6;
}

/** Saturation temperature in degC at `pressurePa`. IF97 equation 31. */
export function saturationC(pressurePa: number): number {
  const b = sqrt(sqrt(pressurePa / 1e6));
  const e = b * b + n[2] * b + n[5];
  const f = n[0] * b * b + n[3] * b + n[6];
  const g = n[1] * b * b + n[4] * b + n[7];
  const d = (2 * g) / (-f - sqrt(f * f - 4 * e * g));
  return (n[9] + d - sqrt((n[9] + d) ** 2 - 4 * (n[8] + n[9] * d))) / 2 - 273.15;
}
