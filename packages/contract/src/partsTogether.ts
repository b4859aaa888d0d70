import { formSize } from '@truelay/core/form'
import { type CarriedPiece, carryRows, type LineCarry, type SetMember } from '@truelay/core/pieces'
import { carryReadings, type LinePlace, type SetPlace } from '@truelay/core/plan'
import type { Practice } from '@truelay/core/practice'
import type { Form } from './formDoc.ts'
import type { JobBundle, Part } from './job.ts'
import type { Kit, Piece } from './shelf.ts'

/** Of a job, what tells its parts together. */
interface Sources {
  readonly parts: readonly Part[]
  readonly forms: readonly Form[]
  readonly pieces: readonly Piece[]
  readonly kits: readonly Kit[]
  readonly sets: JobBundle['sets']
}

/** The parts of a job as sets are made of them: only those that somebody has measured. */
export const setMembers = ({ parts, forms, pieces }: Pick<Sources, 'parts' | 'forms' | 'pieces'>): SetMember[] =>
  parts.flatMap((part) => {
    const form = forms.find((f) => f.id === part.formId)
    const piece = pieces.find((p) => p.id === part.pieceId)
    return form === undefined
      ? []
      : [
          {
            id: part.id,
            name: part.name,
            family: form.family,
            filmId: part.filmId,
            piece: piece === undefined ? null : { id: piece.id, kitId: piece.kitId, side: piece.side },
          },
        ]
  })

/** Every rule of the kits of a job. */
export const rulesOfKits = ({ kits }: Pick<Sources, 'kits'>) => kits.flatMap((kit) => kit.rules)

/** Where a part stands in the set that it belongs to; null where it is fitted by itself. */
export function setPlaceOf(
  { parts, forms, sets }: Pick<Sources, 'parts' | 'forms' | 'sets'>,
  id: string,
): SetPlace | null {
  const set = sets.find((s) => s.partIds.includes(id))
  if (set === undefined) return null
  const at = set.partIds.indexOf(id)
  const nameOf = (i: number) => parts.find((p) => p.id === set.partIds[i])?.name ?? null
  const others = set.partIds
    .filter((other) => other !== id)
    .flatMap((other) => {
      const form = forms.find((f) => f.id === parts.find((p) => p.id === other)?.formId)
      return form === undefined ? [] : [formSize(form)]
    })
  return {
    mode: set.mode,
    place: at + 1,
    of: set.partIds.length,
    before: nameOf(at - 1),
    next: nameOf(at + 1),
    others: {
      areaMm2: others.reduce((sum, { widthMm, heightMm }) => sum + widthMm * heightMm, 0),
      edgeMm: others.reduce((sum, { widthMm, heightMm }) => sum + 2 * (widthMm + heightMm), 0),
    },
  }
}

/** Every row of a job that carries one line, each piece with how it gets it. */
export function linesOfRows(
  { parts, forms, pieces, kits }: Pick<Sources, 'parts' | 'forms' | 'pieces' | 'kits'>,
  practice: Practice,
): LineCarry[] {
  const inRow = parts.flatMap((part: Part) => {
    const form: Form | undefined = forms.find((f) => f.id === part.formId)
    const piece = pieces.find((p) => p.id === part.pieceId)
    return form === undefined || piece === undefined
      ? []
      : [
          {
            slot: part.slot,
            id: piece.id,
            name: part.name,
            lengthMm: formSize(form).widthMm,
            openings: form.holes.length + form.marks.length,
          },
        ]
  })
  return carryRows(inRow, rulesOfKits({ kits }), carryReadings(practice))
}

/** How one part of a row gets its line; null where it stands in none. */
export function linePlaceOf(rows: readonly LineCarry[], pieceId: string | null): LinePlace | null {
  const row = rows.find((r) => r.pieces.some((p) => p.id === pieceId))
  const own = row?.pieces.find((p) => p.id === pieceId)
  if (row === undefined || own === undefined) return null
  const datum = row.pieces.find((p) => p.placed === 'datum')
  // Outward from the datum: the neighbour on the side of the datum.
  const towards = own.place > (datum?.place ?? own.place) ? -1 : 1
  const from: CarriedPiece | undefined = row.pieces.find((p) => p.place === own.place + towards)
  const { placed, nearSigmaMm, farSigmaMm, measureAtMm } = own
  return {
    placed,
    nearSigmaMm,
    farSigmaMm,
    measureAtMm,
    from: placed === 'datum' ? null : (from?.name ?? null),
    joints: row.pieces.length - 1,
  }
}
