import { expect, it } from 'vitest'
import { ownerWords } from './owner-words'

it('two owners of one name are told apart in a list', () => {
  const owner = { id: 1, name: 'R. Alder', contact: '', email: '', language: null, machines: 1 }
  expect(ownerWords(owner)).toBe('R. Alder, 1 machine')
  expect(ownerWords({ ...owner, contact: 'at the mill', machines: 2 })).toBe('R. Alder, at the mill, 2 machines')
})
