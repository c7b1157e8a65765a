// npm run formats: writes docs/formats anew from the schemas of the program. A test holds them against each other.
import { writeFileSync } from 'node:fs'
import { bookJsonSchema, openApi } from '../shared/openapi'

for (const [file, content] of [
  ['spec-book.schema.json', bookJsonSchema()],
  ['openapi.json', openApi()],
] as const)
  writeFileSync(`docs/formats/${file}`, `${JSON.stringify(content, null, 2)}\n`)
