import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { describe, expect, it } from 'vitest'
import type { Adjuster } from '../core/engine'
import { eventWords, gates, jobTools, type JobView, nextThing, viewJob } from '../core/job'
import { sheet } from '../core/job/sheet'
import { drawEngine, steps, VirtualHand } from '../core/practice'
import { say, type Tell, type Text } from '../core/said'
import { afterLast, engineOf, LogBook, pinOf } from '../tests/support/builders'
import { tellEnglish, teller } from '.'
import { english } from './en'
import { tellSpanish } from './es'

const NOON = Date.UTC(2026, 10, 25, 12)

/** Every view of a whole job at a drawn engine, worked by what the core says. */
function* viewsOf(seed: number, kind: string, lockedBy?: Adjuster['lockedBy']): Generator<JobView> {
  const drawn = drawEngine(seed, kind).virtual
  const adjuster = { ...drawn.engine.adjuster, ...(lockedBy ? { lockedBy } : {}) }
  const virtual = { ...drawn, engine: { ...drawn.engine, adjuster } }
  const tools = jobTools(pinOf(virtual.engine))
  const log = new LogBook()
  const look = () => viewJob(tools, log.events, afterLast(log, NOON))
  for (const { worked, view } of steps(new VirtualHand(virtual), look, () => false, 120)) {
    yield view
    log.add(worked.happening)
    if (worked.happening.type === 'closed') break
  }
  yield look()
}

/** All that is read of a view, told. */
function readOf(view: JobView, tell: Tell): string[] {
  const next = nextThing(view)
  const texts: Text[] = [
    next.label,
    next.instruction,
    next.why,
    ...next.keys.flatMap(k => [k.title, k.help]),
    ...gates(view).map(g => g.missing),
    ...view.state.takenBack.map(({ event }) => eventWords(view.pin, event)),
  ]
  return [...texts.map(tell), JSON.stringify(sheet(view, tell).valves), sheet(view, tell).cold]
}

const KINDS = ['single', 'single-decompressor', 'twin-360', 'v-90']
/** Words that no Spanish sentence has. */
const ENGLISH = /\b(the|and|turn|until|with|isn|won|screw|blade|valve|crank|gap|nut|again|here|try|of|is|it)\b/i

