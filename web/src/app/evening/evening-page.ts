import {
  ChangeDetectionStrategy,
  Component,
  computed,
  DestroyRef,
  effect,
  inject,
  input,
  untracked,
} from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { evening, eveningCalendar, potsOffered, type Clash, type Step } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button, ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Select } from 'primeng/select';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { timeOfDayMs } from '../i18n/time-of-day';
import { HouseClock } from '../state/clock';
import { kitchenFeature } from '../state/kitchen';
import { Bound } from '../ui/bound';
import { patternOf } from '../ui/patterns';
import { PotNames } from '../ui/pot-name';
import { saveFile } from '../ui/save-file';
import { stepParams } from '../ui/step-text';
import { cookOf, dishesOf, mostCourses, ofTonight, planKey, type Course, type Known } from './courses';
import { EveningActions, eveningFeature } from './evening.slice';

const clock = /^([01]?\d|2[0-3]):([0-5]\d)$/;
/** The evening moves by no less than this, ms: nobody reads seconds. */
const beatMs = 15_000;

type Translate = (key: string, p?: Record<string, unknown>) => string;

/** /evening: two or three dishes on one table, on the stove or still to begin: when each begins, what the hands do, what clashes. */
@Component({
  selector: 'ek-evening-page',
  imports: [SaidPipe, Bound, RouterLink, TranslocoDirective, Button, ButtonDirective, InputText, Select],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './evening-page.html',
  styleUrl: './evening-page.scss',
})
export class EveningPage {
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly potNames = inject(PotNames);
  private readonly transloco = inject(TranslocoService);
  readonly fmt = inject(Format);
  private readonly ticking = inject(HouseClock).ticking();
  private readonly now = computed(() => Math.floor(this.ticking() / beatMs) * beatMs);
  private readonly stored = this.store.selectSignal(eveningFeature.selectDishes);
  private readonly loaded = this.store.selectSignal(eveningFeature.selectLoaded);
  private readonly plans = this.store.selectSignal(eveningFeature.selectPlans);
  private readonly cooking = this.store.selectSignal(eveningFeature.selectCooking);
  private readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  /** /evening?dish=ID puts this dish among the others */
  readonly dish = input<string>();
  readonly courses = this.store.selectSignal(eveningFeature.selectCourses);
  readonly serveAt = this.store.selectSignal(eveningFeature.selectServeAt);
  readonly failure = this.store.selectSignal(eveningFeature.selectFailure);
  readonly most = mostCourses;
  readonly dishes = computed(() => this.stored().map((d) => ({ id: d.id, label: d.dish.title })));
  readonly allPots = computed(() => {
    this.fmt.locale();
    return potsOffered(this.kitchen()).map(({ id }) => ({ id, label: this.potNames.of(id) }));
  });
  private readonly askedMs = computed(() => timeOfDayMs(this.serveAt(), this.now()));
  private readonly known = computed((): Known[] => {
    const onStove = ofTonight(this.cooking(), this.now());
    return this.courses().map((c) => {
      const cook = cookOf(c, onStove);
      const { plan = null, problem = null } = this.plans()[planKey(c)] ?? {};
      const dish = cook?.dish ?? this.stored().find((d) => d.id === c.dishId)?.dish;
      return { dish, plan: cook?.plan ?? plan, problem: cook ? null : problem, cook };
    });
  });
  private readonly ready = computed(() => dishesOf(this.known(), this.now()));
  readonly evening = computed(() =>
    this.ready().length > 0 ? evening(this.ready(), this.askedMs(), this.now()) : null,
  );
  readonly rows = computed(() =>
    this.known().map(({ problem, cook }, i) => ({
      problem,
      cook,
      placed: this.evening()?.dishes.find((d) => d.id === String(i)) ?? null,
    })),
  );
  readonly bands = computed(() => {
    const e = this.evening();
    if (!e) return [];
    const span = Math.max(1, e.serveMs - e.startMs);
    return e.dishes.map(({ id, steps }) => ({
      id,
      name: this.nameOf(id),
      parts: steps.map((s) => ({
        left: (100 * (s.startMs - e.startMs)) / span,
        width: (100 * (s.endMs - s.startMs)) / span,
        fill: patternOf(s.step.stage),
      })),
    }));
  });

