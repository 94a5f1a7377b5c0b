import { readNumber } from '../../quantity/parse';
import { numberSource, numberWords } from './number';
import { fold } from './words';

/**
 * What a clause of the steps is about: cooking under pressure, shutting or opening the lid, letting the pressure fall or
 * letting it off, waiting, frying, putting something in, something without a lid (an oven, a simmer); `bare` where it does not say.
 */
export type About = 'pressure' | 'lid' | 'open' | 'natural' | 'quick' | 'wait' | 'fry' | 'add' | 'other' | 'bare';

const wordBefore = new RegExp(
  String.raw`\b(${Object.keys(numberWords).join('|')})(?= (?:minutes?|mins?|minutos?|hours?|horas?)\b)`,
  'g',
);
const hours = new RegExp(
  String.raw`(${numberSource}) ?(?:hours?|hrs?|h|horas?)\b(?:,? (?:and |y )?(\d+) ?min\w*)?`,
  'g',
);

/** Hours and numbers in words as minutes: "a quarter of an hour", "1 hour 10 minutes", "two minutes". */
function inMinutes(text: string): string {
  return text
    .replace(/[–—]/g, '-')
    .replace(/\s+/g, ' ')
    .replace(/\b(?:a |un )?(?:quarter of an hour|cuarto de hora)\b/g, '15 min')
    .replace(/\b(?:half an hour|a? ?half hour|media hora)\b/g, '30 min')
    .replace(wordBefore, (w) => String(numberWords[w]!))
    .replace(hours, (_, h: string, min?: string) => `${60 * readNumber(h) + Number(min ?? 0)} min`);
}

const between =
  /[.;,:!](?!\d)|\s[/+]\s|\s-\s|[()]|\b(?:and then|then|and|with|y luego|luego|y|con)\b(?=\s)|(?=\bbefore (?:releasing|opening))/;

/** The sentences of the steps, folded, in order. */
export const sentencesOf = (steps: readonly string[]): string[] => steps.flatMap((s) => fold(s).split(/[.;]/));

/** The clauses of a folded step, in order. */
export const clausesOf = (step: string): string[] =>
  inMinutes(step)
    // "Let it stand 10 minutes before releasing" is one wait, and a release after it.
    .split(between)
    .map((c) => c.trim())
    .filter((c) => c !== '');

const minutes = new RegExp(String.raw`(${numberSource})(?:\s*(?:-|to|a|o|or)\s*(${numberSource}))?\s*-?\s*min`);

/** Minutes that a clause names, the middle of a range; null where it names none. */
export function minutesOf(clause: string): number | null {
  const m = minutes.exec(clause);
  if (!m || toPressure.test(clause)) return null;
  const min = (readNumber(m[1]!) + readNumber(m[2] ?? m[1]!)) / 2;
  return Number.isFinite(min) ? min : null;
}

/** A number without a unit after a word of pressure: "HP 4", "NPR 10", "leave 10", "manual high 3". */
export function numberAfterKey(clause: string, about: About): number | null {
  if (about !== 'pressure' && about !== 'natural' && about !== 'wait') return null;
  const m = /(?:^|\s)(\d+(?:\.\d+)?)(?=$|\s+(?:hp|lp|high|npr|nr|natural|nat|manual|pressure)\b)/.exec(clause);
  return m ? Number(m[1]) : null;
}

/** Minutes on the way to pressure are no hold. */
const toPressure =
  /\bto (?:come|build|get|reach)\b|\bcom(?:e|ing) (?:up )?to pressure|\btakes?\b|\btard\w+|\bpreheat|(?:coja|tome|alcance) presion/;

