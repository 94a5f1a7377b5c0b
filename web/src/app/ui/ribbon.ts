import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { schedule, type Plan } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Popover } from 'primeng/popover';
import { Format } from '../i18n/format';
import { patternOf } from './patterns';
import { Waits } from './waits';

const view = { w: 1104, h: 104, left: 8, right: 12, base: 70, tall: 52 };

/** The whole evening as one band: height is the temperature in the pot, patterns are stages, ticks are hands-on work. */
@Component({
  selector: 'ek-ribbon',
  imports: [TranslocoDirective, Popover, Waits],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <div class="heat">
        <span class="quiet">{{ t('ribbon.heat-on') }}</span>
        <strong class="mono">{{ fmt.time(heatOnMs()) }}</strong>
        <span class="quiet">{{ t('ribbon.start', { time: fmt.time(startMs()) }) }}</span>
        <span class="quiet" [title]="t('ribbon.now-why')">{{ t('ribbon.now', { time: fmt.time(ifNowMs()) }) }}</span>
        <span class="links">
          <button type="button" class="cal" (click)="exported.emit(serveMs())">{{ t('ribbon.calendar') }}</button>
          <button type="button" class="cal" [attr.aria-label]="t('waits.title')" (click)="pop.toggle($event)">
            {{ t('ribbon.waits') }}
          </button>
        </span>
        <p-popover #pop [ariaLabel]="t('waits.title')"><ek-waits [waits]="waits()" /></p-popover>
      </div>
      <svg
        [attr.viewBox]="'0 0 ' + view.w + ' ' + view.h"
        preserveAspectRatio="none"
        role="img"
        [attr.aria-label]="spoken(t)"
      >
        @for (s of stages(); track s.stage) {
          <path [attr.d]="s.d" [attr.fill]="s.fill" stroke="var(--rim)" stroke-width="1.3" />
        }
        @for (x of ticks(); track x) {
          <rect [attr.x]="x - 1.6" [attr.y]="view.base + 1" width="3.2" height="7.5" fill="var(--ink)" />
        }
        <path
          [attr.d]="'M' + xHeat() + ' 4V' + (view.base + 8)"
          stroke="var(--paprika)"
          stroke-width="2"
          stroke-dasharray="5 4"
        />
        @for (h of hours(); track h.ms) {
          <path [attr.d]="'M' + h.x + ' ' + (view.base + 8) + 'v5'" stroke="var(--quiet)" stroke-width="1.4" />
        }
      </svg>
      <div class="words" aria-hidden="true">
        @for (s of stages(); track s.stage) {
          @if (s.word) {
            <span class="chip" [style.left.%]="s.mid" [class.above]="s.above">{{
              t('stage.' + s.stage, { min: s.minutes })
            }}</span>
          }
        }
        @for (h of hours(); track h.ms) {
          <span class="hour quiet" [style.left.%]="(100 * h.x) / view.w">{{ fmt.time(h.ms) }}</span>
        }
      </div>
      <div class="plate serve" (pointerdown)="grab($event)" (pointermove)="drag($event)" (pointerup)="drop()">
        <span class="quiet">{{ t('ribbon.serve') }}</span>
        <strong
          class="mono"
          role="slider"
          tabindex="0"
          [attr.aria-label]="t('ribbon.serve-label')"
          aria-valuemin="0"
          aria-valuemax="1439"
          [attr.aria-valuenow]="minuteOfDay()"
          [attr.aria-valuetext]="fmt.time(serveMs())"
          (keydown)="key($event)"
          >{{ fmt.time(serveMs()) }}</strong
        >
        <span class="steps">
          <button type="button" (click)="moved.emit(-5)" [attr.aria-label]="t('ribbon.earlier')">[</button>
          {{ t('ribbon.five') }}
          <button type="button" (click)="moved.emit(5)" [attr.aria-label]="t('ribbon.later')">]</button>
        </span>
      </div>
    </ng-container>
  `,
  styles: `
    :host {
      display: grid;
      grid-template-columns: 118px 1fr 140px;
      gap: 8px;
      height: 108px;
      padding: 8px 8px 8px 14px;
      align-items: stretch;
    }
    .heat {
      display: grid;
      align-content: center;
      font-size: 14px;
      line-height: 1.15;
    }
    .cal {
      border: 0;
      background: none;
      padding: 0;
      color: var(--steam);
      text-decoration: underline;
      cursor: pointer;
      text-align: left;
      font-size: 15px;
      min-height: 24px;
    }
    .links {
      display: flex;
      gap: 12px;
    }
    .heat strong {
      font-size: 26px;
      line-height: 1.1;
    }
    svg {
      grid-area: 1 / 2;
      width: 100%;
      height: 92px;
    }
    .words {
      grid-area: 1 / 2;
      position: relative;
      height: 92px;
      overflow: hidden;
      pointer-events: none;
    }
    .chip {
      position: absolute;
      top: 40px;
      transform: translateX(-50%);
      background: var(--enamel);
      border-radius: 4px;
      padding: 0 5px;
      font-size: 15px;
      line-height: 19px;
      white-space: nowrap;
    }
    .chip.above {
      top: 0;
      font-weight: 700;
    }
    .hour {
      position: absolute;
      bottom: 0;
      transform: translateX(-50%);
      font: 14px var(--mono);
    }
    .serve {
      cursor: ew-resize;
      touch-action: none;
      line-height: 1.1;
      padding: 2px 6px;
    }
    .serve strong {
      font-size: 34px;
      line-height: 1;
    }
    .steps {
      font-size: 14px;
      display: flex;
      gap: 5px;
      align-items: center;
    }
    .steps button {
      border: 1.3px solid var(--rim);
      background: var(--enamel);
      border-radius: 5px;
      min-width: 30px;
      height: 24px;
      line-height: 20px;
      cursor: pointer;
      font-weight: 700;
    }
    @media (max-width: 760px) {
      :host {
        grid-template-columns: 1fr auto;
        height: auto;
      }
      svg,
      .words {
        display: none;
      }
    }
  `,
})
export class Ribbon {
  readonly plan = input.required<Plan>();
  /** "19:00" of the kitchen's day */
  readonly serveAt = input.required<string>();
  /** the evening as a calendar file, asked for with its serving time, epoch ms */
  readonly exported = output<number>();
  readonly moved = output<number>();
  readonly fmt = inject(Format);
  /** the clock of the place, epoch ms */
  readonly now = input.required<number>();
  readonly view = view;
  private grabbedX: number | null = null;

  readonly totalMin = computed(() => this.plan().timeline.at(-1)?.endMin ?? 1);
  readonly serveMs = computed(() => {
    const [h, m] = this.serveAt().split(':').map(Number) as [number, number];
    const d = new Date();
    d.setHours(h, m, 0, 0);
    return d.getTime();
  });
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
