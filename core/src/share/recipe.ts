import type { Dish } from '../dish/schema';
import { cardSections } from './card';
import type { Plan } from '../plan/document/document';
import { isoDuration } from '../recipe/text/times';
import { ingredientLine } from './ingredient-line';

/** What the steps of a shared recipe are made of; what to take is its list of ingredients. */
const stepHeadings = new Set(['Fry', 'First stage', 'Layers, from below', 'Lid', 'Finish']);

const stepsOf = (dish: Dish, plan: Plan): string[] =>
  cardSections(dish, plan)
    .filter((s) => stepHeadings.has(s.heading))
    .map((s) => `${s.heading}: ${s.lines.join('; ')}.`);

/** Said on every recipe that leaves the house. */
const caution =
  'The maker’s manual of the cooker comes first. The pin must be down before the lid moves. A thermometer and the published minimum decide whether meat is done.';

/** The dish and its plan as a schema.org Recipe; read back it is the same dish, with the plan’s minutes as its own. */
export function recipeLinkedData(dish: Dish, plan: Plan): Record<string, unknown> {
  return {
    '@context': 'https://schema.org',
    '@type': 'Recipe',
    name: dish.title,
    recipeYield: `${dish.serves} servings`,
    totalTime: isoDuration(plan.timeline.at(-1)?.endMin ?? 0),
    recipeIngredient: dish.ingredients.map(ingredientLine),
    recipeInstructions: stepsOf(dish, plan).map((text) => ({ '@type': 'HowToStep', text })),
    ...(dish.notes ? { description: dish.notes } : {}),
    comment: caution,
  };
}

/** The dish and its plan as Markdown, for a note or a message. */
export function recipeMarkdown(dish: Dish, plan: Plan): string {
  return [
    `# ${dish.title}`,
    '',
    `Serves ${dish.serves}`,
    '',
    '## Ingredients',
    '',
    ...dish.ingredients.map((i) => `- ${ingredientLine(i)}`),
    '',
    '## Steps',
    '',
    ...stepsOf(dish, plan).map((s, i) => `${i + 1}. ${s}`),
    '',
    '## Notes',
    '',
    ...(dish.notes ? [dish.notes, ''] : []),
    caution,
    '',
  ].join('\n');
}
