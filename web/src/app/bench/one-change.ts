import { recordOf, scaleBy, type Dish, type Ingredient, type Plan } from '@einkorn/core';
import { withIngredient, withOverrides, withPrep } from './edits';

export type SheetName = 'gather' | 'fry' | 'water' | 'stack' | 'pressure' | 'finish';

/** One change worth seeing, by the key of its sentence. */
export interface Trial {
  key: string;
  dish: Dish;
}

const kindOf = (i: Ingredient): string => recordOf(i).kind;
const starchOf = (d: Dish): Ingredient | undefined => d.ingredients.find((i) => recordOf(i).grain);

/** The one thing that a sheet offers to change, to see what follows; null where nothing there would teach anything. */
export function trialOf(sheet: SheetName, dish: Dish, plan: Plan): Trial | null {
  const starch = starchOf(dish);
  switch (sheet) {
    case 'gather':
      return dish.serves * 2 <= 60 ? { key: 'double', dish: scaleBy(dish, 2).dish } : null;
    case 'fry': {
      const meat = dish.ingredients.find((i) => plan.fry.some((f) => f.ingredient === i.id && f.aim));
      if (!meat) return null;
      return meat.prep?.state === 'browned'
        ? { key: 'colour-only', dish: withPrep(dish, meat.id, { state: 'raw' }) }
        : { key: 'brown-more', dish: withPrep(dish, meat.id, { state: 'browned' }) };
    }
    case 'water': {
      if (!starch || kindOf(starch) !== 'grain') return null;
      const rinse = starch.prep?.rinse ?? false;
      return { key: rinse ? 'rinse-off' : 'rinse-on', dish: withPrep(dish, starch.id, { rinse: !rinse }) };
    }
    case 'stack':
      if (!starch || plan.stack.every((l) => l.ingredient !== starch.id || l.place === 'inner-bowl')) return null;
      return starch.place === 'base'
        ? { key: 'starch-up', dish: withIngredient(dish, starch.id, { place: undefined }) }
        : { key: 'starch-down', dish: withIngredient(dish, starch.id, { place: 'base' }) };
    case 'pressure':
      return plan.program.release.kind === 'quick'
        ? { key: 'natural', dish: withOverrides(dish, { release: { kind: 'natural' } }) }
        : { key: 'quick', dish: withOverrides(dish, { release: { kind: 'quick' }, holdMin: plan.program.holdMin }) };
    case 'finish': {
      const broth = dish.ingredients.find((i) => i.food === 'broth' || i.food === 'broth-low-salt');
      if (!broth) return { key: 'firm', dish: { ...dish, texture: dish.texture === 'firm' ? 'soft' : 'firm' } };
      const low = broth.food === 'broth-low-salt';
      return {
        key: low ? 'salted' : 'low-salt',
        dish: withIngredient(dish, broth.id, { food: low ? 'broth' : 'broth-low-salt' }),
      };
    }
  }
}
