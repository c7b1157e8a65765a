import { describe, expect, it } from 'vitest'
import { type Findable, findAmongModels, fitOf, LEAST_FIT, modelGrams, readQuery } from './index'

const model = (maker: string, name: string, code: string, more: Partial<Findable> = {}): Findable => ({
  maker,
  model: name,
  code,
  family: '',
  kind: '',
  displacementCc: null,
  yearFrom: null,
  yearTo: null,
  ...more,
})
const BOOK = [
  model('Marrowby', 'Sandlark 245', 'SL24-P', {
    family: 'SL24',
    kind: 'Motorcycle',
    displacementCc: 245,
    yearFrom: 2018,
    yearTo: 2023,
  }),
  model('Marrowby', 'Sandlark 125', 'SL12-P', { displacementCc: 125, yearFrom: 2012, yearTo: 2017 }),
  model('Hobbin', 'T16', 'HB-T16', { displacementCc: 614, kind: 'Tractor' }),
  model('Hobbin', 'T18', 'HB-T18'),
  model('Zéphrin', 'Minnow 125', 'ZM125-E'),
  model('Karnok', 'Ridge 437', 'KR437-D'),
]
const found = (text: string): string[] => {
  const query = readQuery(text)
  return BOOK.filter(m => query.grams.length === 0 || modelGrams(m).some(g => query.grams.includes(g)))
    .map(m => ({ m, fit: fitOf(query, m) }))
    .filter(x => x.fit >= LEAST_FIT)
    .sort((a, b) => b.fit - a.fit)
    .map(x => x.m.model)
}

describe('a model is found first by', () => {
  it.each([
    ['marrowby sandlark 245', 'Sandlark 245'],
    ['sandlark245', 'Sandlark 245'],
    ['SL24P', 'Sandlark 245'],
    ['sl 24 p', 'Sandlark 245'],
    ['SANDLARK', 'Sandlark 245'],
    ['245 sandlark', 'Sandlark 245'],
    ['sanlark 245', 'Sandlark 245'],
    ['sandlrak 125', 'Sandlark 125'],
    ['hobin t18', 'T18'],
    ['hb t16', 'T16'],
    ['t16', 'T16'],
    ['zephrin', 'Minnow 125'],
    ['zefrin', 'Minnow 125'],
    ['hobbni t18', 'T18'],
    ['marowbi', 'Sandlark 245'],
    ['Zéphrin minow', 'Minnow 125'],
    ['sandlark 2015', 'Sandlark 125'],
    ['245cc', 'Sandlark 245'],
    ['kr 437', 'Ridge 437'],
    ['rigde 437', 'Ridge 437'],
    ['tractor', 'T16'],
    ['k', 'Ridge 437'],
    ['mi', 'Minnow 125'],
  ])('“%s”', (text, first) => expect(found(text)[0]).toBe(first))
  it('what is nothing like any finds none', () => expect(found('qqwx 999')).toEqual([]))
  it('a query of signs alone asks for nothing', () =>
    expect(readQuery(' -- // ')).toMatchObject({ words: [], grams: [] }))
})

describe('among the models that a device has', () => {
  const models = [
    { maker: 'Zephrin', model: 'Minnow 125', code: 'ZM125-E', family: '', kind: 'Scooter' },
    { maker: 'Vossel', model: 'Duet 405', code: 'VD405-P', family: '', kind: 'Motorcycle' },
    { maker: 'Karnok', model: 'Ridge 437', code: 'KR437-D', family: '', kind: 'ATV' },
  ].map(m => ({ ...m, displacementCc: null, yearFrom: null, yearTo: null }))
  it.each([
    ['minow', ['Minnow 125']],
    ['vosel duet', ['Duet 405']],
    ['KR437', ['Ridge 437']],
    ['teapot', []],
    ['', ['Minnow 125', 'Duet 405', 'Ridge 437']],
  ])('“%s”', (text, names) => expect(findAmongModels(text, models, 20).map(m => m.model)).toEqual(names))
})
