import type { Routes } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState } from '@ngrx/store';
import { SharedPage } from './shared-page';
import * as shelfEffects from './shelf.effects';
import { ShelfPage } from './shelf-page';
import { shelfFeature } from './shelf.slice';

const providers = [provideState(shelfFeature), provideEffects(shelfEffects)];

/** The Shelf comes with its state and its effects, all of it when it is first opened. */
export const shelfRoutes: Routes = [{ path: '', component: ShelfPage, providers, title: 'Einkorn: Shelf' }];
/** A dish in a link goes on the same shelf. */
export const sharedRoutes: Routes = [
  { path: '', component: SharedPage, providers, title: 'Einkorn: A dish in a link' },
];
