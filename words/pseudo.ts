import { teller } from '.'
import { english } from './en'

const [OPEN, MORE, CLOSE] = ['⟦', '⁝', '⟧']
const WHOLE = new RegExp(`${OPEN}([^${OPEN}${MORE}${CLOSE}]*)${MORE}[^${OPEN}${CLOSE}]*${CLOSE}`, 'g')
const FILLER = 'ipsum dolor sit amet '
/** As much longer as another language may be. */
const LONGER = 0.4

/**
 * English in brackets and two fifths longer, to see on every screen what is not told by a catalogue and what has no room
 * for another language. A sentence within another has the brackets of the whole alone.
 */
export const tellPseudo = teller(english, words => {
  const plain = words.replace(WHOLE, '$1')
  if (plain.trim() === '') return plain
  const length = Math.ceil(plain.length * LONGER)
  return `${OPEN}${plain}${MORE} ${FILLER.repeat(Math.ceil(length / FILLER.length))
    .slice(0, length)
    .trimEnd()}${CLOSE}`
})
