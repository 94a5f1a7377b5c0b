import { ChangeDetectionStrategy, Component, computed, inject, input, output } from '@angular/core';
import { rxResource } from '@angular/core/rxjs-interop';
import { TranslocoDirective } from '@jsverse/transloco';
import { Button } from 'primeng/button';
import { switchMap, timer } from 'rxjs';
import { Api } from '../api/client';
import { Format } from '../i18n/format';

/** Who has spoken is asked for again while the page is open, ms. */
const askEveryMs = 5000;

/** Devices of the house that are not Einkorn's own: those that are let in, and those that have called and wait at the door. */
@Component({
  selector: 'ek-other-devices',
  imports: [TranslocoDirective, Button],
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <ng-container *transloco="let t">
      <h3>{{ t('other-devices.title') }}</h3>
      @for (d of all(); track d.device) {
        <p class="device">
          <strong>{{ d.device }}</strong>
          <span class="quiet">{{
            d.lastMs === null ? t('other-devices.silent') : t('other-devices.last', { time: fmt.time(d.lastMs) })
          }}</span>
          <p-button
            severity="secondary"
            [label]="t(d.isLetIn ? 'other-devices.shut-out' : 'other-devices.let-in')"
            [ariaLabel]="t(d.isLetIn ? 'other-devices.shut-out-one' : 'other-devices.let-in-one', { device: d.device })"
            (onClick)="toggle(d.device, !d.isLetIn)"
          />
        </p>
      } @empty {
        <p class="quiet">{{ t('other-devices.none') }}</p>
      }
      <p class="quiet">{{ t('other-devices.note') }}</p>
    </ng-container>
  `,
  styles: `
    h3 {
      margin: var(--space-6) 0 0;
    }
    .device {
      display: flex;
      flex-wrap: wrap;
      gap: var(--space-2) var(--space-6);
      align-items: center;
      min-height: var(--touch);
    }
    .device .quiet {
      flex: 1 1 8rem;
    }
  `,
})
export class OtherDevices {
  private readonly api = inject(Api);
  readonly fmt = inject(Format);
  readonly letIn = input.required<readonly string[]>();
  readonly letInChange = output<string[]>();
  private readonly spoken = rxResource({
    stream: () => timer(0, askEveryMs).pipe(switchMap(() => this.api.devices())),
  });
  readonly all = computed(() => {
    const callers = this.spoken.hasValue() ? this.spoken.value().callers : [];
    const names = new Set([...this.letIn(), ...callers.map((c) => c.device)]);
    return [...names].sort().map((device) => ({
      device,
      isLetIn: this.letIn().includes(device),
      lastMs: callers.find((c) => c.device === device)?.lastMs ?? null,
    }));
  });

  toggle(device: string, isLetIn: boolean): void {
    const others = this.letIn().filter((d) => d !== device);
    this.letInChange.emit(isLetIn ? [...others, device] : others);
  }
}
