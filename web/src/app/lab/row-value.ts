import { inject, Pipe, type PipeTransform } from '@angular/core';
import type { LessonRow, LessonRun } from '@einkorn/core';
import { TranslocoService } from '@jsverse/transloco';
import { Format } from '../i18n/format';

/** A figure of a lesson in the units of the kitchen; of a choice its word. */
@Pipe({ name: 'rowValue', pure: false })
export class RowValue implements PipeTransform {
  private readonly fmt = inject(Format);
  private readonly transloco = inject(TranslocoService);

  transform(value: number, unit: LessonRow['unit'] | LessonRun['slider']['unit'], lesson?: string): string {
    const n = (digits: number): string => this.fmt.number(value, digits);
    switch (unit) {
      case 'choice':
        return this.transloco.translate(`lab.choice.${lesson}-${value}`);
      case 'g':
        return Math.abs(value) < 20 ? this.fmt.salt(value) : this.fmt.grams(value);
      case 'ml':
        return this.fmt.ml(value);
      case 'C':
        return this.fmt.temperature(value);
      case 'mm':
        return this.fmt.length(value);
      case 'm':
        return this.fmt.height(value);
      case 'min':
        return `${n(Math.abs(value) < 10 ? 1 : 0)} min`;
      case 'percent':
        return `${n(1)} %`;
      case 'points':
        return this.fmt.counted('point', value, 1);
      case 'in100':
        return this.transloco.translate('lab.in100', { n: n(1) });
      case 'g/g':
        return `${n(2)} g/g`;
    }
  }
}
