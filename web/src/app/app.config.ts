import { provideHttpClient, withFetch, withInterceptors } from '@angular/common/http';
import {
  inject,
  isDevMode,
  provideAppInitializer,
  provideZonelessChangeDetection,
  type ApplicationConfig,
} from '@angular/core';
import {
  provideRouter,
  withComponentInputBinding,
  withInMemoryScrolling,
  withNavigationErrorHandler,
} from '@angular/router';
import {
  provideTransloco,
  provideTranslocoMissingHandler,
  provideTranslocoTranspiler,
  TranslocoService,
} from '@jsverse/transloco';
import { provideEffects } from '@ngrx/effects';
import { provideState, provideStore } from '@ngrx/store';
import { provideServiceWorker } from '@angular/service-worker';
import { MessageService } from 'primeng/api';
import { providePrimeNG } from 'primeng/config';
import { routes } from './app.routes';
import { openAnew } from './api/gone-part';
import { lastVisit } from './api/last-visit';
import { noKey } from './api/no-key';
import { pastWorker } from './api/past-worker';
import * as benchEffects from './bench/bench.effects';
import { benchFeature } from './bench/bench.slice';
import { languageOf, languages, speak } from './i18n/language';
import { CatalogueLoader } from './i18n/loader';
import { MeasureTranspiler } from './i18n/measure-transpiler';
import { MissingWords } from './i18n/missing';
import * as kitchenEffects from './state/kitchen';
import { kitchenFeature } from './state/kitchen';
import { enamelPreset } from './theme/preset';

export const appConfig: ApplicationConfig = {
  providers: [
    provideZonelessChangeDetection(),
    provideRouter(
      routes,
      withComponentInputBinding(),
      withInMemoryScrolling({ anchorScrolling: 'enabled' }),
      withNavigationErrorHandler(({ error, url }) => openAnew(error, url, sessionStorage, (to) => location.assign(to))),
    ),
    provideHttpClient(withFetch(), withInterceptors([pastWorker, noKey, lastVisit])),
    provideStore(),
    provideState(kitchenFeature),
    provideState(benchFeature),
    // What is seen in every place; each place brings the rest with its route.
    provideEffects(
      {
        loadKitchen: kitchenEffects.loadKitchen,
        learnFromLog: kitchenEffects.learnFromLog,
        saveKitchen: kitchenEffects.saveKitchen,
        sentLater: kitchenEffects.sentLater,
        nameOwnFoods: kitchenEffects.nameOwnFoods,
      },
      benchEffects,
    ),
    provideTransloco({
      config: { availableLangs: [...languages], defaultLang: 'en', reRenderOnLangChange: true, prodMode: !isDevMode() },
      loader: CatalogueLoader,
    }),
    // The first picture is in the browser's language; the kitchen's own word for it comes with the kitchen.
    provideAppInitializer(() => speak(inject(TranslocoService), languageOf({ language: 'auto' }))),
    provideTranslocoMissingHandler(MissingWords),
    provideTranslocoTranspiler(MeasureTranspiler),
    providePrimeNG({
      theme: { preset: enamelPreset, options: { darkModeSelector: '[data-theme="dark"]', cssLayer: false } },
      csp: { nonce: document.querySelector('[ngCspNonce]')?.getAttribute('ngCspNonce') ?? undefined },
    }),
    MessageService,
    // A page once opened opens again without a network: the stove must not depend on it.
    // Registered once the page is quiet, so that it does not slow the first verdict.
    // eslint-disable-next-line @typescript-eslint/no-unsafe-class-instance-assignment -- the framework takes a literal here
    provideServiceWorker('ngsw-worker.js', { enabled: !isDevMode(), registrationStrategy: 'registerWhenStable:4000' }),
  ],
};
