/**
 * Style that puts an element of class `floats` at a place, px: by a transform, which moves what is drawn without
 * laying it out or drawing it again.
 */
export const at = (x: number, y: number) => `transform:translate(${x.toFixed(1)}px,${y.toFixed(1)}px)`
