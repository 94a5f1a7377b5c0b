import { inject } from '@angular/core';
import { Router } from '@angular/router';
import { kitchenAt, realityOf, type Cook, type Reality, type CookEvent } from '@einkorn/core';
import { Actions, createEffect, ofType } from '@ngrx/effects';
import { concatLatestFrom } from '@ngrx/operators';
import { Store, type Action } from '@ngrx/store';
import {
  catchError,
  combineLatest,
  concatMap,
  debounceTime,
  distinctUntilChanged,
  filter,
  from,
  map,
  merge,
  mergeMap,
  Observable,
  of,
  switchMap,
  tap,
  throwError,
  timeout,
  timer,
} from 'rxjs';
import { Api, failureOf, NoAnswer } from '../api/client';
import { KitchenActions } from '../state/kitchen';
import { Planner } from '../workers/planner';
import { cookNow, type StreamReading } from './live';
import { diskMs, openCook } from './open-cook';
import { cookStore } from './cook-store';
import { StoveActions, stoveFeature } from './stove.slice';

export const open = createEffect(
  (actions = inject(Actions), api = inject(Api), store = inject(Store)) =>
    actions.pipe(
      ofType(StoveActions.open),
      concatLatestFrom(() => store.select(stoveFeature.selectCook)),
      filter(([, cook]) => cook === null),
      switchMap(([{ id }]) => openCook(cookStore.held(id), api.cook(id))),
    ),
  { functional: true },
);

