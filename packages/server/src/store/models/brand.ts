import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, text, tableOptions } from './columns.ts'

export class Brand extends Model<InferAttributes<Brand>, InferCreationAttributes<Brand>> {
  declare id: CreationOptional<number>
  declare name: string
  declare zone: string
  declare languages: CreationOptional<string[]>
}

/** A class of its own for each pool of connections: one process may have more than one. */
export function defineBrand(sequelize: Sequelize): typeof Brand {
  const model = class extends Brand {}
  model.init(
    { id: id(), name: text(), zone: text(), languages: DataTypes.ARRAY(DataTypes.TEXT) },
    tableOptions(sequelize, 'brands'),
  )
  return model
}
