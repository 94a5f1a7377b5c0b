import type { Routes } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState } from '@ngrx/store';
import * as recipeEffects from './recipe.effects';
import { RecipePage } from './recipe-page';
import { recipeFeature } from './recipe.slice';

/** The page comes with its state and its effects, all of it when it is first opened. */
export const recipeRoutes: Routes = [
  {
    path: '',
    component: RecipePage,
    providers: [provideState(recipeFeature), provideEffects(recipeEffects)],
    title: 'Einkorn: New dish',
  },
];
