import {
  asEvidence,
  cookFormat,
  cookSchema,
  outcomeSchema,
  refusal,
  stableJson,
  threeWay,
  type Cook,
  type CookEvent,
  type Outcome,
  type Problem,
} from '@einkorn/core';
import { Op, QueryTypes, type WhereAttributeHash } from 'sequelize';
import type { Store } from './connect';
import { meanwhile } from './kitchen';
import { bringsTrouble, logRowOf, outdate } from './log-row';
import type { CookRow, EventRow } from './models';
import { putAside, type Found } from './set-aside';

const missing = (): Problem => refusal('cook-missing');

/** So many cooks are read at once: half a megabyte. */
const batch = 12;

/** Every cook, or `only` those, whole, a few at a time. One that is added meanwhile may be among them. */
export async function* cooksInBatches(
  store: Pick<Store, 'models'>,
  first: 'oldest' | 'newest',
  only: WhereAttributeHash = {},
): AsyncGenerator<Cook[]> {
  const [beyond, way] = first === 'oldest' ? ([Op.gt, 'ASC'] as const) : ([Op.lt, 'DESC'] as const);
  let last: { startedMs: number; id: string } | null = null;
  for (;;) {
    const rows: CookRow[] = await store.models.Cooks.findAll({
      where: {
        ...only,
        ...(last === null
          ? {}
          : {
              [Op.or]: [
                { startedMs: { [beyond]: last.startedMs } },
                { startedMs: last.startedMs, id: { [beyond]: last.id } },
              ],
            }),
      },
      order: [
        ['startedMs', way],
        ['id', way],
      ],
      limit: batch,
    });
    if (rows.length === 0) return;
    last = rows.at(-1)!;
    yield await withEvents(store, rows);
  }
}

/** The cooks of a few rows with their events, in the order of the rows. */
const withEvents = async ({ models }: Pick<Store, 'models'>, rows: readonly CookRow[]): Promise<Cook[]> =>
  joined(rows, await models.Events.findAll({ where: { cookId: rows.map((r) => r.id) }, order: [['seq', 'ASC']] }));

function joined(rows: readonly CookRow[], events: readonly EventRow[]): Cook[] {
  const byCook = new Map<string, EventRow[]>(rows.map((r) => [r.id, []]));
  for (const e of events) byCook.get(e.cookId)?.push(e);
  return rows.map((r) => toCook(r, byCook.get(r.id)!));
}

/** The cooks of these ids, whole, in no order. */
export async function cooksOf(store: Store, ids: readonly string[]): Promise<Cook[]> {
  return ids.length === 0 ? [] : withEvents(store, await store.models.Cooks.findAll({ where: { id: [...ids] } }));
}

export async function getCook(store: Store, id: string): Promise<Cook> {
  const [cook] = await readable(store, [await wholeCook(store, id)]);
  if (!cook) throw missing();
  return cook;
}
async function wholeCook({ models }: Store, id: string): Promise<Cook> {
  const row = await models.Cooks.findByPk(id);
  if (!row) throw missing();
  return toCook(row, await models.Events.findAll({ where: { cookId: id }, order: [['seq', 'ASC']] }));
}

/** Those of the cooks that are what they should be; the others are set aside, and keep no screen from opening. */
async function readable(store: Store, cooks: readonly Cook[]): Promise<Cook[]> {
  const broken = cooks.filter((c) => !isSound(c));
  if (broken.length === 0) return [...cooks];
  await store.inTurn(() => putAside(store.sequelize, broken.map(asBroken)));
  return cooks.filter((c) => !broken.includes(c));
}
export const isSound = (cook: Cook): boolean => cookSchema.safeParse(cook).success;
export const asBroken = ({ id }: Cook): Found => ({ kind: 'cooks', key: id, why: 'no-cook' });

