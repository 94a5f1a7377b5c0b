import { EventEmitter } from 'node:events';
import type { Command, Reading } from '@einkorn/devices';
import type { CookEvent } from '@einkorn/core';

/** What the screens of one cook are told as it happens. */
export type CookNews =
  | { name: 'events'; data: { events: CookEvent[]; all?: boolean } }
  | { name: 'finished'; data: { finishedMs: number } }
  | { name: 'taken-up'; data: Record<string, never> }
  | { name: 'clock'; data: { atMs: number; speed: number } }
  | { name: 'reading'; data: Reading & { device: string } };

interface Shown {
  news: CookNews;
  heardMs: number;
}
/** A needle that was read longer ago says nothing of now, ms. */
const freshMs = 30_000;
/** What a dial goes on showing until it changes; a screen that opens later is told it. */
const onDial: ReadonlySet<Reading['kind']> = new Set(['pin', 'pressure']);

/**
 * Carries news between the routes: commands to the devices, news of a cook to its screens. Nothing is kept here but what
 * the dials of a cook show.
 */
export class Bus {
  private readonly emitter = new EventEmitter().setMaxListeners(0);
  private readonly screens = new Map<string, number>();
  /** @param failed is told what a listener threw */
  constructor(private readonly failed: (e: unknown) => void = () => undefined) {}
  private readonly dials = new Map<string, Map<Reading['kind'], Shown>>();

  command(c: Command): void {
    this.tell('command', c);
  }
  onCommand(listen: (c: Command) => void): () => void {
    this.emitter.on('command', listen);
    return () => this.emitter.off('command', listen);
  }
  publish(cookId: string, news: CookNews): void {
    if (news.name === 'finished') this.forget(cookId);
    else if (news.name === 'reading' && onDial.has(news.data.kind)) {
      const own = this.dials.get(cookId) ?? new Map<Reading['kind'], Shown>();
      this.dials.set(cookId, own.set(news.data.kind, { news, heardMs: Date.now() }));
    }
    this.tell(`cook:${cookId}`, news);
  }
  /** A listener that fails keeps the others from nothing, and the tap that it was told of is kept all the same. */
  private tell(name: string, said: Command | CookNews): void {
    for (const listen of this.emitter.listeners(name))
      try {
        (listen as (said: Command | CookNews) => void)(said);
      } catch (e) {
        this.failed(e);
      }
  }
  /** A screen watches a cook; a practice clock runs only while one does. */
  watch(cookId: string, listen: (n: CookNews) => void): () => void {
    this.emitter.on(`cook:${cookId}`, listen);
    this.screens.set(cookId, (this.screens.get(cookId) ?? 0) + 1);
    this.command({ kind: 'resume', cookId });
    return () => {
      this.emitter.off(`cook:${cookId}`, listen);
      const left = (this.screens.get(cookId) ?? 1) - 1;
      if (left > 0) this.screens.set(cookId, left);
      else {
        this.screens.delete(cookId);
        this.command({ kind: 'pause', cookId });
      }
    };
  }
  /** What the dials of a cook show, for a screen that opens now. */
  shown(cookId: string): CookNews[] {
    const fresh = Date.now() - freshMs;
    return [...(this.dials.get(cookId) ?? [])].flatMap(([kind, d]) =>
      kind === 'pressure' && d.heardMs < fresh ? [] : [d.news],
    );
  }
  /** A cook that is gone has no dials. */
  forget(cookId: string): void {
    this.dials.delete(cookId);
  }
  watched(cookId: string): boolean {
    return this.screens.has(cookId);
  }
}
