import type { SafeThing } from '../../core/access'
import type { Adjuster, Engine, Heads, MeasuredAt, Role } from '../../core/engine'
import type { IdentityField } from '../../core/exchange'
import type { Tell, Text } from '../../core/said'
import type { SpecLineId } from '../../core/spec-book'
import { capital, count } from './grammar'

/** What a model is known by. */
const OF_MODEL: Record<IdentityField, string> = {
  key: 'Key in the book',
  maker: 'Maker',
  model: 'Model',
  code: 'Engine code',
  kind: 'Kind of machine',
  family: 'Family',
  displacementCc: 'Displacement, cm³',
  yearFrom: 'Built from',
  yearTo: 'Built until',
}
const NAMES: Record<SpecLineId, string> = {
  'intake': 'Intake',
  'exhaust': 'Exhaust',
  'intake-also': 'Intake also printed',
  'exhaust-also': 'Exhaust also printed',
  'others': 'Other figures',
  'cold': 'Cold limit',
  'locknut': 'Locknut',
  'cover': 'Cover',
  'plug': 'Spark plug',
  'screw': 'Screw',
  'shim': 'Shims',
  'cylinders': 'Cylinders',
  'crank': 'Bore, stroke',
  'rod': 'Con-rod',
  'cam': 'Cam',
  'decompressor': 'Decompressor',
  'measured-at': 'Measured',
  'marks': 'Marks',
  'signs': 'Cam signs',
  'stops': 'Maker’s stops',
  'turning': 'Turning',
  'strip': 'Comes off first',
  'parts': 'Comes off',
  'safe': 'Made safe first',
  'heads': 'Heads',
  'old': 'Do not use',
  'gasket': 'Gasket',
  'pattern': 'Cover bolts',
  'tools': 'Tools',
  'gap': 'Plug gap',
  'interval': 'Check every',
}
const SCREWS: Record<Adjuster['kind'], string> = {
  'valve-end': 'at the valve',
  'pushrod-end': 'at the push-rod',
  'pivot-nut': 'pivot nut',
}
const way = (deg: number, verb: string, sooner: string, later: string): string =>
  deg === 0 ? '' : `${verb} ${Math.abs(deg)}° ${deg > 0 ? later : sooner}`

