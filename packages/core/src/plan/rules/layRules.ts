import type { PlanContext } from '../planTypes.ts'
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
        headline: isWet(c) ? 'Measure the gaps' : 'Check how it sits',
        detail: isWet(c)
          ? `At ${c.checks.length} places, wanted ${wantedWords(c)}. Shift it until it fits, then measure again.`
          : `Hold it over the lens and read how far the film passes the edge at ${c.checks.length} places.`,
        why: 'A millimetre here is a crooked far end there. Now it still costs nothing.',
        minutes: 4,
        inHand: isWet(c) ? ['rule', 'slip'] : ['rule'],
        picture: wholePart(
          'floating',
          c.checks.map(({ id, at, normal }) => ({ kind: 'check', id, at, normal })),
        ),
        records: 'gaps',
        ...(isWet(c) ? { driesInMinutes: c.wetMinutes } : {}),
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
        headline: 'Light pass, middle to edges',
        detail: 'Wet the face. Strokes overlap by half a blade, blade steep; turn it 45° where a wrinkle comes.',
        why: 'Water has to find its way out before it is pressed.',
        minutes: minutesByArea(c, 6),
        inHand: ['soft squeegee', 'slip on the face'],
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
        headline: 'Firm pass, then once more',
        detail: 'Same strokes, firm. Then an insurance pass over all of it.',
        why: 'What moves under a firm pass is water that would be a bubble tomorrow.',
        minutes: minutesByArea(c, 7),
        inHand: ['firm squeegee', 'slip on the face'],
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
        headline: 'Release 300 mm at a time',
        detail:
          'Check that it is level, draw off 300 mm of liner, press flat, go on. Lift and lay again gently: thin film tears.',
        why: 'A line that is off by a millimetre at the hinge is off by a hand at the far end.',
        minutes: 6,
        inHand: ['felt squeegee', 'dry gloves'],
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
        headline: 'Lay outward, front kept straight',
        detail:
          'From the fixed place to the sides, a little at a time. Lift and lay again gently as often as you like.',
        why: 'Many small wrinkles spread wide lie down; one big fold never does.',
        minutes: 8,
        inHand: ['felt squeegee', 'dry gloves'],
        picture: wholePart('floating', strokes(c)),
      },
    ],
  },
]

function wantedWords(c: PlanContext): string {
  const wanted = [...new Set(c.checks.map((check) => c.length(Math.abs(check.wantedMm))))]
  return wanted.length === 1 ? `${wanted[0]} everywhere` : 'as marked'
}

const minutesByArea = (c: PlanContext, perM2: number) => Math.max(2, Math.round((c.areaMm2 / 1e6) * perM2))
