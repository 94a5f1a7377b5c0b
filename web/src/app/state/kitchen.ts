import { inject } from '@angular/core';
import { kitchenSchema, stableJson, threeWay, type Kitchen } from '@einkorn/core';
import { TranslocoService } from '@jsverse/transloco';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { createActionGroup, createFeature, createReducer, emptyProps, on, props, Store } from '@ngrx/store';
import {
  catchError,
  combineLatest,
  concatMap,
  distinctUntilChanged,
  filter,
  forkJoin,
  from,
  map,
  Observable,
  of,
  switchMap,
  take,
  tap,
} from 'rxjs';
import { Api, failureOf, type Failure } from '../api/client';
import { onceAtRest } from '../api/leaving';
import type { Change } from '../api/change';
import { Outbox } from '../api/outbox';
import { soon } from '../api/quietly';

/** The kitchen is read by every place, so its slice stands beside them, not inside one. */
export const KitchenActions = createActionGroup({
  source: 'Kitchen',
  events: {
    Load: emptyProps(),
    /** `wanted`: what an earlier page changed and could not send */
    Loaded: props<{ kitchen: Kitchen; wanted?: Partial<Kitchen> }>(),
    Change: props<{ change: Partial<Kitchen> }>(),
    /** the server has the settings that were `sent` after so many changes, and what other screens changed */
    Saved: props<{ changes: number; sent: Kitchen; kitchen: Kitchen }>(),
    /** they wait on this device, or for an answer to a question */
    Waits: emptyProps(),
    /** reads the whole log again for what it teaches */
    Learn: emptyProps(),
    Failed: props<{ failure: Failure }>(),
  },
});

export interface KitchenState {
  kitchen: Kitchen;
  /** the settings as the server last told them */
  held: Kitchen;
  loaded: boolean;
  saving: boolean;
  /** changes made since the page was opened */
  changes: number;
  /** the server is reading the log */
  learning: boolean;
  failure: Failure | null;
}

export const kitchenFeature = createFeature({
  name: 'kitchen',
  reducer: createReducer<KitchenState>(
    {
      kitchen: kitchenSchema.parse({}),
      held: kitchenSchema.parse({}),
      loaded: false,
      saving: false,
      changes: 0,
      learning: false,
      failure: null,
    },
    // Settings that are on their way to the server stand.
    on(KitchenActions.loaded, (s, { kitchen, wanted }) => ({
      ...s,
      kitchen: withWanted(s.saving ? onTop(s.held, s.kitchen, kitchen) : kitchen, wanted),
      held: kitchen,
      loaded: true,
      learning: false,
      failure: null,
    })),
    on(KitchenActions.learn, (s) => ({ ...s, learning: true, failure: null })),
    on(KitchenActions.change, (s, { change }) => {
      const next = kitchenSchema.safeParse({ ...s.kitchen, ...change });
      return next.success ? { ...s, kitchen: next.data, saving: true, changes: s.changes + 1, failure: null } : s;
    }),
    // A change that was made while an older one travelled is still to be saved.
    on(KitchenActions.saved, (s, { changes, sent, kitchen }) => ({
      ...s,
      kitchen: onTop(sent, s.kitchen, kitchen),
      held: kitchen,
      saving: s.changes !== changes,
    })),
    on(KitchenActions.waits, (s) => ({ ...s, saving: false })),
    on(KitchenActions.failed, (s, { failure }) => ({ ...s, saving: false, learning: false, loaded: true, failure })),
  ),
});

/** The kitchen once the server has told of it, or could not: what stands here before that is nobody's. */
export const knownKitchen = (): Observable<Kitchen> =>
  inject(Store)
    .select(kitchenFeature.selectKitchenState)
    .pipe(
      filter(({ loaded }) => loaded),
      map(({ kitchen }) => kitchen),
      take(1),
    );

