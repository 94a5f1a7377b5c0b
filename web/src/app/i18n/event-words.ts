import type { CookEvent } from '@einkorn/core';
import type { Format } from './format';

/** The number that an event tells, with its unit; empty where it tells none. */
export function eventFigure(e: CookEvent, fmt: Format): string {
  switch (e.kind) {
    case 'probe-read':
      return fmt.temperature(e.coreC);
    case 'weight-read':
      return fmt.weight(e.grams);
    case 'gauge-read':
      return `${fmt.number(e.gaugeKpa, 0)} kPa`;
    case 'timer-started':
    case 'rescued':
      return `${fmt.number(e.minutes, 0)} min`;
    case 'hold-changed':
      return `${fmt.number(e.holdMin, 1)} min`;
    default:
      return '';
  }
}

/** What the cook wrote into it. */
export const eventNote = (e: CookEvent): string =>
  e.kind === 'timer-started' ? e.name : 'text' in e ? (e.text ?? '') : '';
