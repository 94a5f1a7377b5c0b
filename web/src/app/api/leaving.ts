import { debounce, filter, fromEvent, merge, race, timer, type MonoTypeOperatorFunction } from 'rxjs';

/** The page is left: it goes away, or nobody looks at it and the browser may end it. */
export const leaving = merge(
  fromEvent(window, 'pagehide'),
  fromEvent(document, 'visibilitychange').pipe(filter(() => document.hidden)),
);

/** The last of what comes within so many ms; at once where the page is left, for nobody may come back to it. */
export const onceAtRest = <T>(ms: number): MonoTypeOperatorFunction<T> => debounce(() => race(timer(ms), leaving));
