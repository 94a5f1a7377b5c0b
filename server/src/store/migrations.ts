import { DataTypes, Op, type QueryInterface, type Sequelize } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { FolderProblem } from '../keep/folder';
import { typedEvents } from './typed-events';

/*
 * Every change of the tables, oldest first. A fixed list, not a folder: the server is one bundled file.
 * A migration that has shipped is never edited; the next change is a new entry. There is no way down: a server is never older
 * than its database, and the way back is a copy of the file made before.
 */
const migrations: { name: string; up: (q: QueryInterface) => Promise<void> }[] = [
  {
    name: '001-dishes-cooks-kitchen',
    up: async (q) => {
      const { STRING, INTEGER, BIGINT, JSON: json, TEXT } = DataTypes;
      await q.createTable('dishes', {
        id: { type: STRING, primaryKey: true },
        doc: { type: json, allowNull: false },
        revision: { type: INTEGER, allowNull: false },
        updatedMs: { type: BIGINT, allowNull: false },
      });
      await q.createTable('cooks', {
        id: { type: STRING, primaryKey: true },
        // A deleted dish leaves its cooks in the log: they carry their own copy of it.
        dishId: { type: STRING, allowNull: true, references: { model: 'dishes', key: 'id' }, onDelete: 'SET NULL' },
        dish: { type: json, allowNull: false },
        plan: { type: json, allowNull: false },
        startedMs: { type: BIGINT, allowNull: false },
        finishedMs: { type: BIGINT, allowNull: true },
        outcome: { type: json, allowNull: true },
      });
      await q.createTable('cook_events', {
        id: { type: STRING, primaryKey: true },
        cookId: { type: STRING, allowNull: false, references: { model: 'cooks', key: 'id' }, onDelete: 'CASCADE' },
        kind: { type: STRING, allowNull: false },
        step: { type: STRING, allowNull: true },
        atMs: { type: BIGINT, allowNull: false },
        note: { type: TEXT, allowNull: true },
        seq: { type: INTEGER, allowNull: false },
      });
      await q.addIndex('cook_events', ['cookId', 'seq']);
      await q.createTable('settings', {
        key: { type: STRING, primaryKey: true },
        doc: { type: json, allowNull: false },
      });
    },
  },
  {
    name: '002-archive',
    up: async (q) => {
      await q.addColumn('dishes', 'archivedMs', { type: DataTypes.BIGINT, allowNull: true });
    },
  },
  {
    name: '003-devices-practice',
    up: async (q) => {
      await q.addColumn('cook_events', 'value', { type: DataTypes.DOUBLE, allowNull: true });
      await q.addColumn('cook_events', 'device', { type: DataTypes.STRING, allowNull: true });
      await q.addColumn('cooks', 'practice', { type: DataTypes.JSON, allowNull: true });
    },
  },
  {
    name: '004-rescues',
    up: async (q) => {
      await q.addColumn('cook_events', 'holdMin', { type: DataTypes.DOUBLE, allowNull: true });
      await q.addColumn('cook_events', 'addMl', { type: DataTypes.DOUBLE, allowNull: true });
    },
  },
  { name: '005-typed-events', up: typedEvents },
  {
    name: '006-log-pages',
    up: async (q) => {
      // A page of the log and its counts never read a plan that they do not show.
      await q.addIndex('cooks', ['startedMs', 'id']);
      await q.addIndex('cooks', ['id'], { name: 'cooks_practised', where: { practice: { [Op.ne]: null } } });
    },
  },
  {
    name: '007-log-rows',
    up: async (q) => {
      const { BOOLEAN, STRING, INTEGER, BIGINT, JSON: json, TEXT } = DataTypes;
      await q.createTable('log_rows', {
        cookId: {
          type: STRING,
          primaryKey: true,
          references: { model: 'cooks', key: 'id' },
          onDelete: 'CASCADE',
        },
        startedMs: { type: BIGINT, allowNull: false },
        title: { type: STRING, allowNull: false },
        potId: { type: STRING, allowNull: false },
        practice: { type: BOOLEAN, allowNull: false },
        grain: { type: INTEGER, allowNull: true },
        trouble: { type: BOOLEAN, allowNull: false },
        words: { type: TEXT, allowNull: false },
        summary: { type: json, allowNull: true },
      });
      await q.addIndex('log_rows', ['startedMs', 'cookId']);
      // Summaries are made when a page first asks for them.
      await q.sequelize.query(`
        INSERT INTO log_rows (cookId, startedMs, title, potId, practice, grain, trouble, words)
        SELECT id, startedMs, json_extract(dish, '$.title'), json_extract(plan, '$.pot.id'), practice IS NOT NULL,
          json_extract(outcome, '$.ratings.grain'),
          EXISTS (SELECT 1 FROM events WHERE events.cookId = cooks.id
            AND json_extract(events.doc, '$.kind') IN ('burn', 'off-plan', 'rescued')),
          lower(json_extract(dish, '$.title') || ' ' || coalesce(json_extract(outcome, '$.note'), ''))
        FROM cooks`);
    },
  },
  {
    name: '008-set-aside',
    up: async (q) => {
      const { STRING, INTEGER, BIGINT, TEXT } = DataTypes;
      await q.createTable('set_aside', {
        id: { type: INTEGER, primaryKey: true, autoIncrement: true },
        kind: { type: STRING, allowNull: false },
        key: { type: STRING, allowNull: false },
        doc: { type: TEXT, allowNull: false },
        why: { type: STRING, allowNull: false },
        atMs: { type: BIGINT, allowNull: false },
      });
    },
  },
  {
    name: '009-keys',
    up: async (q) => {
      const { STRING, BIGINT } = DataTypes;
      await q.createTable('keys', {
        id: { type: STRING, primaryKey: true },
        name: { type: STRING, allowNull: false },
        rights: { type: STRING, allowNull: false },
        hash: { type: STRING, allowNull: false, unique: true },
        createdMs: { type: BIGINT, allowNull: false },
        lastMs: { type: BIGINT, allowNull: false },
      });
    },
  },
  {
    name: '010-log-indexes',
    up: async (q) => {
      // Counts, pots and searches read an index of some letters a cook, and not the summaries.
      await q.addIndex('log_rows', ['practice', 'potId']);
      await q.addIndex('log_rows', ['startedMs', 'cookId', 'words']);
      await q.removeIndex('log_rows', ['startedMs', 'cookId']);
    },
  },
];

/**
 * Runs what has not run yet, each migration once.
 *
 * @param before called once when there is something to run on a database that holds something already
 * @throws FolderProblem `newer` where the database has been through migrations that this server does not know
 */
export async function migrate(sequelize: Sequelize, before: () => Promise<unknown>): Promise<void> {
  const umzug = new Umzug<QueryInterface>({
    migrations: migrations.map((m) => ({
      name: m.name,
      up: ({ context }: { context: QueryInterface }) => m.up(context),
    })),
    context: sequelize.getQueryInterface(),
    storage: new SequelizeStorage({ sequelize }),
    logger: undefined,
  });
  const ran = await umzug.executed();
  const unknown = (await new SequelizeStorage({ sequelize }).executed()).filter(
    (name) => !migrations.some((m) => m.name === name),
  );
  if (unknown.length > 0)
    throw new FolderProblem(
      'newer',
      `This database was made by a newer Einkorn (it knows ${unknown.join(', ')}). Start that one, or restore an older snapshot.`,
    );
  if (ran.length > 0 && (await umzug.pending()).length > 0) await before();
  await umzug.up();
}
