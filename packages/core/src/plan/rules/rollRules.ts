import { length, say, type Sentence } from '../../say/index.ts'
import { boundsOf, centroid, type Vec2 } from '../../geometry/index.ts'
import { rollTooNarrow } from '../pieceCut.ts'
import type { PlanContext } from '../planContext.ts'
import type { PictureMark } from '../step.ts'
import { stepWait } from '../waitPlan.ts'
import { middleOf } from './strokes.ts'
import { caution, fromRoll, isLens, isWet, labelsOf, partWord, type PlanRule, wholePart } from './rule.ts'

/** The sheet is cut before the part is made wet. */
export const sheetRule: PlanRule = {
  name: 'cut a sheet from the roll',
  when: fromRoll,
  steps: (c) => [
    {
      id: 'cut-sheet',
      phase: 'prepare',
      headline: sheetWords(c),
      detail: sheetDetail(c),
      why: isLens(c)
        ? say`The bleed is where you hold it: what is cut too small has no hold.`
        : say`Enough over to pull and to hold; less runs out at the far corner.`,
      minutes: c.practice.takesCutSheet,
      tools: ['tape measure', 'knife'],
      cautions: [caution('blade', say`Cut the roll on its own board, away from the vehicle.`)],
      picture: wholePart('floating'),
    },
  ],
}

/** Film that is laid in one fluid from its middle has a mark there, and so has the part. */
export const markMiddleRule: PlanRule = {
  name: 'mark the middle of part and film',
  when: (c) => c.schools.slip === 'single fluid',
  steps: (c) => [
    {
      id: 'centre-mark',
      phase: 'prepare',
      headline: say`Mark the middle of ${partWord(c)} and of the film`,
      detail: say`A strip of tape above and below the part, and one on the liner’s edge: the three stand in line.`,
      why: say`From the middle both sides get the same film; a hand off it, and one end is short.`,
      minutes: c.practice.takesMiddleMark,
      tools: ['masking tape', 'tape measure'],
      picture: wholePart('none', [{ kind: 'zone', at: middleOf(c), radiusMm: 30, text: say`middle` }]),
    },
  ],
}

/** A sheet has no gap to read: its surplus is shared out. */
export const surplusRule: PlanRule = {
  name: 'surplus even all round',
  when: fromRoll,
  steps: (c) => [
    {
      id: 'even-surplus',
      phase: 'place',
      headline: say`Surplus even all round`,
      detail: isWet(c)
        ? say`${overWords(c)} Slide it until it is so on all sides.`
        : say`Liner on, hold it over ${partWord(c)}: ${overWords(c)} Mark its middle.`,
      why: say`A sheet that sits askew runs out at one corner, and there is no more to pull.`,
      minutes: c.practice.takesSurplus,
      tools: isWet(c) ? ['wet hands'] : ['piece'],
      liquids: isWet(c) ? ['slip'] : [],
      picture: wholePart('floating', surplusMarks(c)),
      ...(isWet(c) ? { driesInMinutes: c.wetMinutes } : {}),
    },
  ],
}

/** Film off the roll has no openings yet: where something stands out of the part it has to be let through. */
export const openUpRule: PlanRule = {
  name: 'open a sheet over what stands out',
  when: (c) => fromRoll(c) && c.drawing.holes.length > 0,
  steps: (c) => [
    {
      id: 'open-up',
      phase: 'lay',
      headline: say`Open the film over the ${holesOf(c)}`,
      detail: say`A star from the middle of each, no nearer than ${length(c.practice.openingLeave)} to its rim, the end of every cut rounded. What lies flush can wait until it is dry.`,
      why: say`Film that stands on something tents round it, and tears from a pointed cut.`,
      minutes: c.drawing.holes.length * c.practice.takesOpenUp,
      tools: ['knife', 'sharps box'],
      cautions: [caution('blade', say`Blade flat and away from the paint: the film is cut, not what is beneath.`)],
      picture: wholePart(
        'floating',
        c.drawing.holes.map((hole) => ({ kind: 'zone', at: centroid(hole), radiusMm: reachOf(hole) })),
      ),
    },
  ],
}

