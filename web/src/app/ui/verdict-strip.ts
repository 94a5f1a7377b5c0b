import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';

export interface Band {
  label: string;
  to: number;
}

/** One verdict: the word first, then where it lies between named bands, with its spread and any limit. */
@Component({
  selector: 'ek-verdict-strip',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="head">
      <svg width="16" height="16" aria-hidden="true">
        <rect
          x="0.75"
          y="0.75"
          width="14.5"
          height="14.5"
          rx="3"
          [attr.fill]="fill()"
          stroke="var(--ink)"
          stroke-width="1.2"
        />
      </svg>
      <span class="quiet">{{ kind() }}</span>
      <strong class="verdict" [class.stop-text]="alarm()">{{ verdict() }}</strong>
      <span class="note quiet">{{ note() }}</span>
    </div>
    <div class="scale" aria-hidden="true">
      @for (b of shown(); track b.label) {
        <span class="band" [class.chosen]="b.chosen" [style.width.%]="b.width" [style.--tint]="tint()">{{
          b.label
        }}</span>
      }
      @if (limit(); as l) {
        <span class="limit" [style.left.%]="x(l.at)"></span>
      }
    </div>
    <div class="under" aria-hidden="true">
      @for (e of edges(); track e.at) {
        <span class="edge quiet" [style.left.%]="x(e.at)">{{ e.text }}</span>
      }
      @if (limit(); as l) {
        <span class="limit-text" [style.left.%]="x(l.at)" [class.flip]="x(l.at) > 40">{{ l.text }}</span>
      }
      <span class="spread" [style.left.%]="x(low())" [style.width.%]="x(high()) - x(low())"></span>
      <span class="dot" [style.left.%]="x(at())"></span>
    </div>
  `,
  styleUrl: './verdict-strip.scss',
})
export class VerdictStrip {
  readonly kind = input.required<string>();
  readonly verdict = input.required<string>();
  readonly note = input('');
  readonly fill = input.required<string>();
  readonly tint = input.required<string>();
  readonly from = input.required<number>();
  readonly to = input.required<number>();
  readonly bands = input.required<Band[]>();
  readonly at = input.required<number>();
  readonly low = input.required<number>();
  readonly high = input.required<number>();
  readonly edges = input<{ at: number; text: string }[]>([]);
  readonly limit = input<{ at: number; text: string } | null>(null);
  readonly alarm = input(false);

  x(value: number): number {
    return (100 * (Math.min(this.to(), Math.max(this.from(), value)) - this.from())) / (this.to() - this.from());
  }

  readonly shown = computed(() => {
    let from = this.from();
    return this.bands().map((b, i, all) => {
      const width = this.x(b.to) - this.x(from);
      const chosen = (i === 0 || this.at() >= from) && (i === all.length - 1 || this.at() < b.to);
      from = b.to;
      return { ...b, width, chosen };
    });
  });
}
