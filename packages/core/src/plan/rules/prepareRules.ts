import { boundsOf } from '../../geometry/index.ts'
import type { LampLight } from '../../light/index.ts'
import { count, length, list, name, say, type Sentence, volume } from '../../say/index.ts'
import type { PlanContext } from '../planContext.ts'
import { staticCautions } from './findingRules.ts'
import { fromOneEnd } from './anchorStep.ts'
import { gapsStep } from './gapsStep.ts'
import { filmDoubt } from '../lying.ts'
import { warpWords } from '../warpWords.ts'
import {
  barsHeat,
  bottleOf,
  caution,
  hasBleed,
  hasCode,
  fromRoll,
  isAlone,
  isDome,
  isLens,
  isMasked,
  isTrim,
  isWet,
  partWord,
  type PlanRule,
  type StepDraft,
  wholePart,
} from './rule.ts'
import { rolledOn, rollOnRule } from './rollOnRules.ts'
import { markMiddleRule, sheetRule, surplusRule } from './rollRules.ts'
import { strokes } from './strokes.ts'

/** Washing, masking, degreasing. */
export const cleaningRules: readonly PlanRule[] = [
  {
    name: 'read a part that nobody has measured',
    when: (c) => !c.measured,
    steps: (c) => {
      const { min, max } = boundsOf(c.outlineOnForm)
      return [
        {
          id: 'read-part',
          phase: 'prepare',
          headline: say`Read its length and width`,
          detail: say`About ${length(max[0] - min[0], 0)} by ${length(max[1] - min[1], 0)} as a rule. Tape over its face, feel behind each edge what film can hold on to, lay a straightedge over its bulge: two readings on the form bench are enough to begin with.`,
          why: say`Everything after this goes by ordinary figures until somebody has read it.`,
          minutes: c.practice.takesRead,
          tools: ['tape measure', 'rule'],
          because: say`Nobody has measured this part.`,
          gate: say`Length and width are read.`,
        },
      ]
    },
  },
  {
    name: 'wash and clay',
    once: 'first',
    when: () => true,
    steps: (c) => [
      {
        id: 'clean',
        phase: 'prepare',
        ...washing(c),
        headline: forAll(c, washing(c).headline),
        why: say`Dirt left in a gap is drawn under the film by the first stroke.`,
        liquids: ['no-residue wash'],
      },
    ],
  },
  {
    name: 'mask around a lens',
    once: 'first',
    when: isMasked,
    steps: (c) => [
      {
        id: 'mask',
        phase: 'prepare',
        headline: forAll(c, say`Mask the paint all round`),
        detail: say`Tape on the body, close along the gap, none on the lens.`,
        why: say`It protects paint from the blade, keeps sticky film off its neighbours, and shows the true tension at the edge.`,
        minutes: c.practice.takesMask,
        tools: ['masking tape'],
        picture: wholePart('none', [{ kind: 'edge', edge: '*', text: say`tape outside this line` }]),
      },
    ],
  },
  {
    name: 'open what has to be open for its edges',
    when: (c) => c.form.opens !== undefined && !isLens(c) && hasCode(c, 'wrap'),
    steps: (c) => [
      {
        id: 'prop',
        phase: 'prepare',
        headline: say`Open the ${name(c.form.opens ?? '')}, prop it`,
        detail: say`Wipe the underside of every edge that film is turned onto. Some undersides want primer: try a corner with tape, and if the tape comes off clean, prime it.`,
        why: say`Film holds on the face for years and lets go underneath first.`,
        minutes: c.practice.takesProp,
        liquids: ['degreaser'],
        tools: ['lint-free cloth'],
        cautions: [caution('lifting', say`Prop it safely before you reach under.`)],
        picture: wholePart('none', [{ kind: 'edge', edge: '*', text: say`underside` }]),
      },
    ],
  },
  {
    name: 'degrease',
    when: () => true,
    steps: (c) => [
      {
        id: 'degrease',
        phase: 'prepare',
        headline: isLens(c)
          ? say`Degrease with a damp cloth`
          : isTrim(c)
            ? say`Degrease all of it`
            : say`Degrease the edges`,
        detail: barsHeat(c)
          ? say`No alcohol: soapy water on the cloth, then clear water. Wipe dry.`
          : isLens(c)
            ? say`Weak alcohol on the cloth, 70 % or less, never sprayed on. Wipe dry.`
            : isTrim(c)
              ? say`Degreaser on a cloth, into the ends and the gaps. Wipe dry.`
              : hasCode(c, 'wrap')
                ? say`Degreaser on a cloth, along the edges; alcohol on a cloth along the underside that the film is turned onto.`
                : say`Degreaser on a cloth, most of all along and under the edges.`,
        why: isLens(c) ? say`Strong alcohol crazes lens plastic.` : say`Edges are where lifting starts.`,
        minutes: c.practice.takesDegrease,
        liquids: [barsHeat(c) ? 'soapy water' : isLens(c) ? 'weak alcohol' : 'degreaser'],
        tools: ['lint-free cloth'],
        cautions: barsHeat(c)
          ? [caution('alcohol', say`No alcohol on this lens: it is damaged.`)]
          : isLens(c)
            ? [
                caution(
                  'vapour',
                  isDome(c)
                    ? say`Alcohol vapour catches fire: fresh air, no flame. Follow the maker’s instructions.`
                    : say`Alcohol vapour catches fire: fresh air, no flame, no hot gun near. Follow the maker’s instructions.`,
                ),
              ]
            : [caution('solvent', say`Follow the degreaser’s instructions: gloves and fresh air.`)],
        picture: wholePart('none', [{ kind: 'edge', edge: '*' }]),
      },
    ],
  },
]

