import { steamC } from '@einkorn/core';
import { axis, token, type Figure } from '../ui/chart';

type Words = (key: string, p?: Record<string, unknown>) => string;

/** Under this the head space holds air, and a gauge says nothing of the temperature, kPa. */
const steamyKpa = 5;

export interface Lived {
  /** of the plan, min after the lid, and how high the kitchen lies */
  plan: { minutes: number[]; tempC: number[]; altitudeM: number };
  /** the planned curve moved to the taps */
  taps: { minutes: number[]; tempC: number[] };
  /** the rest as it now looks, computed anew from what happened */
  ahead: { minutes: number[]; tempC: number[] } | null;
  /** what the gauge of a device read */
  needle: { ms: number; kpa: number }[];
}

/** The planned curve dashed, what the taps tell so far solid, the rest as it now looks, and a line for now. */
export function stoveFigure(
  { plan, taps, ahead, needle }: Lived,
  at: { lockMs: number; nowMs: number; locked: boolean },
  t: Words,
  time: (ms: number) => string,
): Figure {
  const planned = plan.minutes.map((m) => at.lockMs + m * 60_000);
  const tapped = taps.minutes.map((m) => at.lockMs + m * 60_000);
  const past = tapped.filter((ms) => ms <= at.nowMs).length;
  const coming = ahead
    ? ahead.minutes.flatMap((m, i) => {
        const ms = at.lockMs + m * 60_000;
        return ms >= at.nowMs ? [{ ms, c: ahead.tempC[i]! }] : [];
      })
    : tapped.slice(past).map((ms, i) => ({ ms, c: taps.tempC[past + i]! }));
  const measured = needle
    .filter((n) => n.kpa >= steamyKpa)
    .map((n) => ({ ms: n.ms, c: steamC(n.kpa, plan.altitudeM) }));
  const first = at.lockMs - 60_000;
  const last =
    Math.max(
      planned.at(-1) ?? at.lockMs,
      tapped.at(-1) ?? at.lockMs,
      coming.at(-1)?.ms ?? 0,
      at.locked ? at.nowMs : 0,
    ) + 60_000;
  const ticks: number[] = [];
  for (let ms = Math.ceil(first / 600_000) * 600_000; ms <= last; ms += 600_000) ticks.push(ms);
  const nowTemp = past > 0 ? taps.tempC[Math.min(past, taps.tempC.length) - 1]! : (plan.tempC[0] ?? 20);
  const showNow = at.locked && at.nowMs >= first && at.nowMs <= last;
  return {
    data: [
      {
        type: 'scatter',
        mode: 'lines',
        x: planned,
        y: plan.tempC,
        line: { color: token('quiet'), width: 2.5, dash: 'dash' },
        hoverinfo: 'skip',
      },
      ...(at.locked
        ? [
            {
              type: 'scatter' as const,
              mode: 'lines' as const,
              x: coming.map((x) => x.ms),
              y: coming.map((x) => x.c),
              line: { color: token('steam'), width: 3, dash: 'dash' as const },
              hoverinfo: 'skip' as const,
            },
            {
              type: 'scatter' as const,
              mode: 'lines' as const,
              x: tapped.slice(0, past),
              y: taps.tempC.slice(0, past),
              line: { color: token('rim'), width: 5 },
              hoverinfo: 'skip' as const,
            },
          ]
        : []),
      ...(measured.length > 0
        ? [
            {
              type: 'scatter' as const,
              mode: 'markers' as const,
              x: measured.map((x) => x.ms),
              y: measured.map((x) => x.c),
              marker: { size: 5, color: token('plum'), symbol: 'cross' },
              hoverinfo: 'skip' as const,
            },
          ]
        : []),
      ...(showNow
        ? [
            {
              type: 'scatter' as const,
              mode: 'markers' as const,
              x: [at.nowMs],
              y: [nowTemp],
              marker: { size: 17, color: token('enamel'), line: { color: token('ink'), width: 4 } },
              hoverinfo: 'skip' as const,
            },
          ]
        : []),
    ],
    layout: {
      margin: { l: 46, r: 12, t: 30, b: 32 },
      xaxis: axis('', { range: [first, last], tickvals: ticks, ticktext: ticks.map(time), showgrid: false }),
      yaxis: axis('', { range: [20, 126], dtick: 20, ticksuffix: '' }),
      shapes: showNow
        ? [{ type: 'line', x0: at.nowMs, x1: at.nowMs, y0: 20, y1: 120, line: { color: token('ink'), width: 2 } }]
        : [],
      annotations: [
        ...(showNow
          ? [
              {
                x: at.nowMs,
                y: 124,
                text: `<b>${t('stove.word-now')}</b>`,
                showarrow: false,
                font: { size: 17, color: token('ink') },
              },
            ]
          : []),
        {
          x: planned[Math.floor(planned.length * 0.2)] ?? first,
          y: (plan.tempC[Math.floor(planned.length * 0.2)] ?? 60) + 9,
          xanchor: 'right',
          text: t('stove.word-planned'),
          showarrow: false,
          font: { size: 16, color: token('quiet') },
        },
        ...(measured.length > 3
          ? [
              {
                x: measured[0]!.ms,
                y: measured[0]!.c + 6,
                xanchor: 'right' as const,
                text: `<b>${t('stove.word-measured')}</b>`,
                showarrow: false,
                font: { size: 16, color: token('plum') },
              },
            ]
          : []),
        ...(at.locked && past > 8
          ? [
              {
                x: tapped[Math.floor(past * 0.25)]!,
                y: taps.tempC[Math.floor(past * 0.25)]! - 16,
                xanchor: 'left' as const,
                text: `<b>${t('stove.word-taps')}</b>`,
                showarrow: false,
                font: { size: 16, color: token('rim') },
              },
            ]
          : []),
      ],
    },
  };
}
