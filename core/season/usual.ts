/** Day of the year as if in the northern hemisphere. */
export const northernDay = (day: number, latitudeDeg: number) => (latitudeDeg >= 0 ? day : (day + 182) % 365)

/**
 * Usual surface temperature of a lake by day and latitude, °C: a yearly wave about the place's mean, its height growing
 * with latitude and its peak in early August. Rough (±4 °C at 25-50°); ours, after Sharma et al. 2015 (Scientific Data
 * 2, 150008). Only used where no reading is given.
 */
export function usualTemperatureC(day: number, latitudeDeg: number): number {
  const lat = Math.min(60, Math.abs(latitudeDeg))
  const mean = 30 - 0.38 * lat
  const swing = Math.min(13, 1.5 + 0.3 * lat)
  return Math.max(1, mean + swing * Math.cos((2 * Math.PI * (northernDay(day, latitudeDeg) - 215)) / 365))
}
