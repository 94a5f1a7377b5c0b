import { curveFromTaps, type Cook } from '@einkorn/core';
import type { Dash } from 'plotly.js';
import type { Degrees } from '../i18n/entry';
import { axis, degreesAxis, type Figure } from '../ui/chart';
import { along, heatCurve, words } from '../ui/chart-marks';

type Words = (key: string, p?: Record<string, unknown>) => string;

/** How each cook is drawn: told apart by colour and by dash, for eyes that see few colours. */
export const strokes: readonly { color: string; dash: Dash }[] = [
  { color: 'rim', dash: 'solid' },
  { color: 'paprika', dash: 'dash' },
  { color: 'steam', dash: 'dot' },
  { color: 'leaf', dash: 'longdashdot' },
];

/** The temperature of several cooks over each other, from the lock of their lids; each by its number. */
export function compareFigure(cooks: readonly Cook[], t: Words, degrees: Degrees): Figure {
  const curves = cooks.map(curveFromTaps);
  return {
    data: curves.map((c, i) => {
      const { color, dash } = strokes[i % strokes.length]!;
      return heatCurve({ x: c.minutes, y: c.tempC }, { color, width: 3.5, dash }, degrees);
    }),
    layout: {
      margin: { l: 46, r: 12, t: 12, b: 42 },
      xaxis: axis(t('chart.minutes'), { rangemode: 'tozero' }),
      yaxis: degreesAxis(degrees, [20, 126]),
      annotations: curves.flatMap((c, i) => {
        const at = along(c.minutes, c.tempC, 0.06 + 0.05 * i);
        return at ? [words(at, `<b>${i + 1}</b>`, { size: 18, color: strokes[i % strokes.length]!.color })] : [];
      }),
    },
  };
}
