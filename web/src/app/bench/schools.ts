import { ChangeDetectionStrategy, Component, computed, inject } from '@angular/core';
import { starchOf } from '@einkorn/core';
import { BandKeyPipe } from '../ui/band-key.pipe';
import { TranslocoDirective } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { Format } from '../i18n/format';
import { benchFeature } from './bench.slice';

/** The grain's scale goes a little further here: schools are often far too wet. */
const to = 80;

/** Three to one is told of risotto, a knuckle of water of plain rice; the four ratios of every grain. */
const shown = (id: string, family: string): boolean =>
  id === 'three-to-one'
    ? family === 'risotto' || family === 'porridge'
    : id === 'knuckle'
      ? family === 'plain-grain' || family === 'coated-grain'
      : true;

/** The ratios that cooks go by, each computed in this pot: hollow = the grain alone, solid = this dish. */
@Component({
  selector: 'ek-schools',
  imports: [BandKeyPipe, TranslocoDirective],
  changeDetection: ChangeDetectionStrategy.OnPush,
  // Their room is kept while they are worked out, so that nothing jumps when they come.
  host: { '[style.--lines]': 'expected()' },
  template: `
    <ng-container *transloco="let t">
      @if (schools().length > 0 && starch(); as g) {
        <section class="schools" [attr.aria-label]="t('schools.title')">
          <div class="line head">
            <strong>{{ t('schools.title') }}</strong>
            <span class="quiet ml">{{ t('schools.alone') }}</span>
            <span class="axis" aria-hidden="true">
              @for (b of bands(); track b.name) {
                <span [style.width.%]="b.width" [class.chosen]="b.name === g.band">{{
                  t('band.' + (b.name | bandKey: plan()?.family))
                }}</span>
              }
            </span>
            <span class="quiet">{{ t('schools.here') }}</span>
            <span class="quiet meant">{{ t('schools.meant-for') }}</span>
          </div>
          @for (s of schools(); track s.id) {
            <div class="line">
              <span [class.own]="s.near">{{ t('school.' + s.id) }}</span>
              <b class="ml">{{ fmt.ml(s.ml) }}</b>
              <span class="track" aria-hidden="true">
                <i
                  class="column"
                  [style.left.%]="x(g.at - g.spread)"
                  [style.width.%]="x(g.at + g.spread) - x(g.at - g.spread)"
                ></i>
                <i class="line-at" [style.left.%]="x(g.at)"></i>
                <i class="rail"></i>
                <i
                  class="arrow"
                  [style.left.%]="min(x(s.alone.index), x(s.here.index))"
                  [style.width.%]="abs(x(s.here.index) - x(s.alone.index))"
                ></i>
                <i class="hollow" [style.left.%]="x(s.alone.index)"></i>
                <i class="solid" [style.left.%]="x(s.here.index)"></i>
              </span>
              <span
                >{{ t('band.' + (s.here.band | bandKey: plan()?.family)) }},
                {{ g.kind === 'grain' ? fmt.number(s.here.index) + ' %' : '× ' + fmt.number(s.here.index, 1) }}</span
              >
              <span class="quiet meant">{{ t('school-for.' + s.id) }}</span>
            </div>
          }
        </section>
      }
    </ng-container>
  `,
  styleUrl: './schools.scss',
})
export class Schools {
  private readonly store = inject(Store);
  readonly fmt = inject(Format);
  readonly plan = this.store.selectSignal(benchFeature.selectPlan);
  private readonly raw = this.store.selectSignal(benchFeature.selectSchools);
  readonly starch = computed(() => {
    const p = this.plan();
    return p ? starchOf(p) : null;
  });
  private readonly ends = computed(() => {
    const scale = this.starch()?.scale;
    return { from: scale?.from ?? 56, to: this.starch()?.kind === 'grain' ? to : (scale?.to ?? to) };
  });
  readonly bands = computed(() => {
    const scale = this.starch()?.scale;
    if (!scale) return [];
    const { from, to: end } = this.ends();
    return scale.names.map((name, i) => {
      const a = i === 0 ? from : scale.edges[i - 1]!;
      const b = i === scale.names.length - 1 ? end : scale.edges[i]!;
      return { name, width: (100 * (b - a)) / (end - from) };
    });
  });
  readonly schools = computed(() => {
    const ml = this.plan()?.liquid.addMl ?? 0;
    return this.raw()
      .filter((s) => shown(s.id, this.plan()?.family ?? ''))
      .map((s) => ({ ...s, near: Math.abs(s.ml - ml) / ml < 0.06 }));
  });
  /** How many lines will come: one for pasta, the four ratios and what is told of this family for a grain. */
  readonly expected = computed(() => {
    const p = this.plan();
    if (!p || !this.starch()) return 0;
    if (p.pasta) return 1;
    return ['equal', 'quarter', 'half', 'double', 'three-to-one', 'knuckle'].filter((id) => shown(id, p.family)).length;
  });
  x = (index: number): number => {
    const { from, to: end } = this.ends();
    return (100 * (Math.min(end, Math.max(from, index)) - from)) / (end - from);
  };
  min = Math.min;
  abs = Math.abs;
}
