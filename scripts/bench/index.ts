// npm run bench: the times that matter at a bench, as ratios and percentiles in one run. Not a gate: the machine is shared.
import { benchCore } from './core'
import { benchPosting } from './posting'
import { benchScreen } from './screen'

async function main(): Promise<void> {
  await benchCore()
  await benchPosting()
  await benchScreen()
}
void main()
