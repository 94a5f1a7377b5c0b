import { bandKey, schedulesFor, starchOf, type DonenessMap, type Plan } from '@einkorn/core';
import type { Annotations, Data } from 'plotly.js';
import { axis, token, type Figure } from '../ui/chart';
import { curve, field, rule, words } from '../ui/chart-marks';
import { leftFrom, namedWhereClear, type Named } from './map-names';

type Words = (key: string, p?: Record<string, unknown>) => string;

/** Pasta has one word less: the last two bands are both soft. */
const pastaWords = ['hard', 'al-dente', 'tender', 'soft', 'soft'];
/** Room below the shortest and above the longest release, min. */
const edge = { below: -0.6, above: 1.5 } as const;
/** A band that covers less than this share of the map has no room for its word. */
const leastBand = 0.06;

/** Natural minutes of a plan: none where the valve is opened at once, all of them where the pin falls by itself. */
function naturalOf({ program }: Plan): number {
  if (program.release.kind === 'quick') return 0;
  return program.release.kind === 'natural' ? program.naturalFullMin : (program.release.naturalMin ?? 0);
}

/** The hold that gives the plan's own equivalent minutes with another natural release; null when out of the map. */
export function sameDoneness(m: DonenessMap, p: Plan, naturalMin: number): number | null {
  const want = starchOf(p)?.equivalentMin;
  const row = m.equivalentMin[m.naturalMin.findIndex((n) => n >= naturalMin)];
  if (want === undefined || !row) return null;
  const i = row.findIndex((e) => e >= want);
  if (i < 0) return null;
  if (i === 0) return m.holdMin[0]!;
  const f = (want - row[i - 1]!) / (row[i]! - row[i - 1]!);
  return m.holdMin[i - 1]! + f * (m.holdMin[i]! - m.holdMin[i - 1]!);
}

/** Texture bands over hold and natural release, the line of equal doneness, the meat boundary, and both programs. */
export function mapFigure(m: DonenessMap, p: Plan, b: Plan | null, t: Words): Figure {
  const place = placeInBands(m);
  const same = m.naturalMin.flatMap((n) => {
    const h = sameDoneness(m, p, n);
    return h === null ? [] : [{ h, n }];
  });
  const meat = m.naturalMin.flatMap((n, i) =>
    m.meatFromMin[i] != null && m.meatFromMin[i] > 0 ? [{ h: m.meatFromMin[i], n }] : [],
  );
  const along = (line: readonly { h: number; n: number }[]): { x: number[]; y: number[] } => ({
    x: line.map((s) => s.h),
    y: line.map((s) => s.n),
  });
  const bandNames = p.pasta ? pastaWords : starchOf(p)!.scale.names;
  const zones = bandNames.flatMap((w, i) => bandLabel(m, i, t(`band.${bandKey(p.family, w)}`), place));
  const programs = [p, ...(b ? [b] : [])].map((plan, i) => ({
    x: plan.program.holdMin,
    y: naturalOf(plan),
    name: i === 0 ? 'A' : 'B',
    solid: i === 0,
  }));
  return {
    data: [
      bands(m, p, place),
      curve(along(same), { color: 'ink', width: 2.4, dash: 'dot' }),
      curve(along(meat), { color: 'paprika', width: 3 }),
      commonPrograms(m, p, [...programs, ...zones], t),
      chosenPrograms(programs),
    ],
    layout: {
      margin: { l: 50, r: 8, t: 6, b: 38 },
      xaxis: axis(t('pressure.x'), { range: [0, m.holdMin.at(-1)], showgrid: false }),
      yaxis: axis(t('pressure.y'), { range: [edge.below, m.naturalFullMin + edge.above], showgrid: false }),
      shapes: limits(m),
      annotations: [
        ...limitWords(m, t),
        ...zones.map(({ x, y, text }) =>
          words({ x, y }, `<b>${text}</b>`, { size: 16 }, { borderpad: 2, opacity: 0.92 }),
        ),
        ...(meat.length > 1
          ? [
              words(
                { x: 0.15, y: 0.2 },
                t('pressure.meat-under', { c: p.meats[0]?.safeMinimumC ?? 74 }),
                { color: 'paprika' },
                { xanchor: 'left', yanchor: 'bottom' },
              ),
            ]
          : []),
      ],
    },
  };
}

/** The band of an index as a whole number 0..4 with the place inside it, so that the colours follow uneven edges. */
function placeInBands(m: DonenessMap): (index: number) => number {
  const inner = m.bandEdges;
  const edges = [inner[0]! - 6, ...inner, inner.at(-1)! + 6];
  return (x) => {
    if (x >= edges[5]!) return 5;
    const i = Math.min(4, Math.max(0, edges.findIndex((e, k) => k > 0 && x < e) - 1));
    const from = edges[i]!;
    return i + Math.min(0.999, Math.max(0, (x - from) / (edges[i + 1]! - from)));
  };
}

