import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { ingredientNames, type LessonRow, type LessonRun } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Format } from '../i18n/format';
import { RowValue } from './row-value';

/** The sums of both pots side by side; the last line is what was asked of. */
@Component({
  selector: 'ek-lesson-sum',
  imports: [RowValue, TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <table *transloco="let t">
      <caption>
        {{
          t('lab.sum')
        }}
      </caption>
      <thead>
        <tr>
          <td></td>
          <th scope="col">{{ run().left.value | rowValue: run().slider.unit : run().id }}</th>
          <th scope="col">{{ run().right.value | rowValue: run().slider.unit : run().id }}</th>
        </tr>
      </thead>
      <tbody>
        @for (r of rows(); track $index; let last = $last) {
          <tr [class.asked]="last">
            <th scope="row">{{ t('lab.row.' + r.row.code, { food: r.food }) }}</th>
            <td>{{ r.left === null ? '–' : (r.left | rowValue: r.row.unit) }}</td>
            <td>{{ r.row.value | rowValue: r.row.unit }}</td>
          </tr>
        }
      </tbody>
    </table>
  `,
  styles: `
    table {
      width: 100%;
      border-collapse: collapse;
    }
    caption {
      text-align: left;
      font-weight: 700;
      padding-bottom: var(--space-2);
    }
    th {
      text-align: left;
      font-weight: 400;
    }
    thead th,
    .asked th,
    .asked td {
      font-weight: 700;
    }
    td,
    thead th {
      text-align: right;
      font-variant-numeric: tabular-nums;
    }
    tr > * {
      padding: var(--space-2) var(--space-3);
      border-bottom: 1px solid var(--hair);
    }
    .asked > * {
      border-bottom: 0;
      border-top: 1.5px solid var(--rim);
    }
  `,
})
export class LessonSum {
  readonly run = input.required<LessonRun>();
  private readonly fmt = inject(Format);
  /** Each line of the right pot with what the left one has there. */
  readonly rows = computed(() => {
    const { left, right } = this.run();
    const names = ingredientNames(right.dish.ingredients);
    const inLeft = (row: LessonRow): number | null =>
      left.rows.find((l) => l.code === row.code && l.food === row.food)?.value ?? null;
    return right.rows.map((row) => ({
      row,
      left: inLeft(row),
      food: row.food ? this.fmt.namesOf(names, row.food) : '',
    }));
  });
}
