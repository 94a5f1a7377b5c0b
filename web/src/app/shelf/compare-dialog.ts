import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import type { Plan } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Dialog } from 'primeng/dialog';
import { Select } from 'primeng/select';
import { Format } from '../i18n/format';
import { MiniPot } from '../ui/mini-pot';
import { planRows, type PlanRow } from '../ui/plan-rows';
import { Bound } from '../ui/bound';

export interface Comparable {
  id: string;
  title: string;
  plan: Plan;
}

/** Two dishes side by side: the figures of both plans in this kitchen. */
@Component({
  selector: 'ek-compare-dialog',
  imports: [Bound, TranslocoDirective, Dialog, Select, MiniPot],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <p-dialog
        [visible]="true"
        (visibleChange)="closed.emit()"
        [modal]="true"
        [dismissableMask]="true"
        [closeAriaLabel]="t('app.close')"
        [header]="t('compare.title')"
        [style]="{ width: 'min(52rem, 96vw)' }"
      >
        <table>
          <thead>
            <tr>
              <td></td>
              @for (x of pair(); track $index) {
                <th scope="col">
                  <ek-mini-pot class="pot" [plan]="x.plan" />
                  @if ($first) {
                    {{ x.title }}
                  } @else {
                    <p-select
                      [options]="others()"
                      optionLabel="title"
                      optionValue="id"
                      [ekBound]="x.id"
                      (ekBoundChange)="second.set($event)"
                      [ariaLabel]="t('compare.with')"
                      appendTo="body"
                    />
                  }
                </th>
              }
            </tr>
          </thead>
          <tbody>
            @for (r of rows(t); track r.name) {
              <tr>
                <th scope="row">{{ r.name }}</th>
                @for (v of r.values; track $index) {
                  <td>{{ v }}</td>
                }
              </tr>
            }
          </tbody>
        </table>
      </p-dialog>
    </ng-container>
  `,
  styles: `
    table {
      width: 100%;
      border-collapse: collapse;
    }
    th,
    td {
      text-align: left;
      padding: var(--space-4) var(--space-5);
      border-bottom: 1px solid var(--hair);
      vertical-align: bottom;
    }
    tbody th {
      font-weight: 400;
      color: var(--quiet);
      width: 11rem;
    }
    tbody td {
      font-weight: 700;
    }
    .pot {
      width: 92px;
      height: 68px;
      display: block;
    }
  `,
})
export class CompareDialog {
  readonly first = input.required<string>();
  readonly all = input.required<Comparable[]>();
  readonly closed = output();
  private readonly fmt = inject(Format);
  readonly second = signal<string | null>(null);
  readonly others = computed(() => this.all().filter((d) => d.id !== this.first()));
  readonly pair = computed(() => {
    const a = this.all().find((d) => d.id === this.first());
    const b = this.others().find((d) => d.id === this.second()) ?? this.others()[0];
    return [a, b].filter((x) => x !== undefined);
  });

  rows(t: (key: string, p?: Record<string, unknown>) => string): PlanRow[] {
    return planRows(
      this.pair().map((x) => x.plan),
      t,
      this.fmt,
    );
  }
}
