import { computed, ref, shallowRef } from 'vue'
import { type PageFinding, readPage, readSeenPage, type SeenFinding } from '~~/core/page-text'
import type { SpecText } from '~~/core/spec-book'
import { shrunk } from '../utils/shrunk'
import { t } from '../words'

/** A figure of a page that may be taken, with the words, or the piece of the picture, that it is from. */
export type Offered = (PageFinding | SeenFinding) & { quote: string; piece: string | null }

/** So much of a page stands around a figure, so that one sees which it is. Characters, and parts of a line's height. */
const AROUND = 34
const MARGIN = 0.6
const MOST = 5 * 1024 * 1024

/** A page of a manual, pasted or photographed: what it states, and which of it is taken. */
export function usePageReading() {
  const text = ref('')
  const offered = shallowRef<Offered[]>([])
  const taken = shallowRef<Offered[]>([])
  const photo = shallowRef<File | null>(null)
  const part = ref<number | null>(null)
  const problem = ref('')
  /** Whether a page was read at all, be there anything on it or not. */
  const read = ref(false)

  function begin(): void {
    offered.value = []
    taken.value = []
    problem.value = ''
    read.value = false
  }
  function paste(): void {
    begin()
    if (text.value.trim() === '') return
    photo.value = null
    const page = text.value
    offered.value = readPage(page).findings.map(f => ({ ...f, quote: quoteOf(page, f), piece: null }))
    read.value = true
  }
  async function photograph(file: File): Promise<void> {
    begin()
    const kept = await shrunk(file)
    if (kept.size > MOST) {
      problem.value = t('from-page.too-large', { mb: (kept.size / 1024 / 1024).toFixed(1) })
      return
    }
    part.value = 0
    try {
      const { seePage } = await import('../ocr/see-page')
      const { words, canvas } = await seePage(file, done => {
        part.value = done
      })
      const page = readSeenPage(words)
      if (!page) throw new Error('poor')
      photo.value = kept
      text.value = page.text
      offered.value = page.findings.map(f => ({
        ...f,
        quote: quoteOf(page.text, f),
        piece: pieceOf(canvas, f),
      }))
      read.value = true
    } catch (error) {
      problem.value = (error as Error).message === 'poor' ? t('from-page.poor-picture') : t('from-page.no-picture')
    }
    part.value = null
  }

  /** One figure for a field: taking another puts the first back. */
  function toggle(finding: Offered): void {
    const others = taken.value.filter(f => f.field !== finding.field)
    taken.value = taken.value.includes(finding) ? others : [...others, finding]
  }
  const sure = computed(() => offered.value.filter(f => f.doubts.length === 0))
  const takeSure = () => {
    taken.value = [...sure.value]
  }
  /** What was filled in goes from the list; what is left may still be looked at. */
  function settle(): void {
    const filled = new Set(taken.value.map(f => f.field))
    offered.value = offered.value.filter(f => !filled.has(f.field))
    taken.value = []
    read.value = false
  }
  /** What was taken, as the fields of a spec. The unit of a clearance is that of the page. */
  function fields(): Partial<SpecText> {
    const all: Partial<SpecText> = Object.fromEntries(taken.value.map(f => [f.field, f.text]))
    const unit = /\s(mm|thou|in)$/.exec(all.intake ?? all.exhaust ?? '')?.[1]
    return unit ? { ...all, unit } : all
  }
  return { text, offered, taken, photo, part, problem, read, paste, photograph, toggle, sure, takeSure, settle, fields }
}

/** The figure with the words around it, on one line. */
function quoteOf(page: string, { start, end }: PageFinding): string {
  const from = Math.max(0, start - AROUND)
  const to = Math.min(page.length, end + AROUND / 2)
  return `${from > 0 ? '…' : ''}${page.slice(from, to)}${to < page.length ? '…' : ''}`.replaceAll(/\s+/g, ' ')
}
/** The piece of the picture with its line around it, as a picture of its own. */
function pieceOf(canvas: HTMLCanvasElement, { box }: SeenFinding): string {
  const height = box.y1 - box.y0
  const pad = height * MARGIN
  const [x, y] = [Math.max(0, box.x0 - height * 8), Math.max(0, box.y0 - pad)]
  const piece = document.createElement('canvas')
  piece.width = Math.min(canvas.width, box.x1 + height * 2) - x
  piece.height = Math.min(canvas.height, box.y1 + pad) - y
  piece.getContext('2d')!.drawImage(canvas, -x, -y)
  return piece.toDataURL('image/webp', 0.8)
}
