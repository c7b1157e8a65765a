import { threadText } from '../adjuster'
import { type Engine, type MeasuredField, ROLES, type Valve } from '../engine'
import { camMarksText, marksText } from './mark-text'
import type { SpecText } from './spec-fields'
import { cylindersText, otherFiguresText, stopsText, supersededText } from './spec-text'

const figure = (value: number | null | undefined): string =>
  value === null || value === undefined ? '' : String(value)

/** The fields that say an engine, as far as plain fields can. */
export function specText(engine: Engine): SpecText {
  const { clearance, cam, decompressor, adjuster, torques, valves } = engine
  const by = (role: Valve['role']) => valves.find(v => v.role === role)?.adjuster ?? 'screw'
  const measured = (field: MeasuredField, value: number | null | undefined): string =>
    engine.printed?.[field] ?? figure(value)
  const mostOfOne = Math.max(
    ...engine.cylinders.flatMap(c =>
      ROLES.map(role => valves.filter(v => v.cylinderId === c.id && v.role === role).length),
    ),
  )
  return {
    source: engine.source,
    sourceDate: engine.sourceDate,
    unit: clearance.intake.unit,
    intake: clearance.intake.text,
    exhaust: clearance.exhaust.text,
    intakeAlso: engine.alsoPrinted.intake?.text ?? '',
    exhaustAlso: engine.alsoPrinted.exhaust?.text ?? '',
    others: otherFiguresText(engine.otherClearances),
    superseded: supersededText(engine.superseded ?? []),
    setWhen: engine.setWhen,
    coldLimit: measured('coldLimit', engine.coldLimitC),
    bore: measured('bore', engine.boreMm),
    stroke: engine.assumed?.includes('stroke') ? '' : measured('stroke', engine.strokeMm),
    rod: measured('rod', engine.rodMm),
    layout: engine.layout,
    cylinders: cylindersText(engine.cylinders),
    valves: mostOfOne > 1 ? '4' : '2',
    intakeBy: by('intake'),
    exhaustBy: by('exhaust'),
    shimDiameter: measured('shimDiameter', engine.shim?.diameterMm),
    shimStep: measured('shimStep', engine.shim?.stepMm),
    checkLift: measured('checkLift', cam?.checkLiftMm),
    io: figure(cam?.intakeOpensBeforeTdcDeg),
    ic: figure(cam?.intakeClosesAfterBdcDeg),
    eo: figure(cam?.exhaustOpensBeforeBdcDeg),
    ec: figure(cam?.exhaustClosesAfterTdcDeg),
    decompressor: decompressor.kind,
    heldFrom: decompressor.kind === 'arc' ? figure(decompressor.fromDeg) : '',
    heldTo: decompressor.kind === 'arc' ? figure(decompressor.toDeg) : '',
    heldOn:
      decompressor.kind === 'arc' ? (engine.cylinders.find(c => c.id === decompressor.cylinderId)?.name ?? '') : '',
    measuredAt: engine.measuredAt.kind,
    measuredDrop: engine.measuredAt.kind === 'past top' ? measured('measuredDrop', engine.measuredAt.dropMm) : '',
    marks: marksText(engine.marks),
    markWindow: engine.markWindow,
    camMarks: camMarksText(engine.camMarks),
    stops: stopsText(engine),
    direction: engine.turning.direction,
    seenFrom: engine.assumed?.includes('seenFrom') ? '' : engine.turning.seenFrom,
    means: engine.assumed?.includes('means') ? '' : engine.turning.means,
    turnedWith: engine.turning.by ?? '',
    adjuster: adjuster.kind,
    head: adjuster.head,
    lockedBy: adjuster.lockedBy ?? '',
    headSize: figure(adjuster.headMm),
    nutSize: figure(adjuster.nutMm),
    pitch: adjuster.pitchAssumed ? '' : threadText(adjuster),
    ratio: figure(adjuster.rockerRatio),
    locknut: measured('locknut', torques.locknutNm),
    cover: measured('cover', torques.coverNm),
    plug: measured('plug', torques.plugNm),
    tools: engine.tools,
    plugGap: engine.plugGap,
    plugUse: figure(engine.plugLife?.use),
    plugMonths: figure(engine.plugLife?.months),
    coverPattern: engine.coverPattern,
    gasket: engine.gasket,
    stripDown: engine.stripDown.join('\n'),
    use: figure(engine.interval.use),
    months: figure(engine.interval.months),
    firstUse: figure(engine.interval.firstUse),
  }
}
