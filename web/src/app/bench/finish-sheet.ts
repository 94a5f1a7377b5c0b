import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { heatKey, hotC, usualBinder } from '@einkorn/core';
import { Store } from '@ngrx/store';
import { Format } from '../i18n/format';
import { BenchActions, benchFeature } from './bench.slice';
import { withOverrides } from './edits';
import { SaltSum } from './salt-sum';
import { TryIt } from './try-it';

/** 6 Finish: what comes after the pin, in order; thickening, crust, salt and keeping, each from its own sum. */
@Component({
  selector: 'ek-finish-sheet',
  imports: [TranslocoDirective, SaltSum, TryIt],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './finish-sheet.html',
  styleUrl: './finish-sheet.scss',
})
export class FinishSheet {
  readonly heatKey = heatKey;
  readonly usualBinder = usualBinder;
  private readonly store = inject(Store);
  readonly fmt = inject(Format);
  readonly hotC = hotC;
  readonly plan = this.store.selectSignal(benchFeature.selectPlan);
  readonly names = this.store.selectSignal(benchFeature.selectNames);
  private readonly dish = this.store.selectSignal(benchFeature.selectDish);
  readonly ownSalt = computed(() => this.dish()?.overrides?.saltG !== undefined);

  listed(ids: readonly string[]): string {
    return ids.map((id) => this.fmt.namesOf(this.names(), id)).join(', ');
  }
  held(ids: readonly string[]): { ingredient: string; why: string }[] {
    const seen = new Set<string>();
    return (this.plan()?.heldBack ?? []).filter(
      (h) => ids.includes(h.ingredient) && !seen.has(h.why) && seen.add(h.why),
    );
  }
  minimum(): number {
    return Math.max(0, ...(this.plan()?.meats.map((m) => m.safeMinimumC) ?? []));
  }
  /** Minutes to boil off half of what stands free. */
  half(freeG: number, perMin: number): number {
    return freeG / 2 / perMin;
  }
  side(areaCm2: number): number {
    return Math.ceil(Math.sqrt(areaCm2));
  }
  salt(grams: number | null): void {
    const d = this.dish();
    if (d)
      this.store.dispatch(BenchActions.edit({ dish: withOverrides(d, { saltG: grams ?? undefined }), merge: 'salt' }));
  }
}
