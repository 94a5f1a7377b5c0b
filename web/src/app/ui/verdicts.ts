import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { starchOf, worstMeat, type Plan, type Starch } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Format } from '../i18n/format';
import { VerdictStrip, type Band } from './verdict-strip';

/** The three verdicts of a plan: grain, meat, scorch. */
@Component({
  selector: 'ek-verdicts',
  imports: [TranslocoDirective, VerdictStrip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (starch(); as g) {
        <ek-verdict-strip
          data-strip="grain"
          [kind]="t('verdict.' + g.kind)"
          [verdict]="said(t, g)"
          [note]="t('verdict.chance', { n: round(g.chance * 100) })"
          fill="url(#p-grain)"
          tint="var(--turmeric-tint)"
          [from]="g.scale.from"
          [to]="g.scale.to"
          [bands]="bands(t, g)"
          [at]="g.at"
          [low]="g.at - g.spread"
          [high]="g.at + g.spread"
          [edges]="edgeTexts(g)"
        />
      }
      @if (worst(); as m) {
        <ek-verdict-strip
          data-strip="meat"
          [kind]="t('verdict.meat')"
          [verdict]="t('meat.' + m.texture) + ', ' + fmt.celsius(m.coreC)"
          [note]="t('verdict.thermometer')"
          [alarm]="!m.ok"
          fill="url(#p-meat)"
          tint="var(--plum-tint)"
          [from]="40"
          [to]="110"
          [bands]="[
            { label: t('verdict.not-yet'), to: m.safeMinimumC },
            { label: t('verdict.past-minimum'), to: 110 },
          ]"
          [at]="m.coreC"
          [low]="m.cautiousCoreC"
          [high]="m.coreC"
          [limit]="{ at: m.safeMinimumC, text: t('verdict.minimum', { c: fmt.number(m.safeMinimumC) }) }"
        />
      } @else {
        @for (p of plan().plants; track p.ingredient) {
          <div class="none">
            <strong [class.stop-text]="p.verdict === 'hard'">{{ t('plant.' + p.verdict) }}</strong>
            <span class="quiet">{{ t('plant.softness', { min: fmt.number(p.softMeanMin) }) }}</span>
          </div>
        } @empty {
          <div class="none quiet">{{ t('verdict.no-meat') }}</div>
        }
      }
      <ek-verdict-strip
        data-strip="scorch"
        [kind]="t('verdict.scorch')"
        [verdict]="
          t('scorch.' + plan().scorch.level) +
          ', ' +
          (plan().scorch.index < 0.01 ? '< 1 %' : fmt.percent(plan().scorch.index))
        "
        [note]="reasons().length > 0 ? t('scorch-reason.' + reasons()[0]) : t('scorch-reason.clean')"
        fill="url(#p-heat)"
        [tint]="scorchTint[plan().scorch.level]"
        [from]="0"
        [to]="1"
        [bands]="[
          { label: t('scorch.low'), to: 0.25 },
          { label: t('scorch.watch'), to: 0.55 },
          { label: t('scorch.high'), to: 1 },
        ]"
        [at]="scorchAt()"
        [low]="scorchLow()"
        [high]="scorchHigh()"
        [alarm]="plan().scorch.level === 'high'"
      />
    </ng-container>
  `,
  styles: `
    :host {
      display: block;
    }
    .none strong {
      font-size: 22px;
      margin-right: 8px;
    }
    .none {
      border-top: 1px solid var(--hair);
      padding: 8px 0;
      font-size: 15px;
    }
  `,
})
export class Verdicts {
  readonly plan = input.required<Plan>();
  readonly fmt = inject(Format);
  readonly starch = computed(() => starchOf(this.plan()));
  round = Math.round;
  readonly scorchTint = { low: 'var(--leaf-tint)', watch: 'var(--turmeric-tint)', high: 'var(--paprika-tint)' };

  said(t: (key: string) => string, g: Starch): string {
    return `${t('band.' + g.band)}, ${g.kind === 'grain' ? `${this.fmt.number(g.at)} %` : `× ${this.fmt.number(g.at, 1)}`}`;
  }
  bands(t: (key: string) => string, g: Starch): Band[] {
    return g.scale.names.map((name, i) => ({ label: t('band.' + name), to: g.scale.edges[i] ?? g.scale.to }));
  }
  edgeTexts(g: Starch): { at: number; text: string }[] {
    return g.scale.edges.map((at) => ({ at, text: this.fmt.number(at, g.kind === 'grain' ? 1 : 2) }));
  }
  readonly worst = computed(() => worstMeat(this.plan()));
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
