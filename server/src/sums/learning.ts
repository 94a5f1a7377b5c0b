import { mostCooks, type Kitchen } from '@einkorn/core';
import type { Logger } from 'pino';
import type { Store } from '../store/connect';
import { newestFinished } from '../store/cooks';
import { getKitchen, keepLearned } from '../store/kitchen';
import { sumsHere, type Sums } from './sums';

/** Learns from the log, beside everything else and never twice at a time. */
export class Learning {
  private last: Promise<unknown> = Promise.resolve();
  /** one that has not begun will see the cook that ended just now too */
  private isWaiting = false;

  constructor(
    private readonly store: Store,
    private readonly sums: Sums,
    private readonly log: Logger,
  ) {}

  /** Reads the log and keeps what it teaches; answers with the kitchen that has it. */
  now(): Promise<Kitchen> {
    const learned = this.last.then(() => this.learn());
    this.last = learned.catch(() => undefined);
    return learned;
  }

  /** After a cook: nobody waits for it, and what goes wrong is only written down. */
  soon(): void {
    if (this.isWaiting) return;
    this.isWaiting = true;
    this.now().catch((e: unknown) => this.log.warn({ err: e }, 'the log could not be learned from'));
  }

  private async learn(): Promise<Kitchen> {
    this.isWaiting = false;
    const kitchen = await getKitchen(this.store);
    const cooks = await newestFinished(this.store, mostCooks);
    // An empty log teaches nothing: no thread is started for it.
    const sums = cooks.length === 0 ? sumsHere : this.sums;
    return keepLearned(this.store, await sums('learn', { kitchen, cooks }));
  }
}
