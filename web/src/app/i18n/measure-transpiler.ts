import { inject, Injectable, Injector } from '@angular/core';
import { measuredIn, measures, type Measure, type Params } from '@einkorn/core';
import { DefaultTranspiler, type TranspileParams } from '@jsverse/transloco';
import { Format } from './format';

const measured = new RegExp(String.raw`\{\{\s*(\w+):(${measures.join('|')})\s*\}\}`, 'g');

/** Fills `{{ c:temperature }}` of the catalogue in the units of the kitchen; the sentences hold no units of their own. */
@Injectable()
export class MeasureTranspiler extends DefaultTranspiler {
  /** asked for late: a format needs the catalogue that is filled here */
  private readonly injector = inject(Injector);

  override transpile(asked: TranspileParams): unknown {
    const { value } = asked;
    if (typeof value !== 'string' || !value.includes(':')) return super.transpile(asked);
    return super.transpile({ ...asked, value: this.filled(value, asked.params ?? {}) });
  }

  private filled(text: string, params: Params): string {
    return text.replace(measured, (_, name: string, measure: Measure) => {
      const x = measuredIn(name, params);
      return typeof x === 'number' ? this.injector.get(Format).measure(measure, x) : x;
    });
  }
}
