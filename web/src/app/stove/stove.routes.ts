import type { Routes } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState } from '@ngrx/store';
import * as stoveEffects from './stove.effects';
import { stoveFeature } from './stove.slice';

/** The Stove comes with its state and its effects; the page of a cook is larger than the way to it. */
export const stoveRoutes: Routes = [
  {
    path: '',
    providers: [provideState(stoveFeature), provideEffects(stoveEffects)],
    title: 'Einkorn: Stove',
    children: [
      { path: '', pathMatch: 'full', loadComponent: () => import('./stove-start').then((m) => m.StoveStart) },
      { path: ':id', loadComponent: () => import('./stove-page').then((m) => m.StovePage) },
    ],
  },
];
