import { HttpClient, HttpErrorResponse, HttpEventType } from '@angular/common/http';
import { Injectable, inject } from '@angular/core';
import type { Cook, CookPage, Debrief, Dish, Issue, Kitchen, LogOutcome, LogSort, CookEvent } from '@einkorn/core';
import { map, throwError, timeout, type MonoTypeOperatorFunction, type Observable } from 'rxjs';

export interface StoredDish {
  id: string;
  revision: number;
  updatedMs: number;
  dish: Dish;
}

/** What came of cooks that were brought in. */
export interface BringReport {
  added: number;
  already: number;
  newDishes: number;
  leftOut: { at: string; message: string }[];
}

/** Which cooks of the log, in which order; what is empty does not matter. */
export interface LogQuery {
  sort?: LogSort;
  text?: string;
  potId?: string;
  outcome?: LogOutcome | '';
  practice?: boolean;
  limit?: number;
}

/** What came of an archive: `taken` are its settings where nothing was cooked here yet. */
export interface ArchiveReport extends BringReport {
  kitchen: 'taken' | 'kept' | 'missing';
}

/** Devices that are let in, and those that have spoken since the server started. */
export interface Devices {
  letIn: string[];
  callers: { device: string; lastMs: number }[];
}

/** A record that the server could not read, and why. */
export interface SetAside {
  id: number;
  kind: string;
  key: string;
  why: 'no-json' | 'no-dish' | 'no-kitchen' | 'no-cook';
  atMs: number;
}

/** A copy of the whole database that the server keeps. */
export interface Snapshot {
  name: string;
  atMs: number;
  why: 'daily' | 'migration' | 'asked';
  bytes: number;
}

export type KeyRights = 'cook' | 'look' | 'device';
/** Who asks, as the server sees it: null where this screen was not let in. */
export interface AtDoor {
  rights: KeyRights | 'home' | null;
  name: string | null;
}
/** A screen or a device that was let in. */
export interface Key {
  id: string;
  name: string;
  rights: KeyRights;
  createdMs: number;
  lastMs: number;
}
export interface Keys {
  /** where the house finds the server; null where it answers this machine only */
  house: { addresses: string[]; fingerprint: string } | null;
  /** the key of this screen */
  own: string | null;
  keys: Key[];
}
export interface PairingCode {
  code: string;
  rights: KeyRights;
  untilMs: number;
}

/** The server's routes, one method each. */
@Injectable({ providedIn: 'root' })
export class Api {
  private readonly http = inject(HttpClient);

