import type { photos as english } from '../../en/screens/photos'
import type { Words } from '../../teller'

export const photos: Words<typeof english> = {
  'photo-strip.gone-for-good': 'La foto se pierde para siempre.',
  'photo-strip.add-a-photo': 'Agregar foto',
  'photo-strip.photo-kept-on-this-device': 'Foto guardada en este aparato',
  'photo-strip.photo-of': ({ day }) => `Foto de ${day}`,
  'photo-strip.remove-the-photo-of': ({ day }) => `Quitar la foto de ${day}`,
  'photo-strip.remove-the-photo-that-was': 'Quitar la foto que no se envió',
  'photo-strip.saved-on-this-device-not': 'Guardada en este aparato, sin enviar',
  'photo-strip.sending': ({ part }) => `Enviando ${part} %`,
}
