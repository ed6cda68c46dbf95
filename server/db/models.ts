import { type CreationOptional, DataTypes, type InferAttributes, type InferCreationAttributes, Model, type Sequelize } from 'sequelize'
import type { Request } from '#core/conditions/request'
import type { Answer } from '#core/ranking/answer'

/** An angler: so far a device with a signed cookie, no name and no password. */
export class Angler extends Model<InferAttributes<Angler>, InferCreationAttributes<Angler>> {
  declare id: string
  declare createdAt: CreationOptional<Date>
}

/** A lure type of the catalogue, seeded from the core's records. */
export class LureTypeRow extends Model<InferAttributes<LureTypeRow>, InferCreationAttributes<LureTypeRow>> {
  declare id: string
  declare words: string
  declare groupName: string
  declare surface: boolean
  declare salt: boolean
  declare runsFromM: number
  declare runsToM: number
}

/** A finish of the catalogue. Rows are kept when the catalogue drops one, because calls speak of it. */
export class FinishRow extends Model<InferAttributes<FinishRow>, InferCreationAttributes<FinishRow>> {
  declare id: string
  declare lureTypeId: string
  declare name: string
  declare families: string[]
  declare traits: object
  declare parts: object
  declare retired: CreationOptional<boolean>
}

/** A water: an angler's own, or without one part of the demonstration basin. */
export class Water extends Model<InferAttributes<Water>, InferCreationAttributes<Water>> {
  declare id: string
  declare anglerId: string | null
  declare name: string
  declare kind: string
  declare latitude: number
  declare longitude: number
  declare salinity: string
  declare usualTint: string
  declare usualVisibilityM: number
  declare prey: string[]
  declare note: string
}

/** A call that was kept: the conditions asked, the ranking given with the engine's version, what was tied on. */
export class Call extends Model<InferAttributes<Call>, InferCreationAttributes<Call>> {
  declare id: string
  declare anglerId: string
  declare waterId: string | null
  declare asked: Request
  declare answer: Answer
  declare engineVersion: string
  declare tiedOn: string
  declare keptAt: Date
  declare createdAt: CreationOptional<Date>
}

// Sequelize writes into the definitions it is given, so each column gets one of its own.
const text = () => ({ type: DataTypes.TEXT, allowNull: false })
const real = () => ({ type: DataTypes.DOUBLE, allowNull: false })

/** Attach the models to a connection. Tables and constraints belong to the migrations. */
export function defineModels(sequelize: Sequelize) {
  const common = { sequelize, underscored: true, timestamps: false }
  Angler.init({ id: { type: DataTypes.UUID, primaryKey: true }, createdAt: DataTypes.DATE }, { ...common, modelName: 'Angler', tableName: 'anglers' })
  LureTypeRow.init({
    id: { type: DataTypes.TEXT, primaryKey: true }, words: text(), groupName: text(),
    surface: { type: DataTypes.BOOLEAN, allowNull: false }, salt: { type: DataTypes.BOOLEAN, allowNull: false }, runsFromM: real(), runsToM: real(),
  }, { ...common, modelName: 'LureType', tableName: 'lure_types' })
  FinishRow.init({
    id: { type: DataTypes.TEXT, primaryKey: true }, lureTypeId: text(), name: text(),
    families: { type: DataTypes.ARRAY(DataTypes.TEXT), allowNull: false }, traits: { type: DataTypes.JSONB, allowNull: false }, parts: { type: DataTypes.JSONB, allowNull: false },
    retired: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
  }, { ...common, modelName: 'Finish', tableName: 'finishes' })
  Water.init({
    id: { type: DataTypes.UUID, primaryKey: true }, anglerId: { type: DataTypes.UUID, allowNull: true }, name: text(), kind: text(), latitude: real(), longitude: real(),
    salinity: text(), usualTint: text(), usualVisibilityM: real(), prey: { type: DataTypes.ARRAY(DataTypes.TEXT), allowNull: false }, note: text(),
  }, { ...common, modelName: 'Water', tableName: 'waters' })
  Call.init({
    id: { type: DataTypes.UUID, primaryKey: true }, anglerId: { type: DataTypes.UUID, allowNull: false }, waterId: { type: DataTypes.UUID, allowNull: true },
    asked: { type: DataTypes.JSONB, allowNull: false }, answer: { type: DataTypes.JSONB, allowNull: false }, engineVersion: text(), tiedOn: text(),
    keptAt: { type: DataTypes.DATE, allowNull: false }, createdAt: DataTypes.DATE,
  }, { ...common, modelName: 'Call', tableName: 'calls' })
  return { Angler, LureTypeRow, FinishRow, Water, Call }
}
