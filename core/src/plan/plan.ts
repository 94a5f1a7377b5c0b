import { kitchenSchema, type Kitchen } from '../dish/kitchen';
import type { Dish } from '../dish/schema';
import type { Texture } from '../grain/texture';
import { issueAt, refusal } from '../problem';
import { assemble } from './assemble';
import { checkFits, setBench, type Bench } from './bench';
import type { Plan } from './document';
import { marked } from './made-for';
import { waysOut, waysToBetterOdds } from './mend';
import type { Near } from './search';
import { solvePlan } from './solve-plan';
import { cookWith, heat, type Cooked } from './cooked';
import { slowestFirst } from './solve';
import { firstStage, withFirst } from './stages';

export interface PlanOptions {
  mode?: 'solve' | 'evaluate';
  texture?: Texture;
  /** the program of a plan of nearly the same dish: small changes of a dish make small changes of its plan */
  near?: Near;
}

/**
 * The plan of a dish in a kitchen: liquid, layers, minutes, release and clock, each with its reasons; where a stop stays,
 * with what would clear it. Same input, same output. Throws Problem when the dish cannot be planned.
 */
export function plan(dish: Dish, kitchen: Kitchen = kitchenSchema.parse({}), options: PlanOptions = {}): Plan {
  if (options.mode === 'evaluate') return evaluate(dish, kitchen, options);
  const solved = solvePlan(dish, kitchen, options);
  return { ...solved, proposals: waysOut(dish, kitchen, solved) };
}

/** The same; where it seldom comes out, with what would make it better: three more dishes are planned for it. */
export function planInFull(dish: Dish, kitchen: Kitchen = kitchenSchema.parse({}), options: PlanOptions = {}): Plan {
  const p = plan(dish, kitchen, options);
  return p.proposals.length > 0 ? p : { ...p, proposals: waysToBetterOdds(dish, kitchen, p) };
}

/** What the cook's own numbers (`asCooked`) will give. Throws Problem `as-cooked-missing` when there are none. */
export function evaluate(dish: Dish, kitchen: Kitchen = kitchenSchema.parse({}), options: PlanOptions = {}): Plan {
  const as = dish.asCooked;
  if (!as) throw refusal('as-cooked-missing', {}, issueAt('asCooked', 'add-as-cooked'));
  const bare = setBench(dish, kitchen);
  checkFits(bare);
  const listed = bare.g.main.grams / bare.g.main.food.bulkGPerMl[0];
  const texture = options.texture ?? dish.texture ?? 'fluffy';
  const addMl = as.liquidMl ?? listed;
  const b = afterFirst(bare, addMl, as.firstStage);
  const program = { pressure: as.pressure, holdMin: as.holdMin, release: as.release };
  const cook = (bench: Bench): Cooked => {
    const holdMin = as.whistles === undefined ? as.holdMin : holdOfWhistles(bench, addMl, as.whistles);
    return cookWith(bench, addMl, { ...program, holdMin }, texture);
  };
  let cooked = cook(b);
  const own = cooked.chosen.run.countdownS;
  if (as.minutesToPressure !== undefined && own !== null) {
    // The cook timed the heat-up: the heater is taken as so much stronger or weaker that the model agrees.
    const factor = Math.min(2, Math.max(0.5, own / 60 / as.minutesToPressure));
    cooked = cook({ ...b, pot: { ...b.pot, efficiency: b.pot.efficiency * factor } });
  }
  const p = assemble({
    cooked,
    mode: 'evaluate',
    texture,
    missed: false,
    own: cooked,
    bounds: null,
    topUpMl: as.topUpMl ?? 0,
    heldPasta: null,
  });
  return marked(p, dish, kitchen);
}

/** The bench behind a first stage as it was cooked. */
function afterFirst(b: Bench, addMl: number, first: NonNullable<Dish['asCooked']>['firstStage']): Bench {
  if (!first || !b.g.grain) return b;
  return withFirst(b, firstStage(b, slowestFirst(b), { addMl }, first));
}

/** Minutes of hold that end with so many whistles; on a pot that does not whistle the number says nothing. */
function holdOfWhistles(b: Bench, addMl: number, whistles: number): number {
  return b.pot.whistle
    ? heat(b, { addMl, pressure: 'high' }).heated.holdForWhistles(whistles)
    : (b.g.dish.asCooked?.holdMin ?? 0);
}
