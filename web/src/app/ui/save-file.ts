import type { Cook, Dish } from '@einkorn/core';

const types = { json: 'application/json', md: 'text/markdown', csv: 'text/csv', ics: 'text/calendar' } as const;

/** A text as a file, named by its title. */
export function saveFile(title: string, ending: keyof typeof types, text: string): void {
  const type = types[ending];
  const url = URL.createObjectURL(new Blob([text], { type }));
  const a = document.createElement('a');
  a.href = url;
  a.download = `${title.toLowerCase().replaceAll(/[^\p{L}\d]+/gu, '-')}.${ending}`;
  a.click();
  URL.revokeObjectURL(url);
}

/** A dish, and a cook, as documents of our own. */
export const saveDish = (dish: Dish): void => saveFile(dish.title, 'json', JSON.stringify(dish, null, 2));
export const saveCook = (cook: Cook): void => saveFile(`${cook.dish.title} cook`, 'json', JSON.stringify(cook));
