import { type Engine, engineSchema } from '../core/engine'
import { type BookModel, COLUMNS, type RowNote } from '../core/exchange'
import type { Verdict } from '../core/feeler'
import type { LearnedParts } from '../core/job/learned-parts'
import type { Text } from '../core/said'
import { type Identity, identityParts, identitySchema, YEARS_WRONG, yearsInOrder } from '../core/spec-book/identity'
import { optionalText, text } from '../core/text-field'
import { wrong } from '../core/wrong'
import { z } from '../core/zod'
import { changeOf } from './change'

/** What a model is called and found by; its figures are in its revisions. */
export interface ModelIdentity {
  key: string
  maker: string
  model: string
  code: string
  kind: string
  family: string
  displacementCc: number | null
  yearFrom: number | null
  yearTo: number | null
}
/** A model with the revision that is in force: the newest approved one, or the newest draft where none is. */
export interface ModelRow extends ModelIdentity {
  id: number
  revision: number
  revisionId: number
  status: 'approved' | 'draft'
  source: string
  sourceDate: string
  author: string
  engine: Engine
  /** Drafts that wait for a lead; where it was counted. */ waiting?: number
}

/** One immutable revision of a model's figures. */
export interface RevisionRow {
  id: number
  modelId: number
  revision: number
  engine: Engine
  reason: string
  basedOn: number | null
  /** Doubts about its figures that its author saw and answered. */
  answered: { id: string; says: Text }[]
  source: string
  sourceDate: string
  authorId: number
  author: string
  createdAt: string
  approvedBy: string | null
  approvedAt: string | null
  approvalReason: string
  sentBackBy: string | null
  sentBackAt: string | null
  sentBackReason: string
  jobs: number
  /** Whether the page that its figures are from was photographed. */
  page: boolean
}
export interface OpenJobOfSpec {
  id: number
  number: number
  machine: string
  status: 'open' | 'held'
  revisionId: number
  revision: number
  person: string
}
export interface ModelResponse {
  model: ModelRow
  revisions: RevisionRow[]
  openJobs: OpenJobOfSpec[]
  mayApproveOwn: boolean
  /** The list of parts that its latest job can teach it, where it has none. */
  learned: LearnedParts | null
}
/** What a draft would do: each valve as the shop's last jobs left it, by the draft and by what is in force. */
export interface Affected {
  machine: string
  tag: string
  valve: string
  role: 'intake' | 'exhaust'
  loMm: number
  hiMm: number | null
  before: Verdict
  after: Verdict
}

export interface ModelHit extends Omit<ModelRow, 'engine' | 'revisionId'> {
  intake: string
  exhaust: string
  thou: string
  layout: string
}
export interface SearchResponse {
  rows: ModelHit[]
  total: number
  recent: boolean
}

/** Which doubts the sender saw and answers with “as printed”; others refuse the request. */
const answered = z.array(z.string().max(2000)).max(40).default([])
export const modelSchema = identityParts
  .extend({
    engine: engineSchema,
    answered,
    /** A shop's only lead approves what they add themselves, and says why. */
    approveBecause: optionalText(300),
  })
  .refine(yearsInOrder, YEARS_WRONG)
export const draftSchema = z.object({
  engine: engineSchema,
  reason: text(300, 'reason to change'),
  answered,
  /** The newest revision that its author has seen. */
  basedOn: z
    .number({ error: wrong('wrong.say-which-revision-this-is') })
    .int()
    .positive(),
})
export const approvalSchema = z.object({ reason: optionalText(300) })
export const sendBackSchema = z.object({ reason: text(300, 'reason to send back') })
export const searchSchema = z.object({
  q: z.string().max(200).default(''),
  machine: z.coerce.number().int().positive().optional(),
  limit: z.coerce.number().int().min(1).max(100).default(20),
})

export type ModelRequest = z.infer<typeof modelSchema>
export type DraftRequest = z.infer<typeof draftSchema>
export type IdentityRequest = Identity
export const identityChangeSchema = changeOf(identitySchema)
export type IdentityChange = z.infer<typeof identityChangeSchema>

export type ImportState = 'uploaded' | 'reading' | 'preview' | 'writing' | 'done' | 'cancelled' | 'failed'
export type ImportRowState = 'new' | 'changed' | 'same' | 'problem'
const DELIMITERS = [',', ';', '\t', '|'] as const
export type Delimiter = (typeof DELIMITERS)[number]
export interface ImportSettings {
  delimiter: string
  headings: string[]
  mapping: (string | null)[]
  first: string[][]
}
/** A file on its way into the book: how it is read, how far it is, what its rows would do. */
export interface ImportResponse {
  id: number
  fileName: string
  format: 'csv' | 'json'
  bytes: number
  state: ImportState
  settings: ImportSettings
  progress: number
  total: number
  message: string
  counts: Record<ImportRowState, number>
  mayApproveOwn: boolean
}
export interface ImportRow {
  rowNo: number
  state: ImportRowState
  title: string
  modelId: number | null
  notes: RowNote[]
  changes: Text[]
}

export const uploadSchema = z.object({ name: z.string().trim().min(1).max(120).default('file.csv') })
export const readImportSchema = z.object({
  delimiter: z.enum(DELIMITERS, { error: wrong('wrong.choose-what-parts-the-cells') }),
  mapping: z.array(z.enum(COLUMNS as readonly [string, ...string[]]).nullable()).max(200),
})
export const acceptImportSchema = z.object({ approveBecause: optionalText(300) })
export const answerRowSchema = z.object({ rowNo: z.number().int().positive() })
export const importRowsSchema = z.object({
  state: z.enum(['new', 'changed', 'same', 'problem']),
  after: z.coerce.number().int().min(0).default(0),
})
export const exportSchema = z.object({
  format: z.enum(['csv', 'json', 'xlsx', 'ods'], { error: wrong('wrong.choose-csv-or-json') }),
  ids: z
    .string()
    .regex(/^\d+(,\d+){0,999}$/, { error: wrong('wrong.models-are-named-by-their') })
    .transform(t => t.split(',').map(Number))
    .optional(),
  delimiter: z.enum(DELIMITERS).default(','),
})

/** A model as the API gives it: as in a book file, with the revision that is in force. */
export type PublishedModel = BookModel & {
  revision: { number: number; status: 'approved' | 'draft'; source: string; sourceDate: string }
}
export const publishedPageSchema = z.object({ after: z.string().max(120).optional() })
