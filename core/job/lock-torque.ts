import { type Said, say, type Text } from '../said'
import { scaleWords, torqueOn, wrenchSetting } from '../torque'
import type { GapChange } from './gap-change'
import type { JobView } from './view'

type TorquedBy = NonNullable<Extract<GapChange, { kind: 'torqued' }>['by']>

/** What to say and to record of the torque of a locknut: by the spec, and by the wrench and adapter in hand. */
export interface LockTorque {
  why: Text
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
): { words: string; by: TorquedBy; doubts: Said[]; refused: Said | null } | null {
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
      doubts: doubts.map(d => d.kind),
    },
    doubts: doubts.map(d => d.words),
    // out of its scale or past its hinge it cannot be set at all; out of date it can, and the sheet says so
    refused: doubts.find(d => d.kind !== 'calibration')?.words ?? null,
  }
}

/**
 * What to set the wrench to for the locknut.
 * @returns the setting with its scale, or in words why there is none
 */
export function lockTorque(view: JobView): LockTorque {
  const torqueNm = view.pin.spec.engine.torques.locknutNm
  if (torqueNm === null) return { why: say('set.torque.none'), by: null }
  const { wrench, adapter } = wrenchInHand(view)
  const setting = wrench && settingOn(view, torqueNm, wrench.name, adapter?.name ?? null)
  if (!wrench || !setting) return { why: say('set.torque.by-hand', { torqueNm }), by: null }
  const how = adapter
    ? say('set.torque.adapter', { wrench: wrench.name, adapter: adapter.name, at: setting.words })
    : say('set.torque.wrench', { torqueNm, wrench: wrench.name, at: setting.words })
  return { why: [how, ...setting.doubts], by: setting.by }
}

/**
 * What was wrong with the wrench that a nut was torqued with, as its event keeps it: its kind, or as earlier versions
 * kept it the sentence itself.
 */
export function doubtWords({ pin }: Pick<JobView, 'pin'>, by: TorquedBy, doubt: string): Text {
  const wrench = pin.wrenches.find(w => w.name === by.wrench)
  switch (doubt) {
    case 'adapter':
      return say('wrench.too-long', { adapter: by.adapter ?? '', wrench: by.wrench })
    case 'range':
      return say('wrench.off-scale', {
        settingNm: by.settingNm,
        under: wrench ? by.settingNm < wrench.leastNm : false,
        wrench: by.wrench,
        scale: wrench ? scaleWords(wrench) : '',
      })
    case 'calibration':
      return say('wrench.out-of-date', { wrench: by.wrench, date: wrench?.calibrationDue ?? '' })
    default:
      return doubt
  }
}

/** Where the blade is while the nut is pulled. A pinched one is ruined: common practice. */
export function bladeHabitWords({ pin, state }: Pick<JobView, 'pin' | 'state'>): Said {
  return (state.bladeHabit ?? pin.bladeHabit) === 'in' ? say('set.blade-in') : say('set.blade-out')
}