export const findRunning = createEffect(
  (actions = inject(Actions), api = inject(Api)) =>
    actions.pipe(
      ofType(StoveActions.findRunning),
      switchMap(() =>
        api.runningCooks().pipe(
          map((cooks) => StoveActions.runningFound({ cooks })),
          catchError((e: unknown) => of(StoveActions.searchFailed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

/** A tap is on this browser's disk before the screen shows it: what was seen is never lost, even by a killed browser. */
export const keepTap = createEffect(
  (actions = inject(Actions), store = inject(Store)) =>
    actions.pipe(
      ofType(StoveActions.tap),
      concatLatestFrom(() => store.select(stoveFeature.selectCook)),
      concatMap(([{ event }, cook]) =>
        cook
          ? from(cookStore.keepTap(cook.id, event)).pipe(
              // A disk that does not answer must not swallow the tap: the server keeps it.
              timeout({ first: diskMs, with: () => of(undefined) }),
              map(() => StoveActions.tapKept({ event })),
            )
          : of(),
      ),
    ),
  { functional: true },
);
/** What the server has confirmed, by its answer or over the stream, needs no second copy. */
export const forgetTaps = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(StoveActions.sent, StoveActions.eventsHeard),
      mergeMap((a) => cookStore.forgetTaps(a.type === StoveActions.sent.type ? a.ids : a.events.map((e) => e.id))),
    ),
  { functional: true, dispatch: false },
);
/** The cook itself is kept too: a reload, a sleep or a closed tab without a network finds the same clocks. */
export const keepCook = createEffect(
  (store = inject(Store)) =>
    store.select(stoveFeature.selectCook).pipe(
      filter((cook) => cook !== null),
      switchMap((cook) => (cook.finishedMs === null ? cookStore.keepCook(cook) : cookStore.forgetCook(cook.id))),
    ),
  { functional: true, dispatch: false },
);

/** News of the cook that is open, as it happens: taps of other screens, devices, the practice clock. */
export const listen = createEffect(
  (actions = inject(Actions)) =>
    actions.pipe(
      ofType(StoveActions.opened, StoveActions.left),
      switchMap((a) => (a.type === StoveActions.opened.type && a.cook.finishedMs === null ? newsOf(a.cook.id) : of())),
    ),
  { functional: true },
);

/** The stream of a cook as actions; the browser itself connects again after a gap, and the whole list comes first. */
const newsOf = (id: string): Observable<Action> =>
  new Observable((out) => {
    // The service worker would hold the stream back; the page asks the server itself.
    const stream = new EventSource(`/api/cooks/${encodeURIComponent(id)}/stream?ngsw-bypass=true`);
    const on = (name: string, action: (data: never) => Action): void =>
      stream.addEventListener(name, (e: MessageEvent<string>) => out.next(action(JSON.parse(e.data) as never)));
    on('events', (d: { events: CookEvent[]; all?: boolean }) => StoveActions.eventsHeard(d));
    on('clock', (d: { atMs: number; speed: number }) =>
      StoveActions.clockHeard({ clock: { ...d, wallMs: Date.now() } }),
    );
    on('reading', (d: StreamReading) => StoveActions.readingHeard({ reading: d }));
    on('finished', (d: { finishedMs: number }) => StoveActions.finishedElsewhere(d));
    return () => stream.close();
  });

/** What a screen asks of the devices; a device that is not there does not answer, and nothing is lost by it. */
export const askDevices = createEffect(
  (actions = inject(Actions), store = inject(Store), api = inject(Api)) =>
    actions.pipe(
      ofType(StoveActions.measureAsked, StoveActions.speedAsked),
      concatLatestFrom(() => store.select(stoveFeature.selectCook)),
      concatMap(([a, cook]) =>
        cook
          ? api
              .command(
                cook.id,
                a.type === StoveActions.measureAsked.type
                  ? { kind: 'measure', what: a.what }
                  : { kind: 'speed', speed: a.speed },
              )
              .pipe(catchError(() => of(null)))
          : of(null),
      ),
    ),
  { functional: true, dispatch: false },
);

/** How often a running cook is looked at anew when nobody taps, ms of the wall clock. */
const lookEveryMs = 20_000;
const practiceLookEveryMs = 2_000;

/** Grain and meat from what has really happened, again after every tap and while something is overdue. */
export const lookAhead = createEffect(
  (store = inject(Store), planner = inject(Planner)) =>
    combineLatest([
      store.select(stoveFeature.selectCook),
      store.select(stoveFeature.selectCook).pipe(
        map((cook) => cook?.practice !== undefined),
        distinctUntilChanged(),
        switchMap((practice) => timer(0, practice ? practiceLookEveryMs : lookEveryMs)),
      ),
    ]).pipe(
      concatLatestFrom(() => store.select(stoveFeature.selectClock)),
      map(([[cook], clock]) =>
        cook && cook.finishedMs === null ? { cook, real: realityOf(cook, cookNow(cook, clock, Date.now())) } : null,
      ),
      // Half a minute more or less changes nothing that a cook would do.
      distinctUntilChanged((a, b) => rough(a) === rough(b)),
      switchMap((x) =>
        x?.real
          ? planner.outlook(x.cook.dish, kitchenAt(x.cook.plan.pot), x.cook.plan, x.real).pipe(
              map((outlook) => StoveActions.outlookFound({ outlook })),
              catchError(() => of(StoveActions.outlookFound({ outlook: null }))),
            )
          : of(StoveActions.outlookFound({ outlook: null })),
      ),
    ),
  { functional: true },
);

interface Looked {
  cook: Cook;
  real: Reality | null;
}
function rough(x: Looked | null): string {
  if (!x) return '';
  return JSON.stringify([x.cook.id, x.real], (_, v: unknown) => (typeof v === 'number' ? Math.round(v * 2) / 2 : v));
}

/** After so long without an answer the taps are sent again, ms. */
const sendMs = 10_000;

/** Sends what is not confirmed; after a failure again every few seconds. */
export const send = createEffect(
  (actions = inject(Actions), store = inject(Store), api = inject(Api)) =>
    merge(
      actions.pipe(ofType(StoveActions.tapKept, StoveActions.opened, StoveActions.unsentFound, StoveActions.sent)),
      actions.pipe(ofType(StoveActions.sendFailed), debounceTime(4000)),
    ).pipe(
      concatLatestFrom(() => store.select(stoveFeature.selectStoveState)),
      filter(([, s]) => s.cook !== null && s.unsent.length > 0),
      concatMap(([, s]) =>
        api.addEvents(s.cook!.id, s.unsent).pipe(
          // A network that swallows the request must not hold the next one back; a second sending doubles nothing.
          timeout({ first: sendMs, with: () => throwError(() => new NoAnswer()) }),
          map(({ events }) => StoveActions.sent({ ids: s.unsent.map((e) => e.id), events })),
          catchError((e: unknown) => of(StoveActions.sendFailed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

export const finish = createEffect(
  (actions = inject(Actions), store = inject(Store), api = inject(Api), router = inject(Router)) =>
    actions.pipe(
      ofType(StoveActions.finish),
      concatLatestFrom(() => store.select(stoveFeature.selectStoveState)),
      concatMap(([{ finishedMs, outcome }, s]) => {
        const cook = s.cook;
        if (!cook) return of();
        const sent: Observable<unknown> = s.unsent.length > 0 ? api.addEvents(cook.id, s.unsent) : of(null);
        return sent.pipe(
          concatMap(() => api.finishCook(cook.id, { finishedMs, outcome })),
          mergeMap((done): Action[] => [
            StoveActions.finished({ cook: done }),
            // What the water taught is shown where it was asked for.
            ...(cook.dish.calibrates ? [KitchenActions.learn()] : []),
          ]),
          tap(
            () =>
              void (cook.dish.calibrates
                ? router.navigate(['/kitchen'], { fragment: 'water' })
                : router.navigate(['/log', cook.id])),
          ),
          catchError((e: unknown) => of(StoveActions.failed({ failure: failureOf(e) }))),
        );
      }),
    ),
  { functional: true },
);
