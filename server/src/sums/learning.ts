import { mostCooks, type Kitchen } from '@einkorn/core';
import type { Logger } from 'pino';
import type { Store } from '../store/connect';
import { newestFinished } from '../store/cooks';
import { getKitchen, keepLearned } from '../store/kitchen';
import type { Sums } from './sums';

/** Learns from the log, beside everything else: never two at a time, and once more where a cook ended meanwhile. */
export class Learning {
  private running: Promise<unknown> | null = null;
  private again = false;

  constructor(
    private readonly store: Store,
    private readonly sums: Sums,
    private readonly log: Logger,
  ) {}

  /** Reads the whole log and keeps what it teaches; answers with the kitchen that has it. */
  async now(): Promise<Kitchen> {
    const kitchen = await getKitchen(this.store);
    const cooks = await newestFinished(this.store, mostCooks);
    return keepLearned(this.store, await this.sums('learn', { kitchen, cooks }));
  }

  /** After a cook: nobody waits for it, and what goes wrong is only written down. */
  soon(): void {
    if (this.running) {
      this.again = true;
      return;
    }
    this.running = this.now()
      .catch((e: unknown) => this.log.warn({ err: e }, 'the log could not be learned from'))
      .finally(() => {
        this.running = null;
        if (!this.again) return;
        this.again = false;
        this.soon();
      });
  }
}
