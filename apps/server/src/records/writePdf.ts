import type { PartRecord } from '@truelay/contract'
import { strengthWords } from '@truelay/core/mix'
import { inWords, showLength, showTemperature, showVolume, type UnitChoice } from '@truelay/core/units'
import { format } from 'date-fns'
import PDFDocument from 'pdfkit'

const ink = '#1B2733'
const quiet = '#5B6670'
const line = '#D8D6CE'
const left = 56
const width = 483

const clock = (moment: string) => format(new Date(moment), 'HH:mm')
const day = (moment: string) => format(new Date(moment), 'd MMMM yyyy')

/** The record of a part as a PDF of A4 pages. */
export function writePdf(record: PartRecord, shopName: string, units: UnitChoice): PDFKit.PDFDocument {
  const doc = new PDFDocument({
    size: 'A4',
    margins: { top: 56, bottom: 56, left, right: 56 },
    info: { Title: `${record.job.number} ${record.part.name}`, Author: shopName },
  })
  const length = (mm: number) => inWords(showLength(mm, units.length))

  doc.font('Helvetica').fontSize(9).fillColor(quiet).text(`${shopName}    Record of a fitted part`)
  doc
    .moveDown(0.3)
    .font('Helvetica-Bold')
    .fontSize(22)
    .fillColor(ink)
    .text(`${record.job.vehicle.model}, ${record.part.name}`)
  doc.font('Helvetica').fontSize(10).fillColor(quiet)
  doc.text(`Job ${record.job.number}, ${record.job.customer}, fleet number ${record.job.vehicle.plate}`)
  if (record.startedAt !== null)
    doc.text(
      `${day(record.startedAt)}, ${clock(record.startedAt)}${record.finishedAt === null ? ', not finished' : ` to ${clock(record.finishedAt)}`}`,
    )

  heading(doc, 'Film')
  row(doc, record.film.name, `${record.kit}, piece ${record.piece}, lot ${record.lot}`)
  row(
    doc,
    'Room',
    `${inWords(showTemperature(record.job.room.temperatureC, units.temperature, 1))}, ${record.job.room.humidityPercent} %`,
  )
  for (const { question, choice } of record.schools) row(doc, question, choice)
  if (record.light !== null) row(doc, 'Light', record.light)

  if (record.batches.length > 0) {
    heading(doc, 'Batches')
    for (const batch of record.batches)
      row(
        doc,
        batch.number,
        `${batch.says}, ${inWords(showVolume(batch.batchMl, units.volume))}, ${strengthWords(batch)}; ${batch.by}, ${clock(batch.at)}`,
      )
  }
  if (record.bottles.length > 0) {
    heading(doc, 'Bottles in hand')
    for (const bottle of record.bottles)
      row(
        doc,
        `${bottle.use}, ${bottle.number}`,
        `${bottle.says}${bottle.asPlanned ? '' : ', not the planned one'}; ${bottle.by}, ${clock(bottle.at)}`,
      )
  }
  record.gaps.forEach((round, i) => {
    heading(doc, i === 0 ? 'Gaps, first measured' : `Gaps, measured again (${i + 1})`)
    for (const reading of round.readings)
      row(doc, reading.label, `${length(reading.measuredMm)}, wanted ${length(reading.wantedMm)}`)
    row(
      doc,
      round.withinTolerance ? 'Within tolerance' : 'Correction',
      `${round.words} ${round.by}, ${clock(round.at)}`,
    )
  })
  if (record.problems.length > 0) {
    heading(doc, 'Found and put right')
    for (const problem of record.problems)
      row(
        doc,
        problem.problem,
        `${problem.place}${problem.comeBack ? ', on the come-back list' : ''}; during "${problem.during}", ${problem.by}, ${clock(problem.at)}`,
      )
  }
  heading(doc, `Steps, ${record.steps.length} of ${record.stepsTotal}`)
  for (const step of record.steps)
    row(
      doc,
      clock(step.at),
      `${step.headline}    ${step.by}${step.earlySeconds === null ? '' : `, wait cut short by ${Math.round(step.earlySeconds / 60)} min`}`,
    )
  if (record.aftercare.length > 0) {
    heading(doc, 'What the customer was told')
    for (const words of record.aftercare)
      doc.font('Helvetica').fontSize(10).fillColor(ink).text(words, left, doc.y, { width })
  }
  doc.end()
  return doc
}

function heading(doc: PDFKit.PDFDocument, text: string) {
  if (doc.y > 720) doc.addPage()
  doc.moveDown(0.9)
  doc.font('Helvetica-Bold').fontSize(12).fillColor(ink).text(text, left, doc.y, { width })
  const y = doc.y + 3
  doc
    .moveTo(left, y)
    .lineTo(left + width, y)
    .lineWidth(0.5)
    .strokeColor(line)
    .stroke()
  doc.y = y + 5
}

function row(doc: PDFKit.PDFDocument, label: string, value: string) {
  doc.font('Helvetica').fontSize(10)
  const valueWidth = width - 175
  const height = Math.max(doc.heightOfString(label, { width: 165 }), doc.heightOfString(value, { width: valueWidth }))
  if (doc.y + height > 780) doc.addPage()
  const y = doc.y
  doc.fillColor(quiet).text(label, left, y, { width: 165 })
  doc.fillColor(ink).text(value, left + 175, y, { width: valueWidth })
  doc.x = left
  doc.y = y + height + 3
}
