import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { bandEdges, type Plan } from '@einkorn/core';
import { TranslocoDirective } from '@jsverse/transloco';
import { Format } from '../i18n/format';
import { VerdictStrip } from './verdict-strip';

/** The three verdicts of a plan: grain, meat, scorch. */
@Component({
  selector: 'ek-verdicts',
  imports: [TranslocoDirective, VerdictStrip],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      @if (plan().grain; as g) {
        <ek-verdict-strip
          data-strip="grain"
          [kind]="t('verdict.grain')"
          [verdict]="t('band.' + g.band) + ', ' + fmt.number(g.textureIndex) + ' %'"
          [note]="t('verdict.chance', { n: chance() })"
          fill="url(#p-grain)"
          tint="var(--turmeric-tint)"
          [from]="56"
          [to]="78"
          [bands]="[
            { label: t('band.hard'), to: edges[0] },
            { label: t('band.firm'), to: edges[1] },
            { label: t('band.fluffy'), to: edges[2] },
            { label: t('band.soft'), to: edges[3] },
            { label: t('band.mushy'), to: 78 },
          ]"
          [at]="g.textureIndex"
          [low]="g.textureIndex - g.spreadPoints"
          [high]="g.textureIndex + g.spreadPoints"
          [edges]="edgeTexts()"
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
        <div class="none quiet">{{ t('verdict.no-meat') }}</div>
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
        tint="var(--leaf-tint)"
        [from]="0"
        [to]="1"
        [bands]="[
          { label: t('scorch.low'), to: 0.25 },
          { label: t('scorch.watch'), to: 0.55 },
          { label: t('scorch.high'), to: 1 },
        ]"
        [at]="scorchAt()"
        [low]="scorchAt() - 0.03"
        [high]="scorchAt() + 0.04"
        [alarm]="plan().scorch.level === 'high'"
      />
    </ng-container>
  `,
  styles: `
    :host {
      display: block;
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
  readonly edges = bandEdges;

  readonly chance = computed(() => Math.round((this.plan().grain?.bandChance ?? 0) * 100));
  readonly edgeTexts = computed(() => bandEdges.map((e) => ({ at: e, text: this.fmt.number(e, 1) })));
  readonly worst = computed(
    () =>
      [...this.plan().meats].sort((a, b) => a.cautiousCoreC - a.safeMinimumC - (b.cautiousCoreC - b.safeMinimumC))[0],
  );
  /** The strongest points first: what pulls the risk up, then what pulls it down. */
  readonly reasons = computed(() =>
    [...this.plan().scorch.reasons].sort((a, b) => b.points - a.points).map((r) => r.code),
  );
  /** The three levels share the width unevenly, so that the words fit: 12 and 35 % stand at a quarter and 55 %. */
  readonly scorchAt = computed(() => {
    const i = this.plan().scorch.index;
    return i < 0.12
      ? (i / 0.12) * 0.25
      : i < 0.35
        ? 0.25 + ((i - 0.12) / 0.23) * 0.3
        : 0.55 + ((i - 0.35) / 0.65) * 0.45;
  });
}
