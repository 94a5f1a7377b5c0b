import { ChangeDetectionStrategy, Component, inject, input, output, signal } from '@angular/core';
import { fields, type CookEvent, type EventKind, type Happening } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Button } from 'primeng/button';
import { Dialog } from 'primeng/dialog';
import { InputNumber } from 'primeng/inputnumber';
import { InputText } from 'primeng/inputtext';
import { eventFigure, eventNote } from '../i18n/event-words';
import { Format } from '../i18n/format';
import { Bound } from '../ui/bound';

const moments = ['heat-on', 'hot', 'countdown', 'whistle', 'valve-open'] as const;

/** Whatever else happened: a moment, a measured value, a word, a timer of one's own. One tap each, with its time. */
@Component({
  selector: 'ek-write-down',
  imports: [Bound, TranslocoDirective, Button, Dialog, InputNumber, InputText],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './write-down.html',
  styles: `
    @use 'breakpoints' as *;

    .moments {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(156px, 1fr));
      gap: var(--space-4);
      margin-bottom: var(--space-8);
    }
    .moments button {
      min-height: 68px;
      border: 2px solid var(--rim);
      border-radius: 14px;
      background: var(--enamel);
      color: var(--ink);
      font-size: var(--size-head);
      line-height: 1.1;
      cursor: pointer;
      display: flex;
      gap: var(--space-4);
      align-items: center;
      justify-content: space-between;
      padding: var(--space-3) var(--space-5);
      text-align: left;
    }
    kbd {
      font: 700 var(--size-note) var(--read);
      border: 1.5px solid var(--edge);
      border-radius: 6px;
      padding: 1px var(--space-5);
    }
    .values {
      display: grid;
      grid-template-columns: minmax(130px, auto) 1fr auto;
      gap: var(--space-5) var(--space-7);
      align-items: center;
      font-size: var(--size-body);
    }
    .two {
      display: flex;
      gap: var(--space-4);
    }
    .two input {
      flex: 1;
      min-width: 0;
    }
    .so-far {
      margin-top: var(--space-7);
      font-size: var(--size-text);
      max-height: 96px;
      overflow: auto;
    }
    .so-far span {
      display: inline-block;
      margin-right: var(--space-7);
    }
    @media #{$phone} {
      .values {
        grid-template-columns: 1fr;
      }
    }
  `,
})
export class WriteDown {
  readonly fields = fields;
  readonly events = input.required<readonly CookEvent[]>();
  /** devices take part, so thermometer and scale can be asked */
  readonly devices = input.required<boolean>();
  readonly happened = output<Happening>();
  readonly measure = output<'temperature' | 'weight'>();
  readonly closed = output();
  readonly fmt = inject(Format);
  readonly moments = moments;
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
