import { expect, it } from 'vitest'
import { glossed } from './glossary'

it('marks a term where it first comes, the longer one first, and leaves the text as it is', () => {
  const text = 'Compression TDC: wiggle the rocker. Rockers with play: the gap is clear. No overlapping.'
  const pieces = glossed(text)
  expect(pieces.map(p => p.text).join('')).toBe(text)
  expect(pieces.filter(p => p.term).map(p => [p.text, p.term])).toEqual([
    ['Compression TDC', 'compression'],
    ['rocker', 'rocker'],
    ['gap', 'clearance'],
  ])
  expect(glossed('')).toEqual([])
})