/** The five bands: the wanted one strongest, yet light enough for the words on it. */
function bands(m: DonenessMap, p: Plan, place: (index: number) => number): Data {
  const colours = ['well', 'turmeric-tint', 'turmeric-fill', 'turmeric-tint', 'well'];
  const painted = colours.map((c) => (c === 'turmeric-fill' ? `${token(c)}88` : token(c)));
  return {
    type: 'contour',
    x: m.holdMin,
    y: m.naturalMin,
    z: m.index.map((row) => row.map(place)),
    zmin: 0,
    zmax: 5,
    colorscale: painted.flatMap((c, i): [number, string][] => [
      [i / 5, c],
      [(i + 1) / 5, c],
    ]),
    showscale: false,
    contours: { start: 1, end: 4, size: 1, coloring: 'heatmap' },
    line: { color: token('turmeric'), width: 1.6 },
    customdata: m.index,
    hovertemplate: `%{x} min + %{y} min: %{customdata:.1f}${p.pasta ? '' : ' %'}<extra></extra>`,
  } as unknown as Data;
}

/** Programs in common use for such a dish, as small open diamonds, named where there is room. */
function commonPrograms(m: DonenessMap, p: Plan, taken: readonly Named[], t: Words): Data {
  const known = schedulesFor(p).filter((k) => k.holdMin <= m.holdMin.at(-1)! && k.naturalMin <= m.naturalFullMin + 1);
  const names = known.map((k) => `${k.holdMin} + ${k.naturalMin === 0 ? t('pressure.word-quick') : k.naturalMin}`);
  const clear = namedWhereClear(known, taken, m);
  return {
    type: 'scatter',
    mode: 'text+markers',
    x: known.map((k) => k.holdMin),
    y: known.map((k) => k.naturalMin),
    text: names.map((name, i) => (clear[i] ? name : '')),
    customdata: names,
    textposition: known.map((k) => (k.holdMin > leftFrom * m.holdMin.at(-1)! ? 'middle left' : 'middle right')),
    textfont: { size: 13, color: token('quiet') },
    marker: { size: 9, symbol: 'diamond-open', color: token('quiet'), line: { width: 2, color: token('quiet') } },
    hovertemplate: `${t('pressure.common')}: %{customdata}<extra></extra>`,
  } as unknown as Data;
}

/** The plan in hand and the one beside it, as letters. */
function chosenPrograms(programs: readonly { x: number; y: number; name: string; solid: boolean }[]): Data {
  return {
    type: 'scatter',
    mode: 'text+markers',
    x: programs.map((q) => q.x),
    y: programs.map((q) => q.y),
    text: programs.map((q) => q.name),
    textfont: { size: 16, color: programs.map((q) => token(q.solid ? 'onrim' : 'ink')) },
    marker: {
      size: 26,
      color: programs.map((q) => token(q.solid ? 'rim' : 'enamel')),
      line: { color: token('rim'), width: 2.5 },
    },
    hoverinfo: 'skip',
    cliponaxis: false,
  } as unknown as Data;
}

/** Where a release is so short that it sprays, and where the pin falls by itself. */
function limits(m: DonenessMap): Figure['layout']['shapes'] {
  const last = m.holdMin.at(-1)!;
  const dotted = { line: { color: token('steam'), width: 1.5, dash: 'dot' } };
  return [
    ...(m.sprayUnderMin > 0
      ? [field({ x0: 0, y0: edge.below }, { x1: last, y1: m.sprayUnderMin }, { color: 'steam', opacity: 0.16 }, dotted)]
      : []),
    rule({ x0: 0, y0: m.naturalFullMin }, { x1: last, y1: m.naturalFullMin }, { color: 'steam', dash: 'dash' }),
  ];
}

function limitWords(m: DonenessMap, t: Words): Partial<Annotations>[] {
  const x = m.holdMin.at(-1)!;
  const corner = { xanchor: 'right', yanchor: 'top' };
  const drops = t('pressure.pin-drops', { min: Math.round(m.naturalFullMin) });
  return [
    words({ x, y: m.naturalFullMin }, drops, { color: 'steam' }, { ...corner, opacity: 1 }),
    ...(m.sprayUnderMin > 0
      ? [words({ x, y: m.sprayUnderMin }, t('pressure.sprays'), { color: 'steam', size: 14 }, corner)]
      : []),
  ];
}

/** A band's name in the middle of where it lies, if it has room there. */
function bandLabel(m: DonenessMap, band: number, text: string, place: (index: number) => number): Named[] {
  const cells = m.index.flatMap((row, j) =>
    row.flatMap((x, i) =>
      Math.floor(place(x)) === band && m.naturalMin[j]! <= m.naturalFullMin - 3
        ? [{ x: m.holdMin[i]!, y: m.naturalMin[j]! }]
        : [],
    ),
  );
  if (cells.length < leastBand * m.holdMin.length * m.naturalMin.length) return [];
  const mean = (of: (c: { x: number; y: number }) => number): number =>
    cells.reduce((s, c) => s + of(c), 0) / cells.length;
  return [{ x: mean((c) => c.x), y: mean((c) => c.y), text }];
}
