import { ChangeDetectionStrategy, Component, computed, DestroyRef, inject } from '@angular/core';
import { BandKeyPipe } from '../ui/band-key.pipe';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Format } from '../i18n/format';
import { BenchActions, benchFeature } from './bench.slice';

/** A thousand cooks of this plan with everything uncertain in it: how often each outcome, and what to measure. */
@Component({
  selector: 'ek-chances',
  imports: [BandKeyPipe, TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <section [attr.aria-label]="t('chances.title')">
        @if (plan()?.program?.chance; as c) {
          <p class="odds">
            <b class="mono">{{ fmt.number(c.of100) }}</b>
            <span>
              {{ t('chances.of-100') }}
              <span class="quiet">{{
                t('chances.parts', {
                  texture: fmt.number(c.texture),
                  pieces: fmt.number(c.pieces),
                  base: fmt.number(c.base),
                  release: fmt.number(c.release),
                })
              }}</span>
            </span>
          </p>
        }
        <h3>{{ t('chances.title') }}</h3>
        @if (found(); as u) {
          <ul>
            @for (b of bands(); track b.band) {
              <li>
                <span>{{ t('band.' + (b.band | bandKey: plan()?.family)) }}</span>
                <span class="bar" aria-hidden="true"><i [style.width.%]="b.chance * 100"></i></span>
                <b class="mono">{{ fmt.percent(b.chance) }}</b>
              </li>
            }
            @for (m of u.meats; track m.ingredient) {
              <li class="meat">
                <span>{{ t('chances.meat', { food: name(m.ingredient) }) }}</span>
                <span class="bar" aria-hidden="true"><i [style.width.%]="m.chance * 100"></i></span>
                <b class="mono">{{ fmt.percent(m.chance) }}</b>
              </li>
            }
          </ul>
          @if (mover(); as x) {
            <p class="quiet">
              {{
                t('chances.mover', {
                  what: t('chances.input-' + x.input, { food: x.subject ? name(x.subject) : '' }),
                  share: fmt.percent(x.share),
                })
              }}
            </p>
          }
        } @else {
          <p class="quiet" role="status">{{ t('chances.cooking') }}</p>
        }
      </section>
    </ng-container>
  `,
  styles: `
    .odds {
      display: flex;
      gap: var(--space-6);
      align-items: center;
      margin: 0 0 var(--space-3);
      line-height: 1.2;
    }
    .odds > b {
      font-size: var(--size-figure);
      color: var(--rim);
    }
    .odds .quiet {
      display: block;
      font-size: var(--size-note);
    }
    h3 {
      margin: 0 0 var(--space-2);
      font-size: var(--size-body);
    }
    ul {
      list-style: none;
      margin: 0;
      padding: 0;
      display: grid;
      gap: var(--space-1);
    }
    li {
      display: grid;
      grid-template-columns: minmax(74px, auto) minmax(30px, 1fr) 54px;
      line-height: 1.15;
      gap: var(--space-4);
      align-items: center;
      font-size: var(--size-text);
    }
    .bar {
      height: 13px;
      border: 1.2px solid var(--ink);
      border-radius: 3px;
      background: var(--well);
      overflow: hidden;
    }
    .bar i {
      display: block;
      height: 100%;
      background: var(--turmeric-fill);
      border-right: 1.2px solid var(--ink);
    }
    .meat .bar i {
      background: var(--plum);
    }
    b {
      text-align: right;
      white-space: nowrap;
    }
    p {
      font-size: var(--size-note);
      margin: var(--space-3) 0 0;
    }
  `,
})
export class Chances {
  private readonly store = inject(Store);
  readonly fmt = inject(Format);
  readonly plan = this.store.selectSignal(benchFeature.selectPlan);
  private readonly names = this.store.selectSignal(benchFeature.selectNames);
  private readonly asides = this.store.selectSignal(benchFeature.selectAsides);
  readonly found = computed(() => this.asides().chances);
  readonly bands = computed(() => this.found()?.bands.filter((b) => b.chance >= 0.01) ?? []);
  readonly mover = computed(() => this.found()?.movers.find((m) => m.share >= 0.05) ?? null);

  constructor() {
    this.store.dispatch(BenchActions.asideWanted({ key: 'chances', wanted: true }));
    inject(DestroyRef).onDestroy(() =>
      this.store.dispatch(BenchActions.asideWanted({ key: 'chances', wanted: false })),
    );
  }
  name(id: string): string {
    return this.fmt.namesOf(this.names(), id);
  }
}
