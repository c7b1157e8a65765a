// npm run bench: the times that matter at a bench, as ratios and percentiles in one run. Not a gate: the machine is
// shared.
import { benchBlades } from './blades'
import { benchCore } from './core'
import { benchMemory } from './memory'
import { benchPageSize } from './page-size'
import { benchPosting } from './posting'
import { benchScreen } from './screen'
import { benchSpecBook } from './spec-book'

async function main(): Promise<void> {
  // one of them alone: npm run bench -- spec-book
  const all = {
    'core': benchCore,
    'blades': benchBlades,
    'page-size': benchPageSize,
    'posting': benchPosting,
    'screen': benchScreen,
    'spec-book': benchSpecBook,
    'memory': benchMemory,
  }
  const asked = process.argv.slice(2)
  for (const [name, bench] of Object.entries(all)) if (asked.length === 0 || asked.includes(name)) await bench()
}
void main()
