// npm run bench: the times that matter at a bench, as ratios and percentiles in one run. Not a gate: the machine is shared.
import { benchBlades } from './blades'
import { benchCore } from './core'
import { benchPageSize } from './page-size'
import { benchPosting } from './posting'
import { benchScreen } from './screen'

async function main(): Promise<void> {
  await benchCore()
  await benchBlades()
  benchPageSize()
  await benchPosting()
  await benchScreen()
}
void main()
