import { alignRequest } from '@truelay/contract'
import { correctionFromGaps, correctionWords } from '@truelay/core/align'
import { readDocument, valueOrBadInput } from '../input.ts'

/** `align CHECKS.json` */
export function align(file: string | undefined) {
  const correction = valueOrBadInput(correctionFromGaps(readDocument(file, alignRequest).checks))
  const known = (sigma: number) => (Number.isFinite(sigma) ? sigma : null)
  const { moveMm, turnDeg } = correction.sigma
  return {
    ...correction,
    sigma: { moveMm: moveMm.map(known), turnDeg: known(turnDeg) },
    words: correctionWords(correction),
  }
}
