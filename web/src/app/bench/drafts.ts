import { Injectable } from '@angular/core';
import { readDish, type Dish } from '@einkorn/core';
import type { StoredDish } from '../api/client';

const key = (id: string): string => `einkorn.draft.${id}`;

/** Changes that have not reached the server yet, in the browser's own store: a crash or a dead spot loses nothing. */
@Injectable({ providedIn: 'root' })
export class Drafts {
  /** Whether it is kept: a full or forbidden store keeps nothing. */
  write(id: string, revision: number, dish: Dish): boolean {
    try {
      localStorage.setItem(key(id), JSON.stringify({ revision, dish }));
      return true;
    } catch {
      return false;
    }
  }

  /** Forgets the draft once the same dish is on the server. */
  settle(id: string, revision: number, dish: Dish): void {
    const held = this.held(id);
    if (held && JSON.stringify(held.dish) === JSON.stringify(dish)) localStorage.removeItem(key(id));
    else if (held) this.write(id, revision, held.dish);
  }

  /** The draft of a dish, if it was made over the revision that the server still holds and says something else. */
  read(stored: StoredDish): Dish | null {
    const held = this.held(stored.id);
    if (!held || held.revision !== stored.revision) return null;
    return JSON.stringify(held.dish) === JSON.stringify(stored.dish) ? null : held.dish;
  }

  private held(id: string): { revision: number; dish: Dish } | null {
    try {
      const raw = JSON.parse(localStorage.getItem(key(id)) ?? 'null') as { revision: number; dish: unknown } | null;
      return raw ? { revision: raw.revision, dish: readDish(raw.dish) } : null;
    } catch {
      return null;
    }
  }
}
