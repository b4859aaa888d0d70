import { blackOfRing, type PrintedTarget, sheetMm, targetRadii } from '@truelay/core/photogrammetry'
import PDFDocument from 'pdfkit'
import { paperFaces } from '../records/paper/faces.ts'
import { gathered } from '../records/paper/gathered.ts'

const pointsPerMm = 72 / 25.4
/** A line by which one sees whether the printer keeps the size. */
const checkMm = 200

/** Sheets of targets as a PDF in true size; each target with its number, each sheet with a line to measure. */
export async function writeTargets(sheets: readonly (readonly PrintedTarget[])[]): Promise<Buffer> {
  const faces = await paperFaces()
  const size: [number, number] = [sheetMm[0] * pointsPerMm, sheetMm[1] * pointsPerMm]
  const pdf = new PDFDocument({ autoFirstPage: false, size, margin: 0 })
  const whole = gathered(pdf)
  const [face] = faces.regular
  if (face !== undefined) pdf.registerFont(face.name, face.bytes)
  for (const sheet of sheets) {
    pdf.addPage({ size, margin: 0 })
    for (const target of sheet) drawTarget(pdf, target, face?.name)
    drawCheck(pdf, face?.name)
  }
  pdf.end()
  return whole
}

/** PDF counts from the upper left. */
const place = ([x, y]: readonly [number, number]): [number, number] => [x * pointsPerMm, (sheetMm[1] - y) * pointsPerMm]

function drawTarget(pdf: PDFKit.PDFDocument, { target, atMm, dotMm }: PrintedTarget, face: string | undefined) {
  const [x, y] = place(atMm)
  const dot = dotMm * pointsPerMm
  pdf.circle(x, y, dot).fill('black')
  const spot = (turn: number, radius: number) =>
    `${x + radius * dot * Math.cos(2 * Math.PI * turn)} ${y + radius * dot * Math.sin(2 * Math.PI * turn)}`
  for (const { from, to } of blackOfRing(target)) {
    const large = to - from > 0.5 ? 1 : 0
    const [inner, outer] = [targetRadii.white, targetRadii.ring]
    pdf
      .path(
        `M ${spot(from, outer)} A ${outer * dot} ${outer * dot} 0 ${large} 1 ${spot(to, outer)} L ${spot(to, inner)} A ${inner * dot} ${inner * dot} 0 ${large} 0 ${spot(from, inner)} Z`,
      )
      .fill('black')
  }
  // To cut along; thin and grey, so that nobody takes it for part of a target.
  pdf
    .circle(x, y, targetRadii.margin * dot)
    .lineWidth(0.2)
    .stroke('#999999')
  if (face === undefined) return
  pdf.font(face).fontSize(7).fillColor('#555555')
  pdf.text(String(target), x - 20, y + targetRadii.margin * dot + 2, { width: 40, align: 'center', lineBreak: false })
}

function drawCheck(pdf: PDFKit.PDFDocument, face: string | undefined) {
  const [x, y] = place([(sheetMm[0] - checkMm) / 2, 6])
  const end = x + checkMm * pointsPerMm
  pdf.lineWidth(0.4)
  pdf.moveTo(x, y).lineTo(end, y).stroke('black')
  for (const at of [x, end])
    pdf
      .moveTo(at, y - 4)
      .lineTo(at, y + 4)
      .stroke('black')
  if (face === undefined) return
  pdf.font(face).fontSize(7).fillColor('#555555')
  pdf.text(`${checkMm} mm`, x, y - 10, { width: end - x, align: 'center', lineBreak: false })
}
