import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { Router, RouterLink } from '@angular/router';
import { fields, kitchenSchema, potsOffered, type Kitchen } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { InputNumber } from 'primeng/inputnumber';
import { Select } from 'primeng/select';
import { Api, failureOf, type Failure } from '../api/client';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { KitchenActions, kitchenFeature } from '../state/kitchen';
import { Bound } from '../ui/bound';
import { Choice } from '../ui/choice';
import { PotNames } from '../ui/pot-name';
import { ShelfActions } from './shelf.slice';

/** Two ways of measuring, each in all four kinds. */
const measures = {
  metric: { units: 'metric', weights: 'grams', temperature: 'celsius', lengths: 'metric' },
  us: { units: 'cups', weights: 'ounces', temperature: 'fahrenheit', lengths: 'inches' },
} as const satisfies Record<string, Partial<Kitchen>>;

/** In a folder that never held anything: four questions, the demo or not, and on to the first recipe. */
@Component({
  selector: 'ek-first-run',
  imports: [SaidPipe, Bound, Button, Choice, InputNumber, RouterLink, Select, TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <section class="panel" aria-labelledby="first-run" *transloco="let t">
      <h2 id="first-run">{{ t('first-run.title') }}</h2>
      <p>{{ t('first-run.intro') }}</p>
      <div class="row">
        <span id="first-pot">{{ t('first-run.pot') }}</span>
        <p-select
          [options]="pots()"
          optionLabel="label"
          optionValue="id"
          [ekBound]="kitchen().potId"
          (ekBoundChange)="change({ potId: $event })"
          ariaLabelledBy="first-pot"
          appendTo="body"
        />
        <a routerLink="/kitchen">{{ t('first-run.own-pot') }}</a>
      </div>
      <div class="row">
        <span id="first-height">{{ t('first-run.altitude') }}</span>
        <p-inputnumber
          [ekBound]="kitchen().altitudeM"
          (ekBoundChange)="altitude($event)"
          [ekSchema]="fields.altitudeM"
          ekMeasure="height"
          [suffix]="fmt.entry('height').suffix"
          ariaLabelledBy="first-height"
          [inputStyle]="{ width: '8rem' }"
        />
        <span class="quiet">{{ t('first-run.altitude-note') }}</span>
      </div>
      <ek-choice
        [label]="t('first-run.measures')"
        [options]="ways()"
        [value]="way()"
        (valueChange)="change(measures[$event])"
      />
      <ek-choice
        [label]="t('kitchen.language')"
        [options]="languages()"
        [value]="kitchen().language"
        (valueChange)="change({ language: $event })"
      />
      <div class="row">
        <p-button [label]="t('first-run.begin')" [disabled]="busy()" (onClick)="begin(true)" />
        <p-button
          severity="secondary"
          [label]="t('first-run.begin-empty')"
          [disabled]="busy()"
          (onClick)="begin(false)"
        />
      </div>
      <p class="quiet">{{ t('first-run.note') }}</p>
      <p class="quiet">{{ t('app.safety') }}</p>
      @if (failure(); as f) {
        <p class="stop-text" role="alert">{{ f | said }}</p>
      }
    </section>
  `,
  styles: `
    .panel {
      padding: var(--space-6) var(--space-8);
      margin-bottom: var(--space-6);
      border-width: 3px;
    }
    .row {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-3) var(--space-8);
      align-items: center;
      padding: var(--space-3) 0;
    }
    .row > span:first-child {
      min-width: 9.5rem;
    }
    .row .quiet {
      flex: 1 1 16rem;
    }
  `,
})
export class FirstRun {
  private readonly store = inject(Store);
  private readonly api = inject(Api);
  private readonly router = inject(Router);
  private readonly transloco = inject(TranslocoService);
  private readonly potNames = inject(PotNames);
  readonly fmt = inject(Format);
  readonly fields = fields;
  readonly measures = measures;
  readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly busy = signal(false);
  readonly failure = signal<Failure | null>(null);
  readonly way = computed((): keyof typeof measures => (this.kitchen().units === 'metric' ? 'metric' : 'us'));
  readonly ways = computed((): { value: keyof typeof measures; label: string }[] =>
    this.labelled(['metric', 'us'] as const, 'first-run'),
  );
  readonly languages = computed(() => this.labelled(kitchenSchema.shape.language.unwrap().options, 'language'));
  readonly pots = computed(() => {
    this.fmt.locale();
    return potsOffered(this.kitchen()).map(({ id }) => ({ id, label: this.potNames.of(id) }));
  });

  private labelled<V extends string>(values: readonly V[], section: string): { value: V; label: string }[] {
    this.fmt.locale();
    return values.map((value) => ({ value, label: this.transloco.translate(`${section}.${value}`) }));
  }
  change(change: Partial<Kitchen>): void {
    this.store.dispatch(KitchenActions.change({ change }));
  }
  altitude(m: number | null): void {
    if (m !== null) this.change({ altitudeM: m });
  }
  begin(demo: boolean): void {
    this.busy.set(true);
    this.failure.set(null);
    this.api.begin(demo).subscribe({
      next: (kitchen) => {
        this.store.dispatch(KitchenActions.loaded({ kitchen }));
        if (!demo) this.store.dispatch(ShelfActions.load());
        void this.router.navigate(['/recipe']);
      },
      error: (e: unknown) => {
        this.busy.set(false);
        this.failure.set(failureOf(e));
      },
    });
  }
}
