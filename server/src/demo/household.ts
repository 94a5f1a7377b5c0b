import {
  inSteps,
  learnFrom,
  loadOfPlan,
  nothingRemembered,
  pots,
  ratingEdges,
  resultOf,
  solvePlan,
  type Cook,
  type CookResult,
  type Dish,
  type Kitchen,
  type Learned,
  type Plan,
  type PotProfile,
  type Ratings,
} from '@einkorn/core';
import { bell, SimulatedCooker, stream } from '@einkorn/devices';
import { diary, type Entry } from './diary';
import { cookOf, dishOf, type Evening } from './evening';

/*
 * Cloudberry Hut as nobody there knows it: a pot of its own, hands of their own, a taste of their own. Sixty evenings are
 * cooked on the simulated cooker; what the hut would have tapped and said of them is the log of the demo. It runs when the
 * demo is made (`DEMO=write npx jest demo` in server/), not when it is served.
 */

/** The hut's pot beside the one of the table: an old heating plate, a draughty kitchen, a stiff valve; until May a worn ring. */
const truth = { efficiency: 0.9, losses: 1.2, valve: 0.88, wornRingM2: 0.5e-6 };
/** Its hands: a tap comes so late, the valve is opened so much after its time, min, each with a scatter; some are forgotten. */
const hands = { tapLateMin: 0.3, tapSdMin: 0.2, valveLateMin: 0.5, valveSdMin: 0.4, forgotten: 0.12 };
/** It calls everything so many steps softer and saltier than others would: it likes its rice dry. */
const taste = { softer: 0.45, saltier: 0.2, sdSteps: 0.35 };
/** Every evening is a little another: what is poured, as a share. */
const pouredSd = 0.02;

/** What was learned is looked through again after so many more cooks. */
const learnedEvery = 10;
const seed = 73;

function hutPot(entry: Entry): PotProfile {
  const p = pots.find((x) => x.id === 'electric-5.7')!;
  return {
    ...p,
    efficiency: p.efficiency * truth.efficiency,
    sideLossWPerK: p.sideLossWPerK * truth.losses,
    lidLossWPerK: p.lidLossWPerK * truth.losses,
    quickM2: p.quickM2 * truth.valve,
    leakM2: p.leakM2 + (entry.wornRing ? truth.wornRingM2 : 0),
  };
}

export interface Demo {
  evenings: Evening[];
  /** what had been learned after so many of them, by that number */
  learned: Record<string, Learned>;
}

/** Cooks the whole diary, learning on the way as the hut did. */
export function cookDiary(kitchen: Kitchen): Demo {
  const next = stream(seed);
  const evenings: Evening[] = [];
  const cooks: Cook[] = [];
  const known: Demo['learned'] = {};
  let remembered = nothingRemembered;
  const anew = (some: readonly Cook[]): Learned => {
    const read = learnFrom({ ...remembered, standing: null }, { kitchen, cooks: some });
    remembered = read.remembered;
    return read.learned;
  };
  for (const [n, entry] of diary.entries()) {
    const knew = Math.floor(n / learnedEvery) * learnedEvery;
    if (knew > 0 && !(knew in known)) known[knew] = anew(cooks.slice(0, knew));
    const learned = knew > 0 ? known[knew] : undefined;
    const here = learned ? { ...kitchen, learned } : kitchen;
    const dish = dishOf(entry);
    const plan = solvePlan(dish, here);
    const evening: Evening = { ...cookOne(entry, { dish, plan, kitchen: here }, next), id: `demo-cook-${n + 1}`, knew };
    evenings.push(evening);
    cooks.push(cookOf(evening, dish, plan));
  }
  known[diary.length] = anew(cooks);
  return { evenings, learned: known };
}

/** What was on the stove that evening. */
interface Supper {
  dish: Dish;
  plan: Plan;
  kitchen: Kitchen;
}