  constructor() {
    this.store.dispatch(EveningActions.load());
    inject(DestroyRef).onDestroy(() => this.store.dispatch(EveningActions.leave()));
    effect(() => {
      const id = this.dish();
      if (id === undefined || !this.loaded()) return;
      untracked(() => this.takeIn(id));
    });
  }

  nameOf(id: string): string {
    return this.known()[Number(id)]?.dish?.title ?? '';
  }
  potOf(c: Course): string {
    return this.potNames.of(c.potId);
  }
  private set(courses: Course[]): void {
    this.store.dispatch(EveningActions.courses({ courses }));
  }
  /** The address is left without the dish: opened again, it does not come back by itself. */
  private takeIn(dishId: string): void {
    const there = this.courses();
    if (this.stored().some((d) => d.id === dishId) && !there.some((c) => c.dishId === dishId))
      this.set([...there.slice(0, mostCourses - 1), { dishId, potId: this.freePot() }]);
    void this.router.navigate(['/evening'], { replaceUrl: true });
  }
  /** The kitchen's pot, or the next one where that is taken. */
  private freePot(): string {
    const own = this.kitchen().potId;
    const taken = new Set(this.courses().map((c) => c.potId));
    return taken.has(own) ? (potsOffered(this.kitchen()).find((p) => !taken.has(p.id))?.id ?? own) : own;
  }
  add(): void {
    const taken = new Set(this.courses().map((c) => c.dishId));
    const free = this.stored().find((d) => !taken.has(d.id)) ?? this.stored()[0];
    if (free) this.set([...this.courses(), { dishId: free.id, potId: this.freePot() }]);
  }
  change(i: number, change: Partial<Course>): void {
    this.set(this.courses().map((c, k) => (k === i ? { ...c, ...change } : c)));
  }
  drop(i: number): void {
    this.set(this.courses().filter((_, k) => k !== i));
  }
  setTime(time: string): void {
    if (clock.test(time)) this.store.dispatch(EveningActions.serveAt({ time: time.padStart(5, '0') }));
  }
  start(course: Course): void {
    this.store.dispatch(EveningActions.start({ course, nowMs: this.ticking() }));
  }
  /** In the words of the stove: "fry turkey thigh". */
  task(id: string, step: Step, t: Translate): string {
    const { dish, plan } = this.known()[Number(id)] ?? {};
    return dish && plan ? t(`step.${step.text}.next`, stepParams(step, { dish, plan }, this.fmt, t)) : '';
  }
  clashText(c: Clash, t: Translate): string {
    return t(`evening.clash-${c.kind}`, {
      from: this.fmt.time(c.fromMs),
      to: this.fmt.time(c.toMs),
      a: this.nameOf(c.ids[0]),
      b: this.nameOf(c.ids[1]),
    });
  }
  /** The evening as a file that every calendar opens. */
  toCalendar(): void {
    const e = this.evening();
    if (!e) return;
    const t: Translate = (key, p) => this.transloco.translate(key, p);
    const step = (id: string, stepId: string): string =>
      this.task(id, e.dishes.find((d) => d.id === id)!.steps.find((s) => s.step.id === stepId)!.step, t);
    const text = eveningCalendar(
      e,
      { nowMs: this.now(), uid: `evening-${new Date(e.serveMs).toISOString().slice(0, 10)}` },
      {
        title: e.dishes.map((d) => this.nameOf(d.id)).join(', '),
        step,
        dish: (id) => this.nameOf(id),
        caution: t('app.safety'),
      },
    );
    saveFile(t('evening.title'), 'ics', text);
  }
  print(): void {
    window.print();
  }
}
