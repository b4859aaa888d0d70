import { type Film, type Form, type JobBundle, jobBundle, type Kit, type Part } from '@truelay/contract'
import { edgePlan } from '@truelay/core/edges'
import { buildSurface, formSize } from '@truelay/core/form'
import { calibrated } from '@truelay/core/heat'
import { naturalLay, orderBySchool, type Rehearsal, rehearse, setStage, workedLay } from '@truelay/core/lay'
import { carryRows, layingSequence } from '@truelay/core/pieces'
import {
  type ChosenOrder,
  edgeRulesOf,
  orderPractice,
  rehearsalOptions,
  schoolsFor,
  workOutPart,
} from '@truelay/core/plan'
import { bodyPlan } from '@truelay/core/vehicle'
import { type Practice, practiceWith } from '@truelay/core/practice'
import { type OrderWish, orderWish, searched } from './rehearsal.ts'
import { BadInput, readDocument, valueOrBadInput } from '../input.ts'

/**
 * `plan JOB.json [--order SCHOOL|search]`: the lay sheet of every part of a job bundle, in the job's order; laid as the bundle
 * says, or all parts in the order that is given.
 */
export function plan(file: string | undefined, options: Record<string, string | undefined>) {
  const wish = options.order === undefined ? null : orderWish(options.order)
  if (wish === 'all') throw new BadInput('plan --order takes one school, or search')
  const bundle = readDocument(file, jobBundle)
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
const lineCarryOf = ({ parts, forms, kits }: JobBundle) =>
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
  )

function laySheet(bundle: JobBundle, part: Part, wish: Exclude<OrderWish, 'all'> | null) {
  if (part.formId === null) throw new BadInput(`part "${part.name}" has no form yet; measure it first`)
  const form = needed(bundle.forms, part.formId, 'form', part.name)
  const film = needed(bundle.films, part.filmId, 'film', part.name)
  const piece = part.pieceId === null ? null : needed(bundle.pieces, part.pieceId, 'piece', part.name)
  const found = bundle.findings.filter((f) => f.partId === part.id)
  const surface = valueOrBadInput(buildSurface(form))
  const natural = valueOrBadInput(naturalLay(surface.mesh))
  const worked = valueOrBadInput(
    workedLay(surface.mesh, { take: film.handling.take, limit: 1 + film.handling.warmStretch }),
  )
  const practice = practiceWith(bundle.shop.practice)
  const chosen = chosenOrder(part, wish, form, film, practice)
  const rehearsed = chosen?.rehearsed
  const sheet = valueOrBadInput(
    workOutPart({
      partId: part.id,
      partName: part.name,
      form,
      film,
      pattern: piece?.pattern ?? null,
      schools: schoolsFor(form, film, found, chosen?.order ?? null),
      found,
      room: bundle.job.room,
      low: bodyPlan(bundle.job.vehicle.kind).slots.find((s) => s.id === part.slot)?.low ?? false,
      stock: { alcoholPercent: bundle.shop.stockAlcoholPercent },
      practice,
      surface,
      natural,
      worked,
      shift: part.shift,
      gun: gunOf(bundle),
      rehearsed,
    }),
  )
  const { drawing: _, ...rest } = sheet
  return {
    ...rest,
    stretchPlan: sheet.pulls,
    fingerForecast: sheet.edges.map(({ name, unpulledMmPer100, leftMmPer100 }) => ({
      edge: name,
      unpulledMmPer100,
      leftMmPer100,
    })),
    edgeWork: edgePlan(form, surface, edgeRulesOf(form, practice, found), practice),
    stepWaits: sheet.steps.flatMap((s) => (s.wait ? [{ after: s.id, ...s.wait }] : [])),
    cautions: [...new Set(sheet.steps.flatMap((s) => s.cautions))],
  }
}

/** The gun that the shop counts on, with its readings. */
function gunOf({ shop }: JobBundle) {
  const [first] = shop.guns ?? []
  return first === undefined ? undefined : valueOrBadInput(calibrated(first))
}

/** The order that a part is laid in where one is chosen, rehearsed. */
function chosenOrder(
  part: Part,
  wish: Exclude<OrderWish, 'all'> | null,
  form: Form,
  film: Film,
  practice: Practice,
): { order: ChosenOrder; rehearsed: { rehearsal: Rehearsal; because: string } } | null {
  if (wish === null && part.order == null) return null
  const stage = valueOrBadInput(setStage(form, film))
  if (wish === 'search') {
    const { best, because } = searched(form, film, stage)
    return { order: { order: best.order, because }, rehearsed: { rehearsal: best, because } }
  }
  const order = wish === null ? part.order?.order : orderBySchool(wish, form, stage.surface, orderPractice(practice))
  if (order === undefined) return null
  const because = wish === null ? (part.order?.because ?? '') : ''
  const rehearsal = rehearse(stage, order, rehearsalOptions(practice))
  return { order: { order, because }, rehearsed: { rehearsal, because } }
}

function needed<T extends { id: string }>(list: readonly T[], id: string, what: string, partName: string): T {
  const found = list.find((item) => item.id === id)
  if (found === undefined)
    throw new BadInput(`part "${partName}" needs the ${what} "${id}", which is not in the bundle; export the job again`)
  return found
}
