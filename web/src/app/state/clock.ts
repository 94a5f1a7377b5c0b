import { HttpClient } from '@angular/common/http';
import { DestroyRef, inject, Injectable, signal, type Signal } from '@angular/core';
import { firstValueFrom, timeout } from 'rxjs';
import { quietly } from '../api/quietly';

/** A clock that was set by less is followed without a word: no countdown shows it, ms. */
const unseenMs = 1000;
/** An answer that took longer says too little of when it was given, ms. */
const slowestMs = 2000;
/** The house's clock is asked again so often while somebody looks, ms. */
const askEveryMs = 5 * 60_000;
const key = 'einkorn.clock-ahead-ms';

/**
 * What time it is, for everything that somebody cooks by: the clock of the house, which is the server's. This device's own only
 * carries it from one answer to the next, and by what nobody can set: a clock that is moved by hand moves no countdown.
 */
@Injectable({ providedIn: 'root' })
export class HouseClock {
  private readonly http = inject(HttpClient);
  /** the house's clock at a moment of the steady one; before the first answer as it was found the last time */
  private houseMs = Date.now() + aheadBefore();
  private steadyMs = performance.now();
  /** how far this device's clock is behind the house's */
  private aheadMs = aheadBefore();
  private askedMs = -Infinity;
  private wasHidden = false;
  /** by how much the house's clock was set when it last said so: once is enough */
  private toldMs = 0;
  /** by how much this device's clock, or the house's, was set while the page was open, ms; null where neither was */
  readonly moved = signal<{ by: number; whose: 'own' | 'house' } | null>(null);

  constructor() {
    // A sleeping device hears nothing; the first look sets it right.
    document.addEventListener('visibilitychange', () => this.look());
    addEventListener('online', () => void this.ask());
    void this.ask();
  }

  /** Epoch ms by the clock of the house. */
  now(): number {
    return Math.round(this.houseMs + performance.now() - this.steadyMs);
  }

  /** The same, four times a second for as long as the calling component lives. */
  ticking(): Signal<number> {
    const now = signal(this.now());
    const tick = (): void => {
      this.look();
      now.set(this.now());
    };
    const timer = setInterval(tick, 250);
    document.addEventListener('visibilitychange', tick);
    inject(DestroyRef).onDestroy(() => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', tick);
    });
    return now;
  }

  /** Has this device slept, or was its clock set? */
  private look(): void {
    const apartMs = Date.now() + this.aheadMs - this.now();
    const slept = this.wasHidden;
    this.wasHidden = document.hidden;
    if (Math.abs(apartMs) > unseenMs) {
      // The steady clock of a device that slept stood still; of one that was awake it is the one to trust.
      if (slept && apartMs > 0) this.set(Date.now() + this.aheadMs);
      else {
        this.aheadMs -= apartMs;
        this.moved.set({ by: apartMs, whose: 'own' });
      }
      void this.ask();
    } else if (performance.now() - this.askedMs > askEveryMs) void this.ask();
  }

  private async ask(): Promise<void> {
    const sentMs = performance.now();
    this.askedMs = sentMs;
    const asked = this.http.get<{ nowMs: number; movedMs: number }>('/api/time');
    const said = await quietly(() => firstValueFrom(asked.pipe(timeout(slowestMs))), null);
    if (!said) return;
    const underwayMs = performance.now() - sentMs;
    const apartMs = said.nowMs + underwayMs / 2 - this.now();
    // Nearer than the answer can tell is the same.
    if (Math.abs(apartMs) > underwayMs) this.set(this.now() + apartMs);
    if (Math.abs(said.movedMs - this.toldMs) > unseenMs && Math.abs(said.movedMs) > unseenMs)
      this.moved.set({ by: said.movedMs, whose: 'house' });
    this.toldMs = said.movedMs;
    keepAhead(this.aheadMs);
  }

  private set(houseMs: number): void {
    this.houseMs = houseMs;
    this.steadyMs = performance.now();
    this.aheadMs = houseMs - Date.now();
  }
}

function aheadBefore(): number {
  try {
    const kept = Number(localStorage.getItem(key) ?? 0);
    return Number.isFinite(kept) ? kept : 0;
  } catch {
    return 0;
  }
}
function keepAhead(aheadMs: number): void {
  try {
    if (Math.abs(aheadMs) > unseenMs) localStorage.setItem(key, String(Math.round(aheadMs)));
    else localStorage.removeItem(key);
  } catch {
    // It is asked again with the next page.
  }
}
