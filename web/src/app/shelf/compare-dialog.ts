import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { starchOf, type Plan } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Dialog } from 'primeng/dialog';
import { Select } from 'primeng/select';
import { Format } from '../i18n/format';
import { MiniPot } from '../ui/mini-pot';

export interface Comparable {
  id: string;
  title: string;
  plan: Plan;
}

/** Two dishes side by side: the figures of both plans in this kitchen. */
@Component({
  selector: 'ek-compare-dialog',
  imports: [FormsModule, TranslocoDirective, Dialog, Select, MiniPot],
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
                      [ngModel]="x.id"
                      (ngModelChange)="second.set($event)"
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
      padding: 7px 10px;
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

  rows(t: (key: string, p?: Record<string, unknown>) => string): { name: string; values: string[] }[] {
    const row = (name: string, of: (p: Plan) => string) => ({
      name: t(`compare.${name}`),
      values: this.pair().map((x) => of(x.plan)),
    });
    return [
      row('liquid', (p) => this.fmt.ml(p.liquid.addMl)),
      row('program', (p) => this.program(t, p)),
      row('first', (p) => (p.firstStage ? `${this.fmt.minutes(p.firstStage.holdMin)} min` : '–')),
      row('starch', (p) => {
        const s = starchOf(p);
        return s
          ? `${t(`food.${(p.grain ?? p.pasta)!.food}`)}: ${t(`band.${s.band}`)}, ${this.fmt.percent(s.chance)}`
          : '–';
      }),
      row(
        'meat',
        (p) => p.meats.map((m) => `${t(`meat.${m.texture}`)} ${this.fmt.celsius(m.coreC)}`).join(', ') || '–',
      ),
      row('scorch', (p) => t(`scorch.${p.scorch.level}`)),
      row('fill', (p) => this.fmt.percent(p.pot.fillFraction)),
      row('hands', (p) => this.minutes(p, true)),
      row('total', (p) => `${this.fmt.number(Math.round(p.timeline.at(-1)?.endMin ?? 0))} min`),
    ];
  }
  private minutes(p: Plan, hands: boolean): string {
    const sum = p.steps.filter((s) => (s.kind === 'do') === hands).reduce((m, s) => m + s.minutes, 0);
    return `${this.fmt.number(Math.round(sum))} min`;
  }
  private program(t: (key: string, p?: Record<string, unknown>) => string, p: Plan): string {
    const r = p.program.release;
    const hold = this.fmt.minutes(p.program.holdMin);
    return t(`pressure.name-${r.kind}`, { hold, natural: this.fmt.minutes(r.naturalMin ?? 0) });
  }
}