/** From the clean part to the film that floats on it, or is held by its bleed. */
export const readyRules: readonly PlanRule[] = [
  {
    name: 'dry film wants a dry part',
    when: (c) => !isWet(c),
    steps: (c) => [
      {
        id: 'bone-dry',
        phase: 'prepare',
        headline: say`Bone dry?`,
        detail: say`Blow gaps and ends out, wipe, look along ${partWord(c)} against a light. No drop, no haze.`,
        why: say`Any water under dry film stops the adhesive for good, even with heat.`,
        minutes: c.practice.takesBoneDry,
        tools: ['dry cloth', 'lamp light'],
        gate: isLens(c) ? say`The lens and its gap are bone dry.` : say`Part and gaps are bone dry.`,
      },
    ],
  },
  {
    name: 'mix',
    once: 'first',
    when: isWet,
    steps: (c) => [
      {
        id: 'mix',
        phase: 'mix',
        headline:
          c.schools.slip === 'single fluid'
            ? say`Mix one bottle of the maker’s fluid`
            : forAll(c, say`Mix slip and tack`),
        detail: say`${list(c.solutions.map((s) => say`${volume(s.batchMl)} ${s.says}`))}`,
        why: say`The part needs ${list(c.solutions.map(needWords))}; the rest is for wetting again.`,
        minutes: c.practice.takesMix,
        liquids: ['distilled water'],
        tools: ['syringe', 'measuring cylinder'],
        cautions: c.solutions.flatMap((s) => s.warnings.map((says) => caution('liquid', says))),
        records: 'batches',
      },
    ],
  },
  sheetRule,
  {
    name: 'dry check of the piece',
    when: () => true,
    steps: (c) => [
      {
        id: 'dry-check',
        phase: 'prepare',
        headline: say`Hold the piece up, liner on`,
        detail: fromRoll(c)
          ? say`Covers from end to end, and passes every edge as far as it is to. Then take the cover sheet off its face.`
          : say`Right piece, right side, covers from end to end. Pick specks off it as it hangs. Then take the cover sheet off its face.`,
        why: fromRoll(c)
          ? say`What does not reach now never will; once the liner is off it is too late.`
          : say`Sides are mirror images and get mixed up; once the liner is off it is too late.`,
        minutes: c.practice.takesHoldUp,
        tools: ['piece', 'tape measure'],
        people: c.hands,
        picture: wholePart('floating'),
        ...doubtOf(c),
      },
    ],
  },
  {
    name: 'lens law',
    once: 'first',
    when: (c) => c.light !== null,
    steps: (c) => (c.light === null ? [] : [lensLaw(c, c.light)]),
  },
  markMiddleRule,
  {
    name: 'soak the part',
    when: isWet,
    steps: (c) => [
      {
        id: 'soak',
        phase: 'place',
        headline: say`Soak the part`,
        detail: soakWords(c),
        why: say`Film that meets a dry spot grabs there.`,
        minutes: c.practice.takesSoak,
        liquids: ['slip'],
        uses: 'slip',
        picture: wholePart('none', strokes(c)),
        within: [
          {
            since: 'clean',
            mostMinutes: c.practice.mostWashedToLaid,
            says: say`dust has settled on it: wash it again`,
          },
          {
            since: 'degrease',
            mostMinutes: c.practice.mostDegreasedToWet,
            says: say`grease is back on the edges: wipe them once more`,
          },
        ],
      },
    ],
  },
  rollOnRule,
  {
    name: 'peel and float',
    when: (c) => isWet(c) && !rolledOn(c),
    steps: (c) => [
      {
        id: 'peel',
        phase: 'place',
        headline:
          c.hands > 1
            ? say`Peel together, soak the adhesive`
            : isAlone(c)
              ? say`Peel half of it, soak the adhesive`
              : say`Peel, soak the adhesive`,
        wets: true,
        detail:
          c.hands > 1
            ? say`One peels, low and flat; the other sprays the adhesive at once as it comes free.`
            : isAlone(c)
              ? say`Liner off one half, low and flat, the rest rolled up; spray the adhesive at once as it comes free.`
              : c.schools.slip === 'single fluid'
                ? say`Liner off slowly, low and flat, so that it draws no dust; wet the adhesive as it opens.`
                : say`Liner off low and flat; spray the adhesive at once as it comes free.`,
        why: isAlone(c)
          ? say`Alone nobody holds the other end: what is still under its liner cannot fold onto itself.`
          : say`Dry adhesive folds onto itself.`,
        minutes: c.practice.takesPeelWet,
        people: c.hands,
        liquids: ['slip'],
        tools: ['wet hands'],
        cautions: staticCautions(c),
        picture: wholePart('floating'),
        within: [
          {
            since: 'soak',
            mostMinutes: c.practice.mostSoakToPeel,
            says: say`the part has dry spots: spray it once more`,
          },
        ],
      },
      {
        id: 'float',
        phase: 'place',
        headline: say`Float it on`,
        wets: true,
        detail:
          c.hands > 1
            ? say`One at each end: look the soak over once more, carry it across with wet hands, lay it down by its middle and let it glide.`
            : isAlone(c)
              ? say`The bare half first, the roll at its far end; let it glide. If it grabs, lift and spray.`
              : say`Lay it down by its middle and let it glide. If it grabs, lift and spray.`,
        why:
          c.schools.begin === 'corners first'
            ? say`It has to slide until the corners are set.`
            : say`It has to slide until it sits right.`,
        minutes: c.practice.takesFloat,
        within: [
          {
            since: 'peel',
            mostMinutes: c.practice.mostPeelToLay,
            says: say`the adhesive dries and gathers dust: spray it once more`,
          },
        ],
        people: c.hands,
        liquids: ['slip'],
        tools: ['wet hands'],
        picture: wholePart('floating'),
        driesInMinutes: c.wetMinutes,
      },
      ...(isAlone(c)
        ? [
            {
              id: 'other-half',
              phase: 'place' as const,
              headline: say`Then the other half`,
              wets: true,
              detail: say`Unroll it a forearm at a time: liner off beneath, spray film and part as they meet.`,
              why: say`So one pair of hands lays what wants two.`,
              minutes: c.practice.takesOtherHalf,
              liquids: ['slip' as const],
              tools: ['wet hands' as const],
              picture: wholePart('floating'),
              driesInMinutes: c.wetMinutes,
            },
          ]
        : []),
    ],
  },
  {
    name: 'check how dry film sits before it is peeled',
    when: (c) => !isWet(c) && !fromRoll(c) && c.checks.length >= 2,
    steps: (c) => [gapsStep(c)],
  },
  { ...surplusRule, name: 'surplus even all round, liner on', when: (c) => fromRoll(c) && !isWet(c) },
  {
    name: 'peel dry film',
    when: (c) => !isWet(c),
    steps: (c) => [
      {
        id: 'peel',
        phase: 'place',
        ...(fromOneEnd(c)
          ? {
              headline: hasBleed(c) ? say`Hold it by the bleed, liner on` : say`Hold it by its rim, liner on`,
              detail: say`The liner stays on and comes off a length at a time as you go. Touch only what will be cut away.`,
            }
          : c.form.family === 'panel' && !isDome(c)
            ? {
                headline: say`Hang it, flip it, liner beneath`,
                detail: say`Magnets or tape hold its upper edge. Fold it up, peel a hand’s breadth, tuck the liner under; it is drawn out in one go as the film comes down.`,
              }
            : hasBleed(c)
              ? {
                  headline: say`Peel, hold by the bleed only`,
                  detail: say`Liner off from the flat side. Touch only what will be cut away.`,
                }
              : {
                  headline: say`Peel, hold it by its rim`,
                  detail: say`Liner off from one side. Touch only the outermost rim, with dry gloves.`,
                }),
        why: say`Fingerprints on the adhesive show for good.`,
        minutes: c.practice.takesPeelDry,
        tools: ['piece', 'gloves'],
        cautions: staticCautions(c),
        picture: wholePart('floating'),
      },
    ],
  },
]

