import { Injectable } from '@angular/core';
import type { Translation, TranslocoLoader } from '@jsverse/transloco';
import { of, type Observable } from 'rxjs';
import { englishWords } from '@einkorn/core';
import own from './en.json';

type Sections = Readonly<Record<string, Readonly<Record<string, unknown>>>>;

/** The words of the core and those of the screens, section by section: no sentence stands in both. */
const joined = <C extends Sections, S extends Sections>(core: C, screens: S): C & S => {
  const sections = new Set([...Object.keys(core), ...Object.keys(screens)]);
  return Object.fromEntries([...sections].map((s) => [s, { ...core[s], ...screens[s] }])) as C & S;
};
export const english = joined(englishWords, own);

/** Catalogues ship with the app, so that the stove speaks even when the network is gone. */
@Injectable({ providedIn: 'root' })
export class CatalogueLoader implements TranslocoLoader {
  getTranslation(): Observable<Translation> {
    return of(english as Translation);
  }
}
