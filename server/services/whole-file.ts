/** A file that is made whole before it is sent; `name` makes it one to keep. */
export interface WholeFile {
  type: string
  bytes: Buffer | string
  name?: string
  keepSeconds?: number
}