/** Work that is done once for a set says so. */
const forAll = (c: PlanContext, headline: Sentence): Sentence =>
  c.set === null ? headline : c.set.of === 2 ? say`${headline}, for both` : say`${headline}, for all ${count(c.set.of)}`

/** How the part is washed, by what it is and whether water may stay. */
function washing(c: PlanContext): Pick<StepDraft, 'headline' | 'detail' | 'minutes' | 'tools' | 'picture'> {
  const gaps = wholePart('none', [{ kind: 'edge', edge: '*', text: say`gap all round` }])
  if (isLens(c))
    return {
      headline: say`Wash the lens, clean its gap`,
      detail: say`No-residue wash, cloth over a thin tool through the gap all round. New lenses: wash the mould oil off.`,
      minutes: c.practice.takesWashLens,
      tools: ['cloth', 'thin tool'],
      picture: gaps,
    }
  if (isTrim(c))
    return {
      headline: say`Wash, clean its gaps`,
      detail: say`No-residue wash, cloth over a thin tool through the gaps and round the ends, wipe off.`,
      minutes: c.practice.takesWashTrim,
      tools: ['cloth', 'thin tool'],
      picture: gaps,
    }
  return {
    headline: say`Wash, clay, wipe`,
    detail: isWet(c)
      ? say`Wash round the part and in the shut lines, clay with slip as lubricant, wipe off.`
      : say`Wash round the part and in the shut lines, clay with soapy water, rinse, wipe off.`,
    minutes: c.practice.takesWashPanel,
    tools: ['clay', 'cloth'],
    picture: wholePart('none', strokes(c)),
  }
}