function cookOne(entry: Entry, { dish, plan, kitchen }: Supper, next: () => number): Omit<Evening, 'id' | 'knew'> {
  const real = {
    ...plan,
    liquid: { ...plan.liquid, addMl: plan.liquid.addMl * (entry.poured ?? 1) * (1 + pouredSd * bell(next)) },
  };
  const { holdMin, pressure, release } = plan.program;
  const cooker = new SimulatedCooker({
    pot: hutPot(entry),
    altitudeM: kitchen.altitudeM,
    load: loadOfPlan(dish, kitchen, real),
    pressure,
    holdMin,
    whistles: null,
    // One pot all year: its own scatter is that of the same seed.
    seed,
    faults: entry.fault ? [entry.fault] : [],
  });
  const naturalMin = release.kind === 'timed' ? (release.naturalMin ?? 0) : 0;
  const opens = release.kind !== 'natural';
  const late = Math.max(-0.5, hands.valveLateMin + hands.valveSdMin * bell(next));
  for (let s = 15; s < 4 * 3600 && !fell(cooker); s += 15) {
    if (cooker.advance(s).some((x) => x.kind === 'burn')) cooker.clearBurn();
    const end = atMin(cooker, 'hold-end');
    if (opens && end !== null && s / 60 >= end + naturalMin + late) cooker.openValve();
  }
  const valve = atMin(cooker, 'hold-end')! + naturalMin + late;
  const down = fell(cooker)!;
  const tap = (min: number | null, surely = false): number | null => {
    const seen = next() >= hands.forgotten || surely;
    const at = (min ?? 0) + Math.max(0, hands.tapLateMin + hands.tapSdMin * bell(next));
    return min !== null && seen ? Math.round(10 * at) / 10 : null;
  };
  const burnt = atMin(cooker, 'burn');
  const tapped = {
    burnMin: burnt === null ? null : Math.round(10 * burnt) / 10,
    pinMin: later(tap(atMin(cooker, 'pin-up'), !!entry.pinTappedLateMin), entry.pinTappedLateMin),
    fullMin: tap(atMin(cooker, 'countdown')),
    // Where the pin has fallen before, nobody opens the valve any more.
    valveMin: opens && valve < down ? tap(valve, true) : null,
    downMin: tap(down),
  };
  return {
    dish: entry.dish,
    ...(entry.serves ? { serves: entry.serves } : {}),
    served: entry.served,
    slowMin: Math.round(Math.max(0, 2 + 2.5 * bell(next)) * 10) / 10,
    tapped: Object.fromEntries(Object.entries(tapped).filter(([, min]) => min !== null)),
    openMin: Math.round(10 * down) / 10,
    ...saidOf(plan, resultOf({ dish, plan: real, kitchen }, cooker.run()), { next, burnt: burnt !== null }),
    ...(entry.note ? { note: entry.note } : {}),
  };
}

const later = (min: number | null, more = 0): number | null => (min === null ? null : min + more);
const atMin = (cooker: SimulatedCooker, kind: 'burn' | 'pin-up' | 'countdown' | 'hold-end'): number | null => {
  const s = cooker.signals.find((x) => x.kind === kind);
  return s ? s.atS / 60 : null;
};
const fell = (cooker: SimulatedCooker): number | null => {
  const s = cooker.signals.findLast((x) => x.kind === 'pin-down');
  return s ? s.atS / 60 : null;
};

/** What the base of a pot looks like, in steps of its scale. */
const bottomOf: Record<string, number> = { low: 0.1, watch: 0.9, high: 2.6 };

/** What the hut says of its plate, by its own taste, and what its thermometer reads. */
function saidOf(
  plan: Plan,
  food: CookResult,
  { next, burnt }: { next: () => number; burnt: boolean },
): Pick<Evening, 'ratings' | 'coreC'> {
  const said = (place: number): number => Math.max(0, Math.min(4, Math.round(place + taste.sdSteps * bell(next))));
  const softer = food.softer ?? 0;
  const grain = plan.grain
    ? inSteps(plan.grain.textureIndex + softer, ratingEdges.grain)
    : plan.pasta
      ? inSteps(100 * Math.log(Math.max(0.1, plan.pasta.x + softer / 100)), ratingEdges.pasta)
      : null;
  const bottom = burnt ? 2.8 : bottomOf[plan.scorch.level];
  const coreC = Math.min(...food.meats.map((m) => m.coreC));
  const ratings: Ratings = {
    ...(grain === null ? {} : { grain: said(grain + taste.softer) }),
    ...(food.meats.length > 0 ? { meat: said(2) } : {}),
    bottom: said(bottom ?? 0),
    sauce: said(1.3),
    salt: said(2 + taste.saltier),
  };
  return { ratings, ...(Number.isFinite(coreC) ? { coreC: Math.round(coreC) } : {}) };
}
