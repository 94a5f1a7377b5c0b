import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import type { Plan } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Dialog } from 'primeng/dialog';
import { Format } from '../i18n/format';
import { Chart, type Figure } from '../ui/chart';
import { wholeFigure } from './whole-figure';

/** A row of the table for so many points of the curve. */
const everyNth = 8;

/** Temperatures, gauge and liquid over one time, large, with the figures in a table. */
@Component({
  selector: 'ek-whole-curves',
  imports: [TranslocoDirective, Dialog, Chart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <p-dialog
        [visible]="true"
        (visibleChange)="closed.emit()"
        [modal]="true"
        [dismissableMask]="true"
        [closeAriaLabel]="t('app.close')"
        [header]="t('pressure.whole-title')"
        [style]="{ width: 'min(70rem, 97vw)' }"
      >
        <ek-chart class="whole" [figure]="drawing()" [redraw]="redraw()" [label]="t('pressure.whole-label')" />
        <details>
          <summary>{{ t('chart.table') }}</summary>
          <table>
            <thead>
              <tr>
                <th>{{ t('chart.minutes') }}</th>
                <th>{{ t('pressure.line-pot') }} {{ fmt.degrees().sign }}</th>
                <th>{{ t('pressure.line-grain') }} {{ fmt.degrees().sign }}</th>
                <th>{{ t('pressure.meat-line') }} {{ fmt.degrees().sign }}</th>
                <th>kPa</th>
                <th>{{ t('pressure.line-free') }} g</th>
              </tr>
            </thead>
            <tbody>
              @for (r of rows(); track r.m) {
                <tr>
                  <td>{{ fmt.number(r.m, 1) }}</td>
                  <td>{{ fmt.number(fmt.degrees().of(r.c), 1) }}</td>
                  <td>{{ r.grain === null ? '–' : fmt.number(fmt.degrees().of(r.grain), 1) }}</td>
                  <td>{{ r.meat === null ? '–' : fmt.number(fmt.degrees().of(r.meat), 1) }}</td>
                  <td>{{ fmt.number(r.k, 0) }}</td>
                  <td>{{ r.free === null ? '–' : fmt.number(r.free, 0) }}</td>
                </tr>
              }
            </tbody>
          </table>
        </details>
      </p-dialog>
    </ng-container>
  `,
  styles: `
    .whole {
      display: block;
      height: min(620px, 68vh);
    }
    th,
    td {
      text-align: left;
      padding: var(--space-1) var(--space-8) var(--space-1) 0;
      border-bottom: 1px solid var(--hair);
    }
  `,
})
export class WholeCurves {
  readonly plan = input.required<Plan>();
  /** the program that it is compared with */
  readonly other = input.required<Plan | null>();
  /** any value: a change draws again (theme, language) */
  readonly redraw = input<unknown>(null);
  readonly closed = output();
  private readonly transloco = inject(TranslocoService);
  readonly fmt = inject(Format);
  private readonly words = (key: string, p?: Record<string, unknown>): string => this.transloco.translate(key, p);
  readonly drawing = computed((): (() => Figure) => {
    const [p, b, degrees] = [this.plan(), this.other(), this.fmt.degrees()];
    return () => wholeFigure(p, b, this.words, degrees);
  });
  readonly rows = computed(() => {
    const c = this.plan().curve;
    return c.minutes.flatMap((m, i) =>
      i % everyNth === 0
        ? [
            {
              m,
              c: c.tempC[i]!,
              k: c.gaugeKpa[i]!,
              grain: c.grainC?.[i] ?? null,
              meat: c.meatC?.[i] ?? null,
              free: c.freeG?.[i] ?? null,
            },
          ]
        : [],
    );
  });
}
