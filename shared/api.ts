import type { z, ZodType } from 'zod'
import type { Marked } from '../core/practice'
import { backupSchema, type BackupsResponse, type RestoreResponse } from './backups'
import { type BayResponse, boardPlaceSchema, taskDoneSchema, type TaskRow, taskSchema } from './board'
import { type CrewResponse, deviceSchema, ownPinSchema, pinSignInSchema, type TrustedDevice } from './change-of-hands'
import { customerChangeSchema, type CustomerRow, customerSchema, mergeSchema, reminderSchema } from './customers'
import type { DeviceShop } from './device-job'
import { eventRequestSchema, type EventResponse } from './event-request'
import { afterSchema, type JobResponse, openJobSchema, type SheetResponse } from './jobs'
import {
  type CalendarAddressRow,
  type CustomerSummary,
  type DueResponse,
  engineChangeSchema,
  findSchema,
  machineChangeSchema,
  type MachineListResponse,
  machineListSchema,
  type MachineResponse,
  type MachineRow,
  machineSchema,
  meterSchema,
  type NextTagResponse,
  ownerChangeSchema,
  pastVisitSchema,
  type PhotoRow,
  photoSchema,
  type ReminderResponse,
  weeksSchema,
} from './machines'
import { summarySchema } from './papers'
import {
  favouriteSetSchema,
  type OneTimeCode,
  ownLanguageSchema,
  ownPasswordSchema,
  ownSchema,
  type PersonRow,
  personSchema,
  roleSchema,
} from './people'
import { deviceNameSchema, type PhonesResponse } from './phones'
import { type PracticeResponse, practiceRunSchema } from './practice'
import { handsSchema, keepJobSchema, quickJobSchema } from './quick-jobs'
import { codeSchema, type SessionResponse, signInSchema } from './session'
import {
  adapterChangeSchema,
  adapterRequestSchema,
  bladeSetChangeSchema,
  bladeSetRequestSchema,
  type BladeSetRow,
  type ShelfResponse,
  shimRequestSchema,
  wrenchChangeSchema,
  wrenchRequestSchema,
} from './shelf'
import { setupSchema, shopChangeSchema } from './shop'
import { logQuerySchema, type LogResponse } from './shop-log'
import { newShopSchema, type ShopHere, shopLimitsSchema, type WayIn } from './shops'
import {
  acceptImportSchema,
  type Affected,
  answerRowSchema,
  approvalSchema,
  draftSchema,
  identityChangeSchema,
  type ImportResponse,
  type ImportRow,
  importRowsSchema,
  type ModelResponse,
  type ModelRow,
  modelSchema,
  readImportSchema,
  type RevisionRow,
  type SearchResponse,
  searchSchema,
  sendBackSchema,
  uploadSchema,
} from './spec-book'
import { type ApiTokenRow, tokenSchema } from './tokens'

/**
 * What is asked and answered at one address. `response` is a type alone: what the server gives is checked when it is
 * compiled.
 */
export interface Route<Query extends ZodType | null, Body extends ZodType | null, Response> {
  query: Query
  body: Body
  response: Response
}
/** Nothing to tell but that it is done. */
export interface Done {
  ok: true
}

const answers =
  <Response>() =>
  <Query extends ZodType | null = null, Body extends ZodType | null = null>({
    query = null as Query,
    body = null as Body,
  }: { query?: Query; body?: Body } = {}): Route<Query, Body, Response> =>
    ({ query, body }) as Route<Query, Body, Response>

/**
 * All that browser and server say to each other in JSON, by method and path. Routes are made with a line of this and
 * checked against it; the browser calls by the same line. Files, photos and the live stream are not JSON and have
 * routes of their own.
 */
