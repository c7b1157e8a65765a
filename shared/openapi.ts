import { bookModelSchema, bookSchema } from '../core/exchange'
import { z } from '../core/zod'

const asJsonSchema = (schema: z.ZodType) =>
  z.toJSONSchema(schema, { io: 'input', target: 'draft-2020-12', unrepresentable: 'any' })

/** The published schema of a book file: docs/formats/spec-book.schema.json. */
export const bookJsonSchema = () => ({
  $id: 'spec-book.schema.json',
  title: 'Wembric spec book',
  description:
    'Engine models and the figures of their revision in force. Lengths in mm, torques in N·m, angles in degrees of the 720° cycle.',
  ...asJsonSchema(bookSchema),
})

const problem = {
  description: 'What is wrong and what to do (RFC 9457)',
  content: { 'application/problem+json': { schema: { $ref: '#/components/schemas/Problem' } } },
}
const json = (schema: object, description: string) => ({ description, content: { 'application/json': { schema } } })

/** The API for other software of the shop: docs/formats/openapi.json. */
export function openApi() {
  const { $schema: _, ...model } = asJsonSchema(bookModelSchema) as {
    $schema?: string
    properties: object
    required: string[]
  }
  const revision = {
    type: 'object',
    required: ['number', 'status', 'source', 'sourceDate'],
    properties: {
      number: { type: 'integer', minimum: 1 },
      status: { enum: ['approved', 'draft'] },
      source: { type: 'string' },
      sourceDate: { type: 'string', format: 'date' },
    },
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Wembric spec book',
      version: '1',
      description:
        'Reads the engine models of one shop and the figures that are in force. A lead makes the token on the Shop page; it can be revoked there.',
    },
    servers: [{ url: '/api/v1' }],
    security: [{ token: [] }],
    paths: {
      '/models': {
        get: {
          operationId: 'listModels',
          summary: 'Models in the order of maker and model, fifty at a time',
          parameters: [
            {
              name: 'after',
              in: 'query',
              required: false,
              description: 'Go on after the model of this key: `next` of the page before.',
              schema: { type: 'string' },
            },
          ],
          responses: {
            200: json(
              {
                type: 'object',
                required: ['models', 'next'],
                properties: {
                  models: { type: 'array', items: { $ref: '#/components/schemas/Model' } },
                  next: { type: ['string', 'null'] },
                },
              },
              'A page of models',
            ),
            401: problem,
            404: problem,
          },
        },
      },
      '/models/{key}': {
        get: {
          operationId: 'readModel',
          summary: 'One model by its key',
          parameters: [{ name: 'key', in: 'path', required: true, schema: { type: 'string' } }],
          responses: { 200: json({ $ref: '#/components/schemas/Model' }, 'The model'), 401: problem, 404: problem },
        },
      },
    },
    components: {
      securitySchemes: { token: { type: 'http', scheme: 'bearer' } },
      schemas: {
        Model: {
          ...model,
          required: [...model.required, 'key', 'revision'],
          properties: { ...model.properties, revision },
        },
        Problem: {
          type: 'object',
          required: ['title', 'status'],
          properties: {
            type: { type: 'string' },
            title: { type: 'string' },
            status: { type: 'integer' },
            detail: { type: 'string' },
          },
        },
      },
    },
  }
}
