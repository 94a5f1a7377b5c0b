import { ChangeDetectionStrategy, Component, computed, effect, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Dialog } from 'primeng/dialog';
import { filter, map } from 'rxjs';
import { benchFeature } from './bench/bench.slice';
import { Format } from './i18n/format';
import { WallClock } from './state/clock';
import { KitchenActions, kitchenFeature } from './state/kitchen';
import { Patterns } from './ui/patterns';
import { Speckles } from './ui/speckles';

/** The shell: speckled bar with the five places, shortcuts, theme; every place draws itself below. */
@Component({
  selector: 'ek-root',
  imports: [RouterOutlet, RouterLink, RouterLinkActive, TranslocoDirective, Dialog, Patterns, Speckles],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
  template: `
    <ng-container *transloco="let t">
      <a class="skip" href="#main" (click)="skip($event)">{{ t('app.skip') }}</a>
      <ek-patterns />
      <header class="no-print">
        <ek-speckles />
        <a class="mark" routerLink="/shelf" [attr.aria-label]="t('app.home')">
          <svg viewBox="0 0 24 32" width="24" height="32" aria-hidden="true">
            <g fill="#e2a72e">
              <ellipse cx="12" cy="6" rx="2.8" ry="4.8" />
              <ellipse cx="7" cy="12" rx="2.6" ry="4.6" transform="rotate(-28 7 12)" />
              <ellipse cx="17" cy="12" rx="2.6" ry="4.6" transform="rotate(28 17 12)" />
              <ellipse cx="7" cy="19" rx="2.6" ry="4.6" transform="rotate(-28 7 19)" />
              <ellipse cx="17" cy="19" rx="2.6" ry="4.6" transform="rotate(28 17 19)" />
            </g>
            <path d="M12 11v20" stroke="#e2a72e" stroke-width="1.7" stroke-linecap="round" />
          </svg>
          <span>Einkorn</span>
        </a>
        <nav [attr.aria-label]="t('app.places')">
          @for (p of places; track p) {
            <a [routerLink]="'/' + p" routerLinkActive="here" ariaCurrentWhenActive="page">{{ t('place.' + p) }}</a>
          }
        </nav>
        <span class="room"></span>
        @if (place() === 'bench' && serveAt(); as at) {
          <span class="serve"
            >{{ t('app.serve') }} <b class="mono">{{ at }}</b></span
          >
        } @else if (place() === 'stove') {
          <span class="serve"
            >{{ t('app.now') }} <b class="mono">{{ fmt.time(now()) }}</b></span
          >
        }
        <button
          type="button"
          class="units"
          (click)="switchUnits()"
          [attr.aria-label]="t('app.switch-units', { other: t('units.' + otherUnits()) })"
        >
          {{ t('units.' + kitchen().units) }}
        </button>
        <button type="button" class="key" (click)="help.set(true)" [attr.aria-label]="t('app.help')">?</button>
      </header>
      <main id="main" tabindex="-1"><router-outlet /></main>
      <p-dialog
        [visible]="help()"
        (visibleChange)="help.set($event)"
        [modal]="true"
        [header]="t('help.title')"
        [dismissableMask]="true"
        [style]="{ width: 'min(34rem, 94vw)' }"
      >
        <dl class="keys">
          @for (k of shortcuts; track k[0]) {
            <dt>
              <kbd>{{ k[0] }}</kbd>
            </dt>
            <dd>{{ t('help.' + k[1]) }}</dd>
          }
        </dl>
        <p class="quiet">{{ t('app.safety') }}</p>
      </p-dialog>
    </ng-container>
  `,
  styles: `
    :host {
      display: block;
      min-height: 100%;
    }
    header {
      position: relative;
      display: flex;
      align-items: center;
      gap: 12px;
      height: 48px;
      padding: 0 16px 0 12px;
      background: var(--bar);
      color: var(--nav);
      overflow: hidden;
    }
    header > * {
      position: relative;
    }
    header > ek-speckles {
      position: absolute;
      inset: 0;
    }
    .mark {
      display: flex;
      gap: 6px;
      align-items: center;
      font: 700 25px var(--title);
      color: #fbfdfc;
      text-decoration: none;
      margin-right: 34px;
    }
    nav {
      display: flex;
      align-self: stretch;
      gap: 6px;
    }
    nav a {
      display: grid;
      align-items: center;
      padding: 0 14px;
      font-size: 18px;
      color: var(--nav);
      text-decoration: none;
      border-bottom: 4px solid transparent;
      border-top: 4px solid transparent;
    }
    nav a.here {
      color: #fbfdfc;
      font-weight: 700;
      border-bottom-color: #e2a72e;
    }
    .room {
      flex: 1;
    }
    .serve {
      font-size: 17px;
      white-space: nowrap;
    }
    .serve b {
      font-size: 19px;
      color: #fbfdfc;
    }
    .units {
      font-size: 16px;
      height: 32px;
      padding: 0 10px;
      border: 0;
      background: transparent;
      color: var(--nav);
      cursor: pointer;
    }
    .key {
      width: 32px;
      height: 32px;
      border-radius: 6px;
      border: 1.5px solid var(--nav);
      background: transparent;
      color: var(--nav);
      font-weight: 700;
      cursor: pointer;
    }
    main:focus {
      outline: none;
    }
    .skip {
      position: absolute;
      left: -999px;
      z-index: 5;
      padding: 10px;
      background: var(--enamel);
    }
    .skip:focus {
      left: 8px;
      top: 8px;
    }
    .keys {
      display: grid;
      grid-template-columns: auto 1fr;
      gap: 8px 16px;
      margin: 0 0 12px;
    }
    .keys dd {
      margin: 0;
    }
    kbd {
      font: 700 15px var(--mono);
      border: 1.5px solid var(--rim);
      border-radius: 5px;
      padding: 1px 8px;
    }
    @media (max-width: 760px) {
      header {
        height: auto;
        flex-wrap: wrap;
        gap: 0 6px;
        padding: 4px 8px 0;
      }
      .mark {
        margin-right: auto;
        font-size: 22px;
      }
      .units,
      .room {
        display: none;
      }
      nav {
        order: 9;
        width: 100%;
        justify-content: space-between;
        gap: 0;
      }
      nav a {
        padding: 8px 6px 6px;
        font-size: 17px;
        border-top: 0;
      }
    }
  `,
})
export class App {
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly fmt = inject(Format);
  readonly help = signal(false);
  private readonly dish = this.store.selectSignal(benchFeature.selectDish);
  readonly serveAt = computed(() => this.dish()?.serveAt ?? (this.dish() ? '19:00' : null));
  private readonly ticking = inject(WallClock).ticking();
  /** to the minute, so that the bar is drawn once a minute */
  readonly now = computed(() => Math.floor(this.ticking() / 60_000) * 60_000);
  readonly otherUnits = computed(() => (this.kitchen().units === 'cups' ? 'metric' : 'cups'));
  readonly places = ['shelf', 'bench', 'stove', 'log', 'kitchen'] as const;
  readonly shortcuts = [
    ['Ctrl Z', 'undo'],
    ['Ctrl Y', 'redo'],
    ['[ ]', 'serve'],
    ['Space', 'done'],
    ['1 … 6', 'sheet'],
    ['?', 'help'],
  ] as const;
  private readonly url = toSignal(
    this.router.events.pipe(
      filter((e) => e instanceof NavigationEnd),
      map((e) => e.urlAfterRedirects),
    ),
  );
  readonly place = computed(() => this.url()?.split('/')[1]);

  constructor() {
    this.store.dispatch(KitchenActions.load());
    effect(() => {
      const theme = this.kitchen().theme;
      const dark = theme === 'dark' || (theme === 'auto' && matchMedia('(prefers-color-scheme: dark)').matches);
      document.documentElement.dataset['theme'] = dark ? 'dark' : 'light';
    });
  }

  key(e: KeyboardEvent): void {
    const typing = e.target instanceof HTMLInputElement || e.target instanceof HTMLTextAreaElement;
    if (e.key === '?' && !typing) this.help.set(true);
  }

  switchUnits(): void {
    this.store.dispatch(KitchenActions.change({ change: { units: this.otherUnits() } }));
  }

  skip(e: Event): void {
    e.preventDefault();
    document.getElementById('main')?.focus();
  }
}
