import type { Plan } from '@einkorn/core';
import type { Annotations, Data } from 'plotly.js';
import type { Degrees } from '../i18n/entry';
import { axis, degreesAxis, token, type Figure } from '../ui/chart';
import { curve, field, heatCurve, rule, words } from '../ui/chart-marks';

type Words = (key: string, p?: Record<string, unknown>) => string;
type Axis = 'y' | 'y2' | 'y3';

const unitOf = { y2: 'kPa', y3: 'g' } as const;
/** The least range of the liquid below, g: a drop is not drawn as a flood. */
const leastFreeG = 50;

/** Everything in the pot over one time: temperatures above, the needle in the middle, the liquid below. */
export function wholeFigure(p: Plan, b: Plan | null, t: Words, degrees: Degrees): Figure {
  const c = p.curve;
  const last = Math.max(c.minutes.at(-1) ?? 1, b?.curve.minutes.at(-1) ?? 1) * 1.02;
  const most = Math.max(leastFreeG, ...(c.freeG ?? [0]));
  const { minutesToPressure: from, holdMin } = p.program;
  const paper = { xref: 'x', yref: 'paper' };
  return {
    data: curves(p, b, degrees),
    layout: {
      margin: { l: 58, r: 12, t: 10, b: 40 },
      xaxis: axis(t('chart.minutes'), { range: [0, last], anchor: c.freeG ? 'y3' : 'y2' }),
      yaxis: degreesAxis(degrees, [15, 130], { domain: c.freeG ? [0.46, 1] : [0.34, 1] }),
      yaxis2: axis('kPa', { rangemode: 'tozero', domain: c.freeG ? [0.24, 0.41] : [0, 0.28] }),
      ...(c.freeG ? { yaxis3: axis('g', { range: [0, most * 1.15], domain: [0, 0.19] }) } : {}),
      shapes: [
        field({ x0: from, y0: 0 }, { x1: from + holdMin, y1: 1 }, { color: 'steam', opacity: 0.14 }, paper),
        ...p.meats
          .slice(0, 1)
          .map(({ safeMinimumC: y }) =>
            rule({ x0: 0, y0: y }, { x1: last, y1: y }, { color: 'paprika', dash: 'dash' }),
          ),
      ],
      annotations: names(p, { last, most }, t),
    },
  };
}

/** What a curve has beside its colour. */
interface Look {
  dash?: 'dot' | 'dashdot';
  fill?: 'tozeroy';
  fillcolor?: string;
}

function curves({ curve: c }: Plan, b: Plan | null, degrees: Degrees): Data[] {
  const of = (y: readonly number[], color: string, on: keyof typeof unitOf, { dash, ...more }: Look = {}): Data =>
    curve(
      { x: c.minutes, y },
      { color, ...(dash ? { dash } : {}) },
      { yaxis: on, ...more },
      `%{x:.1f} min, %{y:.0f} ${unitOf[on]}`,
    );
  const heat = (y: readonly number[], color: string, dash?: 'dot'): Data =>
    heatCurve({ x: c.minutes, y }, { color, ...(dash ? { dash } : {}) }, degrees);
  return [
    ...(b ? [curve({ x: b.curve.minutes, y: b.curve.tempC }, { color: 'quiet', width: 2, dash: 'dash' })] : []),
    heat(c.tempC, 'rim'),
    ...(c.grainC ? [heat(c.grainC, 'turmeric', 'dot')] : []),
    ...(c.meatC ? [heat(c.meatC, 'plum')] : []),
    of(c.gaugeKpa, 'steam', 'y2', { fill: 'tozeroy', fillcolor: `${token('steam-tint')}88` }),
    ...(c.freeG ? [of(c.freeG, 'steam', 'y3', { dash: 'dashdot' })] : []),
  ];
}

/** What each curve is called, where it has room. */
function names(p: Plan, { last, most }: { last: number; most: number }, t: Words): Partial<Annotations>[] {
  const c = p.curve;
  const middle = (ys: readonly number[], share: number): number => ys[Math.floor(ys.length * share)] ?? 0;
  const name = (text: string, color: string, at: { y: number; share?: number; on?: Axis }): Partial<Annotations> =>
    words(
      { x: last * (at.share ?? 0.99), y: at.y },
      `<b>${text}</b>`,
      { color },
      { xref: 'x', yref: at.on ?? 'y', xanchor: 'right', yanchor: 'bottom', opacity: 1 },
    );
  const grain = c.grainC && { y: middle(c.grainC, 0.45) - 16, share: 0.5 };
  const meat = c.meatC && { y: middle(c.meatC, 0.35) - 14, share: 0.45 };
  const minimum = p.meats[0]?.safeMinimumC;
  return [
    name(t('pressure.line-pot'), 'rim', { y: c.tempC.at(-1) ?? 100 }),
    ...(grain ? [name(t('pressure.line-grain'), 'turmeric', grain)] : []),
    ...(meat ? [name(t('pressure.meat-line'), 'plum', meat)] : []),
    name(t('pressure.line-gauge'), 'steam', { y: Math.max(...c.gaugeKpa) * 0.5, on: 'y2' }),
    ...(c.freeG ? [name(t('pressure.line-free'), 'steam', { y: most * 0.45, on: 'y3' })] : []),
    ...(minimum === undefined ? [] : [name(t('pressure.minimum', { c: minimum }), 'paprika', { y: minimum })]),
  ];
}
