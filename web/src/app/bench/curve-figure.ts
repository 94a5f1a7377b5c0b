import type { Plan } from '@einkorn/core';
import type { Degrees } from '../i18n/entry';
import { axis, degreesAxis, token, type Figure } from '../ui/chart';
import { field, heatCurve, rule, words } from '../ui/chart-marks';

type Words = (key: string, p?: Record<string, unknown>) => string;

/** The lowest and the highest temperature of the drawing, degC. */
const lowC = 20;
const highC = 128;
/** A pin that rises before this share of the time has no room for its words on its left. */
const earlyPin = 0.26;

/** The value of a series at a share of its length, degC. */
const at = (ys: readonly number[] | undefined, share: number): number => ys?.[Math.floor(ys.length * share)] ?? 60;

/** Temperature in the pot and in the middle of the meat, minutes after the lid locks. */
export function curveFigure(
  p: Plan,
  b: Plan | null,
  { t, degrees, minutes }: { t: Words; degrees: Degrees; minutes: (min: number) => string },
): Figure {
  const c = p.curve;
  const last = Math.max(c.minutes.at(-1) ?? 1, b?.curve.minutes.at(-1) ?? 1);
  const pot = {
    fill: 'tozeroy',
    fillcolor: `${token('steam-tint')}66`,
  };
  return {
    data: [
      ...(b
        ? [heatCurve({ x: b.curve.minutes, y: b.curve.tempC }, { color: 'quiet', width: 2, dash: 'dash' }, degrees)]
        : []),
      heatCurve({ x: c.minutes, y: c.tempC }, { color: 'rim', width: 4 }, degrees, pot),
      ...(c.meatC ? [heatCurve({ x: c.minutes, y: c.meatC }, { color: 'plum', width: 3.5 }, degrees)] : []),
    ],
    layout: {
      margin: { l: 44, r: 10, t: 14, b: 24 },
      // The heading says what the axis is.
      xaxis: axis('', { range: [0, last * 1.01] }),
      yaxis: degreesAxis(degrees, [lowC, highC]),
      ...markings(p, last, t, minutes(p.program.holdMin)),
    },
  };
}

/** The hold as a field, the published minimum of the meat as a line, and what each is called. */
function markings(p: Plan, last: number, t: Words, hold: string): Figure['layout'] {
  const { minutesToPressure: start, holdMin, pinUpMin, steamC } = p.program;
  const meat = p.meats[0];
  const early = pinUpMin < earlyPin * last;
  return {
    shapes: [
      field({ x0: start, y0: lowC }, { x1: start + holdMin, y1: steamC }, { color: 'steam', opacity: 0.22 }),
      ...(meat
        ? [
            rule(
              { x0: 0, y0: meat.safeMinimumC },
              { x1: last, y1: meat.safeMinimumC },
              { color: 'paprika', dash: 'dash' },
            ),
          ]
        : []),
    ],
    annotations: [
      words(
        { x: early ? 0.01 * last : pinUpMin - 0.4, y: 104 },
        t('pressure.pin-up', { min: Math.round(pinUpMin) }),
        {},
        { xanchor: early ? 'left' : 'right' },
      ),
      words({ x: start + holdMin / 2, y: highC - 2 }, `<b>${t('stage.hold', { min: hold })}</b>`),
      ...(meat
        ? [
            words(
              { x: last, y: meat.safeMinimumC },
              t('pressure.minimum', { c: meat.safeMinimumC }),
              { color: 'paprika' },
              { xanchor: 'right', yanchor: 'top' },
            ),
            words(
              { x: last * 0.3, y: at(p.curve.meatC, 0.3) - 12 },
              `<b>${t('pressure.meat-line')}</b>`,
              { color: 'plum' },
              { xanchor: 'left' },
            ),
          ]
        : []),
    ],
  };
}
