import { Injectable } from '@angular/core';
import type { Translation, TranslocoLoader } from '@jsverse/transloco';
import { of, type Observable } from 'rxjs';
import en from './en.json';

/** Catalogues ship with the app, so that the stove speaks even when the network is gone. */
@Injectable({ providedIn: 'root' })
export class CatalogueLoader implements TranslocoLoader {
  getTranslation(): Observable<Translation> {
    return of(en as Translation);
  }
}
