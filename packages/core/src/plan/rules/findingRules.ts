import { findingMeanings, type FindingKind } from '../findings.ts'
import type { PlanContext } from '../planContext.ts'
import { count, length, nothing, paragraph, percent, say, type Sentence, temperature } from '../../say/index.ts'
import type { Caution, PictureMark, StepPicture } from '../step.ts'
import { heated } from './heatOf.ts'
import { barsHeat, caution, foundOf, isLens, isWet, type PlanRule, spotOf, wholePart } from './rule.ts'

/** That a finding brought a step, and where it is. */
const from = (c: PlanContext, kind: FindingKind, film: StepPicture['film'] = 'none', more: PictureMark[] = []) => ({
  because: say`Walk-round: ${findingMeanings[kind].says}.`,
  references: [{ kind: 'finding' as const, finding: kind }],
  picture: wholePart(film, [...where(c, kind), ...more]),
})

/** Where it was found, marked on the picture. */
const where = (c: PlanContext, kind: FindingKind): PictureMark[] =>
  foundOf(c, kind).map((found) => ({
    kind: 'zone',
    at: spotOf(c, found),
    radiusMm: Math.max(18, (found.sizeMm ?? 0) / 2),
    text: findingMeanings[kind].says,
  }))

/** What a row of pieces is off is shared out over its joints, so that none of them shows it. */
function sharedOut(c: PlanContext): Sentence {
  const offMm = Math.max(0, ...foundOf(c, 'out of true').map((f) => f.sizeMm ?? 0))
  if (c.line === null || c.line.joints === 0 || offMm === 0) return nothing
  return say` ${length(offMm)} off in all: share it out, ${length(offMm / c.line.joints)} at each of ${count(c.line.joints)} joints.`
}

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
          headline: say`Ask: cover a damaged lens?`,
          detail: say`Show the customer the place. Laid without heat and without alcohol, or left bare.`,
          why: say`Heat and alcohol make a crack run; film hides it but does not mend it.`,
          minutes: c.practice.takesQuestion,
          gate: say`The customer has seen it and wants it covered.`,
          ...from(c, kind),
          cautions: [caution('no heat', say`No heat and no alcohol on this lens.`)],
        },
      ]
    },
  },
  {
    name: 'raise the vehicle for a low part',
    once: 'first',
    when: (c) => c.low,
    steps: (c) => [
      {
        id: 'raise',
        phase: 'prepare',
        headline: say`Raise the vehicle`,
        detail: say`Ramps or lift, until the part is at chest height and its lower edge can be seen.`,
        why: say`Film held low picks up dirt from the floor, and a lower edge is laid by sight.`,
        minutes: c.practice.takesRaise,
        because: say`The part sits low on the vehicle.`,
        cautions: [
          caution(
            'lifting',
            say`Rated stands or lift only, wheels chocked. Follow the vehicle maker’s lifting points.`,
          ),
        ],
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
        headline: say`Hold the piece up before anything else`,
        detail: say`Liner on, dry. Even left to right counts; up to ${length(c.practice.outOfTrueSlack)} more gap is allowed here.${sharedOut(c)}`,
        why: say`The kit was cut for a true body: find out now where it does not meet, not at the far end.`,
        minutes: c.practice.takesTrueCheck,
        tools: ['piece', 'rule', 'magnets'],
        ...from(c, 'out of true', 'floating'),
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
        headline: say`Fix the loose trim`,
        detail: say`Clip it back or take it off and bag it with its screws.`,
        why: say`Trim that moves lifts the edge laid beside it.`,
        minutes: c.practice.takesTrimOff,
        ...from(c, 'loose trim'),
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
        headline: say`Take the old film off`,
        detail: barsHeat(c)
          ? say`Cold and slowly, flat back on itself. Then its glue, with the remover the paint’s maker allows.`
          : say`Warm it to about ${temperature(c.practice.heatSoften)}, draw it off flat and slowly. Then its glue, with the remover the paint’s maker allows.`,
        why: say`Old glue shows as a stain and holds dirt.`,
        minutes: c.practice.takesStripFilm,
        tools: [...heated(c, 'soften').tools, 'gloves'],
        liquids: ['glue remover'],
        ...from(c, 'previous film'),
        cautions: [
          caution('solvent', say`Remover: gloves, fresh air, no flame. Let it flash off before the gun comes near.`),
          ...heated(c, 'soften').cautions,
        ],
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
        headline: say`Take the sprayed tint off`,
        detail: say`Mask the paint. Solvent on a cloth, small areas, wipe at once, wash after. Try a corner first.`,
        why: say`Film laid on a sprayed coat comes off with it, and the tints multiply.`,
        minutes: c.practice.takesStripTint,
        tools: ['masking tape', 'cloths'],
        liquids: ['coating solvent'],
        ...from(c, 'sprayed tint'),
        cautions: [
          caution(
            'solvent',
            say`Solvent: gloves, mask, fresh air, no flame. Some solvents craze lens plastic: follow the makers’ instructions.`,
          ),
        ],
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
        headline: say`Rust: treated, or left bare?`,
        detail: say`Film does not hold on rust. Agree with the customer before going on.`,
        why: say`Under film it goes on growing, unseen.`,
        minutes: c.practice.takesQuestion,
        gate: say`Treated, or agreed to stay bare.`,
        ...from(c, 'rust'),
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
        headline: say`Strip the coating`,
        detail: isLens(c)
          ? say`Coating remover made for lenses, all over and round the edges, then wash again. Spray water: it must lie flat.`
          : say`Fine polish or coating remover, all over and round the edges, then wash again. Spray water: it must lie flat.`,
        why: say`Film does not stick to a coating; at the edges that shows first, and too late.`,
        minutes: c.practice.takesStripCoating,
        tools: ['pad'],
        liquids: ['coating remover', 'water spray'],
        gate: say`Water no longer beads anywhere, edges included.`,
        ...from(c, 'coating', 'none', [{ kind: 'edge', edge: '*', text: say`edges too` }]),
        cautions: [caution('solvent', say`Follow the remover’s instructions: gloves and fresh air.`)],
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
        headline: say`Swirls: correct them first?`,
        detail: say`Offer a polish before the film. Clear film shows everything beneath it.`,
        why: say`Soft gloss is marked easily, and nobody can polish under film.`,
        minutes: c.practice.takesOffer,
        gate: say`Corrected, or the customer takes it as it is.`,
        ...from(c, 'swirls'),
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
        headline: say`Low-tack tape, no pull on the edges`,
        detail: say`Mask the repaint with low-tack tape only. Lift film flat and slowly; do not pull at an edge.`,
        why: say`Fresh or poor repaint comes off with tape or film.`,
        minutes: c.practice.takesMaskRepaint,
        tools: ['low-tack masking tape'],
        ...from(c, 'repaint'),
      },
    ],
  },
]

/** Findings that stay visible under the film and belong on record: said, not done. */
export const keptOnRecord: readonly FindingKind[] = ['chip', 'scratch', 'dent', 'casting marks', 'crazed lens']

/** A cold dry room charges film up as its liner comes off. */
export function staticCautions(c: PlanContext): Caution[] {
  const { room, practice } = c
  if (
    room === undefined ||
    room.temperatureC >= practice.roomColdBelow ||
    room.humidityPercent >= practice.roomDryBelow
  )
    return []
  const air = say`Cold dry room (${temperature(room.temperatureC)}, ${percent(room.humidityPercent)}): static curls the liner and pulls dust.`
  return [
    caution(
      'static',
      paragraph(air, isWet(c) ? say`Wet the liner as it opens.` : say`Wet the floor, open the liner slowly.`),
    ),
  ]
}