/** What this screen changed since it had the settings, over what the server tells now; what the log taught is the server's. */
const onTop = (had: Kitchen, own: Kitchen, told: Kitchen): Kitchen => ({
  ...threeWay(had, own, told).merged,
  learned: told.learned,
  isNew: told.isNew,
});
const withWanted = (kitchen: Kitchen, wanted: Partial<Kitchen> = {}): Kitchen => {
  const read = kitchenSchema.safeParse({ ...kitchen, ...wanted });
  return read.success ? read.data : kitchen;
};

/** The settings that a screen has changed, as the server had told them and as they are wanted. */
export function changedSettings(held: Kitchen, own: Kitchen): { had: Partial<Kitchen>; wanted: Partial<Kitchen> } {
  const keys = (Object.keys({ ...held, ...own }) as (keyof Kitchen)[]).filter(
    (k) => k !== 'learned' && k !== 'isNew' && stableJson(held[k] ?? null) !== stableJson(own[k] ?? null),
  );
  const of = (k: Kitchen): Partial<Kitchen> => Object.fromEntries(keys.map((key) => [key, k[key]]));
  return { had: of(held), wanted: of(own) };
}
const outboxKey = 'kitchen';
const changeOf = (held: Kitchen, own: Kitchen): Change => ({
  key: outboxKey,
  path: '/api/kitchen',
  body: changedSettings(held, own),
});

export const loadKitchen = createEffect(
  (actions = inject(Actions), api = inject(Api), outbox = inject(Outbox)) =>
    actions.pipe(
      ofType(KitchenActions.load),
      switchMap(() =>
        forkJoin([api.kitchen(), soon(outbox.found, [])]).pipe(
          map(([kitchen]) => {
            const wanted = outbox.of(outboxKey)?.body['wanted'] as Partial<Kitchen> | undefined;
            return KitchenActions.loaded({ kitchen, ...(wanted ? { wanted } : {}) });
          }),
          catchError((e: unknown) => of(KitchenActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

export const learnFromLog = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(KitchenActions.learn),
      switchMap(() =>
        api.learn().pipe(
          map((kitchen) => KitchenActions.loaded({ kitchen })),
          catchError((e: unknown) => of(KitchenActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

export const saveKitchen = createEffect(
  (actions = inject(Actions), outbox = inject(Outbox), store = inject(Store)) =>
    actions.pipe(
      ofType(KitchenActions.change),
      concatLatestFrom(() => store.select(kitchenFeature.selectKitchenState)),
      tap(([, { kitchen, held }]) => outbox.begin(changeOf(held, kitchen))),
      onceAtRest(300),
      // Meanwhile the server may have answered an earlier one.
      concatLatestFrom(() => store.select(kitchenFeature.selectKitchenState)),
      filter(([, { saving }]) => saving),
      concatMap(([, { kitchen: sent, held, changes }]) =>
        from(outbox.send<Kitchen>(changeOf(held, sent))).pipe(
          map((done) =>
            done.state === 'kept'
              ? KitchenActions.saved({ changes, sent, kitchen: done.value })
              : KitchenActions.waits(),
          ),
          catchError((e: unknown) => of(KitchenActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

/** Settings that had waited are at the server. */
export const sentLater = createEffect(
  (outbox = inject(Outbox)) =>
    new Observable<ReturnType<typeof KitchenActions.loaded>>((out) => {
      outbox.onKept(outboxKey, (kitchen) => out.next(KitchenActions.loaded({ kitchen: kitchen as Kitchen })));
    }),
  { functional: true },
);

/** The cook's own foods are called by the cook's names, wherever a food is named. */
export const nameOwnFoods = createEffect(
  (store = inject(Store), transloco = inject(TranslocoService)) =>
    combineLatest([
      store.select(kitchenFeature.selectKitchen).pipe(
        map(({ ownFoods }) => ownFoods),
        distinctUntilChanged(),
      ),
      transloco.langChanges$.pipe(distinctUntilChanged()),
    ]).pipe(
      tap(([all = [], language]) => {
        const food = Object.fromEntries(all.map((f) => [f.id, f.name]));
        transloco.setTranslation({ food }, language, { merge: true });
      }),
    ),
  { functional: true, dispatch: false },
);
