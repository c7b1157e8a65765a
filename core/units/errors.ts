import type { Said } from '../said'
import { wrong } from '../wrong'

/**
 * A figure that could not be understood, with the text as it was typed and what would have been accepted. Its message
 * is a fact: `heard` reads it.
 */
export class FigureError extends Error {
  override readonly name = 'FigureError'
  constructor(
    readonly text: string,
    readonly reason: Said,
  ) {
    super(wrong('figure.of', { typed: text.slice(0, 40), reason }))
  }
}
