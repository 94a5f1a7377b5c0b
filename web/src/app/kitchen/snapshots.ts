import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { rxResource } from '@angular/core/rxjs-interop';
import { TranslocoDirective } from '@jsverse/transloco';
import { Button } from 'primeng/button';
import { finalize } from 'rxjs';
import { Api, failureOf, type Failure } from '../api/client';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';

/** As many of the newest are listed; the others are in their folder. */
const shown = 5;

/** The copies of everything that the server keeps: when the last one was taken, and another one at a tap. */
@Component({
  selector: 'ek-snapshots',
  imports: [SaidPipe, TranslocoDirective, Button],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <h2>{{ t('keeping.title') }}</h2>
      @if (newest(); as s) {
        <p role="status">
          {{ t('keeping.last', { day: fmt.date(s.atMs), time: fmt.time(s.atMs), n: fmt.number(all().length) }) }}
        </p>
        <ul>
          @for (s of listed(); track s.name) {
            <li>
              <span>{{ fmt.date(s.atMs) }}, {{ fmt.time(s.atMs) }}</span>
              <span class="quiet">{{ t('keeping.' + s.why) }}, {{ fmt.number(s.bytes / 1e6, 1) }} MB</span>
              <a [href]="'/api/snapshots/' + s.name" [download]="s.name">{{ t('keeping.save') }}</a>
            </li>
          }
        </ul>
      } @else if (snapshots.hasValue()) {
        <p role="status">{{ t('keeping.none') }}</p>
      }
      @if (failed(); as f) {
        <p class="stop-text" role="alert">{{ f | said }}</p>
      }
      <p-button
        size="large"
        severity="secondary"
        [label]="t(busy() ? 'keeping.taking' : 'keeping.take')"
        [disabled]="busy()"
        (onClick)="take()"
      />
      <p class="quiet">{{ t('keeping.note') }}</p>
      @if (setAside.hasValue() && setAside.value().length > 0) {
        <h3>{{ t('set-aside.title') }}</h3>
        <ul>
          @for (r of setAside.value(); track r.id) {
            <li>
              <span>{{ t('set-aside.' + r.why) }}</span>
              <span class="quiet">{{ fmt.date(r.atMs) }}, {{ r.kind }} {{ r.key }}</span>
              <a [href]="'/api/set-aside/' + r.id" [download]="'set-aside-' + r.id + '.json'">{{
                t('keeping.save')
              }}</a>
            </li>
          }
        </ul>
        <p class="quiet">{{ t('set-aside.note') }}</p>
      }
    </ng-container>
  `,
  styles: `
    @use 'rows' as *;

    @include rows;
    h3 {
      margin: var(--space-6) 0 0;
    }
    a {
      padding: var(--space-4);
    }
  `,
})
export class Snapshots {
  private readonly api = inject(Api);
  readonly fmt = inject(Format);
  readonly snapshots = rxResource({ stream: () => this.api.snapshots() });
  readonly setAside = rxResource({ stream: () => this.api.setAside() });
  readonly busy = signal(false);
  private readonly refused = signal<Failure | null>(null);
  readonly all = computed(() => (this.snapshots.hasValue() ? this.snapshots.value() : []));
  readonly newest = computed(() => this.all()[0] ?? null);
  readonly listed = computed(() => this.all().slice(0, shown));
  readonly failed = computed(() => {
    const e = this.snapshots.error();
    return this.refused() ?? (e ? failureOf(e.cause ?? e) : null);
  });

  take(): void {
    this.busy.set(true);
    this.refused.set(null);
    this.api
      .takeSnapshot()
      .pipe(finalize(() => this.busy.set(false)))
      .subscribe({ next: () => this.snapshots.reload(), error: (e: unknown) => this.refused.set(failureOf(e)) });
  }
}