/** Surplus that hangs over a wet lens is cut away before its edges are tacked. */
export const roughTrimRule: PlanRule = {
  name: 'surplus of a sheet cut away roughly',
  when: (c) => fromRoll(c) && isWet(c) && isLens(c),
  steps: (c) => [
    {
      id: 'rough-trim',
      phase: 'lay',
      headline: say`Cut the surplus away roughly`,
      detail: say`Scissors, ${length(c.practice.roughTrim)} left all round, corners rounded.`,
      why: say`What hangs over pulls at the edge while it is tacked, and sticks to the mask.`,
      minutes: c.practice.takesRoughTrim,
      tools: ['scissors'],
      cautions: [caution('blade', say`Scissors, not a knife, near paint.`)],
      picture: wholePart('floating', [{ kind: 'edge', edge: '*', text: say`rough` }]),
    },
  ],
}

/** What was opened roughly is cut to its rule once it is dry. */
export const trimOpeningsRule: PlanRule = {
  name: 'trim the openings of a sheet',
  when: (c) => fromRoll(c) && c.drawing.holes.length > 0,
  steps: (c) => [
    {
      id: 'trim-openings',
      phase: 'edges',
      headline: say`Cut round the ${holesOf(c)}`,
      detail: say`Blade in the gap round each, its back on what stands there; turn the film in where it goes under.`,
      why: say`An opening shows the least shift, and its rim is where water gets in.`,
      minutes: c.drawing.holes.length * c.practice.takesOpeningCut,
      tools: ['knife', 'sharps box'],
      records: 'blade',
      cutMm: Math.round(c.drawing.holes.reduce((sum, hole) => sum + Math.PI * 2 * reachOf(hole), 0)),
      gate: isWet(c) ? say`The edge has dried.` : say`The film has cooled.`,
      ...(isWet(c) ? { notBefore: { ...stepWait('beforeTrim', c.waits, c.solutions), since: 'flush-edges' } } : {}),
      cautions: [
        caution('blade', say`Blade never on paint, away from your other hand. Old segment into the sharps box.`),
      ],
      picture: wholePart(
        'laid',
        c.drawing.holes.map((hole) => ({ kind: 'zone', at: centroid(hole), radiusMm: reachOf(hole) })),
      ),
    },
  ],
}

const holesOf = (c: PlanContext) => labelsOf(c.form.holes)

const reachOf = (hole: readonly Vec2[]) => {
  const { min, max } = boundsOf(hole)
  return Math.max(max[0] - min[0], max[1] - min[1]) / 2
}

/** Nobody cuts a roll to the millimetre. */
const cutTo = (mm: number) => length(10 * Math.ceil(mm / 10), 0)

function sheetWords({ cut: { sheet } }: PlanContext): Sentence {
  return sheet === null
    ? say`Two sheets from the roll`
    : say`Cut ${cutTo(sheet.lengthMm)} by ${cutTo(sheet.widthMm)} from the roll`
}

function sheetDetail(c: PlanContext): Sentence {
  const { sheet } = c.cut
  if (sheet === null) return rollTooNarrow({ rollWidthMm: c.practice.rollWidth })
  return say`${cutTo(sheet.ofRollMm)} off a roll ${length(sheet.rollWidthMm, 0)} wide, ${length(sheet.allowanceMm)} over on each side. Count it in under Kit, so that its lot is on the job; roll it up with the liner outside.`
}

const overWords = ({ cut: { sheet } }: PlanContext): Sentence =>
  sheet === null ? say`As much over on one side as on the other.` : say`${length(sheet.allowanceMm)} over on each side.`

/** From the edge of the part to the edge of the sheet, on its four sides. */
function surplusMarks({ cut: { sheet }, drawing }: PlanContext): PictureMark[] {
  if (sheet === null) return []
  const { min, max } = boundsOf(drawing.part)
  const [x, y] = [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2]
  const text = say`${length(sheet.allowanceMm)}`
  const over = sheet.allowanceMm
  return [
    { kind: 'sweep', from: [min[0], y], to: [min[0] - over, y], text },
    { kind: 'sweep', from: [max[0], y], to: [max[0] + over, y], text },
    { kind: 'sweep', from: [x, min[1]], to: [x, min[1] - over], text },
    { kind: 'sweep', from: [x, max[1]], to: [x, max[1] + over], text },
  ]
}
