import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject } from '@angular/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Format } from '../i18n/format';
import { kitchenFeature } from '../state/kitchen';
import { Chart, type Figure } from '../ui/chart';
import { BenchActions, benchFeature } from './bench.slice';
import { ratioFigure } from './ratio-figure';

/** Why ratios fail when a dish is doubled: what this pot needs for each batch, against a ratio that fits one of them. */
@Component({
  selector: 'ek-ratio-plot',
  imports: [TranslocoDirective, Chart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (found(); as r) {
        <div class="two">
          <ek-chart class="chart" [figure]="drawing()" [redraw]="kitchen().theme" [label]="t('ratio.label')" />
          <div>
            <p>
              {{
                t('ratio.say', {
                  per: fmt.number(r.perGrainMlPerG, 2),
                  constant: fmt.ml(r.constantMl),
                })
              }}
            </p>
            <table>
              <thead>
                <tr>
                  <th>{{ t('ratio.batch') }}</th>
                  <th>{{ t('ratio.needs') }}</th>
                  <th>{{ t('ratio.ratio') }}</th>
                </tr>
              </thead>
              <tbody>
                @for (p of r.points; track p.factor) {
                  <tr [class.here]="p.factor === 1">
                    <td>× {{ fmt.number(p.factor, 1) }}</td>
                    <td>{{ fmt.ml(p.addMl) }}</td>
                    <td>1 : {{ fmt.fixed(p.mlPerMl, 2) }}</td>
                  </tr>
                }
              </tbody>
            </table>
          </div>
        </div>
      } @else {
        <p class="quiet" role="status">{{ t('ratio.working') }}</p>
      }
    </ng-container>
  `,
  styles: `
    @use 'breakpoints' as *;

    .two {
      display: grid;
      grid-template-columns: minmax(0, 1fr) 270px;
      gap: var(--space-8);
    }
    .chart {
      height: 178px;
    }
    p {
      margin: var(--space-2) 0;
      font-size: var(--size-text);
    }
    td,
    th {
      text-align: right;
      padding: 0 var(--space-5) 0 0;
    }
    .here {
      font-weight: 700;
    }
    @media #{$phone} {
      .two {
        grid-template-columns: 1fr;
      }
    }
  `,
})
export class RatioPlot {
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  readonly fmt = inject(Format);
  readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  private readonly asides = this.store.selectSignal(benchFeature.selectAsides);
  readonly found = computed(() => this.asides().ratios);

  constructor() {
    this.store.dispatch(BenchActions.asideWanted({ key: 'ratios', wanted: true }));
    inject(DestroyRef).onDestroy(() => this.store.dispatch(BenchActions.asideWanted({ key: 'ratios', wanted: false })));
  }

  readonly drawing = computed((): (() => Figure) => {
    this.fmt.locale();
    const found = this.found();
    return () => (found ? ratioFigure(found, (key) => this.transloco.translate(key)) : { data: [], layout: {} });
  });
}
