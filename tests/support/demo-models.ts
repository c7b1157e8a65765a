// The demo's models with their hidden engines, for tests of screens.
import { G30, HEDGEROW, MINNOW, PLOVER, RIDGE } from '../../server/demo/models/singles'
import { DUET, FALLOW, SPAN, SWITCH } from '../../server/demo/models/twins'

export { demoEngine } from '../../server/demo/demo-engine'
export const DEMO_MODELS = [HEDGEROW, G30, MINNOW, PLOVER, RIDGE, DUET, SWITCH, FALLOW, SPAN]
