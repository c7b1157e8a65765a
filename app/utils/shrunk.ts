/** A picture up to this size is sent as it is. Bytes. From memory: more is a full camera’s, and slow to send. */
const ENOUGH = 2 * 1024 * 1024
/** The longer side of what is sent instead, half as long again as what the shop keeps. Pixels. */
const SIDE = 2400
const QUALITY = 0.85

/**
 * A photo as it is sent: what a phone's camera makes large is made smaller here, upright as it was taken.
 * @returns the file itself where it is small, or where this browser cannot make it smaller: the shop judges it then
 */
export async function shrunk(file: File): Promise<File> {
  if (file.size <= ENOUGH || typeof createImageBitmap === 'undefined') return file
  try {
    const picture = await createImageBitmap(file, { imageOrientation: 'from-image' })
    const scale = Math.min(1, SIDE / Math.max(picture.width, picture.height))
    const canvas = new OffscreenCanvas(Math.round(picture.width * scale), Math.round(picture.height * scale))
    canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height)
    picture.close()
    const smaller = await canvas.convertToBlob({ type: 'image/jpeg', quality: QUALITY })
    return smaller.size < file.size ? new File([smaller], file.name, { type: smaller.type }) : file
  } catch {
    return file
  }
}
