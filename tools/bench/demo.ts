import { readFileSync } from 'node:fs'
import { type Film, filmDoc, type Form, formDoc, type Piece, pieceDoc } from '@truelay/contract'
import type { PiecePattern } from '@truelay/core/align'
import { nothingChosen, partQuestion } from '@truelay/core/plan'
import { practiceWith } from '@truelay/core/practice'

/** A file of the demo shop, by its path below demo/. */
export const demoFile = (path: string): unknown => JSON.parse(readFileSync(`demo/${path}`, 'utf8'))
export const formOf = (name: string): Form => formDoc.parse(demoFile(`forms/${name}.json`))
export const filmOf = (name: string): Film => filmDoc.parse(demoFile(`films/${name}.json`))
export const pieceOf = (name: string): Piece => pieceDoc.parse(demoFile(`pieces/${name}.json`))

/** The question of a measured part about which nothing was chosen. */
export const questionOf = (form: Form, film: Film, pattern: PiecePattern | null) =>
  partQuestion({
    partId: form.id,
    partName: form.name,
    films: [],
    form,
    film,
    pattern,
    found: [],
    low: false,
    chosen: null,
    choices: nothingChosen,
    set: null,
    line: null,
    measured: true,
    stock: { alcoholPercent: 70 },
    practice: practiceWith(),
  })
