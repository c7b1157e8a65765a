import { z } from '../core/zod'

export type BackupKind = 'nightly' | 'asked' | 'upgrade'
export interface BackupFile {
  name: string
  kind: BackupKind
  madeAt: string
  bytes: number
  encrypted: boolean
}
export interface BackupsResponse {
  /** Where they lie, on the server. */
  folder: string
  files: BackupFile[]
  /** One that is being made: how far it is, as a share of 1. */
  running: { kind: BackupKind; part: number } | null
  /** Why the last one failed, in words; null where it did not. */
  failed: string | null
  nightly: boolean
}
/** How old the newest backup is, where a lead should hear of it. */
export type BackupAge = { days: number } | { none: true } | { future: true }

const LEAST_PASSWORD = 8
export const backupSchema = z.object({
  /** Empty: it is not encrypted. */
  password: z
    .string()
    .max(200)
    .refine(text => text === '' || text.length >= LEAST_PASSWORD, 'wrong.eight-characters-or-nothing'),
})

/** How far an empty server is with bringing a backup back. */
export type RestoreResponse =
  | { state: 'none' }
  | { state: 'running'; part: number }
  | { state: 'failed'; why: string }
  /** `lead` where the files of a shop came, which have no passwords: how its first lead chooses one. */
  | { state: 'done'; madeAt: string | null; lead: { signIn: string; code: string } | null }
