/** Every unit of the dish document, with what one of it is. */
export const unitIds = [
  'g',
  'kg',
  'ml',
  'l',
  'cup-us',
  'cup-metric',
  'cup-rice',
  'tbsp',
  'tsp',
  'floz',
  'oz',
  'lb',
  'piece',
  'can-400',
  'can-800',
  'packet',
] as const;
export type UnitId = (typeof unitIds)[number];

interface UnitRecord {
  kind: 'mass' | 'volume' | 'count';
  /** grams for a mass, millilitres for a volume; a count needs the food to know */
  size: number;
  source: string;
}

/** US customary sizes are exact by the inch definition (231 in3 a gallon); a tin is named by its net mass. */
export const units: Record<UnitId, UnitRecord> = {
  g: { kind: 'mass', size: 1, source: 'SI' },
  kg: { kind: 'mass', size: 1000, source: 'SI' },
  ml: { kind: 'volume', size: 1, source: 'SI' },
  l: { kind: 'volume', size: 1000, source: 'SI' },
  'cup-us': { kind: 'volume', size: 236.5882365, source: 'US customary, 1/16 gallon' },
  'cup-metric': { kind: 'volume', size: 250, source: 'metric kitchen measure' },
  'cup-rice': { kind: 'volume', size: 180, source: 'rice-cooker measure, common practice' },
  tbsp: { kind: 'volume', size: 14.78676478125, source: 'US customary, 1/2 fluid ounce' },
  tsp: { kind: 'volume', size: 4.92892159375, source: 'US customary, 1/6 fluid ounce' },
  floz: { kind: 'volume', size: 29.5735295625, source: 'US customary, 1/128 gallon' },
  oz: { kind: 'mass', size: 28.349523125, source: 'international avoirdupois' },
  lb: { kind: 'mass', size: 453.59237, source: 'international avoirdupois' },
  piece: { kind: 'count', size: 1, source: 'the food says' },
  'can-400': { kind: 'mass', size: 400, source: 'net mass on the tin' },
  'can-800': { kind: 'mass', size: 800, source: 'net mass on the tin' },
  packet: { kind: 'count', size: 1, source: 'the food says' },
};

/** The words cooks type, lower case and without dots. A bare "cup" is the US cup. */
export const unitWords: Record<string, UnitId> = {
  g: 'g', gr: 'g', gram: 'g', grams: 'g',
  kg: 'kg', kilo: 'kg', kilos: 'kg', kilogram: 'kg', kilograms: 'kg',
  ml: 'ml', millilitre: 'ml', millilitres: 'ml', milliliter: 'ml', milliliters: 'ml',
  l: 'l', litre: 'l', litres: 'l', liter: 'l', liters: 'l',
  cup: 'cup-us', cups: 'cup-us', c: 'cup-us', 'us cup': 'cup-us', 'us cups': 'cup-us',
  'metric cup': 'cup-metric', 'metric cups': 'cup-metric',
  'rice cup': 'cup-rice', 'rice cups': 'cup-rice', 'rice-cooker cup': 'cup-rice', 'rice-cooker cups': 'cup-rice',
  tbsp: 'tbsp', tablespoon: 'tbsp', tablespoons: 'tbsp', tbs: 'tbsp',
  tsp: 'tsp', teaspoon: 'tsp', teaspoons: 'tsp',
  floz: 'floz', 'fl oz': 'floz', 'fluid ounce': 'floz', 'fluid ounces': 'floz',
  oz: 'oz', ounce: 'oz', ounces: 'oz',
  lb: 'lb', lbs: 'lb', pound: 'lb', pounds: 'lb',
  piece: 'piece', pieces: 'piece', pc: 'piece', pcs: 'piece',
  can: 'can-400', cans: 'can-400', tin: 'can-400', tins: 'can-400',
  'large can': 'can-800', 'large cans': 'can-800', 'large tin': 'can-800', 'large tins': 'can-800',
  packet: 'packet', packets: 'packet',
};
for (const id of unitIds) unitWords[id] ??= id;
