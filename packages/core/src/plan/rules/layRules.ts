import { count, distinct, length, say, type Sentence } from '../../say/index.ts'
import type { PlanContext } from '../planContext.ts'
import { anchorStep, fromOneEnd } from './anchorStep.ts'
import { hollowStep, hollowsOf } from './hollowStep.ts'
import { pullStep } from './pullStep.ts'
import { rehearsedSteps } from './rehearsedSteps.ts'
import { isWet, type PlanRule, wholePart } from './rule.ts'
import { strokes } from './strokes.ts'

/** Everything from the first tack to film that lies. */
export const layRules: readonly PlanRule[] = [
  {
    name: 'measure the gaps while it still floats',
    when: (c) => c.checks.length >= 2,
    steps: (c) => [
      {
        id: 'measure-gaps',
        phase: 'place',
        headline: isWet(c) ? say`Measure the gaps` : say`Check how it sits`,
        detail: isWet(c)
          ? say`At ${count(c.checks.length)} places, wanted ${wantedWords(c)}. Shift it until it fits, then measure again.`
          : say`Hold it over the lens and read how far the film passes the edge at ${count(c.checks.length)} places.`,
        why: say`A millimetre here is a crooked far end there. Now it still costs nothing.`,
        minutes: 4,
        tools: ['rule'],
        references: c.checks.map(({ id }) => ({ kind: 'check', id })),
        picture: wholePart(
          'floating',
          c.checks.map(({ id, at, normal }) => ({ kind: 'check', id, at, normal })),
        ),
        records: 'gaps',
        ...(isWet(c) ? { liquids: ['slip'], driesInMinutes: c.wetMinutes } : {}),
      },
    ],
  },
  {
    name: 'set the anchors',
    when: (c) => c.anchors.length > 0,
    steps: (c) => c.anchors.map((anchor) => anchorStep(c, anchor)),
  },
  {
    name: 'hollows before what lies round them',
    when: (c) => hollowsOf(c).length > 0,
    steps: (c) => hollowsOf(c).map((hollow, i) => hollowStep(c, hollow, i + 1)),
  },
  {
    name: 'pulls of a bulge',
    when: (c) => c.pulls.length > 0 && c.rehearsed === null,
    steps: (c) => c.pulls.map((pull) => pullStep(c, pull)),
  },
  {
    name: 'lay in the order that was rehearsed',
    when: (c) => c.rehearsed !== null,
    steps: rehearsedSteps,
  },
  {
    name: 'light pass, wet',
    when: (c) => isWet(c) && c.rehearsed === null,
    steps: (c) => [
      {
        id: 'light-pass',
        phase: 'lay',
        laidUpTo: 'all',
        headline: say`Light pass, middle to edges`,
        detail: say`Wet the face. Strokes overlap by half a blade, blade steep; turn it 45° where a wrinkle comes.`,
        why: say`Water has to find its way out before it is pressed.`,
        minutes: minutesByArea(c, 6),
        tools: ['soft squeegee'],
        liquids: ['slip on the face'],
        picture: wholePart('floating', strokes(c)),
        driesInMinutes: c.wetMinutes,
      },
    ],
  },
  {
    name: 'firm pass, wet',
    when: isWet,
    steps: (c) => [
      {
        id: 'firm-pass',
        phase: 'lay',
        laidUpTo: 'all',
        headline: say`Firm pass, then once more`,
        detail: say`Same strokes, firm. Then the whole part a last time, to be sure.`,
        why: say`What moves under a firm pass is water that would be a bubble tomorrow.`,
        minutes: minutesByArea(c, 7),
        tools: ['firm squeegee'],
        liquids: ['slip on the face'],
        picture: wholePart('laid', strokes(c)),
      },
    ],
  },
  {
    name: 'release a dry strip from its hinge',
    when: (c) => !isWet(c) && fromOneEnd(c) && c.rehearsed === null,
    steps: (c) => [
      {
        id: 'release',
        phase: 'lay',
        laidUpTo: 'all',
        headline: say`Release ${length(c.practice.releaseLength)} at a time`,
        detail: say`Check that it is level, draw off ${length(c.practice.releaseLength)} of liner, press flat, go on. Lift and lay again gently: thin film tears.`,
        why: say`A line that is off by a millimetre at the hinge is off by a hand at the far end.`,
        minutes: 6,
        tools: ['felt squeegee', 'dry gloves'],
        picture: wholePart('floating', strokes(c)),
      },
    ],
  },
  {
    name: 'lay dry outward',
    when: (c) => !isWet(c) && !fromOneEnd(c) && c.rehearsed === null,
    steps: (c) => [
      {
        id: 'lay-outward',
        phase: 'lay',
        laidUpTo: 'all',
        headline: say`Lay outward, front kept straight`,
        detail: say`From the fixed place to the sides, a little at a time. Lift and lay again gently as often as you like.`,
        why: say`Many small wrinkles spread wide lie down; one big fold never does.`,
        minutes: 8,
        tools: ['felt squeegee', 'dry gloves'],
        picture: wholePart('floating', strokes(c)),
      },
    ],
  },
]

function wantedWords(c: PlanContext): Sentence {
  const wanted = distinct(c.checks.map((check) => say`${length(Math.abs(check.wantedMm))}`))
  const [only] = wanted
  return wanted.length === 1 && only !== undefined ? say`${only} everywhere` : say`as marked`
}

const minutesByArea = (c: PlanContext, perM2: number) => Math.max(2, Math.round((c.areaMm2 / 1e6) * perM2))
