import {
  type CreationOptional,
  DataTypes,
  type InferAttributes,
  type InferCreationAttributes,
  Model,
  type Sequelize,
} from 'sequelize'

/** An angler: a device with a signed cookie, or an account with a name that several devices are signed in to. */
export class Angler extends Model<InferAttributes<Angler>, InferCreationAttributes<Angler>> {
  declare id: string
  /** Raised at every signing out: sessions given before are void. */
  declare sessionVersion: CreationOptional<number>
  /** Hash of the code that moves this angler's records to another device. */
  declare recoveryHash: CreationOptional<string | null>
  declare name: CreationOptional<string | null>
  /** The name as it is compared. */
  declare nameKey: CreationOptional<string | null>
  declare passwordHash: CreationOptional<string | null>
  /** How many events of this angler's are kept, and how many bytes of them: added up as they come and go. */
  declare eventsKept: CreationOptional<string>
  declare eventBytes: CreationOptional<string>
  declare createdAt: CreationOptional<Date>
}

/** A water of the demonstration basin. */
export class Water extends Model<InferAttributes<Water>, InferCreationAttributes<Water>> {
  declare id: string
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

/** A record as it stands, by the latest of its events; without a body it was taken away. */
export class RecordRow extends Model<InferAttributes<RecordRow>, InferCreationAttributes<RecordRow>> {
  declare anglerId: string
  declare kind: string
  declare id: string
  declare eventId: string
  declare at: Date
  declare version: number
  declare body: object | null
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
  declare version: number
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
    Water: fresh(Water),
    RecordRow: fresh(RecordRow),
    EventRow: fresh(EventRow),
  }
  const common = { sequelize, underscored: true, timestamps: false }
  models.Angler.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true },
      sessionVersion: { type: DataTypes.INTEGER, allowNull: false, defaultValue: 0 },
      recoveryHash: { type: DataTypes.TEXT, allowNull: true },
      name: { type: DataTypes.TEXT, allowNull: true },
      nameKey: { type: DataTypes.TEXT, allowNull: true },
      passwordHash: { type: DataTypes.TEXT, allowNull: true },
      eventsKept: { type: DataTypes.BIGINT, allowNull: false, defaultValue: 0 },
      eventBytes: { type: DataTypes.BIGINT, allowNull: false, defaultValue: 0 },
      createdAt: DataTypes.DATE,
    },
    { ...common, modelName: 'Angler', tableName: 'anglers' },
  )
  models.Water.init(
    {
      id: { type: DataTypes.UUID, primaryKey: true },
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
  models.RecordRow.init(
    {
      anglerId: { type: DataTypes.UUID, primaryKey: true },
      kind: { type: DataTypes.TEXT, primaryKey: true },
      id: { type: DataTypes.UUID, primaryKey: true },
      eventId: { type: DataTypes.UUID, allowNull: false },
      at: { type: DataTypes.DATE, allowNull: false },
      version: { type: DataTypes.SMALLINT, allowNull: false },
      body: { type: DataTypes.JSONB, allowNull: true },
    },
    { ...common, modelName: 'Record', tableName: 'records' },
  )
  models.EventRow.init(
    {
      anglerId: { type: DataTypes.UUID, primaryKey: true },
      id: { type: DataTypes.UUID, primaryKey: true },
      seq: { type: DataTypes.BIGINT },
      kind: text(),
      recordId: { type: DataTypes.UUID, allowNull: false },
      at: { type: DataTypes.DATE, allowNull: false },
      version: { type: DataTypes.SMALLINT, allowNull: false },
      body: { type: DataTypes.JSONB, allowNull: true },
      bytes: { type: DataTypes.INTEGER, allowNull: false },
    },
    { ...common, modelName: 'Event', tableName: 'events' },
  )
  return models
}
