import { ChangeDetectionStrategy, Component, inject, signal } from '@angular/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import type { Subscription } from 'rxjs';
import { Api, failureOf, type ArchiveReport, type Failure } from '../api/client';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { KitchenActions } from '../state/kitchen';
import { BringReportPanel } from '../ui/bring-report';

/** Everything as one file, to keep elsewhere or to move house with, and such a file brought back. */
@Component({
  selector: 'ek-archive',
  imports: [BringReportPanel, SaidPipe, TranslocoDirective, Button],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <h3>{{ t('archive.title') }}</h3>
      <p class="quiet">{{ t('archive.note') }}</p>
      <p class="row">
        <a href="/api/archive" download>{{ t('archive.save') }}</a>
        <input #file type="file" accept=".zip,application/zip" hidden (change)="chosen(file)" />
        <p-button
          size="large"
          severity="secondary"
          [label]="t('archive.bring')"
          [disabled]="sent() !== null"
          (onClick)="file.click()"
        />
        @if (sent(); as s) {
          <span role="status">{{ t('archive.sending', { share: fmt.percent(s.share) }) }}</span>
          <p-button severity="secondary" [label]="t('archive.stop')" (onClick)="stop()" />
        }
      </p>
      @if (failure(); as f) {
        <p class="stop-text" role="alert">{{ f | said }}</p>
      }
      @if (report(); as r) {
        <div role="status">
          <ek-bring-report [report]="r" />
          <p>{{ t('archive.kitchen-' + r.kitchen) }}</p>
        </div>
      }
    </ng-container>
  `,
  styles: `
    h3 {
      margin: var(--space-7) 0 0;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-4) var(--space-6);
      align-items: center;
    }
    a {
      display: inline-flex;
      align-items: center;
      min-height: var(--touch);
    }
  `,
})
export class Archive {
  private readonly api = inject(Api);
  private readonly store = inject(Store);
  readonly fmt = inject(Format);
  /** how much of a file is on its way, 0 to 1; null where none is */
  readonly sent = signal<{ share: number } | null>(null);
  readonly failure = signal<Failure | null>(null);
  readonly report = signal<ArchiveReport | null>(null);
  private sending: Subscription | null = null;

  chosen(input: HTMLInputElement): void {
    const file = input.files?.[0];
    input.value = '';
    if (!file) return;
    this.failure.set(null);
    this.report.set(null);
    this.sent.set({ share: 0 });
    this.sending = this.api.bringArchive(file).subscribe({
      next: (came) => {
        if (typeof came === 'number') return void this.sent.set({ share: came });
        this.sent.set(null);
        this.report.set(came);
        this.store.dispatch(KitchenActions.load());
      },
      error: (e: unknown) => {
        this.sent.set(null);
        this.failure.set(failureOf(e));
      },
    });
  }
  /** What was written by then stays; bringing the file again adds the rest. */
  stop(): void {
    this.sending?.unsubscribe();
    this.sent.set(null);
  }
}