/** A film that is meant for something else is asked about while it still costs nothing. */
function doubtOf(c: PlanContext): Pick<StepDraft, 'because' | 'gate'> {
  const doubt = filmDoubt(c.form, c.film)
  if (doubt !== null) return { because: doubt, gate: say`It is meant so.` }
  return c.warps === null
    ? {}
    : { because: warpWords(c, c.warps), gate: say`The customer has seen how the pattern will look, and wants it.` }
}

function soakWords(c: PlanContext): Sentence {
  const slip = bottleOf(c, 'slip')
  return slip === undefined ? say`Slip all over, wet hands too.` : say`Slip all over, ${slip.says}, wet hands too.`
}

const needWords = ({ use, needMl }: PlanContext['solutions'][number]): Sentence =>
  use === 'slip' ? say`${volume(needMl)} of slip` : say`${volume(needMl)} of tack`

const lensLaw = (c: PlanContext, light: LampLight): StepDraft => ({
  id: 'lens-law',
  phase: 'prepare',
  headline: forAll(c, say`Customer has agreed to the tint`),
  detail: light.left,
  why: say`Whether a lamp may be tinted differs by place and by lamp.`,
  minutes: c.practice.takesConsent,
  gate: say`The customer has seen the figures and agreed.`,
  cautions: [
    caution(
      'law',
      say`Local law and the inspection decide whether this tint is allowed here. This is no legal advice.`,
    ),
  ],
})
