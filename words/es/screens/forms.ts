import type { forms as english } from '../../en/screens/forms'
import type { Words } from '../../teller'
import { count } from '../grammar'

export const forms: Words<typeof english> = {
  'machine-form.add-it': 'Agregarla',
  'machine-form.add-one-with-its-spec': 'agregue uno con sus datos',
  'machine-form.engine-model': 'Modelo de motor',
  'machine-form.first': 'primero.',
  'machine-form.may-stay-empty': 'Puede quedar vacío.',
  'machine-form.what-you-call-it': 'Cómo la llama usted',
  'machine-form.no-engine-model-yet': 'Aún no hay modelo de motor:',
  'machine-pick.no-other-machine-like-that': 'No hay otra máquina así.',
  'machine-pick.type-name-tag-plate-or': 'Escriba nombre, etiqueta, placa o dueño',
  'model-pick.intake-exhaust': ({ kind, intake, exhaust }) => `${kind}, admisión ${intake}, escape ${exhaust}`,
  'model-pick.nothing-like-that-in-the': 'Nada así en el libro de datos.',
  'model-pick.type-maker-model-or-code': 'Escriba marca, modelo o código',
  'owner-pick.a-new-owner': 'Un dueño nuevo',
  'owner-pick.that-is-the-one': 'Es este',
  'owner-pick.is-here-already': ({ owner }) => `Ya es dueño aquí: ${owner}.`,
  'owner-pick.new-owners-name': 'Nombre del dueño nuevo',
  'owner-words.machines': ({ machines }) => count(machines, 'máquina'),
  'tasks-field.air-filter': 'Filtro de aire',
  'tasks-field.also-to-do-on-this': 'También por hacer en esta visita',
  'tasks-field.head-bolts': 'Tornillos de culata',
  'tasks-field.idle-and-mixture': 'Ralentí y mezcla',
  'tasks-field.oil-change': 'Cambio de aceite',
  'tasks-field.warm-engine-after-the-valves': 'motor caliente, después de las válvulas',
}
