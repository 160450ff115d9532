import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import type { Role } from '@murrabel/contract'
import { text, whole, tableOptions } from './columns.ts'

export class Membership extends Model<InferAttributes<Membership>, InferCreationAttributes<Membership>> {
  declare colleagueId: number
  declare brandId: number
  declare role: Role
  declare placeIds: CreationOptional<number[] | null>
  declare profileIds: CreationOptional<number[] | null>
}

/** A class of its own for each pool of connections: one process may have more than one. */
export function defineMembership(sequelize: Sequelize): typeof Membership {
  const model = class extends Membership {}
  model.init(
    {
      colleagueId: { ...whole(), primaryKey: true },
      brandId: { ...whole(), primaryKey: true },
      role: text(),
      placeIds: DataTypes.ARRAY(DataTypes.INTEGER),
      profileIds: DataTypes.ARRAY(DataTypes.INTEGER),
    },
    tableOptions(sequelize, 'memberships'),
  )
  return model
}