/** A spec line by line: what each is called, and what it says beside figures. */
export const specLines = {
  'spec-line': ({ id }: { id: SpecLineId }) => NAMES[id],
  'spec-line.of-model': ({ field }: { field: IdentityField }) => OF_MODEL[field],
  'spec-says.printed': ({ text, sub }: { text: string; sub: string }) => `printed ${text}${sub ? `, ${sub}` : ''}`,
  'spec-says.none': 'none',
  'spec-says.plug-life': ({ use, months }: { use: number | null; months: number | null }) =>
    `new every ${[use, months !== null && count(months, 'month')].filter(Boolean).join(' or ')}`,
  'spec-says.not-known': 'not known',
  'spec-says.all-cylinders': 'all cylinders',
  'spec-says.others': ({ figures }: { figures: { role: Role; figure: string }[] }) =>
    figures.map(({ role, figure }) => `${role} ${figure}`).join(', '),
  'spec-says.made-safe': ({ things }: { things: readonly SafeThing[] }) =>
    things
      .map(
        t =>
          ({
            'stand': 'stand',
            'gear': 'gear',
            'key': 'key',
            'blade': 'blade or PTO',
            'fuel': 'fuel',
            'battery': 'battery',
            'plug lead': 'plug lead',
            'recoil': 'recoil',
            'hoses': 'hoses',
          })[t],
      )
      .join(', '),
  'spec-says.heads': ({ layout, angleDeg, intakeSide }: Heads) =>
    `${layout}${angleDeg ? ` ${angleDeg}°` : ''}, intakes ${intakeSide}`,
  'spec-says.set-hot': 'Set hot',
  'spec-says.at-the-head': ({ limitF }: { limitF: number }) => `${limitF} °F, at the head`,
  'spec-says.pitch': ({ pitchMm, assumed }: { pitchMm: number; assumed: boolean }) =>
    `pitch ${pitchMm} mm${assumed ? ', assumed' : ''}`,
  'spec-says.screw': ({ head, kind, rockerRatio, lockedBy, headMm, nutMm }: Adjuster) =>
    [
      headMm ? `${headMm} mm ${head}` : head,
      kind === 'pivot-nut' && lockedBy
        ? `pivot nut held by ${lockedBy === 'own grip' ? 'its own grip' : `a ${lockedBy}`}`
        : SCREWS[kind],
      nutMm ? `${nutMm} mm nut` : '',
      rockerRatio === 1 ? '' : `rocker ratio ${rockerRatio}`,
    ]
      .filter(Boolean)
      .join(', '),
  'spec-says.across': ({ diameterMm }: { diameterMm: number }) => `${diameterMm} mm across`,
  'spec-says.steps': ({ stepMm }: { stepMm: number }) => `in steps of ${stepMm} mm`,
  'spec-says.valves': ({ count, layout }: { count: number; layout: Engine['layout'] }) => `${count} valves, ${layout}`,
  'spec-says.check-lift': ({ liftMm }: { liftMm: number | null }) =>
    liftMm === null ? 'at the seat' : `at ${liftMm} mm`,
  'spec-says.holds': ({ fromDeg, toDeg }: { fromDeg: number; toDeg: number }) => `holds ${fromDeg}° to ${toDeg}°`,
  'spec-says.measured-at': ({ at }: { at: MeasuredAt }) =>
    at.kind === 'past top'
      ? `${at.dropMm} mm past top`
      : {
          'not said': 'the source doesn’t say where',
          'top': 'at the top mark',
          'makers stops': 'at the maker’s stops',
        }[at.kind],
  'spec-says.turning': ({ clockwise, from }: { clockwise: boolean; from: string }) =>
    `${clockwise ? 'clockwise' : 'counterclockwise'}, seen from ${from}`,
  'spec-says.turned-by': ({ means }: { means: string }) => `by ${means}`,
  'spec-says.interval': ({ use, months, first }: Record<'use' | 'months' | 'first', number | null>) =>
    [use === null ? '' : `${use.toLocaleString('en-US')} on the meter`, months === null ? '' : count(months, 'month')]
      .filter(Boolean)
      .join(' or ') + (first ? `, first after ${first.toLocaleString('en-US')}` : ''),
  'spec-note.moved': ({ mm, looser }: { mm: string; looser: boolean }) => `${mm} mm ${looser ? 'looser' : 'tighter'}`,
  'spec-note.same-middle': ({ narrower }: { narrower: boolean }) =>
    `the same middle, ${narrower ? 'narrower' : 'wider'}`,
  'spec-note.by': ({ by, unit, more }: { by: number; unit: string; more: boolean }) =>
    `${by} ${unit} ${more ? 'more' : 'less'}`,
  'spec-change.line': ({ line, before, after }: Record<'line' | 'before' | 'after', Text>, tell: Tell) =>
    `${tell(line)}: ${tell(before)} → ${tell(after)}`,

  'firing.single': 'single',
  'firing.twin': ({ apartDeg }: { apartDeg: number }) =>
    apartDeg === 270 ? '270° twin or 90° V' : `${apartDeg}° twin`,
  'firing.several': ({ count, gapsDeg }: { count: number; gapsDeg: number[] }) =>
    `${count === 3 ? 'three' : 'four'}, firing ${gapsDeg.map(deg => `${deg}°`).join(', ')} apart`,

  'gap-effect.shut': 'It doesn’t open at all.',
  'gap-effect.right': 'It opens, closes and lifts as it should.',
  'gap-effect': ({ lateDeg, earlyDeg, liftMm }: Record<'lateDeg' | 'earlyDeg' | 'liftMm', number>) =>
    capital(
      [
        way(lateDeg, 'opens', 'early', 'late'),
        way(-earlyDeg, 'closes', 'early', 'late'),
        Math.abs(liftMm) < 0.01 ? '' : `lifts ${Math.abs(liftMm).toFixed(2)} mm ${liftMm > 0 ? 'more' : 'less'}`,
      ]
        .filter(Boolean)
        .join(', '),
    ) + '.',
}
