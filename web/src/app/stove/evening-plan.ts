import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { evening, potsOffered, type Clash, type EveningTask, type Plan } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Select } from 'primeng/select';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { HouseClock } from '../state/clock';
import { kitchenFeature } from '../state/kitchen';
import { patternOf } from '../ui/patterns';
import { stepParams } from '../ui/step-text';
import { EveningActions, eveningFeature, planKey, type Course } from './evening.slice';
import { PotNames } from '../ui/pot-name';
import { Bound } from '../ui/bound';
import { timeOfDayMs } from '../i18n/time-of-day';

const most = 3;
const clock = /^([01]?\d|2[0-3]):([0-5]\d)$/;

/** Two or three dishes on one table: when each begins, what the one pair of hands does when, and what clashes. */
@Component({
  selector: 'ek-evening-plan',
  imports: [SaidPipe, Bound, TranslocoDirective, Button, InputText, Select],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './evening-plan.html',
  styleUrl: './evening-plan.scss',
})
export class EveningPlan {
  private readonly store = inject(Store);
  private readonly potNames = inject(PotNames);
  readonly fmt = inject(Format);
  private readonly now = inject(HouseClock).ticking();
  private readonly stored = this.store.selectSignal(eveningFeature.selectDishes);
  private readonly plans = this.store.selectSignal(eveningFeature.selectPlans);
  private readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly courses = this.store.selectSignal(eveningFeature.selectCourses);
  readonly serveAt = this.store.selectSignal(eveningFeature.selectServeAt);
  readonly failure = this.store.selectSignal(eveningFeature.selectFailure);
  readonly most = most;
  readonly dishes = computed(() => this.stored().map((d) => ({ id: d.id, label: d.dish.title })));
  readonly allPots = computed(() => {
    this.fmt.locale();
    return potsOffered(this.kitchen()).map(({ id }) => ({ id, label: this.potNames.of(id) }));
  });
  readonly serveMs = computed(() =>
    clock.test(this.serveAt()) ? timeOfDayMs(this.serveAt(), this.now()) : Math.floor(this.now() / 60_000) * 60_000,
  );
  private readonly ready = computed(() =>
    this.courses().flatMap((c, i) => {
      const plan = this.plans()[planKey(c)]?.plan;
      return plan ? [{ id: String(i), plan }] : [];
    }),
  );
  readonly plan = computed(() => (this.ready().length > 0 ? evening(this.ready(), this.serveMs()) : null));
  readonly rows = computed(() =>
    this.courses().map((c, i) => ({
      problem: this.plans()[planKey(c)]?.problem ?? null,
      placed: this.plan()?.dishes.find((d) => d.id === String(i)) ?? null,
    })),
  );
  readonly bands = computed(() => {
    const e = this.plan();
    if (!e) return [];
    const span = Math.max(1, e.serveMs - e.startMs);
    return this.ready().map(({ id, plan }: { id: string; plan: Plan }) => {
      const from = e.dishes.find((d) => d.id === id)!.startMs;
      return {
        id,
        name: this.nameOf(id),
        parts: plan.timeline.map((s) => ({
          left: (100 * (from + s.startMin * 60_000 - e.startMs)) / span,
          width: (100 * (s.endMin - s.startMin) * 60_000) / span,
          fill: patternOf(s.stage),
        })),
      };
    });
  });

  constructor() {
    this.store.dispatch(EveningActions.load());
  }

  nameOf(id: string): string {
    const c = this.courses()[Number(id)];
    return this.stored().find((d) => d.id === c?.dishId)?.dish.title ?? '';
  }
  private set(courses: Course[]): void {
    this.store.dispatch(EveningActions.courses({ courses }));
  }
  add(): void {
    const taken = new Set(this.courses().map((c) => c.dishId));
    const free = this.stored().find((d) => !taken.has(d.id)) ?? this.stored()[0];
    const potsTaken = new Set(this.courses().map((c) => c.potId));
    const own = this.kitchen().potId;
    const pot = potsTaken.has(own) ? (potsOffered(this.kitchen()).find((p) => !potsTaken.has(p.id))?.id ?? own) : own;
    if (free) this.set([...this.courses(), { dishId: free.id, potId: pot }]);
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
    this.store.dispatch(EveningActions.start({ course, nowMs: this.now() }));
  }
  /** In the words of the stove: "fry turkey thigh". */
  task(x: EveningTask, t: (key: string, p?: Record<string, unknown>) => string): string {
    const course = this.courses()[Number(x.id)];
    const dish = this.stored().find((d) => d.id === course?.dishId)?.dish;
    const plan = course ? this.plans()[planKey(course)]?.plan : null;
    return dish && plan ? t(`step.${x.step.text}.next`, stepParams(x.step, { dish, plan }, this.fmt, t)) : '';
  }
  clashText(c: Clash, t: (key: string, p?: Record<string, unknown>) => string): string {
    return t(`evening.clash-${c.kind}`, {
      from: this.fmt.time(c.fromMs),
      to: this.fmt.time(c.toMs),
      a: this.nameOf(c.ids[0]),
      b: this.nameOf(c.ids[1]),
    });
  }
}
