import {
  fold,
  summaryOf,
  type CookPage,
  type CookSummary,
  type LogOutcome,
  type LogSort,
  refusal,
  issueAt,
} from '@einkorn/core';
import { Op, type WhereOptions } from 'sequelize';
import type { Store } from './connect';
import { cooksOf } from './cooks';
import { logRowOf } from './log-row';
import type { LogRow } from './models';

/** The largest page of the log. */
export const mostOnPage = 200;

/** Which part of the log, in which order. */
export interface LogQuery {
  limit: number;
  /** what the page before said as its `next`; the first page without it */
  after?: string | undefined;
  sort?: LogSort | undefined;
  /** words in the title, the foods or the note */
  text?: string | undefined;
  potId?: string | undefined;
  outcome?: LogOutcome | undefined;
  practice?: boolean | undefined;
}

/**
 * A page of the log.
 *
 * @throws Problem `cursor-invalid` where `after` is no answer of a page before
 */
export async function pageOfCooks(store: Store, query: LogQuery): Promise<CookPage> {
  const { models } = store;
  const { limit, sort = 'newest' } = query;
  const from = query.after === undefined ? 0 : offsetOf(query.after);
  const where = whereOf(query);
  const rows = await models.LogRows.findAll({
    where,
    order: orders[sort],
    offset: from,
    limit: limit + 1,
  });
  const [found, all, practised, potIds] = await Promise.all([
    models.LogRows.count({ where }),
    models.LogRows.count(),
    models.LogRows.count({ where: { practice: true } }),
    models.LogRows.findAll({ attributes: ['potId'], group: ['potId'], order: ['potId'] }),
  ]);
  return {
    cooks: await summaries(store, rows.slice(0, limit)),
    next: rows.length > limit ? String(from + limit) : null,
    found,
    real: all - practised,
    practised,
    potIds: potIds.map((row) => row.potId),
  };
}

const orders: Record<LogSort, [keyof LogRow, 'ASC' | 'DESC'][]> = {
  newest: [
    ['startedMs', 'DESC'],
    ['cookId', 'DESC'],
  ],
  oldest: [
    ['startedMs', 'ASC'],
    ['cookId', 'ASC'],
  ],
  title: [
    ['title', 'ASC'],
    ['startedMs', 'DESC'],
  ],
  // The hardest first; what was not rated stands last.
  rating: [
    ['grain', 'ASC'],
    ['startedMs', 'DESC'],
  ],
};

function whereOf({ text, potId, outcome, practice, sort }: LogQuery): WhereOptions<LogRow> {
  const words = fold(text ?? '')
    .split(/\s+/)
    .filter((w) => w !== '');
  const all: WhereOptions<LogRow>[] = words.map((w) => ({ words: { [Op.like]: `%${w.replace(/[%_\\]/g, ' ')}%` } }));
  if (potId !== undefined) all.push({ potId });
  if (practice !== undefined) all.push({ practice });
  if (outcome !== undefined) all.push(outcomes[outcome]);
  if (sort === 'rating' && outcome !== 'unrated') all.push({ grain: { [Op.ne]: null } });
  return { [Op.and]: all };
}

const outcomes: Record<LogOutcome, WhereOptions<LogRow>> = {
  right: { grain: 2 },
  softer: { grain: { [Op.gt]: 2 } },
  firmer: { grain: { [Op.lt]: 2 } },
  unrated: { grain: null },
  trouble: { trouble: true },
};

function offsetOf(after: string): number {
  if (!/^\d{1,7}$/.test(after)) throw refusal('cursor-invalid', {}, issueAt('after', 'send-next'));
  return Number(after);
}

/** The summaries of a few rows, in their order; those that are missing are made, and kept where the cook is over. */
async function summaries(store: Store, rows: readonly LogRow[]): Promise<CookSummary[]> {
  const cooks = await cooksOf(
    store,
    rows.filter((r) => r.summary === null).map((r) => r.cookId),
  );
  const over = cooks.filter((c) => c.finishedMs !== null);
  if (over.length > 0)
    await store.inTurn(async () => {
      for (const cook of over) await store.models.LogRows.upsert(logRowOf(cook));
    });
  const made = new Map(cooks.map((c) => [c.id, summaryOf(c)]));
  return rows.flatMap((r) => r.summary ?? made.get(r.cookId) ?? []);
}
