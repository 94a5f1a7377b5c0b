import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { toSignal } from '@angular/core/rxjs-interop';
import { FormControl, NonNullableFormBuilder, ReactiveFormsModule } from '@angular/forms';
import { RouterLink } from '@angular/router';
import { notedRowSchema, potsOffered, ratingScales, type NotedRow } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Button } from 'primeng/button';
import { Refusals } from '../i18n/refusals';
import { Format } from '../i18n/format';
import { SaidPipe } from '../i18n/said';
import { kitchenFeature } from '../state/kitchen';
import { messagesOf, zodValidator } from '../ui/zod-form';
import { LogActions, logFeature } from './log.slice';
import { PotNamePipe } from '../ui/pot-name';
import { localMs } from '../i18n/time-of-day';
import { BringReportPanel } from '../ui/bring-report';

/** A file larger than the server takes is not sent. */
const mostBytes = 30_000_000;
const minutes = () => new FormControl<number | null>(null);

/** Cooks from elsewhere: a log or a table as a file, or one after the other out of a notebook. */
@Component({
  selector: 'ek-bring-page',
  imports: [BringReportPanel, SaidPipe, PotNamePipe, ReactiveFormsModule, RouterLink, TranslocoDirective, Button],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './bring-page.html',
  styleUrl: './bring-page.scss',
})
export class BringPage {
  private readonly refusals = inject(Refusals);
  private readonly store = inject(Store);
  readonly fmt = inject(Format);
  private readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly titles = this.store.selectSignal(logFeature.selectTitles);
  readonly report = this.store.selectSignal(logFeature.selectReport);
  readonly isBringing = this.store.selectSignal(logFeature.selectIsBringing);
  readonly failure = this.store.selectSignal(logFeature.selectFailure);
  readonly tooLarge = signal('');
  readonly isOver = signal(false);
  readonly pots = computed(() => potsOffered(this.kitchen()));
  readonly grains = ratingScales.grain;

  readonly form = inject(NonNullableFormBuilder).group(
    {
      day: '',
      time: '18:00',
      dish: '',
      potId: this.kitchen().potId,
      toPinMin: minutes(),
      releaseMin: minutes(),
      grain: new FormControl<number | null>(null),
      note: '',
    },
    { validators: zodValidator(notedRowSchema, (value) => rowOf(value as NotebookForm)) },
  );
  private readonly value = toSignal(this.form.valueChanges);
  readonly messages = computed(() => {
    this.value();
    return messagesOf(this.form.errors, this.refusals);
  });

  constructor() {
    this.store.dispatch(LogActions.bringOpened());
  }

  dropped(e: DragEvent): void {
    e.preventDefault();
    this.isOver.set(false);
    const file = e.dataTransfer?.files[0];
    if (file) void this.bring(file);
  }
  chosen(input: HTMLInputElement): void {
    const file = input.files?.[0];
    input.value = '';
    if (file) void this.bring(file);
  }
  private async bring(file: File): Promise<void> {
    this.tooLarge.set(file.size > mostBytes ? file.name : '');
    if (file.size > mostBytes) return;
    this.store.dispatch(LogActions.bring({ body: bodyOf(await file.text()) }));
  }
  write(): void {
    this.form.markAllAsTouched();
    const read = notedRowSchema.safeParse(rowOf(this.form.getRawValue()));
    if (!read.success) return;
    this.store.dispatch(LogActions.bring({ body: { noted: [read.data] } }));
    // The next page of the notebook is of the same pot and year.
    this.form.patchValue({ toPinMin: null, releaseMin: null, grain: null, note: '' });
    this.form.markAsUntouched();
  }
}

interface NotebookForm {
  day: string;
  time: string;
  dish: string;
  potId: string;
  toPinMin: number | null;
  releaseMin: number | null;
  grain: number | null;
  note: string;
}

/** What stands in the form, as a row of a notebook; what is empty is not known. */
function rowOf({ day, time, dish, potId, toPinMin, releaseMin, grain, note }: NotebookForm): Partial<NotedRow> {
  return {
    startedMs: localMs(day, time || '18:00'),
    dish,
    potId,
    ...(toPinMin === null ? {} : { toPinMin }),
    ...(releaseMin === null ? {} : { releaseMin }),
    ...(grain === null ? {} : { ratings: { grain } }),
    ...(note.trim() === '' ? {} : { note }),
  };
}

/** A file is a log of ours, or a table. */
function bodyOf(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return { csv: text };
  }
}
