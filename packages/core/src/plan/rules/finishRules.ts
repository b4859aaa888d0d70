import { stepWait } from '../waitPlan.ts'
import { cutLengthMm, doubtsOn, notchWords, segmentWords } from './edgeWords.ts'
import { heated, heatOf, mostWords } from './heatOf.ts'
import type { WaitKind } from '../../wait/index.ts'
import type { PictureMark, PlanContext, StepWait } from '../planTypes.ts'
import { heatCautions } from './cautions.ts'
import { findingMeanings } from '../findings.ts'
import { keptOnRecord } from './findingRules.ts'
import { barsHeat, edgesWith, hasCode, isLens, isWet, listed, type PlanRule, spotOf, wholePart } from './rule.ts'

const named = (c: PlanContext, ...codes: readonly string[]) => listed(edgesWith(c, ...codes).map((e) => e.label))
const marked = (c: PlanContext, text: string, ...codes: readonly string[]): PictureMark[] =>
  edgesWith(c, ...codes).map((e) => ({ kind: 'edge', edge: e.name, text }))
const worthMmPer100 = 0.1
const wait = (c: PlanContext, kind: WaitKind) => stepWait(kind, c.waits, c.solutions)

/** Edges, heat, waits and the last look. */
export const finishRules: readonly PlanRule[] = [
  {
    name: 'flush the edges',
    when: isWet,
    steps: (_c) => [
      {
        id: 'flush-edges',
        phase: 'edges',
        headline: 'Edges: flush with tack, press dry',
        detail: 'Tack along and under the edge, then press the moisture out with a cloth over the squeegee.',
        why: 'Soap left at an edge is where it lifts.',
        minutes: 5,
        inHand: ['tack', 'cloth over the squeegee'],
        uses: 'tack',
        picture: wholePart('laid', [{ kind: 'edge', edge: '*' }]),
      },
    ],
  },
  {
    name: 'shrink the flaps of a bulge',
    when: (c) => !isWet(c) && c.pulls.length > 0,
    steps: (c) => [
      {
        id: 'shrink-flaps',
        phase: 'lay',
        headline: 'Shrink the flaps',
        detail: `${c.temperature(c.practice.heatSoften)}, broad and moving, on the loose film above and below; lay it as it draws in.`,
        why: 'What was pulled across has narrowed; heat lets the film remember its flat shape. Fingers now mean it was not pulled enough.',
        minutes: 5,
        inHand: ['heat gun, always moving', 'felt squeegee'],
        ...heated(c, 'soften'),
        cautions: heatCautions(c),
        picture: wholePart(
          'floating',
          c.pulls.map((p) => ({ kind: 'edge', edge: p.edge, text: 'shrink' })),
        ),
      },
    ],
  },
  {
    name: 'fingers that the pulls leave',
    when: (c) => c.edges.some((e) => e.leftMmPer100 > worthMmPer100),
    steps: (c) => {
      const left = c.edges.filter((e) => e.leftMmPer100 > worthMmPer100)
      return [
        {
          id: 'fingers',
          phase: 'edges',
          headline: `Work the fingers out: ${listed(left.map((e) => e.label))}`,
          detail: isWet(c)
            ? 'Lift, flood with tack, pull outward so that the excess runs out, lay. Saw small ones down along the edge.'
            : 'Lift, warm a broad area, pull outward so that the excess runs out into the bleed, lay.',
          why: `The film is at its limit there: about ${listed(left.map((e) => `${c.length(e.leftMmPer100)} per ${c.length(100)}`))} stays.`,
          minutes: 5,
          inHand: isWet(c) ? ['tack', 'squeegee at 45°'] : ['heat gun, always moving', 'felt squeegee'],
          ...(isWet(c) ? {} : heated(c, 'soften')),
          cautions: isWet(c) ? [] : heatCautions(c),
          picture: wholePart(
            'laid',
            left.map((e) => ({ kind: 'edge', edge: e.name, text: 'fingers' })),
          ),
          records: 'fingers',
        },
      ]
    },
  },
  {
    name: 'initial grab of wet film',
    when: isWet,
    steps: (c) => {
      return [
        {
          id: 'grab',
          phase: 'edges',
          headline: 'Let it grab',
          detail: 'Wipe up, note small fingers for later. Do not touch the film.',
          why: 'The adhesive needs time before heat or a finger comes near the edge.',
          minutes: 1,
          wait: wait(c, c.schools.slip === 'water only' ? 'waterLaid' : 'initialGrab'),
          picture: wholePart('laid'),
        },
      ]
    },
  },
  {
    name: 'dry before a wet edge is cut',
    when: (c) => isWet(c) && c.schools.slip !== 'water only' && hasCode(c, 'gap-cut', 'tuck', 'surface-cut'),
    steps: (c) => [
      {
        id: 'dry-trim',
        phase: 'edges',
        headline: 'Let the edges dry before the cut',
        detail: 'Press them once more with a dry cloth, then leave them. Work on another part meanwhile.',
        why: 'The blade drags wet film along and leaves a ragged edge. A skilled hand may cut wet, with the waste held taut.',
        minutes: 1,
        inHand: ['dry cloth'],
        wait: wait(c, 'beforeTrim'),
        picture: wholePart('laid', marked(c, 'dry', 'gap-cut', 'tuck', 'surface-cut')),
      },
    ],
  },
  {
    name: 'turn a wrapped edge',
    when: (c) => hasCode(c, 'wrap'),
    steps: (c) => {
      return [
        {
          id: 'trim-wrap',
          phase: 'edges',
          headline: `Trim and notch: ${named(c, 'wrap')}`,
          detail: `${notchWords(c)}Then let it dry${steamTowel(c)}.`,
          why: 'A wet edge slides off when it is turned.',
          minutes: 4,
          inHand: ['scissors'],
          cautions: ['Scissors, not a knife, near paint. Blade away from hands.', ...doubtsOn(c, 'wrap')],
          ...(isWet(c) ? { wait: wait(c, 'beforeWrap') } : {}),
          picture: wholePart('laid', marked(c, 'wrap', 'wrap')),
        },
        {
          id: 'turn-wrap',
          phase: 'edges',
          headline: `Turn ${named(c, 'wrap')}`,
          detail: 'Turn under, press and hold, then seal with heat.',
          why: 'Held and sealed it stays.',
          minutes: 4,
          inHand: ['cloth', 'heat gun, always moving'],
          ...heated(c, 'seal'),
          cautions: heatCautions(c),
          picture: wholePart('laid', marked(c, 'wrap', 'wrap')),
        },
      ]
    },
  },
  {
    name: 'post-heat deep dry shapes before the cut',
    when: (c) => !isWet(c),
    steps: (c) => {
      return [
        {
          id: 'post-heat',
          phase: 'heat',
          headline: `Post-heat, ${c.temperature(c.practice.heatPost)}`,
          detail: `${mostWords(c, 'post-heat') || 'All over, most where it was pulled most. '}Read it with the thermometer. A wet glove follows and presses.`,
          why: 'It ends the memory of the film: what is not heated now draws back tomorrow.',
          minutes: 5,
          inHand: ['heat gun, always moving', 'infra-red thermometer', 'wet glove'],
          ...heated(c, 'post-heat'),
          cautions: [...heatCautions(c), 'Hot film burns: glove on.'],
          wait: coolBeforeCut(c),
          picture: wholePart(
            'laid',
            c.pulls.map((p) => ({ kind: 'zone', at: c.toFlat(p.at), radiusMm: 50, text: 'most here' })),
          ),
        },
      ]
    },
  },
  {
    name: 'cut in the gap',
    when: (c) => hasCode(c, 'gap-cut'),
    steps: (c) => [
      {
        id: 'gap-cut',
        phase: 'edges',
        headline: 'Cut in the gap',
        detail: `${capital(named(c, 'gap-cut'))}: blade in the empty gap, its back on the ${isLens(c) ? 'lamp' : 'part'}, about ${Math.round(c.practice.bladeGap)}°, away from the vehicle. Waste taut, off slowly.${segmentWords(c)}`,
        why: 'Cooled film cuts clean; an uncut bridge pulls the piece off.',
        minutes: 5,
        inHand: ['knife, fresh segment', 'sharps box'],
        gate: isWet(c) ? 'The film has dried.' : 'The film has cooled.',
        cautions: [
          'Blade never on paint, away from your other hand. Old segment into the sharps box.',
          ...doubtsOn(c, 'gap-cut'),
        ],
        records: 'blade',
        cutMm: cutLengthMm(c, 'gap-cut'),
        picture: wholePart('laid', marked(c, 'cut', 'gap-cut')),
      },
    ],
  },
  {
    name: 'stop on the crest of a lip',
    when: (c) => hasCode(c, 'lip-stop'),
    steps: (c) => [
      {
        id: 'lip-stop',
        phase: 'edges',
        headline: 'Stop on the crest',
        detail: `${capital(named(c, 'lip-stop'))}: centred, the film ends on the crest all round. Trim what runs over it.`,
        why: 'Film past a sharp return has nothing flat to hold on to, and lifts.',
        minutes: 3,
        inHand: ['sharp scissors', 'lamp light'],
        picture: wholePart('laid', marked(c, 'crest', 'lip-stop')),
      },
    ],
  },
  {
    name: 'tuck',
    when: (c) => hasCode(c, 'tuck'),
    steps: (c) => [
      {
        id: 'tuck',
        phase: 'edges',
        headline: `Tuck ${named(c, 'tuck')}`,
        detail: 'As deep as it goes with the thin tool, then trim the rest in the gap.',
        why: 'A tucked edge cannot be caught by water or a cloth.',
        minutes: 4,
        inHand: ['tucking tool', 'knife, fresh segment'],
        ...(isWet(c) ? {} : heated(c, 'soften')),
        cautions: ['Blade away from hands and paint.', ...doubtsOn(c, 'tuck')],
        records: 'blade',
        cutMm: cutLengthMm(c, 'tuck'),
        picture: wholePart('laid', marked(c, 'tuck', 'tuck')),
      },
    ],
  },
  {
    name: 'seal the edges',
    when: isWet,
    steps: (c) => [
      {
        id: 'seal-edges',
        phase: 'heat',
        headline: `Seal the edges, ${c.temperature(c.practice.heatSeal)}`,
        detail: `Gun along the edges only, a cloth follows. ${mostWords(c, 'seal') || 'Corners with most built-up film get the most time.'}`,
        why: 'In the flat the film has bonded: there is nothing to heat.',
        minutes: 5,
        inHand: ['heat gun, always moving', 'cloth', 'infra-red thermometer'],
        ...heated(c, 'seal'),
        cautions: heatCautions(c),
        picture: wholePart('laid', [{ kind: 'edge', edge: '*', text: 'heat' }]),
      },
    ],
  },
  {
    name: 'last look',
    when: () => true,
    steps: (c) => [
      {
        id: 'look',
        phase: 'look',
        headline: 'Walk the edges, light low',
        detail: isLens(c)
          ? 'Finger along every edge, light at a low angle, step back. Lamps on, both sides alike.'
          : 'Mist of slip over all of it, finger along every edge, light at a low angle, step back.',
        why: isWet(c)
          ? `Small haze and pin-size bubbles leave in about ${days(c, 'haze')} days; larger pockets want a syringe now. A finger or a lifting edge stays.`
          : 'Air in dry film stays unless it is pricked or drawn out.',
        minutes: 4,
        inHand: ['lamp light'],
        picture: wholePart('laid', [{ kind: 'edge', edge: '*' }, ...marksFromBefore(c)]),
        ...(marksFromBefore(c).length > 0
          ? { because: 'Walk-round: marks that were there before are shown; they are no bubbles.' }
          : {}),
        records: 'edges',
      },
      {
        id: 'hand-on',
        phase: 'look',
        headline: 'Wipe, photograph, done',
        detail: `No washing for ${days(c, 'beforeWash')} days, no solvents, press nothing. Look at the edges again within ${Math.round(wait(c, 'edgeLook').leastMinutes / 60)} hours.`,
        why: 'Full bond takes days, and edges that lift do so early.',
        minutes: 3,
        inHand: ['dry cloth', 'camera'],
        picture: wholePart('laid'),
      },
    ],
  },
]

const days = (c: PlanContext, kind: WaitKind) => Math.max(1, Math.round(wait(c, kind).leastMinutes / 1440))

const steamTowel = (c: PlanContext) => (isWet(c) && !barsHeat(c) ? ', or steam it and press with a towel' : '')

/** As the model says for this gun and part, where there is heat; else the shop's figure. */
function coolBeforeCut(c: PlanContext): StepWait {
  const usual = wait(c, 'coolBeforeCut')
  const coolS = heatOf(c, 'post-heat')?.coolToCutS ?? null
  return coolS === null ? usual : { ...usual, leastMinutes: Math.max(usual.leastMinutes, coolS / 60) }
}

const capital = (words: string) => `${words[0]?.toUpperCase() ?? ''}${words.slice(1)}`

/** Marks that were there before the film, so that nobody takes them for faults of the lay. */
const marksFromBefore = (c: PlanContext): PictureMark[] =>
  c.found
    .filter((found) => keptOnRecord.includes(found.kind))
    .map((found) => ({
      kind: 'zone',
      at: spotOf(c, found),
      radiusMm: Math.max(12, (found.sizeMm ?? 0) / 2),
      text: `${findingMeanings[found.kind].says}, was there`,
    }))
