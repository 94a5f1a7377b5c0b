import { ChangeDetectionStrategy, Component, computed, effect, inject } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { Plan } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Format } from '../i18n/format';
import { kitchenFeature } from '../state/kitchen';
import { MiniPot } from '../ui/mini-pot';
import { ShelfActions, shelfFeature } from './shelf.slice';

/** The Shelf: dishes as dense rows, each with its pot in section and its verdicts in this kitchen. */
@Component({
  selector: 'ek-shelf-page',
  imports: [RouterLink, TranslocoDirective, Button, InputText, MiniPot],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page" *transloco="let t">
      <div class="head">
        <h1>{{ t('shelf.title') }}</h1>
        <p class="quiet">
          {{ t('shelf.kitchen', { pot: t('pot-name.' + kitchen().potId), m: fmt.number(kitchen().altitudeM) }) }}
        </p>
        <input
          pInputText
          type="search"
          [placeholder]="t('shelf.search')"
          [attr.aria-label]="t('shelf.search')"
          [value]="search()"
          (input)="find($any($event.target).value)"
        />
      </div>
      @if (removed(); as r) {
        <div class="panel note" role="status">
          {{ t('shelf.removed', { title: r.dish.title }) }}
          <p-button size="small" severity="secondary" [label]="t('bench.undo')" (onClick)="restore()" />
        </div>
      }
      @if (failure(); as f) {
        <div class="panel note stop-text" role="alert">{{ f.offline ? t('error.offline') : f.message }}</div>
      }
      @if (!loaded()) {
        <p class="quiet" role="status">{{ t('shelf.loading') }}</p>
      } @else if (rows().length === 0) {
        <section class="panel empty">
          <h2>{{ t(search() ? 'shelf.none-found' : 'shelf.empty') }}</h2>
          <p>{{ t(search() ? 'shelf.none-found-hint' : 'shelf.empty-hint') }}</p>
        </section>
      } @else {
        <ul class="panel">
          @for (r of rows(); track r.id) {
            <li>
              <a class="open" [routerLink]="['/bench', r.id, 'water']">
                @if (r.plan; as p) {
                  <ek-mini-pot class="pot" [plan]="p" />
                } @else {
                  <span class="pot blank"></span>
                }
                <span class="what">
                  <strong>{{ r.dish.title }}</strong>
                  <span class="quiet"
                    >{{ t('family.' + r.dish.family) }}, {{ t('shelf.serves', { n: r.dish.serves }) }}</span
                  >
                </span>
                @if (r.plan; as p) {
                  <span class="cell"
                    ><b>{{ fmt.ml(p.liquid.addMl) }}</b
                    ><i class="quiet">{{ program(t, p) }}</i></span
                  >
                  <span class="cell"
                    ><b>{{ fmt.number(total(p)) }} min</b><i class="quiet">{{ t('shelf.in-all') }}</i></span
                  >
                  <span class="verdicts">
                    @if (p.grain ?? p.pasta; as g) {
                      <span class="chip grain"
                        ><svg width="14" height="14" aria-hidden="true">
                          <rect width="14" height="14" rx="3" fill="url(#p-grain)" stroke="var(--ink)" />
                        </svg>
                        {{ t('band.' + g.band) }}</span
                      >
                    }
                    @for (x of p.plants; track x.ingredient) {
                      <span class="chip" [class.bad]="x.verdict === 'hard'"
                        ><svg width="14" height="14" aria-hidden="true">
                          <rect width="14" height="14" rx="3" fill="url(#p-leaf)" stroke="var(--ink)" /></svg
                        >{{ t('plant.' + x.verdict) }}</span
                      >
                    }
                    @if (p.meats[0]; as m) {
                      <span class="chip" [class.bad]="!m.ok"
                        ><svg width="14" height="14" aria-hidden="true">
                          <rect width="14" height="14" rx="3" fill="url(#p-meat)" stroke="var(--ink)" />
                        </svg>
                        {{ t('meat.' + m.texture) }} {{ fmt.celsius(m.coreC) }}</span
                      >
                    }
                    <span class="chip" [class.bad]="p.scorch.level === 'high'"
                      ><svg width="14" height="14" aria-hidden="true">
                        <rect width="14" height="14" rx="3" fill="url(#p-heat)" stroke="var(--ink)" />
                      </svg>
                      {{ t('verdict.scorch') }} {{ t('scorch.' + p.scorch.level) }}</span
                    >
                  </span>
                } @else if (r.refused) {
                  <span class="stop-text refused">{{ r.refused }}</span>
                } @else {
                  <span class="quiet refused">{{ t('bench.thinking') }}</span>
                }
              </a>
              <p-button
                severity="secondary"
                size="small"
                [label]="t('shelf.duplicate')"
                [ariaLabel]="t('shelf.duplicate-one', { title: r.dish.title })"
                (onClick)="duplicate(r.id, r.dish.title)"
              />
              <p-button
                severity="secondary"
                size="small"
                [label]="t('shelf.remove')"
                [ariaLabel]="t('shelf.remove-one', { title: r.dish.title })"
                (onClick)="remove(r.id)"
              />
            </li>
          }
        </ul>
      }
      <p class="quiet safety">{{ t('app.safety') }}</p>
    </div>
  `,
  styleUrl: './shelf-page.css',
})
export class ShelfPage {
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  readonly fmt = inject(Format);
  readonly rows = this.store.selectSignal(shelfFeature.selectRows);
  readonly loaded = this.store.selectSignal(shelfFeature.selectLoaded);
  readonly failure = this.store.selectSignal(shelfFeature.selectFailure);
  readonly search = this.store.selectSignal(shelfFeature.selectSearch);
  readonly removed = this.store.selectSignal(shelfFeature.selectRemoved);
  readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  private readonly kitchenLoaded = this.store.selectSignal(kitchenFeature.selectLoaded);
  private readonly ready = computed(() => this.kitchenLoaded());

  constructor() {
    // The verdicts depend on the kitchen, so the shelf asks once that is known.
    effect(() => {
      if (this.ready()) this.store.dispatch(ShelfActions.load());
    });
  }

  total(p: Plan): number {
    return Math.round(p.timeline.at(-1)?.endMin ?? 0);
  }
  program(t: (key: string, p?: Record<string, unknown>) => string, p: Plan): string {
    const r = p.program.release;
    const hold = this.fmt.minutes(p.program.holdMin);
    return r.kind === 'quick'
      ? t('pressure.name-quick', { hold })
      : r.kind === 'natural'
        ? t('pressure.name-natural', { hold })
        : t('pressure.name-timed', { hold, natural: this.fmt.minutes(r.naturalMin ?? 0) });
  }
  find(text: string): void {
    this.store.dispatch(ShelfActions.search({ text }));
  }
  duplicate(id: string, title: string): void {
    this.store.dispatch(
      ShelfActions.duplicate({ id, title: this.transloco.translate('shelf.copy-of', { title }).slice(0, 120) }),
    );
  }
  remove(id: string): void {
    this.store.dispatch(ShelfActions.remove({ id }));
  }
  restore(): void {
    this.store.dispatch(ShelfActions.restore());
  }
}
