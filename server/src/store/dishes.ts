import { randomUUID } from 'node:crypto';
import { Op } from 'sequelize';
import { type Dish, type Shelved, type Problem, refusal, issueAt, stableJson } from '@einkorn/core';
import type { Store } from './connect';

export interface StoredDish {
  id: string;
  revision: number;
  updatedMs: number;
  dish: Dish;
}

const missing = (): Problem => refusal('dish-missing');

/** The dishes of the shelf, or those that were put away; the newest change first. */
export async function listDishes({ models }: Store, archived = false): Promise<StoredDish[]> {
  const rows = await models.Dishes.findAll({
    where: { archivedMs: archived ? { [Op.ne]: null } : null },
    order: [
      ['updatedMs', 'DESC'],
      ['id', 'ASC'],
    ],
  });
  return rows.map(toDish);
}

export async function getDish({ models }: Store, id: string): Promise<StoredDish> {
  const row = await models.Dishes.findByPk(id);
  if (!row) throw missing();
  return toDish(row);
}

export async function addDish(
  { models, inTurn }: Store,
  dish: Dish,
  id: string = randomUUID(),
  updatedMs = Date.now(),
): Promise<StoredDish> {
  return toDish(await inTurn(() => models.Dishes.create({ id, doc: dish, revision: 1, updatedMs })));
}

/** Every dish under its id, those put away too: for the export. */
export async function listShelved({ models }: Store): Promise<Shelved[]> {
  const rows = await models.Dishes.findAll({ order: [['updatedMs', 'ASC']] });
  return rows.map((row) => ({ id: row.id, dish: row.doc, ...(row.archivedMs === null ? {} : { archived: true }) }));
}

/** Puts dishes on the shelf whose ids are not there yet. Returns how many were new. */
export function addShelved({ models, sequelize, inTurn }: Store, dishes: readonly Shelved[]): Promise<number> {
  return inTurn(() =>
    sequelize.transaction(async (transaction) => {
      const there = await models.Dishes.findAll({
        where: { id: dishes.map((d) => d.id) },
        attributes: ['id'],
        transaction,
      });
      const taken = new Set(there.map((row) => row.id));
      const fresh = dishes.filter((d) => !taken.has(d.id));
      const nowMs = Date.now();
      await models.Dishes.bulkCreate(
        fresh.map(({ id, dish, archived }, i) => ({
          id,
          doc: dish,
          revision: 1,
          // In the order of the file, as they stood on their shelf.
          updatedMs: nowMs + i,
          archivedMs: archived ? nowMs : null,
        })),
        { transaction },
      );
      return fresh.length;
    }),
  );
}

/** Saves a dish over the revision it was read at. A newer revision on the shelf is a conflict, never overwritten. */
export async function saveDish(
  { models, sequelize, inTurn }: Store,
  id: string,
  dish: Dish,
  revision: number,
): Promise<StoredDish> {
  return inTurn(() =>
    sequelize.transaction(async (transaction) => {
      const row = await models.Dishes.findByPk(id, { transaction });
      if (!row) throw missing();
      // The same save once more, whose answer was lost on the way, is no conflict.
      if (row.revision === revision + 1 && stableJson(row.doc) === stableJson(dish)) return toDish(row);
      if (row.revision !== revision)
        throw refusal('dish-changed', {}, issueAt('revision', 'revision-held', { held: row.revision, had: revision }));
      await row.update({ doc: dish, revision: revision + 1, updatedMs: Date.now() }, { transaction });
      return toDish(row);
    }),
  );
}

/** Puts a dish away, or back on the shelf. Its document and revision stay as they are. */
export function archiveDish({ models, inTurn }: Store, id: string, archived: boolean): Promise<StoredDish> {
  return inTurn(async () => {
    const row = await models.Dishes.findByPk(id);
    if (!row) throw missing();
    return toDish(await row.update({ archivedMs: archived ? Date.now() : null }));
  });
}

export function removeDish({ models, inTurn }: Store, id: string): Promise<void> {
  return inTurn(async () => {
    if ((await models.Dishes.destroy({ where: { id } })) === 0) throw missing();
  });
}

const toDish = (row: { id: string; revision: number; updatedMs: number; doc: Dish }): StoredDish => ({
  id: row.id,
  revision: row.revision,
  updatedMs: row.updatedMs,
  dish: row.doc,
});

/** Takes those of these dishes away that are there; cooks of them keep their own copy. */
export const removeDishes = ({ models, inTurn }: Store, ids: readonly string[]): Promise<number> =>
  inTurn(() => models.Dishes.destroy({ where: { id: [...ids] } }));
