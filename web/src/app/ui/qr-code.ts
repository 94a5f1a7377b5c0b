import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { create } from 'qrcode';

/** Light modules around the code, as the standard wants (ISO/IEC 18004). */
const quiet = 4;
/** A phone reads a code of so many modules from a screen; a longer text is sent, not shown [common practice]. */
const mostModules = 125;

/** A text as a code for a phone; where it is too long for that, what stands inside the element. */
@Component({
  selector: 'ek-qr-code',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    @if (code(); as c) {
      <svg [attr.viewBox]="c.viewBox" role="img" [attr.aria-label]="label()">
        <rect width="100%" height="100%" fill="#fff" />
        <path [attr.d]="c.path" fill="#000" />
      </svg>
    } @else {
      <ng-content />
    }
  `,
  styles: `
    svg {
      width: 100%;
      border: 1.5px solid var(--rim);
      border-radius: 6px;
    }
  `,
})
export class QrCode {
  readonly text = input.required<string>();
  readonly label = input.required<string>();
  /** The dark modules as one path; null where the text is too long. */
  readonly code = computed(() => {
    try {
      const { size, data } = create(this.text(), { errorCorrectionLevel: 'L' }).modules;
      if (size > mostModules) return null;
      const dark = Array.from(data).flatMap((on, i) =>
        on ? [`M${(i % size) + quiet} ${Math.floor(i / size) + quiet}h1v1h-1z`] : [],
      );
      return { path: dark.join(''), viewBox: `0 0 ${size + 2 * quiet} ${size + 2 * quiet}` };
    } catch {
      return null;
    }
  });
}
