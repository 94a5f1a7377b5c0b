import type { Learned, LearnedValue } from '../../dish/learned';
import { potInUse, type Kitchen } from '../../dish/kitchen';
import type { Dish } from '../../dish/schema';
import { recordOf } from '../../food/own-food';
import { pastaGrain } from '../../food/pasta';
import type { FoodRecord, GrainRecord } from '../../food/record';
import { pieceSd } from '../../meat/cautious';
import { eveningHeatSd, eveningLoad, withFactors, factorNames, type PotFactors } from '../../pot/factors';
import { potProfile } from '../../pot/own-pot';
import type { PotProfile } from '../../pot/profile';
import { units } from '../../quantity/units';
import { stableJson } from '../../stable-json';
import { shortMark } from '../../short-mark';
import type { Plan } from '../document/document';
import type { Gathered, Item } from '../gather/item';
import { saucyFrom } from './sauce';

/*
 * Where what was learned enters a plan: the fields of the pot, the measures, the clock of the grain, and what the cook calls
 * right. A kitchen without it plans as from the factory.
 */

/**
 * One step of the texture scale, points of the index; of pasta, ln of its minutes; of the sauce scale, ln of its share; of salt,
 * percent [derived: their edges].
 */
export const perStep = {
  texturePoints: 4.33,
  pastaLn: 0.32,
  sauceLn: 0.76,
  pastaSauceLn: 0.5,
  saltPercent: 0.25,
} as const;
/** Nothing that was learned moves an aim further than this, in steps [from memory: a habit, not a law]. */
const mostSteps = 1;
const mostSaucePerDish = 0.6;
/** Added to the share of sauce before its logarithm is taken: a dry dish has one too. */
export const sauceOffset = 0.02;

/** What the log taught, where it is in use. */
export const learnedIn = ({ learning, learned }: Kitchen): Learned | undefined => (learning ? learned : undefined);

const valueOf = (values: Readonly<Record<string, LearnedValue>> | undefined, name: string): number =>
  values?.[name]?.value ?? 0;
const held = (value: number, most: number = mostSteps): number => Math.max(-most, Math.min(most, value));

/** The pot of a kitchen: of the table or the cook's own, with what the log taught of it. */
export function potOfKitchen(kitchen: Kitchen): PotProfile {
  const pot = potProfile(potInUse(kitchen));
  const own = potFactors(kitchen);
  if (!own) return pot;
  const base = learnedIn(kitchen)?.pots[kitchen.potId]?.['scorch'];
  const scorch = base && { points: held(base.value, mostScorchPoints), sd: base.sd };
  return { ...withFactors(pot, own), ...(scorch ? { scorch } : {}) };
}
/** No base is so good or so bad that the dish no longer counts: two prior spreads [from memory]. */
const mostScorchPoints = 1.4;

/** What the log taught of the pot of a kitchen; undefined where nothing was learned, or it is not used. */
export function potFactors(kitchen: Kitchen): PotFactors | undefined {
  const own = learnedIn(kitchen)?.pots[kitchen.potId];
  return own && Object.fromEntries(factorNames.map((n) => [n, valueOf(own, n)]));
}

/** One standard deviation of the minutes of a heat-up, a share of them: a pot that is known is less uncertain than one of the table. */
export function heatUpSd(kitchen: Kitchen): number {
  const heat = learnedIn(kitchen)?.pots[kitchen.potId]?.['heat'];
  return heat ? Math.min(pieceSd.heatUp, Math.hypot(heat.sd, eveningHeatSd)) : pieceSd.heatUp;
}

/** From the tap to the boil, K [derived: 20 to 100 degC]. */
const toBoilK = 80;
/**
 * One standard deviation of the minutes to the pin, a share of them: the pot, and what is in it that evening. Minutes go with
 * the mass and with the way to the boil: d ln t = d ln m + dT / (100 - 20).
 */
