import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { takeUntilDestroyed, toSignal } from '@angular/core/rxjs-interop';
import { ActivatedRoute, Router, RouterLink } from '@angular/router';
import { Problem, type Ingredient, type Issue } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Actions, ofType } from '@ngrx/effects';
import { Store } from '@ngrx/store';
import { Button, ButtonDirective } from 'primeng/button';
import { catchError, map, of, switchMap, take } from 'rxjs';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { ShelfActions, shelfFeature } from './shelf.slice';
import { kitchenFeature } from '../state/kitchen';
import { planInShort, planRows } from '../ui/plan-rows';
import { prepWords } from '../ui/prep-words';
import { Planner } from '../workers/planner';
import { unpacked } from './dish-link';

type Translate = (key: string, p?: Record<string, unknown>) => string;

/** A dish that came in a link: what it is, what it would be in this pot, and whether it is kept. */
@Component({
  selector: 'ek-shared-page',
  imports: [SaidPipe, RouterLink, TranslocoDirective, Button, ButtonDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page" *transloco="let t">
      @if (dish(); as d) {
        <section class="panel">
          <p class="quiet">{{ t('share.came') }}</p>
          <h1>{{ d.title }}</h1>
          <p class="quiet">{{ t('family-plain.' + d.family) }}, {{ t('shelf.serves', { n: d.serves }) }}</p>
          <ul>
            @for (i of d.ingredients; track i.id) {
              <li>
                <b>{{ amount(i) }}</b> {{ fmt.ingredient(i) }}
                <span class="quiet">{{ prep(t, i) }}</span>
              </li>
            }
          </ul>
          @if (d.notes) {
            <p class="notes">{{ d.notes }}</p>
          }
          @for (x of leftOut(); track $index) {
            <p class="quiet">{{ t('shelf.left-out') }} {{ x.path }}: {{ x.message | said }}</p>
          }
          <p role="status">
            @if (plan(); as p) {
              <strong>{{ t('share.in-your-pot') }}</strong> {{ inShort(t) }}
            } @else if (refused(); as r) {
              {{ r }}
            } @else {
              {{ t('bench.thinking') }}
            }
          </p>
          @if (failure(); as f) {
            <p class="stop-text" role="alert">{{ f | said }}</p>
          }
          <span class="row">
            <p-button [label]="t('share.keep')" [disabled]="keeping()" (onClick)="keep()" />
            <a pButton severity="secondary" routerLink="/shelf">{{ t('share.not-now') }}</a>
          </span>
        </section>
      } @else {
        <section class="panel" role="alert">
          <h1>{{ t('share.broken') }}</h1>
          <p>{{ read().message | said }}</p>
          <a pButton severity="secondary" routerLink="/shelf">{{ t('shelf.to-shelf') }}</a>
        </section>
      }
      <p class="quiet safety">{{ t('app.safety') }}</p>
    </div>
  `,
  styles: `
    .panel {
      display: grid;
      gap: var(--space-5);
      padding: var(--space-8);
      max-width: 46rem;
    }
    ul {
      margin: 0;
      padding: 0 0 0 var(--space-8);
      font-size: var(--size-body);
    }
    .notes {
      white-space: pre-line;
    }
    .row {
      display: flex;
      gap: var(--space-5);
    }
  `,
})
export class SharedPage {
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly planner = inject(Planner);
  readonly fmt = inject(Format);
  private readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly failure = this.store.selectSignal(shelfFeature.selectFailure);
  private readonly part = toSignal(inject(ActivatedRoute).fragment, { initialValue: null });
  readonly read = computed(() => {
    try {
      return { ...unpacked(this.part() ?? ''), message: '' };
    } catch (e) {
      return { dish: null, leftOut: [] as Issue[], message: e instanceof Problem ? e.message : String(e) };
    }
  });
  readonly dish = computed(() => this.read().dish);
  readonly leftOut = computed(() => this.read().leftOut);
  readonly keeping = signal(false);
  readonly refused = signal('');
  readonly plan = toSignal(
    this.store.select(kitchenFeature.selectKitchen).pipe(
      switchMap((kitchen) => {
        const dish = this.dish();
        return dish ? this.planner.planLater(dish, kitchen) : of(null);
      }),
      catchError((e: unknown) => {
        this.refused.set(e instanceof Error ? e.message : String(e));
        return of(null);
      }),
    ),
    { initialValue: null },
  );

  constructor() {
    // Kept, it opens on the Bench like any other.
    inject(Actions)
      .pipe(
        ofType(ShelfActions.added),
        take(1),
        map(({ stored }) => stored.id),
        takeUntilDestroyed(),
      )
      .subscribe((id) => void this.router.navigate(['/bench', id, 'water']));
  }

  amount(i: Ingredient): string {
    const { value, unit } = i.amount;
    return `${this.fmt.number(value, 1)} ${this.fmt.unit(unit, value)}`;
  }
  prep(t: Translate, i: Ingredient): string {
    return i.prep ? prepWords(i.prep, t, this.fmt).join(', ') : '';
  }
  inShort(t: Translate): string {
    const p = this.plan();
    return p ? planInShort(planRows([p], t, this.fmt), 0) : '';
  }
  keep(): void {
    const dish = this.dish();
    if (!dish) return;
    this.keeping.set(true);
    this.store.dispatch(ShelfActions.add({ dish }));
  }
}
