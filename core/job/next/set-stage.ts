import type { ScrewTurn } from '../../adjuster'
import type { Aim } from '../aim'
import type { ValveState } from '../state'
import type { Worded } from './thing'

/** The picture of a screw and its nut, with what is asked of them. Degrees clockwise. */
export const screwStage = (
  valve: ValveState,
  aim: Aim,
  stage: 'loosen' | 'before lock' | 'nip' | 'torque',
  turn: ScrewTurn | null = null,
  askedDeg: number | null = null,
): Worded['stage'] => ({ kind: 'screw', valveId: valve.valveId, aim, turn, askedDeg, stage })
