import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import type { Dish } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { InputText } from 'primeng/inputtext';
import { Format } from '../i18n/format';
import { QrCode } from '../ui/qr-code';
import { packed, sharedPath } from './dish-link';

/** A dish as a link that carries all of it, and as a code for the phone beside the stove. */
@Component({
  selector: 'ek-share-dialog',
  imports: [TranslocoDirective, Button, Dialog, InputText, QrCode],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <p-dialog
        [visible]="true"
        (visibleChange)="closed.emit()"
        [modal]="true"
        [dismissableMask]="true"
        [closeAriaLabel]="t('app.close')"
        [header]="t('share.title', { title: dish().title })"
        [style]="{ width: 'min(44rem, 96vw)' }"
      >
        <div class="two">
          <ek-qr-code [text]="address()" [label]="t('share.code')">
            <p class="quiet">{{ t('share.too-long') }}</p>
          </ek-qr-code>
          <div class="say">
            <p>{{ t('share.what') }}</p>
            @if (atHome) {
              <p class="quiet">{{ t('share.at-home') }}</p>
            }
            <label
              >{{ t('share.link') }}
              <input #link pInputText readonly [value]="address()" (focus)="link.select()" />
            </label>
            <span class="row">
              <p-button [label]="t(copied() ? 'share.copied' : 'share.copy')" (onClick)="copy()" />
              <span class="quiet" role="status">{{
                t('share.size', { characters: fmt.counted('character', address().length) })
              }}</span>
            </span>
          </div>
        </div>
      </p-dialog>
    </ng-container>
  `,
  styles: `
    @use 'breakpoints' as *;

    .two {
      display: grid;
      grid-template-columns: 250px minmax(0, 1fr);
      gap: var(--space-8);
    }
    .say {
      display: grid;
      gap: var(--space-5);
      align-content: start;
    }
    label {
      display: grid;
      gap: var(--space-2);
    }
    .row {
      display: flex;
      gap: var(--space-5);
      align-items: center;
    }
    @media #{$phone} {
      .two {
        grid-template-columns: minmax(0, 1fr);
      }
      ek-qr-code {
        max-width: 250px;
        width: 100%;
        justify-self: center;
      }
    }
  `,
})
export class ShareDialog {
  readonly dish = input.required<Dish>();
  readonly closed = output();
  readonly fmt = inject(Format);
  readonly copied = signal(false);
  /** the address of this page means this machine: no phone finds it by that */
  readonly atHome = ['localhost', '127.0.0.1', '[::1]'].includes(location.hostname);
  readonly address = computed(() => `${location.origin}/${sharedPath}#${packed(this.dish())}`);

  copy(): void {
    // Without leave to the clipboard the link stays selected, to be copied by hand.
    void (navigator as Partial<Navigator>).clipboard?.writeText(this.address()).then(
      () => this.copied.set(true),
      () => document.querySelector<HTMLInputElement>('ek-share-dialog input')?.select(),
    );
  }
}
