import type { Adjuster } from '../../core/engine'
import type { IdentityField } from '../../core/exchange'
import type { SpecLineId } from '../../core/spec-book'
import type { specLines as english } from '../en/spec-lines'
import type { Words } from '../teller'
import { capital, count, usual } from './grammar'

const OF_MODEL: Record<IdentityField, string> = {
  key: 'Clave en el libro',
  maker: 'Marca',
  model: 'Modelo',
  code: 'Código del motor',
  kind: 'Tipo de máquina',
  family: 'Familia',
  displacementCc: 'Cilindrada, cm³',
  yearFrom: 'Hecho desde',
  yearTo: 'Hecho hasta',
}
const NAMES: Record<SpecLineId, string> = {
  'intake': 'Admisión',
  'exhaust': 'Escape',
  'intake-also': 'Admisión, también impreso',
  'exhaust-also': 'Escape, también impreso',
  'others': 'Otras cifras',
  'cold': 'Límite en frío',
  'locknut': 'Contratuerca',
  'cover': 'Tapa',
  'plug': 'Bujía',
  'screw': 'Tornillo',
  'shim': 'Pastillas',
  'cylinders': 'Cilindros',
  'crank': 'Diámetro, carrera',
  'rod': 'Biela',
  'cam': 'Árbol de levas',
  'decompressor': 'Descompresor',
  'measured-at': 'Se mide',
  'marks': 'Marcas',
  'signs': 'Señas del árbol',
  'stops': 'Paradas del fabricante',
  'turning': 'Giro',
  'strip': 'Se quita primero',
  'parts': 'Se desmonta',
  'safe': 'Primero, segura',
  'heads': 'Culatas',
  'old': 'No usar',
  'gasket': 'Junta',
  'pattern': 'Pernos de la tapa',
  'tools': 'Herramientas',
  'gap': 'Luz de bujía',
  'interval': 'Revisar cada',
}
const HEADS: Record<Adjuster['head'], string> = {
  'slot': 'ranura',
  'square': 'cuadrado',
  'hex socket': 'hexágono interior',
  'Torx': 'Torx',
}
const SCREWS: Record<Adjuster['kind'], string> = {
  'valve-end': 'en la válvula',
  'pushrod-end': 'en la varilla',
  'pivot-nut': 'tuerca de pivote',
}
const way = (deg: number, verb: string, sooner: string, later: string): string =>
  deg === 0 ? '' : `${verb} ${Math.abs(deg)}° ${deg > 0 ? later : sooner}`

