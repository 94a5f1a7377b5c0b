import type { ElementRef } from '@angular/core';
import type { Degrees } from '../i18n/entry';
import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  inject,
  input,
  output,
  signal,
  viewChild,
} from '@angular/core';
import type { Config, Data, Layout } from 'plotly.js';

type PlotlyModule = {
  react(el: HTMLElement, data: Data[], layout: Partial<Layout>, config: Partial<Config>): Promise<unknown>;
  purge(el: HTMLElement): void;
};
interface PlotAxis {
  p2d(px: number): number;
  d2p(x: number): number;
  range: [number, number];
}
interface PlotElement extends HTMLDivElement {
  _fullLayout?: { xaxis: PlotAxis; yaxis: PlotAxis; _size: { l: number; t: number } };
  on?(event: 'plotly_click', f: (e: { points: { x: number; y: number }[] }) => void): void;
}

let loading: Promise<PlotlyModule> | null = null;
const plotly = (): Promise<PlotlyModule> => {
  loading ??= import('plotly.js-cartesian-dist-min').then((m) => ('default' in m ? m.default : m) as PlotlyModule);
  return loading;
};

/** Value of a colour token right now: the chart library paints pixels and knows no custom properties. */
export const token = (name: string): string =>
  getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim();

export interface Figure {
  data: Data[];
  layout: Partial<Layout>;
}

/** A chart in our colours. The figure is a function, so that it is made again with the tokens of the theme in force. */
@Component({
  selector: 'ek-chart',
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: {
    '(pointerdown)': 'grab($event)',
    '(pointermove)': 'drag($event)',
    '(pointerup)': 'drop()',
    '(pointercancel)': 'held.set(null)',
  },
  template: `<div #plot class="plot" role="img" [attr.aria-label]="label()"></div>
    @if (held(); as h) {
      <div class="held" [style.left.px]="h.px" [style.top.px]="h.py" aria-hidden="true">{{ handle()?.name }}</div>
      <div class="says" [style.left.px]="h.px" [style.top.px]="h.py" role="status">{{ says()(h.x, h.y) }}</div>
    }`,
  styles: `
    :host {
      display: block;
      min-height: 0;
      position: relative;
    }
    .held {
      position: absolute;
      width: 30px;
      height: 30px;
      margin: -15px 0 0 -15px;
      border-radius: 50%;
      display: grid;
      place-content: center;
      background: var(--rim);
      color: var(--onrim);
      font-weight: 700;
      pointer-events: none;
    }
    .says {
      position: absolute;
      transform: translate(-50%, -52px);
      background: var(--enamel);
      border: 1.5px solid var(--rim);
      border-radius: 6px;
      padding: var(--space-1) var(--space-5);
      white-space: nowrap;
      font-weight: 700;
      pointer-events: none;
    }
    .plot {
      width: 100%;
      height: 100%;
    }
  `,
})
export class Chart {
  readonly figure = input.required<() => Figure>();
  readonly label = input.required<string>();
  /** any value: a change draws again (theme, language) */
  readonly redraw = input<unknown>(null);
  readonly picked = output<{ x: number; y: number }>();
  /** a point of the chart that can be taken and moved, in its own units */
  readonly handle = input<{ x: number; y: number; name: string } | null>(null);
  /** what the held point would mean, while it moves */
  readonly says = input<(x: number, y: number) => string>(() => '');
  readonly moved = output<{ x: number; y: number }>();
  readonly held = signal<{ px: number; py: number; x: number; y: number } | null>(null);
  private readonly plot = viewChild.required<ElementRef<PlotElement>>('plot');
  private alive = true;
  private bound = false;

  constructor() {
    inject(DestroyRef).onDestroy(() => {
      this.alive = false;
      void loading?.then((p) => p.purge(this.plot().nativeElement));
    });
    afterRenderEffect(() => {
      const figure = this.figure();
      this.redraw();
      void this.draw(figure());
    });
  }

  /** How near a finger must be to take the point, px. */
  private static readonly reachPx = 26;

  grab(e: PointerEvent): void {
    const h = this.handle();
    const el = this.plot().nativeElement;
    const full = el._fullLayout;
    if (!h || !full) return;
    const box = el.getBoundingClientRect();
    const px = full._size.l + full.xaxis.d2p(h.x);
    const py = full._size.t + full.yaxis.d2p(h.y);
    if (Math.hypot(e.clientX - box.left - px, e.clientY - box.top - py) > Chart.reachPx) return;
    e.preventDefault();
    e.stopPropagation();
    (e.currentTarget as HTMLElement).setPointerCapture(e.pointerId);
    this.held.set({ px, py, x: h.x, y: h.y });
  }
  drag(e: PointerEvent): void {
    const el = this.plot().nativeElement;
    const full = el._fullLayout;
    if (!this.held() || !full) return;
    const box = el.getBoundingClientRect();
    const inside = (value: number, [from, to]: [number, number]): number => Math.min(to, Math.max(from, value));
    const x = inside(full.xaxis.p2d(e.clientX - box.left - full._size.l), full.xaxis.range);
    const y = inside(full.yaxis.p2d(e.clientY - box.top - full._size.t), full.yaxis.range);
    this.held.set({ px: full._size.l + full.xaxis.d2p(x), py: full._size.t + full.yaxis.d2p(y), x, y });
  }
  drop(): void {
    const h = this.held();
    this.held.set(null);
    if (h) this.moved.emit({ x: h.x, y: h.y });
  }

  private async draw({ data, layout }: Figure): Promise<void> {
    const p = await plotly();
    if (!this.alive) return;
    const el = this.plot().nativeElement;
    const font = { family: 'Atkinson Hyperlegible Next Variable, sans-serif', size: 15, color: token('ink') };
    const base: Partial<Layout> = {
      autosize: true,
      paper_bgcolor: 'rgba(0,0,0,0)',
      plot_bgcolor: 'rgba(0,0,0,0)',
      font,
      showlegend: false,
      margin: { l: 46, r: 14, t: 10, b: 38 },
      hoverlabel: { font, bgcolor: token('enamel'), bordercolor: token('rim') },
    };
    await p.react(
      el,
      data,
      { ...base, ...layout },
      { displayModeBar: false, responsive: true, doubleClick: false, scrollZoom: false },
    );
    if (!this.bound && el.on) {
      this.bound = true;
      el.on('plotly_click', (e) => {
        const point = e.points[0];
        if (point) this.picked.emit({ x: point.x, y: point.y });
      });
    }
  }
}

/** An axis in the house style. */
export const axis = (title: string, more: Record<string, unknown> = {}): Record<string, unknown> => ({
  title: { text: title, font: { size: 15, color: token('quiet') }, standoff: 6 },
  gridcolor: token('hair'),
  zeroline: false,
  linecolor: token('quiet'),
  tickfont: { size: 14, color: token('quiet') },
  fixedrange: true,
  ...more,
});

/** The axis of temperatures, in the degrees of the kitchen, for curves in degC. */
export const degreesAxis = (
  d: Degrees,
  range: readonly [number, number],
  more: Record<string, unknown> = {},
): Record<string, unknown> => {
  const least = Math.ceil(d.of(range[0]) / d.step) * d.step;
  const ticks = Array.from({ length: Math.floor((d.of(range[1]) - least) / d.step) + 1 }, (_, i) => least + i * d.step);
  return axis(d.sign, { range, tickvals: ticks.map(d.at), ticktext: ticks.map(String), ...more });
};
