import { useMediaQuery } from '@vueuse/core'

/** Whether the screen is held in a hand: narrow, or turned on its side. The one width at which places fold. */
export const usePhone = () => useMediaQuery('(max-width: 899px), (max-height: 499px)')
