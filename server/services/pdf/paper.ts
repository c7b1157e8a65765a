import { join } from 'node:path'
import anyAscii from 'any-ascii'
import PDFDocument from 'pdfkit'
import { spoken, t } from '../../words'

export type Paper = 'A4' | 'Letter'

/** Whole fonts lie in the package: subsets of them are embedded, so that a sheet prints the same everywhere. */
const FONTS = join(process.env.WEMBRIC_ROOT ?? process.cwd(), 'node_modules/@expo-google-fonts')
const FONT_FILES = {
  'plain': 'barlow-semi-condensed/500Medium/BarlowSemiCondensed_500Medium.ttf',
  'bold': 'barlow-semi-condensed/600SemiBold/BarlowSemiCondensed_600SemiBold.ttf',
  // Greek, Cyrillic, Devanagari: for names that the first two have no letters for
  'plain-wide': 'noto-sans/500Medium/NotoSans_500Medium.ttf',
  'bold-wide': 'noto-sans/600SemiBold/NotoSans_600SemiBold.ttf',
} as const
type FontName = 'plain' | 'bold'
/** Whether a font has every letter of a text. */
const has = ({ _font }: { _font: { font: { hasGlyphForCodePoint(code: number): boolean } } }, text: string): boolean =>
  [...text].every(c => /\s/.test(c) || _font.font.hasGlyphForCodePoint(c.codePointAt(0)!))
const INK = '#111111'
const GRAY = '#444444'
const MARGIN = 34

export interface Column {
  title: string
  part: number
}
/** A cell is text, or text behind a drawing of some width. */
export type Cell = string | { text: string; draw: (pdf: PdfPaper, x: number, y: number) => void; width: number }

/**
 * A sheet of paper that is written from top to bottom; a page more is taken where it is full. Sizes in points, times a
 * scale.
 */
export class PdfPaper {
  readonly doc: PDFKit.PDFDocument
  readonly left = MARGIN
  readonly width: number
  private readonly pieces: Buffer[] = []
  pages = 1

  constructor(
    paper: Paper,
    readonly scale: number,
    info: { title: string; author: string; at: Date },
  ) {
    this.doc = new PDFDocument({
      size: paper === 'A4' ? 'A4' : 'LETTER',
      margin: MARGIN,
      bufferPages: true,
      lang: spoken(),
      displayTitle: true,
      pdfVersion: '1.7',
      info: { Title: info.title, Author: info.author, CreationDate: info.at },
      font: join(FONTS, FONT_FILES.plain),
    })
    for (const [name, file] of Object.entries(FONT_FILES)) this.doc.registerFont(name, join(FONTS, file))
    this.setLetters()
    this.doc.on('data', (piece: Buffer) => this.pieces.push(piece))
    this.doc.on('pageAdded', () => {
      this.pages++
    })
    this.width = this.doc.page.width - 2 * MARGIN
    this.font('plain', 9)
  }

  size(points: number): number {
    return points * this.scale
  }
  private fontName: FontName = 'plain'
  /**
   * Each text is set in a font that has its letters, whoever writes it; what no font here has is spelled in Latin
   * letters. No box is left empty.
   */
  private setLetters(): void {
    const doc = this.doc as PDFKit.PDFDocument & Parameters<typeof has>[0]
    for (const method of ['text', 'heightOfString', 'widthOfString'] as const) {
      const plainly = doc[method].bind(doc) as (text: string, ...rest: unknown[]) => unknown
      Object.assign(doc, {
        [method]: (text: string, ...rest: unknown[]) => {
          if (has(doc, text)) return plainly(text, ...rest)
          doc.font(`${this.fontName}-wide`)
          try {
            return plainly(has(doc, text) ? text : anyAscii(text), ...rest)
          } finally {
            doc.font(this.fontName)
          }
        },
      })
    }
  }
  font(name: FontName, points: number, color: 'ink' | 'gray' = 'ink'): PDFKit.PDFDocument {
    this.fontName = name
    return this.doc
      .font(name)
      .fontSize(this.size(points))
      .fillColor(color === 'ink' ? INK : GRAY)
  }
  get bottom(): number {
    return this.doc.page.height - MARGIN - this.size(10)
  }
  /** Takes a new page where so much does not fit on this one any more. */
  room(height: number): void {
    if (this.doc.y + height > this.bottom) this.doc.addPage()
  }
  space(points: number): void {
    this.doc.y += this.size(points)
  }

