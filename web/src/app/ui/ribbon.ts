import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { schedule, type Plan } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Popover } from 'primeng/popover';
import { Format } from '../i18n/format';
import { patternOf } from './patterns';
import { Waits } from './waits';
import { timeOfDayMs } from '../i18n/time-of-day';

const view = { w: 1104, h: 104, left: 8, right: 12, base: 70, tall: 52 };

/** The whole evening as one band: height is the temperature in the pot, patterns are stages, ticks are hands-on work. */
@Component({
  selector: 'ek-ribbon',
  imports: [TranslocoDirective, Popover, Waits],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './ribbon.html',
  styleUrl: './ribbon.scss',
})
export class Ribbon {
  readonly plan = input.required<Plan>();
  /** "19:00" of the kitchen's day */
  readonly serveAt = input.required<string>();
  /** the evening as a calendar file, asked for with its serving time, epoch ms */
  readonly exported = output<number>();
  /** the plan on paper is asked for */
  readonly printed = output();
  readonly moved = output<number>();
  readonly fmt = inject(Format);
  /** the clock of the place, epoch ms */
  readonly now = input.required<number>();
  readonly view = view;
  private grabbedX: number | null = null;

  readonly totalMin = computed(() => this.plan().timeline.at(-1)?.endMin ?? 1);
  readonly serveMs = computed(() => timeOfDayMs(this.serveAt(), this.now()));
  readonly minuteOfDay = computed(() => {
    const [h, m] = this.serveAt().split(':').map(Number) as [number, number];
    return h * 60 + m;
  });
  /** On the table then, if the cook began this minute. */
  readonly ifNowMs = computed(() => this.now() + this.totalMin() * 60_000);
  readonly startMs = computed(() => this.serveMs() - this.totalMin() * 60_000);
  private readonly heatMin = computed(() => this.plan().timeline.find((s) => s.stage !== 'prep')?.startMin ?? 0);
  readonly heatOnMs = computed(() => this.startMs() + this.heatMin() * 60_000);
  private x(min: number): number {
    return view.left + (min / this.totalMin()) * (view.w - view.left - view.right);
  }
  readonly xHeat = computed(() => this.x(this.heatMin()));

  readonly waits = computed(() => schedule(this.plan(), this.serveMs(), this.now()).waits);

  readonly stages = computed(() => {
    let before = 21;
    return this.plan().timeline.map((s) => {
      const a = this.x(s.startMin);
      const b = this.x(s.endMin);
      const y = (c: number): number => view.base - Math.max(6, (c / 165) * view.tall);
      const from = s.stage === 'hold' ? s.peakC : before;
      const to =
        s.stage === 'prep'
          ? 21
          : s.stage === 'stack'
            ? 70
            : s.stage === 'natural'
              ? 104
              : s.stage === 'vent'
                ? 100
                : s.stage === 'finish'
                  ? 80
                  : s.peakC;
      before = to;
      const bend = (b - a) * 0.35;
      const d = `M${a} ${view.base}V${y(from)}C${a + bend} ${y(s.stage === 'fry' ? s.peakC : from)} ${b - bend} ${y(to)} ${b} ${y(to)}V${view.base}Z`;
      const px = b - a;
      return {
        stage: s.stage,
        d,
        fill: patternOf(s.stage),
        mid: (100 * (a + b)) / 2 / view.w,
        minutes: this.fmt.minutes(s.endMin - s.startMin),
        word: px > 30 || s.stage === 'hold',
        above: s.stage === 'hold',
      };
    });
  });

  /** A tick where each hands-on step begins. */
  readonly ticks = computed(() => {
    let at = 0;
    const out: number[] = [];
    for (const s of this.plan().steps) {
      if (s.kind === 'do') out.push(this.x(at));
      at += s.minutes;
    }
    return out;
  });

  readonly hours = computed(() => {
    const step = this.totalMin() > 100 ? 30 : 15;
    const first = Math.ceil(this.startMs() / (step * 60_000)) * step * 60_000;
    const out: { ms: number; x: number }[] = [];
    for (let ms = first; ms <= this.serveMs(); ms += step * 60_000) {
      const x = this.x((ms - this.startMs()) / 60_000);
      if (x > 20 && x < view.w - 24) out.push({ ms, x });
    }
    return out;
  });

  spoken(t: (key: string, params?: Record<string, unknown>) => string): string {
    return this.plan()
      .timeline.map(
        (s) =>
          `${t('stage.' + s.stage, { min: this.fmt.minutes(s.endMin - s.startMin) })} ${this.fmt.time(this.startMs() + s.startMin * 60_000)}`,
      )
      .join(', ');
  }

  key(e: KeyboardEvent): void {
    const by = { ArrowLeft: -5, ArrowRight: 5, ArrowUp: 5, ArrowDown: -5 }[e.key];
    if (by === undefined) return;
    e.preventDefault();
    this.moved.emit(by);
  }
  grab(e: PointerEvent): void {
    if (e.target instanceof HTMLButtonElement) return;
    this.grabbedX = e.clientX;
    (e.currentTarget as HTMLElement).setPointerCapture(e.pointerId);
  }
  /** Twelve pixels are five minutes. */
  drag(e: PointerEvent): void {
    if (this.grabbedX === null) return;
    const steps = Math.trunc((e.clientX - this.grabbedX) / 12);
    if (steps === 0) return;
    this.grabbedX += steps * 12;
    this.moved.emit(steps * 5);
  }
  drop(): void {
    this.grabbedX = null;
  }
}
