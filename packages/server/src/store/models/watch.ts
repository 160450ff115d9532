import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, text, whole, tableOptions } from './columns.ts'

export class Watch extends Model<InferAttributes<Watch>, InferCreationAttributes<Watch>> {
  declare id: CreationOptional<number>
  declare brandId: number
  declare name: string
  declare query: object
  declare version: CreationOptional<number>
  declare historyDone: CreationOptional<number>
  declare historyTotal: CreationOptional<number>
  declare deletedAt: CreationOptional<Date | null>
  declare createdBy: CreationOptional<number | null>
}

/** A class of its own for each pool of connections: one process may have more than one. */
export function defineWatch(sequelize: Sequelize): typeof Watch {
  const model = class extends Watch {}
  model.init(
    {
      id: id(),
      brandId: whole(),
      name: text(),
      query: DataTypes.JSONB,
      version: { type: DataTypes.INTEGER, defaultValue: 1 },
      historyDone: { type: DataTypes.INTEGER, defaultValue: 0 },
      historyTotal: { type: DataTypes.INTEGER, defaultValue: 0 },
      deletedAt: DataTypes.DATE,
      createdBy: DataTypes.INTEGER,
    },
    tableOptions(sequelize, 'watches'),
  )
  return model
}
