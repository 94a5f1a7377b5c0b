import { HttpClient } from '@angular/common/http';
import { computed, inject, Injectable, signal } from '@angular/core';
import type { Outcome } from '@einkorn/core';
import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { firstValueFrom } from 'rxjs';
import { backOff } from './back-off';
import { Begun } from './begun';
import type { Change } from './change';
import { answeredWithin, failureOf, mayWorkLater, type Failure } from './client';
import { cookStore } from './cook-store';
import { quietly, soon } from './quietly';

/** What became of a change: kept by the server, waiting on this device, or a question because another screen changed the same. */
export type Sent<T> = { state: 'kept'; value: T } | { state: 'waiting' } | { state: 'asked' };

/** A change that the server did not take, and why. */
export interface Refused {
  change: Change;
  failure: Failure;
  /** it can be written over what another screen said */
  collides: boolean;
}

interface Own extends DBSchema {
  changes: { key: string; value: Change };
}
/** After so long without an answer a change waits, ms. */
const answerMs = 10_000;
const collision = /^(?:kitchen|outcome)-changed$/;

/**
 * Settings, ratings and ends of cooks on their way to the server. What it does not answer is kept on this browser's disk and
 * sent again, later and later; what it refuses is set aside and shown, so that it holds nothing else back.
 */
@Injectable({ providedIn: 'root' })
export class Outbox {
  private readonly http = inject(HttpClient);
  private readonly waiting = signal<readonly Change[]>([]);
  readonly count = computed(() => this.waiting().length);
  private readonly setAside = signal<readonly Refused[]>([]);
  /** the oldest that nobody has read yet; until then it stays on the disk too */
  readonly refused = computed(() => this.setAside()[0] ?? null);
  /** everything that is not at the server, for a file */
  readonly unsent = computed(() => [...this.setAside().map((r) => r.change), ...this.waiting()]);
  /** it could only be kept in the memory of this page */
  readonly isFleeting = signal(false);
  private opening: Promise<IDBPDatabase<Own>> | null = null;
  private readonly tries = backOff(() => void this.flush());
  private readonly listeners = new Map<string, (value: unknown) => void>();
  private readonly begun = new Begun();
  /** what an earlier page could not send */
  readonly found = this.fromDisk();

  private database(): Promise<IDBPDatabase<Own>> {
    this.opening ??= openDB<Own>('einkorn-outbox', 1, {
      upgrade: (db) => void db.createObjectStore('changes', { keyPath: 'key' }),
    });
    return this.opening;
  }
  private async fromDisk(): Promise<readonly Change[]> {
    const left = this.begun.take();
    const onDisk = await quietly(async () => (await this.database()).getAll('changes'), []);
    const kept = left.reduce((all, change) => {
      const earlier = all.find((c) => c.key === change.key);
      return [...all.filter((c) => c !== earlier), earlier ? joined(earlier, change) : change];
    }, onDisk);
    const newer = new Set(this.waiting().map((c) => c.key));
    this.waiting.update((now) => [...kept.filter((c) => !newer.has(c.key)), ...now]);
    for (const { key } of left) await this.keep(this.of(key)!);
    if (kept.length > 0) void this.flush();
    return kept;
  }

  /** A change that is being made and will be sent; where the page is left before, the next one finds it. */
  begin(change: Change): void {
    this.begun.add(change);
  }

  /** The waiting change of a key, if there is one. */
  of(key: string): Change | null {
    return this.waiting().find((c) => c.key === key) ?? null;
  }
  /** Is told what the server made of changes that had waited; `key` or its beginning. */
  onKept(key: string, heard: (value: unknown) => void): void {
    this.listeners.set(key, heard);
  }

