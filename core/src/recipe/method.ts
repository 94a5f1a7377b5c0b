import { readNumber } from '../quantity/parse';
import { numberSource } from './number';
import { fold } from './words';

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

const minutes = String.raw`(${numberSource})(?:\s*(?:-|to|a|o)\s*(${numberSource}))?\s*-?\s*min(?:ute|uto)?s?`;
const hold: readonly RegExp[] = [
  String.raw`(?:high|low|alta|baja)?\s*(?:pressure|presion)(?: (?:alta|baja|cook(?:er|ing)?))?[^.;\d]{0,60}?${minutes}`,
  String.raw`${minutes}[^.;\d]{0,30}?(?:(?:at|on|under|a|en|de)\s+)?(?:high|low|alta|baja)?\s*(?:pressure|presion)`,
  String.raw`(?:manual|set (?:the )?(?:timer|cooker|pot|time)|programa)[^.;\d]{0,30}?${minutes}`,
  String.raw`(?:lock|close|seal|cierra|cierre|tapa)[^.]{0,20}(?:lid|tapa)?[^.;\d]{0,60}(?:cook|cocina|cocine)[^.;\d]{0,40}?${minutes}`,
].map((s) => new RegExp(s, 'u'));
/** Without the word pressure: "25 min high", "8 minutes, then release"; in a sentence about the pan it is none. */
const bareHold: readonly RegExp[] = [
  String.raw`${minutes}\s*(?:on\s+|at\s+|a\s+)?(?:high|hp|alta)\b`,
  String.raw`\b(?:hp|high)\s*,?\s*(?:for\s+)?${minutes}`,
  String.raw`^${minutes}\.?$`,
  String.raw`(?:^|[.;]\s*)${minutes}[,\s]*(?:(?:then|and|y|luego)\s+)*(?:quick |natural )?(?:release|npr|qr)\b`,
].map((s) => new RegExp(s, 'u'));
const ofPan = /saut|fry|brown|sofr|rehog|dora|heat|simmer|boil|bake|oven|toast|medium/;
const natural = String.raw`(?:natural(?:ly|mente)?(?: pressure)?(?: release)?|npr|come down (?:by |on )?its?(?:elf| own)|let (?:the )?pressure (?:drop|fall|come down)|forma natural|liberacion natural|despresuri\w+ (?:sola?|natural\w*)|baj(?:e|ar) (?:la presion )?(?:sola?|por si sola?))`;
const timedRelease = [
  new RegExp(String.raw`${natural}[^.;\d]{0,40}?${minutes}`, 'u'),
  new RegExp(String.raw`${minutes}[\s-]*(?:of |full |for )?${natural}`, 'u'),
  /\b(?:natural(?:ly)?|npr)\s+(\d+)\b()/u,
  // "Wait 10, then release": the pressure falls by itself meanwhile.
  /\b(?:wait|leave (?:it )?|esper\w+)\s+(\d+)()\s*(?:min\w*)?,?\s*(?:(?:and|then|y|luego)\s+)+(?:quick[\s-]*)?(?:release|vent|open the valve|libera\w*|despresuri\w*)/u,
];
const naturalRelease = new RegExp(natural, 'u');
const fried = new RegExp(
  String.raw`\b(?:saut[e\w]*|fry|brown|cook until (?:soft|golden)|sofri\w+|dora\w*|rehog\w+)\b[^.;\d]{0,70}?${minutes}`,
  'u',
);
const quick =
  /\b(?:quick[\s-]*(?:ly )?(?:pressure )?release|qr\b|release (?:the )?(?:pressure|steam) (?:immediately|at once|quickly|right away)|manual(?:ly)? release|open the valve|vent (?:at once|immediately|the steam)|liberacion rapida|(?:libera\w*|suelt\w+|soltar) (?:la presion )?(?:rapid\w+|de golpe|enseguida)|despresuri\w+ rapid\w+|salida rapida)/;
const release = /\b(?:release|vent|depressuri|libera|suelt|soltar|despresuri|presion baje)/;

/**
 * Reads minutes, pressure, release and frying from the steps of a recipe. Of several pressures the last one counts: it is
 * the one with the grain in it.
 */
export function readMethod(steps: readonly string[]): Method {
  const out: Method = { from: [] };
  const note = (m: RegExpExecArray): void => void out.from.push(m[0].trim().slice(0, 120));
  for (const step of steps) {
    const text = fold(step).replace(/[–—]/g, '-').replace(/\s+/g, ' ');
    const held = readHold(text);
    if (held) {
      out.holdMin = held.min;
      if (/\blow pressure\b|presion baja|\bbaja presion\b/.test(text)) out.pressure = 'low';
      else if (/\bhigh\b|\balta\b/.test(text)) out.pressure = 'high';
      note(held.match);
    }
    const whistle = /(\d+|one|two|three|four|five|un|dos|tres|cuatro|cinco)\s+(?:whistles?|silbidos?|pitidos?)/.exec(
      text,
    );
    if (whistle) {
      out.whistles = Number(whistle[1]) || ['', 'one', 'two', 'three', 'four', 'five'].indexOf(whistle[1]!);
      if (out.whistles <= 0) delete out.whistles;
      note(whistle);
    }
    readRelease(text, out, note);
    const fry = fried.exec(text);
    if (fry) {
      out.sauteMin = (out.sauteMin ?? 0) + middle(fry[1]!, fry[2]);
      note(fry);
    }
  }
  return out;
}

const middle = (a: string, b?: string): number => (readNumber(a) + readNumber(b ?? a)) / 2;

function readHold(text: string): { min: number; match: RegExpExecArray } | null {
  // Minutes of a release are not those of the hold: they are taken out first.
  const plain = timedRelease.reduce((t, re) => t.replace(re, ' release '), text);
  if (/\b(?:simmer|bake|oven|rest|stand)\b/.test(plain) && !/pressure|presion/.test(plain)) return null;
  for (const re of [...hold, ...bareHold]) {
    const match = re.exec(plain);
    const min = match ? middle(match[1]!, match[2]) : NaN;
    const numberAt = match ? match.index + match[0].search(/\d/) : 0;
    const before = plain.slice(0, numberAt).split(/[.;]/).at(-1)!;
    const isOfPan = match !== null && bareHold.includes(re) && ofPan.test(before);
    if (match && !isOfPan && Number.isFinite(min) && min <= 120) return { min, match };
  }
  return null;
}

function readRelease(text: string, out: Method, note: (m: RegExpExecArray) => void): void {
  const timed = timedRelease.map((re) => re.exec(text)).find((m) => m !== null);
  const isNatural = naturalRelease.exec(text) ?? timed;
  if (isNatural) {
    out.release = timed ? { kind: 'timed', naturalMin: middle(timed[1]!, timed[2] || undefined) } : { kind: 'natural' };
    note(timed ?? isNatural);
    return;
  }
  const fast = quick.exec(text);
  if (fast && (release.test(text) || /qr|valve|vent/.test(text))) {
    // "... then quick release" after a natural one in an earlier step leaves that one as it is.
    if (out.release?.kind !== 'timed') out.release = { kind: 'quick' };
    note(fast);
  }
}
