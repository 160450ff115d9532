import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import { id, text, optionalText, whole, tableOptions } from './columns.ts'

export class Profile extends Model<InferAttributes<Profile>, InferCreationAttributes<Profile>> {
  declare id: CreationOptional<number>
  declare brandId: number
  declare placeId: CreationOptional<number | null>
  declare channel: string
  declare network: string
  declare outsideId: string
  declare name: string
  declare url: CreationOptional<string | null>
  declare status: 'collecting' | 'connected' | 'expired' | 'disconnected' | 'failing'
  declare keySealed: CreationOptional<Buffer | null>
  declare cursor: CreationOptional<string | null>
  declare hookToken: string
  declare hookSecretSealed: CreationOptional<Buffer | null>
  declare historyDone: CreationOptional<number>
  declare historyTotal: CreationOptional<number | null>
  declare error: CreationOptional<string | null>
  declare connectedAt: CreationOptional<Date>
  declare collectedAt: CreationOptional<Date | null>
}

/** A class of its own for each pool of connections: one process may have more than one. */
export function defineProfile(sequelize: Sequelize): typeof Profile {
  const model = class extends Profile {}
  model.init(
    {
      id: id(),
      brandId: whole(),
      placeId: DataTypes.INTEGER,
      channel: text(),
      network: text(),
      outsideId: text(),
      name: text(),
      url: optionalText(),
      status: text(),
      keySealed: DataTypes.BLOB,
      cursor: optionalText(),
      hookToken: text(),
      hookSecretSealed: DataTypes.BLOB,
      historyDone: { type: DataTypes.INTEGER, defaultValue: 0 },
      historyTotal: DataTypes.INTEGER,
      error: optionalText(),
      connectedAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
      collectedAt: DataTypes.DATE,
    },
    tableOptions(sequelize, 'profiles'),
  )
  return model
}
