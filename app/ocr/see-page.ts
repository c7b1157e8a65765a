import worker from 'tesseract.js/dist/worker.min.js?url'
import core from 'tesseract.js-core/tesseract-core-simd-lstm.wasm.js?url'
import type { SeenWord } from '~~/core/page-text'

/** Where the language data lies (nuxt.config.ts): English and Spanish, as pages here are. */
const LANGUAGES = ['eng', 'spa']
const DATA = '/ocr'
/** The longer side of a picture as it is read, pixels: letters of a page that fills it are then some 25 high. */
const LONGER_SIDE = 2200

/** A picture made small enough to be read quickly, turned upright as its camera says. */
async function fitted(file: Blob): Promise<HTMLCanvasElement> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' })
  const scale = Math.min(1, LONGER_SIDE / Math.max(picture.width, picture.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.round(picture.width * scale)
  canvas.height = Math.round(picture.height * scale)
  canvas.getContext('2d')!.drawImage(picture, 0, 0, canvas.width, canvas.height)
  picture.close()
  return canvas
}

/**
 * The words of a photographed page, made out in a worker on this device: nothing of it is sent anywhere.
 * @param onPart told how much is done, 0 to 1
 * @returns the words, and the picture in whose pixels they stand
 * @throws Error where the file is no picture
 */
export async function seePage(
  file: Blob,
  onPart: (part: number) => void,
): Promise<{ words: SeenWord[]; canvas: HTMLCanvasElement }> {
  const canvas = await fitted(file)
  const { createWorker, OEM } = await import('tesseract.js')
  const reader = await createWorker(LANGUAGES, OEM.LSTM_ONLY, {
    workerPath: worker,
    corePath: core,
    langPath: DATA,
    workerBlobURL: false,
    // the service worker keeps what was fetched (nuxt.config.ts)
    cacheMethod: 'none',
    logger: ({ status, progress }) => {
      if (status === 'recognizing text') onPart(progress)
    },
  })
  try {
    const { data } = await reader.recognize(canvas, {}, { blocks: true, text: false })
    const lines = (data.blocks ?? []).flatMap(b => b.paragraphs.flatMap(p => p.lines))
    return {
      canvas,
      words: lines.flatMap((l, line) =>
        l.words.map(w => ({ text: w.text, line, sure: w.confidence, box: w.bbox }) satisfies SeenWord),
      ),
    }
  } finally {
    await reader.terminate()
  }
}
