import { z } from '../core/zod'

/** What a page showed when a form was begun, field by field: as the record had it, which no schema need allow today. */
const was = z.record(z.string(), z.unknown()).optional()
export type Was = z.infer<typeof was>

/** A record as it should be, with what it was made from where that was seen. */
export const changeOf = <T extends z.ZodType>(record: T) => z.intersection(record, z.object({ was }))