export const specLines: Words<typeof english> = {
  'spec-line': ({ id }) => NAMES[id],
  'spec-line.of-model': ({ field }) => OF_MODEL[field],
  'spec-says.printed': ({ text, sub }) => `impreso ${text}${sub ? `, ${sub}` : ''}`,
  'spec-says.none': 'ninguno',
  'spec-says.plug-life': ({ use, months }) =>
    `nueva cada ${[use, months !== null && count(months, 'mes', 'meses')].filter(Boolean).join(' o ')}`,
  'spec-says.not-known': 'no se sabe',
  'spec-says.all-cylinders': 'todos los cilindros',
  'spec-says.others': ({ figures }) =>
    figures.map(({ role, figure }) => `${NAMES[role].toLowerCase()} ${figure}`).join(', '),
  'spec-says.made-safe': ({ things }) =>
    things
      .map(
        t =>
          ({
            'stand': 'caballete',
            'gear': 'marcha',
            'key': 'llave',
            'blade': 'cuchilla o toma de fuerza',
            'fuel': 'combustible',
            'battery': 'batería',
            'plug lead': 'cable de bujía',
            'recoil': 'arranque de cuerda',
            'hoses': 'mangueras',
          })[t],
      )
      .join(', '),
  'spec-says.heads': ({ layout, angleDeg, intakeSide }) =>
    `${{ 'in line': 'en línea', 'transverse': 'transversal', 'V': 'V', 'flat': 'opuestos' }[layout]}${angleDeg ? ` ${angleDeg}°` : ''}, admisiones ${{ rear: 'atrás', front: 'delante', left: 'a la izquierda', right: 'a la derecha', above: 'arriba', between: 'entre las culatas' }[intakeSide]}`,
  'spec-says.set-hot': 'Se ajusta caliente',
  'spec-says.at-the-head': ({ limitF }) => `${limitF} °F, en la culata`,
  'spec-says.pitch': ({ pitchMm, assumed }) => `paso ${pitchMm} mm${assumed ? ', supuesto' : ''}`,
  'spec-says.screw': ({ head, kind, rockerRatio, lockedBy, headMm, nutMm }) =>
    [
      headMm ? `${HEADS[head]} de ${headMm} mm` : HEADS[head],
      kind === 'pivot-nut' && lockedBy
        ? `tuerca de pivote, sujeta por ${{ 'second nut': 'otra tuerca', 'center screw': 'un tornillo central', 'own grip': 'su propio agarre' }[lockedBy]}`
        : SCREWS[kind],
      nutMm ? `tuerca de ${nutMm} mm` : '',
      rockerRatio === 1 ? '' : `relación de balancín ${rockerRatio}`,
    ]
      .filter(Boolean)
      .join(', '),
  'spec-says.across': ({ diameterMm }) => `${diameterMm} mm de diámetro`,
  'spec-says.steps': ({ stepMm }) => `en pasos de ${stepMm} mm`,
  'spec-says.valves': ({ count, layout }) =>
    `${count} válvulas, ${layout === 'push-rods' ? 'varillas' : 'árbol de levas en culata'}`,
  'spec-says.check-lift': ({ liftMm }) => (liftMm === null ? 'en el asiento' : `a ${liftMm} mm`),
  'spec-says.holds': ({ fromDeg, toDeg }) => `sujeta de ${fromDeg}° a ${toDeg}°`,
  'spec-says.measured-at': ({ at }) =>
    at.kind === 'past top'
      ? `${at.dropMm} mm después del punto muerto`
      : {
          'not said': 'la fuente no dice dónde',
          'top': 'en la marca del punto muerto',
          'makers stops': 'en las paradas del fabricante',
        }[at.kind],
  'spec-says.turning': ({ clockwise, from }) =>
    `${clockwise ? 'a la derecha' : 'a la izquierda'}, visto desde ${usual(from)}`,
  'spec-says.turned-by': ({ means }) => `con ${usual(means)}`,
  'spec-says.interval': ({ use, months, first }) =>
    [
      use === null ? '' : `${use.toLocaleString('es-US')} en el medidor`,
      months === null ? '' : count(months, 'mes', 'meses'),
    ]
      .filter(Boolean)
      .join(' o ') + (first ? `, la primera a ${first.toLocaleString('es-US')}` : ''),
  'spec-note.moved': ({ mm, looser }) => `${mm} mm más ${looser ? 'holgada' : 'cerrada'}`,
  'spec-note.same-middle': ({ narrower }) => `el mismo centro, más ${narrower ? 'estrecho' : 'ancho'}`,
  'spec-note.by': ({ by, unit, more }) => `${by} ${unit} ${more ? 'más' : 'menos'}`,
  'spec-change.line': ({ line, before, after }, tell) => `${tell(line)}: ${tell(before)} → ${tell(after)}`,

  'firing.single': 'un cilindro',
  'firing.twin': ({ apartDeg }) =>
    apartDeg === 270 ? 'dos cilindros a 270°, o V de 90°' : `dos cilindros a ${apartDeg}°`,
  'firing.several': ({ count, gapsDeg }) =>
    `${count === 3 ? 'tres' : 'cuatro'} cilindros, encendidos a ${gapsDeg.map(deg => `${deg}°`).join(', ')}`,

  'gap-effect.shut': 'No abre nada.',
  'gap-effect.right': 'Abre, cierra y levanta como debe.',
  'gap-effect': ({ lateDeg, earlyDeg, liftMm }) =>
    capital(
      [
        way(lateDeg, 'abre', 'antes', 'después'),
        way(-earlyDeg, 'cierra', 'antes', 'después'),
        Math.abs(liftMm) < 0.01 ? '' : `levanta ${Math.abs(liftMm).toFixed(2)} mm ${liftMm > 0 ? 'más' : 'menos'}`,
      ]
        .filter(Boolean)
        .join(', '),
    ) + '.',
}
