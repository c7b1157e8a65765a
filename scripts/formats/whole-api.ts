// What browser and server say to each other, as OpenAPI: paths, queries and bodies from the Zod schemas of shared/api,
// answers from its types.
import { type Definition, generateSchema, getProgramFromFiles } from 'typescript-json-schema'
import { z, type ZodType } from 'zod'
import { API, type ApiKey } from '../../shared/api'
import { STATUS_OF } from '../../shared/problem'

type Schema = Record<string, unknown>

const requestSchema = (schema: ZodType): Schema => {
  const { $schema: _, ...rest } = z.toJSONSchema(schema, {
    io: 'input',
    target: 'draft-2020-12',
    unrepresentable: 'any',
    cycles: 'ref',
    reused: 'inline',
  }) as Schema
  return rest
}

/** Types that have a name keep it; the others stand where they are used. */
function answerSchemas(): { byKey: Record<string, Schema>; named: Record<string, Schema> } {
  const program = getProgramFromFiles(['shared/answers.ts'], {
    strict: true,
    target: 'es2022',
    module: 'esnext',
    moduleResolution: 'bundler',
    skipLibCheck: true,
    noEmit: true,
  } as never)
  const made = generateSchema(program, 'Answers', {
    required: true,
    aliasRef: true,
    topRef: false,
    ignoreErrors: true,
    strictNullChecks: true,
  })
  if (!made) throw new Error('The types of the answers could not be read.')
  const definitions = made.definitions as Record<string, Definition>
  const hasName = (key: string): boolean => /^[A-Z]\w*$/.test(key)
  const inline = (node: unknown): unknown => {
    if (Array.isArray(node)) return node.map(inline)
    if (typeof node !== 'object' || node === null) return node
    const { $ref, ...rest } = node as Schema
    // a tuple as JSON Schema has it since 2020-12
    if (Array.isArray(rest.items)) {
      const { items, additionalItems: _, ...tuple } = rest
      return { ...tuple, prefixItems: inline(items), items: false }
    }
    if (typeof $ref !== 'string')
      return Object.fromEntries(Object.entries(rest).map(([key, value]) => [key, inline(value)]))
    const key = decodeURIComponent($ref.replace('#/definitions/', ''))
    return hasName(key) ? { $ref: `#/components/schemas/${key}` } : inline(definitions[key])
  }
  const all = (given: Record<string, unknown>): Record<string, Schema> =>
    Object.fromEntries(Object.entries(given).map(([key, value]) => [key, inline(value) as Schema]))
  return {
    byKey: all(made.properties as Record<string, unknown>),
    named: all(Object.fromEntries(Object.entries(definitions).filter(([key]) => hasName(key)))),
  }
}

const parametersOf = (path: string, query: ZodType | null): Schema[] => {
  const fields = query ? (requestSchema(query) as { properties?: Record<string, Schema>; required?: string[] }) : {}
  return [
    ...[...path.matchAll(/:(\w+)/g)].map(([, name]) => ({
      name,
      in: 'path',
      required: true,
      schema: name === 'id' ? { type: 'integer', minimum: 1 } : { type: 'string' },
    })),
    ...Object.entries(fields.properties ?? {}).map(([name, schema]) => ({
      name,
      in: 'query',
      required: fields.required?.includes(name) ?? false,
      schema,
    })),
  ]
}

const json = (schema: Schema): Schema => ({ 'application/json': { schema } })

/** The description of all that goes over the wire as JSON: docs/formats/whole-api.openapi.json. */
export function wholeApi(): Schema {
  const { byKey, named } = answerSchemas()
  const paths: Record<string, Schema> = {}
  for (const key of Object.keys(API) as ApiKey[]) {
    const [method, path] = key.split(' ') as [string, string]
    const { query, body } = API[key] as { query: ZodType | null; body: ZodType | null }
    const operation: Schema = {
      operationId: key,
      parameters: parametersOf(path, query),
      ...(body ? { requestBody: { required: true, content: json(requestSchema(body)) } } : {}),
      responses: {
        200: { description: 'As asked.', content: json(byKey[key]!) },
        default: {
          description: 'What is wrong and what to do (RFC 9457).',
          content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/ProblemBody' } } },
        },
      },
    }
    const at = path.replace(/:(\w+)/g, '{$1}')
    paths[at] = { ...paths[at], [method.toLowerCase()]: operation }
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Wembric, whole',
      version: '1',
      description:
        'What the pages of Wembric ask of its server. It changes with the program; other software keeps to openapi.json.',
    },
    servers: [{ url: '/' }],
    security: [{ session: [] }],
    paths,
    components: {
      securitySchemes: { session: { type: 'apiKey', in: 'cookie', name: 'wembric' } },
      schemas: {
        ...named,
        ProblemBody: {
          ...named.ProblemBody,
          properties: {
            ...(named.ProblemBody?.properties as object),
            code: { enum: Object.keys(STATUS_OF) },
          },
        },
      },
    },
  }
}
