import { describe, expect, it } from 'vitest'
import { type FindableMachine, findAmongMachines } from './index'

const machine = (name: string, tag: string, owner: string, model = 'Zephrin Minnow 125'): FindableMachine => ({
  name,
  tag,
  owner,
  model,
  plate: '',
  serial: '',
})
const SHOP = [
  machine('Minnow 125, blue', 'M-0107', 'O. Brackwell'),
  machine('Minnow 125, red', 'M-0101', 'O. Brackwell'),
  machine('Orchard mower', 'M-0110', 'Minnow Hire', 'Hedgerow 18'),
  machine('G30, stage', 'M-0120', 'Marrow Bridge Hire', 'Gale G30'),
]
const found = (text: string) => findAmongMachines(text, SHOP, 9).map(m => m.tag)

describe('machines as they are typed for', () => {
  it.each([
    ['minow bl', ['M-0107']],
    ['minnow 125 blue', ['M-0107']],
    ['M-0110', ['M-0110']],
    ['m0110', ['M-0110']],
    ['brackwel', ['M-0107', 'M-0101']],
    ['stage', ['M-0120']],
    ['gale g30', ['M-0120']],
    ['xyzzy', []],
  ])('“%s”', (text, tags) => expect(found(text).slice(0, tags.length || 9)).toEqual(tags))
  it('a machine comes before one whose owner is called so', () => {
    expect(found('minnow')).toEqual(['M-0107', 'M-0101', 'M-0110'])
  })
  it('a tag that is there is alone: those that look like it were not meant', () => {
    expect(found('M-0107')).toEqual(['M-0107'])
    expect(found('M-0197')).toContain('M-0107')
  })
  it('every word must fit somewhere', () => {
    expect(found('minnow stage')).toEqual([])
  })
})
