import type { FinishStep } from '../document/steps';
import { hotC } from '../setup/finish-minutes';
import type { Gathered, Item } from '../gather/item';
import { meatsOf, minimumC } from '../gather/pieces';
import { heatedTo, minutesTo, stands, stirIn, waitedC, type FinishHeat, type Mixture } from './mixing';
import type { FinishCode } from '../document/step-id';
import { sentence } from '../../words/sentence';

/** Keep-warm that takes longer than this is done on low sauté instead, stirring, min [common practice]. */
export const mostWarmMin = 15;

/** How hot the mixture must get, degC, the minutes of the things themselves, and whether the lid lies on. */
interface CookIn {
  aimC: number;
  ownMin: number;
  lidOn?: boolean;
}

/**
 * Writes the steps after the lid in their order, with the mixture's temperature after each, degC. What waited for the
 * finish is taken once.
 */
export class FinishWriter {
  readonly steps: FinishStep[] = [];
  /** what was cooked from raw here and the minimum it must reach, degC */
  readonly mustReach: { item: Item; minimumC: number }[] = [];
  private readonly waiting: Item[];
  /** the highest minimum of what was under the lid, degC */
  private readonly leastC: number;

  constructor(
    g: Gathered,
    private mix: Mixture,
  ) {
    this.leastC = Math.max(0, ...meatsOf(g).map(minimumC));
    this.waiting = [...g.items, ...g.seasonedWith].filter((i) => i.joins === 'finish' || i.joins === 'topping');
  }

  /** What still waits and fits; it waits no longer. */
  take(fits: (i: Item) => boolean): Item[] {
    const hit = this.waiting.filter(fits);
    for (const item of hit) this.waiting.splice(this.waiting.indexOf(item), 1);
    return hit;
  }

  add(code: FinishCode, minutes: number, items: readonly Item[] = [], more: Partial<FinishStep> = {}): void {
    this.steps.push({
      order: this.steps.length + 1,
      code,
      text: sentence('finish-step', code, { c: more.minimumC ?? this.leastC }),
      minutes: Math.round(minutes * 2) / 2,
      ingredients: items.flatMap((i) => i.rows),
      tempC: Math.round(this.mix.state.tempC),
      ...more,
    });
  }

  stand(minutes: number): void {
    this.mix = stands(this.mix, minutes);
  }

  stirIn(items: readonly Item[]): void {
    this.pour(asStirredIn(items));
  }

  pour(parts: Parameters<typeof stirIn>[1]): void {
    this.mix = stirIn(this.mix, parts);
  }

  /** Minutes of low sauté that bring the mixture to `toC`; it is there afterwards. */
  heatTo(toC: number): number {
    const minutes = minutesTo(this.mix, toC, 'saute') ?? mostWarmMin;
    this.mix = heatedTo(this.mix, toC);
    return minutes;
  }

  /** A dish that went cold is warmed again: under the lid on keep-warm while that is short, else on low sauté. */
  warmAgain(): void {
    if (this.mix.state.tempC >= hotC) return;
    const toC = hotC + 2;
    const warmMin = minutesTo(this.mix, toC, 'keep-warm');
    const heat: FinishHeat = warmMin !== null && warmMin <= mostWarmMin ? 'keep-warm' : 'saute';
    const minutes = heat === 'keep-warm' ? warmMin! : (minutesTo(this.mix, toC, 'saute') ?? mostWarmMin);
    this.mix = heatedTo(this.mix, toC);
    this.add('warm', Math.max(1, minutes), [], { heat, lidOn: heat === 'keep-warm' });
  }

  /** What the mixture would be with these stirred in, degC. */
  wouldBeC(items: readonly Item[]): number {
    return stirIn(this.mix, asStirredIn(items)).state.tempC;
  }

  /** Things that cook through under the shut lid, on keep-warm, in the heat that is there. */
  restIn(code: FinishCode, items: readonly Item[], minutes: number): void {
    this.stirIn(items);
    this.add(code, minutes, items, { heat: 'keep-warm', lidOn: true, ...this.reaching(items) });
  }

  /** Things that are cooked or heated through: the mixture is brought to `aimC`, then they get their own minutes. */
  cookIn(code: FinishCode, items: readonly Item[], { aimC, ownMin, lidOn = false }: CookIn): void {
    this.stirIn(items);
    const coldC = this.mix.state.tempC;
    const upMin = this.heatTo(aimC);
    this.add(code, upMin + ownMin, items, {
      tempC: Math.round(coldC),
      ...(upMin > 0.25 ? { heat: 'saute' as const, ...(lidOn ? { lidOn } : {}) } : {}),
      ...this.reaching(items),
    });
  }

  /** What must be reached in these, for their step and for the thermometer after it. */
  private reaching(items: readonly Item[]): Pick<FinishStep, 'minimumC'> {
    const meats = items.filter((i) => i.food.meat).map((item) => ({ item, minimumC: minimumC(item) }));
    this.mustReach.push(...meats);
    const most = Math.max(0, ...meats.map((m) => m.minimumC));
    return most > 0 ? { minimumC: most } : {};
  }
}

/** Things as they come to the mixture: from the board, or from the bowl where they waited. */
const asStirredIn = (items: readonly Item[]): Parameters<typeof stirIn>[1] =>
  items.map((item) => ({ item, grams: item.grams, tempC: item.panOnly ? waitedC : item.startC }));
