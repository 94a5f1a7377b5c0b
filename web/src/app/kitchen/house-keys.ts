import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { rxResource } from '@angular/core/rxjs-interop';
import { TranslocoDirective } from '@jsverse/transloco';
import { Button } from 'primeng/button';
import { finalize } from 'rxjs';
import { Api, failureOf, type Failure, type KeyRights, type PairingCode } from '../api/client';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { QrCode } from '../ui/qr-code';

/** Screens and devices of the house: who was let in and with what rights, a code for the next one, and the way out. */
@Component({
  selector: 'ek-house-keys',
  imports: [QrCode, SaidPipe, TranslocoDirective, Button],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="panel" aria-labelledby="house-keys" *transloco="let t">
      <h2 id="house-keys">{{ t('house-keys.title') }}</h2>
      @if (known.hasValue() && known.value(); as k) {
        @if (k.house; as house) {
          <p>
            {{
              house.addresses.length > 0
                ? t('house-keys.open', { at: house.addresses.join(', ') })
                : t('house-keys.no-network')
            }}
          </p>
          <ul>
            @for (key of k.keys; track key.id) {
              <li>
                <strong>{{ key.name }}</strong>
                <span class="quiet"
                  >{{ t('house-keys.' + key.rights) }}{{ key.id === k.own ? ', ' + t('house-keys.this') : '' }},
                  {{ t('house-keys.last', { day: fmt.date(key.lastMs) }) }}</span
                >
                <p-button
                  severity="secondary"
                  [label]="t('house-keys.revoke')"
                  [ariaLabel]="t('house-keys.revoke-one', { name: key.name })"
                  (onClick)="revoke(key.id)"
                />
              </li>
            } @empty {
              <li class="quiet">{{ t('house-keys.none') }}</li>
            }
          </ul>
          <p class="row">
            @for (r of rights; track r) {
              <p-button
                size="large"
                severity="secondary"
                [label]="t('house-keys.let-in-' + r)"
                [disabled]="busy()"
                (onClick)="letIn(r)"
              />
            }
          </p>
          @if (code(); as c) {
            <div class="code" role="status">
              @if (c.rights !== 'device' && address()) {
                <ek-qr-code [text]="address() + '/door#' + c.code" [label]="t('house-keys.qr')" />
              }
              <div>
                <strong class="mono">{{ spaced(c.code) }}</strong>
                <p>{{ t('house-keys.how-' + c.rights, { at: address(), until: fmt.time(c.untilMs) }) }}</p>
                <p class="quiet">{{ t('house-keys.certificate', { mark: shortMark() }) }}</p>
              </div>
            </div>
          }
          <p class="quiet">{{ t('house-keys.note') }}</p>
        } @else {
          <p class="quiet">{{ t('house-keys.closed') }}</p>
        }
      }
      @if (failed(); as f) {
        <p class="stop-text" role="alert">{{ f | said }}</p>
      }
    </section>
  `,
  styles: `
    @use 'rows' as *;

    .panel {
      padding: var(--space-7) var(--space-8);
    }
    @include rows;
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-4);
    }
    .code {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-8);
      align-items: start;
      margin: var(--space-6) 0;
    }
    .code > div {
      flex: 1 1 18rem;
    }
    .code strong {
      font-size: 44px;
      letter-spacing: 0.08em;
    }
    ek-qr-code {
      width: 200px;
    }
  `,
})
export class HouseKeys {
  private readonly api = inject(Api);
  readonly fmt = inject(Format);
  readonly rights: readonly KeyRights[] = ['cook', 'look', 'device'];
  readonly known = rxResource({ stream: () => this.api.keys() });
  readonly code = signal<PairingCode | null>(null);
  readonly busy = signal(false);
  private readonly refused = signal<Failure | null>(null);
  readonly failed = computed(() => {
    const e = this.known.error();
    return this.refused() ?? (e ? failureOf(e.cause ?? e) : null);
  });
  private readonly house = computed(() => (this.known.hasValue() ? this.known.value().house : null));
  readonly address = computed(() => this.house()?.addresses[0] ?? '');
  /** Enough of the fingerprint to compare by eye. */
  readonly shortMark = computed(() => this.house()?.fingerprint.split(':').slice(0, 6).join(':') ?? '');

  spaced(code: string): string {
    return `${code.slice(0, 3)} ${code.slice(3)}`;
  }
  letIn(rights: KeyRights): void {
    this.busy.set(true);
    this.refused.set(null);
    this.api
      .pairingCode(rights)
      .pipe(finalize(() => this.busy.set(false)))
      .subscribe({ next: (c) => this.code.set(c), error: (e: unknown) => this.refused.set(failureOf(e)) });
  }
  revoke(id: string): void {
    this.refused.set(null);
    this.api.revokeKey(id).subscribe({
      next: () => this.known.reload(),
      error: (e: unknown) => this.refused.set(failureOf(e)),
    });
  }
}
