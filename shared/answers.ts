import type { ApiKey, ResponseOf } from './api'
import type { ProblemBody } from './problem'

/** What the server gives, line by line of the API: the published description is made from this type. */
export type Answers = { [K in ApiKey | 'refused']: K extends ApiKey ? ResponseOf<K> : ProblemBody }
