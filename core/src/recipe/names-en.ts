import { larderEn } from './names/larder-en';
import { meatEn } from './names/meat-en';
import { starchEn } from './names/starch-en';

/**
 * What English-speaking cooks call each food, in the singular, longest and plainest alike [common practice]. A name is a
 * whole noun phrase whose last word is its head: "chicken stock" is a stock. American and British words stand side by side.
 */
export const namesEn: Readonly<Record<string, string>> = { ...starchEn, ...meatEn, ...larderEn };
