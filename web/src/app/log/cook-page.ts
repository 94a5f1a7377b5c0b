import { ChangeDetectionStrategy, Component, computed, effect, inject, input, signal } from '@angular/core';
import { RouterLink } from '@angular/router';
import { actualOf, askedAfter, curveFromTaps, forecast, type RatingKey, type CookEvent } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Textarea } from 'primeng/textarea';
import { eventFigure, eventNote } from '../i18n/event-words';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { kitchenFeature } from '../state/kitchen';
import { Chart, type Figure } from '../ui/chart';
import { patternOf } from '../ui/patterns';
import { saveCook } from '../ui/save-file';
import { programName } from '../ui/plan-rows';
import { RatingScale } from '../ui/rating-scale';
import { cookFigure } from './cook-figure';
import { LogActions, logFeature } from './log.slice';
import { LeftOpen } from './left-open';
import { LookBack } from './look-back';
import { NextTimePanel } from './next-time';
import { PotNamePipe } from '../ui/pot-name';

const tints: Record<RatingKey, string> = {
  grain: 'var(--turmeric-tint)',
  meat: 'var(--plum-tint)',
  bottom: 'var(--paprika-tint)',
  sauce: 'var(--steam-tint)',
  salt: 'var(--leaf-tint)',
};
const kinds: Record<RatingKey, string> = {
  grain: 'grain',
  meat: 'meat',
  bottom: 'heat',
  sauce: 'natural',
  salt: 'other',
};

/** One cook: as planned and as it was, how it came out on fixed scales, in the cook's own words. */
@Component({
  selector: 'ek-cook-page',
  imports: [
    SaidPipe,
    PotNamePipe,
    RouterLink,
    TranslocoDirective,
    Textarea,
    Chart,
    LeftOpen,
    LookBack,
    NextTimePanel,
    RatingScale,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './cook-page.html',
  styleUrl: './cook-page.scss',
})
export class CookPage {
  readonly id = input.required<string>();
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  readonly fmt = inject(Format);
  private readonly all = this.store.selectSignal(logFeature.selectEntities);
  readonly failure = this.store.selectSignal(logFeature.selectFailure);
  readonly theme = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly cook = computed(() => this.all()[this.id()] ?? null);
  private readonly debriefs = this.store.selectSignal(logFeature.selectDebriefs);
  readonly lookBack = computed(() => this.debriefs()[this.id()] ?? null);
  private readonly nextTimes = this.store.selectSignal(logFeature.selectNextTimes);
  readonly nextTime = computed(() => this.nextTimes()[this.id()]);
  readonly actual = computed(() => (this.cook() ? actualOf(this.cook()!) : null));
  readonly guess = computed(() => forecast(this.cook()!.plan));
  readonly note = signal<string | null>(null);
  readonly tints = tints;
  readonly keys = computed(() => {
    const c = this.cook();
    return c ? askedAfter(c) : [];
  });
  readonly plannedTotal = computed(() => this.cook()?.plan.steps.reduce((m, s) => m + s.minutes, 0) ?? 0);
  readonly plannedServe = computed(() => (this.cook()?.startedMs ?? 0) + this.plannedTotal() * 60_000);
  readonly happened = computed(
    () => this.cook()?.events.filter((e) => !['done', 'gauge-read', 'timer-stopped'].includes(e.kind)) ?? [],
  );
  figure = (e: CookEvent): string => eventFigure(e, this.fmt);
  noteOf = eventNote;
  pattern = (k: RatingKey): string => patternOf(kinds[k]);
  private readonly words = (key: string, p?: Record<string, unknown>): string => this.transloco.translate(key, p);

  readonly drawing = computed((): (() => Figure) => {
    const c = this.cook()!;
    const was = curveFromTaps(c);
    const degrees = this.fmt.degrees();
    const minutes = (min: number): string => this.fmt.minutes(min);
    return () => cookFigure(c.plan, was, this.actual()!, { t: this.words, degrees, minutes });
  });

  constructor() {
    effect(() => this.store.dispatch(LogActions.loadOne({ id: this.id() })));
  }

  program(t: (key: string, p?: Record<string, unknown>) => string): string {
    return programName(this.cook()!.plan, t, this.fmt);
  }
  rate(key: RatingKey, value: number): void {
    const c = this.cook();
    if (c)
      this.store.dispatch(
        LogActions.rate({
          id: c.id,
          outcome: { ...(c.outcome ?? { ratings: {} }), ratings: { ...c.outcome?.ratings, [key]: value } },
          had: c.outcome,
        }),
      );
  }
  save(): void {
    const c = this.cook();
    if (c) saveCook(c);
  }
  keepNote(): void {
    const c = this.cook();
    const note = this.note();
    if (!c || note === null || note === (c.outcome?.note ?? '')) return;
    this.store.dispatch(
      LogActions.rate({ id: c.id, outcome: { ...(c.outcome ?? { ratings: {} }), note }, had: c.outcome }),
    );
  }
}
