import { describe, expect, it } from 'vitest'
import { csvRows, jsonRows } from '../../server/services/spec-import/file'
import { tellEnglish } from '../../words'

describe('a file that is taken in', () => {
  it.each([
    ['CSV', (bytes: AsyncIterable<Buffer>) => csvRows(bytes, ',', ['maker', 'model'], ['maker', 'model'])],
    ['JSON', jsonRows],
  ])('%s whose bytes stop coming half way ends; nobody waits for the rest', async (_, rows) => {
    async function* broken() {
      yield Buffer.from('maker,model\nSpecs,One\n')
      await Promise.resolve()
      throw new Error('the database went away')
    }
    const read = async () => {
      for await (const row of rows(broken())) if (row.notes[0]) throw new Error(tellEnglish(row.notes[0].says))
    }
    await expect(read()).rejects.toThrow(/went away|not readable/)
  })
})
