import { Injectable } from '@angular/core';
import type { Translation, TranslocoLoader } from '@jsverse/transloco';
import { from, map, of, type Observable } from 'rxjs';
import { english } from './english';
import type { Language } from './language';

/** Catalogues ship with the app, so that the stove speaks even when the network is gone; only the one in use is loaded. */
@Injectable({ providedIn: 'root' })
export class CatalogueLoader implements TranslocoLoader {
  getTranslation(language: Language): Observable<Translation> {
    return language === 'es'
      ? from(import('./spanish')).pipe(map(({ spanish }) => spanish as Translation))
      : of(english as Translation);
  }
}