export const pinSd = (kitchen: Kitchen): number =>
  Math.hypot(heatUpSd(kitchen), eveningLoad.massSd, eveningLoad.startK / toBoilK);

/** The dish as these hands measure it: a cup of grain holds what they scoop. */
export function asMeasured(dish: Dish, kitchen: Kitchen): Dish {
  const scoop = Math.exp(valueOf(learnedIn(kitchen)?.cook, 'scoop'));
  if (scoop === 1) return dish;
  const ingredients = dish.ingredients.map((i) =>
    units[i.amount.unit].kind === 'volume' && recordOf(i).grain
      ? { ...i, amount: { ...i.amount, value: i.amount.value * scoop } }
      : i,
  );
  return { ...dish, ingredients };
}

/** What this cook calls just right, and how fast this grain cooks. */
export function withTaste(g: Gathered, kitchen: Kitchen): Gathered {
  const learned = learnedIn(kitchen);
  if (!learned) return g;
  const { cook } = learned;
  const rule = { ...g.rule, saltPercent: g.rule.saltPercent + perStep.saltPercent * held(valueOf(cook, 'salt')) };
  const sauce = held(valueOf(cook, 'sauce'));
  const moved = {
    ...g,
    rule,
    sauceShare:
      g.sauceShare >= saucyFrom
        ? Math.min(
            mostSaucePerDish,
            Math.max(saucyFrom, (g.sauceShare + sauceOffset) * Math.exp(perStep.sauceLn * sauce) - sauceOffset),
          )
        : g.sauceShare,
    saucePerStarch: g.saucePerStarch === null ? null : g.saucePerStarch * Math.exp(perStep.pastaSauceLn * sauce),
  };
  if (!g.grain?.food.grain) return moved;
  const grain: Item = { ...g.grain, food: starchAsLearned(g.grain.food, g.grain.food.grain, learned) };
  return { ...moved, grain, items: g.items.map((i) => (i === g.grain ? grain : i)) };
}

/** The starch with the aim and the minutes that it has for this cook; a pasta with a packet that says them. */
function starchAsLearned(food: FoodRecord, rec: GrainRecord, { cook, grains }: Learned): FoodRecord {
  const { kinetics } = rec;
  const own = grains[food.id];
  const likes = held(valueOf(cook, 'like') + valueOf(cook, `like:${kinetics}`) - valueOf(own, 'shift'));
  const times = Math.exp(-valueOf(cook, `speed:${kinetics}`) - valueOf(own, 'speed'));
  if (food.packetMin) {
    const [printed, ...source] = food.packetMin;
    const packetMin = printed * times * Math.exp(perStep.pastaLn * likes);
    return { ...food, grain: pastaGrain(packetMin), packetMin: [packetMin, ...source], printedMin: food.packetMin };
  }
  const [aim, ...source] = rec.aimMoisture;
  const minutes = ([min, ...tag]: GrainRecord['eRef']): GrainRecord['eRef'] => [min * times, ...tag];
  const grain: GrainRecord = {
    ...rec,
    aimMoisture: [aim + (perStep.texturePoints * likes) / 100, ...source],
    boilMin: minutes(rec.boilMin),
    eMin: minutes(rec.eMin),
    eRef: minutes(rec.eRef),
    eMax: minutes(rec.eMax),
  };
  return { ...food, grain };
}

/** A mark of everything that was learned and is in use; undefined as from the factory. */
export function learnedMark(kitchen: Kitchen): string | undefined {
  const learned = learnedIn(kitchen);
  return learned && shortMark(stableJson([learned.pots, learned.cook, learned.grains]));
}

/** The kitchen that a plan was made in: one made as from the factory is followed so, whatever has been learned since. */
export const kitchenOfPlan = (kitchen: Kitchen, p: Pick<Plan, 'learned'>): Kitchen =>
  p.learned ? kitchen : asFromFactory(kitchen);

/** The kitchen as from the factory. */
export const asFromFactory = (kitchen: Kitchen): Kitchen => ({ ...kitchen, learning: false });
