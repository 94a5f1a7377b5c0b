import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { leastThinMl, potProfile, usualBowl, type IngredientNames, type Plan, type StackLayer } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Format } from '../i18n/format';
import { patternOf } from './patterns';

interface Drawn {
  layer: StackLayer;
  names: readonly string[];
  x: number;
  w: number;
  y: number;
  h: number;
  inBowl: boolean;
  fill: string;
  blobs: { x: number; y: number; w: number; h: number; r: number }[];
  label: { grams: number; x: number; y: number; dotX: number; dotY: number } | null;
}

const view = { w: 376, h: 318, left: 27, bottom: 264, maxW: 330, maxH: 218 };
/** Thin layers and spoonfuls are drawn but not labelled. */
const labelFromG = 25;
/** The litre marks stand left of the labels; a letter of a name and of an amount, the narrowest amount, and a leader with its gap, in units of the drawing. */
const leftOfLabels = 34;
const perLetter = 8.2;
const perDigit = 7.2;
const leastAmount = 46;
const gapOfLabels = 14;
/** Fewer labels than these would tell too little; few labels are not spread over the whole pot. */
const leastLabels = 2;
const leastColumns = 230;
const mostLabels = 4;
/** A shorter pull is a slip of the finger. */
const liftPx = 18;

/** The pot in cross-section, to scale from its litres and diameter: layers by pattern, liquid line, limits, heat below. */
@Component({
  selector: 'ek-pot-section',
  imports: [TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './pot-section.html',
  styleUrl: './pot-section.scss',
})
export class PotSection {
  readonly plan = input.required<Plan>();
  /** what each ingredient is called */
  readonly names = input.required<IngredientNames>();
  /** can layers be lifted here: by the pointer, or with the arrow keys on the one in focus */
  readonly movable = input(false);
  readonly moved = output<{ ingredient: string; by: 1 | -1 }>();
  readonly held = signal<{ ingredient: string; fromY: number; dy: number } | null>(null);
  readonly over = signal<Drawn | null>(null);
  readonly fmt = inject(Format);
  private readonly transloco = inject(TranslocoService);
  readonly view = view;

  private readonly innerMm = computed(() => {
    const { litres, diameterMm } = this.plan().pot;
    return (litres * 1e6) / ((Math.PI / 4) * diameterMm ** 2);
  });
  readonly scale = computed(() => Math.min(view.maxW / this.plan().pot.diameterMm, view.maxH / this.innerMm()));
  readonly w = computed(() => this.plan().pot.diameterMm * this.scale());
  readonly x0 = computed(() => (view.w - this.w()) / 2);
  readonly cx = computed(() => view.w / 2);
  readonly top = computed(() => view.bottom - this.innerMm() * this.scale());
  key(e: Event, d: Drawn, by: 1 | -1): void {
    if (!this.movable()) return;
    e.preventDefault();
    this.moved.emit({ ingredient: d.layer.ingredient, by });
  }
  grab(e: PointerEvent, d: Drawn): void {
    if (!this.movable() || e.button !== 0) return;
    (e.currentTarget as Element).setPointerCapture(e.pointerId);
    this.held.set({ ingredient: d.layer.ingredient, fromY: e.clientY, dy: 0 });
  }
  drag(e: PointerEvent): void {
    const h = this.held();
    if (h) this.held.set({ ...h, dy: e.clientY - h.fromY });
  }
  /** Let go well above or below where it lay: one place up or down. */
  drop(e: PointerEvent): void {
    const h = this.held();
    this.held.set(null);
    const dy = h ? e.clientY - h.fromY : 0;
    if (h && Math.abs(dy) >= liftPx) this.moved.emit({ ingredient: h.ingredient, by: dy < 0 ? 1 : -1 });
  }
  yOf = (mm: number): number => view.bottom - mm * this.scale();
  readonly yLimit = computed(() => this.yOf(this.innerMm() * this.plan().pot.limitFraction));
  readonly yFoam = computed(() => {
    const { foamFraction } = this.plan().pot;
    return foamFraction === null ? null : this.yOf(this.innerMm() * foamFraction);
  });
  readonly minimumShort = computed(() => this.plan().pot.thinLiquidMl < leastThinMl(this.plan().pot.minimumLiquidMl));

  readonly wall = computed(() => {
    const x = this.x0() - 5;
    const w = this.w() + 10;
    return `M${x} ${this.top()}V${view.bottom - 8}q0 13 13 13H${x + w - 13}q13 0 13 -13V${this.top()}`;
  });
  readonly lid = computed(() => {
    const x = this.x0() - 9;
    const w = this.w() + 18;
    return `M${x} ${this.top() - 5}Q${x + w / 2} ${this.top() - 36} ${x + w} ${this.top() - 5}`;
  });
  readonly coils = computed(() => Array.from({ length: 8 }, (_, i) => this.x0() + ((i + 0.5) * this.w()) / 8));

  readonly marks = computed(() => {
    const perLitre = this.innerMm() / this.plan().pot.litres;
    const count = Math.floor(this.plan().pot.litres);
    const foodTop = this.foodTop();
    return Array.from({ length: count }, (_, i) => {
      const y = this.yOf((i + 1) * perLitre);
      return { l: i + 1, y, last: i === count - 1, clear: y < foodTop - 4 && y > this.top() + 8 };
    });
  });

  private readonly foodTop = computed(() => {
    const p = this.plan();
    return this.yOf(Math.max(p.pot.liquidLevelMm, ...p.stack.map((l) => l.toMm)));
  });

  readonly drawn = computed((): Drawn[] => {
    const p = this.plan();
    const layers = [...p.stack].sort(
      (a, b) => (a.kind === 'liquid' ? 1 : 0) - (b.kind === 'liquid' ? 1 : 0) || a.position - b.position,
    );
    // Of what lies in several layers the topmost carries the name, and the grams of all.
    const whole = (l: StackLayer): number =>
      layers.reduce((sum, x) => sum + (x.ingredient === l.ingredient ? x.grams : 0), 0);
    const named = layers.filter((l, i) => !layers.some((x, j) => j > i && x.ingredient === l.ingredient));
    const heaviest = named
      .filter((l) => l.grams >= labelFromG)
      .sort((a, b) => b.grams - a.grams)
      .slice(0, mostLabels);
    const wanted = this.fitting(heaviest)
      // The broth reads best between the layer above it and the pieces in it.
      .sort((a, b) => middle(b) - middle(a));
    const limitClear = this.foodTop() - this.yLimit() > 44;
    const labelY = limitClear ? this.foodTop() - 13 : Math.max(this.top() + 42, this.yLimit() - 34);
    const starts = this.columns(wanted);
    return layers.map((layer, i) => {
      const at = wanted.indexOf(layer);
      const y = this.yOf(layer.toMm);
      const h = Math.max(2, (layer.toMm - layer.fromMm) * this.scale());
      const inBowl = layer.note === 'bowl-over-water';
      const column = starts[at] ?? 0;
      // A leader to what is in the bowl ends inside the bowl.
      const half = this.bowlW() / 2 - 10;
      const dotX = inBowl ? Math.min(this.cx() + half, Math.max(this.cx() - half, column)) : column;
      const names = this.names()[layer.ingredient] ?? [layer.ingredient];
      return {
        layer,
        names,
        x: inBowl ? this.cx() - this.bowlW() / 2 : this.x0(),
        w: inBowl ? this.bowlW() : this.w(),
        y,
        h,
        inBowl,
        fill: patternOf(layer.kind),
        blobs: layer.kind === 'meat' || layer.note === 'on-the-rack-in-steam' ? this.pieces(y, h, i) : [],
        label:
          at < 0
            ? null
            : {
                grams: whole(layer),
                x: column + 7,
                y: labelY,
                dotX,
                dotY:
                  layer.kind === 'liquid' && !inBowl ? this.yOf(Math.min(6, layer.toMm / 2)) : y + Math.min(h / 2, 14),
              },
      };
    });
  });

  /** The inner bowl as wide as it is, never wider than the pot. */
  private readonly bowlW = computed(() => {
    const { diameterMm } = potProfile(this.plan().pot).bowl ?? usualBowl;
    return Math.min(this.w() - 20, diameterMm * this.scale());
  });
  readonly rackY = computed(() => {
    const on = this.plan().stack.filter((l) => l.note === 'on-the-rack-in-steam');
    return on.length > 0 ? this.yOf(Math.min(...on.map((l) => l.fromMm))) + 2 : null;
  });
  readonly bowl = computed(() => {
    const inside = this.plan().stack.filter((l) => l.note === 'bowl-over-water');
    if (inside.length === 0) return null;
    const x = this.cx() - this.bowlW() / 2;
    const top = this.yOf(Math.max(...inside.map((l) => l.toMm))) - 10;
    const bottom = this.yOf(Math.min(...inside.map((l) => l.fromMm)));
    return `M${x - 3} ${top}V${bottom - 6}q0 8 8 8H${x + this.bowlW() - 5}q8 0 8 -8V${top}`;
  });

  /** Pieces of meat side by side, a little uneven, the same each time. */
  private pieces(y: number, h: number, seed: number): Drawn['blobs'] {
    const count = Math.max(4, Math.round(this.w() / 36));
    const step = this.w() / count;
    return Array.from({ length: count }, (_, i) => {
      const wobble = Math.abs(Math.sin((i + 1) * 12.9898 + seed * 78.233)) % 1;
      const w = step * (0.82 + 0.14 * wobble);
      return {
        x: this.x0() + i * step + (step - w) / 2,
        y: y + wobble * Math.min(3, h * 0.15),
        w,
        h: h * (0.94 - 0.1 * wobble),
        r: Math.min(9, h / 2.4),
      };
    });
  }

  /** As many of the heaviest layers as have room for their names side by side. */
  private fitting(heaviest: readonly StackLayer[]): StackLayer[] {
    const room = this.w() - leftOfLabels;
    const enough = heaviest.findIndex((_, i) => sum(this.widths(heaviest.slice(0, i + 1))) > room);
    return heaviest.slice(0, enough < 0 ? heaviest.length : Math.max(leastLabels, enough));
  }

  /** Where each label's leader stands: columns as wide as their words need. */
  private columns(wanted: readonly StackLayer[]): number[] {
    const widths = this.widths(wanted);
    const stretch = (this.w() - leftOfLabels) / Math.max(leastColumns, sum(widths));
    let x = this.x0() + leftOfLabels - 4;
    return widths.map((width) => {
      const here = x;
      x += width * stretch;
      return here;
    });
  }

  amountOf(layer: StackLayer, grams: number): string {
    return layer.kind === 'liquid' ? this.fmt.ml(layer.litres * 1000) : this.fmt.grams(grams);
  }

  /** Width of each label with its leader, in units of the drawing. */
  private widths(layers: readonly StackLayer[]): number[] {
    return layers.map((l) => {
      const name = this.short(this.names()[l.ingredient] ?? [l.ingredient]);
      // What is shown of a layer is its own share; of what lies in several only the drawing knows the whole.
      const amount = perDigit * this.amountOf(l, l.grams).length;
      return Math.max(leastAmount, perLetter * lettersOf(name), amount) + gapOfLabels;
    });
  }

  /** The short name of the catalogue where the whole one is long; the layer itself tells the rest. */
  short(names: readonly string[]): string {
    const brief: Partial<Record<string, string>> = this.transloco.translateObject('food-short');
    const name = names.map((n) => brief[n] ?? this.fmt.food(n)).join(', ');
    return name.length > 12 ? `${name.slice(0, 11)}…` : name;
  }
}

const sum = (xs: readonly number[]): number => xs.reduce((a, b) => a + b, 0);

/** Letters of a name in widths of an ordinary one, as the reading face draws them. */
const lettersOf = (name: string): number =>
  sum(Array.from(name, (c) => (/[iljtfr .]/.test(c) ? 0.57 : /[mw]/i.test(c) ? 1.45 : 1)));

const middle = (l: StackLayer): number => (l.kind === 'liquid' ? 0 : (l.fromMm + l.toMm) / 2);
