import { ChangeDetectionStrategy, Component, inject, input, output, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import type { StoredEvent } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { InputNumber } from 'primeng/inputnumber';
import { InputText } from 'primeng/inputtext';
import { Format } from '../i18n/format';

export type Told = Pick<StoredEvent, 'kind' | 'value' | 'note'>;
const moments = ['heat-on', 'hot', 'countdown', 'whistle', 'valve-open'] as const;
const mostTimerMin = 600;
const suffix: Partial<Record<StoredEvent['kind'], string>> = { core: ' °C', weight: ' g', timer: ' min' };

/** Whatever else happened: a moment, a measured value, a word, a timer of one's own. One tap each, with its time. */
@Component({
  selector: 'ek-write-down',
  imports: [FormsModule, TranslocoDirective, Button, Dialog, InputNumber, InputText],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <p-dialog
        [visible]="true"
        (visibleChange)="closed.emit()"
        [modal]="true"
        [closeAriaLabel]="t('app.close')"
        [header]="t('write.title')"
        [style]="{ width: 'min(54rem, 97vw)' }"
      >
        <div class="moments">
          @for (m of moments; track m) {
            <button type="button" [attr.data-moment]="m" (click)="told.emit({ kind: m })">
              <strong>{{ t('write.' + m) }}</strong>
              <kbd aria-hidden="true">{{ t('write.key-' + m) }}</kbd>
            </button>
          }
        </div>
        <div class="values">
          <label for="wd-core">{{ t('write.core') }}</label>
          <p-inputnumber
            inputId="wd-core"
            suffix=" °C"
            [min]="0"
            [max]="130"
            [maxFractionDigits]="1"
            [ngModel]="core()"
            (ngModelChange)="core.set($event)"
            [inputStyle]="{ width: '8rem' }"
          />
          <span class="two">
            <p-button [label]="t('write.keep')" [disabled]="core() === null" (onClick)="value('core', core())" />
            @if (devices()) {
              <p-button severity="secondary" [label]="t('write.read')" (onClick)="measure.emit('temperature')" />
            }
          </span>
          <label for="wd-weight">{{ t('write.weight') }}</label>
          <p-inputnumber
            inputId="wd-weight"
            suffix=" g"
            [min]="0"
            [max]="50000"
            [ngModel]="weight()"
            (ngModelChange)="weight.set($event)"
            [inputStyle]="{ width: '8rem' }"
          />
          <span class="two">
            <p-button [label]="t('write.keep')" [disabled]="weight() === null" (onClick)="value('weight', weight())" />
            @if (devices()) {
              <p-button severity="secondary" [label]="t('write.read')" (onClick)="measure.emit('weight')" />
            }
          </span>
          <label for="wd-timer">{{ t('write.timer') }}</label>
          <span class="two">
            <input
              pInputText
              id="wd-timer"
              maxlength="40"
              [placeholder]="t('write.timer-name')"
              [ngModel]="name()"
              (ngModelChange)="name.set($event)"
            />
            <p-inputnumber
              suffix=" min"
              [min]="0.5"
              [max]="mostTimerMin"
              [maxFractionDigits]="1"
              [ngModel]="minutes()"
              (ngModelChange)="minutes.set($event)"
              [ariaLabel]="t('write.timer-min')"
              [inputStyle]="{ width: '6.5rem' }"
            />
          </span>
          <p-button [label]="t('write.start')" [disabled]="!minutes()" (onClick)="timer(t('write.timer'))" />
          <label for="wd-note">{{ t('write.note') }}</label>
          <input pInputText id="wd-note" maxlength="500" [ngModel]="note()" (ngModelChange)="note.set($event)" />
          <p-button
            [label]="t('write.keep')"
            [disabled]="!note().trim()"
            (onClick)="told.emit({ kind: 'note', note: note().trim() })"
          />
        </div>
        @if (log().length > 0) {
          <p class="quiet so-far">
            {{ t('write.so-far') }}
            @for (e of log(); track e.id) {
              <span>{{ line(e, t) }}</span>
            }
          </p>
        }
      </p-dialog>
    </ng-container>
  `,
  styles: `
    .moments {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(156px, 1fr));
      gap: 8px;
      margin-bottom: 16px;
    }
    .moments button {
      min-height: 68px;
      border: 2px solid var(--rim);
      border-radius: 14px;
      background: var(--enamel);
      color: var(--ink);
      font-size: 19px;
      line-height: 1.1;
      cursor: pointer;
      display: flex;
      gap: 8px;
      align-items: center;
      justify-content: space-between;
      padding: 6px 10px;
      text-align: left;
    }
    kbd {
      font: 700 15px var(--read);
      border: 1.5px solid var(--edge);
      border-radius: 6px;
      padding: 1px 9px;
    }
    .values {
      display: grid;
      grid-template-columns: minmax(130px, auto) 1fr auto;
      gap: 10px 14px;
      align-items: center;
      font-size: 18px;
    }
    .two {
      display: flex;
      gap: 8px;
    }
    .two input {
      flex: 1;
      min-width: 0;
    }
    .so-far {
      margin-top: 14px;
      font-size: 16px;
      max-height: 96px;
      overflow: auto;
    }
    .so-far span {
      display: inline-block;
      margin-right: 14px;
    }
    @media (max-width: 760px) {
      .values {
        grid-template-columns: 1fr;
      }
    }
  `,
})
export class WriteDown {
  readonly events = input.required<readonly StoredEvent[]>();
  /** devices take part, so thermometer and scale can be asked */
  readonly devices = input.required<boolean>();
  readonly told = output<Told>();
  readonly measure = output<'temperature' | 'weight'>();
  readonly closed = output();
  readonly fmt = inject(Format);
  readonly moments = moments;
  readonly mostTimerMin = mostTimerMin;
  readonly core = signal<number | null>(null);
  readonly weight = signal<number | null>(null);
  readonly minutes = signal<number | null>(5);
  readonly name = signal('');
  readonly note = signal('');

  value(kind: 'core' | 'weight', value: number | null): void {
    if (value !== null) this.told.emit({ kind, value });
  }
  timer(unnamed: string): void {
    const min = this.minutes();
    if (min) this.told.emit({ kind: 'timer', value: min, note: this.name().trim() || unnamed });
  }
  log(): StoredEvent[] {
    const worth = new Set(['heat-on', 'hot', 'countdown', 'whistle', 'valve-open', 'core', 'weight', 'note', 'timer']);
    return this.events()
      .filter((e) => worth.has(e.kind))
      .slice(-12);
  }
  line(e: StoredEvent, t: (key: string) => string): string {
    const value =
      e.value === undefined ? '' : ` ${this.fmt.number(e.value, e.kind === 'core' ? 1 : 0)}${suffix[e.kind] ?? ''}`;
    return `${this.fmt.time(e.atMs)} ${t(`write.${e.kind}`)}${value}${e.note ? ` “${e.note}”` : ''}`;
  }
}
