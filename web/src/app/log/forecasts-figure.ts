import { observedSd, type CookSummary, type Learned } from '@einkorn/core';
import { axis, token, type Figure } from '../ui/chart';
import { dots } from '../ui/chart-marks';

type Words = (key: string, p?: Record<string, unknown>) => string;

/** A tap further off than this is drawn at the edge: it was a blunder, and would flatten all the others, share. */
const mostShare = 0.6;

/** A cook with a planned and a tapped pin: how much later it came than planned, a share of the planned minutes. */
export interface Missed {
  id: string;
  atMs: number;
  share: number;
  /** half of the span that eight of ten such cooks were expected in, a share; of plans that knew no spread there is none */
  expected?: number;
}

/** Eight of ten of a normal lie within so many standard deviations. */
const eightOfTen = 1.2816;

/** What the plan knew of its pot, and the finger that taps. */
function expectedOf({ toPinMin, toPinSdMin }: CookSummary['planned']): Pick<Missed, 'expected'> {
  if (toPinSdMin === undefined) return {};
  return { expected: (eightOfTen * Math.hypot(toPinSdMin, observedSd.tapMin)) / toPinMin };
}

/**
 * The cooks of a pot whose pin was tapped, oldest first.
 *
 * @param tapLateMin how much later than the pin the tap of this cook comes, min
 */
export const missedOf = (cooks: readonly CookSummary[], potId: string, tapLateMin = 0): Missed[] =>
  cooks
    .flatMap((c) =>
      c.potId === potId && c.actual.toPinMin !== null && !c.trouble
        ? [
            {
              id: c.id,
              atMs: c.startedMs,
              share: (c.actual.toPinMin - tapLateMin) / c.planned.toPinMin - 1,
              ...expectedOf(c.planned),
            },
          ]
        : [],
    )
    .sort((a, b) => a.atMs - b.atMs);

/** How far each plan was off, cook after cook, over the span that it expected: the last ten filled, a dashed line where the pot changed. */
export function forecastsFigure(missed: readonly Missed[], drift: Learned['drift'], t: Words): Figure {
  const within = (share: number): number => 100 * Math.max(-mostShare, Math.min(mostShare, share));
  const ring = (color: string) => ({ size: 11, color: token(color), line: { width: 2, color: token('rim') } });
  const older = missed.slice(0, -10);
  const last = missed.slice(-10);
  const at = (all: readonly Missed[]) => ({ x: all.map((m) => m.atMs), y: all.map((m) => within(m.share)) });
  const changed = drift.flatMap((d) => missed.find((m) => m.id === d.sinceCook)?.atMs ?? []);
  const expecting = missed.filter((m) => m.expected !== undefined);
  return {
    data: [
      dots(
        { x: expecting.map((m) => m.atMs), y: expecting.map(() => 0) },
        { size: 1, color: token('rim') },
        {
          hoverinfo: 'skip',
          error_y: {
            type: 'data',
            array: expecting.map((m) => within(m.expected!)),
            thickness: 9,
            width: 0,
            color: token('steam-tint'),
          },
        },
      ),
      dots(at(older), ring('enamel')),
      dots(at(last), ring('turmeric-fill')),
    ],
    layout: {
      margin: { l: 56, r: 12, t: 12, b: 36 },
      xaxis: axis('', { type: 'date' }),
      yaxis: axis(t('learned.late-by'), { zeroline: true, zerolinecolor: token('rim'), ticksuffix: ' %' }),
      shapes: changed.map((x) => ({
        type: 'line',
        x0: x,
        x1: x,
        yref: 'paper',
        y0: 0,
        y1: 1,
        line: { color: token('paprika'), width: 2, dash: 'dash' },
      })),
    },
  };
}

/** The mean distance of the last ten plans from what happened, a share; null before there are three. */
export function lastMissed(missed: readonly Missed[]): number | null {
  const last = missed.slice(-10);
  return last.length < 3 ? null : last.reduce((s, m) => s + Math.abs(m.share), 0) / last.length;
}

/** How many of the last ten lay within what their plans expected; null before there are three that expected something. */
export function lastWithin(missed: readonly Missed[]): { within: number; of: number } | null {
  const last = missed.filter((m) => m.expected !== undefined).slice(-10);
  return last.length < 3
    ? null
    : { within: last.filter((m) => Math.abs(m.share) <= m.expected!).length, of: last.length };
}
