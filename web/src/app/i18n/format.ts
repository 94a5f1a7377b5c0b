import { Injectable, computed, inject } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import {
  gPerOunce,
  nameOrFood,
  ownMeasureMl,
  roundKitchen,
  showAmount,
  showFraction,
  showHeight,
  showLength,
  showTemperature,
  showWeight,
  units,
  type Amount,
  type IngredientNames,
  type FoodOf,
  type Measure,
  type UnitId,
} from '@einkorn/core';
import { TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import type catalogue from './en.json';
import { degreesIn, entries, type Degrees, type Entry, type EntryMeasure } from './entry';
import { shownDay, shownTime } from './time-of-day';
import { kitchenFeature } from '../state/kitchen';

/** What the catalogue can count. */
export type Counted = keyof typeof catalogue.count;

/** Every figure of the interface, in the language chosen and in kitchen precision. */
@Injectable({ providedIn: 'root' })
export class Format {
  private readonly transloco = inject(TranslocoService);
  private readonly kitchen = inject(Store).selectSignal(kitchenFeature.selectKitchen);
  private readonly catalogue = toSignal(this.transloco.langChanges$, { initialValue: 'en' });
  /** The region of the browser where it speaks the catalogue's language: 14 Nov or Nov 14. */
  private readonly lang = computed(
    () => navigator.languages.find((l) => l.split('-')[0] === this.catalogue()) ?? this.catalogue(),
  );

  /** changes where figures are shown in other units */
  readonly shown = computed(() => {
    const { units: volumes, weights, temperature, lengths, cupId } = this.kitchen();
    return [volumes, weights, temperature, lengths, cupId].join(' ');
  });
  private readonly plurals = computed(() => new Intl.PluralRules(this.lang()));

  locale(): string {
    return this.lang();
  }
  /** The plural form that the language takes for so many: 'one', 'other' … */
  plural(n: number): Intl.LDMLPluralRule {
    return this.plurals().select(n);
  }
  /** So many of something, in the word that the number takes: "1 whistle", "3 whistles". */
  counted(what: Counted, n: number, digits = 0): string {
    const shown = Number(n.toFixed(digits));
    return this.transloco.translate(`count.${what}.${this.plural(shown)}`, { n: this.number(shown, digits) });
  }
  number(x: number, digits = 0): string {
    return new Intl.NumberFormat(this.lang(), { maximumFractionDigits: digits, minimumFractionDigits: 0 }).format(x);
  }
  /** With all its decimals: 1.00 beside 1.25. */
  fixed(x: number, digits: number): string {
    return new Intl.NumberFormat(this.lang(), { maximumFractionDigits: digits, minimumFractionDigits: digits }).format(
      x,
    );
  }
  /** A weight in the units of the kitchen, as a cook says it: no tenths of a gram. */
  grams(g: number): string {
    const all = Math.abs(g);
    // Two bay leaves are 0.4 g and not nothing.
    const shown = this.weight(all < 1 ? all : roundKitchen(all));
    return g < 0 ? `-${shown}` : shown;
  }
  /** The same with the tenths that count in salt and spice. */
  weight(g: number): string {
    return showWeight(g, this.kitchen(), this.numbers);
  }
  /** A row of a sum in g, without its unit, which stands over the column: so fine that the rows still add up. */
  sum(g: number): string {
    return this.kitchen().weights === 'ounces' ? this.number(g / gPerOunce, 1) : this.number(g);
  }
  /** Salt is weighed in grams everywhere: a tenth of an ounce is half a spoon. */
  salt(g: number): string {
    return `${this.number(g, 1)} g`;
  }
  temperature(c: number): string {
    return showTemperature(c, this.kitchen(), this.numbers);
  }
  /** A size of a piece or a pot, in mm. */
  length(mm: number): string {
    return showLength(mm, this.kitchen(), this.numbers);
  }
  /** How high a kitchen lies, in m. */
  height(m: number): string {
    return showHeight(m, this.kitchen(), this.numbers);
  }
  private readonly numbers = (x: number, digits = 0): string => this.number(x, digits);
  private readonly shows: Readonly<Record<Measure, (x: number) => string>> = {
    temperature: (c) => this.temperature(c),
    weight: (g) => this.weight(g),
    volume: (ml) => this.volume(ml),
    length: (mm) => this.length(mm),
    height: (m) => this.height(m),
  };
  /** A figure of the catalogue that stands with its measure, in the units of the kitchen. */
  measure(of: Measure, x: number): string {
    return this.shows[of](x);
  }
  /** How a field takes a measure: in the units of the kitchen, stored in degC, g and m. */
  entry(of: EntryMeasure): Entry {
    const { temperature, weights, lengths } = this.kitchen();
    if (of === 'temperature') return entries[temperature];
    if (of === 'weight') return entries[weights];
    return entries[lengths === 'inches' ? 'feet' : 'metres'];
  }
  degrees(): Degrees {
    return degreesIn(this.kitchen().temperature);
  }
  /** A volume in the units of the kitchen: mL, or cups and spoons. The stored value never changes. */
  ml(ml: number): string {
    return this.inCups() ? this.cups(ml) : this.millilitres(ml);
  }
  /** The same volume in the other units, to stand beside it. */
  mlOther(ml: number): string {
    return this.inCups() ? this.millilitres(ml) : this.cups(ml);
  }
  /** A volume that is a limit or a sum: to the millilitre where it is in those. */
  private volume(ml: number): string {
    return this.inCups() ? this.cups(ml) : `${this.number(ml)} mL`;
  }
  private millilitres(ml: number): string {
    return `${this.number(roundKitchen(ml))} mL`;
  }
  private inCups(): boolean {
    return this.kitchen().units === 'cups';
  }
  /** The glass of the cook's own that stands for the cup in this kitchen. */
  private readonly ownCup = computed(() => {
    const { cupId, ownMeasures = [] } = this.kitchen();
    const own = ownMeasures.find((m) => m.id === cupId);
    return own ? { name: own.name, ml: ownMeasureMl(own) } : null;
  });
  /** "1½ cups" for a volume, "1½ my mug" where the kitchen has a cup of its own, spoons when it is little. */
  cups(ml: number): string {
    const own = this.ownCup();
    if (own && ml >= own.ml / 4 - 5) return `${showFraction(ml / own.ml)} ${own.name}`;
    const key = ml < units['cup-us'].size / 4 - 5 ? 'tbsp' : 'cup-us';
    const value = ml / units[key].size;
    const shown = showFraction(value);
    return `${shown} ${this.unit(key, value)}`;
  }
  /** The name of the kitchen's own cup where an amount is shown in it: what is measured by the cup is, a spoon stays a spoon. */
  cupFor({ value, unit }: Amount): string | null {
    const own = this.inCups() ? this.ownCup() : null;
    const { kind, size } = units[unit];
    return own && kind === 'volume' && value * size >= own.ml / 4 - 5 ? own.name : null;
  }
  /** An amount as it was given: "1½ cups", "to taste". */
  amount({ value, unit }: Amount): string {
    if (this.cupFor({ value, unit })) return this.cups(value * units[unit].size);
    const word = this.unit(unit, value);
    return unit === 'to-taste' ? word : `${showAmount(value, unit, this.locale())} ${word}`;
  }
  /** The word for a measure: "cup" up to one, "cups" beyond. */
  unit(unit: UnitId, value: number): string {
    return this.transloco.translate(`${value > 1.05 ? 'units-many' : 'unit'}.${unit}`);
  }
  /** What a food of the table is called in the language chosen; any other name is the cook's own. */
  food(name: string): string {
    const key = `food.${name}`;
    const isFood = key in this.transloco.getTranslation(this.catalogue()) || name.startsWith('own-');
    return isFood ? this.transloco.translate(key) : name;
  }
  /** What an ingredient is called, each row by itself. */
  ingredient(of: FoodOf): string {
    return this.food(nameOrFood(of));
  }
  /** What an ingredient is called where it is cooked, together with the other rows of its food. */
  namesOf(names: IngredientNames, id: string): string {
    return (names[id] ?? [id]).map((name) => this.food(name)).join(', ');
  }
  percent(share: number, digits = 0): string {
    return `${this.number(share * 100, digits)} %`;
  }
  minutes(min: number): string {
    const half = Math.round(min * 2) / 2;
    return min < 5 && half % 1 !== 0 ? showFraction(half) : this.number(Math.round(min));
  }
  /** 18:07, always 24 hours: a kitchen plans across the evening. */
  time(ms: number): string {
    return shownTime(ms, this.lang());
  }
  date(ms: number): string {
    return shownDay(ms, this.lang(), true);
  }
  /** A day of this year, short: 14 Nov. */
  day(ms: number): string {
    return shownDay(ms, this.lang(), false);
  }
  /** 2:28 or 1:05:00. */
  clock(ms: number): string {
    const s = Math.max(0, Math.round(ms / 1000));
    const two = (x: number): string => String(x).padStart(2, '0');
    const h = Math.floor(s / 3600);
    return h > 0 ? `${h}:${two(Math.floor(s / 60) % 60)}:${two(s % 60)}` : `${Math.floor(s / 60)}:${two(s % 60)}`;
  }
}
