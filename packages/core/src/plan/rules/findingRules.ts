import { findingMeanings, type FindingKind } from '../findings.ts'
import type { PictureMark, PlanContext } from '../planTypes.ts'
import { barsHeat, foundOf, isLens, isWet, type PlanRule, spotOf, wholePart } from './rule.ts'

const because = (...kinds: readonly FindingKind[]) =>
  `Walk-round: ${kinds.map((kind) => findingMeanings[kind].says).join(', ')}.`

/** Where it was found, marked on the picture. */
const where = (c: PlanContext, kind: FindingKind): PictureMark[] =>
  foundOf(c, kind).map((found) => ({
    kind: 'zone',
    at: spotOf(c, found),
    radiusMm: Math.max(18, (found.sizeMm ?? 0) / 2),
    text: findingMeanings[kind].says,
  }))

const has = (kind: FindingKind) => (c: PlanContext) => foundOf(c, kind).length > 0

/** What has to be settled before anybody wets the part. */
export const beforeCleaningRules: readonly PlanRule[] = [
  {
    name: 'ask about a cracked or crazed lens',
    when: barsHeat,
    steps: (c) => {
      const kind = foundOf(c, 'cracked lens').length > 0 ? 'cracked lens' : 'crazed lens'
      return [
        {
          id: 'ask-cracked',
          phase: 'prepare',
          headline: 'Ask: cover a damaged lens?',
          detail: 'Show the customer the place. Laid without heat and without alcohol, or left bare.',
          why: 'Heat and alcohol make a crack run; film hides it but does not mend it.',
          minutes: 2,
          gate: 'The customer has seen it and wants it covered.',
          because: because(kind),
          cautions: ['No heat and no alcohol on this lens.'],
          picture: wholePart('none', where(c, kind)),
        },
      ]
    },
  },
  {
    name: 'raise the vehicle for a low part',
    when: (c) => c.low,
    steps: () => [
      {
        id: 'raise',
        phase: 'prepare',
        headline: 'Raise the vehicle',
        detail: 'Ramps or lift, until the part is at chest height and its lower edge can be seen.',
        why: 'Film held low picks up dirt from the floor, and a lower edge is laid by sight.',
        minutes: 6,
        because: 'The part sits low on the vehicle.',
        cautions: ['Rated stands or lift only, wheels chocked. Follow the vehicle maker’s lifting points.'],
      },
    ],
  },
  {
    name: 'see how far the body is out of true',
    when: has('out of true'),
    steps: (c) => [
      {
        id: 'true-check',
        phase: 'prepare',
        headline: 'Hold the piece up before anything else',
        detail: `Liner on, dry. Even left to right counts; up to ${c.length(c.practice.outOfTrueSlack)} more gap is allowed here.`,
        why: 'The kit was cut for a true body: find out now where it does not meet, not at the far end.',
        minutes: 4,
        inHand: ['piece', 'rule', 'magnets'],
        because: because('out of true'),
        picture: wholePart('floating', where(c, 'out of true')),
      },
    ],
  },
  {
    name: 'fix loose trim',
    when: has('loose trim'),
    steps: (c) => [
      {
        id: 'loose-trim',
        phase: 'prepare',
        headline: 'Fix the loose trim',
        detail: 'Clip it back or take it off and bag it with its screws.',
        why: 'Trim that moves lifts the edge laid beside it.',
        minutes: 5,
        because: because('loose trim'),
        picture: wholePart('none', where(c, 'loose trim')),
      },
    ],
  },
  {
    name: 'take film from before off',
    when: has('previous film'),
    steps: (c) => [
      {
        id: 'strip-film',
        phase: 'prepare',
        headline: 'Take the old film off',
        detail: barsHeat(c)
          ? 'Cold and slowly, flat back on itself. Then its glue, with the remover the paint’s maker allows.'
          : `Warm it to about ${c.temperature(c.practice.heatSoften)}, draw it off flat and slowly. Then its glue, with the remover the paint’s maker allows.`,
        why: 'Old glue shows as a stain and holds dirt.',
        minutes: 20,
        inHand: ['heat gun, always moving', 'glue remover', 'gloves'],
        because: because('previous film'),
        cautions: ['Remover: gloves, fresh air, no flame. Let it flash off before the gun comes near.'],
        picture: wholePart('none', where(c, 'previous film')),
      },
    ],
  },
  {
    name: 'take sprayed tint off',
    when: has('sprayed tint'),
    steps: (c) => [
      {
        id: 'strip-tint',
        phase: 'prepare',
        headline: 'Take the sprayed tint off',
        detail: 'Mask the paint. Solvent on a cloth, small areas, wipe at once, wash after. Try a corner first.',
        why: 'Film laid on a sprayed coat comes off with it, and the tints multiply.',
        minutes: 25,
        inHand: ['masking tape', 'solvent for the coat', 'cloths'],
        because: because('sprayed tint'),
        cautions: [
          'Solvent: gloves, mask, fresh air, no flame. Some solvents craze lens plastic: follow the makers’ instructions.',
        ],
        picture: wholePart('none', where(c, 'sprayed tint')),
      },
    ],
  },
  {
    name: 'rust is treated or left bare',
    when: has('rust'),
    steps: (c) => [
      {
        id: 'rust',
        phase: 'prepare',
        headline: 'Rust: treated, or left bare?',
        detail: 'Film does not hold on rust. Agree with the customer before going on.',
        why: 'Under film it goes on growing, unseen.',
        minutes: 2,
        gate: 'Treated, or agreed to stay bare.',
        because: because('rust'),
        picture: wholePart('none', where(c, 'rust')),
      },
    ],
  },
]

