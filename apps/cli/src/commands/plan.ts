import { documents, type JobBundle, type Kit, type Part, partQuestionOf } from '@truelay/contract'
import { edgePlan } from '@truelay/core/edges'
import { formSize } from '@truelay/core/form'
import { calibrated } from '@truelay/core/heat'
import { orderBySchool, setStage } from '@truelay/core/lay'
import { carryRows, layingSequence } from '@truelay/core/pieces'
import { anyDay, carryReadings, type ChosenOrder, climb, orderPractice, type PartQuestion } from '@truelay/core/plan'
import { practiceWith } from '@truelay/core/practice'
import { nothing } from '@truelay/core/say'
import { BadInput, readKept, valueOrBadInput } from '../input.ts'
import { type OrderWish, orderWish, searched } from './rehearsal.ts'

/**
 * `plan JOB.json [--order SCHOOL|search]`: the lay sheet of every part of a job bundle, in the job's order; laid as the bundle
 * says, or all parts in the order that is given.
 */
export function plan(file: string | undefined, options: Record<string, string | undefined>) {
  const wish = options.order === undefined ? null : orderWish(options.order)
  if (wish === 'all') throw new BadInput('plan --order takes one school, or search')
  const bundle = readKept(file, documents.jobBundle)
  return {
    job: { id: bundle.job.id, number: bundle.job.number, vehicle: bundle.job.vehicle },
    parts: bundle.parts.map((part) => laySheet(bundle, part, wish)),
    sequence: bundle.kits.map((kit) => ({ kit: kit.id, pieces: sequenceOf(bundle, kit) })),
    lineCarry: lineCarryOf(bundle),
  }
}

/** The pieces of a kit that this job uses, in the order in which they go on. */
const sequenceOf = (bundle: JobBundle, kit: Kit) =>
  valueOrBadInput(
    layingSequence(
      bundle.pieces.filter((p) => p.kitId === kit.id && bundle.parts.some((part) => part.pieceId === p.id)),
      kit.rules,
    ),
  )

/** Rows of pieces whose line runs through: the datum, and where to measure up. */
const lineCarryOf = ({ parts, forms, kits, shop }: JobBundle) =>
  carryRows(
    parts.flatMap((part) => {
      const form = forms.find((f) => f.id === part.formId)
      if (form === undefined) return []
      const openings = form.holes.length + form.marks.length
      return [
        { slot: part.slot, id: part.pieceId ?? part.id, name: part.name, lengthMm: formSize(form).widthMm, openings },
      ]
    }),
    kits.flatMap((kit) => kit.rules),
    carryReadings(practiceWith(shop.practice)),
  )

function laySheet(bundle: JobBundle, part: Part, wish: Exclude<OrderWish, 'all'> | null) {
  const usual = questionOf(bundle, part)
  const order = wish === null ? part.order : orderFor(wish, usual)
  const question = order === part.order ? usual : questionOf(bundle, { ...part, order })
  const { job } = bundle
  const today = { ...anyDay, shift: part.shift, room: job.room, gun: gunOf(bundle) }
  const { laid, plan: sheet } = valueOrBadInput(climb(question, today))
  const { drawing: _, ...rest } = sheet
  return {
    ...rest,
    stretchPlan: sheet.pulls,
    fingerForecast: sheet.edges.map(({ name, unpulledMmPer100, leftMmPer100 }) => ({
      edge: name,
      unpulledMmPer100,
      leftMmPer100,
    })),
    edgeWork: edgePlan(laid.form, laid.surface, question.place.rules, question.work.practice),
    stepWaits: sheet.steps.flatMap((s) => (s.wait ? [{ after: s.id, ...s.wait }] : [])),
    cautions: [
      ...new Map(sheet.steps.flatMap((s) => s.cautions.map((c) => [JSON.stringify(c.says), c.says]))).values(),
    ],
  }
}

function questionOf(bundle: JobBundle, part: Part): PartQuestion {
  const question = partQuestionOf(bundle, part)
  if (question !== null) return question
  if (part.formId === null)
    throw new BadInput(
      `part "${part.name}" has no form, and its place "${part.slot}" is none of such a vehicle; measure it first`,
    )
  const missing = (
    [
      ['form', part.formId, bundle.forms],
      ['film', part.filmId, bundle.films],
      ['piece', part.pieceId, bundle.pieces],
    ] as const
  ).find(([, id, list]) => id !== null && !list.some((item) => item.id === id))
  throw new BadInput(
    `part "${part.name}" needs the ${missing?.[0]} "${missing?.[1]}", which is not in the bundle; export the job again`,
  )
}

/** The gun that the shop counts on, with its readings. */
function gunOf({ shop }: JobBundle) {
  const [first] = shop.guns
  return first === undefined ? null : valueOrBadInput(calibrated(first))
}

/** The order that was asked for, on this part. */
function orderFor(wish: Exclude<OrderWish, 'all'>, { lay, work }: PartQuestion): ChosenOrder {
  const stage = valueOrBadInput(setStage(lay.form, lay.film))
  if (wish === 'search') {
    const { best, because } = searched(stage)
    return { order: best.order, because }
  }
  return { order: orderBySchool(wish, lay.form, stage.surface, orderPractice(work.practice)), because: nothing }
}
