import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { StoveActions, stoveFeature } from './stove.slice';

/** Taps that the server did not take, and why; where the cook was over on another screen, it can be taken up again. */
@Component({
  selector: 'ek-taps-refused',
  imports: [Button, SaidPipe, TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (refused(); as r) {
        <p role="alert">
          {{ t('stove.not-taken', { taps: fmt.counted('tap', r.taps) }) }} {{ r.failure | said }}
          @if (r.failure.code === 'cook-over') {
            <p-button size="large" [label]="t('stove.take-up')" (onClick)="takeUp()" />
          }
          <p-button size="large" severity="secondary" [label]="t('unsent.read')" (onClick)="read()" />
        </p>
      }
    </ng-container>
  `,
  styleUrl: '../ui/strip.scss',
})
export class TapsRefused {
  readonly fmt = inject(Format);
  private readonly store = inject(Store);
  readonly refused = this.store.selectSignal(stoveFeature.selectRefused);

  takeUp(): void {
    this.store.dispatch(StoveActions.takeUp());
  }
  read(): void {
    this.store.dispatch(StoveActions.refusalRead());
  }
}
