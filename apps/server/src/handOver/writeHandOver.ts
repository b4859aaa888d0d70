import type { HandOver, Job, Shop } from '@truelay/contract'
import { faultWords } from '@truelay/core/judge'
import { findingMeanings } from '@truelay/core/plan'
import { clauses, clock, day, name, paragraph, say, type Sentence, verbatim } from '@truelay/core/say'
import type { Words } from '@truelay/words'
import type { Faces } from '../records/paper/faces.ts'
import { Sheet } from '../records/paper/sheet.ts'

interface HandOverPaper {
  readonly sheet: HandOver
  readonly job: Job
  readonly shop: Pick<Shop, 'name' | 'address' | 'warranty' | 'warrantyLevel'>
  readonly words: Words
  readonly faces: Faces
}

/** The page that the owner takes along: what was done, what to mind and until when, what was found and what stays. */
export function writeHandOver({ sheet, job, shop, words, faces }: HandOverPaper): PDFKit.PDFDocument {
  const { vehicle } = job
  const paper = new Sheet(faces, { title: `${job.number} ${vehicle.plate}`, author: shop.name, language: 'en' })
  const heading = (says: Sentence) => paper.heading(words(says))
  const row = (label: Sentence, value: Sentence) => paper.row(words(label), words(value))
  paper.paragraph(words(say`${name(shop.name)}    For the owner`), 'quiet')
  if (shop.address !== '') paper.paragraph(shop.address.split('\n').join(', '), 'quiet')
  paper.title(words(say`${name(vehicle.model)}, ${name(vehicle.plate)}`))
  paper.paragraph(words(say`Job ${name(job.number)}, ${name(job.customer)}`), 'quiet')

  heading(say`What was fitted`)
  for (const part of sheet.parts)
    row(
      say`${name(part.name)}`,
      part.finishedAt === null
        ? say`not fitted`
        : say`${name(part.film)}, ${day(part.finishedAt)}, ${clock(part.finishedAt)}`,
    )
  if (sheet.told !== null) {
    heading(say`Please mind`)
    for (const { says } of sheet.told.lines) paper.paragraph(words(says))
  }
  const lamps = sheet.parts.filter((part) => part.light !== null)
  if (lamps.length > 0) {
    heading(say`Light`)
    for (const { name: called, light, acknowledged } of lamps)
      row(
        say`${name(called)}`,
        paragraph(light, acknowledged !== null && say`Read by ${name(acknowledged.name)}, ${day(acknowledged.at)}.`),
      )
  }
  const found = sheet.parts.filter((part) => part.found.length > 0)
  if (found.length > 0) {
    heading(say`Found before the work`)
    for (const part of found)
      row(
        say`${name(part.name)}`,
        say`${clauses(part.found.map(({ kind, note }) => (note === '' ? findingMeanings[kind].says : say`${findingMeanings[kind].says} (${verbatim(note)})`)))}`,
      )
  }
  const left = sheet.parts.flatMap((part) => part.left.map((one) => ({ ...one, part: part.name })))
  if (left.length > 0) {
    heading(say`Left as it is`)
    for (const { part, problem, place, accepted } of left)
      row(
        say`${name(part)}`,
        accepted
          ? say`${faultWords(problem)}, ${name(place)}: seen and taken as it is`
          : say`${faultWords(problem)}, ${name(place)}: we look at it again`,
      )
  }
  if (sheet.looks.length > 0) {
    heading(say`We look at the edges again`)
    const days = [...new Map(sheet.looks.map(({ at }) => [at, at])).values()].sort()
    for (const at of days.slice(0, 6)) row(say`${day(at)}`, say`${clock(at)}`)
  }
  if (shop.warranty !== '') {
    heading(say`What the shop promises`)
    paper.paragraph(shop.warranty)
    const level = sheet.told?.lines.some(({ about }) => about === 'level') === true
    if (level && shop.warrantyLevel !== undefined && shop.warrantyLevel !== '')
      paper.paragraph(words(say`For what lies flat: ${verbatim(shop.warrantyLevel)}`))
  }
  if (sheet.handedOver !== null) {
    heading(say`Handed over`)
    row(
      say`${day(sheet.handedOver.at)}`,
      sheet.handedOver.name === ''
        ? say`${clock(sheet.handedOver.at)}, nobody signed`
        : say`${clock(sheet.handedOver.at)}, to ${name(sheet.handedOver.name)}`,
    )
    if (sheet.handedOver.strokes.length > 0) paper.signature(sheet.handedOver.strokes, sheet.handedOver.name)
  }
  return paper.end(words(say`stands for a sign that this paper has no letter for.`))
}
