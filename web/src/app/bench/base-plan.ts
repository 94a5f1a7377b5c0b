import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import type { IngredientNames, FryStep, Plan } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Format } from '../i18n/format';

const size = 232;
const centre = size / 2;

/** The base of the pot from above, to scale, with the largest batch of meat on it: a full layer steams instead of browning. */
@Component({
  selector: 'ek-base-plan',
  imports: [TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <svg
        [attr.viewBox]="'0 0 ' + size + ' ' + size"
        role="img"
        [attr.aria-label]="t('fry.base', { share: fmt.percent(covered()), mm: plan().pot.diameterMm })"
      >
        <circle
          [attr.cx]="centre"
          [attr.cy]="centre"
          [attr.r]="centre - 4"
          fill="var(--well)"
          stroke="var(--rim)"
          stroke-width="6"
        />
        <circle
          [attr.cx]="centre"
          [attr.cy]="centre"
          [attr.r]="centre - 8"
          fill="none"
          stroke="var(--paprika)"
          stroke-width="1.5"
          stroke-dasharray="2 6"
        />
        @for (x of pieces(); track $index) {
          <rect
            [attr.x]="x.x"
            [attr.y]="x.y"
            [attr.width]="x.s"
            [attr.height]="x.s"
            rx="4"
            fill="url(#p-meat)"
            stroke="var(--ink)"
            stroke-width="1.2"
          />
        }
      </svg>
      <p class="quiet">
        @if (meat(); as m) {
          {{
            t(m.batches && m.batches > 1 ? 'fry.base-batches' : 'fry.base-one', {
              share: fmt.percent(covered()),
              batches: fmt.counted('batch', m.batches ?? 1),
              food: fmt.namesOf(names(), m.ingredient),
            })
          }}
        } @else {
          {{ t('fry.base-none') }}
        }
      </p>
    </ng-container>
  `,
  styles: `
    svg {
      display: block;
      width: 100%;
      max-width: 232px;
      margin: 0 auto;
    }
    p {
      margin: var(--space-3) 0 0;
      font-size: var(--size-note);
    }
  `,
})
export class BasePlan {
  readonly plan = input.required<Plan>();
  readonly names = input.required<IngredientNames>();
  readonly fmt = inject(Format);
  readonly size = size;
  readonly centre = centre;

  /** The fried meat that covers the most of the base in one go. */
  readonly meat = computed((): (FryStep & { coverCm2: number; thicknessMm: number }) | null => {
    const p = this.plan();
    const all = p.fry.flatMap((f) => {
      const layer = p.stack.find((l) => l.ingredient === f.ingredient);
      if (!layer || f.coverCm2 === undefined || f.thicknessMm === undefined) return [];
      return [{ ...f, coverCm2: f.coverCm2, thicknessMm: f.thicknessMm }];
    });
    return all.sort((a, b) => b.coverCm2 - a.coverCm2)[0] ?? null;
  });
  private readonly baseCm2 = computed(() => (Math.PI / 4) * (this.plan().pot.diameterMm / 10) ** 2);
  readonly covered = computed(() => (this.meat()?.coverCm2 ?? 0) / this.baseCm2());

  /** Pieces of the batch on a grid inside the circle, each as wide as it is thick, as many as cover the batch's area. */
  readonly pieces = computed(() => {
    const m = this.meat();
    if (!m) return [];
    const pxPerMm = (centre - 10) / (this.plan().pot.diameterMm / 2);
    const s = Math.max(10, m.thicknessMm * pxPerMm);
    const count = Math.max(1, Math.round((m.coverCm2 * 100 * pxPerMm ** 2) / s ** 2));
    const pitch = s * 1.06;
    const places: { x: number; y: number; s: number; d: number }[] = [];
    const n = Math.ceil(size / pitch);
    for (let i = -n; i <= n; i++)
      for (let j = -n; j <= n; j++) {
        const [x, y] = [(i + (j % 2 ? 0.5 : 0)) * pitch, j * pitch];
        const d = Math.hypot(x, y);
        if (d + s * 0.62 < centre - 8) places.push({ x: centre + x - s / 2, y: centre + y - s / 2, s, d });
      }
    return places.sort((a, b) => a.d - b.d).slice(0, count);
  });
}