const natural = new RegExp(
  [
    String.raw`\bnpr\b|\bnr\b|\bnat(?:ural(?:ly|mente)?)?\b`,
    String.raw`come down (?:by |on )?its?(?:elf| own)|(?:drop|fall|come down|releas\w*|depressuri\w*) (?:by |on )?its? ?(?:elf|own)`,
    String.raw`(?:let|leave|until|wait)\b.{0,30}\b(?:pressure|pin|valve)\b.{0,20}(?:drop|fall|gone|down|releases)`,
    String.raw`forma natural|despresuri\w+ (?:sola?|natural\w*)|(?:baj(?:e|ar)|pierda|salga|salir)\b.{0,30}\bsol[ao]\b`,
    String.raw`dej\w+ (?:que )?baj\w+ la presion|hasta que (?:baje|pierda|salga)\b.{0,20}(?:presion|vapor)`,
  ].join('|'),
);
const quick = new RegExp(
  [
    String.raw`\bquick[\s-]*(?:ly )?(?:pressure )?releas|\bqr\b|\bqpr\b|\b(?:fast|rapid|instant) (?:pressure )?release`,
    String.raw`^(?:then )?(?:quick|rapid[oa])$|\babr\w+ (?:la olla )?(?:enseguida|en seguida|al momento|de inmediato)`,
    String.raw`manual(?:ly)? (?:pressure )?release|release manually|open the valve|\bvent\b`,
    String.raw`^(?:quick )?releas(?:e|ing)\b|release (?:the )?(?:pressure|steam)|^before releasing`,
    String.raw`liberacion rapida|\b(?:libera\w*|suelt\w+|soltar|quit\w+|sac\w+) (?:la |el )?(?:presion|vapor)`,
    String.raw`\b(?:libera\w*|suelt\w+|soltar)\b.{0,12}(?:rapid|de golpe|enseguida)|^despresuri\w+|salida rapida`,
  ].join('|'),
);
const surelyPressure = new RegExp(
  [
    String.raw`\b(?:pressure|presion|hp|lp|manual)\b|\bwhistles?\b|\bpotencia\b`,
    String.raw`desde que (?:sub|sal|silb|pit|cog|coj|tom)\w*|(?:cuando|en cuanto) .{0,20}(?:silb|pit|gir)[ae]r?\b`,
    String.raw`(?:cuando|en cuanto) .{0,20}(?:suba|subir|salga|salir)\b.{0,20}\b(?:valvula|anillas?|pivote|vapor|indicador|chivato)\b`,
  ].join('|'),
);
const fry =
  /\bsaut|\bfr(?:y|ied?|ies|ying)\b|\bbrown(?:ed|ing)?\b(?! (?:rice|sugar|lentil|basmati))|\bsear|\bsweat|\btoast|cook until (?:soft|golden)|\bsofr(?:i|e)|\bdora(?:r|mos|lo|la)?\b|\bdore|\brehog/;
const maybePressure =
  /\b(?:high|alta)\b(?! (?:heat|flame|oven|fire))|\bset (?:the |it )?(?:timer|cooker|pot|time|to)\b|\bprograma|\b(?:rice|meat|stew|soup) (?:function|setting|button|program)/;
const lid =
  /\b(?:lock|close|seal|cierra|cerrar|cierre|cerramos|tapa|tapar|tapamos)\b|\blid (?:on|shut|closed)|\bolla (?:express|a presion|rapida)/;
const add =
  /^(?:then )?(?:add|stir|mix|pour|dump|put|place|layer|shred|echa|anad|agreg|incorpor|mezcl|pon(?:er|emos|ga)?\b|verter)/;
const open = /\bheat off|\bopen(?:ed|ing)?\b|\babr(?:ir|e|a|imos)\b|\buncover|\bdestap/;
const other =
  /\b(?:simmer|boil|bake|oven|broil|grill|microwave|marinat|soak|heat|medium|hervir|hierv|horno|horne|fuego|marin|remoj)/;
const wait = /(?<!the )\b(?:rest|stand|wait|leave|sit|repos\w*|esper\w*|dej\w*)\b/;

/** What a folded clause is about; a release before a pressure, a pressure before a pan. */
export function aboutOf(clause: string): About {
  if (toPressure.test(clause)) return 'lid';
  if (natural.test(clause)) return 'natural';
  if (quick.test(clause)) return 'quick';
  if (surelyPressure.test(clause)) return 'pressure';
  if (open.test(clause)) return 'open';
  if (fry.test(clause)) return 'fry';
  if (maybePressure.test(clause)) return 'pressure';
  if (wait.test(clause)) return 'wait';
  if (other.test(clause.replace(/off (?:the )?heat/, ''))) return 'other';
  if (lid.test(clause)) return 'lid';
  return add.test(clause) ? 'add' : 'bare';
}
