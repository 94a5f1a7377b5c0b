import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { FormsModule } from '@angular/forms';
import { baseAreaCm2, pots, steamC, type Kitchen, type PotProfile } from '@einkorn/core';
import { TranslocoDirective, TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { InputNumber } from 'primeng/inputnumber';
import { Format } from '../i18n/format';
import { Choice } from '../ui/choice';
import { KitchenActions, kitchenFeature } from '../state/kitchen';

/** The Kitchen: which pot, how high above the sea, and what that does to the heat inside. */
@Component({
  selector: 'ek-kitchen-page',
  imports: [FormsModule, TranslocoDirective, Choice, InputNumber],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <div class="page" *transloco="let t">
      <div class="head">
        <h1>{{ t('kitchen.title') }}</h1>
        <span class="quiet" role="status">{{ failure() ? '' : t(saving() ? 'save.saving' : 'save.saved') }}</span>
        @if (failure(); as f) {
          <span class="stop-text" role="alert">{{ f.offline ? t('error.offline') : f.message }}</span>
        }
      </div>
      <section class="panel">
        <h2 id="pots">{{ t('kitchen.pots') }}</h2>
        <div class="pots" role="radiogroup" aria-labelledby="pots">
          @for (p of pots; track p.id) {
            <button
              type="button"
              role="radio"
              class="pot"
              [class.on]="kitchen().potId === p.id"
              [attr.aria-checked]="kitchen().potId === p.id"
              [attr.data-pot]="p.id"
              (click)="change({ potId: p.id })"
            >
              <svg viewBox="0 0 150 104" aria-hidden="true">
                <g [attr.transform]="'translate(75 98)'">
                  <path [attr.d]="body(p)" fill="var(--well)" stroke="var(--rim)" stroke-width="4" />
                  <path [attr.d]="half(p)" stroke="var(--paprika)" stroke-width="1.6" stroke-dasharray="5 4" />
                  <path [attr.d]="lid(p)" fill="none" stroke="var(--rim)" stroke-width="4.5" stroke-linecap="round" />
                </g>
              </svg>
              <strong>{{ t('pot-name.' + p.id) }}</strong>
              <span class="quiet">{{
                t('kitchen.pot-facts', {
                  w: fmt.number(p.powerW),
                  kpa: fmt.number(p.highKpa),
                  ml: fmt.number(p.minimumLiquidMl[0]),
                })
              }}</span>
              <span class="state">{{ t(kitchen().potId === p.id ? 'kitchen.in-use' : 'kitchen.use') }}</span>
            </button>
          }
        </div>
        <p class="quiet">{{ t('kitchen.pot-note') }}</p>
      </section>
      <div class="row">
        <section class="panel">
          <h2 id="alt">{{ t('kitchen.altitude') }}</h2>
          <p-inputnumber
            [ngModel]="kitchen().altitudeM"
            (ngModelChange)="altitude($event)"
            [min]="-430"
            [max]="5500"
            [step]="10"
            [showButtons]="true"
            buttonLayout="horizontal"
            suffix=" m"
            ariaLabelledBy="alt"
            [inputStyle]="{ width: '8rem', textAlign: 'center', fontSize: '22px', fontWeight: 700 }"
          />
          <table>
            <thead>
              <tr>
                <th scope="col"></th>
                <th scope="col">{{ t('kitchen.here') }}</th>
                <th scope="col">{{ t('kitchen.sea') }}</th>
              </tr>
            </thead>
            <tbody>
              @for (r of heat(); track r.key) {
                <tr>
                  <th scope="row">{{ t('kitchen.' + r.key, { kpa: r.kpa }) }}</th>
                  <td>
                    <b>{{ fmt.number(r.here, 1) }} °C</b>
                  </td>
                  <td class="quiet">{{ fmt.number(r.sea, 1) }} °C</td>
                </tr>
              }
            </tbody>
          </table>
          <p class="quiet">{{ t('kitchen.altitude-note') }}</p>
        </section>
        <section class="panel">
          <h2>{{ t('kitchen.shown') }}</h2>
          <ek-choice
            [label]="t('kitchen.units')"
            [options]="unitChoices()"
            [value]="kitchen().units"
            (valueChange)="change({ units: $event })"
          />
          <ek-choice
            [label]="t('kitchen.theme')"
            [options]="themes()"
            [value]="kitchen().theme"
            (valueChange)="change({ theme: $event })"
          />
          <ek-choice
            [label]="t('kitchen.devices')"
            [options]="deviceChoices()"
            [value]="kitchen().devices"
            (valueChange)="change({ devices: $event })"
          />
          <p class="quiet">{{ t('kitchen.devices-note') }}</p>
          <p class="quiet">{{ t('kitchen.units-note') }}</p>
          <p class="quiet">{{ t('app.safety') }}</p>
        </section>
      </div>
    </div>
  `,
  styles: `
    .page {
      max-width: 1280px;
      margin: 0 auto;
      padding: 14px 16px;
    }
    .head {
      display: flex;
      gap: 14px;
      align-items: baseline;
    }
    .panel {
      padding: 14px 18px;
    }
    .pots {
      display: grid;
      grid-template-columns: repeat(auto-fit, minmax(176px, 1fr));
      gap: 12px;
      margin: 10px 0;
    }
    .pot {
      display: grid;
      gap: 2px;
      justify-items: center;
      text-align: center;
      border: 1.5px solid var(--edge);
      border-radius: 10px;
      background: var(--enamel);
      padding: 10px 8px;
      cursor: pointer;
      min-height: 196px;
      align-content: start;
    }
    .pot.on {
      border: 3px solid var(--rim);
      background: var(--well);
    }
    .pot:disabled {
      cursor: default;
    }
    .pot svg {
      height: 104px;
    }
    .pot strong {
      font-size: 18px;
    }
    .pot .quiet {
      font-size: 15px;
    }
    .state,
    .on .state {
      color: var(--steam);
    }
    .row {
      display: grid;
      grid-template-columns: 1fr 1fr;
      gap: 8px;
    }
    table {
      border-collapse: collapse;
      margin: 12px 0;
    }
    th,
    td {
      text-align: left;
      font-weight: 400;
      padding: 5px 22px 5px 0;
      border-bottom: 1px solid var(--hair);
    }
    h2 {
      margin-bottom: 8px;
    }
    @media (max-width: 760px) {
      .row {
        grid-template-columns: 1fr;
      }
    }
  `,
})
export class KitchenPage {
  private readonly store = inject(Store);
  private readonly transloco = inject(TranslocoService);
  readonly fmt = inject(Format);
  readonly pots = pots;
  readonly kitchen = this.store.selectSignal(kitchenFeature.selectKitchen);
  readonly saving = this.store.selectSignal(kitchenFeature.selectSaving);
  readonly failure = this.store.selectSignal(kitchenFeature.selectFailure);

  readonly heat = computed(() => {
    const k = this.kitchen();
    const pot = pots.find((p) => p.id === k.potId)!;
    const row = (key: string, kpa: number): { key: string; kpa: number; here: number; sea: number } => ({
      key,
      kpa,
      here: steamC(kpa, k.altitudeM),
      sea: steamC(kpa, 0),
    });
    return [row('boils', 0), ...(pot.lowKpa === null ? [] : [row('low', pot.lowKpa)]), row('high', pot.highKpa)];
  });
  readonly unitChoices = computed(() => this.labels('units', ['metric', 'cups']));
  readonly themes = computed(() => this.labels('theme', ['auto', 'light', 'dark']));

  readonly deviceChoices = computed(() => {
    this.fmt.locale();
    return [false, true].map((value) => ({
      value,
      label: this.transloco.translate(`kitchen.devices-${value ? 'on' : 'off'}`),
    }));
  });

  private labels<V extends string>(group: string, values: readonly V[]): { value: V; label: string }[] {
    this.fmt.locale();
    return values.map((value) => ({ value, label: this.transloco.translate(`${group}.${value}`) }));
  }

  change(change: Partial<Kitchen>): void {
    this.store.dispatch(KitchenActions.change({ change }));
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
