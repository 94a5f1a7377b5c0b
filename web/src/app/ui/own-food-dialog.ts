import { ChangeDetectionStrategy, Component, computed, inject, input, output, type OnInit } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import { findFood, foods, ownFoodId, ownFoodSchema, recordOf, type OwnFood } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { Format } from '../i18n/format';
import { Refusals } from '../i18n/refusals';
import { KitchenActions, kitchenFeature } from '../state/kitchen';
import { messagesOf, zodValidator } from './zod-form';

const number = () => new FormControl<number | null>(null);
/** Energy of a label is printed in both; 1 kcal is 4.184 kJ. */
const kjPerKcal = 4.184;

const labelFields = ['proteinG', 'fatG', 'carbG', 'fibreG', 'saltG'] as const;
const weightFields = ['pieceG', 'packetG'] as const;

type FormValue = Record<
  (typeof labelFields)[number] | 'energyKcal' | 'waterG' | 'pieceG' | 'packetG' | 'packetMin',
  number | null
> & {
  name: string;
  like: string;
};

/** A food of the cook's own, from its packet: its name, the food it behaves like, and what the label says of 100 g. */
@Component({
  selector: 'ek-own-food-dialog',
  imports: [ReactiveFormsModule, TranslocoDirective, Button, Dialog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './own-food-dialog.html',
  styleUrl: './own-food-dialog.scss',
})
export class OwnFoodDialog implements OnInit {
  /** the name to begin with, as the cook typed it */
  readonly named = input('');
  /** the food to be corrected; without it a new one is made */
  readonly food = input<OwnFood | null>(null);
  readonly closed = output();
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  private readonly refusals = inject(Refusals);
  readonly fmt = inject(Format);
  private readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly labelFields = labelFields;
  readonly weightFields = weightFields;

  readonly form = new FormGroup(
    {
      name: new FormControl('', { nonNullable: true }),
      like: new FormControl('', { nonNullable: true }),
      energyKcal: number(),
      proteinG: number(),
      fatG: number(),
      carbG: number(),
      fibreG: number(),
      saltG: number(),
      waterG: number(),
      pieceG: number(),
      packetG: number(),
      packetMin: number(),
    },
    { validators: zodValidator(ownFoodSchema, (value) => this.documentOf(value as FormValue)) },
  );
  private readonly value = toSignal(this.form.valueChanges);
  /** sentences by field, once the cook has begun there */
  readonly messages = computed(() => {
    this.value();
    return messagesOf(this.form.errors, this.refusals);
  });
  readonly isPasta = computed(() => this.known(this.value()?.like)?.kind === 'pasta');
  /** water of the food as it will be planned, a share; null while the packet is not complete */
  readonly water = computed(() => {
    this.value();
    const read = ownFoodSchema.safeParse(this.documentOf(this.form.getRawValue()));
    return read.success ? recordOf({ food: read.data.id, ownFood: read.data }).water[0] : null;
  });
  readonly likes = computed(() => {
    this.fmt.locale();
    return foods
      .map(({ id }) => ({ id, label: this.transloco.translate(`food.${id}`) }))
      .sort((a, b) => a.label.localeCompare(b.label, this.fmt.locale()));
  });

  ngOnInit(): void {
    const own = this.food();
    const { energyKj, ...label } = own?.per100g ?? {};
    this.form.patchValue({
      name: own?.name ?? this.named().slice(0, 60),
      like: own?.like ?? '',
      ...label,
      energyKcal: energyKj === undefined ? null : Math.round(energyKj / kjPerKcal),
      pieceG: own?.pieceG ?? null,
      packetG: own?.packetG ?? null,
      packetMin: own?.packetMin ?? null,
    });
  }

  private known(id: string | undefined) {
    return id ? findFood(id) : null;
  }
  /** What the form says, as the document that the schema judges; empty fields are left out. */
  private documentOf({ name, like, energyKcal, pieceG, packetG, packetMin, saltG, ...label }: FormValue): unknown {
    const given = (o: object): object => Object.fromEntries(Object.entries(o).filter(([, v]) => v !== null));
    const others = this.kitchen().ownFoods?.map((f) => f.id) ?? [];
    const energyKj = energyKcal === null ? null : energyKcal * kjPerKcal;
    return {
      id: this.food()?.id ?? ownFoodId(name, others),
      name,
      like,
      per100g: { ...given({ ...label, energyKj }), saltG: saltG ?? 0 },
      ...given({ pieceG, packetG, packetMin }),
    };
  }
  save(): void {
    const read = ownFoodSchema.safeParse(this.documentOf(this.form.getRawValue()));
    if (!read.success) {
      this.form.markAllAsTouched();
      return;
    }
    const others = (this.kitchen().ownFoods ?? []).filter((f) => f.id !== read.data.id);
    this.store.dispatch(KitchenActions.change({ change: { ownFoods: [...others, read.data] } }));
    this.closed.emit();
  }
}
