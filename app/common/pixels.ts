/** A square of pixels about a point, RGBA as a canvas gives them. */
export interface Pixels {
  data: ArrayLike<number>
  width: number
  height: number
}

/** Mean colour of a square of pixels, as #rrggbb. */
export function meanColour({ data }: Pixels): string {
  const sum = [0, 0, 0]
  const count = data.length / 4
  for (let i = 0; i < data.length; i += 4) for (const c of [0, 1, 2]) sum[c]! += data[i + c]!
  return `#${sum
    .map(s =>
      Math.round(s / count)
        .toString(16)
        .padStart(2, '0'),
    )
    .join('')}`
}
