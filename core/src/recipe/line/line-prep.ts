import type { Ingredient } from '../../dish/schema';
import { isMince, isPrecooked } from '../../food/meats';
import type { FoodRecord } from '../../food/record';
import { pieceByName } from './measures';
import { isJointed } from './kinds';
import { comesInJoints, mostPieceG } from './line-pieces';
import type { LineFacts } from './line-facts';
import { numberWords } from '../text/number';

type Prep = NonNullable<Ingredient['prep']>;

/** Only what can be done to such a food stays: rice is not sliced, and spices that are "whole" are not pieces of meat. */
export function fittingPrep(read: Prep, food: FoodRecord, plain: string): Prep {
  const isMeat = food.kind === 'meat';
  const inPieces = (isMeat && !isMince(food) && food.id !== 'egg') || food.plant !== undefined;
  const isGrain = food.grain !== undefined;
  const pours = food.kind === 'liquid' || food.kind === 'dairy';
  const isHot = read.hot === true || (food.id === 'water' && /\b(?:hot|boiling|warm|hirviendo|caliente)\b/.test(plain));
  const isBoiled = food.id === 'egg' && comesCooked.test(plain);
  const isPulled = isMeat && inPieces && isPrecooked(food, read.state) && pulledApart.test(plain);
  const prep: Prep = {
    ...(isPulled ? { shape: 'strip' as const, thicknessMm: pulledMm } : {}),
    ...(inPieces && read.shape && read.shape !== 'ground' ? { shape: read.shape } : {}),
    ...(inPieces && read.thicknessMm ? { thicknessMm: read.thicknessMm } : {}),
    ...(isMeat && read.slit ? { slit: true } : {}),
    ...(isGrain && read.rinse ? { rinse: true } : {}),
    ...(isGrain && read.soakMin !== undefined ? { soakMin: read.soakMin } : {}),
    ...(isHot && (pours || read.state === 'cooked') ? { hot: true } : {}),
    ...(read.state && statesOf(food).includes(read.state) ? { state: read.state } : {}),
    ...(isBoiled ? { state: 'cooked' as const } : {}),
    ...(food.id === 'onion' && /\b(?:fried|frit[oa]s?)\b/.test(plain) ? { state: 'browned' as const } : {}),
  };
  const packet = food.packetMin && /(\d+)(?:\s*(?:-|to|a)\s*(\d+))?[\s-]*min/.exec(plain);
  if (packet && prep.soakMin === undefined)
    prep.packetMinutes = (Number(packet[1]) + Number(packet[2] ?? packet[1])) / 2;
  return prep;
}

/** Leftover meat in shreds is warm through in a minute. Raw meat of such a line is cooked whole, and pulled apart afterwards. */
const pulledApart =
  /\b(?:shredded|pulled|torn|flaked|desmenuzad[oa]s?|deshebrad[oa]s?|desmechad[oa]s?|deshilachad[oa]s?)\b/;
/** Meat that is pulled apart by hand, mm [common practice]. */
const pulledMm = 10;

/** Eggs that are set when they come to the kitchen: only to be warmed, never cooked a second time. */
const comesCooked = /\bdur[oa]s?\b|\b(?:century|preserved|pickled|tea) eggs?\b/;

/** The states that a food can be in when it comes to the pot; of what has only one, none is said. */
function statesOf(food: FoodRecord): readonly (Prep['state'] & string)[] {
  if (food.grain) return ['toasted', 'cooked'];
  if (food.kind === 'meat')
    return food.meat?.cut === 'cooked' ? [] : ['raw', 'frozen', 'half-frozen', 'part-seared', 'browned', 'cooked'];
  if (food.plant) return food.plant.staysHard ? ['cooked'] : ['frozen', 'browned', 'cooked'];
  return food.kind === 'vegetable' ? ['browned'] : [];
}

/**
 * Sets the weight of one piece of meat where its name or its line says it: the tender of a breast, a joint in one piece.
 *
 * @param grams of the whole line
 */