/** Cooks in progress, newest first. */
export async function runningCooks(store: Store): Promise<Cook[]> {
  const rows = await store.models.Cooks.findAll({ where: { finishedMs: null }, order: [['startedMs', 'DESC']] });
  return readable(store, await withEvents(store, rows));
}
/** Is somebody cooking now: a real cook that began within so many hours and is not over? */
export async function isCooking({ models, clock }: Store): Promise<boolean> {
  const since = clock.nowMs() - longestCookMs;
  return (await models.Cooks.count({ where: { finishedMs: null, practice: null, startedMs: { [Op.gt]: since } } })) > 0;
}
/** A cook that was left open before that is over in truth, ms [derived: the longest plan is some hours]. */
const longestCookMs = 12 * 3_600_000;

/** The real cook that a device without further word means. */
export const newestRunning = async (store: Store): Promise<Cook | undefined> =>
  (await runningCooks(store)).find((c) => !c.practice);

/** The newest finished cook of a dish with real food, or null. */
export async function lastCook(store: Store, dishId: string): Promise<Cook | null> {
  const rows = await store.models.Cooks.findAll({
    where: { dishId },
    attributes: ['id', 'finishedMs', 'practice'],
    order: [['startedMs', 'DESC']],
  });
  const row = rows.find((c) => c.finishedMs !== null && !c.practice);
  return row ? getCook(store, row.id) : null;
}

/** The newest cooks with real food that are over, with what is learned from them. */
export async function newestFinished(store: Store, most: number): Promise<Cook[]> {
  const cooks: Cook[] = [];
  for await (const some of cooksInBatches(store, 'newest', { finishedMs: { [Op.ne]: null }, practice: null })) {
    cooks.push(...some.map(asEvidence));
    if (cooks.length >= most) break;
  }
  return cooks.slice(0, most);
}

/**
 * Writes a new cook. Sending it again changes nothing, so that a lost answer can be retried. Throws Problem `id-taken` where
 * the id is another cook's.
 */
export async function addCook(store: Store, cook: Cook): Promise<void> {
  if ((await addCooks(store, [cook])) > 0) return;
  const there = await store.models.Cooks.findByPk(cook.id);
  if (there && stableJson([there.dish, there.plan]) !== stableJson([cook.dish, cook.plan])) throw refusal('id-taken');
}

/** Writes new cooks, all or none of them; those whose id is there already stay as they are. Returns how many were new. */
export function addCooks({ models, sequelize, inTurn }: Store, cooks: readonly Cook[]): Promise<number> {
  return inTurn(() =>
    sequelize.transaction(async (transaction) => {
      const ids = cooks.map((c) => c.id);
      const there = await models.Cooks.findAll({ where: { id: ids }, attributes: ['id'], transaction });
      const taken = new Set(there.map((row) => row.id));
      const fresh = cooks.filter((c) => !taken.has(c.id));
      const dishIds = fresh.flatMap((c) => c.dishId ?? []);
      const dishes = await models.Dishes.findAll({ where: { id: dishIds }, attributes: ['id'], transaction });
      const onShelf = new Set(dishes.map((row) => row.id));
      await models.Cooks.bulkCreate(
        fresh.map((c) => cookRow(c, onShelf)),
        { transaction },
      );
      await models.Events.bulkCreate(
        fresh.flatMap((c) => c.events.map((e, i) => eventRow(c.id, { ...e, seq: i + 1 }))),
        { transaction },
      );
      await models.LogRows.bulkCreate(fresh.map(logRowOf), { transaction });
      return fresh.length;
    }),
  );
}

/** A cook of a dish that is no longer on the shelf keeps its own copy of it only. */
const cookRow = ({ id, dishId, dish, plan, startedMs, finishedMs, outcome, practice }: Cook, onShelf: Set<string>) => ({
  id,
  dishId: dishId !== null && onShelf.has(dishId) ? dishId : null,
  dish,
  plan,
  startedMs,
  finishedMs,
  outcome,
  practice: practice ?? null,
});