  line(weight = 0.8): void {
    this.doc
      .moveTo(this.left, this.doc.y)
      .lineTo(this.left + this.width, this.doc.y)
      .lineWidth(weight)
      .strokeColor(INK)
      .stroke()
    this.space(3)
  }

  heading(text: string, points = 11): void {
    this.room(this.size(points) * 3)
    this.space(3)
    this.font('bold', points).text(text, this.left, this.doc.y, { width: this.width })
    this.space(1.5)
  }

  paragraph(text: string, { points = 9, gray = false, bold = false } = {}): void {
    const height = this.font(bold ? 'bold' : 'plain', points, gray ? 'gray' : 'ink').heightOfString(text, {
      width: this.width,
    })
    this.room(height)
    this.doc.text(text, this.left, this.doc.y, { width: this.width })
  }

  /** A row of cells, each as high as its longest; it is never torn in two. */
  private row(columns: readonly Column[], cells: readonly Cell[], bold: boolean, gray: boolean): void {
    const whole = columns.reduce((s, c) => s + c.part, 0)
    const gap = this.size(5)
    const widths = columns.map(c => (this.width * c.part) / whole - gap)
    this.font(bold ? 'bold' : 'plain', 9, gray ? 'gray' : 'ink')
    const inside = (cell: Cell, i: number) => widths[i]! - (typeof cell === 'string' ? 0 : cell.width)
    const height = Math.max(
      ...cells.map((cell, i) =>
        this.doc.heightOfString(typeof cell === 'string' ? cell : cell.text, { width: inside(cell, i) }),
      ),
    )
    this.room(height + this.size(3))
    const y = this.doc.y
    let x = this.left
    for (const [i, cell] of cells.entries()) {
      if (typeof cell !== 'string') cell.draw(this, x, y)
      this.font(bold ? 'bold' : 'plain', 9, gray ? 'gray' : 'ink').text(
        typeof cell === 'string' ? cell : cell.text,
        x + widths[i]! - inside(cell, i),
        y,
        { width: inside(cell, i) },
      )
      x += widths[i]! + gap
    }
    this.doc.y = y + height + this.size(1)
    this.doc
      .moveTo(this.left, this.doc.y)
      .lineTo(this.left + this.width, this.doc.y)
      .lineWidth(0.3)
      .strokeColor('#BBBBBB')
      .stroke()
    this.space(1.5)
  }

  /** Drawings beside each other, each with a line of words over it; so high as they are told to be. */
  drawings(height: number, all: readonly { title: string; draw: (doc: PDFKit.PDFDocument) => void }[]): void {
    this.room(height + this.size(12))
    const y = this.doc.y
    for (const [i, { title, draw }] of all.entries()) {
      const x = this.left + (i * this.width) / all.length
      this.font('plain', 8, 'gray').text(title, x, y, { lineBreak: false })
      this.doc.save().translate(x, y + this.size(11))
      draw(this.doc)
      this.doc.restore()
    }
    this.doc.x = this.left
    this.doc.y = y + height + this.size(12)
  }

  table(columns: readonly Column[], rows: readonly (readonly Cell[])[]): void {
    if (columns.some(c => c.title))
      this.row(
        columns,
        columns.map(c => c.title),
        false,
        true,
      )
    for (const cells of rows) this.row(columns, cells, false, false)
    this.doc.x = this.left
  }

  /** Ends it: numbers the pages where there are several, and gives the file. */
  async end(footer: string): Promise<Buffer> {
    const { count } = this.doc.bufferedPageRange()
    for (let i = 0; i < count; i++) {
      this.doc.switchToPage(i)
      this.doc.page.margins.bottom = 0
      this.font('plain', 8, 'gray').text(
        count > 1 ? t('paper.page', { footer, page: i + 1, count }) : footer,
        this.left,
        this.doc.page.height - MARGIN - this.size(4),
        { width: this.width, lineBreak: false },
      )
    }
    return new Promise(done => {
      this.doc.on('end', () => done(Buffer.concat(this.pieces)))
      this.doc.end()
    })
  }
}
