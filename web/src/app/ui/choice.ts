import { ChangeDetectionStrategy, Component, computed, input, model } from '@angular/core';
import { SelectButton } from 'primeng/selectbutton';
import { Bound } from './bound';

export interface ChoiceOption<V> {
  value: V;
  label: string;
}
let made = 0;

/** A named choice of one among a few, all of them to be seen. */
@Component({
  selector: 'ek-choice',
  imports: [Bound, SelectButton],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <span [id]="id">{{ label() }}</span>
    <p-selectbutton
      [options]="list()"
      optionLabel="label"
      optionValue="value"
      [allowEmpty]="false"
      [ekBound]="value()"
      (ekBoundChange)="value.set($event)"
      [ariaLabelledBy]="id"
    />
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-3) var(--space-8);
      align-items: center;
      padding: var(--space-3) 0;
    }
    span {
      min-width: 9.5rem;
    }
  `,
})
export class Choice<V> {
  readonly label = input.required<string>();
  readonly options = input.required<readonly ChoiceOption<V>[]>();
  readonly value = model.required<V>();
  /** the control wants a list that it could change */
  readonly list = computed(() => [...this.options()]);
  readonly id = `choice-${(made += 1)}`;
}
