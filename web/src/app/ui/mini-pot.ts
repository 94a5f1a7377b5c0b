import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import type { Plan } from '@einkorn/core';
import { patternOf } from './patterns';

/** A tiny section of the pot for lists and for the stove: layers to scale, no words. */
@Component({
  selector: 'ek-mini-pot',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg viewBox="0 0 100 74" aria-hidden="true">
      <path d="M4 16Q50 2 96 16" fill="none" stroke="var(--rim)" stroke-width="4" stroke-linecap="round" />
      @if (pin() !== null) {
        <rect
          x="66"
          [attr.y]="pin() ? 1 : 7"
          width="7"
          height="12"
          rx="1.5"
          [attr.fill]="pin() ? 'var(--steam)' : 'var(--enamel)'"
          stroke="var(--rim)"
          stroke-width="2"
        />
      }
      <path d="M8 18V62q0 6 6 6H86q6 0 6-6V18" fill="var(--well)" stroke="var(--rim)" stroke-width="4" />
      @for (l of layers(); track $index) {
        <rect
          x="10"
          [attr.y]="l.y"
          width="80"
          [attr.height]="l.h"
          [attr.fill]="l.fill"
          stroke="var(--ink)"
          stroke-width="0.5"
        />
      }
    </svg>
  `,
  styles: `
    :host {
      display: block;
    }
    svg {
      display: block;
      width: 100%;
      height: 100%;
    }
  `,
})
export class MiniPot {
  readonly plan = input.required<Plan>();
  /** pin up, pin down, or no pin drawn */
  readonly pin = input<boolean | null>(null);

  readonly layers = computed(() => {
    const p = this.plan();
    const innerMm = (p.pot.litres * 1e6) / ((Math.PI / 4) * p.pot.diameterMm ** 2);
    const k = 46 / innerMm;
    const rect = (from: number, to: number, kind: string): { y: number; h: number; fill: string } => ({
      y: 66 - to * k,
      h: Math.max(1, (to - from) * k),
      fill: patternOf(kind),
    });
    return [
      rect(0, p.pot.liquidLevelMm, 'liquid'),
      ...p.stack
        .filter((l) => l.kind !== 'liquid' || l.note === 'bowl-over-water')
        .map((l) => rect(l.fromMm, l.toMm, l.kind)),
    ];
  });
}
