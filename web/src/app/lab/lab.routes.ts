import type { Routes } from '@angular/router';
import { provideEffects } from '@ngrx/effects';
import { provideState } from '@ngrx/store';
import * as labEffects from './lab.effects';
import { LabPage } from './lab-page';
import { labFeature } from './lab.slice';

const page = {
  component: LabPage,
  providers: [provideState(labFeature), provideEffects(labEffects)],
  title: 'Einkorn: Lab',
};
export const labRoutes: Routes = [
  { path: '', ...page },
  { path: ':lesson', ...page },
];
