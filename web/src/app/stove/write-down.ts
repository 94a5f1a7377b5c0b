import { ChangeDetectionStrategy, Component, inject, input, output, signal } from '@angular/core';
import { FormsModule } from '@angular/forms';
import type { CookEvent, EventKind, Happening } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { InputNumber } from 'primeng/inputnumber';
import { InputText } from 'primeng/inputtext';
import { eventFigure, eventNote } from '../i18n/event-words';
import { Format } from '../i18n/format';

const moments = ['heat-on', 'hot', 'countdown', 'whistle', 'valve-open'] as const;
const mostTimerMin = 600;

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
            <button type="button" [attr.data-moment]="m" (click)="happened.emit({ kind: m })">
              <strong>{{ t('write.' + m) }}</strong>
              <kbd aria-hidden="true">{{ t('write.key-' + m) }}</kbd>
            </button>
          }
        </div>
        <div class="values">
          <label for="wd-core">{{ t('write.probe-read') }}</label>
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
            <p-button [label]="t('write.keep')" [disabled]="core() === null" (onClick)="keepCore()" />
            @if (devices()) {
              <p-button severity="secondary" [label]="t('write.read')" (onClick)="measure.emit('temperature')" />
            }
          </span>
          <label for="wd-weight">{{ t('write.weight-read') }}</label>
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
            <p-button [label]="t('write.keep')" [disabled]="weight() === null" (onClick)="keepWeight()" />
            @if (devices()) {
              <p-button severity="secondary" [label]="t('write.read')" (onClick)="measure.emit('weight')" />
            }
          </span>
          <label for="wd-timer">{{ t('write.timer-started') }}</label>
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
          <p-button [label]="t('write.start')" [disabled]="!minutes()" (onClick)="timer(t('write.timer-started'))" />
          <label for="wd-note">{{ t('write.noted') }}</label>
          <input pInputText id="wd-note" maxlength="500" [ngModel]="note()" (ngModelChange)="note.set($event)" />
          <p-button
            [label]="t('write.keep')"
            [disabled]="!note().trim()"
            (onClick)="happened.emit({ kind: 'noted', text: note().trim() })"
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
  readonly events = input.required<readonly CookEvent[]>();
  /** devices take part, so thermometer and scale can be asked */
  readonly devices = input.required<boolean>();
  readonly happened = output<Happening>();
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

  keepCore(): void {
    const coreC = this.core();
    if (coreC !== null) this.happened.emit({ kind: 'probe-read', coreC });
  }
  keepWeight(): void {
    const grams = this.weight();
    if (grams !== null) this.happened.emit({ kind: 'weight-read', grams });
  }
  timer(unnamed: string): void {
    const minutes = this.minutes();
    if (minutes) this.happened.emit({ kind: 'timer-started', minutes, name: this.name().trim() || unnamed });
  }
  log(): CookEvent[] {
    const worth = new Set<EventKind>([
      ...moments,
      ...(['probe-read', 'weight-read', 'noted', 'timer-started'] as const),
    ]);
    return this.events()
      .filter((e) => worth.has(e.kind))
      .slice(-12);
  }
  line(e: CookEvent, t: (key: string) => string): string {
    const note = eventNote(e);
    const said = [this.fmt.time(e.atMs), t(`write.${e.kind}`), eventFigure(e, this.fmt), note ? `“${note}”` : ''];
    return said.filter(Boolean).join(' ');
  }
}
