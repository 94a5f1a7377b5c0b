import type { actualOf } from '@einkorn/core';
import type { Plan } from '@einkorn/core';
import type { Annotations } from 'plotly.js';
import type { Degrees } from '../i18n/entry';
import { axis, degreesAxis, token, type Figure } from '../ui/chart';
import { along, curve, dots, field, heatCurve, words } from '../ui/chart-marks';

type Words = (key: string, p?: Record<string, unknown>) => string;

/** Where the point of the pin is drawn, degC: steam under the pin stands near the boil. */
const pinC = 97;

/** What was planned dashed, what the taps say solid, the hold as a field, the pin as a ring. */
export function cookFigure(
  p: Plan,
  was: { minutes: number[]; tempC: number[] },
  actual: NonNullable<ReturnType<typeof actualOf>>,
  { t, degrees, minutes }: { t: Words; degrees: Degrees; minutes: (min: number) => string },
): Figure {
  const toPinMin = actual.toPinMin ?? p.program.pinUpMin;
  const holdFrom = toPinMin + p.program.minutesToPressure - p.program.pinUpMin;
  const ring = { size: 15, color: token('enamel'), line: { width: 3.5, color: token('rim') } };
  return {
    data: [
      curve({ x: p.curve.minutes, y: p.curve.tempC }, { color: 'quiet', width: 2.5, dash: 'dash' }),
      heatCurve({ x: was.minutes, y: was.tempC }, { color: 'rim', width: 4 }, degrees),
      dots({ x: [toPinMin], y: [pinC] }, ring),
    ],
    layout: {
      margin: { l: 46, r: 12, t: 12, b: 42 },
      xaxis: axis(t('chart.minutes'), { rangemode: 'tozero' }),
      yaxis: degreesAxis(degrees, [20, 126]),
      shapes: [
        field(
          { x0: holdFrom, y0: 20 },
          { x1: holdFrom + p.program.holdMin, y1: p.program.steamC },
          { color: 'steam', opacity: 0.22 },
        ),
      ],
      annotations: names(p, was, { toPinMin, holdFrom }, { t, minutes }),
    },
  };
}

function names(
  p: Plan,
  was: { minutes: number[]; tempC: number[] },
  at: { toPinMin: number; holdFrom: number },
  { t, minutes }: { t: Words; minutes: (min: number) => string },
): Partial<Annotations>[] {
  const plain = { size: 16, bare: true };
  const planned = along(p.curve.minutes, p.curve.tempC, 0.16);
  const actual = along(was.minutes, was.tempC, 0.88);
  const pin = { showarrow: true, ax: 50, ay: 26, arrowcolor: token('ink') };
  const hold = `<b>${t('stage.hold', { min: minutes(p.program.holdMin) })}</b>`;
  return [
    words({ x: at.toPinMin, y: pinC }, t('log.pin-up'), plain, pin),
    words({ x: at.holdFrom + p.program.holdMin / 2, y: 123 }, hold, plain),
    ...(planned
      ? [
          words(
            { x: planned.x, y: planned.y + 9 },
            t('log.word-planned'),
            { ...plain, color: 'quiet' },
            { xanchor: 'right' },
          ),
        ]
      : []),
    ...(actual
      ? [words({ x: actual.x, y: actual.y + 8 }, `<b>${t('log.word-was')}</b>`, { ...plain, color: 'rim' })]
      : []),
  ];
}
