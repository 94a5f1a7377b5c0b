import { randomInt } from 'node:crypto';
import type { KeyRights } from './rights';

/** A code that lets one screen or device in. */
export interface Code {
  code: string;
  rights: KeyRights;
  untilMs: number;
}

/** Long enough to walk to the stove with it, ms [common practice]. */
const validMs = 10 * 60_000;
/** After so many wrong guesses no code that was made before them is good any more: one in 100,000 would be guessed. */
const mostGuesses = 10;
const digits = 6;

/** The pairing codes that are good now: each for one use, in memory only. */
export class Codes {
  private live: Code[] = [];
  private wrong = 0;

  make(rights: KeyRights, nowMs: number): Code {
    const code = String(randomInt(10 ** digits)).padStart(digits, '0');
    const made = { code, rights, untilMs: nowMs + validMs };
    this.live = [...this.live.filter((c) => c.untilMs > nowMs && c.code !== code), made];
    this.wrong = 0;
    return made;
  }

  /** What the code lets in to; null where it is wrong, used or old. */
  use(code: string, nowMs: number): KeyRights | null {
    const found = this.live.find((c) => c.code === code && c.untilMs > nowMs);
    if (found) {
      this.live = this.live.filter((c) => c !== found);
      return found.rights;
    }
    this.wrong += 1;
    if (this.wrong >= mostGuesses) this.live = [];
    return null;
  }
}
