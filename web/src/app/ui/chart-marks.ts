import type { Annotations, Data, Dash, Shape } from 'plotly.js';
import type { Degrees } from '../i18n/entry';
import { token } from './chart';

/** Places in the chart's own units. */
export interface Points {
  x: readonly number[];
  y: readonly number[];
}

/** How a mark looks; colours by the name of their token. */
interface Stroke {
  color: string;
  width?: number;
  dash?: Dash;
}

const quietHover = { hoverinfo: 'skip' } as const;

/** A curve. It says nothing under the pointer unless `hover` gives the template. */
export const curve = (at: Points, { color, width = 3, dash }: Stroke, more: object = {}, hover?: string): Data =>
  ({
    type: 'scatter',
    mode: 'lines',
    x: at.x,
    y: at.y,
    line: { color: token(color), width, ...(dash ? { dash } : {}) },
    ...(hover === undefined ? quietHover : { hovertemplate: `${hover}<extra></extra>` }),
    ...more,
  }) as Data;

/** A curve of temperatures in degC, whose degrees under the pointer are those of the kitchen. */
export const heatCurve = (at: Points, stroke: Stroke, d: Degrees, more: object = {}): Data =>
  curve(at, stroke, { customdata: at.y.map(d.of), ...more }, `%{x:.1f} min, %{customdata:.0f} ${d.sign}`);

/** Single points. */
export const dots = (at: Points, marker: object, more: object = quietHover): Data =>
  ({ type: 'scatter', mode: 'markers', x: at.x, y: at.y, marker, ...more }) as Data;

/** A word in the chart; on a ground of its own unless `bare`. */
export const words = (
  at: { x: number; y: number },
  text: string,
  { color = 'ink', size = 15, bare = false }: { color?: string; size?: number; bare?: boolean } = {},
  more: object = {},
): Partial<Annotations> => ({
  ...at,
  text,
  showarrow: false,
  font: { color: token(color), size },
  ...(bare ? {} : { bgcolor: token('enamel'), opacity: 0.95 }),
  ...more,
});

/** A straight line between two places. */
export const rule = (
  from: { x0: number; y0: number },
  to: { x1: number; y1: number },
  { color, width = 2, dash }: Stroke,
): Partial<Shape> => ({
  type: 'line',
  ...from,
  ...to,
  line: { color: token(color), width, ...(dash ? { dash } : {}) },
});

/** A shaded field. */
export const field = (
  from: { x0: number; y0: number },
  to: { x1: number; y1: number },
  { color, opacity }: { color: string; opacity: number },
  more: object = {},
): Partial<Shape> => ({
  type: 'rect',
  ...from,
  ...to,
  fillcolor: token(color),
  opacity,
  line: { width: 0 },
  ...more,
});

/** A place at a share of a series. */
export const along = (x: readonly number[], y: readonly number[], share: number): { x: number; y: number } | null => {
  const i = Math.floor(x.length * share);
  return x[i] === undefined || y[i] === undefined ? null : { x: x[i], y: y[i] };
};
