import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { unknownFrom, type LearnedValue } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Format } from '../i18n/format';
import { learnedWords } from '../i18n/learned-words';
import { bell } from './bell';

export interface Known {
  name: string;
  value: LearnedValue;
}

/** The values that a log says enough of to be told. */
export const knownOf = (values: Readonly<Record<string, LearnedValue>> | undefined): Known[] =>
  Object.entries(values ?? {})
    .filter(([, v]) => v.cooks > 0 && v.sd <= unknownFrom * v.priorSd)
    .map(([name, value]) => ({ name, value }));

/** What was learned, value by value: what was believed before and is now, each with its spread. */
@Component({
  selector: 'ek-learned-values',
  imports: [TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <ul>
        @for (r of shown(); track r.name) {
          <li>
            <span class="name">
              <b>{{ t('learned.name.' + r.name.replace(':', '-')) }}</b>
              <span class="quiet">{{ t('learned.from.' + fmt.plural(r.cooks), { n: r.cooks }) }}</span>
            </span>
            <svg viewBox="0 0 240 54" aria-hidden="true">
              <path class="now" [attr.d]="r.curves.now" />
              <path class="before" [attr.d]="r.curves.before" />
              <path class="axis" d="M0 46H240" />
              <path class="tick" [attr.d]="'M' + r.curves.zero + ' 46v6'" />
              <circle [attr.cx]="r.curves.at" cy="46" r="4" />
            </svg>
            <span class="value">
              <b>{{ t('learned.' + r.key, { by: r.by }) }}</b>
              <span class="quiet">{{ t('learned.spread', { now: r.spread, before: r.before }) }}</span>
            </span>
          </li>
        }
      </ul>
    </ng-container>
  `,
  styles: `
    @use 'breakpoints' as *;

    ul {
      list-style: none;
      margin: var(--space-4) 0 0;
      padding: 0;
      border-top: 1px solid var(--hair);
    }
    li {
      display: grid;
      grid-template-columns: minmax(180px, 1fr) 260px minmax(260px, 1.2fr);
      gap: var(--space-8);
      align-items: center;
      padding: var(--space-3) 0;
      border-bottom: 1px solid var(--hair);
    }
    .name,
    .value {
      display: grid;
    }
    .value {
      text-align: right;
    }
    svg {
      width: 240px;
      height: 54px;
      overflow: visible;
    }
    .now {
      fill: var(--steam-tint);
      stroke: var(--steam);
      stroke-width: 2;
    }
    .before {
      fill: none;
      stroke: var(--quiet);
      stroke-width: 1.5;
      stroke-dasharray: 4 4;
    }
    .axis,
    .tick {
      stroke: var(--rim);
      stroke-width: 1.5;
    }
    circle {
      fill: var(--ink);
    }
    @media #{$phone} {
      li {
        grid-template-columns: 1fr;
        gap: var(--space-2);
      }
      .value {
        text-align: left;
      }
    }
  `,
})
export class LearnedValues {
  readonly fmt = inject(Format);
  readonly rows = input.required<readonly Known[]>();

  readonly shown = computed(() =>
    this.rows().map(({ name, value }) => ({
      name,
      cooks: value.cooks,
      ...learnedWords(name, value, this.fmt),
      before: learnedWords(name, { ...value, sd: value.priorSd }, this.fmt).spread,
      curves: bell(value),
    })),
  );
}
