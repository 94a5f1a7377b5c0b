import { schedulesFor, starchOf, type DonenessMap, type Plan } from '@einkorn/core';
import { axis, token, type Figure } from '../ui/chart';

type Words = (key: string, p?: Record<string, unknown>) => string;

/** Pasta has one word less: the last two bands are both soft. */
const pastaWords = ['hard', 'al-dente', 'tender', 'soft'];

const naturalOf = (p: Plan): number =>
  p.program.release.kind === 'quick'
    ? 0
    : p.program.release.kind === 'natural'
      ? p.program.naturalFullMin
      : (p.program.release.naturalMin ?? 0);

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
  const [e0, e1, e2, e3] = m.bandEdges as [number, number, number, number];
  const band = token('turmeric-tint');
  // Strong enough to stand out of its neighbours, light enough for the words on it.
  const fluffy = `${token('turmeric-fill')}88`;
  const scale: [number, string][] = [
    [0, token('well')],
    [0.2, token('well')],
    [0.2, band],
    [0.4, band],
    [0.4, fluffy],
    [0.6, fluffy],
    [0.6, band],
    [0.8, band],
    [0.8, token('well')],
    [1, token('well')],
  ];
  // Bands as whole numbers 0..4 with the place inside the band, so that the colours follow uneven edges.
  const step = (x: number): number => {
    const edges = [e0 - 6, e0, e1, e2, e3, e3 + 6];
    const i = Math.min(4, Math.max(0, edges.findIndex((e, k) => k > 0 && x < e) - 1));
    const from = edges[i]!;
    return x >= edges[5]! ? 5 : i + Math.min(0.999, Math.max(0, (x - from) / (edges[i + 1]! - from)));
  };
  const same = m.naturalMin.flatMap((n) => {
    const h = sameDoneness(m, p, n);
    return h === null ? [] : [{ h, n }];
  });
  const meat = m.naturalMin.flatMap((n, i) =>
    m.meatFromMin[i] != null && m.meatFromMin[i] > 0 ? [{ h: m.meatFromMin[i], n }] : [],
  );
  const points = [
    { x: p.program.holdMin, y: naturalOf(p), name: 'A', solid: true },
    ...(b ? [{ x: b.program.holdMin, y: naturalOf(b), name: 'B', solid: false }] : []),
  ];
  // What cooks are told for such a dish, as small open diamonds.
  const known = schedulesFor(p).filter((k) => k.holdMin <= m.holdMin.at(-1)! && k.naturalMin <= m.naturalFullMin + 1);
  const words = p.pasta ? [...pastaWords, 'soft'] : starchOf(p)!.scale.names;
  const zones = words.flatMap((w, i) => bandLabel(m, i, t(`band.${w}`), step));
  return {
    data: [
      {
        type: 'contour',
        x: m.holdMin,
        y: m.naturalMin,
        z: m.index.map((row) => row.map(step)),
        zmin: 0,
        zmax: 5,
        colorscale: scale,
        showscale: false,
        contours: { start: 1, end: 4, size: 1, coloring: 'heatmap' },
        line: { color: token('turmeric'), width: 1.6 },
        customdata: m.index as never,
        hovertemplate: `%{x} min + %{y} min: %{customdata:.1f}${p.pasta ? '' : ' %'}<extra></extra>`,
      } as never,
      {
        type: 'scatter',
        mode: 'lines',
        x: same.map((s) => s.h),
        y: same.map((s) => s.n),
        line: { color: token('ink'), width: 2.4, dash: 'dot' },
        hoverinfo: 'skip',
      },
      {
        type: 'scatter',
        mode: 'lines',
        x: meat.map((s) => s.h),
        y: meat.map((s) => s.n),
        line: { color: token('paprika'), width: 3 },
        hoverinfo: 'skip',
      },
      {
        type: 'scatter',
        mode: 'text+markers',
        x: known.map((k) => k.holdMin),
        y: known.map((k) => k.naturalMin),
        text: namedWhereClear(known, [...points, ...zones], m).map((clear, i) =>
          clear ? programName(known[i]!, t) : '',
        ),
        customdata: known.map((k) => programName(k, t)) as never,
        textposition: known.map((k) =>
          k.holdMin > 0.75 * m.holdMin.at(-1)! ? 'middle left' : 'middle right',
        ) as never,
        textfont: { size: 13, color: token('quiet') },
        marker: { size: 9, symbol: 'diamond-open', color: token('quiet'), line: { width: 2, color: token('quiet') } },
        hovertemplate: `${t('pressure.told')}: %{customdata}<extra></extra>`,
      } as never,
      {
        type: 'scatter',
        mode: 'text+markers',
        x: points.map((q) => q.x),
        y: points.map((q) => q.y),
        text: points.map((q) => q.name),
        textfont: { size: 16, color: points.map((q) => (q.solid ? token('onrim') : token('ink'))) as never },
        marker: {
          size: 26,
          color: points.map((q) => (q.solid ? token('rim') : token('enamel'))),
          line: { color: token('rim'), width: 2.5 },
        },
        hoverinfo: 'skip',
        cliponaxis: false,
      },
    ],
    layout: {
      margin: { l: 50, r: 8, t: 6, b: 38 },
      xaxis: axis(t('pressure.x'), { range: [0, m.holdMin.at(-1)], showgrid: false }),
      yaxis: axis(t('pressure.y'), { range: [-0.6, m.naturalFullMin + 1.5], showgrid: false }),
      shapes: [
        // Where a release this short sprays.
        ...(m.sprayUnderMin > 0
          ? [
              {
                type: 'rect' as const,
                x0: 0,
                x1: m.holdMin.at(-1)!,
                y0: -0.6,
                y1: m.sprayUnderMin,
                fillcolor: token('steam'),
                opacity: 0.16,
                line: { color: token('steam'), width: 1.5, dash: 'dot' as const },
              },
            ]
          : []),
        {
          type: 'line',
          x0: 0,
          x1: m.holdMin.at(-1)!,
          y0: m.naturalFullMin,
          y1: m.naturalFullMin,
          line: { color: token('steam'), width: 2, dash: 'dash' },
        },
      ],
      annotations: [
        {
          x: m.holdMin.at(-1)!,
          y: m.naturalFullMin,
          xanchor: 'right',
          yanchor: 'top',
          showarrow: false,
          text: t('pressure.pin-drops', { min: Math.round(m.naturalFullMin) }),
          font: { color: token('steam'), size: 15 },
          bgcolor: token('enamel'),
        },
        ...(m.sprayUnderMin > 0
          ? [
              {
                x: m.holdMin.at(-1)!,
                y: m.sprayUnderMin,
                xanchor: 'right' as const,
                yanchor: 'top' as const,
                showarrow: false,
                text: t('pressure.sprays'),
                font: { color: token('steam'), size: 14 },
                bgcolor: token('enamel'),
                opacity: 0.95,
              },
            ]
          : []),
        ...zones,
        ...(meat.length > 1
          ? [
              {
                x: 0.15,
                y: 0.2,
                xanchor: 'left' as const,
                yanchor: 'bottom' as const,
                showarrow: false,
                text: t('pressure.meat-under', { c: p.meats[0]?.safeMinimumC ?? 74 }),
                font: { color: token('paprika'), size: 14 },
                bgcolor: token('enamel'),
              },
            ]
          : []),
      ],
    },
  };
}

