/** A figure that could not be understood, with the text as it was typed and what would have been accepted. */
export class FigureError extends Error {
  override readonly name = 'FigureError'
  constructor(
    readonly text: string,
    readonly reason: string,
  ) {
    super(`“${text.slice(0, 40)}” ${reason}`)
  }
}
