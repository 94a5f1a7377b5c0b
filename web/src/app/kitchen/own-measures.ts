import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { binders, ownMeasureG, ownMeasureMl, type Kitchen, type OwnMeasure } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { Format } from '../i18n/format';
import { KitchenActions, kitchenFeature } from '../state/kitchen';
import { Choice } from '../ui/choice';
import { OwnMeasureDialog } from './own-measure-dialog';

/** What may stand in a kitchen where a line says only "salt" or "stock", and what binds its sauces; the first where nothing is said. */
const choices = {
  salt: ['salt', 'salt-sea', 'salt-flaky'],
  broth: ['broth', 'broth-low-salt'],
  binder: binders,
} as const;
type Usual = NonNullable<Kitchen['usual']>;

/** What each glass is told to hold beside water, so that it can be checked on the scale. */
const shownWith = 'rice-long';

/** What a line means in this kitchen: glasses of the cook's own, weighed, one of which may be the cup of all amounts, and which salt and stock stand there. */
@Component({
  selector: 'ek-own-measures',
  imports: [TranslocoDirective, Button, Choice, OwnMeasureDialog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './kitchen-page.scss',
  styles: `
    .note {
      margin-top: var(--space-3);
    }
  `,
  template: `
    <section class="panel" *transloco="let t">
      <h2>{{ t('own-measure.list') }}</h2>
      <ul class="own">
        @for (m of measures(); track m.id) {
          <li>
            <strong>{{ m.name }}</strong>
            <span class="quiet">{{ t('own-measure.holds', { ml: holds(m), g: fmt.grams(ofRice(m)) }) }}</span>
            <p-button
              size="large"
              severity="secondary"
              [label]="t('own-measure.edit')"
              [ariaLabel]="t('own-measure.edit-one', { name: m.name })"
              (onClick)="editing.set(m)"
            />
            <p-button
              size="large"
              severity="secondary"
              [label]="t('own-measure.remove')"
              [ariaLabel]="t('own-measure.remove-one', { name: m.name })"
              (onClick)="remove(m.id)"
            />
          </li>
        } @empty {
          <li class="quiet">{{ t('own-measure.none') }}</li>
        }
      </ul>
      @if (measures().length > 0) {
        <ek-choice
          [label]="t('own-measure.cup')"
          [options]="cups(t('own-measure.us-cup'))"
          [value]="cup()"
          (valueChange)="useAsCup($event)"
        />
      }
      <p-button size="large" severity="secondary" [label]="t('own-measure.add')" (onClick)="editing.set('new')" />
      <p class="quiet note">{{ t('own-measure.note') }}</p>
      @for (u of usual(); track u.kind) {
        <ek-choice
          [label]="t('own-measure.usual-' + u.kind)"
          [options]="u.options"
          [value]="u.value"
          (valueChange)="take(u.kind, $event)"
        />
      }
      @if (editing(); as measure) {
        <ek-own-measure-dialog [measure]="measure === 'new' ? null : measure" (closed)="editing.set(null)" />
      }
    </section>
  `,
})
export class OwnMeasures {
  private readonly store = inject(Store);
  readonly fmt = inject(Format);
  private readonly transloco = inject(TranslocoService);
  private readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly measures = computed(() => this.kitchen().ownMeasures ?? []);
  /** '' is the cup of the table */
  readonly cup = computed(() => this.measures().find((m) => m.id === this.kitchen().cupId)?.id ?? '');
  /** which salt and which stock stand here */
  readonly usual = computed(() => {
    this.fmt.locale();
    return (['salt', 'broth', 'binder'] as const).map((kind) => ({
      kind,
      value: this.kitchen().usual?.[kind] ?? choices[kind][0],
      options: choices[kind].map((value) => ({ value, label: this.nameOf(kind, value) })),
    }));
  });
  readonly editing = signal<OwnMeasure | 'new' | null>(null);

  private nameOf(kind: keyof Usual, value: string): string {
    return kind === 'binder' ? this.transloco.translate(`binder.${value}`) : this.fmt.food(value);
  }
  holds(m: OwnMeasure): string {
    return this.fmt.number(ownMeasureMl(m));
  }
  ofRice(m: OwnMeasure): number {
    return ownMeasureG(m, shownWith);
  }
  cups(table: string): { value: string; label: string }[] {
    return [{ value: '', label: table }, ...this.measures().map((m) => ({ value: m.id, label: m.name }))];
  }
  useAsCup(cupId: string): void {
    // Who chooses a cup wants to see it.
    this.store.dispatch(KitchenActions.change({ change: { cupId, ...(cupId === '' ? {} : { units: 'cups' }) } }));
  }
  take(kind: keyof Usual, food: string): void {
    this.store.dispatch(KitchenActions.change({ change: { usual: { ...this.kitchen().usual, [kind]: food } } }));
  }
  remove(id: string): void {
    const ownMeasures = this.measures().filter((m) => m.id !== id);
    this.store.dispatch(
      KitchenActions.change({ change: { ownMeasures, ...(this.cup() === id ? { cupId: '' } : {}) } }),
    );
  }
}
