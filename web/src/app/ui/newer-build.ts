import { ChangeDetectionStrategy, Component, inject, input } from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { SwUpdate } from '@angular/service-worker';
import { TranslocoDirective } from '@jsverse/transloco';
import { Button } from 'primeng/button';
import { filter, map, timer } from 'rxjs';

/** A page that stands open for days asks so often for a newer build, ms. */
const askEveryMs = 30 * 60_000;

/** Says that the server has a newer build; this page goes on until the cook takes it, at the stove between two steps. */
@Component({
  selector: 'ek-newer-build',
  imports: [Button, TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (isReady()) {
        <p role="status">
          {{ t(cooking() ? 'newer.cooking' : 'newer.there') }}
          <p-button size="large" severity="secondary" [label]="t('newer.take')" (onClick)="take()" />
        </p>
      }
    </ng-container>
  `,
  styleUrl: './strip.scss',
})
export class NewerBuild {
  readonly cooking = input(false);
  private readonly updates = inject(SwUpdate);
  readonly isReady = toSignal(
    this.updates.versionUpdates.pipe(
      filter((e) => e.type === 'VERSION_READY'),
      map(() => true),
    ),
    { initialValue: false },
  );

  constructor() {
    if (!this.updates.isEnabled) return;
    timer(askEveryMs, askEveryMs)
      .pipe(takeUntilDestroyed())
      // Without a network there is nothing to say.
      .subscribe(() => void this.updates.checkForUpdate().catch(() => false));
  }

  take(): void {
    location.reload();
  }
}
