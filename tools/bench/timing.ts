/** Median of repeated runs in milliseconds, after a warm-up. */
export function medianMs(run: (i: number) => void, rounds = 41, warmup = 12): number {
  for (let i = 0; i < warmup; i++) run(i)
  const times: number[] = []
  for (let i = 0; i < rounds; i++) {
    const t = performance.now()
    run(i)
    times.push(performance.now() - t)
  }
  return times.sort((a, b) => a - b)[rounds >> 1]!
}

/** A table on the terminal, numbers to the right. */
export function table(title: string, head: string[], rows: (string | number)[][]): void {
  const cells = [
    head,
    ...rows.map(r =>
      r.map(v => (typeof v === 'number' ? (v >= 100 ? v.toFixed(0) : v >= 1 ? v.toFixed(2) : v.toPrecision(2)) : v)),
    ),
  ]
  const widths = head.map((_, c) => Math.max(...cells.map(r => r[c]!.length)))
  console.log(`\n${title}`)
  for (const r of cells)
    console.log(`  ${r.map((v, c) => (c === 0 ? v.padEnd(widths[c]!) : v.padStart(widths[c]!))).join('  ')}`)
}
