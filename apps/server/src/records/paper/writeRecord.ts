import { findingMeanings } from '@truelay/core/plan'
import { becameOf, curedBy, type PartRecord, type PhotoId, type Shop } from '@truelay/contract'
import { causeOf, cureStep, faultWords } from '@truelay/core/judge'
import { bladeUsedWords, pullMadeWords } from '@truelay/core/memory'
import { strengthWords } from '@truelay/core/mix'
import {
  clock,
  count,
  counted,
  length,
  minutes,
  name,
  paragraph,
  percent,
  say,
  type Sentence,
  temperature,
  verbatim,
  volume,
} from '@truelay/core/say'
import type { Words } from '@truelay/words'
import { format } from 'date-fns'
import { Sheet } from './sheet.ts'
import type { Faces } from './faces.ts'

const day = (moment: string) => name(format(new Date(moment), 'd MMMM yyyy'))

interface RecordPaper {
  readonly record: PartRecord
  readonly shop: Pick<Shop, 'name' | 'address' | 'warranty' | 'warrantyLevel'>
  readonly words: Words
  readonly faces: Faces
  /** The file of a photo; null where it is gone. */
  readonly photoFile: (id: PhotoId) => string | null
}

/** The record of a part as a PDF of A4 pages, in the words of the shop. */
export function writeRecord(paper: RecordPaper): PDFKit.PDFDocument {
  const { record, shop } = paper
  const sheet = new Sheet(paper.faces, {
    title: `${record.job.number} ${record.part.name}`,
    author: shop.name,
    language: 'en',
  })
  recordPages(sheet, paper)
  return ended(sheet, paper.words)
}

interface RecordsPaper extends Omit<RecordPaper, 'record'> {
  readonly records: readonly PartRecord[]
  readonly job: Pick<PartRecord['job'], 'number'>
}

/** The records of all parts of a job in one, each beginning on a page of its own. */
export function writeRecords({ records, job, ...paper }: RecordsPaper): PDFKit.PDFDocument {
  const sheet = new Sheet(paper.faces, { title: job.number, author: paper.shop.name, language: 'en' })
  for (const record of records) {
    sheet.onNewPage()
    recordPages(sheet, { ...paper, record })
  }
  return ended(sheet, paper.words)
}

const ended = (sheet: Sheet, words: Words) =>
  sheet.end(words(say`stands for a sign that this paper has no letter for.`))

