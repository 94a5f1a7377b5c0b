import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import {
  fields,
  kitchenSchema,
  baseAreaCm2,
  potInUse,
  potProfile,
  potsOffered,
  steamC,
  type Kitchen,
  type OwnFood,
  type OwnPot,
  type PotProfile,
} from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { InputNumber } from 'primeng/inputnumber';
import { Outbox } from '../api/outbox';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { Choice } from '../ui/choice';
import { OwnFoodDialog } from '../ui/own-food-dialog';
import { PotNamePipe } from '../ui/pot-name';
import { KitchenActions, kitchenFeature } from '../state/kitchen';
import { Archive } from './archive';
import { Calibrate } from './calibrate';
import { HouseKeys } from './house-keys';
import { OtherDevices } from './other-devices';
import { OwnMeasures } from './own-measures';
import { OwnPotDialog } from './own-pot-dialog';
import { Snapshots } from './snapshots';
import { Bound } from '../ui/bound';

/** How things are shown, in the order of the page; what can be chosen for each is the schema's. */
const waysShown = ['language', 'units', 'weights', 'temperature', 'lengths', 'theme'] as const;

/** The Kitchen: which pot, how high above the sea, and what that does to the heat inside. */
@Component({
  selector: 'ek-kitchen-page',
  imports: [
    Archive,
    SaidPipe,
    Bound,
    TranslocoDirective,
    Button,
    Calibrate,
    Choice,
    HouseKeys,
    InputNumber,
    OwnFoodDialog,
    OtherDevices,
    OwnMeasures,
    OwnPotDialog,
    PotNamePipe,
    Snapshots,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './kitchen-page.html',
  styleUrl: './kitchen-page.scss',
})
export class KitchenPage {
  readonly fields = fields;
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  readonly fmt = inject(Format);
  readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly saving = this.store.selectSignal(kitchenFeature.selectSaving);
  readonly failure = this.store.selectSignal(kitchenFeature.selectFailure);
  private readonly outbox = inject(Outbox);
  /** changes that are not at the server, said below the bar */
  readonly waits = computed(() => this.outbox.count() > 0 || this.outbox.refused() !== null);

  /** the food whose packet is open */
  readonly editing = signal<OwnFood | 'new' | null>(null);
  /** the pot whose manual is open: one to change, or a new one, as a copy of another */
  readonly pot = signal<{ pot: OwnPot | null; copyOf: OwnPot | null } | null>(null);
  readonly offered = computed(() => potsOffered(this.kitchen()).map(potProfile));

  readonly heat = computed(() => {
    const k = this.kitchen();
    const pot = potProfile(potInUse(k));
    const row = (key: string, kpa: number): { key: string; kpa: number; here: number; sea: number } => ({
      key,
      kpa,
      here: steamC(kpa, k.altitudeM),
      sea: steamC(kpa, 0),
    });
    return [row('boils', 0), ...(pot.lowKpa === null ? [] : [row('low', pot.lowKpa)]), row('high', pot.highKpa)];
  });
  readonly shown = computed(() =>
    waysShown.map((key) => ({
      key,
      value: this.kitchen()[key],
      options: this.labels(key, kitchenSchema.shape[key].unwrap().options),
    })),
  );

  readonly deviceChoices = computed(() => {
    this.fmt.locale();
    return [false, true].map((value) => ({
      value,
      label: this.transloco.translate(`kitchen.devices-${value ? 'on' : 'off'}`),
    }));
  });

  private labels(group: string, values: readonly string[]): { value: string; label: string }[] {
    this.fmt.locale();
    return values.map((value) => ({ value, label: this.transloco.translate(`${group}.${value}`) }));
  }

  show(way: (typeof waysShown)[number], value: string): void {
    this.change({ [way]: value });
  }
  change(change: Partial<Kitchen>): void {
    this.store.dispatch(KitchenActions.change({ change }));
  }
  /** Puts a pot of one's own away, or takes it out again; its cooks keep it. One that is in use hands over to the pot it is like. */
  retire(pot: OwnPot, retired: boolean): void {
    const kitchen = this.kitchen();
    const { retired: _was, ...rest } = pot;
    const ownPots = (kitchen.ownPots ?? []).map((p) =>
      p.id === pot.id ? { ...rest, ...(retired ? { retired } : {}) } : p,
    );
    this.change({ ownPots, ...(retired && kitchen.potId === pot.id ? { potId: pot.like } : {}) });
  }
  removeFood(id: string): void {
    this.change({ ownFoods: (this.kitchen().ownFoods ?? []).filter((f) => f.id !== id) });
  }
  altitude(m: number | null): void {
    if (m !== null) this.change({ altitudeM: m });
  }

  /* All pots to one scale: 0.36 px a millimetre. */
  private size(p: PotProfile): { w: number; h: number } {
    const heightMm = (p.litres * 1e6) / (baseAreaCm2(p) * 100);
    return { w: p.diameterMm * 0.42, h: heightMm * 0.42 };
  }
  body(p: PotProfile): string {
    const { w, h } = this.size(p);
    return `M${-w / 2} ${-h}V-6q0 6 6 6H${w / 2 - 6}q6 0 6 -6V${-h}`;
  }
  half(p: PotProfile): string {
    const { w, h } = this.size(p);
    return `M${-w / 2 + 4} ${-h / 2}H${w / 2 - 4}`;
  }
  lid(p: PotProfile): string {
    const { w, h } = this.size(p);
    return `M${-w / 2 - 4} ${-h - 3}Q0 ${-h - 22} ${w / 2 + 4} ${-h - 3}`;
  }
}
