import type { Routes } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState } from '@ngrx/store';
import * as eveningEffects from './evening.effects';
import { EveningPage } from './evening-page';
import { eveningFeature } from './evening.slice';

/** The evening comes with its state and its effects. */
export const eveningRoutes: Routes = [
  {
    path: '',
    component: EveningPage,
    providers: [provideState(eveningFeature), provideEffects(eveningEffects)],
    title: 'Einkorn: Evening',
  },
];
