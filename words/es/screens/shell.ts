import type { shell as english } from '../../en/screens/shell'
import type { Words } from '../../teller'

const NUTS = { loose: 'floja', nipped: 'arrimada', locked: 'apretada' }

export const shell: Words<typeof english> = {
  'app.skip-to-content': 'Ir al contenido',
  'api.something-failed-try-again': 'Algo falló. Intente otra vez.',
  'api.the-shops-server-does-not': 'El servidor del taller no responde. Intente otra vez en un momento.',
  'outbox.that-answer-was-not-saved':
    'Esa respuesta no se guardó: este navegador no puede guardarla y el servidor del taller no responde. ' +
    'Libere espacio o recupere la conexión, y responda otra vez.',
  'outbox.that-job-was-not-begun':
    'El trabajo no se empezó: este navegador no puede guardarlo y el servidor del taller no responde. ' +
    'Libere espacio o recupere la conexión, e intente otra vez.',
  'outbox.this-device-cannot-keep-answers':
    'Este navegador no puede guardar respuestas: no tiene espacio o no lo permite. Van directo al taller.',
  'crew-pick.here-now': 'está aquí',
  'crew-pick.no-pin': ({ name }) =>
    `${name} aún no tiene PIN. Que entre una vez con nombre y contraseña y elija uno en «Cambio de manos».`,
  'crew-pick.pin-of': ({ name }) => `PIN de ${name}`,
  'crew-pick.take-over': 'Seguir yo',
  'crew-pick.who-takes-over': '¿Quién sigue?',
  'new-version.is-ready': 'Hay una versión nueva.',
  'new-version.use-it': 'Usarla ahora',
  'person-menu.own': 'Nombre, contraseña, unidad',
  'page-sign-in.code': 'Código de un solo uso',
  'page-sign-in.shop-note': 'Su nombre corto, o su nombre tal como figura en Wembric.',
  'page-sign-in.have-a-code': 'Tengo un código de un solo uso',
  'page-sign-in.with-password': 'Entrar con contraseña',
  'person-menu.change-of-hands': 'Cambio de manos …',
  'page-sign-in.for-a-quick-job': 'Directo a un trabajo rápido',
  'page-sign-in.kept': ({ answers }) =>
    answers === 1
      ? 'Hay una respuesta en este aparato; se envía cuando entre quien la dio.'
      : `Hay ${answers} respuestas en este aparato; se envían cuando entre quien las dio.`,
  'page-sign-in.sign-in-wembric': 'Entrar, Wembric',
  'parts.choices': 'Opciones',
  'parts.choose-a-day': 'Elegir un día',
  'parts.choose-a-month': 'Elegir un mes',
  'parts.choose-a-year': 'Elegir un año',
  'parts.choose-all': 'Elegir todo',
  'parts.choose-none': 'No elegir ninguno',
  'parts.choose-the-row': 'Elegir la fila',
  'parts.clear': 'Borrar',
  'parts.first-page': 'Primera página',
  'parts.last-page': 'Última página',
  'parts.leave-the-row': 'Dejar la fila',
  'parts.month-after': 'Mes siguiente',
  'parts.month-before': 'Mes anterior',
  'parts.no': 'No',
  'parts.nothing-chosen': 'Nada elegido',
  'parts.nothing-here': 'Nada aquí',
  'parts.nothing-like-that': 'Nada así',
  'parts.one-chosen': 'Uno elegido',
  'parts.page-after': 'Página siguiente',
  'parts.page-before': 'Página anterior',
  'parts.some-fit': 'Algunos coinciden',
  'parts.ten-years-after': 'Diez años después',
  'parts.ten-years-before': 'Diez años antes',
  'parts.year-after': 'Año siguiente',
  'parts.year-before': 'Año anterior',
  'parts.yes': 'Sí',
  'parts.page': ({ page }) => `Página ${page}`,
  'person-menu.answers-wait': ({ waiting }) =>
    `${waiting === 1 ? '1 respuesta' : `${waiting} respuestas`} en este aparato sin enviar. Se ${waiting === 1 ? 'envía' : 'envían'} cuando usted entre aquí de nuevo con el servidor del taller al alcance.`,
  'person-menu.hands': ({ practiced }) =>
    practiced ? 'Pregúnteme una cosa a la vez' : 'Conozco el trabajo: pregúnteme en una tarjeta',
  'person-menu.of': ({ person }) => `${person}: tema, idioma, salir`,
  'person-menu.sign-out-all-the-same': 'Salir de todos modos',
  'person-menu.stay': 'Seguir dentro',
  'shop-header.dim': 'Oscuro',
  'shop-header.light': 'Claro',
  'shop-header.no-server': ({ waiting }) => `Sin servidor${waiting}`,
  'shop-header.places-here': ({ here }) => `Lugares, ahora ${here}`,
  'shop-header.places': 'Lugares',
  'shop-header.sign-out': 'Salir',
  'shop-header.still-signed-in': 'Sigue dentro: el servidor del taller no responde. Salga cuando vuelva.',
  'shop-header.to-send': ({ waiting }) => `, ${waiting} por enviar`,
  'thermometer.the-thermometer-sends-nothing-look':
    'El termómetro no manda nada. Revise el cable, o escriba la temperatura.',
  'use-bench-screen.cold': ' frío',
  'use-bench-screen.head': ({ celsius, cold }) => `${celsius} °C${cold}`,
  'use-bench-screen.nothing-answered-yet': 'Nada respondido aún',
  'use-bench-screen.parked-h': ({ hours }) => `parado ${hours} h`,
  'use-bench.answers-of-are-kept-on': ({ person }) =>
    `Respuestas de ${person} están en este aparato y no han llegado al taller. ${person} debe entrar aquí antes de firmar el trabajo.`,
  'use-bench.has-this-job-in-hand': ({ personName }) => `${personName} lleva este trabajo. Tómelo primero.`,
  'use-bench.this-job-is-not-on':
    'Este trabajo no está en este aparato, y el servidor del taller no responde. Intente cuando responda.',
  'use-hand-over.has-this-job': ({ name }) => `${name} lleva este trabajo`,
  'use-hand-over.has-this-job-each-answer': ({ name }) =>
    `${name} lleva este trabajo. Cada respuesta se ve aquí al momento.`,
  'use-hand-over.just-now': 'ahora mismo',
  'use-hand-over.last-answer': ({ other }) => `Última respuesta ${other}`,
  'use-hand-over.look-on': 'Mirar',
  'use-hand-over.look-on-or-take-it': ({ name }) => `Mire, o tómelo. ${name} lo verá al momento.`,
  'use-hand-over.looking-on-answered': ({ name, other }) => `Mirando: ${name} respondió ${other}`,
  'use-hand-over.min-ago': ({ minutes }) => `hace ${minutes} min`,
  'use-hand-over.take-over': 'Tomarlo',
  'use-hand-over.the-keys-work-here-and': 'los botones pasan aquí y paran allá',
  'use-hand-over.watch-the-answers-come-in': 'ver llegar las respuestas',
  'use-photos.this-photo-has-mb-5': ({ size }) =>
    `Esta foto tiene ${size} MB; el límite es 5 MB. Tómela más chica, o recórtela.`,
  'use-practice-screen.felt-here': ({ size }) => `${size} sentidos aquí`,
  'use-practice-screen.held-by-the-blade': 'la sujeta la lámina',
  'use-practice-screen.in-hand': ({ bladesMm }) => `${bladesMm} en mano`,
  'use-practice-screen.in-the-gap': 'en la holgura',
  'use-practice-screen.line-at': ({ letter }) => `línea en ${letter}`,
  'use-practice-screen.no-line-at-it': 'ninguna línea ahí',
  'use-practice-screen.not-on-this-level': 'no en este nivel',
  'use-practice-screen.nut': ({ nuts }) => `tuerca ${NUTS[nuts]}`,
  'use-practice-screen.or-drag': '← → o arrastre',
  'use-practice-shelf.handing-it-over': 'Entregando …',
  'use-practice-shelf.kept-with-the-shops-runs': 'Guardado con las prácticas del taller.',
  'use-practice-shelf.not-kept': ({ error }) => `No se guardó: ${error}`,
  'use-practice.slide-the-blade-in-first': 'Meta primero la lámina: tome la herramienta Lámina.',
  'person-menu.single-keys': ({ isOn }) => `${isOn ? 'Desactivar' : 'Activar'} los atajos de una tecla`,
}
