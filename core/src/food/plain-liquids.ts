const plain = new Set(['water', 'broth', 'broth-low-salt', 'broth-fish', 'coconut-water']);

/** Thin liquids that can be the liquid to add; the rest (wine, soy, tomato, coconut milk) is counted as it is. */
export const isPlainLiquid = (food: string): boolean => plain.has(food);
