import { valveById } from '../engine'
import { limitsOf } from '../feeler'
import { clearanceOf, stopHere } from '../job'
import { say } from '../said'
import { type Judged, judged, type Mark, type MarkedStage, mmText, type ValveLeft } from './mark'
import { whereWords } from './mark-acts'
import { type PracticeRun, viewOf } from './run'
import { inSpecTruly } from './truth'
import { isTrulyClosed } from './virtual-engine'

const EFFECT = {
  loose: say('mark.effect.loose'),
  tight: { intake: say('mark.effect.tight-intake'), exhaust: say('mark.effect.tight-exhaust') },
  nut: say('mark.effect.nut'),
  in: say('mark.effect.in'),
}

/** How a valve was left, by the hidden engine itself. */
export function leftOf(run: PracticeRun, valveId: string): ValveLeft {
  const { virtual } = run.drawn
  const { name, role } = valveById(virtual.engine, valveId)
  const view = viewOf(run)
  const gapMm = virtual.gapMm[valveId]!
  const inSpec = inSpecTruly(view, valveId, gapMm, 0.005)
  const limits = limitsOf(clearanceOf(view.pin, valveId))
  const loose = limits !== null && gapMm > limits.maxMm
  const called = run.acts.findLast(a => a.kind === 'verdict' && a.valveId === valveId)
  const measured = view.state.valves.find(v => v.valveId === valveId)!.readings.some(r => r.trials.length > 0)
  return {
    valveId,
    name,
    gapMm,
    inSpec,
    believed: say('mark.believed', {
      what: called?.kind === 'verdict' ? called.verdict : measured ? 'measured' : 'not measured',
    }),
    measured: called !== undefined || measured,
    effect:
      virtual.nuts[valveId] !== 'locked' ? EFFECT.nut : inSpec ? EFFECT.in : loose ? EFFECT.loose : EFFECT.tight[role],
  }
}

/** Whether the stop that was found is one: its valves truly closed where the crank stands. */
export function foundMark(run: PracticeRun): Mark {
  const stop = stopHere(viewOf(run))
  const cylinderId = stop ? valveById(run.start.kind.engine, stop.valves[0]!.valveId).cylinderId : null
  const where = whereWords(run, cylinderId ?? run.start.kind.engine.cylinders[0]!.id)
  const isOne = stop?.valves.every(v => isTrulyClosed(run.drawn.virtual, v.valveId)) ?? false
  const said = say('mark.found', { what: stop ? (isOne ? 'found' : 'elsewhere') : 'not found' })
  return { act: null, stage: 'find', ...judged(isOne ? 'right' : 'wrong', said, where) }
}

/** What stands against the run at its end, whatever was done on the way. */
export function endMarks(run: PracticeRun, valves: ValveLeft[]): Mark[] {
  const { virtual } = run.drawn
  const end = (stage: MarkedStage, mark: Judged): Mark => ({ act: null, stage, ...mark })
  return valves
    .flatMap(left => {
      if (virtual.nuts[left.valveId] !== 'locked')
        return [end('set', judged('dangerous', say('mark.left-loose', { valve: left.name }), EFFECT.nut))]
      const found = !left.measured
        ? [
            end(
              'measure',
              judged(
                'wrong',
                say('mark.never-measured', { valve: left.name }),
                say('mark.stands', { gap: mmText(left.gapMm) }),
              ),
            ),
          ]
        : []
      return [
        ...found,
        end(
          'set',
          left.inSpec
            ? judged('right', say('mark.left', { valve: left.name, inSpec: true }), mmText(left.gapMm))
            : judged('wrong', say('mark.left', { valve: left.name, inSpec: false }), [
                `${mmText(left.gapMm)}.`,
                left.effect,
              ]),
        ),
      ]
    })
    .concat(
      run.acts.some(a => a.kind === 'said' && a.type === 'prove-turned')
        ? []
        : [end('prove', judged('wrong', say('mark.not-proved'), say('mark.prove')))],
    )
}
