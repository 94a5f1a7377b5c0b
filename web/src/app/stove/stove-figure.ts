import { steamC } from '@einkorn/core';
import type { Annotations } from 'plotly.js';
import type { Degrees } from '../i18n/entry';
import { axis, degreesAxis, token, type Figure } from '../ui/chart';
import { along, curve, dots, rule, words } from '../ui/chart-marks';

type Words = (key: string, p?: Record<string, unknown>) => string;
interface Series {
  minutes: number[];
  tempC: number[];
}
interface Timed {
  x: number[];
  y: number[];
}

/** Under this the head space holds air, and a gauge says nothing of the temperature, kPa. */
const steamyKpa = 5;
/** Minutes between the times under the chart. */
const tickMin = 10;
/** Fewer points than these have no room for a word of their own. */
const named = { tapped: 8, measured: 3 } as const;

/** How the figure says what it shows. */
export interface StoveWords {
  t: Words;
  time: (ms: number) => string;
  degrees: Degrees;
}

export interface StoveCurves {
  /** of the plan, min after the lid, and how high the kitchen lies */
  plan: Series & { altitudeM: number };
  /** the planned curve moved to the taps */
  taps: Series;
  /** the rest as it now looks, computed anew from what happened */
  ahead: Series | null;
  /** what the gauge of a device read */
  needle: { ms: number; kpa: number }[];
}

/** The planned curve dashed, what the taps tell so far solid, the rest as it now looks, and a line for now. */
export function stoveFigure(
  curves: StoveCurves,
  at: { lockMs: number; nowMs: number; locked: boolean },
  { t, time, degrees }: StoveWords,
): Figure {
  const s = onClock(curves, at);
  const [first, last] = [
    at.lockMs - 60_000,
    Math.max(
      at.lockMs,
      s.planned.x.at(-1) ?? 0,
      s.tapped.x.at(-1) ?? 0,
      s.coming.x.at(-1) ?? 0,
      at.locked ? at.nowMs : 0,
    ) + 60_000,
  ];
  const tickMs = tickMin * 60_000;
  const ticks: number[] = [];
  for (let ms = Math.ceil(first / tickMs) * tickMs; ms <= last; ms += tickMs) ticks.push(ms);
  const nowMs = at.locked && at.nowMs >= first && at.nowMs <= last ? at.nowMs : null;
  const ring = { size: 17, color: token('enamel'), line: { color: token('ink'), width: 4 } };
  return {
    data: [
      curve(s.planned, { color: 'quiet', width: 2.5, dash: 'dash' }),
      ...(at.locked
        ? [curve(s.coming, { color: 'steam', dash: 'dash' }), curve(s.past, { color: 'rim', width: 5 })]
        : []),
      ...(s.measured.x.length > 0 ? [dots(s.measured, { size: 5, color: token('plum'), symbol: 'cross' })] : []),
      ...(nowMs === null ? [] : [dots({ x: [nowMs], y: [s.past.y.at(-1) ?? s.planned.y[0] ?? 20] }, ring)]),
    ],
    layout: {
      margin: { l: 46, r: 12, t: 30, b: 32 },
      xaxis: axis('', { range: [first, last], tickvals: ticks, ticktext: ticks.map(time), showgrid: false }),
      yaxis: { ...degreesAxis(degrees, [20, 126]), title: { text: '' } },
      shapes: nowMs === null ? [] : [rule({ x0: nowMs, y0: 20 }, { x1: nowMs, y1: 120 }, { color: 'ink' })],
      annotations: [
        ...(nowMs === null
          ? []
          : [words({ x: nowMs, y: 124 }, `<b>${t('stove.word-now')}</b>`, { size: 17, bare: true })]),
        ...curveNames(s, { first, locked: at.locked }, t),
      ],
    },
  };
}

/** The series by the clock, ms since the epoch; what was tapped ends now, and what comes begins there. */
function onClock(
  { plan, taps, ahead, needle }: StoveCurves,
  { lockMs, nowMs }: { lockMs: number; nowMs: number },
): Record<'planned' | 'tapped' | 'past' | 'coming' | 'measured', Timed> {
  const timed = (s: Series): Timed => ({ x: s.minutes.map((m) => lockMs + m * 60_000), y: s.tempC });
  const tapped = timed(taps);
  const part = (s: Timed, inPart: (ms: number) => boolean): Timed => ({
    x: s.x.filter(inPart),
    y: s.y.filter((_, i) => inPart(s.x[i]!)),
  });
  const steamy = needle.filter((n) => n.kpa >= steamyKpa);
  return {
    planned: timed(plan),
    tapped,
    past: part(tapped, (ms) => ms <= nowMs),
    coming: ahead ? part(timed(ahead), (ms) => ms >= nowMs) : part(tapped, (ms) => ms > nowMs),
    measured: { x: steamy.map((n) => n.ms), y: steamy.map((n) => steamC(n.kpa, plan.altitudeM)) },
  };
}

function curveNames(
  s: Record<'planned' | 'past' | 'measured', Timed>,
  { first, locked }: { first: number; locked: boolean },
  t: Words,
): Partial<Annotations>[] {
  const above = along(s.planned.x, s.planned.y, 0.2) ?? { x: first, y: 60 };
  const below = along(s.past.x, s.past.y, 0.25);
  const name = (
    key: string,
    at: { x: number; y: number },
    color: string,
    xanchor: 'left' | 'right',
  ): Partial<Annotations> => words(at, key, { color, size: 16, bare: true }, { xanchor });
  return [
    name(t('stove.word-planned'), { x: above.x, y: above.y + 9 }, 'quiet', 'right'),
    ...(s.measured.x.length > named.measured
      ? [name(`<b>${t('stove.word-measured')}</b>`, { x: s.measured.x[0]!, y: s.measured.y[0]! + 6 }, 'plum', 'right')]
      : []),
    ...(locked && below && s.past.x.length > named.tapped
      ? [name(`<b>${t('stove.word-taps')}</b>`, { x: below.x, y: below.y - 16 }, 'rim', 'left')]
      : []),
  ];
}
