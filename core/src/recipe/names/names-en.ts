import { larderEn } from './larder-en';
import { meatEn } from './meat-en';
import { starchEn } from './starch-en';

/**
 * What English-speaking cooks call each food, in the singular, longest and plainest alike [common practice]. A name is a
 * whole noun phrase whose last word is its head: "chicken stock" is a stock. American and British words stand side by side.
 */
export const namesEn: Readonly<Record<string, string>> = { ...starchEn, ...meatEn, ...larderEn };
