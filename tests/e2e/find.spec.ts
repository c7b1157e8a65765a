import { expect, type Page, test } from '@playwright/test'
import { closedArcs, type Engine, inArc } from '../../core/engine'
import { nextThing, offeredWords, stopHere } from '../../core/job'
import { locate, type Observation } from '../../core/position'
import { saved, signIn } from './bench'
import { BenchHand } from './hand'

const MODELS = [
  'Minnow 125',
  'G30',
  'Hedgerow 18',
  'Plover 200-4',
  'Ridge 420',
  'Duet 390',
  'Switch 470',
  'Fallow V22',
  'Span 850',
]
const STARTS = [
  { name: 'compression TDC', deg: 0, wrong: false },
  { name: 'exhaust TDC', deg: 360, wrong: true },
  { name: 'anywhere', deg: 507, wrong: false },
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

for (const model of MODELS) {
  test(`${model}: the first stop from compression TDC, from exhaust TDC and from anywhere`, async ({ page }) => {
    await signIn(page)
    let caught = 0
    for (const { name, deg, wrong } of STARTS) {
      const hand = await BenchHand.finding(page, model, deg)
      let moves = 0
      let said = !wrong
      while (nextThing(await hand.view()).step === 'find') {
        if (!said && moves >= 2 && (await sayWrongly(page, hand))) {
          said = true
          caught++
        }
        await hand.step()
        await saved(page)
        if (++moves > 14) throw new Error(`${name}: no stop after ${moves} moves`)
      }
      if (!said && (await sayWrongly(page, hand))) caught++
      const view = await hand.view()
      const stop = stopHere(view)
      expect(stop, `${name}: a stop is settled`).not.toBeNull()
      expect(
        trulyClosed(
          hand.engine,
          hand,
          stop!.valves.map(v => v.valveId),
        ),
        `${name}: its valves are truly closed at ${hand.hand.virtual.crankDeg}°`,
      ).toBe(true)
      await expect(page.locator('.stop[data-target=true]').first()).toHaveAttribute(
        'data-stop',
        stop!.crankDeg.toFixed(1),
      )
    }
    expect(caught, 'the wrong answer was caught').toBe(1)
  })
}
