import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import {
  ingredientNames,
  fields,
  firstSymptoms,
  foods,
  kitchenAt,
  Problem,
  ranged,
  rescue,
  symptoms,
  type Answers,
  type Cook,
  type Detour,
  type Lid,
  type Move,
  type MoveStep,
  type Symptom,
} from '@einkorn/core';
import type { ZodNumber } from 'zod';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { InputNumber } from 'primeng/inputnumber';
import { Select } from 'primeng/select';
import { SelectButton } from 'primeng/selectbutton';
import type { EntryMeasure } from '../i18n/entry';
import { Format } from '../i18n/format';
import { Bound } from '../ui/bound';

/** What was wrong in the words of the log, what is done about it, and what that does to the clock of the cook. */
export interface PutRight {
  kind: 'burn' | 'off-plan';
  text: string;
  doing: string;
  clock: Detour | null;
}

const all = Object.keys(symptoms) as Symptom[];
type Ask = keyof Answers;
interface NumberAsk {
  suffix: string;
  schema: ZodNumber;
  digits: number;
  measure?: EntryMeasure;
}
const numbers: Partial<Record<Ask, NumberAsk>> = {
  minutes: { suffix: ' min', schema: ranged(0, 180, 'min'), digits: 0 },
  coreC: { suffix: '', schema: fields.coreC, digits: 0, measure: 'temperature' },
  extraMl: { suffix: ' mL', schema: ranged(0, 5000, 'mL'), digits: 0 },
  saltPercent: { suffix: ' %', schema: ranged(0, 10, '%'), digits: 1 },
};

/** Something is wrong: which of a dozen things, at most three questions, then the move computed for this pot. */
@Component({
  selector: 'ek-rescue-dialog',
  imports: [Bound, TranslocoDirective, Button, Dialog, InputNumber, Select, SelectButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './rescue-dialog.html',
  styleUrl: './rescue-dialog.scss',
})
export class RescueDialog {
  readonly cook = input.required<Cook>();
  /** opened by the burn tap, or by the general one */
  readonly first = input<Symptom | null>(null);
  /** minutes since the lid locked, a guess for the questions that ask for it */
  readonly sinceLidMin = input(0);
  /** the lid that is on or was last */
  readonly lid = input<Lid>('heat-up');
  readonly putRight = output<PutRight>();
  readonly stopped = output();
  readonly closed = output();
  readonly fmt = inject(Format);
  private readonly transloco = inject(TranslocoService);
  readonly all = computed(() => (this.lid() === 'first-heat' ? firstSymptoms : all));
  readonly numbers = numbers;
  private readonly chosen = signal<Symptom | null | undefined>(undefined);
  readonly symptom = computed(() => (this.chosen() === undefined ? this.first() : (this.chosen() ?? null)));
  private readonly given = signal<Answers>({});
  readonly note = signal('');

  readonly asks = computed((): readonly Ask[] => {
    const s = this.symptom();
    return s ? symptoms[s].asks : [];
  });
  /** What was answered, with the clock's own guess where it has one. */
  readonly answers = computed((): Answers => ({
    ...(this.sinceLidMin() > 0 ? { minutes: Math.round(this.sinceLidMin()) } : {}),
    ...(this.cook().plan.meats[0] ? { ingredient: this.cook().plan.meats[0]!.ingredient } : {}),
    ...this.given(),
  }));
  readonly move = computed((): Move | null => {
    const s = this.symptom();
    const c = this.cook();
    if (!s) return null;
    try {
      const kitchen = kitchenAt(c.plan.pot);
      return rescue(s, { dish: c.dish, kitchen, plan: c.plan }, this.answers(), this.lid());
    } catch (e) {
      if (e instanceof Problem) return null;
      throw e;
    }
  });
  private readonly word = (key: string, p?: Record<string, unknown>): string => this.transloco.translate(key, p);
  readonly yesNo = computed(() => [
    { value: true, label: this.word('ask.yes') },
    { value: false, label: this.word('ask.no') },
  ]);
  readonly meats = computed(() =>
    this.cook().plan.meats.map((m) => ({ id: m.ingredient, label: this.fmt.namesOf(this.names(), m.ingredient) })),
  );
  readonly allFoods = computed(() =>
    foods.map((f) => ({ id: f.id, label: this.word(`food.${f.id}`) })).sort((a, b) => a.label.localeCompare(b.label)),
  );

  private readonly names = computed(() => ingredientNames(this.cook().dish.ingredients));
  choose(s: Symptom | null): void {
    this.chosen.set(s);
    this.given.set({});
  }
  numberOf(key: Ask): number | null {
    const given = this.answers()[key];
    return typeof given === 'number' ? given : null;
  }
  wordOf(key: Ask): string | null {
    const given = this.answers()[key];
    return typeof given === 'string' ? given : null;
  }
  answer(key: Ask, value: Answers[Ask]): void {
    this.given.update((a) => ({ ...a, [key]: value }));
  }
  params(x: MoveStep): Record<string, unknown> {
    const p = x.params;
    const named = (key: 'ingredient' | 'food'): Record<string, string> =>
      typeof p[key] === 'string' ? { [key]: this.fmt.namesOf(this.names(), p[key]) } : {};
    const band = typeof p['band'] === 'string' ? { band: this.word(`band.${p['band']}`) } : {};
    const ml = typeof p['ml'] === 'number' ? { ml: this.fmt.ml(p['ml']) } : {};
    const binder = typeof p['binder'] === 'string' ? { binder: this.word(`binder.${p['binder']}`) } : {};
    return { ...p, ...named('ingredient'), ...named('food'), ...band, ...ml, ...binder };
  }
  /** What the move does to the dish, where the sum says so. */
  effect(m: Move): string {
    const e = m.effect;
    if (typeof e['grainPoints'] === 'number' && e['grainPoints'] > 0)
      return this.word('rescue.effect-points', { points: this.fmt.counted('point', e['grainPoints'], 1) });
    if (typeof e['points'] === 'number')
      return this.word('rescue.effect-points', { points: this.fmt.counted('point', e['points'], 1) });
    if (typeof e['doneShare'] === 'number')
      return this.word('rescue.effect-done', { share: this.fmt.percent(e['doneShare']) });
    if (typeof e['gramsPerMin'] === 'number')
      return this.word('rescue.effect-simmer', { g: Math.round(e['gramsPerMin']) });
    return '';
  }
  applyKey(c: Detour): string {
    return c.holdMin === undefined ? 'rescue.apply' : c.holdMin === 0 ? 'rescue.apply-brief' : 'rescue.apply-again';
  }
  /** Minutes of what is asked by what went wrong. */
  askKey(a: Ask): string {
    if (a !== 'minutes') return `ask.${a}`;
    return this.symptom() === 'release-forgotten' ? 'ask.minutes-over' : 'ask.minutes-lid';
  }
  clockWords(c: Detour): Record<string, string> {
    return { minutes: this.fmt.minutes(c.minutes), hold: this.fmt.minutes(c.holdMin ?? 0) };
  }
  keep(clock: Detour | null): void {
    const s = this.symptom();
    const m = this.move();
    if (!s || !m) return;
    const doing = m.steps.map((x) => this.word(`move.${x.code}`, this.params(x))).join(' ');
    this.putRight.emit({
      kind: s === 'burn-warning' ? 'burn' : 'off-plan',
      text: `${this.word(`symptom.${s}`)}: ${doing}`.slice(0, 500),
      doing,
      clock,
    });
  }
}
