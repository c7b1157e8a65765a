import { afterEach, describe, expect, it, vi } from 'vitest'
import { shrunk } from './shrunk'

const MB = 1024 * 1024
const photo = (bytes: number) => new File([new Uint8Array(bytes)], 'head.jpg', { type: 'image/jpeg' })
/** A browser that draws pictures. @returns the sides of each canvas that was drawn on */
function drawing(width: number, height: number, smallerBytes: number): number[][] {
  const sides: number[][] = []
  vi.stubGlobal('createImageBitmap', async () => ({ width, height, close: () => {} }))
  vi.stubGlobal(
    'OffscreenCanvas',
    class {
      constructor(w: number, h: number) {
        sides.push([w, h])
      }
      getContext = () => ({ drawImage: () => {} })
      convertToBlob = async ({ type }: { type: string }) => new Blob([new Uint8Array(smallerBytes)], { type })
    },
  )
  return sides
}
afterEach(() => vi.unstubAllGlobals())

describe('a photo as it is sent', () => {
  it('a full camera’s is made smaller, its longer side first', async () => {
    const sides = drawing(4000, 3000, MB)
    const smaller = await shrunk(photo(9 * MB))
    expect([sides, smaller.size, smaller.type, smaller.name]).toEqual([[[2400, 1800]], MB, 'image/jpeg', 'head.jpg'])
  })
  it('what is small already is sent as it is, and nothing is made larger', async () => {
    const sides = drawing(800, 600, 3 * MB)
    const small = photo(MB)
    expect(await shrunk(small)).toBe(small)
    expect(sides).toEqual([])
    const heavy = photo(2.5 * MB)
    expect(await shrunk(heavy), 'drawn again it would have been heavier').toBe(heavy)
    expect(sides).toEqual([[800, 600]])
  })
  it('what is no picture is left to the shop, which says so', async () => {
    vi.stubGlobal('createImageBitmap', async () => {
      throw new DOMException('no picture', 'InvalidStateError')
    })
    const file = photo(3 * MB)
    expect(await shrunk(file)).toBe(file)
  })
})
