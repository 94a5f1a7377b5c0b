import { ChangeDetectionStrategy, Component, inject } from '@angular/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { Outbox } from '../api/outbox';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { KitchenActions } from '../state/kitchen';

/** Settings and ratings that are not at the server: how many wait, what was refused, and the question where two screens collide. */
@Component({
  selector: 'ek-unsent-changes',
  imports: [Button, SaidPipe, TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (refused(); as r) {
        <p role="alert">
          {{ r.failure | said }}
          @if (r.collides) {
            <p-button [label]="t('unsent.mine')" (onClick)="settle(true)" />
            <p-button severity="secondary" [label]="t('unsent.theirs')" (onClick)="settle(false)" />
          } @else {
            <p-button severity="secondary" [label]="t('unsent.read')" (onClick)="settle(false)" />
          }
        </p>
      }
      @if (count() > 0) {
        <p role="status">
          {{ t(isFleeting() ? 'unsent.fleeting' : 'unsent.waiting', { changes: fmt.counted('change', count()) }) }}
        </p>
      }
    </ng-container>
  `,
  styleUrl: './strip.scss',
})
export class UnsentChanges {
  readonly fmt = inject(Format);
  private readonly outbox = inject(Outbox);
  private readonly store = inject(Store);
  readonly refused = this.outbox.refused;
  readonly count = this.outbox.count;
  readonly isFleeting = this.outbox.isFleeting;

  async settle(mine: boolean): Promise<void> {
    await this.outbox.settle(mine);
    // What another screen said stands on this one too.
    if (!mine) this.store.dispatch(KitchenActions.load());
  }
}
