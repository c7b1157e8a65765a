/** What so many of a hundred values stay under, the nearest of them; NaN where there are none. */
export function percentile(values: number[], p: number): number {
  const rising = values.toSorted((a, b) => a - b)
  return rising[Math.min(rising.length - 1, Math.floor((p / 100) * rising.length))] ?? Number.NaN
}
