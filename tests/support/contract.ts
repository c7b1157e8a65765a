import { readFileSync } from 'node:fs'
import { Ajv2020 } from 'ajv/dist/2020'
import addFormats from 'ajv-formats'

interface Described {
  paths: Record<string, Record<string, object>>
}
const FILE = 'docs/formats/whole-api.openapi.json'
const published = JSON.parse(readFileSync(FILE, 'utf8')) as Described

const ajv = new Ajv2020({ strict: false, allErrors: false })
addFormats(ajv)
ajv.addSchema(published, 'api')
const pointer = (text: string): string => encodeURIComponent(text.replaceAll('~', '~0').replaceAll('/', '~1'))

const paths = Object.keys(published.paths)
  // an address that is named comes before one with a number in its place, as the standard has it
  .sort((a, b) => Number(a.includes('{')) - Number(b.includes('{')))
  // “/api/spec-imports/{id}/rows” is no “/api/spec-imports/{id}”
  .map(path => ({ path, shape: new RegExp(`^${path.replace(/\{\w+\}/g, '[^/]+')}$`) }))

/**
 * Holds what a server answered against the published description; addresses of files and streams are not in it.
 * @throws Error with the first thing that is otherwise
 */
export function checkContract(method: string, address: string, status: number, body: unknown): void {
  const verb = method.toLowerCase()
  const path = paths.find(p => p.shape.test(address.split('?')[0]!))?.path
  if (!path || !(verb in published.paths[path]!)) return
  const [response, type] = status < 400 ? ['200', 'application/json'] : ['default', 'application/problem+json']
  const at = `api#/paths/${pointer(path)}/${verb}/responses/${response}/content/${pointer(type!)}/schema`
  const fits = ajv.getSchema(at)
  if (!fits) throw new Error(`${FILE} has no answer for ${method} ${path} with ${status}.`)
  if (!fits(body))
    throw new Error(`${method} ${path} answers otherwise than ${FILE} says: ${ajv.errorsText(fits.errors)}`)
}
