// npm run bench: the times that matter at a bench, as ratios and percentiles in one run. Not a gate: the machine is
// shared.
import { execFileSync } from 'node:child_process'
import { benchBackup } from './backup'
import { benchBlades } from './blades'
import { benchCore } from './core'
import { benchMemory } from './memory'
import { benchPhone } from './phone'
import { benchPosting } from './posting'
import { benchScreen } from './screen'
import { benchSpecBook } from './spec-book'

async function main(): Promise<void> {
  // one of them alone: npm run bench -- spec-book
  const all = {
    'core': benchCore,
    'blades': benchBlades,
    // what the Bench fetches, as npm test counts it
    'page-size': () => execFileSync('node', ['scripts/sizes.mjs'], { stdio: 'inherit' }),
    'posting': benchPosting,
    'screen': benchScreen,
    'phone': benchPhone,
    'spec-book': benchSpecBook,
    'memory': benchMemory,
    'backup': benchBackup,
  }
  const asked = process.argv.slice(2)
  for (const [name, bench] of Object.entries(all)) if (asked.length === 0 || asked.includes(name)) await bench()
}
void main()
