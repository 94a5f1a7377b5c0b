import { ChangeDetectionStrategy, Component, inject, input, output } from '@angular/core';
import type { Practice } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { SelectButton } from 'primeng/selectbutton';
import { Format } from '../i18n/format';
import type { Dials } from './live';
import { Bound } from '../ui/bound';

/** What the devices of this cook show, and for a practice how fast its clock runs and what was switched wrong. */
@Component({
  selector: 'ek-practice-bar',
  imports: [Bound, TranslocoDirective, SelectButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (practice(); as p) {
        <strong class="word">{{ t('practice.word') }}</strong>
        <span class="quiet wide">{{ t('practice.no-food') }}</span>
        <p-selectbutton
          size="small"
          [options]="speeds"
          [ekBound]="speed() || p.speed"
          (ekBoundChange)="chosen.emit($event)"
          [allowEmpty]="false"
          [ariaLabel]="t('practice.speed')"
        >
          <ng-template #item let-x>{{ t('practice.times', { n: x }) }}</ng-template>
        </p-selectbutton>
        <span class="quiet wide">{{
          p.surprise ? t('practice.surprise') : p.faults.length === 0 ? t('practice.no-faults') : faultNames(p, t)
        }}</span>
      } @else {
        <strong class="word">{{ t('practice.devices') }}</strong>
      }
      <span class="dials" role="status">
        @if (dials().burn) {
          <b class="burn">{{ t('practice.burn') }}</b>
        } @else {
          <span>{{ t('practice.display-' + dials().display) }}</span>
        }
        @if (dials().whistles > 0) {
          <span>{{ fmt.counted('whistle', dials().whistles) }}</span>
        }
        <svg viewBox="0 0 44 40" aria-hidden="true">
          <path d="M4 35h36" />
          <path
            [attr.d]="dials().pinUp ? 'M14 35V12h12v23' : 'M14 35V30h12v5'"
            [attr.class]="dials().pinUp ? 'up' : ''"
          />
        </svg>
        <span>{{ t(dials().pinUp ? 'stove.pin-is-up' : 'stove.pin-is-down') }}</span>
        <b class="mono">{{ dials().kpa === null ? '–' : fmt.number(dials().kpa!, 0) }} kPa</b>
      </span>
    </ng-container>
  `,
  styles: `
    @use 'breakpoints' as *;

    :host {
      display: flex;
      gap: var(--space-7);
      align-items: center;
      font-size: var(--size-body);
      white-space: nowrap;
      overflow: hidden;
      padding: var(--space-1) var(--space-7);
      border: 1.5px solid var(--steam);
      border-radius: 10px;
      background: var(--steam-tint);
    }
    .word {
      font-size: var(--size-head);
      color: var(--steam);
    }
    .dials {
      margin-left: auto;
      display: flex;
      gap: var(--space-6);
      align-items: center;
    }
    .dials b {
      font-size: var(--size-step);
    }
    .burn {
      color: var(--paprika);
    }
    svg {
      width: 34px;
      height: 30px;
      fill: none;
      stroke: var(--rim);
      stroke-width: 3;
    }
    .up {
      fill: var(--steam);
    }
    @media #{$phone} {
      :host {
        flex-wrap: wrap;
        white-space: normal;
        padding: var(--space-4) var(--space-6);
        order: 0;
      }
      .wide {
        display: none;
      }
      .dials {
        margin-left: 0;
      }
    }
  `,
})
export class PracticeBar {
  readonly practice = input.required<Practice | null>();
  readonly dials = input.required<Dials>();
  /** how fast the practice clock runs now; 0 while it stands */
  readonly speed = input.required<number>();
  readonly chosen = output<number>();
  readonly fmt = inject(Format);
  readonly speeds = [1, 5, 10, 30, 60];

  faultNames(p: Practice, t: (key: string) => string): string {
    return p.faults.map((f) => t(`fault.${f}`)).join(', ');
  }
}
