import { formatQuantity } from 'format-quantity';
import type { UnitId } from './units';

/** Cups and spoons as a cook reads them: quarters and thirds, "1½", never "1.4783". */
export function showFraction(value: number): string {
  const whole = Math.floor(value);
  const parts = [0, 1 / 8, 1 / 4, 1 / 3, 1 / 2, 2 / 3, 3 / 4, 1];
  const near = parts.reduce((a, b) => (Math.abs(b - (value - whole)) < Math.abs(a - (value - whole)) ? b : a));
  const text = formatQuantity(whole + near, { vulgarFractions: true });
  return text === null || text === '' ? '0' : text;
}

/** An amount as it is typed back into a field: fractions for cups and spoons, a plain number for the rest. */
export function showAmount(value: number, unit: UnitId, locale = 'en'): string {
  const byFraction =
    unit.startsWith('cup') || unit === 'tbsp' || unit === 'tsp' || unit === 'piece' || unit.startsWith('can');
  if (byFraction) return showFraction(value);
  const digits = unit === 'kg' || unit === 'l' || unit === 'lb' || unit === 'oz' ? 2 : value < 10 ? 1 : 0;
  return new Intl.NumberFormat(locale, { maximumFractionDigits: digits, useGrouping: false }).format(value);
}
