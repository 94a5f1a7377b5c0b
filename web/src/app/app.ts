import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, untracked } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { NavigationEnd, Router, RouterLink, RouterLinkActive, RouterOutlet } from '@angular/router';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Dialog } from 'primeng/dialog';
import { filter, map } from 'rxjs';
import { benchFeature } from './bench/bench.slice';
import { Format } from './i18n/format';
import { languageOf, speak } from './i18n/language';
import { HouseClock } from './state/clock';
import { KitchenActions, kitchenFeature } from './state/kitchen';
import { AsItWas } from './ui/as-it-was';
import { ClockMoved } from './ui/clock-moved';
import { Patterns } from './ui/patterns';
import { NewerBuild } from './ui/newer-build';
import { Speckles } from './ui/speckles';
import { UnsentChanges } from './ui/unsent-changes';

/** The shell: speckled bar with the five places, shortcuts, theme; every place draws itself below. */
@Component({
  selector: 'ek-root',
  imports: [
    RouterOutlet,
    RouterLink,
    RouterLinkActive,
    TranslocoDirective,
    AsItWas,
    ClockMoved,
    Dialog,
    NewerBuild,
    Patterns,
    Speckles,
    UnsentChanges,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  host: { '(document:keydown)': 'key($event)' },
  templateUrl: './app.html',
  styleUrl: './app.scss',
})
export class App {
  private readonly store = inject(Store);
  private readonly router = inject(Router);
  private readonly transloco = inject(TranslocoService);
  readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly fmt = inject(Format);
  readonly help = signal(false);
  private readonly dish = this.store.selectSignal(benchFeature.selectDish);
  readonly serveAt = computed(() => this.dish()?.serveAt ?? (this.dish() ? '19:00' : null));
  private readonly ticking = inject(HouseClock).ticking();
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
    // The sentences on the screen hold figures: in other units they are said anew, as in another language.
    effect(() => {
      this.fmt.shown();
      untracked(() => this.transloco.setActiveLang(this.transloco.getActiveLang()));
    });
    effect(() => {
      const language = languageOf(this.kitchen());
      untracked(() => void speak(this.transloco, language));
    });
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
