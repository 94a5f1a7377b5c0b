import { mostCooks, type Kitchen } from '@einkorn/core';
import type { Logger } from 'pino';
import type { Store } from '../store/connect';
import { newestFinished } from '../store/cooks';
import { getKitchen, keepLearned } from '../store/kitchen';
import { sumsHere, type Sums } from './sums';

/** Learns from the log, beside everything else and never twice at a time. */
export class Learning {
  private last: Promise<unknown> = Promise.resolve();
  /** what the reading before remembers for the next, only for the one who reads; the thread that read it may have ended */
  private remembered: Uint8Array | null = null;
  /** one that has not begun will see the cook that ended just now too */
  private isWaiting = false;

  constructor(
    private readonly store: Store,
    private readonly sums: Sums,
    private readonly log: Logger,
  ) {}

  /** Fits the log anew and keeps what it teaches; answers with the kitchen that has it. */
  now(): Promise<Kitchen> {
    return this.inTurn({ anew: true });
  }

  /** After a cook: begins where the log stood, nobody waits for it, and what goes wrong is only written down. */
  soon(): void {
    if (this.isWaiting) return;
    this.isWaiting = true;
    this.inTurn({ anew: false }).catch((e: unknown) => this.log.warn({ err: e }, 'the log could not be learned from'));
  }

  private inTurn(how: { anew: boolean }): Promise<Kitchen> {
    const learned = this.last.then(() => this.learn(how));
    this.last = learned.catch(() => undefined);
    return learned;
  }

  private async learn({ anew }: { anew: boolean }): Promise<Kitchen> {
    this.isWaiting = false;
    const kitchen = await getKitchen(this.store);
    const cooks = await newestFinished(this.store, mostCooks);
    // An empty log teaches nothing: no thread is started for it.
    const sums = cooks.length === 0 ? sumsHere : this.sums;
    const { learned, remembered } = await sums('learn', { log: { kitchen, cooks }, remembered: this.remembered, anew });
    this.remembered = remembered;
    return keepLearned(this.store, learned);
  }
}
