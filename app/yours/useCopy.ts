import { ref } from 'vue'

/** Copies a link, and says whether it could. */
export function useCopy(link: () => string) {
  const copied = ref('')
  async function copy(): Promise<void> {
    try {
      await navigator.clipboard.writeText(link())
      copied.value = 'The link is copied.'
    } catch {
      copied.value = 'Copy the link by hand.'
    }
  }
  return { copied, copy }
}
