import { HttpErrorResponse } from '@angular/common/http';
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
  distinctUntilChanged,
  filter,
  from,
  map,
  merge,
  mergeMap,
  Observable,
  of,
  switchMap,
  timeout,
  timer,
} from 'rxjs';
import { answeredWithin, Api, failureOf, mayWorkLater } from '../api/client';
import { HouseClock } from '../state/clock';
import { KitchenActions } from '../state/kitchen';
import { Planner } from '../workers/planner';
import { cookNow, type StreamReading } from './live';
import { diskMs, openCook } from './open-cook';
import { backOff } from '../api/back-off';
import { cookChange } from '../api/cook-change';
import { cookStore } from '../api/cook-store';
import { Outbox } from '../api/outbox';
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
              timeout({ first: diskMs, with: () => of(false) }),
              map((isOnDisk) => StoveActions.tapKept({ event, isOnDisk })),
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
      ofType(StoveActions.sent, StoveActions.refused, StoveActions.eventsHeard),
      mergeMap((a) => cookStore.forgetTaps('ids' in a ? a.ids : a.events.map((e) => e.id))),
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
  (actions = inject(Actions), clock = inject(HouseClock)) =>
    actions.pipe(
      ofType(StoveActions.opened, StoveActions.left),
      switchMap((a) =>
        a.type === StoveActions.opened.type && a.cook.finishedMs === null ? newsOf(a.cook.id, clock) : of(),
      ),
    ),
  { functional: true },
);

/** The stream of a cook as actions; the browser itself connects again after a gap, and the whole list comes first. */
const newsOf = (id: string, clock: HouseClock): Observable<Action> =>
  new Observable((out) => {
    // The service worker would hold the stream back; the page asks the server itself.
    const stream = new EventSource(`/api/cooks/${encodeURIComponent(id)}/stream?ngsw-bypass=true`);
    const on = (name: string, action: (data: never) => Action): void =>
      stream.addEventListener(name, (e: MessageEvent<string>) => out.next(action(JSON.parse(e.data) as never)));
    on('events', (d: { events: CookEvent[]; all?: boolean }) => StoveActions.eventsHeard(d));
    on('clock', (d: { atMs: number; speed: number }) =>
      StoveActions.clockHeard({ clock: { ...d, wallMs: clock.now() } }),
    );
    on('reading', (d: StreamReading) => StoveActions.readingHeard({ reading: d }));
    on('finished', (d: { finishedMs: number }) => StoveActions.finishedElsewhere(d));
    on('taken-up', () => StoveActions.takenUp());
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
  (store = inject(Store), planner = inject(Planner), house = inject(HouseClock)) =>
    combineLatest([
      store.select(stoveFeature.selectCook),
      store.select(stoveFeature.selectCook).pipe(
        map((cook) => cook?.practice !== undefined),
        distinctUntilChanged(),
        switchMap((practice) => timer(0, practice ? practiceLookEveryMs : lookEveryMs)),
      ),
    ]).pipe(
      concatLatestFrom(() => store.select(stoveFeature.selectClock)),
      map(([[cook], practice]) =>
        cook && cook.finishedMs === null ? { cook, real: realityOf(cook, cookNow(cook, practice, house.now())) } : null,
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

/** Sends what is not confirmed; after a failure again, later and later. */
export const send = createEffect(
  (actions = inject(Actions), store = inject(Store), api = inject(Api)) =>
    merge(
      actions.pipe(ofType(StoveActions.tapKept, StoveActions.opened, StoveActions.unsentFound, StoveActions.sent)),
      triedAgain(actions),
    ).pipe(
      concatLatestFrom(() => store.select(stoveFeature.selectStoveState)),
      filter(([, s]) => s.cook !== null && s.unsent.length > 0),
      concatMap(([, s]) => sendAll(api, s.cook!.id, s.unsent)),
    ),
  { functional: true },
);

const triedAgain = (actions: Observable<Action>): Observable<null> =>
  new Observable<null>((out) => {
    const tries = backOff(() => out.next(null));
    const failed = actions.pipe(ofType(StoveActions.sendFailed)).subscribe(tries.again);
    failed.add(actions.pipe(ofType(StoveActions.sent)).subscribe(tries.done));
    return failed;
  });

/** A batch that is refused is sent tap by tap: one that cannot be kept must not take the others with it. */
function sendAll(api: Api, cookId: string, events: CookEvent[]): Observable<Action> {
  const ids = events.map((e) => e.id);
  return api.addEvents(cookId, events).pipe(
    // A network that swallows the request must not hold the next one back; a second sending doubles nothing.
    answeredWithin(sendMs),
    map((kept): Action => StoveActions.sent({ ids, events: kept.events })),
    catchError((e: unknown) => {
      const failure = failureOf(e);
      if (mayWorkLater(e) || !(e instanceof HttpErrorResponse)) return of(StoveActions.sendFailed({ failure }));
      if (events.length > 1) return from(events).pipe(concatMap((one) => sendAll(api, cookId, [one])));
      return of(StoveActions.refused({ ids, failure }));
    }),
  );
}
/** A cook that was over goes on where it was. */
export const takeUp = createEffect(
  (actions = inject(Actions), store = inject(Store), api = inject(Api)) =>
    actions.pipe(
      ofType(StoveActions.takeUp),
      concatLatestFrom(() => store.select(stoveFeature.selectCook)),
      filter(([, cook]) => cook !== null),
      concatMap(([, cook]) =>
        api.changeCook(cook!.id, { finishedMs: null }).pipe(
          mergeMap((now) => [StoveActions.takenUp(), StoveActions.opened({ cook: now, unsent: [], fromServer: true })]),
          catchError((e: unknown) => of(StoveActions.failed({ failure: failureOf(e) }))),
        ),
      ),
    ),
  { functional: true },
);

export const finish = createEffect(
  (actions = inject(Actions), store = inject(Store), outbox = inject(Outbox), router = inject(Router)) =>
    actions.pipe(
      ofType(StoveActions.finish),
      concatLatestFrom(() => store.select(stoveFeature.selectCook)),
      concatMap(([{ finishedMs, outcome }, cook]) => {
        if (!cook) return of();
        const change = cookChange(cook.id, { finishedMs, outcome, had: cook.outcome });
        return from(outbox.send<Cook>(change)).pipe(
          mergeMap((done): Action[] => {
            const over = done.state === 'kept' ? done.value : { ...cook, finishedMs, outcome };
            // The list opens without the server, the page of one cook does not.
            const path = done.state === 'kept' ? ['/log', cook.id] : ['/log'];
            void (cook.dish.calibrates ? router.navigate(['/kitchen'], { fragment: 'water' }) : router.navigate(path));
            // What the water taught is shown where it was asked for.
            return [StoveActions.finished({ cook: over }), ...(cook.dish.calibrates ? [KitchenActions.learn()] : [])];
          }),
          catchError((e: unknown) => of(StoveActions.failed({ failure: failureOf(e) }))),
        );
      }),
    ),
  { functional: true },
);
