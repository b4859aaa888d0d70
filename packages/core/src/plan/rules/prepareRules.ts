import type { PlanContext } from '../planTypes.ts'
import { strokes } from './strokes.ts'
import { staticCaution } from './findingRules.ts'
import { barsHeat, bottleOf, isLens, isWet, listed, type PlanRule, wholePart } from './rule.ts'

const largeMm2 = 600_000

/** Washing, masking, degreasing. */
export const cleaningRules: readonly PlanRule[] = [
  {
    name: 'wash and clay',
    when: () => true,
    steps: (c) => [
      {
        id: 'clean',
        phase: 'prepare',
        headline: isLens(c) ? 'Wash the lens, clean its gap' : 'Wash, clay, wipe',
        detail: isLens(c)
          ? 'No-residue wash, cloth over a thin tool through the gap all round. New lenses: wash the mould oil off.'
          : 'Wash round the part and in the shut lines, clay with slip as lubricant, wipe off.',
        why: 'Dirt left in a gap is drawn under the film by the first stroke.',
        minutes: isLens(c) ? 6 : 12,
        inHand: isLens(c) ? ['no-residue wash', 'cloth', 'thin tool'] : ['no-residue wash', 'clay', 'cloth'],
        picture: wholePart('none', isLens(c) ? [{ kind: 'edge', edge: '*', text: 'gap all round' }] : strokes(c)),
      },
    ],
  },
  {
    name: 'mask around a lens',
    when: isLens,
    steps: () => [
      {
        id: 'mask',
        phase: 'prepare',
        headline: 'Mask the paint all round',
        detail: 'Tape on the body, close along the gap, none on the lens.',
        why: 'It protects paint from the blade, keeps sticky film off its neighbours, and shows the true tension at the edge.',
        minutes: 4,
        inHand: ['masking tape'],
        picture: wholePart('none', [{ kind: 'edge', edge: '*', text: 'tape outside this line' }]),
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
        headline: isLens(c) ? 'Degrease with a damp cloth' : 'Degrease the edges',
        detail: barsHeat(c)
          ? 'No alcohol: soapy water on the cloth, then clear water. Wipe dry.'
          : isLens(c)
            ? 'Weak alcohol on the cloth, 70 % or less, never sprayed on. Wipe dry.'
            : 'Degreaser on a cloth, most of all along and under the edges.',
        why: isLens(c) ? 'Strong alcohol crazes lens plastic.' : 'Edges are where lifting starts.',
        minutes: 3,
        inHand: [
          barsHeat(c) ? 'soapy water' : isLens(c) ? 'alcohol up to 70 %, on a cloth' : 'degreaser',
          'lint-free cloth',
        ],
        cautions: barsHeat(c)
          ? ['No alcohol on this lens: it is damaged.']
          : isLens(c)
            ? ['Alcohol vapour catches fire: fresh air, no flame, no hot gun near. Follow the maker’s instructions.']
            : ['Follow the degreaser’s instructions: gloves and fresh air.'],
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
    steps: () => [
      {
        id: 'bone-dry',
        phase: 'prepare',
        headline: 'Bone dry?',
        detail: 'Blow the gap out, wipe, look along the lens against a light. No drop, no haze.',
        why: 'Any water under dry film stops the adhesive for good, even with heat.',
        minutes: 2,
        inHand: ['dry cloth', 'lamp light'],
        gate: 'The lens and its gap are bone dry.',
      },
    ],
  },
  {
    name: 'mix',
    when: isWet,
    steps: (c) => [
      {
        id: 'mix',
        phase: 'mix',
        headline: 'Mix slip and tack',
        detail: listed(c.solutions.map((s) => `${c.volume(s.batchMl)} ${s.says}`)),
        why: `The part needs ${listed(c.solutions.map((s) => `${c.volume(s.needMl)} of ${s.use}`))}; the rest is for wetting again.`,
        minutes: 4,
        inHand: ['distilled water', 'syringe', 'measuring cylinder'],
        cautions: [...new Set(c.solutions.flatMap((s) => s.warnings))],
        records: 'batches',
      },
    ],
  },
  {
    name: 'dry check of the piece',
    when: () => true,
    steps: (c) => [
      {
        id: 'dry-check',
        phase: 'prepare',
        headline: 'Hold the piece up, liner on',
        detail: 'Right piece, right side, covers from end to end. Then take the cover sheet off its face.',
        why: 'Sides are mirror images and get mixed up; once the liner is off it is too late.',
        minutes: 2,
        inHand: ['piece', 'tape measure'],
        people: c.areaMm2 > largeMm2 ? 2 : 1,
        picture: wholePart('floating'),
      },
    ],
  },
  {
    name: 'lens law',
    when: (c) => isLens(c) && c.film.transmission !== undefined && c.film.transmission < 1,
    steps: (c) => [
      {
        id: 'lens-law',
        phase: 'prepare',
        headline: 'Customer has agreed to the tint',
        detail: `${Math.round(100 * (c.film.transmission ?? 1))} % of the light is left.`,
        why: 'Whether a lamp may be tinted differs by place and by lamp.',
        minutes: 1,
        gate: 'The customer has seen the figures and agreed.',
        cautions: ['Local law and the inspection decide whether this tint is allowed here. This is no legal advice.'],
      },
    ],
  },
  {
    name: 'soak and peel',
    when: isWet,
    steps: (c) => [
      {
        id: 'soak',
        phase: 'place',
        headline: 'Soak the part',
        detail: `Slip all over, ${listed(bottleOf(c, 'slip') ? [bottleOf(c, 'slip')?.says ?? ''] : [])}, wet hands too.`,
        why: 'Film that meets a dry spot grabs there.',
        minutes: 1,
        inHand: ['slip'],
        uses: 'slip',
        picture: wholePart('none', strokes(c)),
      },
      {
        id: 'peel',
        phase: 'place',
        headline: c.areaMm2 > largeMm2 ? 'Peel together, soak the adhesive' : 'Peel, soak the adhesive',
        detail: 'Liner off low and flat; spray the adhesive at once as it comes free.',
        why:
          c.areaMm2 > largeMm2
            ? 'Two people: one peels, one sprays. Alone, lay half at a time.'
            : 'Dry adhesive folds onto itself.',
        minutes: 3,
        people: c.areaMm2 > largeMm2 ? 2 : 1,
        inHand: ['slip', 'wet hands'],
        cautions: staticCautions(c),
        picture: wholePart('floating'),
      },
      {
        id: 'float',
        phase: 'place',
        headline: 'Float it on',
        detail: 'Lay it down by its middle and let it glide. If it grabs, lift and spray.',
        why: 'It has to slide until the corners are set.',
        minutes: 2,
        people: c.areaMm2 > largeMm2 ? 2 : 1,
        inHand: ['slip', 'wet hands'],
        picture: wholePart('floating'),
        driesInMinutes: c.wetMinutes,
      },
    ],
  },
  {
    name: 'peel dry film by its bleed',
    when: (c) => !isWet(c),
    steps: (c) => [
      {
        id: 'peel',
        phase: 'place',
        headline: 'Peel, hold by the bleed only',
        detail: 'Liner off from the flat side. Touch only what will be cut away.',
        why: 'Fingerprints on the adhesive show for good.',
        minutes: 1,
        inHand: ['piece', 'gloves'],
        cautions: staticCautions(c),
        picture: wholePart('floating'),
      },
    ],
  },
]

function staticCautions(c: PlanContext): string[] {
  const caution = staticCaution(c)
  return caution === null ? [] : [caution]
}
