import { z } from 'zod'

/**
 * The schema package, set up before the first schema is made: in a browser it compiles none, for our policy there
 * forbids `eval`, and the package's probe for it would be reported on every page. Everything takes `z` from here.
 */
z.config({ jitless: 'document' in globalThis || 'WorkerGlobalScope' in globalThis })
export { z }
