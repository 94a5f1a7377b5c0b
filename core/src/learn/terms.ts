import type { PotProfile } from '../pot/profile';
import { partsOf, potOf, type Evidence } from './evidence';
import type { Input } from './forward';
import {
  classLike,
  cookKey,
  cookParameters,
  grainKey,
  grainParameters,
  potKey,
  potParameter,
  type Parameter,
} from './parameters';
import { scatters, type Part, type Scatter } from './value';

/** One of the normals that a value hangs on: its place among the slopes of a cook, and what it is worth. */
export interface Term {
  at: number;
  by: number;
}

/** What a cook may speak of, in the order of its slopes: its parameters, then the scatters of the evening. */
export interface Terms {
  pot: PotProfile;
  keys: readonly string[];
  places: ReadonlyMap<string, number>;
  /** keys and scatters */
  width: number;
  /** the input without anything learned, and what it is made of */
  inputs: Readonly<Partial<Record<Input, { mean: number; terms: readonly Term[] }>>>;
  /** what is added to an outcome and is no input of the model */
  own: Readonly<Record<'tap' | 'late' | 'sense' | 'scorch' | 'salt' | 'sauce', Term>>;
  /** what the rated place of the starch is moved by */
  taste: readonly Term[];
  /** places of the scatters */
  scatter: Readonly<Record<Scatter, number>>;
}

const prepared = new WeakMap<Evidence, Terms>();

/** Made once for each cook. */
export function termsOf(e: Evidence): Terms {
  const known = prepared.get(e);
  if (known) return known;
  const made = make(e);
  prepared.set(e, made);
  return made;
}

function make(e: Evidence): Terms {
  const { observation: o } = e;
  const { starch, potId } = o;
  const pot = potOf(o);
  const parts = Object.entries(partsOf(e)) as [Input, Part[]][];
  const places = new Map<string, number>();
  const place = (key: string): number => {
    if (!places.has(key)) places.set(key, places.size);
    return places.get(key)!;
  };
  const of = (key: string, { sd }: Pick<Parameter, 'sd'>, side = 1): Term => ({ at: place(key), by: side * sd });
  const { tap, late, salt, sauce, like } = cookParameters;
  const own = {
    tap: of(cookKey('tap'), tap),
    late: of(cookKey('late'), late),
    sense: of(potKey(potId, 'sense'), potParameter(pot, 'sense')),
    scorch: of(potKey(potId, 'scorch'), potParameter(pot, 'scorch')),
    // Who likes it saltier calls the same dish less salty.
    salt: of(cookKey('salt'), salt, -1),
    sauce: of(cookKey('sauce'), sauce, -1),
  };
  const likes = starch && classLike(starch.kinetics);
  const taste =
    starch && likes
      ? [
          of(grainKey(starch.food, 'shift'), grainParameters.shift),
          of(cookKey('like'), like, -1),
          of(cookKey(likes), cookParameters[likes], -1),
        ]
      : [];
  for (const [, some] of parts) for (const p of some) if ('key' in p) place(p.key);
  const keys = [...places.keys()];
  const scatter = Object.fromEntries(scatters.map((s, i) => [s, keys.length + i])) as Record<Scatter, number>;
  return {
    pot,
    keys,
    places,
    width: keys.length + scatters.length,
    inputs: Object.fromEntries(
      parts.map(([input, some]) => [
        input,
        {
          mean: input === 'lateMin' ? (o.lateMin ?? late.mean) : 0,
          terms: some.map((p) => ({ at: 'key' in p ? place(p.key) : scatter[p.scatter], by: p.by })),
        },
      ]),
    ),
    own,
    taste,
    scatter,
  };
}
