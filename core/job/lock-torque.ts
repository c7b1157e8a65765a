import { torqueOn, wrenchSetting } from '../torque'
import { formatTorque } from '../units'
import type { GapChange } from './gap-change'
import type { JobView } from './view'

type TorquedBy = NonNullable<Extract<GapChange, { kind: 'torqued' }>['by']>

/** What to say and to record of the torque of a locknut: by the spec, and by the wrench and adapter in hand. */
export interface LockTorque {
  instruction: string
  why: string
  by: TorquedBy | null
}

const dateOf = (ms: number): string => new Date(ms).toISOString().slice(0, 10)

/** The wrench and the adapter that this job has in hand, from the pinned shelf. */
export function wrenchInHand({ pin, state }: Pick<JobView, 'pin' | 'state'>) {
  const wrench = pin.wrenches.find(w => w.name === state.wrench?.wrench) ?? null
  return { wrench, adapter: wrench && (pin.adapters.find(a => a.name === state.wrench?.adapter) ?? null) }
}

/** What a wrench of the shelf would be set to for a torque, and what is wrong with it. */
export function settingOn(
  view: Pick<JobView, 'pin' | 'nowMs'>,
  torqueNm: number,
  wrenchName: string,
  adapterName: string | null,
): { words: string; by: TorquedBy; refused: string | null } | null {
  const wrench = view.pin.wrenches.find(w => w.name === wrenchName)
  const adapter = view.pin.adapters.find(a => a.name === adapterName) ?? null
  if (!wrench) return null
  const { settingNm, doubts } = wrenchSetting(torqueNm, wrench, adapter, dateOf(view.nowMs))
  return {
    words: torqueOn(settingNm, wrench.unit),
    by: {
      wrench: wrench.name,
      adapter: adapter?.name ?? null,
      settingNm: Math.max(0.01, Math.round(settingNm * 100) / 100),
      doubts: doubts.map(d => d.words),
    },
    // out of its scale or past its hinge it cannot be set at all; out of date it can, and the sheet says so
    refused: doubts.find(d => d.kind !== 'calibration')?.words ?? null,
  }
}

export function lockTorque(view: JobView): LockTorque {
  const nm = view.pin.spec.engine.torques.locknutNm
  if (nm === null)
    return { instruction: '', why: 'The spec gives no torque: tighten it firmly, screw held still.', by: null }
  const instruction = ` to ${Number(nm.toFixed(1))} N·m`
  const { wrench, adapter } = wrenchInHand(view)
  const setting = wrench && settingOn(view, nm, wrench.name, adapter?.name ?? null)
  if (!wrench || !setting) return { instruction, why: `${formatTorque(nm)}.`, by: null }
  const how = adapter
    ? `Set ${wrench.name} to ${setting.words}: ${adapter.name} is in line.`
    : `${formatTorque(nm)}, ${wrench.name} at ${setting.words}.`
  return { instruction, why: [how, ...setting.by.doubts].join(' '), by: setting.by }
}

/** Where the blade is while the nut is pulled. A pinched one is ruined: common practice. */
export function bladeHabitWords({ pin, state }: Pick<JobView, 'pin' | 'state'>): string {
  switch (state.bladeHabit ?? pin.bladeHabit) {
    case 'in':
      return 'Leave the blade in while you pull: stop if it pinches.'
    case 'out':
    case 'out at torque':
      return 'Take the blade out while you pull: pinching ruins it.'
  }
}
