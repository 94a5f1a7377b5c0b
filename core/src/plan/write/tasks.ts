import { isMince } from '../../food/meats';
import type { Gathered, Item } from '../gather/item';
import { isBall } from '../gather/joins';
import type { TaskCode } from '../document/step-id';

/** Hands-on minutes of the board [common practice]; the cook's own pace is learned later. */
const perTask = {
  rinse: 2,
  dicePer500g: 4,
  shapePer500g: 8,
  onionPer150g: 2,
  garlic: 1,
  leafy: 3,
  chopPer200g: 2.5,
  measure: 1.5,
};

export interface Task {
  code: TaskCode;
  ingredient?: string;
  /** what is mixed into it */
  with?: string[];
  minutes: number;
  handsOn: boolean;
}

/** What must be ready before the heat goes on, with its minutes. A soak waits by itself while the rest is chopped. */
export function prepTasks(g: Gathered): Task[] {
  if (g.dish.calibrates) return [];
  const out: Task[] = [];
  const prep = g.grain?.ingredient.prep;
  if (g.grain && (prep?.rinse || (prep?.soakMin ?? 0) > 0))
    out.push({ code: 'rinse', ingredient: g.grain.ingredient.id, minutes: perTask.rinse, handsOn: true });
  for (const i of g.items) {
    const task = taskOf(i);
    if (task) out.push(task);
  }
  out.push({ code: 'measure', minutes: perTask.measure, handsOn: true });
  const hands = out.reduce((s, t) => s + t.minutes, 0);
  const soak = prep?.soakMin ?? 0;
  // The soak runs while the hands are busy; only what is longer than the board shows as a wait.
  if (soak > 0 && g.grain)
    out.push({
      code: 'soak',
      ingredient: g.grain.ingredient.id,
      minutes: Math.max(0, soak - hands + perTask.rinse),
      handsOn: false,
    });
  return out;
}

function taskOf(i: Item): Task | null {
  const id = i.ingredient.id;
  if (isBall(i.food) && i.rows.length > 1)
    return {
      code: 'shape',
      ingredient: id,
      with: i.rows.slice(1),
      minutes: (perTask.shapePer500g * i.grams) / 500,
      handsOn: true,
    };
  if (i.food.kind === 'meat' && !isMince(i.food) && i.food.meat?.cut !== 'cooked')
    return { code: 'dice', ingredient: id, minutes: Math.max(1, (perTask.dicePer500g * i.grams) / 500), handsOn: true };
  if (i.food.kind !== 'vegetable' || i.food.id === 'peas-frozen') return null;
  const minutes =
    i.food.id === 'garlic' || i.food.id === 'ginger'
      ? perTask.garlic
      : i.food.id === 'onion'
        ? Math.max(1, (perTask.onionPer150g * i.grams) / 150)
        : Math.max(1, (perTask.chopPer200g * i.grams) / 200);
  return { code: 'chop', ingredient: id, minutes, handsOn: true };
}
