import { deglazeMin } from './fry';
import type { FinishStep, FryStep, StackLayer, Step, TimelineStage } from './document';
import type { Task } from './tasks';

export interface StepInput {
  tasks: Task[];
  fry: FryStep[];
  stack: StackLayer[];
  finish: FinishStep[];
  addMl: number;
  liquidFood: string;
  holdMin: number;
  release: 'quick' | 'natural' | 'timed';
  /** the valve is opened by hand: the pin is still up when the natural minutes are over */
  valve: boolean;
  pinUpMin: number;
  toFullMin: number;
  naturalMin: number;
  ventMin: number;
  gaugeKpa: number;
  pressure: 'high' | 'low';
  first: {
    ingredients: string[];
    liquidMl: number;
    pinUpMin: number;
    minutesToPressure: number;
    holdMin: number;
    ventMin: number;
    betweenMin: number;
  } | null;
  whistles: number | null;
  outerMl: number;
}

const stackMin = 2;
const lockMin = 0.5;
/** A layer of one thing, and each other thing in it [common practice]. */
const layerMin = { first: 0.5, more: 0.25 } as const;

/** What goes in at once: a layer of one thing, or of several that are laid for one reason. */
interface LayerInTurn {
  ingredients: string[];
  grams: number[];
}

/** Layers that are built one by one, over what a first stage left: where something lies in more than one of them, else none. */
function layersInTurn(stack: readonly StackLayer[], inPot: readonly string[]): LayerInTurn[] {
  const layers = stack.filter(
    (l) => l.kind !== 'liquid' && l.place !== 'rack' && l.place !== 'inner-bowl' && !inPot.includes(l.ingredient),
  );
  if (new Set(layers.map((l) => l.ingredient)).size === layers.length) return [];
  const out: LayerInTurn[] = [];
  layers.forEach((l, i) => {
    // What is spooned in for the same reason is one layer: nobody lays four grams of garlic by themselves.
    if (layers[i - 1]?.note !== l.note) out.push({ ingredients: [], grams: [] });
    out.at(-1)!.ingredients.push(l.ingredient);
    out.at(-1)!.grams.push(Math.round(l.grams));
  });
  return out;
}

