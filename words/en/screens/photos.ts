import type { Shown } from '../grammar'

/** What is said of photos, on a machine's page and at the Bench. */
export const photos = {
  'photo-strip.gone-for-good': 'The photo will be gone for good.',
  'photo-strip.add-a-photo': 'Add a photo',
  'photo-strip.photo-kept-on-this-device': 'Photo kept on this device',
  'photo-strip.photo-of': ({ day }: Shown<'day'>) => `Photo of ${day}`,
  'photo-strip.remove-the-photo-of': ({ day }: Shown<'day'>) => `Remove the photo of ${day}`,
  'photo-strip.remove-the-photo-that-was': 'Remove the photo that was not sent',
  'photo-strip.saved-on-this-device-not': 'Saved on this device, not sent yet',
  'photo-strip.sending': ({ part }: Shown<'part'>) => `Sending ${part} %`,
}
