import { aboutOf, clausesOf, minutesOf, numberAfterKey, type About } from '../text/clause';
import { fold } from '../text/words';

/** What a recipe itself says to do under pressure; only what it says. */
export interface Method {
  holdMin?: number;
  pressure?: 'high' | 'low';
  release?: { kind: 'quick' | 'natural' | 'timed'; naturalMin?: number };
  whistles?: number;
  sauteMin?: number;
  /** the words that it was read from */
  from: string[];
}

/** A clause of the steps with what it is about, and its minutes; null where it has none. */
interface Clause {
  text: string;
  about: About;
  min: number | null;
}

/** A hold longer than this is one of another appliance, min. */
const longestHoldMin = 120;

/**
 * Reads minutes, pressure, release and frying from the steps of a recipe, clause by clause. Of several pressures the last
 * one counts: it is the one with the grain in it.
 */
export function readMethod(steps: readonly string[]): Method {
  const reader = new MethodReader();
  for (const step of steps) {
    const clauses = clausesOf(fold(step)).map((text): Clause => {
      const about = aboutOf(text);
      return { text, about, min: minutesOf(text) ?? numberAfterKey(text, about) };
    });
    clauses.forEach((c, i) => reader.read(c, clauses.slice(i + 1)));
  }
  return reader.method;
}

class MethodReader {
  readonly method: Method = { from: [] };
  /** the lid is on and nothing has been let off yet */
  private isUnderLid = false;
  /** what the last clause that was about something was about */
  private last: About = 'bare';

  read(c: Clause, following: readonly Clause[]): void {
    this.readWhistles(c);
    switch (c.about) {
      case 'natural':
        this.letDown(c);
        break;
      case 'quick':
        // "4 min QR" is a hold and its release.
        if (c.min !== null && !this.isWaiting()) this.hold(c);
        // "... then quick release" after a natural one leaves that one as it is.
        if (this.isWaiting()) break;
        this.method.release = { kind: 'quick' };
        this.note(c);
        this.isUnderLid = false;
        break;
      case 'pressure':
        this.isUnderLid = true;
        this.readPressure(c.text);
        if (c.min !== null) this.hold(c);
        break;
      case 'lid':
        // "QR, stir in the shrimp, lid on 5 min": without another release that is no run under pressure.
        if (this.method.release && !following.some((f) => f.about === 'natural' || f.about === 'quick')) break;
        this.isUnderLid = true;
        if (c.min !== null) this.hold(c);
        break;
      case 'wait':
        // The lid stays shut for so long: the pressure falls by itself meanwhile.
        if (c.min !== null && this.isUnderLid && this.method.holdMin !== undefined) this.letDown(c);
        break;
      case 'fry':
        this.isUnderLid = false;
        if (c.min !== null) this.fry(c);
        break;
      case 'open':
        this.isUnderLid = false;
        break;
      case 'bare':
        if (c.min !== null) this.readBare(c, following);
        return;
      case 'other':
        if (c.min === null || !this.isHoldOverLowHeat(c)) break;
        this.hold(c);
        return;
      case 'add':
        break;
    }
    this.last = c.about;
  }

  /** Minutes alone belong to what stands before them; before a release, or under the lid, they are the hold. */
  private readBare(c: Clause, following: readonly Clause[]): void {
    // "8 minutes, wait 10, then release."
    const next = following.find((f) => f.about !== 'wait' && (f.about !== 'bare' || f.min !== null))?.about;
    const isBeforeRelease = next === 'natural' || next === 'quick';
    if (this.last === 'natural' && !this.isUnderLid && isMostlyMinutes.test(c.text))
      this.method.release = { kind: 'timed', naturalMin: c.min! };
    else if (this.isUnderLid || (isBeforeRelease && this.last !== 'other' && this.last !== 'open')) this.hold(c);
    else if (this.last === 'fry') this.fry(c);
    else if (this.last === 'bare' && isOnlyMinutes.test(c.text)) this.hold(c);
  }

  /** "When the pin is up, 8 minutes over a low flame": nothing has been held yet. */
  private isHoldOverLowHeat(c: Clause): boolean {
    return this.last === 'pressure' && this.isUnderLid && this.method.holdMin === undefined && lowHeat.test(c.text);
  }

  private hold(c: Clause): void {
    if (c.min! > longestHoldMin) return;
    // Another run under the lid has a release of its own.
    if (!this.isUnderLid || this.method.holdMin !== undefined) delete this.method.release;
    this.method.holdMin = c.min!;
    this.isUnderLid = true;
    this.last = 'pressure';
    this.note(c);
  }

  private letDown(c: Clause): void {
    this.method.release = c.min === null ? { kind: 'natural' } : { kind: 'timed', naturalMin: c.min };
    this.isUnderLid = false;
    this.note(c);
  }

  private isWaiting(): boolean {
    return this.method.release?.kind === 'timed' && !this.isUnderLid;
  }

  private fry(c: Clause): void {
    this.method.sauteMin = (this.method.sauteMin ?? 0) + c.min!;
    this.note(c);
  }

  private readPressure(text: string): void {
    if (/\blow pressure\b|presion baja|\bbaja presion\b|\blp\b/.test(text)) this.method.pressure = 'low';
    else if (/\bhigh\b|\balta\b|\bhp\b/.test(text)) this.method.pressure = 'high';
  }

  private readWhistles(c: Clause): void {
    const m = whistles.exec(c.text);
    if (!m) return;
    const count = Number(m[1]) || countWords.indexOf(m[1]!) % 6;
    if (count <= 0) return;
    this.method.whistles = count;
    this.isUnderLid = true;
    this.note(c);
  }

  private note(c: Clause): void {
    const text = c.text.slice(0, 120);
    if (this.method.from.at(-1) !== text) this.method.from.push(text);
  }
}

const lowHeat = /\b(?:low|medium|gentle|lowest) (?:heat|flame)|\bfuego (?:suave|lento|bajo|medio|minimo)/;
/** "Natural release, about 15 minutes": nothing else is said of them. */
const isMostlyMinutes =
  /^(?:(?:for|about|around|approx\w*|another|unos|durante|otros)\s+)*[\d.,\s-]+min\w*(?: (?:more|or so|mas))?$/;
const isOnlyMinutes = /^[\d.,\s-]+min\w*$/;
const countWords = ['', 'one', 'two', 'three', 'four', 'five', '', 'un', 'dos', 'tres', 'cuatro', 'cinco'];
const whistles = /(\d+|one|two|three|four|five|un|dos|tres|cuatro|cinco)\s+(?:whistles?|silbidos?|pitidos?)/;
