import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { Outbox } from '../api/outbox';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { KitchenActions } from '../state/kitchen';
import { saveFile } from './save-file';

const ofKitchen: Record<string, string> = {
  potId: 'kitchen.pots',
  altitudeM: 'kitchen.altitude',
  units: 'kitchen.units',
  weights: 'kitchen.weights',
  temperature: 'kitchen.temperature',
  lengths: 'kitchen.lengths',
  language: 'kitchen.language',
  theme: 'kitchen.theme',
  devices: 'kitchen.devices',
};
const labelOf = (path: string): string | undefined =>
  path.startsWith('ratings.') ? `rating.${path.slice('ratings.'.length)}.name` : ofKitchen[path];

/** Settings and ratings that are not at the server: how many wait, what was refused, and the question where two screens collide. */
@Component({
  selector: 'ek-unsent-changes',
  imports: [Button, SaidPipe, TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (refused(); as r) {
        <p role="alert">
          <span>
            @for (key of labels(); track key) {
              <strong>{{ t(key) }}.</strong>
            }
            {{ r.failure | said }}
          </span>
          @if (r.collides) {
            <p-button size="large" [label]="t('unsent.mine')" (onClick)="settle(true)" />
            <p-button size="large" severity="secondary" [label]="t('unsent.theirs')" (onClick)="settle(false)" />
          } @else {
            <p-button size="large" severity="secondary" [label]="t('unsent.read')" (onClick)="settle(false)" />
          }
          <p-button size="large" severity="secondary" [label]="t('unsent.file')" (onClick)="save()" />
        </p>
      }
      @if (count() > 0) {
        <p role="status">
          {{ t(isFleeting() ? 'unsent.fleeting' : 'unsent.waiting', { changes: fmt.counted('change', count()) }) }}
          @if (isFleeting()) {
            <p-button size="large" severity="secondary" [label]="t('unsent.file')" (onClick)="save()" />
          }
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
  /** what the two screens said otherwise of, as it is called where it is set */
  readonly labels = computed(() => (this.refused()?.failure.issues ?? []).flatMap(({ path }) => labelOf(path) ?? []));
  readonly count = this.outbox.count;
  readonly isFleeting = this.outbox.isFleeting;

  /** What the server does not have, as it was sent: nothing is lost that somebody may still want to read. */
  save(): void {
    const changes = this.outbox.unsent().map(({ path, body }) => ({ path, ...body }));
    saveFile('unsent changes', 'json', JSON.stringify({ format: 'einkorn-unsent-changes/1', changes }, null, 2));
  }

  async settle(mine: boolean): Promise<void> {
    await this.outbox.settle(mine);
    // What another screen said stands on this one too.
    if (!mine) this.store.dispatch(KitchenActions.load());
  }
}