/**
 * Keeps events that are not there yet, in the order given, each at the next place of its cook; one that was sent before
 * keeps its place. Returns what was sent, as it is kept. One batch after another: taps and devices write at the same time.
 */
export function addEvents(store: Store, cookId: string, events: readonly CookEvent[]): Promise<CookEvent[]> {
  return store.inTurn(async () => {
    const ids = [...new Set(events.map((e) => e.id))];
    const cook = await placesOf(store, cookId, ids);
    const { there: kept, lastSeq } = cook;
    const fresh: CookEvent[] = [];
    const span = { fromMs: cook.startedMs, toMs: cook.isPractice ? Infinity : store.clock.nowMs() };
    for (const e of events) {
      const there = kept.get(e.id);
      if (there) {
        if (!saysTheSame(there, e)) throw refusal('tap-id-taken');
        continue;
      }
      if (cook.finishedMs !== null && e.atMs > cook.finishedMs + aheadMs) throw refusal('cook-over');
      const placed = { ...withinCook(e, span), seq: lastSeq + fresh.length + 1 };
      kept.set(e.id, placed);
      fresh.push(placed);
    }
    await keepEvents(store, cook, fresh);
    return ids.map((id) => kept.get(id)!);
  });
}

/** A clock may be so much ahead of the house's before its taps are corrected, ms. */
const aheadMs = 1000;

/** An event at a moment that could be: none before its cook began, none in the future of the house's clock. */
function withinCook(e: CookEvent, { fromMs, toMs }: { fromMs: number; toMs: number }): CookEvent {
  const atMs = e.atMs < fromMs ? fromMs : e.atMs > toMs + aheadMs ? toMs : e.atMs;
  return atMs === e.atMs ? e : { ...e, atMs, saidMs: e.atMs };
}

/**
 * The same event sent again? Its place and a corrected moment are the server's. What devices tell has its id from what happened:
 * the first of them that saw it counts.
 */
function saysTheSame(kept: CookEvent, sent: CookEvent): boolean {
  if (kept.device !== undefined && sent.device !== undefined) return kept.kind === sent.kind;
  const told = (e: CookEvent): string =>
    stableJson({ ...e, seq: undefined, saidMs: undefined, atMs: e.saidMs ?? e.atMs });
  return told(kept) === told(sent);
}

interface Places {
  cookId: string;
  startedMs: number;
  isPractice: boolean;
  finishedMs: number | null;
  /** the last place that is taken; 0 where none is */
  lastSeq: number;
  /** those of the events that are there already, by id */
  there: Map<string, CookEvent>;
}
/** What a batch has to know of its cook, in one question: its plan is large, and a tap does not wait for it to be read. */
async function placesOf({ sequelize }: Store, cookId: string, ids: readonly string[]): Promise<Places> {
  const [row] = await sequelize.query<{
    startedMs: number;
    finishedMs: number | null;
    isPractice: 0 | 1;
    lastSeq: number | null;
    there: string;
  }>(
    `SELECT startedMs, finishedMs, practice IS NOT NULL AS isPractice,
       (SELECT MAX(seq) FROM events WHERE cookId = :cookId) AS lastSeq,
       (SELECT json_group_array(json_object('seq', seq, 'doc', json(doc)))
          FROM events WHERE cookId = :cookId AND id IN (:ids)) AS there
     FROM cooks WHERE id = :cookId`,
    { replacements: { cookId, ids: [...ids] }, type: QueryTypes.SELECT },
  );
  if (!row) throw missing();
  const events = (JSON.parse(row.there) as Pick<EventRow, 'doc' | 'seq'>[]).map(toEvent);
  return {
    cookId,
    startedMs: row.startedMs,
    isPractice: row.isPractice === 1,
    finishedMs: row.finishedMs,
    lastSeq: row.lastSeq ?? 0,
    there: new Map(events.map((e) => [e.id, e])),
  };
}

/**
 * Writes events that have their places; only ever in turn. One statement is all or nothing by itself: a transaction, for which
 * a connection of its own is opened, is for what also puts a summary out of date.
 */
