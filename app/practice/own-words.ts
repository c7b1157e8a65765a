import { cylinderById, type Engine, valveById } from '~~/core/engine'
import type { AnswerKey, Happening } from '~~/core/job'
import type { Observation } from '~~/core/position'
import type { Tool } from '../composables/usePractice'
import { named, t } from '../words'
import type { PracticePanel } from './panel'

const key = (title: string, help: string, happening: Happening): AnswerKey => ({ title, help, happening, asks: null })
const crank = (turnedDeg: number, ...observations: Observation[]): Happening => {
  const deg = Math.round(turnedDeg / 5) * 5
  return {
    type: 'crank',
    payload: {
      observations: [
        ...(deg === 0 ? [] : [{ kind: 'turn' as const, deg: Math.max(-720, Math.min(1440, deg)) }]),
        ...observations,
      ],
    },
  }
}

function placeKeys(engine: Engine, turnedDeg: number, window: boolean): AnswerKey[] {
  const marks = window
    ? engine.marks.map((m, markIndex) =>
        key(
          t('own-words.is-at-the-pointer', { letter: m.letter }),
          m.kind === 'top' ? t('own-words.seen-in-the-window') : t('own-words.seen-in-the-window-not'),
          crank(turnedDeg, { kind: 'seen', place: { kind: 'mark', markIndex } }),
        ),
      )
    : []
  return [
    ...marks,
    key(t('own-words.i-lost-track'), t('own-words.did-not-look'), {
      type: 'crank',
      payload: { observations: [{ kind: 'lost' }] },
    }),
  ]
}

/** The keys of one’s own words: what each tool lets one say. */
export function ownWords(
  engine: Engine,
  tool: Tool,
  valveId: string,
  {
    turnedDeg,
    sinceLockDeg,
    window,
    rod,
    downMm,
  }: { turnedDeg: number; sinceLockDeg: number; window: boolean; rod: boolean; downMm: number },
): PracticePanel {
  const valve = valveById(engine, valveId)
  const name = valve.name.toLowerCase()
  const cylinder = engine.cylinders.length > 1 ? `${named(cylinderById(engine, valve.cylinderId).name)}: ` : ''
  const proved =
    sinceLockDeg >= 630
      ? [
          key(t('own-words.two-full-turns-made'), t('own-words.by-hand'), {
            type: 'prove-turned',
            payload: { turns: 2, to: null },
          }),
        ]
      : []
  switch (tool) {
    case 'crank':
    case 'window':
      return {
        label: t('common.crank'),
        instruction: t('own-words.turn-it-and-say-what'),
        why: t('own-words.each-thing-said-goes-into'),
        keys: [...placeKeys(engine, turnedDeg, window), ...proved].slice(0, 6),
      }
    case 'rockers':
      return {
        label: t('own-words.rocker', { name: valve.name }),
        instruction: t('own-words.wiggle-it-and-say-what'),
        why: t('own-words.both-slack-at-the-top'),
        keys: [
          key(
            t('own-words.slack'),
            t('own-words.it-clicks'),
            crank(turnedDeg, { kind: 'rocker', valveId, slack: true }),
          ),
          key(
            t('own-words.no-play'),
            t('own-words.does-not-move'),
            crank(turnedDeg, { kind: 'rocker', valveId, slack: false }),
          ),
        ],
      }
    case 'rod':
      return {
        label: t('own-words.soft-rod', { cylinder }),
        instruction: rod ? t('own-words.lower-it-and-say-where') : t('own-words.no-rod-on-this-level'),
        why: t('own-words.wood-or-plastic-never-steel'),
        keys: rod
          ? [
              key(
                t('own-words.at-its-top'),
                t('own-words.no-further'),
                crank(turnedDeg, { kind: 'seen', place: { kind: 'piston-top', cylinderId: valve.cylinderId } }),
              ),
              ...(downMm >= 1
                ? [
                    key(
                      t('own-words.mm-past-its-top', { downMm: Math.round(downMm) }),
                      t('own-words.going-down'),
                      crank(turnedDeg, {
                        kind: 'seen',
                        place: { kind: 'rod-drop', cylinderId: valve.cylinderId, dropMm: Math.round(downMm) },
                      }),
                    ),
                  ]
                : []),
            ]
          : [],
      }
    case 'screw':
      return {
        label: t('own-words.screw', { name: valve.name }),
        instruction: t('own-words.work-the-nut-and-screw', { name }),
        why: t('own-words.a-screw-holds-only-when'),
        keys: [],
      }
    case 'blade':
      return {
        label: t('own-words.blade-in-hand', { name: valve.name }),
        instruction: t('own-words.slide-it-in-and-name'),
        why: t('own-words.once-the-blades-have-told'),
        keys: [],
      }
  }
}
