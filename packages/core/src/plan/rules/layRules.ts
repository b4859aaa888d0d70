import { counted, length, say, type Sentence } from '../../say/index.ts'
import { distance } from '../../geometry/index.ts'
import type { Opening } from '../openings.ts'
import type { PlanContext } from '../planContext.ts'
import { anchorStep, fromOneEnd } from './anchorStep.ts'
import { gapsStep } from './gapsStep.ts'
import { hollowStep, hollowsOf } from './hollowStep.ts'
import { lineStep, openingStep } from './openingStep.ts'
import { pullStep } from './pullStep.ts'
import { rehearsedSteps } from './rehearsedSteps.ts'
import { openUpRule, surplusRule } from './rollRules.ts'
import { raisedFirstRule, humpsRule } from './raisedRules.ts'
import { acrossStep, innerCornersStep } from './acrossStep.ts'
import { carryLineRule } from './carryLineRule.ts'
import { reliefRule } from './reliefRules.ts'
import { bendRule, seeWaterRule, triangleRule, wetAgainRule } from './rhythmRules.ts'
import { fromRoll, isDome, isLens, isWet, type PlanRule, type StepDraft, wholePart } from './rule.ts'
import { lineLength, strokes } from './strokes.ts'

/** Where a row of openings decides, as the sensors of a bumper do, film is set by them; by one or two only once the corners hold it. */
const setByOpenings = (c: PlanContext) => c.openings.flat().length > 2

function outward(c: PlanContext): readonly (readonly Opening[])[] {
  const from = c.anchors[0]?.at
  const away = (set: readonly Opening[]) => (from === undefined ? 0 : Math.min(...set.map((o) => distance(o.at, from))))
  return [...c.openings].sort((a, b) => away(a) - away(b))
}

/**
 * Corners, and between them the openings where these do not decide: the first opening once the end beside it holds, the next ones as the
 * piece is set further.
 */
function anchorsAndOpenings(c: PlanContext): StepDraft[] {
  const corners = c.anchors.map((anchor) => anchorStep(c, anchor))
  if (fromRoll(c) || c.openings.length === 0 || setByOpenings(c)) return corners
  const openings = outward(c).map((set, i) => openingStep(c, set, i + 1))
  const held = Math.min(2, corners.length)
  const [first, ...others] = openings
  return [...corners.slice(0, held), ...(first === undefined ? [] : [first]), ...corners.slice(held), ...others]
}

/** The first strokes, by what they are made over. */
function lightPassWords(c: PlanContext): Pick<StepDraft, 'headline' | 'detail' | 'why'> {
  if (c.schools.slip === 'single fluid')
    return {
      headline: say`Flats first, then outwards, one way`,
      detail: say`Always in one direction: the flats, then out to the rim, wrinkles drawn out with it. Where the part curves inwards: lift, wet, stretch, lay.`,
      why: say`Elastic film goes over the form as long as it is still wet ahead of the hand.`,
    }
  if (isLens(c))
    return {
      headline: say`Work outwards, front kept straight`,
      detail: say`Wet the face. From where it is fixed, the line between laid and free film straight; lift and lay again for every bubble and crease.`,
      why: say`A front that bends pushes the film into a fold; a straight one has it all round.`,
    }
  return {
    headline: say`Light pass, middle to edges`,
    detail: say`Wet the face. Strokes overlap by half a blade, blade steep; turn it 45° where a wrinkle comes. Along edges a cloth over the squeegee.`,
    why: say`Water has to find its way out before it is pressed.`,
  }
}