const programName = (k: { holdMin: number; naturalMin: number }, t: Words): string =>
  `${k.holdMin} + ${k.naturalMin === 0 ? t('pressure.word-quick') : k.naturalMin}`;

/** Sizes on the smallest map, px: its plot, a letter in its circle, the name of a program beside its diamond. */
const drawn = { w: 400, h: 150, letter: 15, word: 32, name: [56, 9] as const };
/**
 * Which programs have room for their name beside the diamond: not under a letter, nor over a name that stands already. The
 * others keep their diamond, and their name under the pointer.
 */
export function namedWhereClear(
  known: readonly { holdMin: number; naturalMin: number }[],
  points: readonly { x: number; y: number; text?: string }[],
  m: Pick<DonenessMap, 'holdMin' | 'naturalFullMin'>,
): boolean[] {
  const most = m.holdMin.at(-1)!;
  const px = (x: number, y: number): [number, number] => [(x / most) * drawn.w, (y / (m.naturalFullMin + 2)) * drawn.h];
  const taken: { x0: number; x1: number; y: number; r: number }[] = points.map((q) => {
    const [x, y] = px(q.x, q.y);
    // A word of a zone is wider than the letter of a program.
    const half = q.text === undefined ? drawn.letter : drawn.word;
    return { x0: x - half, x1: x + half, y, r: drawn.letter };
  });
  return known.map((k) => {
    const [x, y] = px(k.holdMin, k.naturalMin);
    const left = k.holdMin > 0.75 * most;
    const [x0, x1] = left ? [x - drawn.name[0], x] : [x, x + drawn.name[0]];
    const clear = taken.every((b) => x1 < b.x0 || x0 > b.x1 || Math.abs(y - b.y) > b.r + drawn.name[1]);
    if (clear) taken.push({ x0, x1, y, r: drawn.name[1] });
    return clear;
  });
}

interface Zone {
  x: number;
  y: number;
  text: string;
}

