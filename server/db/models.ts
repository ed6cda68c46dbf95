import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type NonAttribute,
  type Sequelize,
} from 'sequelize'
import type { Request } from '#core/request/request'
import type { Answer } from '#core/ranking/answer'

/** An angler: so far a device with a signed cookie, no name and no password. */
export class Angler extends Model<InferAttributes<Angler>, InferCreationAttributes<Angler>> {
  declare id: string
  /** Raised at every signing out: sessions given before are void. */
  declare sessionVersion: CreationOptional<number>
  /** Hash of the code that moves this angler's records to another device. */
  declare recoveryHash: CreationOptional<string | null>
  /** How many events of this angler's are kept, and how many bytes of them: added up as they come and go. */
  declare eventsKept: CreationOptional<string>
  declare eventBytes: CreationOptional<string>
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
  /** Place of what was tied on in the answer; null where the answer does not hold it. */
  declare rank: number | null
  /** How far the list it was taken from leaned on the angler's log, 0-1; null where that was not said. */
  declare leaned: CreationOptional<number | null>
  /** Size of what was asked and answered, counted against the device's quota. */
  declare bytes: CreationOptional<number>
  declare engineVersion: string
  declare tiedOn: string
  declare keptAt: Date
  declare createdAt: CreationOptional<Date>
  /** What was tied on, where it was asked for. */
  declare finish?: NonAttribute<FinishRow>
}

/** Something an angler's device did, told to the others: only ever added. */
export class EventRow extends Model<InferAttributes<EventRow>, InferCreationAttributes<EventRow>> {
  declare anglerId: string
  declare id: string
  /** Order of arrival, given by the database. */
  declare seq: CreationOptional<string>
  declare kind: string
  declare recordId: string
  declare at: Date
  /** The record as it is from then on; null where it was taken away. */
  declare body: object | null
  declare bytes: number
}

// Sequelize writes into the definitions it is given, so each column gets one of its own.
const text = () => ({ type: DataTypes.TEXT, allowNull: false })
const real = () => ({ type: DataTypes.DOUBLE, allowNull: false })

/** A class of its own for each connection: a model belongs to the connection it was last attached to. */
const fresh = <M extends new (...args: never[]) => object>(base: M): M =>
  class extends (base as unknown as new () => object) {} as unknown as M

/** Attach the models to a connection. Tables and constraints belong to the migrations. */
export function defineModels(sequelize: Sequelize) {
  const models = {
    Angler: fresh(Angler),
    LureTypeRow: fresh(LureTypeRow),
    FinishRow: fresh(FinishRow),
    Water: fresh(Water),
    Call: fresh(Call),
    EventRow: fresh(EventRow),
  }
  const common = { sequelize, underscored: true, timestamps: false }
  models.Angler.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      sessionVersion: { type: DataTypes.INTEGER, allowNull: false, defaultValue: 0 },
      recoveryHash: { type: DataTypes.TEXT, allowNull: true },
      eventsKept: { type: DataTypes.BIGINT, allowNull: false, defaultValue: 0 },
      eventBytes: { type: DataTypes.BIGINT, allowNull: false, defaultValue: 0 },
      createdAt: DataTypes.DATE,
    },
    { ...common, modelName: 'Angler', tableName: 'anglers' },
  )
  models.LureTypeRow.init(
    {
      id: { type: DataTypes.TEXT, primaryKey: true },
      words: text(),
      groupName: text(),
      surface: { type: DataTypes.BOOLEAN, allowNull: false },
      salt: { type: DataTypes.BOOLEAN, allowNull: false },
      runsFromM: real(),
      runsToM: real(),
    },
    { ...common, modelName: 'LureType', tableName: 'lure_types' },
  )
  models.FinishRow.init(
    {
      id: { type: DataTypes.TEXT, primaryKey: true },
      lureTypeId: text(),
      name: text(),
      families: { type: DataTypes.ARRAY(DataTypes.TEXT), allowNull: false },
      traits: { type: DataTypes.JSONB, allowNull: false },
      parts: { type: DataTypes.JSONB, allowNull: false },
      retired: { type: DataTypes.BOOLEAN, allowNull: false, defaultValue: false },
    },
    { ...common, modelName: 'Finish', tableName: 'finishes' },
  )
  models.Water.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      anglerId: { type: DataTypes.UUID, allowNull: true },
      name: text(),
      kind: text(),
      latitude: real(),
      longitude: real(),
      salinity: text(),
      usualTint: text(),
      usualVisibilityM: real(),
      prey: { type: DataTypes.ARRAY(DataTypes.TEXT), allowNull: false },
      note: text(),
    },
    { ...common, modelName: 'Water', tableName: 'waters' },
  )
  models.Call.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      anglerId: { type: DataTypes.UUID, allowNull: false },
      waterId: { type: DataTypes.UUID, allowNull: true },
      asked: { type: DataTypes.JSONB, allowNull: false },
      answer: { type: DataTypes.JSONB, allowNull: false },
      rank: { type: DataTypes.INTEGER, allowNull: true },
      leaned: { type: DataTypes.DOUBLE, allowNull: true },
      bytes: { type: DataTypes.INTEGER, allowNull: false, defaultValue: 0 },
      engineVersion: text(),
      tiedOn: text(),
      keptAt: { type: DataTypes.DATE, allowNull: false },
      createdAt: DataTypes.DATE,
    },
    { ...common, modelName: 'Call', tableName: 'calls' },
  )
  models.EventRow.init(
    {
      anglerId: { type: DataTypes.UUID, primaryKey: true },
      id: { type: DataTypes.UUID, primaryKey: true },
      seq: { type: DataTypes.BIGINT },
      kind: text(),
      recordId: { type: DataTypes.UUID, allowNull: false },
      at: { type: DataTypes.DATE, allowNull: false },
      body: { type: DataTypes.JSONB, allowNull: true },
      bytes: { type: DataTypes.INTEGER, allowNull: false },
    },
    { ...common, modelName: 'Event', tableName: 'events' },
  )
  models.Call.belongsTo(models.FinishRow, { as: 'finish', foreignKey: 'tiedOn' })
  models.FinishRow.belongsTo(models.LureTypeRow, { as: 'lureType', foreignKey: 'lureTypeId' })
  return models
}