/** Everything from the first tack to film that lies. */
export const layRules: readonly PlanRule[] = [
  carryLineRule,
  {
    name: 'measure the gaps while it still floats',
    when: (c) => isWet(c) && !fromRoll(c) && c.checks.length >= 2,
    steps: (c) => [gapsStep(c)],
  },
  { ...surplusRule, name: 'surplus even all round while it floats', when: (c) => fromRoll(c) && isWet(c) },
  {
    name: 'a chain of openings before the corners',
    when: (c) => !fromRoll(c) && setByOpenings(c),
    steps: (c) => {
      const line = lineStep(c)
      return c.openings.flatMap((set, i) => [openingStep(c, set, i + 1), ...(i === 0 && line !== null ? [line] : [])])
    },
  },
  {
    name: 'an edge that is set by a line',
    when: (c) => !fromRoll(c) && !setByOpenings(c) && c.form.edges.some((e) => e.line !== undefined),
    steps: (c) => {
      const line = lineStep(c)
      return line === null ? [] : [line]
    },
  },
  {
    name: 'set the anchors',
    when: (c) => c.anchors.length > 0 && c.across === null,
    steps: (c) => anchorsAndOpenings(c),
  },
  openUpRule,
  {
    name: 'two corners, then one pull across',
    when: (c) => c.across !== null,
    steps: (c) => (c.across === null ? [] : [innerCornersStep(c), acrossStep(c, c.across)]),
  },
  triangleRule,
  raisedFirstRule,
  {
    name: 'hollows before what lies round them',
    when: (c) => hollowsOf(c).length > 0,
    steps: (c) => hollowsOf(c).map((hollow, i) => hollowStep(c, hollow, i + 1)),
  },
  {
    name: 'pulls of a bulge',
    when: (c) => c.pulls.length > 0 && c.rehearsed === null && c.across === null,
    steps: (c) => c.pulls.map((pull) => pullStep(c, pull)),
  },
  humpsRule,
  reliefRule,
  bendRule,
  wetAgainRule,
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
        ...lightPassWords(c),
        minutes: minutesByArea(c, c.practice.takesLightPass),
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
        minutes: minutesByArea(c, c.practice.takesFirmPass),
        tools: ['firm squeegee'],
        liquids: ['slip on the face'],
        picture: wholePart('laid', strokes(c)),
      },
    ],
  },
  seeWaterRule,
  {
    name: 'growing circles over a dome',
    when: isDome,
    steps: (c) => [
      {
        id: 'circles',
        phase: 'lay',
        headline: say`Growing circles from the middle`,
        detail: say`Each round about ${length(c.practice.circleStep)} wider. Where it bunches: lift that sector, lay it again, never one big fold.`,
        why: say`Many small wrinkles spread wide lie down; one big fold never does.`,
        minutes: c.practice.takesCircles,
        tools: ['dry gloves'],
        picture: wholePart('floating', strokes(c)),
      },
      {
        id: 'massage',
        phase: 'lay',
        laidUpTo: 'all',
        headline: say`From ${length(c.practice.massageFrom)} before the rim: massage`,
        detail: say`Going round, ${length(0.5 * c.practice.circleStep)} to ${length(c.practice.circleStep)} at a time, each fold spread over a wider sector until only tiny ones are left at the crest.`,
        why: wrinkleWords(c),
        minutes: c.practice.takesMassage,
        tools: ['dry gloves'],
        picture: wholePart(
          'floating',
          c.edges.map((e) => ({ kind: 'edge', edge: e.name, text: say`massage` })),
        ),
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
        why: say`A line that is a hair off at the hinge is off by a hand at the far end.`,
        minutes: c.practice.takesRelease,
        tools: ['felt squeegee', 'dry gloves'],
        picture: wholePart('floating', strokes(c)),
      },
    ],
  },
  {
    name: 'lay dry outward',
    when: (c) => !isWet(c) && !fromOneEnd(c) && !isDome(c) && c.rehearsed === null && c.across === null,
    steps: (c) => [
      {
        id: 'lay-outward',
        phase: 'lay',
        laidUpTo: 'all',
        headline: say`Lay outward, front kept straight`,
        detail: say`From the fixed place to the sides, a little at a time. Lift and lay again gently as often as you like.`,
        why: say`Many small wrinkles spread wide lie down; one big fold never does.`,
        minutes: c.practice.takesLayOut,
        tools: ['felt squeegee', 'dry gloves'],
        picture: wholePart('floating', strokes(c)),
      },
    ],
  },
]

/** What is left over round the rim, as the hand meets it: so many wrinkles, each small enough to lie down by itself. */
function wrinkleWords(c: PlanContext): Sentence {
  const excessMm = c.edges.reduce((sum, e) => sum + (e.unpulledMmPer100 / 100) * lineLength(c, e.name), 0)
  if (excessMm < c.practice.wrinkleTakes) return say`Hardly any film is left over round the rim.`
  const wrinkles = Math.ceil(excessMm / c.practice.wrinkleTakes)
  return say`Round the rim ${length(excessMm)} of film are left over: ${counted(wrinkles, '# small wrinkle', '# small wrinkles')} of ${length(excessMm / wrinkles)} each; these lie down by themselves.`
}

const minutesByArea = ({ areaMm2, practice }: PlanContext, perM2: number) =>
  Math.max(practice.takesPassLeast, (areaMm2 / 1e6) * perM2)
