import { ChangeDetectionStrategy, Component } from '@angular/core';

/** The dots of the enamel bar: seeded once, the same on every screen, nowhere else. */
@Component({
  selector: 'ek-speckles',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <svg width="100%" height="100%" viewBox="0 0 1280 48" preserveAspectRatio="xMidYMid slice" aria-hidden="true">
      @for (d of dots; track $index) {
        <circle [attr.cx]="d.x" [attr.cy]="d.y" [attr.r]="d.r" fill="#fff" [attr.fill-opacity]="d.o" />
      }
    </svg>
  `,
  styles: ':host, svg { display: block; }',
})
export class Speckles {
  readonly dots = seeded(210);
}

function seeded(count: number): { x: number; y: number; r: number; o: number }[] {
  let s = 20261;
  const next = (): number => {
    s = (s * 16807) % 2147483647;
    return s / 2147483647;
  };
  return Array.from({ length: count }, () => ({
    x: next() * 1280,
    y: next() * 48,
    r: 0.4 + next() * 0.9,
    o: 0.1 + next() * 0.2,
  }));
}
