import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { whatMoved, type Cook, type CookTimeline } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Format } from '../i18n/format';

/** Of what moves the table so much is told: more is no reason but a list. */
const mostMoved = 3;

/** When the table is served, how far that has moved from the plan, and which stages moved it. */
@Component({
  selector: 'ek-serving-note',
  imports: [TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <p class="serving" *transloco="let t">
      <strong>{{
        t(lateMin() === 0 ? 'stove.serving-on-time' : lateMin() > 0 ? 'stove.serving-late' : 'stove.serving-early', {
          time: fmt.time(timed().serveMs),
          min: size(lateMin()),
        })
      }}</strong>
      @if (moved().length > 0) {
        <span class="why quiet">
          @for (m of moved(); track m.stage) {
            <span class="moved">{{
              t(m.min < 0 ? 'stove.moved-less' : 'stove.moved-more', {
                stage: t('stage-name.' + m.stage),
                min: size(m.min),
              })
            }}</span>
          }
        </span>
      }
    </p>
  `,
  styles: `
    .serving {
      border-top: 1px solid var(--hair);
      padding-top: var(--space-4);
      font-size: var(--size-head);
    }
    .why {
      display: block;
      font-size: var(--size-body);
    }
    .moved + .moved::before {
      content: ' · ';
    }
  `,
})
export class ServingNote {
  readonly cook = input.required<Cook>();
  readonly timed = input.required<CookTimeline>();
  readonly fmt = inject(Format);
  /** What the first plan said, to tell how far the evening has moved. */
  private readonly plannedServeMs = computed(() => {
    const { startedMs, plan } = this.cook();
    return startedMs + plan.steps.reduce((m, s) => m + s.minutes, 0) * 60_000;
  });
  readonly lateMin = computed(() => Math.round((this.timed().serveMs - this.plannedServeMs()) / 60_000));
  /** Why the table moves: the stages that moved it most, in whole minutes. */
  readonly moved = computed(() =>
    this.lateMin() === 0
      ? []
      : whatMoved(this.cook().plan.steps, this.timed().steps)
          .slice(0, mostMoved)
          .map((m) => ({ ...m, min: Math.round(m.min) }))
          .filter((m) => m.min !== 0),
  );

  size(min: number): string {
    return this.fmt.number(Math.abs(min));
  }
}
