import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { bandKey, starchOf, worstMeat, type Plan, type Starch } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Format } from '../i18n/format';
import { starchSaid } from './starch-said';
import { VerdictStrip, type Band } from './verdict-strip';

/** The three verdicts of a plan: grain, meat, scorch. */
@Component({
  selector: 'ek-verdicts',
  imports: [TranslocoDirective, VerdictStrip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  templateUrl: './verdicts.html',
  styles: `
    :host {
      display: block;
    }
    .none strong {
      font-size: var(--size-step);
      margin-right: var(--space-4);
    }
    .none {
      border-top: 1px solid var(--hair);
      padding: var(--space-4) 0;
      font-size: var(--size-note);
    }
  `,
})
export class Verdicts {
  readonly plan = input.required<Plan>();
  readonly fmt = inject(Format);
  readonly starch = computed(() => starchOf(this.plan()));
  round = Math.round;
  readonly scorchTint = { low: 'var(--leaf-tint)', watch: 'var(--turmeric-tint)', high: 'var(--paprika-tint)' };

  readonly starchSaid = starchSaid;
  bands(t: (key: string) => string, g: Starch): Band[] {
    return g.scale.names.map((name, i) => ({
      label: t('band.' + bandKey(this.plan().family, name)),
      to: g.scale.edges[i] ?? g.scale.to,
    }));
  }
  edgeTexts(g: Starch): { at: number; text: string }[] {
    return g.scale.edges.map((at) => ({ at, text: this.fmt.number(at, g.kind === 'grain' ? 1 : 2) }));
  }
  readonly worst = computed(() => worstMeat(this.plan()));
  /** crumbs and slices are measured in the middle of the pot */
  readonly measured = computed(() =>
    this.plan().finish.some((f) => f.code === 'check-pot') ? 'thermometer-pot' : 'thermometer',
  );
  /** The strongest points first: what pulls the risk up, then what pulls it down. */
  readonly reasons = computed(() =>
    [...this.plan().scorch.reasons].sort((a, b) => b.points - a.points).map((r) => r.code),
  );
  /** The three levels share the width unevenly, so that the words fit: 12 and 35 % stand at a quarter and 55 %. */
  readonly scorchAt = computed(() => scorchX(this.plan().scorch.index));
  readonly scorchLow = computed(() => scorchX(this.plan().scorch.low ?? this.plan().scorch.index));
  readonly scorchHigh = computed(() => scorchX(this.plan().scorch.high ?? this.plan().scorch.index));
}

const scorchX = (i: number): number =>
  i < 0.12 ? (i / 0.12) * 0.25 : i < 0.35 ? 0.25 + ((i - 0.12) / 0.23) * 0.3 : 0.55 + ((i - 0.35) / 0.65) * 0.45;
