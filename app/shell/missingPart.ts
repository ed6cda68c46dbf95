import { ref } from 'vue'

/** Where somebody wanted to go when a part of the app could not be had; null where nothing is missing. */
export const missingPart = ref<string | null>(null)
