import { kitchenSchema, type Kitchen } from '../dish/kitchen';
import type { Dish } from '../dish/schema';
import type { Texture } from '../grain/texture';
import { issueAt, refusal } from '../problem';
import { assemble } from './write/assemble';
import { checkFits, setUp, type Setup } from './setup/setup';
import type { Plan } from './document/document';
import { marked } from './made-for';
import { waysOut, waysToBetterOdds } from './mend';
import type { Near } from './search/search';
import { solvePlan } from './solve-plan';
import { heat } from './simulate/heated';
import type { Run } from './judge/run';
import { cookWith } from './judge/runs';
import { slowestFirst } from './search/solve';
import { firstStage, withFirst } from './simulate/stages';

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
  const bare = setUp(dish, kitchen);
  checkFits(bare);
  const listed = bare.g.main.grams / bare.g.main.food.bulkGPerMl[0];
  const texture = options.texture ?? dish.texture ?? 'fluffy';
  const addMl = as.liquidMl ?? listed;
  const setup = afterFirst(bare, addMl, as.firstStage);
  const program = { pressure: as.pressure, holdMin: as.holdMin, release: as.release };
  const cook = (from: Setup): Run => {
    const holdMin = as.whistles === undefined ? as.holdMin : holdOfWhistles(from, addMl, as.whistles);
    return cookWith(from, addMl, { ...program, holdMin }, texture);
  };
  let run = cook(setup);
  const own = run.potRun.countdownS;
  if (as.minutesToPressure !== undefined && own !== null) {
    // The cook timed the heat-up: the heater is taken as so much stronger or weaker that the model agrees.
    const factor = Math.min(2, Math.max(0.5, own / 60 / as.minutesToPressure));
    run = cook({ ...setup, pot: { ...setup.pot, efficiency: setup.pot.efficiency * factor } });
  }
  const p = assemble({
    run,
    mode: 'evaluate',
    texture,
    missed: false,
    own: run,
    bounds: null,
    topUpMl: as.topUpMl ?? 0,
    heldPasta: null,
  });
  return marked(p, dish, kitchen);
}

/** The setup behind a first stage as it was cooked. */
function afterFirst(setup: Setup, addMl: number, first: NonNullable<Dish['asCooked']>['firstStage']): Setup {
  if (!first || !setup.g.grain) return setup;
  return withFirst(setup, firstStage(setup, slowestFirst(setup), { addMl }, first));
}

/** Minutes of hold that end with so many whistles; on a pot that does not whistle the number says nothing. */
function holdOfWhistles(setup: Setup, addMl: number, whistles: number): number {
  return setup.pot.whistle
    ? heat(setup, { addMl, pressure: 'high' }).heated.holdForWhistles(whistles)
    : (setup.g.dish.asCooked?.holdMin ?? 0);
}
