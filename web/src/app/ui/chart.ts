import type { ElementRef } from '@angular/core';
import {
  afterRenderEffect,
  ChangeDetectionStrategy,
  Component,
  DestroyRef,
  inject,
  input,
  output,
  viewChild,
} from '@angular/core';
import type { Config, Data, Layout } from 'plotly.js';

type PlotlyModule = {
  react(el: HTMLElement, data: Data[], layout: Partial<Layout>, config: Partial<Config>): Promise<unknown>;
  purge(el: HTMLElement): void;
};
interface PlotElement extends HTMLDivElement {
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
  template: `<div #plot class="plot" role="img" [attr.aria-label]="label()"></div>`,
  styles: `
    :host {
      display: block;
      min-height: 0;
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