export function asPiece(prep: Prep, f: LineFacts, food: FoodRecord, grams: number | null): void {
  const namedG = food.kind === 'meat' ? pieceByName(f.hit.name) : undefined;
  if (namedG && !prep.shape) prep.pieceG ??= namedG;
  // A bird or a rabbit in joints is not diced, and one animal is not one piece.
  if (isInJoints(f)) {
    if (prep.shape === 'cube') delete prep.shape;
    if ((f.head.value ?? 0) <= 1 || (prep.pieceG ?? 0) > heaviestJointG) delete prep.pieceG;
  }
  const chunkG = food.meat?.cut === 'stew' && prep.state !== 'cooked' ? chunkOf(f, grams, prep) : null;
  if (chunkG !== null) Object.assign(prep, { shape: 'whole', pieceG: chunkG });
  else if (isInOnePiece(f, food, prep)) Object.assign(prep, wholePrep(f, grams));
}

/** Animals that are bought whole and cooked in joints, and the words for that. */
const smallAnimal = /^(?:ducks?|patos?|rabbits?|conejos?|guinea[\s-]?fowls?|pintadas?)\b/;
const cutUp = /\b(?:jointed|cut up|in pieces|trocead[oa]s?|despresad[oa]s?|en trozos)\b/;
const isInJoints = ({ hit, plain }: LineFacts): boolean =>
  isJointed(hit.name, plain) || (smallAnimal.test(hit.name) && cutUp.test(plain));

/** No joint of such an animal weighs more: the number was one of animals, g [common practice]. */
const heaviestJointG = 450;

/** Words for a piece of meat that nobody has cut yet. */
const joint =
  /\b(?:whole|joint|in one piece|single piece|(?:chuck|rump|pot|shoulder|loin|leg|rib|beef|pork|lamb) roast|roasting|briskets?|cheeks?|tenderloins?|carrilleras?|carrilladas?|solomillos?|enter[oa]|en una pieza|de una pieza)\b/;
const isInOnePiece = (f: LineFacts, food: FoodRecord, prep: Prep): boolean =>
  prep.state !== 'cooked' &&
  comesInJoints(food) &&
  joint.test(f.plain) &&
  (prep.shape ?? 'whole') === 'whole' &&
  prep.pieceG === undefined;
/** How many pieces a bare number at the head of a line names; null where it has a measure, or is no whole number. */
const piecesNamed = ({ head: { value, measure } }: LineFacts): number | null =>
  measure === null && value !== null && Number.isInteger(value) ? value : null;

/** A piece of stewing meat from here on is no cube, g [common practice]. */
const chunkFromG = 100;
const intoPieces = new RegExp(
  String.raw`\b(?:in|into|en) (\d+|${Object.keys(numberWords).join('|')}) (?:large |big |even |equal |roughly equal )?(?:chunks?|pieces?|portions?|parts?|steaks?|trozos|piezas|partes)\b`,
);

/** Grams of one of the few large pieces that a line speaks of: "cut into 3 chunks", "2 lamb necks (1 kg)"; null where they are cubes. */
function chunkOf(f: LineFacts, grams: number | null, { shape = 'whole' }: Prep): number | null {
  const into = intoPieces.exec(f.plain)?.[1];
  const named = shape === 'whole' && !isInJoints(f) ? piecesNamed(f) : null;
  const count = into ? (numberWords[into] ?? Number(into)) : named;
  const pieceG = grams === null || !count ? 0 : Math.round(grams / count);
  return pieceG >= chunkFromG && pieceG <= mostPieceG ? pieceG : null;
}

/** No cheek weighs more, g [common practice]. */
const cheekG = 350;
const isCheek = /\b(?:cheeks?|carrill(?:era|ada)s?)\b/;

/** What one of so many weighs; without a number of them, it is one, of cheeks as few as there can be. */
function wholePrep(f: LineFacts, grams: number | null): Prep {
  const fewest = isCheek.test(f.plain) ? Math.max(1, Math.ceil((grams ?? 0) / cheekG)) : 1;
  const pieceG = Math.round((grams ?? 0) / (piecesNamed(f) ?? fewest));
  return { shape: 'whole', ...(pieceG >= 1 && pieceG <= mostPieceG ? { pieceG } : {}) };
}
