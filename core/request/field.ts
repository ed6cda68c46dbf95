/**
 * Kinds of fields that requests and kept records are made of. The record of a field is the one place that knows its
 * name, range, unit and meaning.
 */
interface About {
  /** What an angler calls it, as the beginning of a sentence. */
  name: string
  /** Its meaning, unit and default, for the description of the API. */
  about?: string
}
export interface NumberField extends About {
  kind: 'number'
  /** Both ends allowed. */
  range: readonly [number, number]
  /** Said after a number: " m", " °C", "°", or nothing. */
  unit: string
  whole?: boolean
  /** Another field, by its path from this one's group, that it may not exceed where that is given; what to say then. */
  notOver?: { field: string; otherwise: string }
}
export interface WordField<W extends string = string> extends About {
  kind: 'word'
  words: readonly W[]
  /** Too many words to be listed where one is refused. */
  open?: boolean
}
/** Text of a set form. */
export interface PatternField extends About {
  kind: 'pattern'
  pattern: string
  /** Most characters, where the form does not say. */
  most?: number
  /** What to say of text of another form. */
  otherwise: string
}
/** An angler's own words, up to a length. */
export interface TextField extends About {
  kind: 'text'
  most: number
  /** Whether nothing at all may be said. */
  blank?: true
}
/** The id of a record. */
export interface IdField extends About {
  kind: 'id'
}
/** One of several groups, told apart by the word at `kind`. */
export interface KindsField<K = Readonly<Record<string, GroupField>>> extends About {
  kind: 'kinds'
  kinds: K
}
export interface FlagField extends About {
  kind: 'flag'
}
export interface TimeField extends About {
  kind: 'time'
}
export interface ListField<I = Field> extends About {
  kind: 'list'
  of: I
  most: number
  /** Fewest entries; none where absent. */
  least?: number
  /** The field of an entry that may not come twice; the entry itself where absent. */
  distinctBy?: string
}
export interface GroupField<G = Readonly<Record<string, Field>>> extends About {
  kind: 'group'
  fields: G
  /** At least one of these must be given; what to say when none is. */
  oneOf?: { fields: readonly string[]; otherwise: string }
}
export type Field = (
  | NumberField
  | WordField
  | PatternField
  | TextField
  | IdField
  | FlagField
  | TimeField
  | ListField
  | GroupField
  | KindsField
) & { required?: true; orNull?: true }

/** The value of a field, and of a group of them. */
export type ValueOf<F> = F extends { orNull: true } ? PlainValueOf<F> | null : PlainValueOf<F>
type PlainValueOf<F> = F extends { kind: 'number' }
  ? number
  : F extends WordField<infer W>
    ? W
    : F extends { kind: 'flag' }
      ? boolean
      : F extends { kind: 'time' | 'pattern' | 'text' | 'id' }
        ? string
        : F extends ListField<infer I>
          ? readonly ValueOf<I>[]
          : F extends GroupField<infer G>
            ? GroupOf<G>
            : F extends KindsField<infer K>
              ? { [N in keyof K]: { kind: N } & ValueOf<K[N]> }[keyof K]
              : never
type GroupOf<G> = { [K in keyof G as G[K] extends { required: true } ? K : never]: ValueOf<G[K]> } & {
  [K in keyof G as G[K] extends { required: true } ? never : K]?: ValueOf<G[K]>
}

export const number = (range: readonly [number, number], unit: string, about: About & Pick<NumberField, 'notOver'>) =>
  ({ kind: 'number', range, unit, ...about }) as const satisfies NumberField
export const whole = (range: readonly [number, number], about: About) =>
  ({ kind: 'number', range, unit: '', whole: true, ...about }) as const satisfies NumberField
export const word = <const W extends string>(words: readonly W[], about: About & Pick<WordField, 'open'>) =>
  ({ kind: 'word', words, ...about }) as const satisfies WordField<W>
export const flag = (about: About) => ({ kind: 'flag', ...about }) as const satisfies FlagField
export const time = (about: About) => ({ kind: 'time', ...about }) as const satisfies TimeField
export const pattern = (form: string, about: About & Pick<PatternField, 'otherwise' | 'most'>) =>
  ({ kind: 'pattern', pattern: form, ...about }) as const satisfies PatternField
export const text = (most: number, about: About) => ({ kind: 'text', most, ...about }) as const satisfies TextField
/** Words that may be left out. */
export const note = (most: number, about: About) =>
  ({ kind: 'text', most, blank: true, ...about }) as const satisfies TextField
export const id = (about: About) => ({ kind: 'id', ...about }) as const satisfies IdField
export const oneKindOf = <K extends Readonly<Record<string, GroupField>>>(kinds: K, about: About) =>
  ({ kind: 'kinds', kinds, ...about }) as const satisfies KindsField<K>
export const list = <I extends Field>(
  of: I,
  most: number,
  about: About & Pick<ListField, 'least'>,
  distinctBy?: string,
) => ({ kind: 'list', of, most, ...about, ...(distinctBy ? { distinctBy } : {}) }) as const satisfies ListField<I>
export const group = <G extends Readonly<Record<string, Field>>>(
  fields: G,
  about: About,
  oneOf?: { fields: readonly (keyof G & string)[]; otherwise: string },
) => ({ kind: 'group', fields, ...about, ...(oneOf ? { oneOf } : {}) }) as const satisfies GroupField<G>
export const required = <F extends Field>(field: F) => ({ ...field, required: true }) as const
/** A field that may say that there is nothing. */
export const orNull = <F extends Field>(field: F) => ({ ...field, orNull: true }) as const
