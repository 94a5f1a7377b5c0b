import { inject, Injectable } from '@angular/core';
import { saidAgain } from '@einkorn/core';
import { TranslocoService } from '@jsverse/transloco';

/** What a schema, the planner or the server refuses, in the language of the screen; they say it in English. */
@Injectable({ providedIn: 'root' })
export class Refusals {
  private readonly transloco = inject(TranslocoService);

  say(message: string): string {
    const language = this.transloco.getActiveLang();
    if (language === 'en') return message;
    const texts = this.transloco.getTranslation(language) as Readonly<Record<string, string>>;
    return saidAgain(message, (section, code) => texts[`${section}.${code}`]!);
  }
}
