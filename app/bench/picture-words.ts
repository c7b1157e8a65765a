import type { Engine } from '~~/core/engine'
import type { Verdict } from '~~/core/feeler'
import type { BeliefArc } from '~~/core/position'
import type { Stop } from '~~/core/stops'
import { formatLength } from '~~/core/units'
import { named, t, tell } from '../words'
import type { SlotTry } from './slot-tries'

/** What the pictures of the Bench show, in words for who does not see them. */

const deg = (angle: number): string => `${Math.round(((angle % 720) + 720) % 720)}°`
/** A place less likely than this is not drawn either. */
const DRAWN_FROM = 0.02

/** The cycle wheel: every place where the crank may be with its chance, and the stop. */
export function wheelWords(arcs: readonly BeliefArc[], stop: Stop | null, atStop: boolean): string {
  const likely = arcs.filter(a => a.probability > DRAWN_FROM)
  const places = likely.map(a =>
    t('picture.place', {
      deg: deg(a.peakDeg),
      name: tell(a.name),
      percent: likely.length > 1 ? Math.round(a.probability * 100) : null,
    }),
  )
  return [
    t('picture.wheel', { places }),
    ...(atStop ? [t('picture.at-stop')] : stop ? [t('picture.stop-at', { deg: deg(stop.crankDeg) })] : []),
  ].join(' ')
}

/** The head from above: which valves lie on which side, from left to right. */
export function headWords({ valves }: Pick<Engine, 'valves'>): string {
  const side = (isNear: boolean): string =>
    [...valves]
      .filter(v => v.headY > 0.5 === isNear)
      .sort((a, b) => a.headX - b.headX)
      .map(v => named(v.name))
      .join(', ')
  return t('head-map.from-above', { muffler: side(false), carburetor: side(true) })
}

/** A clearance on the rule: the limits, the aim, what was tried, and what that comes to. */
export function ruleWords(shown: {
  minMm: number
  maxMm: number
  targetMm: number
  reading: { loMm: number; hiMm: number | null } | null
  verdict: Verdict | 'not measured'
  trials?: readonly { mm: number; feel: 'free' | 'drag' | 'pinched' | 'no-go' }[]
}): string {
  const mm = (value: number) => formatLength(value, 'mm')
  const { reading, verdict } = shown
  return [
    shown.maxMm > shown.minMm
      ? t('picture.limits', { minMm: mm(shown.minMm), maxMm: mm(shown.maxMm), targetMm: mm(shown.targetMm) })
      : t('picture.bare', { targetMm: mm(shown.targetMm) }),
    ...(shown.trials?.length
      ? [
          t('picture.tried', {
            trials: shown.trials.map(({ mm: of, feel }) => `${mm(of)} ${t(`feel.${feel}`).toLowerCase()}`).join(', '),
          }),
        ]
      : []),
    reading && (reading.loMm > 0 || reading.hiMm !== null)
      ? t('picture.reading', {
          loMm: mm(reading.loMm),
          hiMm: reading.hiMm === null ? null : mm(reading.hiMm),
          verdict: verdict === 'not measured' ? '' : t(`verdict-words.${verdict}`).toLowerCase(),
        })
      : t('gap-picture.gap-not-measured') + '.',
  ].join(' ')
}

/** The screw's slot as a clock: where it points, what was tried where, and where the answer lies. */
export function slotWords(shown: {
  slotDeg: number
  turnDeg: number | null
  tries: readonly SlotTry[]
  bracket: { fromDeg: number; toDeg: number } | null
}): string {
  const clock = (angle: number) => `${Math.round(((angle % 360) + 360) % 360)}°`
  return [
    t('picture.slot', { at: clock(shown.slotDeg) }),
    ...(shown.turnDeg === null
      ? []
      : [
          t('picture.turn', {
            deg: Math.abs(shown.turnDeg),
            way: shown.turnDeg > 0 ? t('runs.clockwise') : t('runs.anticlockwise'),
          }),
        ]),
    ...shown.tries.map(tried => t('picture.slot-tried', { at: clock(tried.deg), words: tried.words })),
    ...(shown.bracket
      ? [t('picture.between', { from: clock(shown.bracket.fromDeg), to: clock(shown.bracket.toDeg) })]
      : []),
  ].join(' ')
}
