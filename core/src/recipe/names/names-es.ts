import { larderEs } from './larder-es';
import { meatEs } from './meat-es';
import { starchEs } from './starch-es';

/**
 * What Spanish-speaking cooks call each food, of Spain and of the Americas alike, without accents, in the singular [common
 * practice]. The head of a Spanish name is its first word: "caldo de pollo" is a broth.
 */
export const namesEs: Readonly<Record<string, string>> = { ...starchEs, ...meatEs, ...larderEs };
