import type { Cook, CookEvent } from '@einkorn/core';
import type { Action } from '@ngrx/store';
import { catchError, concat, from, map, of, switchMap, throwError, timeout, type Observable } from 'rxjs';
import { failureOf, NoAnswer } from '../api/client';
import { StoveActions } from './stove.slice';

/** What this browser kept of a cook: the cook as it last knew it, and taps that the server may not have. */
export interface Held {
  cook: Cook | null;
  unsent: CookEvent[];
}

/** A disk that is slower than this is not waited for: its taps come after the screen. */
export const diskMs = 2000;
/** A network that says neither yes nor no for so long counts as away when this browser knows the cook itself. */
const serverMs = 4000;

/**
 * Opens a cook from whatever answers: the server and this browser's own disk are asked side by side, and neither can hold
 * the screen up for long while the other knows the cook.
 * @param held what the disk kept; never rejects
 * @param server the cook from the server
 * @returns opened (and unsentFound, when the disk was late), or failed
 */
export function openCook(held: Promise<Held>, server: Observable<Cook>): Observable<Action> {
  const own = from(held);
  return asked(own, server).pipe(
    map((cook): Answer => ({ cook })),
    catchError((error: unknown) => of<Answer>({ error })),
    switchMap((answer) => ('cook' in answer ? fromServer(answer.cook, own) : fromDisk(answer.error, own))),
  );
}

type Answer = { cook: Cook } | { error: unknown };

const asked = (own: Observable<Held>, server: Observable<Cook>): Observable<Cook> =>
  server.pipe(
    timeout({
      first: serverMs,
      // Asked again without a limit when this browser has nothing to show instead.
      with: () => own.pipe(switchMap((h) => (h.cook ? throwError(() => new NoAnswer()) : server))),
    }),
  );

const fromServer = (cook: Cook, own: Observable<Held>): Observable<Action> =>
  own.pipe(
    map(({ unsent }): Action => StoveActions.opened({ cook, unsent, fromServer: true })),
    timeout({
      first: diskMs,
      with: () =>
        concat(
          of(StoveActions.opened({ cook, unsent: [], fromServer: true })),
          own.pipe(map(({ unsent }) => StoveActions.unsentFound({ cookId: cook.id, unsent }))),
        ),
    }),
  );

/** Without the network the stove goes on from what this browser knows. */
const fromDisk = (error: unknown, own: Observable<Held>): Observable<Action> => {
  const failure = failureOf(error);
  return own.pipe(
    map(({ cook, unsent }) =>
      failure.offline && cook
        ? StoveActions.opened({ cook, unsent, fromServer: false })
        : StoveActions.failed({ failure }),
    ),
  );
};