export const API = {
  'POST /api/adapters': answers<{ id: number }>()({ body: adapterRequestSchema }),
  'PUT /api/adapters/:id': answers<Done>()({ body: adapterChangeSchema }),
  'DELETE /api/adapters/:id': answers<Done>()(),
  'GET /api/backups': answers<BackupsResponse>()(),
  'POST /api/backups': answers<Done>()({ body: backupSchema }),
  'GET /api/bay': answers<BayResponse>()(),
  'GET /api/blade-sets': answers<BladeSetRow[]>()(),
  'POST /api/blade-sets': answers<{ id: number }>()({ body: bladeSetRequestSchema }),
  'PUT /api/blade-sets/:id': answers<Done>()({ body: bladeSetChangeSchema }),
  'DELETE /api/blade-sets/:id': answers<Done>()(),
  'GET /api/calendar-addresses': answers<CalendarAddressRow[]>()(),
  'POST /api/calendar-addresses': answers<{ id: number; path: string }>()(),
  'DELETE /api/calendar-addresses/:id': answers<Done>()(),
  'GET /api/customers': answers<CustomerRow[]>()(),
  'POST /api/customers': answers<CustomerRow>()({ body: customerSchema }),
  'PUT /api/customers/:id': answers<CustomerRow>()({ body: customerChangeSchema }),
  'DELETE /api/customers/:id': answers<Done>()(),
  'POST /api/customers/:id/erase': answers<Done>()(),
  'POST /api/customers/:id/merge': answers<CustomerRow>()({ body: mergeSchema }),
  'GET /api/customers/:id/reminder': answers<ReminderResponse>()({ query: weeksSchema }),
  'GET /api/customers/:id/summary': answers<CustomerSummary>()({ query: summarySchema }),
  'GET /api/device-shop': answers<DeviceShop>()(),
  'GET /api/due': answers<DueResponse>()({ query: weeksSchema }),
  'PUT /api/favourite-set': answers<Done>()({ body: favouriteSetSchema }),
  'PUT /api/pin': answers<Done>()({ body: ownPinSchema }),
  'GET /api/crew': answers<CrewResponse>()(),
  'GET /api/devices': answers<TrustedDevice[]>()(),
  'POST /api/devices': answers<Done>()({ body: deviceSchema }),
  'DELETE /api/devices/:id': answers<Done>()(),
  'POST /api/session/pin': answers<SessionResponse>()({ body: pinSignInSchema }),
  'PUT /api/hands': answers<Done>()({ body: handsSchema }),
  'PUT /api/language': answers<Done>()({ body: ownLanguageSchema }),
  'GET /api/health/live': answers<{ status: string }>()(),
  'GET /api/health/ready': answers<{ status: 'ready' }>()(),
  'POST /api/jobs': answers<{ id: number }>()({ body: openJobSchema }),
  'POST /api/jobs/quick': answers<{ id: number }>()({ body: quickJobSchema }),
  'POST /api/jobs/:id/keep': answers<{ machineId: number }>()({ body: keepJobSchema }),
  'GET /api/jobs/:id': answers<JobResponse>()({ query: afterSchema }),
  'POST /api/jobs/:id/events': answers<EventResponse>()({ body: eventRequestSchema }),
  'GET /api/jobs/:id/newer-spec': answers<{ newer: RevisionRow | null }>()(),
  'PUT /api/jobs/:id/place': answers<Done>()({ body: boardPlaceSchema }),
  'GET /api/jobs/:id/sheet': answers<SheetResponse>()(),
  'POST /api/jobs/:id/tasks': answers<TaskRow>()({ body: taskSchema }),
  'GET /api/machines': answers<MachineRow[]>()({ query: findSchema }),
  'GET /api/next-tag': answers<NextTagResponse>()(),
  'POST /api/machines': answers<MachineRow>()({ body: machineSchema }),
  'GET /api/machines/list': answers<MachineListResponse>()({ query: machineListSchema }),
  'GET /api/machines/:id': answers<MachineResponse>()(),
  'PUT /api/machines/:id': answers<MachineRow>()({ body: machineChangeSchema }),
  'POST /api/machines/:id/engine': answers<MachineRow>()({ body: engineChangeSchema }),
  'POST /api/machines/:id/merge': answers<MachineRow>()({ body: mergeSchema }),
  'POST /api/machines/:id/meter': answers<MachineRow>()({ body: meterSchema }),
  'POST /api/machines/:id/owner': answers<MachineRow>()({ body: ownerChangeSchema }),
  'GET /api/machines/:id/photos': answers<PhotoRow[]>()(),
  'POST /api/machines/:id/photos': answers<PhotoRow>()({ query: photoSchema }),
  'POST /api/machines/:id/visits': answers<MachineRow>()({ body: pastVisitSchema }),
  'GET /api/models': answers<SearchResponse>()({ query: searchSchema }),
  'POST /api/models': answers<ModelRow>()({ body: modelSchema }),
  'GET /api/models/:id': answers<ModelResponse>()(),
  'PUT /api/models/:id': answers<ModelRow>()({ body: identityChangeSchema }),
  'POST /api/models/:id/drafts': answers<RevisionRow>()({ body: draftSchema }),
  'GET /api/people': answers<PersonRow[]>()(),
  'POST /api/people': answers<{ id: number }>()({ body: personSchema }),
  'PUT /api/people/:id': answers<Done>()({ body: roleSchema }),
  'DELETE /api/people/:id': answers<Done>()(),
  'POST /api/people/:id/back': answers<Done>()(),
  'POST /api/people/:id/code': answers<OneTimeCode>()(),
  'POST /api/people/:id/sign-out': answers<Done>()(),
  'PUT /api/me': answers<Done>()({ body: ownSchema }),
  'PUT /api/me/password': answers<Done>()({ body: ownPasswordSchema }),
  'POST /api/session/code': answers<SessionResponse>()({ body: codeSchema }),
  'GET /api/log': answers<LogResponse>()({ query: logQuerySchema }),
  'POST /api/jobs/:id/photos': answers<PhotoRow>()(),
  'DELETE /api/photos/:id': answers<Done>()(),
  'GET /api/phones': answers<PhonesResponse>()(),
  'PUT /api/signed-in/:device': answers<Done>()({ body: deviceNameSchema }),
  'DELETE /api/signed-in/:device': answers<Done>()(),
  'GET /api/practice': answers<PracticeResponse>()(),
  'POST /api/practice': answers<{ marked: Marked } & PracticeResponse>()({ body: practiceRunSchema }),
  'POST /api/reminders': answers<{ id: number; file: string | null }>()({ body: reminderSchema }),
  'GET /api/restore': answers<RestoreResponse>()(),
  'PUT /api/restore': answers<Done>()({ body: backupSchema }),
  'POST /api/revisions/:id/approve': answers<RevisionRow>()({ body: approvalSchema }),
  'GET /api/revisions/:id/effect': answers<Affected[]>()(),
  'POST /api/revisions/:id/page': answers<Done>()(),
  'POST /api/revisions/:id/send-back': answers<RevisionRow>()({ body: sendBackSchema }),
  'GET /api/session': answers<SessionResponse>()(),
  'POST /api/session': answers<SessionResponse>()({ body: signInSchema }),
  'DELETE /api/session': answers<{ signedOut: boolean }>()(),
  'GET /api/setup': answers<{ needed: boolean }>()(),
  'POST /api/setup': answers<SessionResponse>()({ body: setupSchema }),
  'GET /api/shelf': answers<ShelfResponse>()(),
  'PUT /api/shims': answers<Done>()({ body: shimRequestSchema }),
  'PUT /api/shop': answers<Done>()({ body: shopChangeSchema }),
  'GET /api/shops': answers<ShopHere[]>()(),
  'POST /api/shops': answers<WayIn>()({ body: newShopSchema }),
  'PUT /api/shops/:id': answers<Done>()({ body: shopLimitsSchema }),
  'POST /api/shops/:id/close': answers<Done>()(),
  'POST /api/shops/:id/code': answers<WayIn>()(),
  'POST /api/shops/:id/reopen': answers<Done>()(),
  'POST /api/spec-imports': answers<{ id: number }>()({ query: uploadSchema }),
  'GET /api/spec-imports/:id': answers<ImportResponse>()(),
  'POST /api/spec-imports/:id/accept': answers<ImportResponse>()({ body: acceptImportSchema }),
  'POST /api/spec-imports/:id/answer': answers<ImportRow>()({ body: answerRowSchema }),
  'POST /api/spec-imports/:id/cancel': answers<ImportResponse>()(),
  'POST /api/spec-imports/:id/delimiter': answers<ImportResponse>()({
    body: readImportSchema.pick({ delimiter: true }),
  }),
  'POST /api/spec-imports/:id/read': answers<ImportResponse>()({ body: readImportSchema }),
  'GET /api/spec-imports/:id/rows': answers<ImportRow[]>()({ query: importRowsSchema }),
  'GET /api/tags/:tag': answers<{ id: number }>()(),
  'PUT /api/tasks/:id': answers<TaskRow>()({ body: taskDoneSchema }),
  'DELETE /api/tasks/:id': answers<Done>()(),
  'GET /api/tokens': answers<ApiTokenRow[]>()(),
  'POST /api/tokens': answers<{ id: number; token: string }>()({ body: tokenSchema }),
  'DELETE /api/tokens/:id': answers<Done>()(),
  'GET /api/v1/openapi.json': answers<object>()(),
  'POST /api/wrenches': answers<{ id: number }>()({ body: wrenchRequestSchema }),
  'PUT /api/wrenches/:id': answers<Done>()({ body: wrenchChangeSchema }),
  'DELETE /api/wrenches/:id': answers<Done>()(),
} as const

