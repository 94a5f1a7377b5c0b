import { inject, Pipe, type PipeTransform } from '@angular/core';
import { TranslocoService } from '@jsverse/transloco';
import type { Failure } from '../api/client';
import { Refusals } from './refusals';

/** A refusal in the language of the screen: `{{ failure | said }}`, `{{ message | said }}`; impure, for the language can be changed. */
@Pipe({ name: 'said', pure: false })
export class SaidPipe implements PipeTransform {
  private readonly transloco = inject(TranslocoService);
  private readonly refusals = inject(Refusals);

  transform(refused: Pick<Failure, 'message' | 'offline'> | string): string {
    if (typeof refused === 'string') return this.refusals.say(refused);
    return refused.offline ? this.transloco.translate('error.offline') : this.refusals.say(refused.message);
  }
}
