import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';
import type { KeyRights } from '../keys/rights';
import type { CookEvent, CookSummary, Dish, Outcome, Plan, Practice } from '@einkorn/core';

const ms = (field: string) => ({
  type: DataTypes.BIGINT,
  // SQLite gives numbers, other drivers text: the product always sees a number.
  get(this: Model): number | null {
    const raw = this.getDataValue(field) as number | string | null;
    return raw === null ? null : Number(raw);
  },
});

export class DishRow extends Model<InferAttributes<DishRow>, InferCreationAttributes<DishRow>> {
  declare id: string;
  declare doc: Dish;
  declare revision: number;
  declare updatedMs: number;
  /** when it was put away; null while it stands on the shelf */
  declare archivedMs: CreationOptional<number | null>;
}

export class CookRow extends Model<InferAttributes<CookRow>, InferCreationAttributes<CookRow>> {
  declare id: string;
  declare dishId: string | null;
  declare dish: Dish;
  declare plan: Plan;
  declare startedMs: number;
  declare finishedMs: number | null;
  declare outcome: Outcome | null;
  declare practice: CreationOptional<Practice | null>;
}

export class EventRow extends Model<InferAttributes<EventRow>, InferCreationAttributes<EventRow>> {
  declare id: string;
  declare cookId: string;
  declare seq: number;
  declare doc: CookEvent;
}

/** A cook as the list of the log shows and finds it. */
export class LogRow extends Model<InferAttributes<LogRow>, InferCreationAttributes<LogRow>> {
  declare cookId: string;
  declare startedMs: number;
  declare title: string;
  declare potId: string;
  declare practice: boolean;
  /** rating of the grain, 0 to 4 */
  declare grain: number | null;
  /** something was put right on the way */
  declare trouble: boolean;
  /** what it is found by, folded */
  declare words: string;
  declare summary: CookSummary | null;
}

export class SettingRow extends Model<InferAttributes<SettingRow>, InferCreationAttributes<SettingRow>> {
  declare key: string;
  declare doc: unknown;
}

/** A screen or a device that was let in; of its secret the hash. */
export class KeyRow extends Model<InferAttributes<KeyRow>, InferCreationAttributes<KeyRow>> {
  declare id: string;
  declare name: string;
  declare rights: KeyRights;
  declare hash: string;
  declare createdMs: number;
  declare lastMs: number;
}

export interface Models {
  Dishes: ModelStatic<DishRow>;
  Cooks: ModelStatic<CookRow>;
  Events: ModelStatic<EventRow>;
  LogRows: ModelStatic<LogRow>;
  Settings: ModelStatic<SettingRow>;
  Keys: ModelStatic<KeyRow>;
}

export function defineModels(sequelize: Sequelize): Models {
  const { BOOLEAN, STRING, INTEGER, TEXT, JSON: json } = DataTypes;
  const common = { sequelize, timestamps: false };
  class Dishes extends DishRow {}
  class Cooks extends CookRow {}
  class Events extends EventRow {}
  class LogRows extends LogRow {}
  class Settings extends SettingRow {}
  class Keys extends KeyRow {}
  Dishes.init(
    {
      id: { type: STRING, primaryKey: true },
      doc: json,
      revision: INTEGER,
      updatedMs: ms('updatedMs'),
      archivedMs: ms('archivedMs'),
    },
    { ...common, tableName: 'dishes' },
  );
  Cooks.init(
    {
      id: { type: STRING, primaryKey: true },
      dishId: STRING,
      dish: json,
      plan: json,
      startedMs: ms('startedMs'),
      finishedMs: ms('finishedMs'),
      outcome: json,
      practice: json,
    },
    { ...common, tableName: 'cooks' },
  );
  Events.init(
    {
      cookId: { type: STRING, primaryKey: true },
      id: { type: STRING, primaryKey: true },
      seq: INTEGER,
      doc: json,
    },
    { ...common, tableName: 'events' },
  );
  LogRows.init(
    {
      cookId: { type: STRING, primaryKey: true },
      startedMs: ms('startedMs'),
      title: STRING,
      potId: STRING,
      practice: BOOLEAN,
      grain: INTEGER,
      trouble: BOOLEAN,
      words: TEXT,
      summary: json,
    },
    { ...common, tableName: 'log_rows' },
  );
  Settings.init({ key: { type: STRING, primaryKey: true }, doc: json }, { ...common, tableName: 'settings' });
  Keys.init(
    {
      id: { type: STRING, primaryKey: true },
      name: STRING,
      rights: STRING,
      hash: STRING,
      createdMs: ms('createdMs'),
      lastMs: ms('lastMs'),
    },
    { ...common, tableName: 'keys' },
  );
  return { Dishes, Cooks, Events, LogRows, Settings, Keys };
}