type Api = typeof API
export type ApiKey = keyof Api
export type ResponseOf<K extends ApiKey> = Api[K]['response']
/** A body as it is sent, and as the server has it once it was parsed. */
export type BodySent<K extends ApiKey> = Api[K]['body'] extends ZodType ? z.input<Api[K]['body']> : undefined
export type BodyTaken<K extends ApiKey> = Api[K]['body'] extends ZodType ? z.output<Api[K]['body']> : undefined
export type QuerySent<K extends ApiKey> = Api[K]['query'] extends ZodType ? z.input<Api[K]['query']> : undefined
export type QueryTaken<K extends ApiKey> = Api[K]['query'] extends ZodType ? z.output<Api[K]['query']> : undefined

/** The names in a path: “id” of “/api/jobs/:id”. */
type NamesIn<Path extends string> = Path extends `${string}:${infer Name}/${infer Rest}`
  ? Name | NamesIn<Rest>
  : Path extends `${string}:${infer Name}`
    ? Name
    : never
export type ParamsOf<K extends ApiKey> = K extends `${string} ${infer Path}` ? NamesIn<Path> : never

/** A form as it stands: fields may still be empty, and the server says in words what is missing. */
export type Unfinished<T> = T extends readonly (infer Item)[]
  ? Unfinished<Item>[]
  : T extends object
    ? { [Field in keyof T]: Unfinished<T[Field]> | null | undefined }
    : T
