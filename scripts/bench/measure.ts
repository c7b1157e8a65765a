/** Milliseconds of each of many runs, after some to warm up. */
export async function times(
  runs: number,
  work: (i: number) => Promise<unknown> | unknown,
  warm = Math.min(20, runs),
): Promise<number[]> {
  for (let i = 0; i < warm; i++) await work(-1 - i)
  const all: number[] = []
  for (let i = 0; i < runs; i++) {
    const start = performance.now()
    await work(i)
    all.push(performance.now() - start)
  }
  return all.sort((a, b) => a - b)
}

export const percentile = (sorted: number[], p: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor((p / 100) * sorted.length))] ?? Number.NaN

export function row(what: string, ms: number[], goal: string): void {
  console.warn(
    `${what.padEnd(52)} p50 ${percentile(ms, 50).toFixed(2).padStart(7)}  p95 ${percentile(ms, 95).toFixed(2).padStart(7)}  p99 ${percentile(ms, 99).toFixed(2).padStart(7)} ms   ${goal}`,
  )
}
