import type { Ask, Reply } from '../src/app/workers/protocol';

/** A worker that answers only when the test says so. */
export class FakeWorker extends EventTarget {
  asked: { id: number; ask: Ask }[] = [];
  ended = false;

  postMessage(question: { id: number; ask: Ask }): void {
    this.asked.push(question);
  }
  terminate(): void {
    this.ended = true;
  }
  answer(reply: Partial<Reply>): void {
    const id = this.asked.at(-1)!.id;
    this.dispatchEvent(new MessageEvent('message', { data: { id, type: 'done', ...reply } }));
  }
}

export const workers: FakeWorker[] = [];

export const spawnPlanner = (): FakeWorker => {
  const worker = new FakeWorker();
  workers.push(worker);
  return worker;
};
