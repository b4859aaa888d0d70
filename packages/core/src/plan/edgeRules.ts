import type { EdgeRule, EdgeRules } from '../align/index.ts'
import type { EdgeCode, FormDoc } from '../form/index.ts'
import type { FoundOnPart } from './findings.ts'
import type { Practice } from '../practice/index.ts'
import { say, type Sentence } from '../say/index.ts'

/** The margin that each way of ending an edge allows before anything is cut or turned, from the shop's figures. */
export function ruleOfCode(code: EdgeCode, practice: Practice): EdgeRule {
  switch (code) {
    case 'stop-short':
      return { minMm: practice.stopShortLeast, maxMm: practice.stopShortMost }
    case 'lip-stop':
      return { minMm: 0, maxMm: practice.lipStopMost }
    case 'wrap':
      return { minMm: -practice.wrapMost, maxMm: -practice.wrapLeast }
    case 'tuck':
      return { minMm: -practice.tuckMost, maxMm: -practice.tuckLeast }
    case 'gap-cut':
    case 'surface-cut':
      return { minMm: -practice.bleedMost, maxMm: -practice.bleedLeast }
    case 'butt':
      return { minMm: 0, maxMm: 0.5 }
    case 'overlap':
      return { minMm: -8, maxMm: -3 }
  }
}

/** The rule of every edge and hole of a form: its own figures where it has them, else those of its code. */
export function edgeRulesOf(form: FormDoc, practice: Practice, found: readonly FoundOnPart[] = []): EdgeRules {
  // Film that stops short may leave more bare on a body that is out of true; it still never passes the edge.
  const slackMm = found.some((f) => f.kind === 'out of true') ? practice.outOfTrueSlack : 0
  return Object.fromEntries(
    [...form.edges, ...form.holes].map((edge) => {
      const usual = ruleOfCode(edge.code, practice)
      const mostMm = edge.marginMaxMm ?? usual.maxMm
      return [
        edge.name,
        { minMm: edge.marginMinMm ?? usual.minMm, maxMm: edge.code === 'stop-short' ? mostMm + slackMm : mostMm },
      ]
    }),
  )
}

const advice: Readonly<Record<EdgeCode, Sentence>> = {
  'stop-short': say`Even gap all round, corners first. Never over the edge.`,
  'lip-stop': say`Stop on the crest: film past a sharp lip lifts.`,
  wrap: say`Trim the overhang, notch each corner, let it dry, turn, press, hold, seal. Scissors, not a knife, near paint.`,
  tuck: say`Push it in as deep as it goes with a thin tool, trim the rest in the gap.`,
  'gap-cut': say`Blade in the empty gap, its back on the lamp, about 45°, away from the vehicle. Keep the waste taut.`,
  'surface-cut': say`Experts only: fresh segment, blade low, through two thirds of the film, then tear along the line.`,
  butt: say`Meets the next piece on the line. What lies underneath goes on first.`,
  overlap: say`Covers the next piece. What lies underneath goes on first.`,
}

export const edgeAdvice = (code: EdgeCode) => advice[code]

export const edgeCodeWords: Readonly<Record<EdgeCode, Sentence>> = {
  'stop-short': say`stop short`,
  'lip-stop': say`lip stop`,
  wrap: say`wrap`,
  tuck: say`tuck`,
  'gap-cut': say`gap cut`,
  'surface-cut': say`cut on the surface`,
  butt: say`butt`,
  overlap: say`overlap`,
}
