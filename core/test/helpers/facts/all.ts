import type { Fact } from './fact';
import { grainFacts } from './grains';
import { pieceFacts } from './pieces';
import { potFacts } from './pot';

/** Every fact of the trade that the model was built against: the pot's (F), water (L), doneness (D) and pieces (P). */
export const facts: Fact[] = [...potFacts, ...grainFacts, ...pieceFacts];
