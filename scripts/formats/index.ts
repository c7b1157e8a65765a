// npm run formats: writes docs/formats anew from the schemas and types of the program. Tests hold them against it.
import { writeFileSync } from 'node:fs'
import { format } from 'prettier'
import { bookJsonSchema, openApi } from '../../shared/openapi'
import { wholeApi } from './whole-api'

for (const [file, content] of [
  ['spec-book.schema.json', bookJsonSchema()],
  ['openapi.json', openApi()],
  ['whole-api.openapi.json', wholeApi()],
] as const)
  writeFileSync(`docs/formats/${file}`, await format(JSON.stringify(content), { parser: 'json' }))
