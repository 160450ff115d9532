import type { InferAttributes, Sequelize } from 'sequelize'
import { type Brand, defineBrand } from './brand.ts'
import { type Colleague, defineColleague } from './colleague.ts'
import { type Membership, defineMembership } from './membership.ts'
import { type Place, definePlace } from './place.ts'
import { type Profile, defineProfile } from './profile.ts'
import { type Watch, defineWatch } from './watch.ts'

export type { Brand, Colleague, Membership, Place, Profile, Watch }
export type ProfileAttributes = InferAttributes<Profile>

export interface Models {
  Brand: typeof Brand
  Place: typeof Place
  Colleague: typeof Colleague
  Membership: typeof Membership
  Profile: typeof Profile
  Watch: typeof Watch
}

/** Columns and associations only; every question that is asked often is hand-written SQL in `store/queries`. */
export function defineModels(sequelize: Sequelize): Models {
  const models: Models = {
    Brand: defineBrand(sequelize),
    Place: definePlace(sequelize),
    Colleague: defineColleague(sequelize),
    Membership: defineMembership(sequelize),
    Profile: defineProfile(sequelize),
    Watch: defineWatch(sequelize),
  }
  models.Place.belongsTo(models.Brand, { foreignKey: 'brandId' })
  models.Profile.belongsTo(models.Place, { foreignKey: 'placeId' })
  models.Membership.belongsTo(models.Colleague, { foreignKey: 'colleagueId' })
  models.Membership.belongsTo(models.Brand, { foreignKey: 'brandId' })
  return models
}
