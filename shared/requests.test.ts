import { describe, expect, it } from 'vitest'
import { engineOf } from '../tests/support/builders'
import { refusal } from '../words/refusal'
import { eventRequestSchema } from './event-request'
import { openJobSchema } from './jobs'
import { machineSchema } from './machines'
import { personSchema } from './people'
import { signInSchema } from './session'
import { bladeSetRequestSchema } from './shelf'
import { setupSchema } from './shop'
import { modelSchema } from './spec-book'

/** The field and words of the first thing that is wrong, or “taken”. */
const first = (
  schema: {
    safeParse: (value: unknown) => { success: boolean; error?: { issues: { path: PropertyKey[]; message: string }[] } }
  },
  value: unknown,
): string => {
  const issue = schema.safeParse(value).error?.issues[0]
  return issue ? `${issue.path.join('.')}: ${refusal(issue.message)}` : 'taken'
}
const person = { name: 'Bo', signIn: 'bo', password: 'longenough', role: 'mechanic' }
const machine = { name: 'Mower', tag: 'A-1', modelId: 1, meterUnit: 'h', customer: { name: 'Owner' } }
const job = { machineId: 1, bladeSetId: 1, meter: 12 }
const setup = {
  shop: 'S',
  timeZone: 'Etc/UTC',
  unit: 'mm',
  lead: { name: 'Ada', signIn: 'ada', password: 'longenough' },
}
const event = {
  id: '01900000-0000-7000-8000-000000000000',
  type: 'note',
  version: 1,
  payload: { text: 'x' },
  personId: 1,
  deviceId: 'd',
  deviceSeq: 1,
  seenSeq: 0,
  at: '2026-11-25T08:00:00.000+01:00',
}

describe('what a browser may send', () => {
  it.each([
    ['sign-in', signInSchema, { signIn: 'ada', password: 'x' }],
    ['person', personSchema, person],
    ['machine with a new owner', machineSchema, machine],
    ['machine of a known owner', machineSchema, { ...machine, customer: { id: 3 } }],
    ['job', openJobSchema, job],
    ['job without a meter reading', openJobSchema, { ...job, meter: null }],
    ['shop', setupSchema, setup],
    ['model', modelSchema, { maker: 'A', model: 'B', engine: engineOf() }],
    ['blade set', bladeSetRequestSchema, { name: 'A', unit: 'mm', bladesMm: [0.1, 0.2] }],
    ['event', eventRequestSchema, event],
  ])('%s is taken', (_, schema, value) => expect(first(schema, value)).toBe('taken'))

  it.each([
    ['no name', signInSchema, { password: 'x' }, /^signIn: Give a sign-in name/],
    ['a short password', personSchema, { ...person, password: 'short' }, /^password: .*eight characters/],
    ['a sign-in name with spaces', personSchema, { ...person, signIn: 'b o' }, /^signIn: .*no spaces/],
    ['a role that is none', personSchema, { ...person, role: 'owner' }, /^role: Choose lead or mechanic/],
    ['a zone that is none', setupSchema, { ...setup, timeZone: 'Mars/North' }, /^timeZone: .*not known/],
    ['a machine without an owner', machineSchema, { ...machine, customer: {} }, /^customer: Give the owner/],
    [
      'a meter in furlongs',
      machineSchema,
      { ...machine, meterUnit: 'furlong' },
      /^meterUnit: Choose hours, km or miles/,
    ],
    ['a meter below zero', openJobSchema, { ...job, meter: -1 }, /^meter: .*below zero/],
    ['a meter that is words', openJobSchema, { ...job, meter: 'twelve' }, /^meter: .*as a number/],
    ['a model without a maker', modelSchema, { model: 'B', engine: engineOf() }, /^maker: Give the maker/],
    [
      'an engine without a source',
      modelSchema,
      { maker: 'A', model: 'B', engine: { ...engineOf(), source: '' } },
      /^engine.source: Source is missing/,
    ],
    [
      'clearance limits crossed over',
      modelSchema,
      {
        maker: 'A',
        model: 'B',
        engine: {
          ...engineOf(),
          clearance: {
            intake: { form: 'limits', minMm: 0.12, maxMm: 0.08, text: '', unit: 'mm' },
            exhaust: engineOf().clearance.exhaust,
          },
        },
      },
      /^engine.clearance.intake: The limits are crossed/,
    ],
    [
      'a figure to set to outside its limits',
      modelSchema,
      {
        maker: 'A',
        model: 'B',
        engine: {
          ...engineOf(),
          clearance: {
            intake: { form: 'limits', minMm: 0.08, maxMm: 0.12, figureMm: 0.15, text: '', unit: 'mm' },
            exhaust: engineOf().clearance.exhaust,
          },
        },
      },
      /outside the limits 0.08–0.12/,
    ],
    [
      'shimmed valves without a shim size',
      modelSchema,
      {
        maker: 'A',
        model: 'B',
        engine: { ...engineOf(), valves: engineOf().valves.map(v => ({ ...v, adjuster: 'shim' })) },
      },
      /^engine.shim: .*diameter/,
    ],
    [
      'a blade of no size',
      bladeSetRequestSchema,
      { name: 'A', unit: 'mm', bladesMm: [0, 0.1] },
      /^bladesMm.0: .*under 0.01/,
    ],
    [
      'an id of another version',
      eventRequestSchema,
      { ...event, id: '4f9c3a34-3a0f-4d0e-9d2e-0e8f6f0a6b11' },
      /^id: .*version 7/,
    ],
    ['a time without an offset', eventRequestSchema, { ...event, at: '2026-11-25T08:00:00' }, /^at: .*offset/],
    ['a later version of an event', eventRequestSchema, { ...event, version: 2 }, /^version: .*Reload/],
    ['a payload that cannot be', eventRequestSchema, { ...event, payload: { text: '' } }, /^payload.text: /],
  ])('%s is named by field, with what to do', (_, schema, value, words) => expect(first(schema, value)).toMatch(words))

  it('nothing more than is asked for comes through', () => {
    const parsed = eventRequestSchema.parse({ ...event, payload: { text: ' x ', more: 'no' }, admin: true })
    expect(parsed).not.toHaveProperty('admin')
    expect(parsed.payload).toEqual({ text: 'x' })
  })
})
