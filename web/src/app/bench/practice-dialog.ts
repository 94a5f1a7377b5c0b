import { ChangeDetectionStrategy, Component, computed, inject, input, output, signal } from '@angular/core';
import { faults, type Fault, type PotFactors, type Practice } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Button } from 'primeng/button';
import { Checkbox } from 'primeng/checkbox';
import { Dialog } from 'primeng/dialog';
import { Format } from '../i18n/format';
import { Choice } from '../ui/choice';
import { Bound } from '../ui/bound';

type Trouble = 'none' | 'one-surprise' | 'chosen';

/** How to practise this dish: how fast the clock runs, what goes wrong, and who watches the pin. */
@Component({
  selector: 'ek-practice-dialog',
  imports: [Bound, TranslocoDirective, Button, Checkbox, Choice, Dialog],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <p-dialog
        [visible]="true"
        (visibleChange)="closed.emit()"
        [modal]="true"
        [closeAriaLabel]="t('app.close')"
        [header]="t('practice.title')"
        [style]="{ width: 'min(46rem, 97vw)' }"
      >
        <p>{{ t('practice.what') }}</p>
        <div class="ask">
          <ek-choice [label]="t('practice.speed')" [options]="speeds()" [(value)]="speed" />
          <ek-choice [label]="t('practice.faults')" [options]="troubles()" [(value)]="trouble" />
          @if (trouble() === 'chosen') {
            <div class="faults">
              @for (f of possible(); track f) {
                <label [for]="'fault-' + f">
                  <p-checkbox
                    [inputId]="'fault-' + f"
                    [binary]="true"
                    [ekBound]="picked().includes(f)"
                    (ekBoundChange)="pick(f, $event)"
                  />
                  {{ t('fault.' + f) }}
                </label>
              }
            </div>
          }
          @if (mine()) {
            <ek-choice [label]="t('practice.pot')" [options]="potChoices()" [(value)]="myPot" />
          }
          <ek-choice [label]="t('practice.hands')" [options]="watchers()" [(value)]="hands" />
        </div>
        <p class="quiet">{{ t('practice.mark') }}</p>
        <p class="row"><p-button [label]="t('practice.go')" (onClick)="go()" /></p>
      </p-dialog>
    </ng-container>
  `,
  styles: `
    .ask {
      display: grid;
      gap: var(--space-4);
      margin: var(--space-7) 0;
    }
    .faults {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-4) var(--space-10);
    }
    .faults label {
      display: flex;
      gap: var(--space-4);
      align-items: center;
      min-height: 34px;
    }
    .row {
      margin-top: var(--space-7);
    }
  `,
})
export class PracticeDialog {
  /** whistles are counted in this pot */
  readonly whistle = input.required<boolean>();
  /** what the log taught of the pot in use; without it there is only the table's */
  readonly mine = input<PotFactors | undefined>();
  readonly started = output<Practice>();
  readonly closed = output();
  private readonly transloco = inject(TranslocoService);
  private readonly fmt = inject(Format);
  readonly speed = signal(10);
  readonly trouble = signal<Trouble>('none');
  readonly picked = signal<Fault[]>([]);
  readonly hands = signal<Practice['hands']>('you');
  readonly myPot = signal(true);
  readonly possible = computed(() => faults.filter((f) => f !== (this.whistle() ? 'burn-cut-out' : 'late-whistle')));
  readonly speeds = computed(() => {
    this.fmt.locale();
    return [1, 5, 10, 30, 60].map((n) => ({ value: n, label: this.transloco.translate('practice.times', { n }) }));
  });
  readonly troubles = computed(() => this.labels<Trouble>(['none', 'one-surprise', 'chosen']));
  readonly potChoices = computed(() => {
    this.fmt.locale();
    return [true, false].map((value) => ({
      value,
      label: this.transloco.translate(`practice.pot-${value ? 'mine' : 'table'}`),
    }));
  });
  readonly watchers = computed(() => this.labels<Practice['hands']>(['you', 'devices'], 'hands-'));

  private labels<V extends string>(values: readonly V[], prefix = ''): { value: V; label: string }[] {
    this.fmt.locale();
    return values.map((value) => ({ value, label: this.transloco.translate(`practice.${prefix}${value}`) }));
  }
  pick(f: Fault, on: boolean): void {
    this.picked.update((p) => (on ? [...p, f] : p.filter((x) => x !== f)));
  }
  go(): void {
    this.started.emit({
      seed: Math.floor(Math.random() * 2_147_483_647),
      faults: this.trouble() === 'chosen' ? this.picked() : [],
      surprise: this.trouble() === 'one-surprise',
      speed: this.speed(),
      hands: this.hands(),
      ...(this.mine() && this.myPot() ? { pot: this.mine() } : {}),
    });
  }
}
