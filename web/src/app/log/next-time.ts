import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import type { Cook, NextTime } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { Format } from '../i18n/format';
import { LogActions } from './log.slice';

type Translate = (key: string, p?: Record<string, unknown>) => string;

/** What to change next time: the one number that would have made this cook just right, with its chance. */
@Component({
  selector: 'ek-next-time',
  imports: [TranslocoDirective, Button],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <h2>{{ t('next-time.title') }}</h2>
      @if (next(); as n) {
        <p class="change">
          {{ t('next-time.' + number(n)) }}: <span class="quiet">{{ figure(t, n, n.was) }}</span> →
          <b>{{ figure(t, n, n.change) }}</b>
        </p>
        <p>{{ t('next-time.chance', { same: of100(n.same), changed: of100(n.changed) }) }}</p>
        <p-button size="large" [label]="t('next-time.so')" (onClick)="cookSo(n)" />
        <p class="quiet">{{ t('next-time.note') }}</p>
      } @else if (next() === undefined) {
        <p class="quiet" role="status">{{ t('next-time.working') }}</p>
      } @else {
        <p>
          {{ t(rated() === undefined ? 'next-time.unrated' : rated() === 2 ? 'next-time.right' : 'next-time.none') }}
        </p>
      }
    </ng-container>
  `,
  styles: `
    .change {
      font-size: var(--size-body);
    }
    p {
      margin: var(--space-3) 0;
    }
  `,
})
export class NextTimePanel {
  readonly cook = input.required<Cook>();
  /** undefined while it is worked out */
  readonly next = input.required<NextTime | null | undefined>();
  private readonly store = inject(Store);
  private readonly fmt = inject(Format);

  rated(): number | undefined {
    return this.cook().outcome?.ratings.grain;
  }
  number({ change }: NextTime): 'hold' | 'liquid' | 'release' {
    return change.holdMin !== undefined ? 'hold' : change.liquidMl !== undefined ? 'liquid' : 'release';
  }
  figure(t: Translate, n: NextTime, of: NextTime['change']): string {
    if (n.change.holdMin !== undefined) return `${this.fmt.minutes(of.holdMin ?? 0)} min`;
    if (n.change.liquidMl !== undefined) return this.fmt.ml(of.liquidMl ?? 0);
    const naturalMin = of.release?.naturalMin ?? 0;
    return naturalMin === 0 ? t('next-time.at-once') : t('next-time.by-itself', { min: this.fmt.minutes(naturalMin) });
  }
  of100(chance: number): string {
    return this.fmt.number(Math.round(100 * chance));
  }
  cookSo(next: NextTime): void {
    this.store.dispatch(LogActions.cookSo({ cook: this.cook(), next }));
  }
}
