import { ChangeDetectionStrategy, Component, computed, effect, inject, signal, viewChild } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { importDish, Problem, worstMeat, type Dish, type Issue, type Plan } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import type { MenuItem } from 'primeng/api';
import { Button, ButtonDirective } from 'primeng/button';
import { InputText } from 'primeng/inputtext';
import { Menu } from 'primeng/menu';
import { Select } from 'primeng/select';
import { Format } from '../i18n/format';
import { kitchenFeature } from '../state/kitchen';
import { MiniPot } from '../ui/mini-pot';
import { CompareDialog } from './compare-dialog';
import { saveFile } from './save-file';
import { ShelfActions, shelfFeature, type ShelfFilter } from './shelf.slice';
import { VaryDialog } from './vary-dialog';

/** The Shelf: dishes as dense rows, each with its pot in section and its verdicts in this kitchen. */
@Component({
  selector: 'ek-shelf-page',
  imports: [
    FormsModule,
    RouterLink,
    TranslocoDirective,
    Button,
    ButtonDirective,
    InputText,
    Menu,
    Select,
    MiniPot,
    CompareDialog,
    VaryDialog,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page" *transloco="let t">
      <div class="head">
        <h1>{{ t(archived() ? 'shelf.archive' : 'shelf.title') }}</h1>
        <p class="quiet">
          {{ t('shelf.kitchen', { pot: t('pot-name.' + kitchen().potId), m: fmt.number(kitchen().altitudeM) }) }}
        </p>
        <span class="tools">
          <a pButton routerLink="/recipe">{{ t('shelf.new') }}</a>
          <input #file type="file" accept=".json,application/json" hidden (change)="bring(file)" />
          <p-button severity="secondary" [label]="t('shelf.import')" (onClick)="file.click()" />
          <p-button
            severity="secondary"
            [label]="t(archived() ? 'shelf.to-shelf' : 'shelf.to-archive')"
            (onClick)="showArchived(!archived())"
          />
        </span>
      </div>
      <div class="filters" role="search">
        <input
          pInputText
          type="search"
          [placeholder]="t('shelf.search')"
          [attr.aria-label]="t('shelf.search')"
          [value]="filter().text"
          #search
          (input)="narrow({ text: search.value })"
        />
        <p-select
          [options]="familyChoices()"
          optionLabel="label"
          optionValue="id"
          [ngModel]="filter().family"
          (ngModelChange)="narrow({ family: $event })"
          [ariaLabel]="t('shelf.by-family')"
          appendTo="body"
        />
        <p-select
          [options]="starchChoices()"
          optionLabel="label"
          optionValue="id"
          [ngModel]="filter().starch"
          (ngModelChange)="narrow({ starch: $event })"
          [ariaLabel]="t('shelf.by-starch')"
          appendTo="body"
        />
        <p-select
          [options]="timeChoices()"
          optionLabel="label"
          optionValue="id"
          [ngModel]="filter().mostMin"
          (ngModelChange)="narrow({ mostMin: $event })"
          [ariaLabel]="t('shelf.by-time')"
          appendTo="body"
        />
        @if (filtered()) {
          <p-button severity="secondary" [label]="t('shelf.all')" (onClick)="widen()" />
        }
        <span class="quiet count" role="status">{{ t('shelf.count', { n: rows().length }) }}</span>
      </div>
      @if (report(); as r) {
        <div class="panel note" role="status" data-report>
          <span>
            <strong>{{ t(r.bad ? 'shelf.not-imported' : 'shelf.imported', { title: r.title }) }}</strong>
            {{ r.message }}
            @if (r.leftOut.length > 0) {
              {{ t('shelf.left-out') }}
              <span class="issues">
                @for (i of r.leftOut; track $index) {
                  <span
                    ><code>{{ i.path }}</code> {{ i.message }}</span
                  >
                }
              </span>
            }
          </span>
          <p-button size="small" severity="secondary" [label]="t('shelf.understood')" (onClick)="report.set(null)" />
        </div>
      }
      @if (removed(); as r) {
        <div class="panel note" role="status">
          {{ t(archived() ? 'shelf.back' : 'shelf.removed', { title: r.dish.title }) }}
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
          <h2>{{ t(filtered() ? 'shelf.none-found' : archived() ? 'shelf.archive-empty' : 'shelf.empty') }}</h2>
          <p>{{ t(filtered() ? 'shelf.none-found-hint' : 'shelf.empty-hint') }}</p>
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
                    @if (worst(p); as m) {
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
                [label]="t(archived() ? 'shelf.put-back' : 'shelf.remove')"
                [ariaLabel]="t(archived() ? 'shelf.put-back-one' : 'shelf.remove-one', { title: r.dish.title })"
                (onClick)="remove(r.id)"
              />
              <p-button
                severity="secondary"
                size="small"
                [label]="t('shelf.more')"
                [ariaLabel]="t('shelf.more-one', { title: r.dish.title })"
                aria-haspopup="menu"
                (onClick)="more($event, r.id)"
              />
            </li>
          }
        </ul>
      }
      <p-menu #menu [model]="actions()" [popup]="true" appendTo="body" />
      @if (varying(); as v) {
        <ek-vary-dialog [dish]="v.dish" [plan]="v.plan" (closed)="varying.set(null)" />
      }
      @if (comparing(); as id) {
        <ek-compare-dialog [first]="id" [all]="comparable()" (closed)="comparing.set(null)" />
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
  readonly filter = this.store.selectSignal(shelfFeature.selectFilter);
  readonly archived = this.store.selectSignal(shelfFeature.selectArchived);
  readonly removed = this.store.selectSignal(shelfFeature.selectRemoved);
  readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  private readonly choices = this.store.selectSignal(shelfFeature.selectChoices);
  private readonly ready = this.store.selectSignal(kitchenFeature.selectLoaded);
  private readonly menu = viewChild.required<Menu>('menu');
  /** the row whose menu is open */
  private readonly at = signal<string | null>(null);
  readonly varying = signal<{ dish: Dish; plan: Plan | null } | null>(null);
  readonly comparing = signal<string | null>(null);
  readonly report = signal<{ title: string; bad: boolean; message: string; leftOut: Issue[] } | null>(null);

  readonly filtered = computed(() => {
    const f = this.filter();
    return f.text !== '' || f.family !== null || f.starch !== null || f.mostMin !== null;
  });
  readonly familyChoices = computed(() => [
    { id: null, label: this.word('shelf.any-family') },
    ...this.choices().families.map((id) => ({ id, label: this.word(`family.${id}`) })),
  ]);
  readonly starchChoices = computed(() => [
    { id: null, label: this.word('shelf.any-starch') },
    ...this.choices().starches.map((id) => ({ id, label: this.word(`food.${id}`) })),
  ]);
  readonly timeChoices = computed(() => [
    { id: null, label: this.word('shelf.any-time') },
    ...[45, 60, 75, 90].map((id) => ({ id, label: this.transloco.translate('shelf.within', { min: id }) })),
  ]);
  readonly comparable = computed(() =>
    this.rows().flatMap((r) => (r.plan ? [{ id: r.id, title: r.dish.title, plan: r.plan }] : [])),
  );
  readonly actions = computed((): MenuItem[] => {
    const row = this.rows().find((r) => r.id === this.at());
    if (!row) return [];
    return [
      { label: this.word('shelf.duplicate'), command: () => this.duplicate(row.id, row.dish.title) },
      { label: this.word('shelf.vary'), command: () => this.varying.set({ dish: row.dish, plan: row.plan }) },
      { label: this.word('shelf.compare'), disabled: !row.plan, command: () => this.comparing.set(row.id) },
      { label: this.word('shelf.export'), command: () => saveDish(row.dish) },
      {
        label: this.word('shelf.export-text'),
        disabled: !row.plan,
        command: () => void exports().then((x) => x.saveText(row.dish, row.plan!)),
      },
      {
        label: this.word('shelf.export-data'),
        disabled: !row.plan,
        command: () => void exports().then((x) => x.saveData(row.dish, row.plan!)),
      },
    ];
  });

  constructor() {
    // The verdicts depend on the kitchen, so the shelf asks once that is known.
    effect(() => {
      if (this.ready()) this.store.dispatch(ShelfActions.load());
    });
  }

  private word(key: string): string {
    this.fmt.locale();
    return this.transloco.translate(key);
  }
  worst = worstMeat;
  total(p: Plan): number {
    return Math.round(p.timeline.at(-1)?.endMin ?? 0);
  }
  program(t: (key: string, p?: Record<string, unknown>) => string, p: Plan): string {
    const r = p.program.release;
    return t(`pressure.name-${r.kind}`, {
      hold: this.fmt.minutes(p.program.holdMin),
      natural: this.fmt.minutes(r.naturalMin ?? 0),
    });
  }
  narrow(filter: Partial<ShelfFilter>): void {
    this.store.dispatch(ShelfActions.filter({ filter }));
  }
  widen(): void {
    this.narrow({ text: '', family: null, starch: null, mostMin: null });
  }
  /** A file from outside: what is understood goes on the shelf, what is not is told with its place. */
  bring(input: HTMLInputElement): void {
    const file = input.files?.[0];
    input.value = '';
    if (!file) return;
    void file.text().then((text) => this.read(file.name, text));
  }
  private read(name: string, text: string): void {
    try {
      const { dish, leftOut } = importDish(parse(text));
      this.store.dispatch(ShelfActions.add({ dish }));
      this.report.set({ title: dish.title, bad: false, message: '', leftOut });
    } catch (e) {
      const known = e instanceof Problem;
      const message = known ? e.message : this.word('shelf.not-json');
      this.report.set({ title: name, bad: true, message, leftOut: known ? e.issues.slice(0, 6) : [] });
    }
  }
  more(e: Event, id: string): void {
    this.at.set(id);
    this.menu().toggle(e);
  }
  showArchived(archived: boolean): void {
    this.store.dispatch(ShelfActions.showArchived({ archived }));
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

const parse = (text: string): unknown => JSON.parse(text) as unknown;

const saveDish = (dish: Dish): void => saveFile(dish.title, 'json', JSON.stringify(dish, null, 2));
/** The names of all foods come along, so only when they are asked for. */
const exports = () => import('./export');