/** The whole cook as steps in working order. Minutes are the plan's; the Stove re-times them from what really happens. */
export function buildSteps(x: StepInput): Step[] {
  const out: Step[] = [];
  const add = (s: Omit<Step, 'params' | 'ingredients'> & Partial<Pick<Step, 'params' | 'ingredients'>>): void => {
    out.push({ params: {}, ingredients: [], ...s });
  };
  for (const t of x.tasks)
    add({
      id: t.ingredient ? `prep-${t.code}-${t.ingredient}` : `prep-${t.code}`,
      stage: 'prep',
      kind: t.handsOn ? 'do' : 'wait',
      minutes: t.minutes,
      text: `prep-${t.code}`,
      ingredients: t.ingredient ? [t.ingredient] : [],
      ...(t.code === 'dice' ? { caution: 'raw-meat' } : {}),
    });
  for (const f of x.fry)
    add({
      id: `fry-${f.ingredient}`,
      stage: 'fry',
      kind: 'do',
      minutes: f.minutes,
      text: f.takeOut ? 'fry-take-out' : 'fry',
      params: { until: f.until, batches: f.batches ?? 1 },
      ingredients: [f.ingredient],
      ...(f.order === 1 ? { caution: 'hot-fat' } : {}),
    });
  if (x.fry.length > 0)
    add({
      id: 'deglaze',
      stage: 'fry',
      kind: 'do',
      minutes: deglazeMin,
      text: 'deglaze',
      params: { ml: x.addMl, food: x.liquidFood },
    });
  if (x.first) {
    const f = x.first;
    const stage = 'first' as const;
    const params = { ml: Math.max(0, Math.round(f.liquidMl / 5) * 5), food: x.liquidFood };
    add({
      id: 'first-fill',
      stage,
      kind: 'do',
      minutes: stackMin,
      text: 'first-fill',
      params,
      ingredients: f.ingredients,
      caution: 'lid',
    });
    add({
      id: 'first-heat',
      stage,
      kind: 'wait',
      minutes: f.pinUpMin,
      text: 'first-heat',
      expects: 'pin-up',
      caution: 'no-pin',
    });
    const toFull = f.minutesToPressure - f.pinUpMin;
    if (x.whistles === null) add({ id: 'first-full', stage, kind: 'wait', minutes: toFull, text: 'first-full' });
    add({
      id: 'first-hold',
      stage,
      kind: 'wait',
      minutes: x.whistles === null ? f.holdMin : toFull + f.holdMin,
      text: 'first-hold',
      params: { hold: f.holdMin },
      caution: 'hands-off',
    });
    add({
      id: 'first-vent',
      stage,
      kind: 'do',
      minutes: f.ventMin,
      text: 'first-vent',
      expects: 'pin-down',
      caution: 'steam',
    });
    add({
      id: 'first-open',
      stage,
      kind: 'do',
      minutes: f.betweenMin - stackMin,
      text: 'first-open',
      caution: 'never-force',
    });
  }
  add({
    id: 'stack',
    stage: 'stack',
    kind: 'do',
    minutes: stackMin,
    text: x.outerMl > 0 ? 'stack-bowl' : x.first ? 'stack-second' : x.fry.length > 0 ? 'stack' : 'stack-cold',
    params: {
      ml: x.first ? Math.max(0, x.addMl - Math.round(x.first.liquidMl / 5) * 5) : x.addMl,
      food: x.liquidFood,
      outer: x.outerMl,
    },
    ingredients: [...new Set(x.stack.map((l) => l.ingredient))],
  });
  layersInTurn(x.stack, x.first?.ingredients ?? []).forEach(({ ingredients, grams }, i, all) =>
    add({
      id: `stack-layer-${i + 1}`,
      stage: 'stack',
      kind: 'do',
      minutes: layerMin.first + layerMin.more * (ingredients.length - 1),
      text: 'stack-layer',
      params: { nth: i + 1, of: all.length, grams: grams.join(' ') },
      ingredients,
    }),
  );
  add({
    id: 'lock',
    stage: 'stack',
    kind: 'do',
    minutes: lockMin,
    text: 'lock',
    params: { hold: x.holdMin, pressure: x.pressure },
    caution: 'lid',
  });
  add({
    id: 'heat-up',
    stage: 'heat-up',
    kind: 'wait',
    minutes: x.pinUpMin,
    text: 'heat-up',
    expects: 'pin-up',
    caution: 'no-pin',
  });
  // Whistles are counted from the pin on: the way to the first of them is part of that step.
  const counted = x.whistles !== null;
  if (!counted)
    add({
      id: 'to-full',
      stage: 'heat-up',
      kind: 'wait',
      minutes: x.toFullMin,
      text: 'to-full',
      params: { kpa: x.gaugeKpa },
    });
  add({
    id: 'hold',
    stage: 'hold',
    kind: 'wait',
    minutes: counted ? x.toFullMin + x.holdMin : x.holdMin,
    text: counted ? 'hold-whistles' : 'hold',
    params: { hold: x.holdMin, whistles: x.whistles ?? 0 },
    caution: 'hands-off',
  });
  if (x.release !== 'quick')
    add({
      id: 'natural',
      stage: 'natural',
      kind: 'wait',
      minutes: x.naturalMin,
      text: x.release === 'natural' ? 'natural-full' : 'natural',
      params: { minutes: x.naturalMin },
      ...(x.release === 'natural' ? { expects: 'pin-down' as const } : {}),
      caution: 'hands-off',
    });
  if (x.valve)
    add({
      id: 'vent',
      stage: 'vent',
      kind: 'do',
      minutes: x.ventMin,
      text: 'vent',
      expects: 'pin-down',
      caution: 'steam',
    });
  for (const f of x.finish)
    add({
      id: out.some((s) => s.id === `finish-${f.code}`) ? `finish-${f.code}-${f.order}` : `finish-${f.code}`,
      stage: 'finish',
      kind: f.code === 'rest' ? 'wait' : 'do',
      minutes: f.minutes ?? 1,
      text: `finish-${f.code}`,
      ingredients: f.ingredients,
      params: finishParams(f),
      ...(f.code === 'open'
        ? { caution: 'never-force' }
        : f.code === 'check' || f.minimumC !== undefined
          ? { caution: 'thermometer' }
          : {}),
    });
  return out;
}

/** What a step of the finish says of its mixture, its heat and its minimum. */
const finishParams = (f: FinishStep): Step['params'] => ({
  ...(f.tempC === undefined ? {} : { temp: f.tempC }),
  ...(f.minimumC === undefined ? {} : { least: f.minimumC }),
  ...(f.ml === undefined ? {} : { ml: f.ml }),
  ...(f.heat === undefined ? {} : { heat: f.heat }),
});

/** Stages of the evening from the steps, minute 0 at the first touch of the board. */
export function timelineOf(
  steps: readonly Step[],
  peaks: Partial<Record<TimelineStage['stage'], number>>,
): TimelineStage[] {
  const out: TimelineStage[] = [];
  let at = 0;
  for (const s of steps) {
    const last = out[out.length - 1];
    if (last?.stage === s.stage) last.endMin = at + s.minutes;
    else
      out.push({
        stage: s.stage,
        startMin: at,
        endMin: at + s.minutes,
        handsOn: s.kind === 'do',
        peakC: peaks[s.stage] ?? 21,
      });
    if (s.kind === 'do' && out.length > 0) out[out.length - 1]!.handsOn = true;
    at += s.minutes;
  }
  return out;
}
