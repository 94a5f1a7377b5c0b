import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal, output } from '@angular/core';
import { fields, isKind, type CookEvent } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { InputNumber } from 'primeng/inputnumber';
import { Format } from '../i18n/format';
import { Bound } from '../ui/bound';

/**
 * The thermometer decides. The step is done with a number; without one it can only be skipped openly, and that is written
 * down. A number under the published minimum leads to the rescue for undercooked meat.
 */
@Component({
  selector: 'ek-thermometer-dialog',
  imports: [Bound, TranslocoDirective, Button, Dialog, InputNumber],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <p-dialog
        [visible]="true"
        (visibleChange)="closed.emit()"
        [modal]="true"
        [closeAriaLabel]="t('app.close')"
        [header]="t('thermo.title')"
        [style]="{ width: 'min(44rem, 97vw)' }"
      >
        <p class="ask">{{ t('thermo.ask', { c: minimumC() }) }}</p>
        <p class="row">
          <p-inputnumber
            #field="ekBound"
            inputId="thermo"
            [ariaLabel]="t('write.core')"
            ekMeasure="temperature"
            [suffix]="fmt.entry('temperature').suffix"
            [ekSchema]="fields.coreC"
            [maxFractionDigits]="1"
            [ekBound]="value()"
            (ekBoundChange)="value.set($event)"
            [inputStyle]="{ width: '10rem', fontSize: '30px', fontWeight: 700, textAlign: 'center' }"
          />
          @if (devices()) {
            <p-button severity="secondary" [label]="t('write.read')" (onClick)="measure.emit()" />
          }
        </p>
        @if (value() !== null && !field.refused()) {
          <p class="verdict" [class.stop-text]="under()" role="status">
            <strong>{{ t(under() ? 'thermo.under' : 'thermo.fine', { c: minimumC() }) }}</strong>
          </p>
        }
        <p class="row">
          @if (under() && !field.refused()) {
            <p-button size="large" severity="danger" [label]="t('thermo.rescue')" (onClick)="short.emit(value()!)" />
          }
          <p-button
            size="large"
            [label]="t(under() ? 'thermo.keep-under' : 'thermo.keep')"
            [severity]="under() ? 'secondary' : undefined"
            [disabled]="value() === null || field.refused()"
            (onClick)="measured.emit(value()!)"
          />
        </p>
        <p class="skip">
          <button type="button" class="linklike" (click)="skipped.emit()">{{ t('thermo.skip') }}</button>
          <span class="quiet">{{ t('thermo.skip-note') }}</span>
        </p>
      </p-dialog>
    </ng-container>
  `,
  styles: `
    .ask {
      font-size: var(--size-head);
    }
    .row {
      display: flex;
      gap: var(--space-6);
      align-items: center;
      margin: var(--space-7) 0;
    }
    .verdict {
      font-size: var(--size-step);
    }
    .skip {
      border-top: 1px solid var(--hair);
      padding-top: var(--space-5);
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-6);
      align-items: baseline;
    }
    .linklike {
      border: 0;
      background: none;
      text-decoration: underline;
      color: var(--ink);
      cursor: pointer;
      padding: var(--space-3) 0;
      font-size: var(--size-body);
    }
  `,
})
export class ThermometerDialog {
  readonly fields = fields;
  readonly fmt = inject(Format);
  /** what was measured so far in this cook */
  readonly events = input.required<readonly CookEvent[]>();
  readonly minimumC = input.required<number>();
  readonly devices = input.required<boolean>();
  readonly measured = output<number>();
  readonly short = output<number>();
  readonly skipped = output();
  readonly measure = output();
  readonly closed = output();
  /** the last reading of a device fills the field; the cook may write another */
  readonly value = linkedSignal<number | null>(
    () =>
      this.events()
        .filter(isKind('probe-read'))
        .findLast((e) => e.device !== undefined)?.coreC ?? null,
  );
  readonly under = computed(() => this.value() !== null && this.value()! < this.minimumC());
}
