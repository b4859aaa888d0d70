import { beforeAll, expect, test } from 'vitest'
import { type PracticeKey, practiceGroups, practiceTable } from '../practice/index.ts'
import type { PlanContext } from './planContext.ts'
import type { PlanStep } from './step.ts'
import { stepsOf } from './stepsOf.ts'
import { testContexts } from './testContexts.ts'
import { watched } from './testPractice.ts'

/** How long each step takes is a figure of the shop. Which steps each moves, over all kinds of parts and conditions. */
const moves: Partial<Record<PracticeKey, string>> = {
  takesAnchor: 'anchor-1 anchor-2 anchor-3 anchor-4 anchor-5',
  takesBackRoll: 'back-roll',
  takesBehind: 'behind',
  takesBend: 'bend-1',
  takesBodyLine: 'line',
  takesBoneDry: 'bone-dry',
  takesBubbles: 'bubbles',
  takesBunch: 'bunch',
  takesChannelPart: 'channel',
  takesChannel: 'channel',
  takesCircles: 'circles',
  takesConsent: 'lens-law',
  takesCrestLook: 'lip-stop',
  takesCutSheet: 'cut-sheet',
  takesDegrease: 'degrease',
  takesFingers: 'fingers',
  takesFirmPass: 'firm-pass',
  takesFloat: 'float',
  takesFlush: 'flush-edges',
  takesGapCut: 'gap-cut',
  takesGaps: 'measure-gaps',
  takesGrab: 'grab',
  takesGripCorner: 'grip',
  takesGrip: 'pull-A pull-B pull-C pull-D',
  takesHandOn: 'hand-on',
  takesHoldUp: 'dry-check',
  takesHump: 'hump-1 hump-2',
  takesLayOut: 'lay-outward',
  takesLightPass: 'light-pass',
  takesLine: 'carry-line',
  takesLook: 'look',
  takesMaskRepaint: 'mask-repaint',
  takesMask: 'mask',
  takesMassage: 'massage',
  takesMiddleMark: 'centre-mark',
  takesMix: 'mix',
  takesOffer: 'offer-correction',
  takesOpenUp: 'open-up',
  takesOpeningCut: 'trim-openings',
  takesOpening: 'opening-1 opening-2',
  takesOtherHalf: 'other-half',
  takesPassLeast: 'firm-pass light-pass',
  takesPeelDry: 'peel',
  takesPeelWet: 'peel',
  takesPostHeat: 'post-heat',
  takesPressAgain: 'press-again',
  takesProp: 'prop',
  takesPullAcross: 'pull-across',
  takesPull: 'pull-A pull-B pull-C pull-D',
  takesQuestion: 'ask-cracked rust',
  takesRaised: 'raised',
  takesRaise: 'raise',
  takesRead: 'read-part',
  takesRelax: 'relax-edges',
  takesRelease: 'release',
  takesRelief: 'relief-1 relief-2',
  takesRoughTrim: 'rough-trim',
  takesSeal: 'seal-edges',
  takesSeeWater: 'see-water',
  takesShrink: 'shrink-flaps',
  takesSoak: 'soak',
  takesStripCoating: 'strip-coating',
  takesStripFilm: 'strip-film',
  takesStripTint: 'strip-tint',
  takesStroke: 'sweep-1',
  takesSurfaceCut: 'surface-cut',
  takesSurplus: 'even-surplus',
  takesTriangles: 'triangles',
  takesTrimOff: 'loose-trim',
  takesTrimWrap: 'trim-wrap',
  takesTrueCheck: 'true-check',
  takesTuck: 'tuck',
  takesTurnWrap: 'turn-wrap',
  takesTwoCorners: 'inner-corners',
  takesUnmask: 'unmask',
  takesWarmEdges: 'warm-edges',
  takesWarmPull: 'pull-A pull-B pull-C pull-D',
  takesWashLens: 'clean',
  takesWashPanel: 'clean',
  takesWashTrim: 'clean',
  takesWetAgain: 'wet-again',
}
/** Strokes between pulls stand in the plan of an order that was rehearsed only: rehearsed.test.ts. */
const seenElsewhere: readonly PracticeKey[] = ['takesPulledStroke']
/** Whether a half has to be wetted again hangs on how long it lies: these move that step and its words too. */
const waitedThrough: readonly PracticeKey[] = [
  'takesGaps',
  'takesAnchor',
  'takesGrip',
  'takesPull',
  'takesWarmPull',
  'takesOpening',
]

interface Looked {
  readonly context: PlanContext
  readonly steps: readonly PlanStep[]
  readonly read: ReadonlySet<PracticeKey>
}
let looked: readonly Looked[] = []
beforeAll(() => {
  looked = [...testContexts().values()].map((context) => {
    const { practice, read } = watched(context.practice)
    return { context, steps: stepsOf({ ...context, practice }), read }
  })
})

const withoutMinutes = (steps: readonly PlanStep[]) => steps.map(({ minutes: _, ...step }) => step)

test('every figure of the minutes of steps stands in the table', () => {
  const all = practiceGroups.filter(({ name }) => name.startsWith('minutes')).flatMap(({ keys }) => keys)
  expect([...Object.keys(moves), ...seenElsewhere].sort()).toEqual([...all].sort())
})

test.each(Object.entries(moves) as [PracticeKey, string][])('“%s” moves the minutes of: %s', (key, ids) => {
  const moved = new Set<string>()
  for (const { context, steps, read } of looked) {
    if (!read.has(key)) continue
    const hangsOnIt = (id: string) => id === 'wet-again' && waitedThrough.includes(key)
    const usual = steps.filter(({ id }) => !hangsOnIt(id))
    const practice = { ...context.practice, [key]: practiceTable[key].max }
    const slow = stepsOf({ ...context, practice }).filter(({ id }) => !hangsOnIt(id))
    expect(withoutMinutes(slow)).toEqual(withoutMinutes(usual))
    for (const [i, { id, minutes }] of usual.entries()) if ((slow[i]?.minutes ?? 0) > minutes) moved.add(id)
  }
  expect([...moved].sort().join(' ')).toBe(ids)
})
