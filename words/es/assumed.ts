import type { assumed as english } from '../en/assumed'
import type { Words } from '../teller'

export const assumed: Words<typeof english> = {
  'assumed.cam': ({ deg }) =>
    `Distribución: se supone una leva usual.${deg > 0 ? ` Una parada puede tener hasta ${deg}° menos de margen.` : ''}`,
  'assumed.decompressor': ({ past }) =>
    `Descompresor: se supone que puede haberlo.${past ? ' Se le envía más allá del punto superior para el escape.' : ''}`,
  'assumed.stroke': ({ mm, deg }) =>
    `Carrera: se suponen ${mm} mm. Pasado el punto superior, la varilla puede errar ${deg}°.`,
  'assumed.rod': ({ deg }) =>
    `Biela: se suponen 1,75 carreras. Pasado el punto superior, la varilla puede errar ${deg}°.`,
  'assumed.turning': ({ clockwise }) =>
    `Giro: se supone en sentido ${clockwise ? 'horario' : 'antihorario'}, visto desde el lado del volante.`,
  'assumed.pitch': ({ mm }) =>
    `Rosca del tornillo: se suponen ${mm} mm por vuelta. La primera vuelta puede quedar un tercio larga o corta.`,
  'assumed.locknut': 'Par de la contratuerca: no se sabe. Se aprieta a pulso.',
  'assumed.interval': 'Plan: no se sabe. La máquina aparece como pendiente solo cuando sus visitas muestran un cambio.',
}
