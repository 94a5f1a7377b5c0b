import { recipeLinkedData, recipeMarkdown, type Dish, type Plan } from '@einkorn/core';
import { saveFile } from '../ui/save-file';

/** The dish and its plan as a recipe text. */
export const saveText = (dish: Dish, plan: Plan): void => saveFile(dish.title, 'md', recipeMarkdown(dish, plan));
/** The plan as a document of our own. */
export const savePlan = (dish: Dish, plan: Plan): void =>
  saveFile(`${dish.title} plan`, 'json', JSON.stringify(plan, null, 2));
/** The dish and its plan as a schema.org Recipe. */
export const saveData = (dish: Dish, plan: Plan): void =>
  saveFile(`${dish.title} recipe`, 'json', JSON.stringify(recipeLinkedData(dish, plan), null, 2));
