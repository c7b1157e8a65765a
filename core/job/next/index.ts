import { firstOpen, gates, type Requirement } from '../requirements'
import type { JobView } from '../view'
import { closeThing } from './close'
import { findThing } from './find'
import { trialThing } from './measure'
import { proveThing } from './prove'
import { readyThing } from './ready'
import { setThing } from './set'
import { type Draft, key, type NextThing } from './thing'

export * from './thing'
export { dueWords, suggestedDue } from './close'

const SIGN: Draft = {
  label: 'All done', instruction: 'Sign and close the job', why: 'The sheet is kept as it is signed. Only a lead can open it again.',
  keys: [key('Sign and close', 'the sheet is made', { type: 'closed', payload: {} }), key('Add a note', 'for the sheet', null, 'note')], stage: { kind: 'sign' },
}

/** The Measure step keeps to the valve that was tapped, else takes the first that is not proved as found. */
const valveFor = (view: JobView, requirement: Requirement, wanted: string | null) =>
  view.state.valves.find(v => v.valveId === wanted) ?? view.state.valves.find(v => requirement.id.endsWith(`:${v.valveId}`))!

function draftFor(view: JobView, requirement: Requirement, all: Requirement[], wanted: string | null): Draft {
  // a tapped valve is worked on when this step still asks for it
  const stillAsked = (prefix: string) => wanted !== null && all.some(r => r.id === `${prefix}:${wanted}` && !r.met && !r.passed) ? wanted : null
  switch (requirement.step) {
    case 'ready': return readyThing(view, requirement)
    case 'find': return findThing(view)
    case 'measure': return trialThing(view, valveFor(view, requirement, stillAsked('as-found')), 'as found')
    case 'set': return setThing(view, view.state.valves.find(v => v.nut !== 'locked') ?? valveFor(view, requirement, stillAsked('set')))
    case 'prove': return proveThing(view, stillAsked('proved') && requirement.id !== 'turned' ? { ...requirement, id: `proved:${wanted}` } : requirement)
    case 'close': return closeThing(view, requirement)
  }
}

/**
 * The one next thing to do on a job.
 * @param wanted the valve that the mechanic tapped; it is taken where the step still asks for it
 */
export function nextThing(view: JobView, wanted: string | null = null): NextThing {
  const all = gates(view)
  const requirement = firstOpen(all)
  if (!requirement) return { ...SIGN, step: 'close', trial: null, requirement: null }
  return { trial: null, ...draftFor(view, requirement, all, wanted), step: requirement.step, requirement }
}
