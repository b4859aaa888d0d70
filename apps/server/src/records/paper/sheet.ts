import PDFDocument from 'pdfkit'
import type { Face, Faces, Weight } from './faces.ts'
import { isPrintable, linesOf, missingSign, type Run, type TextLine } from './layText.ts'

const ink = '#1B2733'
const quiet = '#5B6670'
const hair = '#D8D6CE'
const left = 56
const top = 56
const width = 483
const bottom = 785
const labelWidth = 165
const labelGap = 10
/** Of the size of the letters. */
const lineHeight = 1.3
const pictureWidth = 115
const pictureHeight = 86

interface Look {
  readonly size: number
  readonly weight?: Weight
  readonly color?: string
}

/**
 * A4 pages that are read from top to bottom, by eyes and by readers: each heading, paragraph, row and picture is marked as what it is. Sizes are
 * points.
 */
export class Sheet {
  readonly doc: PDFKit.PDFDocument
  private readonly whole: PDFKit.PDFStructureElement
  private y = top
  private lacksSigns = false

  constructor(
    private readonly faces: Faces,
    about: { readonly title: string; readonly author: string; readonly language: string },
  ) {
    this.doc = new PDFDocument({
      size: 'A4',
      margins: { top: 0, bottom: 0, left, right: left },
      pdfVersion: '1.7',
      tagged: true,
      lang: about.language,
      displayTitle: true,
      info: { Title: about.title, Author: about.author },
    })
    for (const face of [...faces.regular, ...faces.bold]) this.doc.registerFont(face.name, face.bytes)
    this.whole = this.doc.struct('Document')
    this.doc.addStructure(this.whole)
  }

  title(text: string): void {
    this.block('H1', text, { size: 22, weight: 'bold' })
    this.y += 2
  }

  heading(text: string): void {
    if (this.y > bottom - 80) this.page()
    this.y += 12
    this.block('H2', text, { size: 12, weight: 'bold' })
    const { doc, y } = this
    const rule = () =>
      doc
        .moveTo(left, y + 1)
        .lineTo(left + width, y + 1)
        .lineWidth(0.5)
        .strokeColor(hair)
        .stroke()
    doc.markContent('Artifact')
    rule()
    doc.endMarkedContent()
    this.y += 6
  }

  paragraph(text: string, look: 'plain' | 'quiet' = 'plain'): void {
    this.block('P', text, look === 'plain' ? { size: 10 } : { size: 9, color: quiet })
  }

  /** A label with what belongs to it. */
  row(label: string, value: string): void {
    const labelLines = this.lines(label, { size: 10 }, labelWidth)
    const valueLines = this.lines(value, { size: 10 }, width - labelWidth - labelGap)
    const lines = Math.max(labelLines.length, valueLines.length)
    const step = 10 * lineHeight
    if (this.y + Math.min(lines, 4) * step > bottom) this.page()
    const { doc } = this
    const item = doc.struct('P')
    this.whole.add(item)
    const draw = (part: readonly TextLine[], x: number, color: string) => {
      item.add(
        doc.struct('Span', {}, () => {
          part.forEach((line, i) => {
            this.line(line, x, this.y + i * step, { size: 10, color })
          })
        }),
      )
    }
    // What is longer than a page goes on over the next ones.
    for (let from = 0; from < lines; ) {
      const room = Math.max(1, Math.floor((bottom - this.y) / step))
      draw(labelLines.slice(from, from + room), left, quiet)
      draw(valueLines.slice(from, from + room), left + labelWidth + labelGap, ink)
      const drawn = Math.min(room, lines - from)
      this.y += drawn * step
      from += drawn
      if (from < lines) this.page()
    }
    item.end()
    this.y += 3
  }

  /** Pictures side by side, each with its words for those who do not see it. */
  pictures(all: readonly { readonly file: string; readonly words: string }[]): void {
    const across = Math.floor(width / pictureWidth)
    all.forEach(({ file, words }, i) => {
      if (i % across === 0) {
        if (i > 0) this.y += pictureHeight + 8
        if (this.y + pictureHeight > bottom) this.page()
      }
      const x = left + (i % across) * pictureWidth
      this.whole.add(
        this.doc.struct('Figure', { alt: words }, () => {
          this.doc.image(file, x, this.y, { fit: [pictureWidth - 8, pictureHeight] })
        }),
      )
    })
    if (all.length > 0) this.y += pictureHeight + 8
  }

  /** Strokes of a pen, each `[x, y, …]` in shares of its field, with the name for those who do not see it. */
  signature(strokes: readonly (readonly number[])[], words: string): void {
    if (this.y + pictureHeight > bottom) this.page()
    const { doc, y } = this
    const [fieldWidth, fieldHeight] = [2 * pictureWidth, pictureHeight]
    this.whole.add(
      doc.struct('Figure', { alt: words }, () => {
        for (const stroke of strokes) {
          for (let i = 0; i + 1 < stroke.length; i += 2) {
            const [x, down] = [left + (stroke[i] ?? 0) * fieldWidth, y + (stroke[i + 1] ?? 0) * fieldHeight]
            if (i === 0) doc.moveTo(x, down)
            else doc.lineTo(x, down)
          }
          doc.lineWidth(1).strokeColor(ink).stroke()
        }
      }),
    )
    this.y += pictureHeight + 8
  }

  /** What comes next begins on a page of its own. */
  onNewPage(): void {
    if (this.y > top) this.page()
  }

  /** Ends the last page; nothing can be written after it. */
  end(lackingWords: string): PDFKit.PDFDocument {
    if (this.lacksSigns) this.paragraph(`${missingSign} ${lackingWords}`, 'quiet')
    this.whole.end()
    this.doc.end()
    return this.doc
  }

  private page(): void {
    this.doc.addPage()
    this.y = top
  }

  private block(kind: 'H1' | 'H2' | 'P', text: string, look: Look): void {
    const step = look.size * lineHeight
    const item = this.doc.struct(kind)
    this.whole.add(item)
    for (const line of this.lines(text, look, width)) {
      if (this.y + step > bottom) this.page()
      item.add(this.doc.struct('Span', {}, () => this.line(line, left, this.y, look)))
      this.y += step
    }
    item.end()
  }

  private lines(text: string, look: Look, most: number): TextLine[] {
    const faces = this.faces[look.weight ?? 'regular']
    if (!isPrintable(text, faces)) this.lacksSigns = true
    return linesOf(text, faces, most, (run) => this.widthOf(run, look.size))
  }

  private widthOf({ face, text }: Run, size: number): number {
    return this.use(face, size).widthOfString(text)
  }

  private line(line: TextLine, x: number, y: number, { size, color = ink }: Look): void {
    let at = x
    for (const run of line) {
      this.use(run.face, size)
        .fillColor(color)
        // On one base line, whatever typeface a sign comes from.
        .text(run.text, at, y + size, { lineBreak: false, baseline: 'alphabetic' })
      at += this.doc.widthOfString(run.text)
    }
  }

  private use(face: Face, size: number): PDFKit.PDFDocument {
    return this.doc.font(face.name).fontSize(size)
  }
}
