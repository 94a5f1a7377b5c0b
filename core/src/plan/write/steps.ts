import { deglazeMin } from '../setup/fry';
import type { Loosener } from '../setup/loosener';
import type { FinishStep, FryStep, Step, TimelineStage } from '../document/steps';
import type { StackLayer } from '../document/document';
import type { Task } from './tasks';

export interface StepInput {
  tasks: Task[];
  fry: FryStep[];
  stack: StackLayer[];
  /** what goes in with the liquid and is no layer */
  withLiquid: string[];
  finish: FinishStep[];
  addMl: number;
  liquidFood: string;
  /** what loosens the base after frying */
  loosener: Loosener;
  /** what has to lie under the liquid when the lid locks */
  under: 'grain' | 'pasta' | 'sheets' | 'nothing';
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
  /** water alone, to learn the pot: nothing is measured out but the water, which the stack tells */
  calibrates: boolean;
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

type More = Partial<Pick<Step, 'text' | 'params' | 'ingredients' | 'expects' | 'caution'>>;

const stepOf =
  (kind: Step['kind']) =>
  (stage: Step['stage'], id: Step['id'], minutes: number, more: More = {}): Step => ({
    id,
    stage,
    kind,
    minutes,
    text: id,
    params: {},
    ingredients: [],
    ...more,
  });
/** A step for the hands, and one in which the pot works alone; its words are those of its id unless it says other ones. */
const act = stepOf('do');
const wait = stepOf('wait');

/** The whole cook as steps in working order. Minutes are the plan's; the Stove re-times them from what really happens. */
export const buildSteps = (x: StepInput): Step[] => [
  ...prepSteps(x.tasks),
  ...frySteps(x),
  ...firstStageSteps(x),
  ...stackSteps(x),
  ...pressureSteps(x),
  ...releaseSteps(x),
  ...finishSteps(x.finish),
];

const prepSteps = (tasks: readonly Task[]): Step[] =>
  tasks.map((t) =>
    (t.handsOn ? act : wait)('prep', t.ingredient ? `prep-${t.code}-${t.ingredient}` : `prep-${t.code}`, t.minutes, {
      text: `prep-${t.code}`,
      ingredients: t.ingredient ? [t.ingredient, ...(t.with ?? [])] : [],
      ...(t.code === 'dice' || t.code === 'shape' ? { caution: 'raw-meat' } : {}),
    }),
  );

/** Each thing that is fried, then the liquid that loosens what stuck. */
function frySteps(x: StepInput): Step[] {
  const fried = x.fry.map((f) =>
    act('fry', `fry-${f.ingredient}`, f.minutes, {
      text: f.until === 'fat-hot' ? 'fry-fat' : f.takeOut ? 'fry-take-out' : 'fry',
      params: { until: f.until, batches: f.batches ?? 1 },
      ingredients: [f.ingredient],
      ...(f.order === 1 ? { caution: 'hot-fat' } : {}),
    }),
  );
  if (fried.length === 0) return [];
  const { food, ml } = x.loosener;
  return [...fried, act('fry', 'deglaze', deglazeMin, { params: { food, ml: Math.round(ml) } })];
}

/** Liquid of a first stage as it is poured, mL: to 5. */
const firstMl = (first: NonNullable<StepInput['first']>): number => Math.max(0, Math.round(first.liquidMl / 5) * 5);

/** What is slow cooks first and alone: filled, heated, held, let off and opened. */
function firstStageSteps(x: StepInput): Step[] {
  const f = x.first;
  if (!f) return [];
  const toFullMin = f.minutesToPressure - f.pinUpMin;
  // Whistles are counted from the pin on: the way to the first of them is part of that step.
  const counted = x.whistles !== null;
  const ml = firstMl(f);
  const fill = {
    ...(ml === 0 ? { text: 'first-fill-as-it-is' } : {}),
    params: { ml, food: x.liquidFood },
    ingredients: f.ingredients,
    caution: 'lid',
  } as const;
  return [
    act('first', 'first-fill', stackMin, fill),
    wait('first', 'first-heat', f.pinUpMin, { expects: 'pin-up', caution: 'no-pin' }),
    ...(counted ? [] : [wait('first', 'first-full', toFullMin)]),
    wait('first', 'first-hold', counted ? toFullMin + f.holdMin : f.holdMin, {
      params: { hold: f.holdMin },
      caution: 'hands-off',
    }),
    act('first', 'first-vent', f.ventMin, { expects: 'pin-down', caution: 'steam' }),
    act('first', 'first-open', f.betweenMin - stackMin, { caution: 'never-force' }),
  ];
}

/** How the stack is said: by what went before it, and without a liquid where none is poured any more. */
function stackText({ outerMl, first, fry, calibrates }: StepInput, ml: number): string {
  if (calibrates) return 'stack-water';
  if (outerMl > 0) return 'stack-bowl';
  if (first) return ml > 0 ? 'stack-second' : 'stack-second-dry';
  if (ml === 0) return 'stack-dry';
  return fry.length > 0 ? 'stack' : 'stack-cold';
}

/** What goes in before the lid, layer by layer where the order shows on the plate, and the lid itself. */
function stackSteps(x: StepInput): Step[] {
  const inPot = x.first?.ingredients ?? [];
  const layers = layersInTurn(x.stack, inPot);
  // What seasons the liquid went in with the first of it.
  const fresh = x.withLiquid.filter((i) => !inPot.includes(i));
  const ml = x.first ? Math.max(0, x.addMl - firstMl(x.first)) : x.addMl;
  return [
    act('stack', 'stack', stackMin, {
      text: stackText(x, ml),
      params: { ml, food: x.liquidFood, outer: x.outerMl, under: x.under },
      ingredients: [...new Set([...fresh, ...x.stack.map((l) => l.ingredient)])],
    }),
    ...layers.map(({ ingredients, grams }, i) =>
      act('stack', `stack-layer-${i + 1}`, layerMin.first + layerMin.more * (ingredients.length - 1), {
        text: 'stack-layer',
        params: { nth: i + 1, of: layers.length, grams: grams.join(' ') },
        ingredients,
      }),
    ),
    act('stack', 'lock', lockMin, { params: { hold: x.holdMin, pressure: x.pressure }, caution: 'lid' }),
  ];
}

/** From the locked lid to the end of the hold. Counted whistles take the way from the pin to full pressure with them. */
function pressureSteps(x: StepInput): Step[] {
  const counted = x.whistles !== null;
  return [
    wait('heat-up', 'heat-up', x.pinUpMin, { expects: 'pin-up', caution: 'no-pin' }),
    ...(counted ? [] : [wait('heat-up', 'to-full', x.toFullMin, { params: { kpa: Math.round(x.gaugeKpa) } })]),
    wait('hold', 'hold', counted ? x.toFullMin + x.holdMin : x.holdMin, {
      text: counted ? 'hold-whistles' : 'hold',
      params: { hold: x.holdMin, whistles: x.whistles ?? 0 },
      caution: 'hands-off',
    }),
  ];
}

/** Natural minutes, then the valve where the pin is still up. */
function releaseSteps(x: StepInput): Step[] {
  const natural = wait('natural', 'natural', x.naturalMin, {
    text: x.release === 'natural' ? 'natural-full' : 'natural',
    params: { minutes: x.naturalMin },
    ...(x.release === 'natural' ? { expects: 'pin-down' } : {}),
    caution: 'hands-off',
  });
  const vent = act('vent', 'vent', x.ventMin, { expects: 'pin-down', caution: 'steam' });
  return [...(x.release === 'quick' ? [] : [natural]), ...(x.valve ? [vent] : [])];
}

/** The steps of the finish; a kind that comes twice carries its order. */
function finishSteps(finish: readonly FinishStep[]): Step[] {
  const seen = new Set<FinishStep['code']>();
  return finish.map((f) => {
    const again = seen.has(f.code);
    seen.add(f.code);
    return (f.code === 'rest' ? wait : act)(
      'finish',
      again ? `finish-${f.code}-${f.order}` : `finish-${f.code}`,
      f.minutes ?? 1,
      {
        text: `finish-${f.code}`,
        ingredients: f.ingredients,
        params: finishParams(f),
        ...cautionOf(f),
      },
    );
  });
}

function cautionOf(f: FinishStep): Pick<Step, 'caution'> {
  if (f.code === 'open') return { caution: 'never-force' };
  if (f.code === 'check-pot') return { caution: 'thermometer-pot' };
  return f.code === 'check' || f.minimumC !== undefined ? { caution: 'thermometer' } : {};
}

/** What a step of the finish says of its mixture, its heat and its minimum. */
const finishParams = (f: FinishStep): Step['params'] => ({
  ...(f.tempC === undefined ? {} : { temp: f.tempC }),
  ...(f.minimumC === undefined ? {} : { least: f.minimumC }),
  ...(f.ml === undefined ? {} : { ml: f.ml }),
  ...(f.heat === undefined ? {} : { heat: f.heat }),
});

/** Stages of the evening from the steps, minute 0 at the first touch of the board. */
export function timelineOf(steps: readonly Step[], peaks: Record<TimelineStage['stage'], number>): TimelineStage[] {
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
        peakC: peaks[s.stage],
      });
    if (s.kind === 'do' && out.length > 0) out[out.length - 1]!.handsOn = true;
    at += s.minutes;
  }
  return out;
}
