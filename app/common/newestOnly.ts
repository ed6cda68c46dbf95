/** Of several questions under way the newest stands: what an older one brings is dropped. */
export function newestOnly() {
  let newest = 0
  return {
    /** A new question: gives back how to ask whether it is stale by now. */
    begin(): () => boolean {
      const mine = ++newest
      return () => mine !== newest
    },
    /** Whatever is under way is not wanted any more. */
    drop: () => void newest++,
  }
}
