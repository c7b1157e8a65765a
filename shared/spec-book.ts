import { z } from 'zod'
import { type Engine, engineSchema } from '../core/engine'
import type { Verdict } from '../core/feeler'
import type { Doubt } from '../core/spec'

/** What a model is called and found by; its figures are in its revisions. */
export interface ModelIdentity { key: string, maker: string, model: string, code: string, kind: string, family: string, displacementCc: number | null, yearFrom: number | null, yearTo: number | null }
/** A model with the revision that is in force: the newest approved one, or the newest draft where none is. */
export interface ModelRow extends ModelIdentity { id: number, revision: number, revisionId: number, status: 'approved' | 'draft', source: string, sourceDate: string, author: string, engine: Engine }

/** One immutable revision of a model's figures. */
export interface RevisionRow {
  id: number
  modelId: number
  revision: number
  engine: Engine
  reason: string
  basedOn: number | null
  /** Doubts about its figures that its author saw and answered. */
  answered: { id: string, says: string }[]
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
}
export interface OpenJobOfSpec { id: number, number: number, machine: string, status: 'open' | 'held', revisionId: number, revision: number, person: string }
export interface ModelResponse { model: ModelRow, revisions: RevisionRow[], openJobs: OpenJobOfSpec[], mayApproveOwn: boolean }
/** What a draft would do: each valve as the shop's last jobs left it, by the draft and by what is in force. */
export interface Affected { machine: string, tag: string, valve: string, role: 'intake' | 'exhaust', loMm: number, hiMm: number | null, before: Verdict, after: Verdict }

export interface ModelHit extends Omit<ModelRow, 'engine' | 'revisionId'> { intake: string, exhaust: string, thou: string, layout: string }
export interface SearchResponse { rows: ModelHit[], total: number, recent: boolean }

const text = (most: number, what: string) => z.string({ error: `Give ${what}.` }).trim().min(1, { error: `Give ${what}.` }).max(most, { error: `Keep ${what} under ${most} characters.` })
const optional = (most: number) => z.string().trim().max(most, { error: `Keep it under ${most} characters.` }).default('')
const year = z.number({ error: 'A year has four digits.' }).int({ error: 'A year has four digits.' }).min(1900, { error: 'A year before 1900 cannot be right.' }).max(2100, { error: 'A year after 2100 cannot be right.' }).nullable().default(null)
export const identityParts = z.object({
  key: z.string().trim().toLowerCase().regex(/^[a-z0-9][a-z0-9._-]{0,119}$/, { error: 'A key has letters, digits, dots and dashes: sandlark-245.' }).optional(),
  maker: text(60, 'the maker'), model: text(60, 'the model'), code: optional(40), kind: optional(40), family: optional(40),
  displacementCc: z.number({ error: 'Displacement is a number of cm³.' }).positive({ error: 'Displacement must be more than zero.' }).max(9999, { error: 'A displacement of more than 9,999 cm³ cannot be right.' }).nullable().default(null),
  yearFrom: year, yearTo: year,
})
const yearsInOrder = (m: { yearFrom: number | null, yearTo: number | null }) => m.yearFrom === null || m.yearTo === null || m.yearFrom <= m.yearTo
const YEARS = { path: ['yearTo'], error: 'The last year is before the first: look at both.' }
export const identitySchema = identityParts.refine(yearsInOrder, YEARS)

/** Which doubts the sender saw and answers with “as printed”; others refuse the request. */
const answered = z.array(z.string().max(2000)).max(40).default([])
const reason = (what: string) => text(300, what)
export const modelSchema = identityParts.extend({
  engine: engineSchema, answered,
  /** A shop's only lead approves what they add themselves, and says why. */
  approveBecause: optional(300),
}).refine(yearsInOrder, YEARS)
export const draftSchema = z.object({
  engine: engineSchema, reason: reason('the reason for the change'), answered,
  /** The newest revision that its author has seen. */
  basedOn: z.number({ error: 'Say which revision this is a change of.' }).int().positive(),
})
export const approvalSchema = z.object({ reason: optional(300) })
export const sendBackSchema = z.object({ reason: reason('the reason') })
export const searchSchema = z.object({ q: z.string().max(200).default(''), machine: z.coerce.number().int().positive().optional(), limit: z.coerce.number().int().min(1).max(100).default(20) })

export type ModelRequest = z.infer<typeof modelSchema>
export type DraftRequest = z.infer<typeof draftSchema>
export type IdentityRequest = z.infer<typeof identitySchema>
/** A refusal that asks: each doubt with both readings. */
export interface DoubtsBody { doubts: Doubt[] }
