import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, text, optionalText, whole, tableOptions } from './columns.ts'

export class Place extends Model<InferAttributes<Place>, InferCreationAttributes<Place>> {
  declare id: CreationOptional<number>
  declare brandId: number
  declare name: string
  declare address: CreationOptional<string>
  declare phone: CreationOptional<string>
  declare week: CreationOptional<[number, number][][] | null>
  declare specialDays: CreationOptional<{ date: string; name: string; hours: [number, number][] }[]>
}

/** A class of its own for each pool of connections: one process may have more than one. */
export function definePlace(sequelize: Sequelize): typeof Place {
  const model = class extends Place {}
  model.init(
    {
      id: id(),
      brandId: whole(),
      name: text(),
      address: optionalText(),
      phone: optionalText(),
      week: DataTypes.JSONB,
      specialDays: DataTypes.JSONB,
    },
    tableOptions(sequelize, 'places'),
  )
  return model
}