async function keepEvents(store: Store, { cookId, finishedMs }: Places, fresh: readonly CookEvent[]): Promise<void> {
  const rows = fresh.map((e) => eventRow(cookId, e));
  // A cook that goes on has no summary yet, and a tap waits for nothing that changes nothing.
  if (finishedMs === null && !bringsTrouble(fresh)) await store.models.Events.bulkCreate(rows);
  else
    await store.sequelize.transaction(async (transaction) => {
      await store.models.Events.bulkCreate(rows, { transaction });
      await outdate(store, cookId, fresh, transaction);
    });
}

export interface CookChange {
  /** null takes the cook up again */
  finishedMs?: number | null;
  outcome?: Outcome;
  /** the outcome as the screen had it that now changes it; left out, nothing is asked */
  had?: Outcome | null;
}

/** Ends a cook, takes it up again, or keeps how it came out. Throws Problem `outcome-changed` where another screen said otherwise. */
export async function changeCook(store: Store, id: string, change: CookChange): Promise<void> {
  await store.inTurn(async () => {
    const row = await store.models.Cooks.findByPk(id);
    if (!row) throw missing();
    const { finishedMs, outcome, had } = change;
    const latestMs = row.practice ? Infinity : store.clock.nowMs() + aheadMs;
    await row.update({
      ...(outcome ? { outcome: had === undefined ? outcome : mergedOutcome(had, outcome, row.outcome) } : {}),
      ...(finishedMs === undefined ? {} : { finishedMs: finishedMs && between(row.startedMs, finishedMs, latestMs) }),
    });
    await store.models.LogRows.upsert(logRowOf(await wholeCook(store, id)));
  });
}

const between = (leastMs: number, ms: number, mostMs: number): number => Math.max(leastMs, Math.min(ms, mostMs));

/** Ratings are fields like the note: two screens may each say something else of one cook. */
function mergedOutcome(had: Outcome | null, wanted: Outcome, held: Outcome | null): Outcome {
  const flat = (o: Outcome | null): Record<string, unknown> => {
    const { ratings = {}, ...rest } = o ?? {};
    return { ...rest, ...Object.fromEntries(Object.entries(ratings).map(([k, v]) => [ratingsIn + k, v])) };
  };
  const { merged, collisions } = threeWay(flat(had), flat(wanted), flat(held));
  if (collisions.length > 0) throw refusal('outcome-changed', {}, ...collisions.map(meanwhile));
  const own = (isRating: boolean) => Object.entries(merged).filter(([k]) => k.startsWith(ratingsIn) === isRating);
  const ratings = Object.fromEntries(own(true).map(([k, v]) => [k.slice(ratingsIn.length), v]));
  return outcomeSchema.parse({ ...Object.fromEntries(own(false)), ratings });
}
const ratingsIn = 'ratings.';

export function removeCook({ models, inTurn }: Store, id: string): Promise<void> {
  return inTurn(async () => {
    if ((await models.Cooks.destroy({ where: { id } })) === 0) throw missing();
  });
}

/** Takes those of these cooks away that are there. */
export const removeCooks = ({ models, inTurn }: Store, ids: readonly string[]): Promise<number> =>
  inTurn(() => models.Cooks.destroy({ where: { id: [...ids] } }));

const eventRow = (cookId: string, e: CookEvent) => ({ cookId, id: e.id, seq: e.seq!, doc: e });
const toEvent = (row: Pick<EventRow, 'doc' | 'seq'>): CookEvent => ({ ...row.doc, seq: row.seq });

const toCook = (row: CookRow, events: EventRow[]): Cook => ({
  format: cookFormat,
  id: row.id,
  dishId: row.dishId,
  dish: row.dish,
  plan: row.plan,
  startedMs: row.startedMs,
  finishedMs: row.finishedMs,
  outcome: row.outcome,
  events: events.map(toEvent),
  ...(row.practice ? { practice: row.practice } : {}),
});
