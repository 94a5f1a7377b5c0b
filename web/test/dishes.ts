import { readDish, type Dish } from '@einkorn/core';
import turkey from '../../server/src/demo/dishes/turkey-leek-lemon.json';

/** The demo's turkey dish, as the shelf holds it. */
export const turkeyDish = (): Dish => readDish(JSON.parse(JSON.stringify(turkey)));
