import { ChangeDetectionStrategy, Component, effect, inject } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { benchFeature } from './bench.slice';

/** /bench without a dish: back to the one in hand, or a word on where to find one. */
@Component({
  selector: 'ek-bench-start',
  imports: [RouterLink, TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page" *transloco="let t">
      <section class="panel empty">
        <h1>{{ t('bench.empty-title') }}</h1>
        <p>{{ t('bench.empty') }}</p>
        <a routerLink="/shelf">{{ t('bench.to-shelf') }}</a> · <a routerLink="/lab">{{ t('lab.open') }}</a>
      </section>
    </div>
  `,
})
export class BenchStart {
  constructor() {
    const id = inject(Store).selectSignal(benchFeature.selectId);
    const router = inject(Router);
    effect(() => {
      const known = id();
      if (known) void router.navigate(['/bench', known, 'water'], { replaceUrl: true });
    });
  }
}
