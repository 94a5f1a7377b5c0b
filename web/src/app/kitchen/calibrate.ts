import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject, signal } from '@angular/core';
import { takeUntilDestroyed } from '@angular/core/rxjs-interop';
import { calibrationDish, potInUse, potProfile, type PotParameter } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Router } from '@angular/router';
import { Button } from 'primeng/button';
import { finalize, switchMap } from 'rxjs';
import { Api, failureOf, type Failure } from '../api/client';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { kitchenFeature } from '../state/kitchen';
import { newCook } from '../state/new-cook';
import { knownOf, LearnedValues } from '../ui/learned-values';
import { PotNamePipe } from '../ui/pot-name';
import { Planner } from '../workers/planner';
import { HouseClock } from '../state/clock';

/** What the taps and the scale of a calibration say something of; the rest stands in the Log. */
const tellsOfWater: ReadonlySet<string> = new Set<PotParameter>(['heat', 'loss', 'leak', 'sense']);

/** What is known of the pot in use, and the water that tells it before the first dinner: planned like a dish, guided by the Stove. */
@Component({
  selector: 'ek-calibrate',
  imports: [LearnedValues, PotNamePipe, SaidPipe, TranslocoDirective, Button],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="panel" id="water" aria-labelledby="water-title" *transloco="let t">
      <h2 id="water-title">{{ t('calibrate.title', { pot: kitchen().potId | potName }) }}</h2>
      <p>{{ t('calibrate.what', { ml: fmt.ml(dish().overrides!.liquidMl!), min: dish().overrides!.holdMin }) }}</p>
      @if (learning()) {
        <p role="status">{{ t('calibrate.reading') }}</p>
      }
      @if (known().length > 0) {
        <p class="quiet">{{ t('learned.legend') }}</p>
        <ek-learned-values [rows]="known()" />
      } @else {
        <p class="quiet">{{ t('learned.none-of-pot') }}</p>
      }
      @if (failure(); as f) {
        <p class="stop-text" role="alert">{{ f | said }}</p>
      }
      <p-button
        size="large"
        severity="secondary"
        [label]="t(busy() ? 'calibrate.busy' : known().length > 0 ? 'calibrate.again' : 'calibrate.start')"
        [disabled]="busy()"
        (onClick)="start()"
      />
      <p class="quiet">{{ t('calibrate.care') }}</p>
    </section>
  `,
  styles: `
    .panel {
      padding: var(--space-7) var(--space-8);
    }
    p {
      margin: var(--space-4) 0;
    }
    p-button {
      display: inline-block;
      margin-top: var(--space-4);
    }
  `,
})
export class Calibrate {
  private readonly api = inject(Api);
  private readonly planner = inject(Planner);
  private readonly router = inject(Router);
  private readonly transloco = inject(TranslocoService);
  private readonly gone = inject(DestroyRef);
  readonly fmt = inject(Format);
  private readonly store = inject(Store);
  private readonly clock = inject(HouseClock);
  readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly busy = signal(false);
  readonly failure = signal<Failure | null>(null);
  readonly learning = this.store.selectSignal(kitchenFeature.selectLearning);
  readonly known = computed(() =>
    knownOf(this.kitchen().learned?.pots[this.kitchen().potId]).filter((k) => tellsOfWater.has(k.name)),
  );
  readonly dish = computed(() => {
    this.fmt.locale();
    return calibrationDish(potProfile(potInUse(this.kitchen())), this.transloco.translate('calibrate.dish'));
  });

  start(): void {
    const dish = this.dish();
    this.busy.set(true);
    this.failure.set(null);
    this.planner
      .plan(dish, this.kitchen())
      .pipe(
        switchMap((plan) => this.api.startCook(newCook({ dishId: null, dish, plan }, this.clock.now()))),
        finalize(() => this.busy.set(false)),
        takeUntilDestroyed(this.gone),
      )
      .subscribe({
        next: (cook) => void this.router.navigate(['/stove', cook.id]),
        error: (e: unknown) => this.failure.set(failureOf(e)),
      });
  }
}
