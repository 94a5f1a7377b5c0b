import { ChangeDetectionStrategy, Component, effect, inject } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { StoveActions, stoveFeature } from './stove.slice';

/** /stove: straight to the cook in progress; a choice when there are several; else how to start. */
@Component({
  selector: 'ek-stove-start',
  imports: [SaidPipe, RouterLink, TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    .empty {
      padding: var(--space-7) var(--space-10);
      gap: var(--space-3);
    }
  `,
  template: `
    <div class="page" *transloco="let t">
      @if (failure(); as f) {
        <section class="panel empty" role="alert">{{ f | said }}</section>
      } @else if (searched()) {
        <section class="panel empty">
          @if (running().length === 0) {
            <h1>{{ t('stove.empty-title') }}</h1>
            <p>{{ t('stove.empty') }}</p>
            <a routerLink="/shelf">{{ t('bench.to-shelf') }}</a>
            <a routerLink="/evening">{{ t('evening.open') }}</a>
          } @else {
            <h1>{{ t('stove.running') }}</h1>
            @for (c of running(); track c.id) {
              <a [routerLink]="['/stove', c.id]">{{ c.dish.title }}, {{ fmt.time(c.startedMs) }}</a>
            }
            <a routerLink="/evening">{{ t('evening.open') }}</a>
          }
        </section>
      }
    </div>
  `,
})
export class StoveStart {
  private readonly store = inject(Store);
  readonly fmt = inject(Format);
  readonly running = this.store.selectSignal(stoveFeature.selectRunning);
  readonly searched = this.store.selectSignal(stoveFeature.selectSearched);
  readonly failure = this.store.selectSignal(stoveFeature.selectFailure);

  constructor() {
    const router = inject(Router);
    this.store.dispatch(StoveActions.findRunning());
    effect(() => {
      const [only, another] = this.running();
      if (this.searched() && only && !another) void router.navigate(['/stove', only.id], { replaceUrl: true });
    });
  }
}