/** A band's name in the middle of where it lies, if it has room there. */
function bandLabel(m: DonenessMap, band: number, text: string, step: (x: number) => number): Zone[] {
  let sx = 0;
  let sy = 0;
  let n = 0;
  m.index.forEach((row, j) =>
    row.forEach((x, i) => {
      if (Math.floor(step(x)) !== band || m.naturalMin[j]! > m.naturalFullMin - 3) return;
      sx += m.holdMin[i]!;
      sy += m.naturalMin[j]!;
      n += 1;
    }),
  );
  // A sliver has no room for its word.
  if (n < 0.06 * m.holdMin.length * m.naturalMin.length) return [];
  return [
    {
      x: sx / n,
      y: sy / n,
      showarrow: false,
      text: `<b>${text}</b>`,
      font: { size: 16, color: token('ink') },
      bgcolor: token('enamel'),
      borderpad: 2,
      opacity: 0.92,
    } as Zone,
  ];
}

/** The value of a series at a share of its length. */
const at = (ys: readonly number[] | undefined, share: number): number => ys?.[Math.floor(ys.length * share)] ?? 60;

/** Temperature in the pot and in the middle of the meat, minutes after the lid locks. */
export function curveFigure(p: Plan, b: Plan | null, t: Words): Figure {
  const c = p.curve;
  const start = p.program.minutesToPressure;
  const end = start + p.program.holdMin;
  const last = Math.max(c.minutes.at(-1) ?? 1, b?.curve.minutes.at(-1) ?? 1);
  const meat = p.meats[0];
  const note = (x: number, y: number, text: string, color = token('ink'), more: object = {}): object => ({
    x,
    y,
    text,
    showarrow: false,
    font: { color, size: 15 },
    bgcolor: token('enamel'),
    opacity: 0.95,
    ...more,
  });
  return {
    data: [
      ...(b
        ? [
            {
              type: 'scatter' as const,
              mode: 'lines' as const,
              x: b.curve.minutes,
              y: b.curve.tempC,
              line: { color: token('quiet'), width: 2, dash: 'dash' as const },
              name: 'B',
              hovertemplate: '%{x:.1f} min, %{y:.0f} °C<extra>B</extra>',
            },
          ]
        : []),
      {
        type: 'scatter',
        mode: 'lines',
        x: c.minutes,
        y: c.tempC,
        line: { color: token('rim'), width: 4 },
        fill: 'tozeroy',
        fillcolor: `${token('steam-tint')}66`,
        hovertemplate: '%{x:.1f} min, %{y:.0f} °C<extra></extra>',
      },
      ...(c.meatC
        ? [
            {
              type: 'scatter' as const,
              mode: 'lines' as const,
              x: c.minutes,
              y: c.meatC,
              line: { color: token('plum'), width: 3.5 },
              hovertemplate: '%{x:.1f} min, %{y:.0f} °C<extra></extra>',
            },
          ]
        : []),
    ],
    layout: {
      margin: { l: 44, r: 10, t: 14, b: 24 },
      // The heading says what the axis is.
      xaxis: axis('', { range: [0, last * 1.01] }),
      yaxis: axis('°C', { range: [20, 128], dtick: 20 }),
      shapes: [
        {
          type: 'rect',
          x0: start,
          x1: end,
          y0: 20,
          y1: p.program.steamC,
          fillcolor: token('steam'),
          opacity: 0.22,
          line: { width: 0 },
        },
        ...(meat
          ? [
              {
                type: 'line' as const,
                x0: 0,
                x1: last,
                y0: meat.safeMinimumC,
                y1: meat.safeMinimumC,
                line: { color: token('paprika'), width: 2, dash: 'dash' as const },
              },
            ]
          : []),
      ],
      annotations: [
        // An early pin has no room for its words between the axis and itself.
        note(
          p.program.pinUpMin < 0.26 * last ? 0.01 * last : p.program.pinUpMin - 0.4,
          104,
          t('pressure.pin-up', { min: Math.round(p.program.pinUpMin) }),
          token('ink'),
          { xanchor: p.program.pinUpMin < 0.26 * last ? 'left' : 'right' },
        ),
        note((start + end) / 2, 126, `<b>${t('stage.hold', { min: p.program.holdMin })}</b>`),
        ...(meat
          ? [
              note(last, meat.safeMinimumC, t('pressure.minimum', { c: meat.safeMinimumC }), token('paprika'), {
                xanchor: 'right',
                yanchor: 'top',
              }),
              note(last * 0.3, at(c.meatC, 0.3) - 12, `<b>${t('pressure.meat-line')}</b>`, token('plum'), {
                xanchor: 'left',
              }),
            ]
          : []),
      ] as never,
    },
  };
}
