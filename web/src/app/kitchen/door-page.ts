import { DOCUMENT } from '@angular/common';
import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { ActivatedRoute } from '@angular/router';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Button } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { finalize } from 'rxjs';
import { Api, failureOf, type Failure } from '../api/client';
import { SaidPipe } from '../i18n/said';
import { narrow } from '../ui/narrow';

const sixDigits = /^\d{6}$/;

/** /door: a screen that was not let in yet shows its code; `/door#123456` brings the code with it. */
@Component({
  selector: 'ek-door-page',
  imports: [SaidPipe, TranslocoDirective, Button, InputText],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page" *transloco="let t">
      <form class="panel" (submit)="comeIn($event)">
        <h1>{{ t('door.title') }}</h1>
        <p>{{ t('door.how') }}</p>
        <label
          >{{ t('door.code') }}
          <input
            #codeField
            pInputText
            class="code mono"
            inputmode="numeric"
            autocomplete="one-time-code"
            maxlength="7"
            [value]="code()"
            (input)="code.set(codeField.value)"
          />
        </label>
        <label
          >{{ t('door.name') }}
          <input #nameField pInputText maxlength="40" [value]="name()" (input)="name.set(nameField.value)" />
        </label>
        @if (failure(); as f) {
          <p class="stop-text" role="alert">{{ f | said }}</p>
        }
        <p-button size="large" type="submit" [label]="t('door.come-in')" [disabled]="!isReady() || busy()" />
      </form>
    </div>
  `,
  styles: `
    .panel {
      width: min(34rem, 100%);
      margin: var(--space-8) auto;
      padding: var(--space-8) var(--space-10);
      display: grid;
      gap: var(--space-6);
    }
    h1 {
      margin: 0;
    }
    p {
      margin: 0;
    }
    label {
      display: grid;
      gap: var(--space-2);
    }
    .code {
      font-size: var(--size-title);
      letter-spacing: 0.2em;
    }
  `,
})
export class DoorPage {
  private readonly api = inject(Api);
  private readonly transloco = inject(TranslocoService);
  private readonly document = inject(DOCUMENT);
  readonly code = signal(inject(ActivatedRoute).snapshot.fragment ?? '');
  readonly name = signal(this.transloco.translate(narrow()() ? 'door.a-phone' : 'door.a-screen'));
  readonly busy = signal(false);
  readonly failure = signal<Failure | null>(null);
  /** as it is read out: 123 456 */
  private readonly digits = computed(() => this.code().replaceAll(/\s/g, ''));
  readonly isReady = computed(() => sixDigits.test(this.digits()) && this.name().trim() !== '');

  comeIn(e: Event): void {
    e.preventDefault();
    if (!this.isReady()) return;
    this.busy.set(true);
    this.failure.set(null);
    this.api
      .comeIn(this.digits(), this.name().trim())
      .pipe(finalize(() => this.busy.set(false)))
      .subscribe({
        // Everything is asked for again with the new key.
        next: () => this.document.location.assign('/shelf'),
        error: (error: unknown) => this.failure.set(failureOf(error)),
      });
  }
}