/** What follows once the part is clean and dry. */
export const afterCleaningRules: readonly PlanRule[] = [
  {
    name: 'strip a coating',
    when: has('coating'),
    steps: (c) => [
      {
        id: 'strip-coating',
        phase: 'prepare',
        headline: 'Strip the coating',
        detail: `${isLens(c) ? 'Coating remover made for lenses' : 'Fine polish or coating remover'}, all over and round the edges, then wash again. Spray water: it must lie flat.`,
        why: 'Film does not stick to a coating; at the edges that shows first, and too late.',
        minutes: 20,
        inHand: ['coating remover', 'pad', 'water spray'],
        gate: 'Water no longer beads anywhere, edges included.',
        because: because('coating'),
        cautions: ['Follow the remover’s instructions: gloves and fresh air.'],
        picture: wholePart('none', [...where(c, 'coating'), { kind: 'edge', edge: '*', text: 'edges too' }]),
      },
    ],
  },
  {
    name: 'offer a correction of soft gloss',
    when: has('swirls'),
    steps: (c) => [
      {
        id: 'offer-correction',
        phase: 'prepare',
        headline: 'Swirls: correct them first?',
        detail: 'Offer a polish before the film. Clear film shows everything beneath it.',
        why: 'Soft gloss is marked easily, and nobody can polish under film.',
        minutes: 3,
        gate: 'Corrected, or the customer takes it as it is.',
        because: because('swirls'),
        picture: wholePart('none', where(c, 'swirls')),
      },
    ],
  },
  {
    name: 'mask beside a repaint',
    when: has('repaint'),
    steps: (c) => [
      {
        id: 'mask-repaint',
        phase: 'prepare',
        headline: 'Low-tack tape, no pull on the edges',
        detail: 'Mask the repaint with low-tack tape only. Lift film flat and slowly; do not pull at an edge.',
        why: 'Fresh or poor repaint comes off with tape or film.',
        minutes: 4,
        inHand: ['low-tack masking tape'],
        because: because('repaint'),
        picture: wholePart('none', where(c, 'repaint')),
      },
    ],
  },
]

/** Findings that stay visible under the film and belong on record: said, not done. */
export const keptOnRecord: readonly FindingKind[] = ['chip', 'scratch', 'dent', 'casting marks', 'crazed lens']

/** A cold dry room charges film up as its liner comes off. */
export const staticCaution = (c: PlanContext): string | null =>
  c.room !== undefined &&
  c.room.temperatureC < c.practice.roomColdBelow &&
  c.room.humidityPercent < c.practice.roomDryBelow
    ? `Cold dry room (${c.temperature(c.room.temperatureC)}, ${Math.round(c.room.humidityPercent)} %): static curls the liner and pulls dust. ${isWet(c) ? 'Wet the liner as it opens.' : 'Wet the floor, open the liner slowly.'}`
    : null
