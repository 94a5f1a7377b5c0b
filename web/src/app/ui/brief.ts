import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { starchOf, type Plan } from '@einkorn/core';
import { BandKeyPipe } from './band-key.pipe';
import { TranslocoDirective } from '@jsverse/transloco';
import { Format } from '../i18n/format';

/** The three verdicts in one line, for a screen too narrow for the strips. */
@Component({
  selector: 'ek-brief',
  imports: [BandKeyPipe, TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (starch(); as g) {
        <strong>{{ t('band.' + (g.band | bandKey: plan().family)) }}</strong>
      }
      @for (p of plan().plants; track p.ingredient) {
        <strong [class.stop-text]="p.verdict === 'hard'">{{ t('plant.' + p.verdict) }}</strong>
      }
      @for (m of plan().meats; track m.ingredient) {
        <strong [class.stop-text]="!m.ok">{{ t('meat.' + m.texture) }} {{ fmt.temperature(m.coreC) }}</strong>
      }
      <span [class.stop-text]="plan().scorch.level === 'high'"
        >{{ t('verdict.scorch') }} {{ t('scorch.' + plan().scorch.level) }}</span
      >
    </ng-container>
  `,
  styles: `
    :host {
      display: flex;
      flex-wrap: wrap;
      gap: 0 var(--space-7);
      font-size: var(--size-body);
      line-height: 1.25;
    }
  `,
})
export class Brief {
  readonly plan = input.required<Plan>();
  readonly fmt = inject(Format);
  readonly starch = computed(() => starchOf(this.plan()));
}
