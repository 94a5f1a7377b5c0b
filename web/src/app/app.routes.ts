import type { Routes } from '@angular/router';

/** Every place has an address, and so has every sheet of the bench and every cook. */
export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'shelf' },
  {
    path: 'shelf',
    loadComponent: () => import('./shelf/shelf-page').then((m) => m.ShelfPage),
    title: 'Einkorn: Shelf',
  },
  { path: 'recipe', loadChildren: () => import('./recipe/recipe.routes').then((m) => m.recipeRoutes) },
  {
    path: 'bench',
    loadComponent: () => import('./bench/bench-start').then((m) => m.BenchStart),
    title: 'Einkorn: Bench',
  },
  { path: 'bench/:id', pathMatch: 'full', redirectTo: 'bench/:id/water' },
  {
    path: 'bench/:id/:sheet',
    loadComponent: () => import('./bench/bench-page').then((m) => m.BenchPage),
    title: 'Einkorn: Bench',
  },
  {
    path: 'stove',
    loadComponent: () => import('./stove/stove-start').then((m) => m.StoveStart),
    title: 'Einkorn: Stove',
  },
  {
    path: 'stove/:id',
    loadComponent: () => import('./stove/stove-page').then((m) => m.StovePage),
    title: 'Einkorn: Stove',
  },
  { path: 'log', loadComponent: () => import('./log/log-page').then((m) => m.LogPage), title: 'Einkorn: Log' },
  { path: 'log/:id', loadComponent: () => import('./log/cook-page').then((m) => m.CookPage), title: 'Einkorn: Log' },
  {
    path: 'kitchen',
    loadComponent: () => import('./kitchen/kitchen-page').then((m) => m.KitchenPage),
    title: 'Einkorn: Kitchen',
  },
  { path: '**', redirectTo: 'shelf' },
];
