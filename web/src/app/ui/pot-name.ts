import { inject, Injectable, Pipe, type PipeTransform } from '@angular/core';
import { potNamed, type OwnPot } from '@einkorn/core';
import { TranslocoService } from '@jsverse/transloco';
import { Store } from '@ngrx/store';
import { kitchenFeature } from '../state/kitchen';

/** What a pot is called: a pot of the table by the catalogue, one of the cook's own by its own name. */
@Injectable({ providedIn: 'root' })
export class PotNames {
  private readonly transloco = inject(TranslocoService);
  private readonly kitchen = inject(Store).selectSignal(kitchenFeature.selectKitchen);

  /** @param own the pot as a plan keeps it, where it may have gone from the kitchen */
  of(id: string, own?: OwnPot): string {
    const named = potNamed(this.kitchen(), id).own ?? own;
    if (named) return named.name;
    // A pot of another kitchen, in a row of the log that holds no more than its id.
    return id.startsWith('pot-')
      ? id.slice('pot-'.length).replaceAll('-', ' ')
      : this.transloco.translate(`pot-name.${id}`);
  }
}

/** `{{ plan.pot.id | potName: plan.pot.own }}`; impure, because a pot can be renamed and the language changed. */
@Pipe({ name: 'potName', pure: false })
export class PotNamePipe implements PipeTransform {
  private readonly names = inject(PotNames);
  transform(id: string, own?: OwnPot): string {
    return this.names.of(id, own);
  }
}
