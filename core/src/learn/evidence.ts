import { potProfile } from '../pot/own-pot';
import type { PotProfile } from '../pot/profile';
import type { Emulator } from './emulator';
import type { Input } from './forward';
import type { Observation } from './observation';
import {
  classSpeed,
  cookKey,
  cookParameters,
  grainKey,
  grainParameters,
  juiceCommon,
  potKey,
  potParameter,
  scatterSd,
  type CookParameter,
  type PotParameter,
} from './parameters';
import type { Part } from './value';

/** A cook with its emulator: everything that it says. */
export interface Evidence {
  observation: Observation;
  emulator: Emulator;
  /** a pot that changed: parameters that jumped, for the cooks since */
  jumps: readonly Jump[];
}
/** A suspected change of a pot: a parameter that moved at once; its spread before it is known is twice the prior's. */
export interface Jump {
  key: string;
  potId: string;
  parameter: PotParameter;
  sinceMs: number;
  sinceCook: string;
}
export const jumpSdTimes = 2;

/** The pot that a cook was in, as its plan keeps it. */
export const potOf = (o: Pick<Observation, 'setting'>): PotProfile => potProfile(o.setting.plan.pot);

/** What each input of the forward model is made of in this cook. */
export function partsOf({ observation: o, jumps }: Omit<Evidence, 'emulator'>): Partial<Record<Input, Part[]>> {
  const pot = potOf(o);
  const ofPot = (name: PotParameter): Part[] => {
    const { sd } = potParameter(pot, name);
    const jumped = jumps.filter((j) => j.potId === o.potId && j.parameter === name && o.startedMs >= j.sinceMs);
    return [{ key: potKey(o.potId, name), by: sd }, ...jumped.map((j) => ({ key: j.key, by: jumpSdTimes * sd }))];
  };
  const hand = (name: CookParameter): Part => ({ key: cookKey(name), by: cookParameters[name].sd });
  const flame = pot.kind !== 'electric';
  return {
    heat: [...ofPot('heat'), { scatter: 'heat', by: flame ? scatterSd.flameHeat : scatterSd.heat }],
    loss: ofPot('loss'),
    leak: ofPot('leak'),
    vent: ofPot('vent'),
    set: ofPot('set'),
    metal: ofPot('metal'),
    purge: ofPot('purge'),
    scoop: [hand('scoop'), { scatter: 'scoop', by: scatterSd.scoop }],
    jug: [hand('jug'), { scatter: 'jug', by: scatterSd.jug }],
    juice: [
      { key: cookKey('juice'), by: Math.sqrt(juiceCommon) },
      { scatter: 'juice', by: Math.sqrt(1 - juiceCommon) },
    ],
    startK: [{ scatter: 'start', by: scatterSd.startK }],
    load: [
      { scatter: 'load', by: scatterSd.load },
      { scatter: 'weighed', by: scatterSd.weighed },
    ],
    speed: o.starch
      ? [
          hand(classSpeed(o.starch.kinetics)),
          { key: grainKey(o.starch.food, 'speed'), by: grainParameters.speed.sd },
          { scatter: 'speed', by: scatterSd.speed },
        ]
      : [],
    lateMin: o.lateMin === null ? [hand('late'), { scatter: 'late', by: scatterSd.lateMin }] : [],
  };
}
