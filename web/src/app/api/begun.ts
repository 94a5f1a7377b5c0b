import type { Change } from './change';
import { leaving } from './leaving';

const place = 'einkorn-begun';
const read = (): Change[] => {
  try {
    return JSON.parse(localStorage.getItem(place) ?? '[]') as Change[];
  } catch {
    return [];
  }
};
const write = (changes: Change[]): void => {
  try {
    if (changes.length > 0) localStorage.setItem(place, JSON.stringify(changes));
    else localStorage.removeItem(place);
  } catch {
    // A browser that keeps nothing keeps this neither; it is being sent.
  }
};

/**
 * Changes that the server does not have yet. A page that is left in the middle of one writes it down, in the one store that
 * takes a word before the page is gone, and the next page finds it there. (A request that may outlive its page does not arrive
 * where a service worker stands between: Chromium drops it.)
 */
export class Begun {
  private readonly now = new Map<string, Change>();

  constructor() {
    leaving.subscribe(() => {
      if (this.now.size > 0) write([...read().filter((c) => !this.now.has(c.key)), ...this.now.values()]);
    });
  }
  add(change: Change): void {
    this.now.set(change.key, change);
  }
  /** It is kept elsewhere, or refused; a newer change of the same key goes on. */
  done(change: Change): void {
    if (this.now.get(change.key) !== change) return;
    this.now.delete(change.key);
    write(read().filter((c) => c.key !== change.key));
  }
  /** What an earlier page left behind, told once. */
  take(): Change[] {
    const left = read();
    write([]);
    return left;
  }
}
