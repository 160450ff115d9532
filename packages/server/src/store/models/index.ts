import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type Sequelize,
} from 'sequelize'
import type { Role } from '@murrabel/contract'

export class Brand extends Model<InferAttributes<Brand>, InferCreationAttributes<Brand>> {
  declare id: CreationOptional<number>
  declare name: string
  declare zone: string
  declare languages: CreationOptional<string[]>
}

export class Place extends Model<InferAttributes<Place>, InferCreationAttributes<Place>> {
  declare id: CreationOptional<number>
  declare brandId: number
  declare name: string
  declare address: CreationOptional<string>
  declare phone: CreationOptional<string>
  declare week: CreationOptional<[number, number][][] | null>
  declare closedDays: CreationOptional<string[]>
}

export class Colleague extends Model<InferAttributes<Colleague>, InferCreationAttributes<Colleague>> {
  declare id: CreationOptional<number>
  declare email: string
  declare name: string
  declare passwordHash: string
}

export class Membership extends Model<InferAttributes<Membership>, InferCreationAttributes<Membership>> {
  declare colleagueId: number
  declare brandId: number
  declare role: Role
  declare placeIds: CreationOptional<number[] | null>
  declare profileIds: CreationOptional<number[] | null>
}

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

export interface Models {
  Brand: typeof Brand
  Place: typeof Place
  Colleague: typeof Colleague
  Membership: typeof Membership
  Profile: typeof Profile
  Watch: typeof Watch
}

// Made anew for each column: Sequelize writes into what it is given.
const id = () => ({ type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true })
const text = () => ({ type: DataTypes.TEXT, allowNull: false })
const optionalText = () => ({ type: DataTypes.TEXT })
const whole = () => ({ type: DataTypes.INTEGER, allowNull: false })

/** Columns and associations only; every question that is asked often is hand-written SQL in `store/queries`. */
export function defineModels(sequelize: Sequelize): Models {
  const options = <T extends string>(tableName: T) => ({
    sequelize,
    tableName,
    underscored: true,
    timestamps: false,
  })
  // Classes of their own: one process may have more than one pool of connections.
  const models: Models = {
    Brand: class extends Brand {},
    Place: class extends Place {},
    Colleague: class extends Colleague {},
    Membership: class extends Membership {},
    Profile: class extends Profile {},
    Watch: class extends Watch {},
  }
  models.Brand.init(
    { id: id(), name: text(), zone: text(), languages: DataTypes.ARRAY(DataTypes.TEXT) },
    options('brands'),
  )
  models.Place.init(
    {
      id: id(),
      brandId: whole(),
      name: text(),
      address: optionalText(),
      phone: optionalText(),
      week: DataTypes.JSONB,
      closedDays: DataTypes.JSONB,
    },
    options('places'),
  )
  models.Colleague.init(
    { id: id(), email: text(), name: text(), passwordHash: text() },
    options('colleagues'),
  )
  models.Membership.init(
    {
      colleagueId: { ...whole(), primaryKey: true },
      brandId: { ...whole(), primaryKey: true },
      role: text(),
      placeIds: DataTypes.ARRAY(DataTypes.INTEGER),
      profileIds: DataTypes.ARRAY(DataTypes.INTEGER),
    },
    options('memberships'),
  )
  models.Profile.init(
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
    options('profiles'),
  )
  models.Watch.init(
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
    options('watches'),
  )
  models.Place.belongsTo(models.Brand, { foreignKey: 'brandId' })
  models.Profile.belongsTo(models.Place, { foreignKey: 'placeId' })
  models.Membership.belongsTo(models.Colleague, { foreignKey: 'colleagueId' })
  models.Membership.belongsTo(models.Brand, { foreignKey: 'brandId' })
  return models
}

export type ProfileAttributes = InferAttributes<Profile>
