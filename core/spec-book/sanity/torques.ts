import { threadText } from '../../adjuster'
import type { Engine } from '../../engine'
import { say } from '../../said'
import { NEWTON_METRES } from '../../units'
import { type Doubt, plain } from './doubt'

/** Proof stress of the weakest and strongest usual steel, MPa. Source: ISO 898-1, classes 4.8 and 12.9. */
const PROOF_MPA = { weakest: 310, strongest: 970 }
/**
 * Preload as part of the proof load, and the nut factor of T = K·d·F. Source: Shigley, Mechanical Engineering Design,
 * bolt preload.
 */
const PRELOAD = { least: 0.25, most: 0.75 }
const NUT_FACTOR = 0.2
/** The torques that a thread of steel can be meant to have, N·m. Stress area π/4·(d − 0.9382·P)² by ISO 898-1. */
export function threadTorques({ threadMm, pitchMm }: { threadMm: number; pitchMm: number }): {
  leastNm: number
  mostNm: number
} {
  const areaMm2 = (Math.PI / 4) * (threadMm - 0.9382 * pitchMm) ** 2
  const at = (share: number, proof: number) => ((NUT_FACTOR * threadMm) / 1000) * share * areaMm2 * proof
  return { leastNm: at(PRELOAD.least, PROOF_MPA.weakest), mostNm: at(PRELOAD.most, PROOF_MPA.strongest) }
}
/** Where the thread is not on record, and for covers and plugs: what such parts have, N·m. From memory. */
const USUAL_NM = {
  locknut: { leastNm: 3, mostNm: 35 },
  cover: { leastNm: 3, mostNm: 30 },
  plug: { leastNm: 6, mostNm: 45 },
}

/** Torques outside what the thread, or such a part, can be meant to have: often lbf·in read as N·m. */
export function torques({ torques, adjuster, valves }: Engine): Doubt[] {
  const { threadMm, pitchMm } = adjuster
  const nut =
    threadMm === null
      ? { ...USUAL_NM.locknut, thread: null }
      : { ...threadTorques({ threadMm, pitchMm }), thread: threadText({ threadMm, pitchMm }) }
  const asked = [
    ['locknut', valves.some(v => v.adjuster === 'screw') ? torques.locknutNm : null, nut],
    ['cover', torques.coverNm, { ...USUAL_NM.cover, thread: null }],
    ['plug', torques.plugNm, { ...USUAL_NM.plug, thread: null }],
  ] as const
  return asked.flatMap(([field, nm, { leastNm, mostNm, thread }]) => {
    if (nm === null || (nm >= leastNm && nm <= mostNm)) return []
    const meant = [
      [nm / 10, `${plain(nm / 10)} N·m`],
      [nm * 10, `${plain(nm * 10)} N·m`],
      [nm * NEWTON_METRES['lbf·in'], `${plain(nm)} lbf·in, ${plain(nm * NEWTON_METRES['lbf·in'], 1)} N·m`],
      [nm * NEWTON_METRES['lbf·ft'], `${plain(nm)} lbf·ft, ${plain(nm * NEWTON_METRES['lbf·ft'], 1)} N·m`],
    ] as const
    const fits = meant.filter(([v]) => v >= leastNm && v <= mostNm).map(([, words]) => words)
    return [
      {
        id: `torque:${field}:${nm}:${threadMm ?? ''}`,
        field,
        readings: [`${plain(nm)} N·m`, fits[0] ?? say('doubt.another-figure')] as Doubt['readings'],
        says: say('doubt.torque', {
          of: field,
          thread,
          nm: plain(nm),
          most: nm > mostNm ? plain(mostNm, 0) : null,
          least: plain(leastNm, 1),
          meant: [...fits],
        }),
      },
    ]
  })
}
