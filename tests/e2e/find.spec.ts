import { expect, type Page, test } from '@playwright/test'
import { closedArcs, type Engine, inArc } from '../../core/engine'
import { stopHere } from '../../core/job'
import { locate, type Observation } from '../../core/position'
import { nextThing, offeredWords } from '../support/told'
import { saved, signIn } from './bench'
import { BenchHand } from './hand'

/** A single and a twin, in a browser; every demo model from every start is worked by the screen's own tests. */
const MODELS = [
  { model: 'Minnow 125', name: 'exhaust TDC', deg: 360 },
  { model: 'Fallow V22', name: 'anywhere', deg: 507 },
]

/** Something that may be said here and cannot be so: the offered answer that the core finds to clash. */
async function wrongAnswer(hand: BenchHand): Promise<{ ask: string; title: string } | null> {
  const view = await hand.view()
  for (const { ask, answers } of offeredWords(view)) {
    for (const { title, happening } of answers) {
      const observation = happening.type === 'crank' ? (happening.payload.observations[0] as Observation) : null
      if (
        observation &&
        locate(view.model, [...view.state.noted, { id: 'try', observation }]).clash?.newest.some(n => n.id === 'try')
      )
        return { ask, title }
    }
  }
  return null
}

/** Says it on the Bench, sees that it is caught, and takes it back. */
async function sayWrongly(page: Page, hand: BenchHand): Promise<boolean> {
  const wrong = await wrongAnswer(hand)
  if (!wrong) return false
  await page.keyboard.press('e')
  await page
    .getByTestId('offered')
    .filter({ has: page.getByText(wrong.ask, { exact: true }) })
    .getByRole('button', { name: wrong.title, exact: true })
    .click()
  await expect(page.getByTestId('clash'), `“${wrong.ask}: ${wrong.title}” is caught`).toBeVisible()
  await page.getByRole('button', { name: /Undo the latest/ }).click()
  await expect(page.getByTestId('clash')).toHaveCount(0)
  await saved(page)
  return true
}

/** Whether the valves of the stop are truly closed where the hidden crank stands, by the engine's own arcs. */
function trulyClosed(engine: Engine, hand: BenchHand, valveIds: string[]): boolean {
  const arcs = closedArcs(engine)
  return valveIds.every(id => arcs[id]!.some(arc => inArc(arc, hand.hand.virtual.crankDeg)))
}

for (const { model, name, deg } of MODELS) {
  test(`${model}: the first stop from ${name}, and a wrong answer that is caught`, async ({ page }) => {
    await signIn(page)
    const hand = await BenchHand.finding(page, model, deg)
    let moves = 0
    let caught = false
    while (nextThing(await hand.view()).step === 'find') {
      if (!caught && moves >= 2) caught = await sayWrongly(page, hand)
      await hand.step()
      await saved(page)
      if (++moves > 14) throw new Error(`no stop after ${moves} moves`)
    }
    caught ||= await sayWrongly(page, hand)
    expect(caught, 'the wrong answer was caught').toBe(true)
    const view = await hand.view()
    const stop = stopHere(view)
    expect(stop, 'a stop is settled').not.toBeNull()
    const valveIds = stop!.valves.map(v => v.valveId)
    const { crankDeg } = hand.hand.virtual
    expect(trulyClosed(hand.engine, hand, valveIds), `its valves are truly closed at ${crankDeg}°`).toBe(true)
    await expect(page.locator('.stop[data-target=true]').first()).toHaveAttribute(
      'data-stop',
      stop!.crankDeg.toFixed(1),
    )
  })
}
