import { mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { afterAll, describe, expect, it } from 'vitest'
import { answersUnderFaults } from '../support/faults/answers'
import { malformedRequests } from '../support/faults/malformed'
import { Client } from '../support/server'
import { newMachine, openJob } from '../support/shop-work'

const data = mkdtempSync(join(tmpdir(), 'wembric-faults-'))
afterAll(() => rmSync(data, { recursive: true, force: true }))

/** The short form of “npm run faults”, which does the same ten thousand times. */
describe('faults', () => {
  it('300 on the way of answers, the server and its database killed in between: nothing lost, doubled or out of order', async () => {
    const counts = await answersUnderFaults({ root: process.cwd(), data, faults: 300, kills: 2, seed: 13 })
    expect(Object.values(counts.faults).reduce((a, b) => a + b, 0)).toBeGreaterThanOrEqual(300)
    expect(counts.inLog).toBe(counts.answered)
    expect(counts).toMatchObject({ lost: 0, doubled: 0, outOfOrder: 0, holes: 0, readingsAstray: 0 })
  })

  it('1,000 malformed requests: each is refused in words, and none makes the server fail', async () => {
    const ines = await new Client().signIn('ines')
    const machine = await newMachine(ines)
    const { id: jobId } = (await openJob(ines, machine, 1)).body
    const counts = await malformedRequests({
      base: process.env.WEMBRIC_TEST_URL!,
      root: process.cwd(),
      cookie: ines.cookie,
      ids: { jobId, personId: ines.personId, modelId: machine.modelId, machineId: machine.id },
      requests: 1000,
      seed: 13,
    })
    expect(counts.failures).toEqual([])
    expect(counts.nameless).toEqual([])
  })
})
