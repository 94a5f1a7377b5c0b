import { ChangeDetectionStrategy, Component, computed, inject, input, output, type OnInit } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormArray, FormControl, FormGroup, ReactiveFormsModule } from '@angular/forms';
import {
  bowlCapacityLitres,
  bowlLimit,
  ownPotId,
  ownPotSchema,
  potIds,
  potProfile,
  trivetMm,
  usualBowl,
  type OwnPot,
  type PotProfile,
} from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { Format } from '../i18n/format';
import { Refusals } from '../i18n/refusals';
import { KitchenActions, kitchenFeature } from '../state/kitchen';
import { messagesOf, zodValidator } from '../ui/zod-form';

const number = (value: number | null = null) => new FormControl<number | null>(value);
const programForm = (p?: { id: string; pressure: 'high' | 'low'; holdMin: number }) =>
  new FormGroup({
    id: new FormControl(p?.id ?? '', { nonNullable: true }),
    pressure: new FormControl<'high' | 'low'>(p?.pressure ?? 'high', { nonNullable: true }),
    holdMin: number(p?.holdMin ?? null),
  });

/** Fields of the manual, as they are asked for: centimetres and percent are what a cook reads. */
const fields = ['litres', 'widthCm', 'powerW', 'minimumMl', 'fillPercent', 'highKpa', 'lowKpa'] as const;
type Field = (typeof fields)[number];
/** What is put into it, in centimetres too. */
const insideFields = ['rackCm', 'bowlWidthCm', 'bowlHeightCm'] as const;
type InsideField = (typeof insideFields)[number];
/** Where a field of the form stands in the document. */
const pathOf: Partial<Record<Field | InsideField, string>> = {
  widthCm: 'diameterMm',
  fillPercent: 'fillShare',
  rackCm: 'rackMm',
  bowlWidthCm: 'bowl.diameterMm',
  bowlHeightCm: 'bowl.heightMm',
};

/** What a form that is being filled in says; fields that nobody touched yet may be missing. */
interface FormValue extends Partial<Record<Field | InsideField, number | null>> {
  bowlWall?: 'steel' | 'glass';
  name?: string;
  like?: string;
  noLow?: boolean;
  programs?: { id?: string; pressure?: 'high' | 'low'; holdMin?: number | null }[];
}

const inCm = (mm: number | undefined): number | null => (mm === undefined ? null : mm / 10);

