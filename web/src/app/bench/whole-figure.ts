import type { Plan } from '@einkorn/core';
import { axis, token, type Figure } from '../ui/chart';

type Words = (key: string, p?: Record<string, unknown>) => string;

/** Everything in the pot over one time: temperatures above, the needle in the middle, the liquid below. */
export function wholeFigure(p: Plan, b: Plan | null, t: Words): Figure {
  const c = p.curve;
  const last = Math.max(c.minutes.at(-1) ?? 1, b?.curve.minutes.at(-1) ?? 1) * 1.02;
  const line = (y: readonly number[], color: string, axisNo: '' | '2' | '3', more: object = {}): never =>
    ({
      type: 'scatter',
      mode: 'lines',
      x: c.minutes,
      y,
      yaxis: `y${axisNo}`,
      line: { color: token(color), width: 3 },
      hovertemplate: `%{x:.1f} min, %{y:.0f} ${axisNo === '' ? '°C' : axisNo === '2' ? 'kPa' : 'g'}<extra></extra>`,
      ...more,
    }) as never;
  const name = (text: string, y: number, color: string, ref: 'y' | 'y2' | 'y3', at = 0.99): object => ({
    x: last * at,
    y,
    xref: 'x',
    yref: ref,
    xanchor: 'right',
    yanchor: 'bottom',
    text: `<b>${text}</b>`,
    showarrow: false,
    font: { size: 15, color: token(color) },
    bgcolor: token('enamel'),
  });
  const middle = (ys: readonly number[], share: number): number => ys[Math.floor(ys.length * share)] ?? 0;
  const most = Math.max(50, ...(c.freeG ?? [0]));
  return {
    data: [
      ...(b
        ? [
            line(b.curve.tempC, 'quiet', '', {
              x: b.curve.minutes,
              line: { color: token('quiet'), width: 2, dash: 'dash' },
            }),
          ]
        : []),
      line(c.tempC, 'rim', ''),
      ...(c.grainC
        ? [line(c.grainC, 'turmeric', '', { line: { color: token('turmeric'), width: 3, dash: 'dot' } })]
        : []),
      ...(c.meatC ? [line(c.meatC, 'plum', '')] : []),
      line(c.gaugeKpa, 'steam', '2', { fill: 'tozeroy', fillcolor: `${token('steam-tint')}88` }),
      ...(c.freeG ? [line(c.freeG, 'steam', '3', { line: { color: token('steam'), width: 3, dash: 'dashdot' } })] : []),
    ],
    layout: {
      margin: { l: 58, r: 12, t: 10, b: 40 },
      xaxis: axis(t('chart.minutes'), { range: [0, last], anchor: c.freeG ? 'y3' : 'y2' }),
      yaxis: axis('°C', { range: [15, 130], dtick: 20, domain: c.freeG ? [0.46, 1] : [0.34, 1] }),
      yaxis2: axis('kPa', { rangemode: 'tozero', domain: c.freeG ? [0.24, 0.41] : [0, 0.28] }),
      ...(c.freeG ? { yaxis3: axis('g', { range: [0, most * 1.15], domain: [0, 0.19] }) } : {}),
      shapes: [
        {
          type: 'rect',
          xref: 'x',
          yref: 'paper',
          x0: p.program.minutesToPressure,
          x1: p.program.minutesToPressure + p.program.holdMin,
          y0: 0,
          y1: 1,
          fillcolor: token('steam'),
          opacity: 0.14,
          line: { width: 0 },
        },
        ...p.meats.slice(0, 1).map((m) => ({
          type: 'line' as const,
          x0: 0,
          x1: last,
          y0: m.safeMinimumC,
          y1: m.safeMinimumC,
          line: { color: token('paprika'), width: 2, dash: 'dash' as const },
        })),
      ],
      annotations: [
        name(t('pressure.line-pot'), c.tempC.at(-1) ?? 100, 'rim', 'y'),
        ...(c.grainC ? [name(t('pressure.line-grain'), middle(c.grainC, 0.45) - 16, 'turmeric', 'y', 0.5)] : []),
        ...(c.meatC ? [name(t('pressure.meat-line'), middle(c.meatC, 0.35) - 14, 'plum', 'y', 0.45)] : []),
        name(t('pressure.line-gauge'), Math.max(...c.gaugeKpa) * 0.5, 'steam', 'y2'),
        ...(c.freeG ? [name(t('pressure.line-free'), most * 0.45, 'steam', 'y3')] : []),
        ...p.meats
          .slice(0, 1)
          .map((m) => name(t('pressure.minimum', { c: m.safeMinimumC }), m.safeMinimumC, 'paprika', 'y')),
      ] as never,
    },
  };
}