  dishes(archived = false): Observable<StoredDish[]> {
    return this.http.get<StoredDish[]>(archived ? '/api/dishes?archived=true' : '/api/dishes');
  }
  setAside(): Observable<SetAside[]> {
    return this.http.get<SetAside[]>('/api/set-aside');
  }
  devices(): Observable<Devices> {
    return this.http.get<Devices>('/api/devices');
  }
  comeIn(code: string, name: string): Observable<AtDoor> {
    return this.http.post<AtDoor>('/api/door', { code, name });
  }
  keys(): Observable<Keys> {
    return this.http.get<Keys>('/api/keys');
  }
  pairingCode(rights: KeyRights): Observable<PairingCode> {
    return this.http.post<PairingCode>('/api/keys/codes', { rights });
  }
  revokeKey(id: string): Observable<unknown> {
    return this.http.delete(`/api/keys/${encodeURIComponent(id)}`);
  }
  snapshots(): Observable<Snapshot[]> {
    return this.http.get<Snapshot[]>('/api/snapshots');
  }
  /** Brings an archive back; how much of it was sent (0 to 1), then the report. */
  bringArchive(file: Blob): Observable<number | ArchiveReport> {
    const asked = { headers: { 'content-type': 'application/zip' }, reportProgress: true, observe: 'events' } as const;
    return this.http.post<ArchiveReport>('/api/archive', file, asked).pipe(
      map((e) => {
        if (e.type === HttpEventType.Response) return e.body!;
        return e.type === HttpEventType.UploadProgress && e.total ? e.loaded / e.total : 0;
      }),
    );
  }
  takeSnapshot(): Observable<Snapshot> {
    return this.http.post<Snapshot>('/api/snapshots', null);
  }
  /** the newest finished cook of a dish with real food, or null */
  lastCook(dishId: string): Observable<Cook | null> {
    return this.http.get<Cook | null>(`/api/dishes/${encodeURIComponent(dishId)}/last-cook`);
  }
  archiveDish(id: string, archived: boolean): Observable<StoredDish> {
    return this.http.patch<StoredDish>(`/api/dishes/${encodeURIComponent(id)}`, { archived });
  }
  dish(id: string): Observable<StoredDish> {
    return this.http.get<StoredDish>(`/api/dishes/${encodeURIComponent(id)}`);
  }
  addDish(dish: Dish): Observable<StoredDish> {
    return this.http.post<StoredDish>('/api/dishes', dish);
  }
  saveDish(id: string, dish: Dish, revision: number): Observable<StoredDish> {
    return this.http.put<StoredDish>(`/api/dishes/${encodeURIComponent(id)}`, { dish, revision });
  }
  removeDish(id: string): Observable<unknown> {
    return this.http.delete(`/api/dishes/${encodeURIComponent(id)}`);
  }
  kitchen(): Observable<Kitchen> {
    return this.http.get<Kitchen>('/api/kitchen');
  }
  /** The cook has said what kitchen it is; with the dishes of the demo, or without them. */
  begin(demo: boolean): Observable<Kitchen> {
    return this.http.post<Kitchen>('/api/kitchen/begin', { demo });
  }
  /** Reads the whole log again; answers with the kitchen and what it taught. */
  learn(): Observable<Kitchen> {
    return this.http.post<Kitchen>('/api/kitchen/learn', {});
  }
  /** A page of the log; `after` is what the page before said as its next. */
  cooks(query: LogQuery, after: string | null = null): Observable<CookPage> {
    const asked = { ...query, ...(after === null ? {} : { after }) };
    const params = Object.fromEntries(Object.entries(asked).filter(([, v]) => v !== ''));
    return this.http.get<CookPage>('/api/cooks', { params });
  }
  /** Brings cooks in: a log, a table or rows of a notebook. */
  bringCooks(body: unknown): Observable<BringReport> {
    return this.http.post<BringReport>('/api/log', body);
  }
  runningCooks(): Observable<Cook[]> {
    return this.http.get<Cook[]>('/api/cooks?running=true');
  }
  cook(id: string): Observable<Cook> {
    return this.http.get<Cook>(`/api/cooks/${encodeURIComponent(id)}`);
  }
  debrief(id: string): Observable<Debrief | null> {
    return this.http.get<Debrief | null>(`/api/cooks/${encodeURIComponent(id)}/debrief`);
  }
  startCook(cook: Cook): Observable<Cook> {
    return this.http.post<Cook>('/api/cooks', cook);
  }
  /** Answers with the same events, each at its place. */
  addEvents(id: string, events: CookEvent[]): Observable<{ events: CookEvent[] }> {
    return this.http.post<{ events: CookEvent[] }>(`/api/cooks/${encodeURIComponent(id)}/events`, { events });
  }
  command(id: string, body: { kind: 'measure'; what: string } | { kind: 'speed'; speed: number }): Observable<unknown> {
    return this.http.post(`/api/cooks/${encodeURIComponent(id)}/commands`, body);
  }
  removeCook(id: string): Observable<unknown> {
    return this.http.delete(`/api/cooks/${encodeURIComponent(id)}`);
  }
  changeCook(id: string, change: { finishedMs?: number | null }): Observable<Cook> {
    return this.http.patch<Cook>(`/api/cooks/${encodeURIComponent(id)}`, change);
  }
}

/** A network that swallows what it is asked, given up. */
export class NoAnswer extends Error {}

export interface Failure {
  code: string;
  message: string;
  issues: Issue[];
  /** nothing answered: the server is away, not the input wrong */
  offline: boolean;
}

/** A network that swallows what it is asked is given up after so long. */
export const answeredWithin = <T>(ms: number): MonoTypeOperatorFunction<T> =>
  timeout({ first: ms, with: () => throwError(() => new NoAnswer()) });

/** Nobody answered, or the server could not now: the same may work later. Anything else it has read, and will never take. */
export const mayWorkLater = (e: unknown): boolean =>
  e instanceof NoAnswer ||
  (e instanceof HttpErrorResponse && (e.status === 0 || e.status >= 500 || [401, 408, 429].includes(e.status)));

/** The server's problem+json, or the plain fact that nothing answered. */
export function failureOf(error: unknown): Failure {
  if (error instanceof HttpErrorResponse) {
    const body = error.error as { code?: string; detail?: string; issues?: Issue[] } | null;
    if (body && typeof body === 'object' && typeof body.detail === 'string')
      return { code: body.code ?? 'problem', message: body.detail, issues: body.issues ?? [], offline: false };
    return { code: 'offline', message: error.message, issues: [], offline: error.status === 0 || error.status >= 502 };
  }
  if (error instanceof NoAnswer) return { code: 'offline', message: error.message, issues: [], offline: true };
  return { code: 'unknown', message: String(error), issues: [], offline: false };
}
