import { DataTypes, type Sequelize } from 'sequelize'

// Made anew for each column: Sequelize writes into what it is given.
export const id = () => ({ type: DataTypes.INTEGER, primaryKey: true, autoIncrement: true })
export const text = () => ({ type: DataTypes.TEXT, allowNull: false })
export const optionalText = () => ({ type: DataTypes.TEXT })
export const whole = () => ({ type: DataTypes.INTEGER, allowNull: false })

/** Columns are written in snake case; times are the tables' own affair. */
export const tableOptions = <T extends string>(sequelize: Sequelize, tableName: T) => ({
  sequelize,
  tableName,
  underscored: true,
  timestamps: false,
})
