import { type ComputedRef, type InjectionKey, type Ref, computed, inject, provide, ref } from 'vue'

/** Which sheet of a place is open, by its name. */
export interface SheetState<Name extends string = string> {
  sheet: Ref<Name | null>
  title: ComputedRef<string>
  /** Whether one lies over the place: what is under it can neither be reached nor read out. */
  covered: ComputedRef<boolean>
  /** Open one, or close it where it is the one that is open. */
  open: (name: Name) => void
  close: () => void
}
const KEY: InjectionKey<SheetState> = Symbol('sheet')

/** The sheets of a place by their titles, one at a time; the frame around the place shows the one that is open. */
export function useSheet<Name extends string>(titles: Readonly<Record<Name, string>>): SheetState<Name> {
  const sheet = ref(null) as Ref<Name | null>
  const state: SheetState<Name> = {
    sheet,
    title: computed(() => (sheet.value ? titles[sheet.value] : '')),
    covered: computed(() => sheet.value !== null),
    open: name => (sheet.value = sheet.value === name ? null : name),
    close: () => (sheet.value = null),
  }
  provide(KEY, state as unknown as SheetState)
  return state
}

/** The sheets of the place a part stands in. */
export function usePlaceSheet(): SheetState {
  const state = inject(KEY)
  if (!state) throw new Error('usePlaceSheet outside a place')
  return state
}
