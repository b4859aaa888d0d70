import type { PartRecord } from '@truelay/contract'
import { faultWords } from '@truelay/core/judge'
import { strengthWords } from '@truelay/core/mix'
import {
  clock,
  count,
  length,
  minutes,
  name,
  paragraph,
  percent,
  say,
  type Sentence,
  temperature,
  volume,
} from '@truelay/core/say'
import type { Words } from '@truelay/words'
import { format } from 'date-fns'
import PDFDocument from 'pdfkit'

const ink = '#1B2733'
const quiet = '#5B6670'
const line = '#D8D6CE'
const left = 56
const width = 483

const day = (moment: string) => name(format(new Date(moment), 'd MMMM yyyy'))

/** The record of a part as a PDF of A4 pages, in the words of the shop. */
export function writePdf(record: PartRecord, shopName: string, words: Words): PDFKit.PDFDocument {
  const doc = new PDFDocument({
    size: 'A4',
    margins: { top: 56, bottom: 56, left, right: 56 },
    info: { Title: `${record.job.number} ${record.part.name}`, Author: shopName },
  })
  const heading = (says: Sentence) => writeHeading(doc, words(says))
  const row = (label: Sentence, value: Sentence) => writeRow(doc, words(label), words(value))

  const { job, part, lines } = record
  doc.font('Helvetica').fontSize(9).fillColor(quiet)
  doc.text(words(say`${name(shopName)}    Record of a fitted part`))
  doc
    .moveDown(0.3)
    .font('Helvetica-Bold')
    .fontSize(22)
    .fillColor(ink)
    .text(words(say`${name(job.vehicle.model)}, ${name(part.name)}`))
  doc.font('Helvetica').fontSize(10).fillColor(quiet)
  doc.text(words(say`Job ${name(job.number)}, ${name(job.customer)}, fleet number ${name(job.vehicle.plate)}`))
  if (record.startedAt !== null)
    doc.text(
      words(
        record.finishedAt === null
          ? say`${day(record.startedAt)}, ${clock(record.startedAt)}, not finished`
          : say`${day(record.startedAt)}, ${clock(record.startedAt)} to ${clock(record.finishedAt)}`,
      ),
    )

  heading(say`Film`)
  row(say`${name(record.film.name)}`, pieceWords(record))
  row(say`Room`, say`${temperature(job.room.temperatureC)}, ${percent(job.room.humidityPercent)}`)
  for (const { question, choice } of record.schools) row(question, choice)
  if (record.light !== null) row(say`Light`, record.light)

  if (lines.batchMixed.length > 0) {
    heading(say`Batches`)
    for (const batch of lines.batchMixed)
      row(
        say`${name(batch.number)}`,
        say`${batch.says}, ${volume(batch.batchMl)}, ${strengthWords(batch)}; ${name(batch.by)}, ${clock(batch.at)}`,
      )
  }
  if (lines.bottleTaken.length > 0) {
    heading(say`Bottles in hand`)
    for (const { number, says, asPlanned, use, by, at } of lines.bottleTaken)
      row(
        use === 'slip' ? say`slip, ${name(number)}` : say`tack, ${name(number)}`,
        asPlanned
          ? say`${says}; ${name(by)}, ${clock(at)}`
          : say`${says}, not the planned one; ${name(by)}, ${clock(at)}`,
      )
  }
  lines.gapsMeasured.forEach((round, i) => {
    heading(i === 0 ? say`Gaps, first measured` : say`Gaps, measured again (${count(i + 1)})`)
    for (const reading of round.readings)
      row(reading.label, say`${length(reading.measuredMm)}, wanted ${length(reading.wantedMm)}`)
    row(
      round.withinTolerance ? say`Within tolerance` : say`Correction`,
      say`${round.words} ${name(round.by)}, ${clock(round.at)}`,
    )
  })
  if (lines.problemSeen.length > 0) {
    heading(say`Found and put right`)
    for (const { problem, place, comeBack, during, by, at } of lines.problemSeen)
      row(
        faultWords(problem),
        comeBack
          ? say`${name(place)}, on the come-back list; during "${during}", ${name(by)}, ${clock(at)}`
          : say`${name(place)}; during "${during}", ${name(by)}, ${clock(at)}`,
      )
  }
  heading(say`Steps, ${count(record.steps.length)} of ${count(record.stepsTotal)}`)
  for (const { headline, at, by, earlySeconds } of record.steps)
    row(
      say`${clock(at)}`,
      paragraph(
        say`${headline}    ${name(by)}`,
        earlySeconds !== null && say`Wait cut short by ${minutes(Math.round(earlySeconds / 60))}.`,
      ),
    )
  if (record.aftercare.length > 0) {
    heading(say`What the customer was told`)
    for (const told of record.aftercare)
      doc.font('Helvetica').fontSize(10).fillColor(ink).text(words(told), left, doc.y, { width })
  }
  doc.end()
  return doc
}

function pieceWords({ kit, piece, lot }: PartRecord): Sentence {
  const from = kit === null ? say`cut from the roll` : say`${name(kit)}`
  return lot === null
    ? say`${from}, piece ${name(piece)}, lot not noted`
    : say`${from}, piece ${name(piece)}, lot ${name(lot)}`
}

function writeHeading(doc: PDFKit.PDFDocument, text: string) {
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

function writeRow(doc: PDFKit.PDFDocument, label: string, value: string) {
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
