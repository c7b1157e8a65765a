import { readFileSync } from 'node:fs'
import { join } from 'node:path'

/** Where the application lies. */
export const root = (): string => process.env.WEMBRIC_ROOT ?? process.cwd()
/** The version of Wembric that runs. */
export const ownVersion = (): string =>
  (JSON.parse(readFileSync(join(root(), 'package.json'), 'utf8')) as { version: string }).version
