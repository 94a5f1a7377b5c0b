import type { Kitchen } from '../dish/kitchen';
import type { Dish } from '../dish/schema';
import { pots, type PotProfile } from '../pot/profile';
import { Problem } from '../problem';
import { gather, type Gathered } from './gather';
import { waterSources, type Sources } from './water';

/** What every question about a dish starts from: the weighed board, its water, the pot and the kitchen. */
export interface Bench {
  g: Gathered;
  src: Sources;
  pot: PotProfile;
  kitchen: Kitchen;
}

const planned: readonly string[] = ['plain-grain', 'one-pot-grain'];

/** Checks that this dish can be planned as it is, and sets up what both modes share. */
export function setBench(dish: Dish, kitchen: Kitchen): Bench {
  if (!planned.includes(dish.family))
    throw new Problem(
      'family-not-planned',
      `Dishes of the family "${dish.family}" are not planned yet. Use plain-grain or one-pot-grain.`,
      [{ path: 'family', message: `Planned now: ${planned.join(', ')}.` }],
    );
  const pot = potOf(kitchen);
  const g = gather(dish);
  if (!g.grain)
    throw new Problem('grain-missing', 'This family needs a grain: add rice, einkorn or another grain.', [
      { path: 'ingredients', message: 'Add one grain.' },
    ]);
  const grains = g.items.filter((i) => i.food.kind === 'grain');
  if (grains.length > 1)
    throw new Problem('two-grains', 'Two grains need two times. Keep one grain in this pot.', [
      { path: 'ingredients', message: `Grains found: ${grains.map((i) => i.food.id).join(', ')}.` },
    ]);
  return { g, src: waterSources(g), pot, kitchen };
}

function potOf(kitchen: Kitchen): PotProfile {
  const pot = pots.find((p) => p.id === kitchen.potId)!;
  if (pot.kind === 'whistle')
    throw new Problem(
      'pot-not-planned',
      'Whistle cookers are not planned yet: choose an electric or a spring-valve pot.',
      [
        {
          path: 'kitchen.potId',
          message: `Planned now: ${pots
            .filter((p) => p.kind !== 'whistle')
            .map((p) => p.id)
            .join(', ')}.`,
        },
      ],
    );
  return pot;
}