function recordPages(sheet: Sheet, { record, shop, words, photoFile }: Omit<RecordPaper, 'faces'>): void {
  const { job, part, lines } = record
  const heading = (says: Sentence) => sheet.heading(words(says))
  const row = (label: Sentence, value: Sentence) => sheet.row(words(label), words(value))

  sheet.paragraph(words(say`${name(shop.name)}    Record of a fitted part`), 'quiet')
  if (shop.address !== '') sheet.paragraph(shop.address.split('\n').join(', '), 'quiet')
  sheet.title(words(say`${name(job.vehicle.model)}, ${name(part.name)}`))
  sheet.paragraph(words(say`Job ${name(job.number)}, ${name(job.customer)}, plate ${name(job.vehicle.plate)}`), 'quiet')
  if (record.startedAt !== null)
    sheet.paragraph(
      words(
        record.finishedAt === null
          ? say`${day(record.startedAt)}, ${clock(record.startedAt)}, not finished`
          : say`${day(record.startedAt)}, ${clock(record.startedAt)} to ${clock(record.finishedAt)}`,
      ),
      'quiet',
    )

  const pictures = (photos: readonly { readonly id: PhotoId }[], says: Sentence) =>
    sheet.pictures(
      photos.flatMap(({ id }) => {
        const file = photoFile(id)
        return file === null ? [] : [{ file, words: words(says) }]
      }),
    )

  heading(say`Film`)
  row(say`${name(record.film.name)}`, pieceWords(record))
  row(say`Room`, say`${temperature(job.room.temperatureC)}, ${percent(job.room.humidityPercent)}`)
  for (const { question, choice } of record.schools) row(question, choice)
  if (record.light !== null) row(say`Light`, record.light)

  if (record.found.length > 0) {
    heading(say`Found on the part before`)
    for (const { kind, note, later, photos } of record.found) {
      row(
        findingMeanings[kind].says,
        paragraph(note !== '' && verbatim(note), later && say`Found after the customer signed.`),
      )
      pictures(photos, findingMeanings[kind].says)
    }
  }
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
  if (lines.waitSet.length + lines.bladeUsed.length + lines.heatRead.length + lines.pullMade.length > 0) {
    heading(say`Air and blades`)
    for (const { at, roomC, humidityPercent, minutes: wait } of lines.waitSet)
      row(
        say`${clock(at)}`,
        say`${temperature(roomC, 1)}, ${percent(humidityPercent)}: wait of ${minutes(Math.round(wait))}`,
      )
    for (const { at, readC, wantedC } of lines.heatRead)
      row(say`${clock(at)}`, say`thermometer ${temperature(readC)}, planned ${temperature(wantedC)}`)
    for (const pull of lines.pullMade) row(say`${clock(pull.at)}`, pullMadeWords(pull))
    if (lines.bladeUsed.length > 0) row(say`Blade`, bladeUsedWords(lines.bladeUsed))
  }
  if (lines.problemSeen.length > 0) {
    heading(say`Found and put right`)
    for (const seen of lines.problemSeen) {
      row(
        faultWords(seen.problem),
        paragraph(
          say`${name(seen.place)}; ${becameOf(seen, lines)}.`,
          seen.cause !== undefined && say`Most likely cause: ${causeOf(seen.cause).says}.`,
          ...(curedBy(seen, lines) ?? []).map((id) => cureStep(id).says),
          say`During "${seen.during}", ${name(seen.by)}, ${clock(seen.at)}.`,
        ),
      )
      pictures(seen.photos ?? [], faultWords(seen.problem))
    }
  }
  if (lines.photographed.length > 0) {
    heading(say`Before and after`)
    for (const { when, photo } of lines.photographed)
      pictures([photo], when === 'before' ? say`The part before the fit` : say`The part after the fit`)
  }
  if (lines.lookedAt.length > 0) {
    heading(say`The last look`)
    const last = [...new Map(lines.lookedAt.map((line) => [line.stop, line])).values()]
    const wrong = last.filter(({ verdict }) => verdict === 'fault').length
    row(
      say`Walked round`,
      wrong === 0
        ? say`${counted(last.length, '# place', '# places')}, all good.`
        : say`${counted(last.length, '# place', '# places')}, something was found at ${count(wrong)}.`,
    )
    for (const { label, measuredMm, wantedMm } of last.flatMap(({ readings }) => readings))
      row(label, say`${length(measuredMm)}, wanted ${length(wantedMm)}`)
    pictures(
      last.flatMap(({ photos }) => photos),
      say`after the fit`,
    )
  }
  heading(say`Steps, ${count(record.steps.length)} of ${count(record.stepsTotal)}`)
  for (const { headline, at, by, earlySeconds, plannedMinutes, workedMinutes } of record.steps)
    row(
      say`${clock(at)}`,
      paragraph(
        say`${headline}    ${name(by)}`,
        workedMinutes !== null &&
          say`${minutes(Math.round(workedMinutes))}, planned ${minutes(Math.round(plannedMinutes))}.`,
        earlySeconds !== null && say`Wait cut short by ${minutes(Math.round(earlySeconds / 60))}.`,
      ),
    )
  if (record.aftercare.length > 0) {
    heading(say`What the customer was told`)
    for (const told of record.aftercare) sheet.paragraph(words(told))
  }
  if (shop.warranty !== '') {
    heading(say`What the shop promises`)
    sheet.paragraph(shop.warranty)
    if (shop.warrantyLevel !== undefined && shop.warrantyLevel !== '')
      sheet.paragraph(words(say`For what lies flat: ${verbatim(shop.warrantyLevel)}`))
  }
}

function pieceWords({ kit, piece, lot }: PartRecord): Sentence {
  const from = kit === null ? say`cut from the roll` : say`${name(kit)}`
  return lot === null
    ? say`${from}, piece ${name(piece)}, lot not noted`
    : say`${from}, piece ${name(piece)}, lot ${name(lot)}`
}
