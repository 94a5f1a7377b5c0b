import { createHash, randomBytes, randomUUID } from 'node:crypto';
import type { Response } from 'express';
import type { Store } from '../store/connect';
import { addKey, keyHeard, removeKey, storedKeys, type Key } from '../store/keys';
import type { KeyRights } from './rights';

const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex');
const secretBytes = 32;
/** How often it is written down that a key was heard, ms. */
const heardEveryMs = 3_600_000;
/** Answers that one key may have open at once: a screen has one or two streams. */
const mostOpen = 64;

/** The keys of the house: read once, then kept here, for they are asked at every request. */
export class Keys {
  private byHash: Map<string, Key> | null = null;
  private readonly open = new Map<string, Set<Response>>();

  constructor(private readonly store: Store) {}

  private async all(): Promise<Map<string, Key>> {
    this.byHash ??= new Map((await storedKeys(this.store)).map(({ hash, ...key }) => [hash, key]));
    return this.byHash;
  }

  async list(): Promise<Key[]> {
    return [...(await this.all()).values()];
  }

  /** The key of a secret; null where nobody was let in with it, or it was taken away. */
  async of(secret: string, nowMs: number): Promise<Key | null> {
    const key = (await this.all()).get(hashOf(secret)) ?? null;
    if (key && nowMs - key.lastMs > heardEveryMs) {
      key.lastMs = nowMs;
      await keyHeard(this.store, key.id, nowMs);
    }
    return key;
  }

  /** Lets somebody in. The secret is handed out this once. */
  async letIn(name: string, rights: KeyRights, nowMs: number): Promise<{ key: Key; secret: string }> {
    const secret = randomBytes(secretBytes).toString('base64url');
    const key: Key = { id: randomUUID(), name, rights, createdMs: nowMs, lastMs: nowMs };
    const hash = hashOf(secret);
    await addKey(this.store, { ...key, hash });
    (await this.all()).set(hash, key);
    return { key, secret };
  }

  /** Takes a key away: what it still has open is cut off. */
  async revoke(id: string): Promise<boolean> {
    const was = await removeKey(this.store, id);
    for (const [hash, key] of await this.all()) if (key.id === id) this.byHash!.delete(hash);
    for (const res of this.open.get(id) ?? []) res.destroy();
    return was;
  }

  /** Notes an answer that is open for a key; false where it has too many already. */
  admit(id: string, res: Response): boolean {
    const mine = this.open.get(id) ?? new Set();
    if (mine.size >= mostOpen) return false;
    this.open.set(id, mine.add(res));
    res.on('close', () => {
      mine.delete(res);
      if (mine.size === 0) this.open.delete(id);
    });
    return true;
  }
}
