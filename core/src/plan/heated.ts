import type { Texture } from '../grain/texture';
import type { HeatedPot } from '../pot/cook';
import type { Gathered } from './item';
import type { Earlier, Ways } from './meat';
import type { ScorchRisk } from './scorch';
import type { Sources } from './water';

/** A heated pot with what is in it: everything that a pair of hold and release is judged by. */
export interface Heated {
  g: Gathered;
  src: Sources;
  heated: HeatedPot;
  /** shorter holds are not offered, min */
  leastHoldMin: number;
  depthCm: number;
  addMl: number;
  texture: Texture;
  earlier: Earlier | null;
  earlierSteamG: number;
  /** how full the pot is, 0..1 */
  fill: number;
  /** what speaks for a scorched base, and its chance */
  scorch: ScorchRisk;
  /** snapshots of the pieces on the way up and through the hold */
  ways: Ways;
}