describe('each language', () => {
  it.each(KINDS)('says a whole job on %s without a hole in a sentence', kind => {
    for (const view of viewsOf(11, kind))
      for (const tell of [tellEnglish, tellSpanish])
        for (const words of readOf(view, tell)) expect(words).not.toMatch(/undefined|\[object|NaN|\$\{|null [a-z]| {2}/)
  })
  it.each(KINDS)('says a whole job on %s in Spanish, with no English left in it', kind => {
    for (const view of viewsOf(12, kind)) {
      const next = nextThing(view)
      for (const text of [next.label, next.instruction, next.why, ...next.keys.flatMap(k => [k.title, k.help])])
        expect(tellSpanish(text)).not.toMatch(ENGLISH)
    }
  })
  it.each(KINDS)('tells the keys of one question on %s apart', kind => {
    for (const view of viewsOf(13, kind))
      for (const tell of [tellEnglish, tellSpanish]) {
        const titles = nextThing(view).keys.map(k => `${tell(k.title)}: ${tell(k.help)}`)
        expect(new Set(titles).size).toBe(titles.length)
      }
  })
})

describe('a pivot nut, told as it is found', () => {
  const instructionsOf = (lockedBy: Adjuster['lockedBy']): string => {
    const told: string[] = []
    for (const seed of [3, 5, 8, 13])
      for (const view of viewsOf(seed, 'single-no-marks', lockedBy)) told.push(tellEnglish(nextThing(view).instruction))
    return told.join('\n')
  }
  it('that holds by its own grip is turned and let go: nothing is loosened, nipped, locked or torqued', () => {
    const told = instructionsOf('own grip')
    expect(told).toMatch(/Put the wrench on the (intake|exhaust) pivot nut/)
    expect(told).toMatch(/Take the wrench off the nut, feel/)
    expect(told).not.toMatch(/loosen|\bnip\b|\block\b|torque the (?!cover|plug)/i)
  })
  it('under a second nut names that nut', () => {
    const told = instructionsOf('second nut')
    expect(told).toMatch(/Loosen the (intake|exhaust) upper nut/)
    expect(told).not.toMatch(/lock screw/)
  })
})

describe('the teller', () => {
  it('joins what stands one after the other, and leaves no gap for what is empty', () => {
    expect(tellEnglish([say('crept'), '', [say('find.why.ahead', { deg: 40 }), '']])).toBe(
      'The crank may have crept. The stop is 40° ahead.',
    )
  })
  it('says somebody’s own words as they are, and what a newer version says by its name', () => {
    expect(tellSpanish('Ring for the red one')).toBe('Ring for the red one')
    expect(tellSpanish({ say: 'not.yet.known' })).toBe('not.yet.known')
  })
  it('bends Spanish as it is spoken: a + el, de + el, and each part by its kind', () => {
    expect(tellSpanish(say('prove.turn-over', { place: say('place.top', { cylinder: null }) }))).toBe(
      'Dé dos vueltas completas y vuelva al punto más alto',
    )
    expect(tellSpanish(say('set.loosen', { valve: 'Left exhaust', by: 'screw' }))).toBe(
      'Afloje la contratuerca del escape izquierdo',
    )
    expect(tellSpanish(say('blade.try', { valve: 'Cylinder 2 intake', blade: '0.10' }))).toBe(
      'Pruebe 0.10 en la admisión del cilindro 2',
    )
    expect(tellSpanish(say('part.name', { part: 'Rear' }))).toBe('Trasero')
    expect(tellSpanish(say('part.name', { part: 'Big Bertha' }))).toBe('Big Bertha')
  })
})

it('a shop’s own engine is told in its own names', () => {
  const engine = engineOf()
  const [intake] = engine.valves
  expect(tellSpanish(say('feel.one', { valve: intake!.name }))).toBe('Mueva el balancín de la admisión')
})

it('no English sentence is left empty', () => {
  for (const [name, sentence] of Object.entries(english))
    if (typeof sentence === 'string') expect(sentence.trim(), name).not.toBe('')
})

/** All that the product is made of, but for its tests and the sentences themselves. */
function sourceOf(folder: string): string {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter(entry => entry.isFile() && /(?<!\.test)\.(ts|vue)$/.test(entry.name))
    .map(entry => readFileSync(join(entry.parentPath, entry.name), 'utf8'))
    .join('\n')
}

it('keeps no sentence that nothing says', () => {
  const root = new URL('..', import.meta.url).pathname
  const source = ['app', 'core', 'server', 'shared'].map(folder => sourceOf(join(root, folder))).join('\n')
  const whole = new Set([...source.matchAll(/'([\w.-]+(?: [\w.-]+)*)'/g)].map(([, name]) => name))
  const begun = [...source.matchAll(/`([a-z-]+\.[a-z.-]*)\$\{/g)].map(([, name]) => name!)
  const said = (name: string) => whole.has(name) || begun.some(start => name.startsWith(start))
  // the screw’s turn as a whole sentence says how it is counted
  expect(Object.keys(english).filter(name => !said(name))).toEqual(['turn.screw'])
})

it.each(['en', 'es'])(
  'gives no sentence a name that another has, for it would be said instead of it: %s',
  async language => {
    const folder = join(import.meta.dirname, language)
    const paths = readdirSync(folder, { recursive: true, encoding: 'utf8' }).filter(
      path => path.endsWith('.ts') && !/^(?:index|grammar|finish|groups\/)/.test(path),
    )
    const sayings = new Map<string, Set<unknown>>()
    for (const path of paths)
      for (const part of Object.values<object>(await import(join(folder, path))))
        if (typeof part === 'object')
          for (const [name, words] of Object.entries(part))
            sayings.set(name, (sayings.get(name) ?? new Set()).add(words))
    expect([...sayings].filter(([, said]) => said.size > 1).map(([name]) => name)).toEqual([])
  },
)

it('has what several screens say in one place', async () => {
  const folder = join(import.meta.dirname, 'en/screens')
  const files: object[] = await Promise.all(readdirSync(folder).map(file => import(join(folder, file))))
  const screens: Record<string, unknown> = Object.assign({}, ...files.flatMap(file => Object.values(file)))
  const both = new Map<string, string[]>()
  for (const [name, words] of Object.entries(screens))
    if (typeof words === 'string') {
      const pair = `${words} | ${tellSpanish({ say: name })}`
      both.set(pair, [...(both.get(pair) ?? []), name])
    }
  expect([...both.values()].filter(names => names.length > 1).map(names => names.toSorted())).toEqual([
    ['common.close', 'step-rail.close'],
  ])
})

describe('a sentence that a language lacks', () => {
  it('is told in English on paper and by the server, and found by its type before that', () => {
    const lacking = teller({ 'feel.drag': 'Roza' }, undefined, tellEnglish)
    expect([lacking(say('feel.drag')), lacking(say('feel.free'))]).toEqual(['Roza', 'Free'])
  })
})