/** A pot of the cook's own, from its manual: the known pot that it is like, and what is different about it. */
@Component({
  selector: 'ek-own-pot-dialog',
  imports: [ReactiveFormsModule, TranslocoDirective, Button, Dialog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './own-pot-dialog.html',
  styleUrl: './own-pot-dialog.scss',
})
export class OwnPotDialog implements OnInit {
  /** the pot to be changed; without it a new one is made */
  readonly pot = input<OwnPot | null>(null);
  /** the pot that a new one starts as a copy of */
  readonly copyOf = input<OwnPot | null>(null);
  readonly closed = output();
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  private readonly refusals = inject(Refusals);
  readonly fmt = inject(Format);
  private readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly fields = fields;
  readonly insideFields = insideFields;

  readonly form = new FormGroup(
    {
      name: new FormControl('', { nonNullable: true }),
      like: new FormControl(potIds[0]!, { nonNullable: true }),
      litres: number(),
      widthCm: number(),
      powerW: number(),
      minimumMl: number(),
      fillPercent: number(),
      highKpa: number(),
      lowKpa: number(),
      noLow: new FormControl(false, { nonNullable: true }),
      rackCm: number(),
      bowlWidthCm: number(),
      bowlHeightCm: number(),
      bowlWall: new FormControl<'steel' | 'glass'>('steel', { nonNullable: true }),
      programs: new FormArray<ReturnType<typeof programForm>>([]),
    },
    { validators: zodValidator(ownPotSchema, (value) => this.documentOf(value as FormValue)) },
  );
  private readonly value = toSignal(this.form.valueChanges);
  /** sentences by the path of their field in the document */
  readonly messages = computed(() => {
    this.value();
    return messagesOf(this.form.errors, this.refusals);
  });
  /** What is taken where nothing is told: a low trivet and the usual bowl. */
  readonly usual = computed((): Record<InsideField, string> => {
    const cm = (mm: number): string => this.fmt.number(mm / 10, 1);
    return { rackCm: cm(trivetMm), bowlWidthCm: cm(usualBowl.diameterMm), bowlHeightCm: cm(usualBowl.heightMm) };
  });
  /** what the bowl holds to its limit, L; null while it is not told of or does not fit */
  readonly bowlHolds = computed(() => {
    this.value();
    const read = ownPotSchema.safeParse(this.documentOf({ ...this.form.getRawValue(), name: '-' }));
    return read.success && read.data.bowl ? this.fmt.number(bowlLimit * bowlCapacityLitres(read.data.bowl), 1) : null;
  });
  readonly likes = computed(() => {
    this.fmt.locale();
    return potIds.map((id) => ({ id, label: this.transloco.translate(`pot-name.${id}`) }));
  });
  /** What is taken where a field is left empty: the known pot's, grown with the litres. */
  readonly taken = computed((): Record<Field, string> => {
    const { like, litres } = this.value() ?? this.form.getRawValue();
    const p = potProfile(this.bare(like ?? potIds[0]!, litres ?? null));
    return this.asShown(p);
  });

  ngOnInit(): void {
    const from = this.pot() ?? this.copyOf();
    if (!from) return;
    const { name, like, litres = null, diameterMm, powerW = null, minimumMl = null, fillShare } = from;
    this.form.patchValue({
      name: this.pot() ? name : this.transloco.translate('own-pot.copy-name', { name }),
      like,
      litres,
      widthCm: diameterMm === undefined ? null : diameterMm / 10,
      powerW,
      minimumMl,
      fillPercent: fillShare === undefined ? null : Math.round(1000 * fillShare) / 10,
      highKpa: from.highKpa ?? null,
      lowKpa: from.lowKpa ?? null,
      noLow: from.lowKpa === null,
      rackCm: inCm(from.rackMm),
      bowlWidthCm: inCm(from.bowl?.diameterMm),
      bowlHeightCm: inCm(from.bowl?.heightMm),
      bowlWall: from.bowl?.wall ?? 'steel',
    });
    for (const p of from.programs ?? []) this.form.controls.programs.push(programForm(p));
  }

  said(field: Field | InsideField): string | undefined {
    return this.messages()[pathOf[field] ?? field];
  }
  programsSaid(): string | undefined {
    return Object.entries(this.messages()).find(([path]) => path.startsWith('programs'))?.[1];
  }
  addProgram(): void {
    this.form.controls.programs.push(programForm());
  }
  removeProgram(i: number): void {
    this.form.controls.programs.removeAt(i);
  }

  /** The known pot in this size, as if it were one's own: what the numbers that are left out come from. */
  private bare(like: string, litres: number | null) {
    const own: OwnPot = { id: 'pot-x', name: '-', like, ...(litres === null ? {} : { litres }) };
    return { id: own.id, own: ownPotSchema.safeParse(own).success ? own : { ...own, litres: undefined } };
  }
  private asShown(p: PotProfile): Record<Field, string> {
    const { fmt } = this;
    return {
      litres: fmt.number(p.litres, 1),
      widthCm: fmt.number(p.diameterMm / 10, 1),
      powerW: fmt.number(Math.round(p.powerW / 10) * 10),
      minimumMl: fmt.number(p.minimumLiquidMl[0]),
      fillPercent: fmt.number(100 * p.fillShare),
      highKpa: fmt.number(p.highKpa),
      lowKpa: p.lowKpa === null ? '–' : fmt.number(p.lowKpa),
    };
  }

  /** A bowl of which only one size is told stays wanting the other. */
  private bowlOf({ bowlWidthCm, bowlHeightCm, bowlWall }: FormValue): unknown {
    const mm = (cm: number | null | undefined): number | undefined => (cm ? 10 * cm : undefined);
    return { diameterMm: mm(bowlWidthCm), heightMm: mm(bowlHeightCm), wall: bowlWall };
  }

  /** What the form says, as the document that the schema judges; empty fields are left out. */
  private documentOf(v: FormValue): unknown {
    const others = this.kitchen().ownPots?.map((p) => p.id) ?? [];
    const given = { litres: v.litres, powerW: v.powerW, minimumMl: v.minimumMl, highKpa: v.highKpa };
    const programs = v.programs ?? [];
    return {
      id: this.pot()?.id ?? ownPotId(v.name ?? '', others),
      name: v.name ?? '',
      like: v.like,
      ...Object.fromEntries(Object.entries(given).filter(([, x]) => x !== null && x !== undefined)),
      ...(v.widthCm ? { diameterMm: 10 * v.widthCm } : {}),
      // Two thirds are printed as 67 %.
      ...(v.fillPercent ? { fillShare: v.fillPercent === 67 ? 2 / 3 : v.fillPercent / 100 } : {}),
      ...(v.noLow ? { lowKpa: null } : v.lowKpa ? { lowKpa: v.lowKpa } : {}),
      ...(v.rackCm ? { rackMm: 10 * v.rackCm } : {}),
      ...(v.bowlWidthCm || v.bowlHeightCm ? { bowl: this.bowlOf(v) } : {}),
      ...(programs.length > 0 ? { programs: programs.map((p) => ({ ...p, holdMin: p.holdMin ?? undefined })) } : {}),
      ...(this.pot()?.retired ? { retired: true } : {}),
    };
  }

  save(): void {
    const read = ownPotSchema.safeParse(this.documentOf(this.form.getRawValue()));
    if (!read.success) {
      this.form.markAllAsTouched();
      return;
    }
    const all = this.kitchen().ownPots ?? [];
    const isNew = !all.some((p) => p.id === read.data.id);
    const ownPots = isNew ? [...all, read.data] : all.map((p) => (p.id === read.data.id ? read.data : p));
    // Who adds a pot wants to cook in it.
    const change = isNew ? { ownPots, potId: read.data.id } : { ownPots };
    this.store.dispatch(KitchenActions.change({ change }));
    this.closed.emit();
  }
}
