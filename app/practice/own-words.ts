import { cylinderById, type Engine, valveById } from '~~/core/engine'
import type { AnswerKey, Happening } from '~~/core/job'
import type { Observation } from '~~/core/position'
import type { PracticePanel } from './panel'
import type { Tool } from '../composables/usePractice'

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
          `${m.letter} is at the pointer`,
          m.kind === 'top' ? 'seen in the window' : 'seen in the window, not the top',
          crank(turnedDeg, { kind: 'seen', place: { kind: 'mark', markIndex } }),
        ),
      )
    : []
  return [
    ...marks,
    key('I lost track', 'turned and did not look', { type: 'crank', payload: { observations: [{ kind: 'lost' }] } }),
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
  const cylinder = engine.cylinders.length > 1 ? `${cylinderById(engine, valve.cylinderId).name}: ` : ''
  const proved =
    sinceLockDeg >= 630
      ? [
          key('Two full turns made', 'by hand, after the last lock', {
            type: 'prove-turned',
            payload: { turns: 2, to: null },
          }),
        ]
      : []
  switch (tool) {
    case 'crank':
    case 'window':
      return {
        label: 'Crank',
        instruction: 'Turn it, and say what shows',
        why: 'Each thing said goes into the log as on the Bench.',
        keys: [...placeKeys(engine, turnedDeg, window), ...proved].slice(0, 6),
      }
    case 'rockers':
      return {
        label: `${valve.name} rocker`,
        instruction: `Wiggle it, and say what you feel`,
        why: 'Both slack at the top: compression. The overlap top holds both.',
        keys: [
          key('Slack', 'it clicks', crank(turnedDeg, { kind: 'rocker', valveId, slack: true })),
          key('No play', 'it does not move', crank(turnedDeg, { kind: 'rocker', valveId, slack: false })),
        ],
      }
    case 'rod':
      return {
        label: `${cylinder}soft rod`,
        instruction: rod ? 'Lower it, and say where the piston is' : 'No rod on this level',
        why: 'Wood or plastic, never steel. It tops twice in a cycle.',
        keys: rod
          ? [
              key(
                'At its top',
                'it rises no further',
                crank(turnedDeg, { kind: 'seen', place: { kind: 'piston-top', cylinderId: valve.cylinderId } }),
              ),
              ...(downMm >= 1
                ? [
                    key(
                      `${Math.round(downMm)} mm past its top`,
                      'going down',
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
        label: `${valve.name} screw`,
        instruction: `Work the ${name} nut and screw`,
        why: 'A screw holds only when its nut is locked. Then slide a blade again.',
        keys: [],
      }
    case 'blade':
      return {
        label: `${valve.name}, blade in hand`,
        instruction: `Slide it in, and name the feel`,
        why: 'Once the blades have told enough, call the valve.',
        keys: [],
      }
  }
}
