import { HttpErrorResponse, HttpResponse, type HttpInterceptorFn, type HttpRequest } from '@angular/common/http';
import { inject, Injectable, signal } from '@angular/core';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { catchError, from, map, tap, throwError } from 'rxjs';
import { quietly } from './quietly';

/** An answer of the server as it was. */
export interface Kept {
  url: string;
  body: unknown;
  atMs: number;
}
interface Own extends DBSchema {
  answers: { key: string; value: Kept };
}

/** Answers of the last visit on this browser's disk, and whether the screens show them now. A browser that keeps nothing only has no offline copy. */
@Injectable({ providedIn: 'root' })
export class LastVisit {
  private opening: Promise<IDBPDatabase<Own>> | null = null;
  /** the moment of the oldest answer that is shown instead of the server's own; null while it answers */
  readonly asOfMs = signal<number | null>(null);

  private database(): Promise<IDBPDatabase<Own>> {
    this.opening ??= openDB<Own>('einkorn-last-visit', 1, {
      upgrade: (db) => void db.createObjectStore('answers', { keyPath: 'url' }),
    });
    return this.opening;
  }

  keep(kept: Kept): Promise<void> {
    return quietly(async () => void (await (await this.database()).put('answers', kept)), undefined);
  }
  find(url: string): Promise<Kept | null> {
    return quietly(async () => (await (await this.database()).get('answers', url)) ?? null, null);
  }
  /** A screen that was shut out keeps nothing of the house. */
  forget(): Promise<void> {
    return quietly(async () => (await this.database()).clear('answers'), undefined);
  }

  answered(): void {
    this.asOfMs.set(null);
  }
  shown(atMs: number): void {
    this.asOfMs.update((oldest) => Math.min(oldest ?? atMs, atMs));
  }
}

/**
 * What is kept of a visit: the kitchen, the dishes and the log as it opens. A running cook has a copy of its own, with its
 * taps (cook-store); a search is not kept, so that there is no end to it.
 */
const keptPaths = /^\/api\/(?:kitchen$|dishes(?:$|[/?])|cooks(?:$|\?(?!.*\b(?:running|text|after)=)))/;
export const isKept = ({ method, urlWithParams }: Pick<HttpRequest<unknown>, 'method' | 'urlWithParams'>): boolean =>
  method === 'GET' && keptPaths.test(urlWithParams);

/** Nobody answered, or only a proxy before a server that is away. */
const isAway = (e: unknown): boolean => e instanceof HttpErrorResponse && (e.status === 0 || e.status >= 502);

/** A dish that was not opened, as the shelf had it. */
async function ofShelf(visit: LastVisit, url: string): Promise<Kept | null> {
  const id = /^\/api\/dishes\/([^/?]+)$/.exec(url)?.[1];
  const shelf = id === undefined ? null : await visit.find('/api/dishes');
  const dish = (shelf?.body as { id: string }[] | undefined)?.find((d) => encodeURIComponent(d.id) === id);
  return shelf && dish ? { url, body: dish, atMs: shelf.atMs } : null;
}

/** Keeps the answers of a visit, and gives them again while the server does not answer. */
export const lastVisit: HttpInterceptorFn = (request, next) => {
  const visit = inject(LastVisit);
  const url = request.urlWithParams;
  return next(request).pipe(
    tap((e) => {
      if (!(e instanceof HttpResponse)) return;
      visit.answered();
      if (isKept(request)) void visit.keep({ url, body: e.body, atMs: Date.now() });
    }),
    catchError((e: unknown) => {
      if (!isAway(e) || !isKept(request)) return throwError(() => e);
      return from(visit.find(url).then((kept) => kept ?? ofShelf(visit, url))).pipe(
        map((kept) => {
          if (!kept) throw e;
          visit.shown(kept.atMs);
          return new HttpResponse({ url, body: kept.body, status: 200 });
        }),
      );
    }),
  );
};
