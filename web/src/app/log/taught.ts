import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import { notKnownCode } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { Format } from '../i18n/format';
import { KitchenActions, kitchenFeature } from '../state/kitchen';
import { Chart, type Figure } from '../ui/chart';
import { knownOf, LearnedValues } from '../ui/learned-values';
import { forecastsFigure, lastMissed, lastWithin, missedOf } from './forecasts-figure';
import { logFeature } from './log.slice';
import { PotNamePipe } from '../ui/pot-name';

/** What the pot taught us: what was believed before and is now, each with its spread; what is not known, and what would tell. */
@Component({
  selector: 'ek-taught',
  imports: [LearnedValues, PotNamePipe, RouterLink, TranslocoDirective, Button, Chart],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './taught.html',
  styleUrl: './taught.scss',
})
export class Taught {
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  readonly fmt = inject(Format);
  /** cooks with real food that are over */
  readonly cooks = input.required<number>();
  readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly busy = this.store.selectSignal(kitchenFeature.selectLearning);
  readonly learned = computed(() => this.kitchen().learned);

  readonly ofPot = computed(() => knownOf(this.learned()?.pots[this.kitchen().potId]));
  readonly rowsOfAll = computed(() => [...this.ofPot(), ...knownOf(this.learned()?.cook)]);
  readonly unknown = computed(
    () =>
      this.learned()
        ?.notIdentified.filter((u) => u.of === this.kitchen().potId && u.parameter !== 'purge')
        .slice(0, 4) ?? [],
  );
  readonly next = computed(
    () =>
      this.learned()
        ?.next.filter((n) => n.pot === this.kitchen().potId)
        .slice(0, 2) ?? [],
  );
  readonly notKnownCode = notKnownCode;
  readonly rounded = Math.round;
  readonly drift = computed(() => this.learned()?.drift.filter((d) => d.pot === this.kitchen().potId) ?? []);

  private readonly history = this.store.selectSignal(logFeature.selectHistory);
  readonly missed = computed(() =>
    missedOf(this.history(), this.kitchen().potId, this.learned()?.cook['tap']?.value ?? 0),
  );
  readonly lastMissed = computed(() => lastMissed(this.missed()));
  readonly lastWithin = computed(() => lastWithin(this.missed()));
  readonly drawing = computed((): (() => Figure) => {
    this.fmt.locale();
    const missed = this.missed();
    const drift = this.drift();
    return () => forecastsFigure(missed, drift, (key, p) => this.transloco.translate(key, p));
  });

  learn(): void {
    this.store.dispatch(KitchenActions.learn());
  }
  use(learning: boolean): void {
    this.store.dispatch(KitchenActions.change({ change: { learning } }));
  }
}
