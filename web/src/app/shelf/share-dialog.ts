import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import type { Dish } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { InputText } from 'primeng/inputtext';
import { create } from 'qrcode';
import { Format } from '../i18n/format';
import { packed, sharedPath } from './dish-link';

/** Light modules around the code, as the standard wants (ISO/IEC 18004). */
const quiet = 4;
/** A phone reads a code of so many modules from a screen; a longer link is sent, not shown [common practice]. */
const mostModules = 125;

/** A dish as a link that carries all of it, and as a code for the phone beside the stove. */
@Component({
  selector: 'ek-share-dialog',
  imports: [TranslocoDirective, Button, Dialog, InputText],
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
          @if (code(); as c) {
            <svg class="code" [attr.viewBox]="c.viewBox" role="img" [attr.aria-label]="t('share.code')">
              <rect width="100%" height="100%" fill="#fff" />
              <path [attr.d]="c.path" fill="#000" />
            </svg>
          } @else {
            <p class="quiet">{{ t('share.too-long') }}</p>
          }
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
    .code {
      width: 100%;
      border: 1.5px solid var(--rim);
      border-radius: 6px;
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
      .code {
        max-width: 250px;
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
  /** The dark modules as one path; null where the link is too long for a code that a phone can read. */
  readonly code = computed(() => {
    try {
      const { size, data } = create(this.address(), { errorCorrectionLevel: 'L' }).modules;
      if (size > mostModules) return null;
      const dark = Array.from(data).flatMap((on, i) =>
        on ? [`M${(i % size) + quiet} ${Math.floor(i / size) + quiet}h1v1h-1z`] : [],
      );
      return { path: dark.join(''), viewBox: `0 0 ${size + 2 * quiet} ${size + 2 * quiet}` };
    } catch {
      return null;
    }
  });

  copy(): void {
    // Without leave to the clipboard the link stays selected, to be copied by hand.
    void (navigator as Partial<Navigator>).clipboard?.writeText(this.address()).then(
      () => this.copied.set(true),
      () => document.querySelector<HTMLInputElement>('ek-share-dialog input')?.select(),
    );
  }
}