  /** Sends a change now. Rejects with what the server says where it refuses it for another reason than a collision. */
  async send<T>(change: Change): Promise<Sent<T>> {
    const earlier = this.of(change.key);
    const whole = earlier ? joined(earlier, change) : change;
    this.begun.add(whole);
    try {
      const value = await this.deliver<T>(whole);
      if (earlier) await this.drop(earlier);
      return { state: 'kept', value };
    } catch (e) {
      if (mayWorkLater(e)) {
        await this.keep(whole);
        return { state: 'waiting' };
      }
      if (earlier) await this.drop(earlier);
      const failure = failureOf(e);
      if (!collision.test(failure.code)) throw e;
      this.putAside({ change: whole, failure, collides: true });
      return { state: 'asked' };
    } finally {
      this.begun.done(whole);
    }
  }

  /** What another screen said is written over with what this one wants, or it stands. */
  async settle(mine: boolean): Promise<void> {
    const asked = this.refused();
    if (!asked) return;
    const { change } = asked;
    this.setAside.update((all) => all.filter((r) => r !== asked));
    if (!this.of(change.key)) await this.fromDiskAway(change.key);
    if (!mine) return;
    const kept = await this.send({ ...change, body: { ...change.body, had: await this.held(change) } });
    if (kept.state === 'kept') this.tell(change.key, kept.value);
  }
  private async held({ path, body }: Change): Promise<unknown> {
    if ('outcome' in body) return (await firstValueFrom(this.http.get<{ outcome: Outcome | null }>(path))).outcome;
    const now = await firstValueFrom(this.http.get<Record<string, unknown>>(path));
    return Object.fromEntries(Object.keys(body['wanted'] as object).map((k) => [k, now[k]]));
  }

  private async flush(): Promise<void> {
    for (const change of this.waiting()) {
      try {
        const value = await this.deliver(change);
        await this.drop(change);
        this.tell(change.key, value);
      } catch (e) {
        if (mayWorkLater(e)) {
          this.tries.again();
          return;
        }
        const failure = failureOf(e);
        this.waiting.update((all) => all.filter((c) => c !== change));
        this.putAside({ change, failure, collides: collision.test(failure.code) });
      }
    }
    this.tries.done();
  }
  private tell(key: string, value: unknown): void {
    for (const [begins, heard] of this.listeners) if (key.startsWith(begins)) heard(value);
  }
  /** Taps of a cook go before its end; one that is refused is the stove's to tell. */
  private async sendTaps(cookId: string): Promise<void> {
    const { unsent } = await soon(cookStore.held(cookId), { cook: null, unsent: [] });
    if (unsent.length === 0) return;
    try {
      await firstValueFrom(this.http.post(`/api/cooks/${encodeURIComponent(cookId)}/events`, { events: unsent }));
      await cookStore.forgetTaps(unsent.map((e) => e.id));
    } catch (e) {
      if (mayWorkLater(e)) throw e;
    }
  }

  private async deliver<T>({ path, body, cookId }: Change): Promise<T> {
    if (cookId !== undefined) await this.sendTaps(cookId);
    return firstValueFrom(this.http.patch<T>(path, body).pipe(answeredWithin(answerMs)));
  }
  private async keep(change: Change): Promise<void> {
    this.waiting.update((all) => [...all.filter((c) => c.key !== change.key), change]);
    const isKept = await quietly(async () => (await (await this.database()).put('changes', change)) !== '', false);
    this.isFleeting.set(!isKept);
    this.tries.again();
  }
  /** It is done with; a newer change that has taken its place meanwhile stays. */
  private async drop(change: Change): Promise<void> {
    if (this.of(change.key) !== change) return;
    this.waiting.update((all) => all.filter((c) => c !== change));
    await this.fromDiskAway(change.key);
  }
  private fromDiskAway(key: string): Promise<void> {
    return quietly(async () => (await this.database()).delete('changes', key), undefined);
  }
  private putAside(refused: Refused): void {
    this.setAside.update((all) => [...all.filter((r) => r.change.key !== refused.change.key), refused]);
  }
}

/**
 * A later change over one that waits. Settings are told whole each time; of a cook, what the screen had before its first change
 * is what the server must compare with.
 */
const joined = (earlier: Change, later: Change): Change =>
  'wanted' in later.body ? later : { ...later, body: { ...earlier.body, ...later.body, had: earlier.body.had } };
