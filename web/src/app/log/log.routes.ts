import type { Routes } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState } from '@ngrx/store';
import { BringPage } from './bring-page';
import { ComparePage } from './compare-page';
import { CookPage } from './cook-page';
import * as bringEffects from './bring.effects';
import * as cookEffects from './cook.effects';
import * as logEffects from './log.effects';
import { LogPage } from './log-page';
import { logFeature } from './log.slice';

/** The Log and the page of one cook come with their state and their effects. */
export const logRoutes: Routes = [
  {
    path: '',
    providers: [provideState(logFeature), provideEffects(logEffects, cookEffects, bringEffects)],
    title: 'Einkorn: Log',
    children: [
      { path: '', pathMatch: 'full', component: LogPage },
      { path: 'bring', component: BringPage },
      { path: 'compare/:ids', component: ComparePage },
      { path: ':id', component: CookPage },
    ],
  },
];
