import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { ingredientNames, lessonOfPractice, type Cook, type Debrief, type Noticed } from '@einkorn/core';
import { RouterLink } from '@angular/router';
import { BandKeyPipe } from '../ui/band-key.pipe';
import { TranslocoDirective } from '@jsverse/transloco';
import { Format } from '../i18n/format';

/** What a practice taught: what was wrong, what was noticed when, and what the food would have become. */
@Component({
  selector: 'ek-look-back',
  imports: [BandKeyPipe, RouterLink, TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <h2>{{ t('back.title') }}</h2>
      <p>
        <strong>{{ t('back.faults') }}</strong>
        @for (f of debrief().faults; track f; let last = $last) {
          {{ t('fault.' + f) }}{{ last ? '.' : ',' }}
        } @empty {
          {{ t('practice.no-faults') }}.
        }
      </p>
      <ul>
        @for (n of debrief().noticed; track n.what) {
          <li [class.late]="!n.prompt">
            <span class="sign" aria-hidden="true">{{ n.prompt ? '✓' : '!' }}</span>
            <strong>{{ t('back.' + n.what, { at: fmt.number(n.atMin, 1) }) }}</strong>
            {{ seen(n, t) }}
          </li>
        } @empty {
          <li class="quiet">{{ t('back.nothing') }}</li>
        }
      </ul>
      @if (debrief().food; as f) {
        <p>
          <strong>{{ t('back.food') }}</strong>
          @if (f.band) {
            {{ t('band.' + (f.band | bandKey: cook().plan.family)) }}, {{ fmt.number(100 * (f.moisture ?? 0), 0) }} %
            @if (debrief().planned.band; as was) {
              <span class="quiet">{{
                t('back.planned', {
                  band: t('band.' + (was | bandKey: cook().plan.family)),
                  share: fmt.number(100 * (debrief().planned.moisture ?? 0), 0),
                })
              }}</span>
            }
          }
          @for (m of f.meats; track m.ingredient) {
            · {{ fmt.namesOf(names(), m.ingredient) }} {{ fmt.temperature(m.coreC) }}
            <span [class.stop-text]="!m.ok">{{
              t(m.ok ? 'back.meat-ok' : 'back.meat-under', { c: m.safeMinimumC })
            }}</span>
          }
        </p>
      }
      @if (lesson(); as l) {
        <p>
          {{ t('lab.of-practice') }} <a [routerLink]="['/lab', l]">{{ t('lab.lesson.' + l) }}</a>
        </p>
      }
      <p class="quiet">{{ t('back.honest') }}</p>
      @if (skipped()) {
        <p class="stop-text">{{ t('back.skipped') }}</p>
      }
    </ng-container>
  `,
  styles: `
    :host {
      display: block;
      padding: var(--space-7) var(--space-8);
      font-size: var(--size-body);
    }
    ul {
      list-style: none;
      padding: 0;
      margin: var(--space-4) 0;
      display: grid;
      gap: var(--space-3);
    }
    .sign {
      display: inline-grid;
      place-content: center;
      width: 26px;
      height: 26px;
      border: 2px solid var(--leaf);
      border-radius: 50%;
      margin-right: var(--space-3);
      font-weight: 700;
      color: var(--leaf);
    }
    .late .sign {
      border-color: var(--paprika);
      color: var(--paprika);
    }
  `,
})
export class LookBack {
  readonly debrief = input.required<Debrief>();
  readonly cook = input.required<Cook>();
  readonly fmt = inject(Format);
  readonly names = computed(() => ingredientNames(this.cook().dish.ingredients));
  readonly lesson = computed(() => lessonOfPractice(this.debrief()));
  readonly skipped = computed(() => this.cook().events.some((e) => e.kind === 'thermometer-skipped'));

  seen(n: Noticed, t: (key: string, p?: Record<string, unknown>) => string): string {
    if (n.lateMin === null) return t('back.never');
    const min = this.fmt.number(Math.abs(n.lateMin), 1);
    return t(n.prompt ? 'back.prompt' : n.lateMin > 0 ? 'back.late' : 'back.early', { min });
  }
}
