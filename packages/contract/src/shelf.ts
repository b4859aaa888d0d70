import type { PiecePattern } from '@truelay/core/align'
import { type FilmDoc, filmTypes, waysLaid } from '@truelay/core/plan'
import { type FilmHandling, filmFigures, filmProblem } from '@truelay/core/lay'
import { say } from '@truelay/core/say'
import { pieceSides } from '@truelay/core/stock'
import { z } from 'zod'
import { asIssue } from './failure.ts'
import { point, polygon } from '@truelay/core/geometry'
import { filmId, formId, kitId, modelId, pieceId } from './ids.ts'
import { mirrors } from '@truelay/core/schema'

/** A figure of a film, within the range in which it is believed. */
const figure = (key: keyof FilmHandling) => z.number().min(filmFigures[key].min).max(filmFigures[key].max)

export const filmDoc = z.strictObject({
  id: filmId,
  name: z.string().min(1).max(80),
  type: z.enum(filmTypes),
  laid: z.enum(waysLaid),
  thicknessUm: z.number().min(20).max(500),
  handling: z
    .strictObject({
      take: figure('take'),
      takeWarm: figure('takeWarm'),
      easyStretch: figure('easyStretch'),
      coldStretch: figure('coldStretch'),
      warmStretch: figure('warmStretch'),
      glueLineStretch: figure('glueLineStretch'),
      patternStretch: figure('patternStretch'),
      recovery: figure('recovery'),
      shrinkBack: figure('shrinkBack'),
      stiffnessNPerMm: figure('stiffnessNPerMm'),
      warmSoftness: figure('warmSoftness'),
      narrowing: figure('narrowing'),
      tackNPerCm: figure('tackNPerCm'),
    })
    .superRefine((handling, context) => {
      const problem = filmProblem(handling)
      if (problem !== null) context.addIssue(asIssue(problem))
    }),
  transmission: z.number().gt(0).max(1).optional(),
  /** A printed pattern, which warps when it is stretched. */
  patterned: z.boolean().optional(),
  damageC: z.number().min(60).max(200),
})
mirrors<FilmDoc>()(filmDoc)
export type Film = z.infer<typeof filmDoc>

/** A film as it is put on the shelf; the shop gives it its id. */
export const newFilm = filmDoc.omit({ id: true })
export type NewFilm = z.infer<typeof newFilm>

export const piecePattern = z.strictObject({
  name: z.string().min(1).max(80),
  outline: polygon,
  cutOuts: z.array(polygon).max(20),
  marks: z.array(z.strictObject({ name: z.string().min(1).max(60), at: point })).max(40),
})
mirrors<PiecePattern>()(piecePattern)

/** Where the installer wants the piece, against where it was registered. */
export const pieceShift = z.strictObject({
  xMm: z.number().min(-200).max(200),
  yMm: z.number().min(-200).max(200),
  turnDeg: z.number().min(-30).max(30),
})
export type Shift = z.infer<typeof pieceShift>

/** One shape of a kit. */
export const pieceDoc = z.strictObject({
  id: pieceId,
  kitId,
  name: z.string().min(1).max(80),
  side: z.enum(pieceSides),
  count: z.number().int().min(1).max(20),
  spares: z.number().int().min(0).max(20),
  /** The part that it covers. */
  formId,
  filmId,
  lot: z.string().min(1).max(40),
  pattern: piecePattern,
  /** Where its fits have shown that it sits: every new job begins with it. Left out: where its outline has it. */
  sits: pieceShift.optional(),
})
export type Piece = z.infer<typeof pieceDoc>

/** What one label of the shop says: the piece and its lot. */
export const labelOf = (piece: Pick<Piece, 'id' | 'lot'>) => `TL1/${piece.id}/${piece.lot}`

/** A kit: the pieces of one model that come in one box, and the order in which they have to go on. */
export const kitDoc = z.strictObject({
  id: kitId,
  name: z.string().min(1).max(80),
  modelId,
  rules: z.array(z.strictObject({ first: pieceId, next: pieceId, reason: z.string().min(1).max(200) })).max(60),
  note: z.string().max(400),
  /** Its pieces come cut in their box: no film of the shop's rolls is counted on for them. Left out: they are cut here. */
  comesCut: z.boolean().optional(),
})
export type Kit = z.infer<typeof kitDoc>

/** A kit with all of its pieces, as it comes in one file. */
export const wholeKit = z
  .strictObject({ kit: kitDoc, pieces: z.array(pieceDoc).max(200) })
  .superRefine(({ kit, pieces }, context) => {
    for (const [i, piece] of pieces.entries())
      if (piece.kitId !== kit.id)
        context.addIssue({ ...asIssue(say`belongs to another kit`), path: ['pieces', i, 'kitId'] })
  })
export type WholeKit = z.infer<typeof wholeKit>

/** Everything on the shelf that a job can be fitted from. */
export const shelf = z.strictObject({ films: z.array(filmDoc), kits: z.array(kitDoc), pieces: z.array(pieceDoc) })
export type Shelf = z.infer<typeof shelf>
