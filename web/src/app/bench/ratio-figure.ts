import type { Ratios } from '@einkorn/core';
import { axis, token, type Figure } from '../ui/chart';
import { curve, dots, words } from '../ui/chart-marks';

/** Room to the right of the largest batch, times it. */
const roomy = 1.08;

/** What this pot needs for each batch, on its own straight line, beside a ratio that fits one of them. */
export function ratioFigure({ points, constantMl, perGrainMlPerG }: Ratios, t: (key: string) => string): Figure {
  const one = points.find((p) => p.factor === 1) ?? points[0]!;
  const most = Math.max(...points.map((p) => p.grainG)) * roomy;
  const ratio = one.addMl / one.grainG;
  const needsMl = (grainG: number): number => constantMl + grainG * perGrainMlPerG;
  const bare = { bare: true };
  return {
    data: [
      curve({ x: [0, most], y: [0, most * ratio] }, { color: 'quiet', width: 2, dash: 'dash' }),
      curve({ x: [0, most], y: [constantMl, needsMl(most)] }, { color: 'steam' }),
      dots(
        { x: points.map((p) => p.grainG), y: points.map((p) => p.addMl) },
        { size: 12, color: token('steam'), line: { color: token('ink'), width: 1.5 } },
        { hovertemplate: '%{x:.0f} g: %{y:.0f} mL<extra></extra>' },
      ),
    ],
    layout: {
      margin: { l: 56, r: 8, t: 6, b: 40 },
      xaxis: axis(t('ratio.x'), { range: [0, most] }),
      yaxis: axis('mL', { rangemode: 'tozero' }),
      annotations: [
        words(
          { x: most, y: most * ratio },
          t('ratio.line-ratio'),
          { ...bare, color: 'quiet', size: 14 },
          { xanchor: 'right', yanchor: 'bottom' },
        ),
        words(
          { x: most * 0.6, y: needsMl(most * 0.6) },
          `<b>${t('ratio.line-pot')}</b>`,
          { ...bare, color: 'steam' },
          { xanchor: 'left', yanchor: 'top' },
        ),
      ],
    },
  };
}
