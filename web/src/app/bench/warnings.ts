import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import type { Warning } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Dialog } from 'primeng/dialog';
import { Format } from '../i18n/format';
import { benchFeature } from './bench.slice';
import { hasWay, warningParams, wayParams, type Way } from './warning-places';

/** The worst warning in one line, all of them on a tap. */
@Component({
  selector: 'ek-warnings',
  imports: [TranslocoDirective, Dialog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (first(); as w) {
        <button
          type="button"
          [class]="'line ' + w.severity"
          (click)="open.set(true)"
          [attr.aria-label]="t('warning.all', { n: all().length })"
        >
          <span class="tag">{{ t('severity.' + w.severity) }}</span>
          <span class="text"
            >{{ t('warning.' + w.code, params(w)) }}
            @if (hasWay(w) && ways()[0]; as way) {
              <b>{{ t('ways-out.' + way.code, wayParams(way)) }}</b>
            }
          </span>
          @if (all().length > 1) {
            <span class="more">+{{ all().length - 1 }}</span>
          }
        </button>
      }
      <p-dialog
        [visible]="open()"
        (visibleChange)="open.set($event)"
        [modal]="true"
        [dismissableMask]="true"
        [closeAriaLabel]="t('app.close')"
        [header]="t('warning.title')"
        [style]="{ width: 'min(40rem, 94vw)' }"
      >
        <ul>
          @for (w of all(); track w.code + $index) {
            <li [class]="w.severity">
              <span class="tag">{{ t('severity.' + w.severity) }}</span> {{ t('warning.' + w.code, params(w)) }}
            </li>
          }
        </ul>
        @if (ways().length > 0) {
          <h3>{{ t('ways-out.title') }}</h3>
          <ul>
            @for (w of ways(); track w.code + w.to) {
              <li>
                {{ t('ways-out.' + w.code, wayParams(w)) }}
                @if (w.of100 !== undefined) {
                  <span class="then">{{ t('ways-out.then', { of100: rounded(w.of100) }) }}</span>
                }
              </li>
            }
          </ul>
        }
      </p-dialog>
    </ng-container>
  `,
  styles: `
    .line {
      display: flex;
      width: 100%;
      gap: var(--space-4);
      align-items: center;
      border: 0;
      background: transparent;
      text-align: left;
      cursor: pointer;
      padding: var(--space-2) var(--space-1);
      font-size: var(--size-text);
      min-height: 40px;
    }
    .text {
      display: -webkit-box;
      -webkit-box-orient: vertical;
      -webkit-line-clamp: 2;
      overflow: hidden;
      line-height: 1.25;
    }
    /* What stops a plan is read to its end. */
    .stop .text {
      display: block;
    }
    .tag {
      font-weight: 700;
      padding: 1px var(--space-4);
      border-radius: 5px;
      border: 1.5px solid var(--edge);
      white-space: nowrap;
      font-size: var(--size-note);
    }
    .stop .tag {
      background: var(--paprika-tint);
      border-color: var(--paprika);
      color: var(--ink);
    }
    .caution .tag {
      background: var(--turmeric-tint);
      border-color: var(--turmeric);
    }
    .more {
      color: var(--tab-quiet);
      margin-left: auto;
    }
    .then {
      color: var(--tab-quiet);
    }
    h3 {
      margin: var(--space-8) 0 var(--space-4);
    }
    ul {
      list-style: none;
      margin: 0;
      padding: 0;
      display: grid;
      gap: var(--space-5);
    }
  `,
})
export class Warnings {
  private readonly store = inject(Store);
  private readonly plan = this.store.selectSignal(benchFeature.selectPlan);
  private readonly asides = this.store.selectSignal(benchFeature.selectAsides);
  private readonly fmt = inject(Format);
  private readonly names = this.store.selectSignal(benchFeature.selectNames);
  readonly open = signal(false);
  readonly all = computed(() => this.plan()?.warnings ?? []);
  readonly first = computed(() => this.all()[0]);

  /** What would clear the stops, or make it better where it seldom comes out, best first. */
  readonly ways = computed(() => this.asides().ways ?? []);

  wayParams(w: Way): Record<string, string | number> {
    return wayParams(w, this.names(), this.fmt);
  }
  readonly hasWay = hasWay;
  readonly rounded = Math.round;
  params(w: Warning): Record<string, string | number> {
    return warningParams(w, this.names(), this.fmt);
  }
}
