import type { Routes } from '@angular/router';

/** Every place has an address, and so has every sheet of the bench and every cook. */
export const routes: Routes = [
  { path: '', pathMatch: 'full', redirectTo: 'shelf' },
  { path: 'shelf', loadChildren: () => import('./shelf/shelf.routes').then((m) => m.shelfRoutes) },
  { path: 'shared', loadChildren: () => import('./shelf/shelf.routes').then((m) => m.sharedRoutes) },
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
  { path: 'stove', loadChildren: () => import('./stove/stove.routes').then((m) => m.stoveRoutes) },
  { path: 'evening', loadChildren: () => import('./evening/evening.routes').then((m) => m.eveningRoutes) },
  { path: 'log', loadChildren: () => import('./log/log.routes').then((m) => m.logRoutes) },
  { path: 'lab', loadChildren: () => import('./lab/lab.routes').then((m) => m.labRoutes) },
  {
    path: 'kitchen',
    loadComponent: () => import('./kitchen/kitchen-page').then((m) => m.KitchenPage),
    title: 'Einkorn: Kitchen',
  },
  {
    path: 'door',
    loadComponent: () => import('./kitchen/door-page').then((m) => m.DoorPage),
    title: 'Einkorn',
  },
  { path: '**', redirectTo: 'shelf' },
];
