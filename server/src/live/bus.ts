import { EventEmitter } from 'node:events';
import type { Command } from '@einkorn/devices';
import type { StoredEvent } from '@einkorn/core';

/** What the screens of one cook are told as it happens. */
export type CookNews =
  | { name: 'events'; data: { events: StoredEvent[]; all?: boolean } }
  | { name: 'finished'; data: { finishedMs: number } }
  | { name: 'clock'; data: { atMs: number; speed: number } }
  | { name: 'reading'; data: unknown };

/** Carries news between the routes: commands to the devices, news of a cook to its screens. Nothing is kept here. */
export class Bus {
  private readonly emitter = new EventEmitter().setMaxListeners(0);
  private readonly screens = new Map<string, number>();

  command(c: Command): void {
    this.emitter.emit('command', c);
  }
  onCommand(listen: (c: Command) => void): () => void {
    this.emitter.on('command', listen);
    return () => this.emitter.off('command', listen);
  }
  tell(cookId: string, news: CookNews): void {
    this.emitter.emit(`cook:${cookId}`, news);
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
  watched(cookId: string): boolean {
    return this.screens.has(cookId);
  }
}
