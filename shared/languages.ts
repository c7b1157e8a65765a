import { z } from '../core/zod'

/** The languages that Wembric speaks, each by its own name. */
export const LANGUAGES = { en: 'English', es: 'Español' } as const
export type Language = keyof typeof LANGUAGES
export const languageSchema = z.enum(Object.keys(LANGUAGES) as [Language, ...Language[]])
