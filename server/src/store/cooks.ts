import { cookFormat, Problem, summaryOf, type Cook, type CookEvent, type CookPage, type Outcome } from '@einkorn/core';
import { Op, type WhereOptions } from 'sequelize';
import type { Store } from './connect';
import type { CookRow, EventRow } from './models';

const missing = (): Problem => new Problem('cook-missing', 'This cook is not in the log. Go back to the Log.');

/** Every cook, whole, newest first: for the export. */
export async function listCooks({ models }: Store): Promise<Cook[]> {
  const [rows, events] = await Promise.all([
    models.Cooks.findAll({ order: [['startedMs', 'DESC']] }),
    models.Events.findAll({ order: [['seq', 'ASC']] }),
  ]);
  return joined(rows, events);
}

/** The cooks of a few rows with their events, in the order of the rows. */
const withEvents = async ({ models }: Store, rows: readonly CookRow[]): Promise<Cook[]> =>
  joined(rows, await models.Events.findAll({ where: { cookId: rows.map((r) => r.id) }, order: [['seq', 'ASC']] }));

function joined(rows: readonly CookRow[], events: readonly EventRow[]): Cook[] {
  const byCook = new Map<string, EventRow[]>(rows.map((r) => [r.id, []]));
  for (const e of events) byCook.get(e.cookId)?.push(e);
  return rows.map((r) => toCook(r, byCook.get(r.id)!));
}

/** The largest page of the log. */
export const mostOnPage = 200;

/**
 * A page of the log, newest first.
 *
 * @param after what the page before said as its `next`; the first page without it
 * @throws Problem `cursor-invalid` for anything else
 */
export async function pageOfCooks(store: Store, limit: number, after?: string): Promise<CookPage> {
  const { models } = store;
  const rows = await models.Cooks.findAll({
    ...(after === undefined ? {} : { where: olderThan(after) }),
    order: [
      ['startedMs', 'DESC'],
      ['id', 'DESC'],
    ],
    limit: limit + 1,
  });
  const page = rows.slice(0, limit);
  const last = page.at(-1);
  const [all, practised] = await Promise.all([
    models.Cooks.count(),
    models.Cooks.count({ where: { practice: { [Op.ne]: null } } }),
  ]);
  return {
    cooks: (await withEvents(store, page)).map(summaryOf),
    next: last && rows.length > limit ? `${last.startedMs}.${last.id}` : null,
    real: all - practised,
    practised,
  };
}

function olderThan(cursor: string): WhereOptions<CookRow> {
  const [, ms, id] = /^(\d{1,15})\.(.{1,60})$/.exec(cursor) ?? [];
  if (ms === undefined || id === undefined)
    throw new Problem('cursor-invalid', 'This page of the log is not known. Begin again at its top.', [
      { path: 'after', message: 'Send what the page before gave as "next".' },
    ]);
  const startedMs = Number(ms);
  return { [Op.or]: [{ startedMs: { [Op.lt]: startedMs } }, { startedMs, id: { [Op.lt]: id } }] };
}

export async function getCook({ models }: Store, id: string): Promise<Cook> {
  const row = await models.Cooks.findByPk(id);
  if (!row) throw missing();
  return toCook(row, await models.Events.findAll({ where: { cookId: id }, order: [['seq', 'ASC']] }));
}

/** Cooks in progress, newest first. */
export async function runningCooks(store: Store): Promise<Cook[]> {
  const rows = await store.models.Cooks.findAll({ where: { finishedMs: null }, order: [['startedMs', 'DESC']] });
  return withEvents(store, rows);
}
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

/** The newest cooks with real food that are over, whole. */
export const newestFinished = async (store: Store, most: number): Promise<Cook[]> =>
  withEvents(
    store,
    await store.models.Cooks.findAll({
      where: { finishedMs: { [Op.ne]: null }, practice: null },
      order: [['startedMs', 'DESC']],
      limit: most,
    }),
  );

/** Writes a new cook. Sending the same id again changes nothing, so that a lost answer can be retried. */
export async function addCook({ models, sequelize, inTurn }: Store, cook: Cook): Promise<void> {
  await inTurn(() =>
    sequelize.transaction(async (transaction) => {
      if (await models.Cooks.findByPk(cook.id, { attributes: ['id'], transaction })) return;
      const dish = cook.dishId === null ? null : await models.Dishes.findByPk(cook.dishId, { transaction });
      const { id, startedMs, finishedMs, outcome } = cook;
      await models.Cooks.create(
        {
          id,
          dishId: dish?.id ?? null,
          dish: cook.dish,
          plan: cook.plan,
          startedMs,
          finishedMs,
          outcome,
          practice: cook.practice ?? null,
        },
        { transaction },
      );
      await models.Events.bulkCreate(
        cook.events.map((e, i) => eventRow(id, { ...e, seq: i + 1 })),
        { transaction },
      );
    }),
  );
}

/**
 * Keeps events that are not there yet, in the order given, each at the next place of its cook; one that was sent before
 * keeps its place. Returns what was sent, as it is kept. One batch after another: taps and devices write at the same time.
 */
export function addEvents(
  { models, sequelize, inTurn }: Store,
  cookId: string,
  events: readonly CookEvent[],
): Promise<CookEvent[]> {
  return inTurn(() =>
    sequelize.transaction(async (transaction) => {
      // Only whether it is there: its plan is large, and a tap does not wait for it to be read.
      if (!(await models.Cooks.findByPk(cookId, { attributes: ['id'], transaction }))) throw missing();
      const ids = [...new Set(events.map((e) => e.id))];
      const there = await models.Events.findAll({ where: { cookId, id: ids }, transaction });
      const kept = new Map(there.map((row) => [row.id, toEvent(row)]));
      const last = (await models.Events.max<number | null, EventRow>('seq', { where: { cookId }, transaction })) ?? 0;
      const fresh: CookEvent[] = [];
      for (const e of events) {
        if (kept.has(e.id)) continue;
        const placed = { ...e, seq: last + fresh.length + 1 };
        kept.set(e.id, placed);
        fresh.push(placed);
      }
      await models.Events.bulkCreate(
        fresh.map((e) => eventRow(cookId, e)),
        { transaction },
      );
      return ids.map((id) => kept.get(id)!);
    }),
  );
}

export async function finishCook(
  { models, inTurn }: Store,
  id: string,
  change: { finishedMs?: number; outcome?: Outcome },
): Promise<void> {
  await inTurn(async () => {
    const row = await models.Cooks.findByPk(id);
    if (!row) throw missing();
    await row.update(change);
  });
}

export function removeCook({ models, inTurn }: Store, id: string): Promise<void> {
  return inTurn(async () => {
    if ((await models.Cooks.destroy({ where: { id } })) === 0) throw missing();
  });
}

const eventRow = (cookId: string, e: CookEvent) => ({ cookId, id: e.id, seq: e.seq!, doc: e });
const toEvent = (row: EventRow): CookEvent => ({ ...row.doc, seq: row.seq });

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
