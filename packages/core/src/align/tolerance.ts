import { degFromRad } from '../units/index.ts'
import type { Vec2 } from '../geometry/index.ts'
import { type EdgeMargin, type EdgeRules, growthPerRad, ruleAt } from './edgeMargins.ts'

/** How far the piece may go each way before an edge leaves its rule, and which edge that is. */
export interface Room {
  readonly plus: number
  readonly minus: number
  readonly plusEdge: string
  readonly minusEdge: string
}

export interface Tolerance {
  /** To the right (plus) and left, mm. */
  readonly sideMm: Room
  /** Up (plus) and down, mm. */
  readonly upMm: Room
  /** Counter-clockwise (plus) and clockwise, degrees. */
  readonly turnDeg: Room
  /** The spot that decides first, if the piece is off by a like amount in every way. */
  readonly firstToBreak: EdgeMargin | null
}

/**
 * Tolerance of a placed piece, from the margins and how each grows (first order: good for moves small against the
 * radius of the outline). A piece that breaks a rule already has no room in the ways that make it worse, and a
 * negative figure says how far it must come back.
 */
export function tolerance(margins: readonly EdgeMargin[], rules: EdgeRules, about: Vec2): Tolerance {
  const room = (growth: (m: EdgeMargin) => number): Room => {
    let plus = Number.POSITIVE_INFINITY
    let minus = Number.POSITIVE_INFINITY
    let plusEdge = ''
    let minusEdge = ''
    for (const m of margins) {
      const rule = ruleAt(m, rules)
      const g = growth(m)
      if (rule === undefined || Math.abs(g) < 1e-9) continue
      const up = (rule.maxMm - m.marginMm) / Math.abs(g)
      const down = (m.marginMm - rule.minMm) / Math.abs(g)
      const [forPlus, forMinus] = g > 0 ? [up, down] : [down, up]
      if (forPlus < plus) {
        plus = forPlus
        plusEdge = m.edge
      }
      if (forMinus < minus) {
        minus = forMinus
        minusEdge = m.edge
      }
    }
    return { plus, minus, plusEdge, minusEdge }
  }
  const turn = room((m) => growthPerRad(m, about))
  let firstToBreak: EdgeMargin | null = null
  let least = Number.POSITIVE_INFINITY
  for (const m of margins) {
    const rule = ruleAt(m, rules)
    if (rule === undefined) continue
    const left = Math.min(m.marginMm - rule.minMm, rule.maxMm - m.marginMm)
    if (left < least) {
      least = left
      firstToBreak = m
    }
  }
  return {
    sideMm: room((m) => m.growth[0]),
    upMm: room((m) => m.growth[1]),
    turnDeg: { ...turn, plus: degFromRad(turn.plus), minus: degFromRad(turn.minus) },
    firstToBreak,
  }
}
