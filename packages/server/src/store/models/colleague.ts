import {
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, text, tableOptions } from './columns.ts'

export class Colleague extends Model<InferAttributes<Colleague>, InferCreationAttributes<Colleague>> {
  declare id: CreationOptional<number>
  declare email: string
  declare name: string
  declare passwordHash: string
}

/** A class of its own for each pool of connections: one process may have more than one. */
export function defineColleague(sequelize: Sequelize): typeof Colleague {
  const model = class extends Colleague {}
  model.init(
    { id: id(), email: text(), name: text(), passwordHash: text() },
    tableOptions(sequelize, 'colleagues'),
  )
  return model
}
