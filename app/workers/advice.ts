import { expose } from 'comlink'
import type { Engine } from '~~/core/engine'
import {
  type Advice,
  adviseBySearch,
  locate,
  locateMemory,
  type Noted,
  type PositionModel,
  positionModel,
} from '~~/core/position'
import type { School } from '~~/core/stops'

/** What is to be weighed: an engine, how its stops are planned, and all that was observed. */
export interface AdviceRequest {
  engine: Engine
  school: School
  oneAtATime: boolean
  noted: Noted[]
  tightBy: number
}

let last: { key: string; model: PositionModel; memory: ReturnType<typeof locateMemory> } | null = null

/** Weighs the moves apart from the page, so that no frame waits for it. */
function advise({ engine, school, oneAtATime, noted, tightBy }: AdviceRequest): Advice {
  const key = JSON.stringify([engine, school, oneAtATime, tightBy])
  if (last?.key !== key)
    last = { key, model: positionModel(engine, school, oneAtATime, tightBy), memory: locateMemory() }
  const { model, memory } = last
  return adviseBySearch(model, locate(model, noted, { memory }), noted)
}

export type AdviceWorker = typeof advise
expose(advise)
