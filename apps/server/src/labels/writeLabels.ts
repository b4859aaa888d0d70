import type { Label } from '@truelay/contract'
import PDFDocument from 'pdfkit'
import { create } from 'qrcode'
import { paperFaces } from '../records/paper/faces.ts'
import { gathered } from '../records/paper/gathered.ts'
import { linesOf, type Run } from '../records/paper/layText.ts'

const pointsPerMm = 72 / 25.4
const edgeMm = 1.5
/** Of a line of words, over the size of its signs. */
const lineHeight = 1.15
/** White round the code that cameras need, in its modules. */
const quietModules = 4

/** Labels as pages of a PDF, one each, in the size of the label: the code at the left, the words beside it. */
export async function writeLabels(
  labels: readonly Label[],
  { widthMm, heightMm }: { readonly widthMm: number; readonly heightMm: number },
): Promise<Buffer> {
  const faces = await paperFaces()
  const size: [number, number] = [widthMm * pointsPerMm, heightMm * pointsPerMm]
  const pdf = new PDFDocument({ autoFirstPage: false, size, margin: 0 })
  const whole = gathered(pdf)
  for (const face of [...faces.regular, ...faces.bold]) pdf.registerFont(face.name, face.bytes)
  const codeMm = Math.min(heightMm, widthMm / 2)
  const [left, wide] = [codeMm * pointsPerMm, (widthMm - codeMm - edgeMm) * pointsPerMm]
  for (const { code, lines } of labels) {
    pdf.addPage({ size, margin: 0 })
    drawCode(pdf, code, codeMm)
    let base = 2 * edgeMm * pointsPerMm
    lines.forEach((line, i) => {
      const [weight, points] = i === 0 ? (['bold', 11] as const) : (['regular', 8] as const)
      const widthOf = ({ face, text }: Run) => pdf.font(face.name).fontSize(points).widthOfString(text)
      for (const runs of linesOf(line, faces[weight], wide, widthOf)) {
        base += lineHeight * points
        if (base > size[1] - edgeMm * pointsPerMm) return
        let at = left
        for (const run of runs) {
          const runWide = widthOf(run)
          pdf.text(run.text, at, base - points, { lineBreak: false })
          at += runWide
        }
      }
    })
  }
  pdf.end()
  return whole
}

function drawCode(pdf: PDFKit.PDFDocument, code: string, sideMm: number) {
  const { modules } = create(code, { errorCorrectionLevel: 'M' })
  const module = (sideMm * pointsPerMm) / (modules.size + 2 * quietModules)
  for (let row = 0; row < modules.size; row++)
    for (let column = 0; column < modules.size; column++)
      if (modules.get(row, column) === 1)
        pdf.rect((column + quietModules) * module, (row + quietModules) * module, module, module)
  pdf.fill('black')
}
