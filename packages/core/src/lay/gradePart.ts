import type { FormDoc, PartSurface } from '../form/index.ts'
import { type GradeLimits, grade, gradeDefaults, gradeWords } from './grade.ts'
import { type Bridging, bridging, type HollowSection } from './handling/bridging.ts'
import type { FilmHandling } from './handling/filmHandling.ts'
import type { LayFigures } from './layTypes.ts'
import { angle, counted, length, name, say, type Sentence } from '../say/index.ts'

export interface PartGrade {
  readonly grade: 1 | 2 | 3 | 4 | 5
  /** What makes it so, the hardest first; each a clause for an installer. */
  readonly reasons: readonly Sentence[]
}

const gradeOfHollow: Readonly<Record<Bridging['comesDown'], 1 | 2 | 3 | 4 | 5>> = {
  'by itself': 1,
  'with a finger': 2,
  warm: 3,
  'not at all': 5,
}

const hollowWords: Readonly<Record<Bridging['comesDown'], Sentence>> = {
  'by itself': say`film follows it`,
  'with a finger': say`a finger brings film down into it`,
  warm: say`film has to be warmed into it`,
  'not at all': say`no film spans it: lay it from its bottom, or cut`,
}

/**
 * Difficulty of a part for a film: the worse of how unevenly the film has to stretch and of its hollows, one more where a
 * sharp lip runs round a part that is hard already. A bending radius, size and openings are named but do not count by themselves.
 */
export function gradePart(
  form: FormDoc,
  surface: Pick<PartSurface, 'figures'>,
  figures: LayFigures,
  film: FilmHandling,
  limits: GradeLimits = gradeDefaults,
): PartGrade {
  const found: { grade: number; says: Sentence }[] = [
    { grade: grade(figures, limits), says: gradeWords(figures, limits) },
  ]
  for (const recess of form.recesses) {
    const xs = recess.outline.map((p) => p[0])
    const ys = recess.outline.map((p) => p[1])
    const widthMm = Math.min(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys))
    found.push(hollow(recess.name, { ...recess, widthMm }, film))
  }
  for (const channel of form.channels ?? []) found.push(hollow(channel.name, channel, film))
  for (const raised of form.raised ?? []) {
    const xs = raised.outline.map((p) => p[0])
    const ys = raised.outline.map((p) => p[1])
    const widthMm = Math.min(Math.max(...xs) - Math.min(...xs), Math.max(...ys) - Math.min(...ys))
    const { comesDown } = bridging({ widthMm, depthMm: raised.heightMm, wallDeg: raised.wallDeg, long: false }, film)
    found.push({
      grade: gradeOfHollow[comesDown],
      says: say`${name(raised.name)} stands up ${length(raised.heightMm)}: it takes film from all sides`,
    })
  }
  const lip = form.edges.find((e) => e.lip !== undefined && e.lip.turnDeg >= 60)
  if (lip !== undefined) {
    const hardest = Math.max(...found.map((f) => f.grade))
    found.push({
      grade: hardest >= 3 ? hardest + 1 : 1,
      says: say`the ${name(lip.label)} turns away by ${angle(lip.lip?.turnDeg ?? 0)}: film that passes it lifts`,
    })
  }
  const openings = form.holes.length
  if (openings > 0) found.push({ grade: 1, says: say`${counted(openings, 'one opening', '# openings')} to meet` })
  if (surface.figures.areaMm2 > 1e6) found.push({ grade: 1, says: say`large: two people, or half at a time` })
  found.sort((a, b) => b.grade - a.grade)
  const most = Math.min(5, Math.max(...found.map((f) => f.grade))) as PartGrade['grade']
  return { grade: most, reasons: found.map((f) => f.says) }
}

function hollow(called: string, section: Omit<HollowSection, 'long'>, film: FilmHandling) {
  const { comesDown } = bridging({ ...section, long: false }, film)
  return {
    grade: gradeOfHollow[comesDown],
    says: say`${name(called)}, ${length(section.depthMm)} deep: ${hollowWords[comesDown]}`,
  }
}
