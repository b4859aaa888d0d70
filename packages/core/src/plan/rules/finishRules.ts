import type { EdgeCode } from '../../form/index.ts'
import type { WaitKind } from '../../wait/index.ts'
import {
  angle,
  atStart,
  days,
  hours,
  isEmpty,
  list,
  paragraph,
  say,
  type Sentence,
  temperature,
  inSpan,
  span,
} from '../../say/index.ts'
import { findingMeanings } from '../findings.ts'
import type { PlanContext } from '../planContext.ts'
import type { PictureMark, StepWait } from '../step.ts'
import { stepWait } from '../waitPlan.ts'
import { cutLengthMm, doubtsOn, notchWords, segmentWords } from './edgeWords.ts'
import { keptOnRecord } from './findingRules.ts'
import { heated, heatOf, mostWords } from './heatOf.ts'
import {
  barsHeat,
  byEdges,
  caution,
  edgesWith,
  hasCode,
  isLens,
  isWet,
  labelsOf,
  type PlanRule,
  spotOf,
  wholePart,
} from './rule.ts'

const named = (c: PlanContext, ...codes: readonly EdgeCode[]) => labelsOf(edgesWith(c, ...codes))
const marked = (c: PlanContext, text: Sentence, ...codes: readonly EdgeCode[]): PictureMark[] =>
  edgesWith(c, ...codes).map((e) => ({ kind: 'edge', edge: e.name, text }))
const worthMmPer100 = 0.1
const wait = (c: PlanContext, kind: WaitKind) => stepWait(kind, c.waits, c.solutions)

/** Edges, heat, waits and the last look. */
export const finishRules: readonly PlanRule[] = [
  {
    name: 'flush the edges',
    when: isWet,
    steps: () => [
      {
        id: 'flush-edges',
        phase: 'edges',
        headline: say`Edges: flush with tack, press dry`,
        detail: say`Tack along and under the edge, then press the moisture out with a cloth over the squeegee.`,
        why: say`Soap left at an edge is where it lifts.`,
        minutes: 5,
        liquids: ['tack'],
        tools: ['cloth over the squeegee'],
        uses: 'tack',
        picture: wholePart('laid', [{ kind: 'edge', edge: '*' }]),
      },
    ],
  },
  {
    name: 'shrink the flaps of a bulge',
    when: (c) => !isWet(c) && c.pulls.length > 0 && !barsHeat(c),
    steps: (c) => {
      const heat = heated(c, 'soften')
      return [
        {
          id: 'shrink-flaps',
          phase: 'lay',
          laidUpTo: 'all',
          headline: say`Shrink the flaps`,
          detail: say`${temperature(c.practice.heatSoften)}, broad and moving, on the loose film above and below; lay it as it draws in.`,
          why: say`What was pulled across has narrowed; heat lets the film remember its flat shape. Fingers now mean it was not pulled enough.`,
          minutes: 5,
          ...heat,
          tools: [...heat.tools, 'felt squeegee'],
          references: c.pulls.map(({ letter }) => ({ kind: 'pull', letter })),
          picture: wholePart(
            'floating',
            c.pulls.map((p) => ({ kind: 'edge', edge: p.edge, text: say`shrink` })),
          ),
        },
      ]
    },
  },
  {
    name: 'fingers that the pulls leave',
    when: (c) => c.edges.some((e) => e.leftMmPer100 > worthMmPer100),
    steps: (c) => {
      const left = c.edges.filter((e) => e.leftMmPer100 > worthMmPer100)
      const heat = isWet(c) ? null : heated(c, 'soften')
      return [
        {
          id: 'fingers',
          phase: 'edges',
          laidUpTo: 'all',
          headline: say`Work the fingers out: ${labelsOf(left)}`,
          detail: isWet(c)
            ? say`Lift, flood with tack, pull outward so that the excess runs out, lay. Saw small ones down along the edge.`
            : barsHeat(c)
              ? say`Lift, pull outward cold so that the excess runs out into the bleed, lay.`
              : say`Lift, warm a broad area, pull outward so that the excess runs out into the bleed, lay.`,
          why: say`The film is at its limit there: about ${list(left.map((e) => say`${inSpan(e.leftMmPer100)} per ${span}`))} stays.`,
          minutes: 5,
          ...heat,
          ...(heat === null
            ? { liquids: ['tack'], tools: ['tilted squeegee'] }
            : { tools: [...heat.tools, 'felt squeegee'] }),
          references: byEdges(left),
          picture: wholePart(
            'laid',
            left.map((e) => ({ kind: 'edge', edge: e.name, text: say`fingers` })),
          ),
          records: 'fingers',
        },
      ]
    },
  },
  {
    name: 'initial grab of wet film',
    when: isWet,
    steps: (c) => [
      {
        id: 'grab',
        phase: 'edges',
        headline: say`Let it grab`,
        detail: say`Wipe up, note small fingers for later. Do not touch the film.`,
        why: say`The adhesive needs time before heat or a finger comes near the edge.`,
        minutes: 1,
        wait: wait(c, c.schools.slip === 'water only' ? 'waterLaid' : 'initialGrab'),
        picture: wholePart('laid'),
      },
    ],
  },
  {
    name: 'dry before a wet edge is cut',
    when: (c) => isWet(c) && c.schools.slip !== 'water only' && hasCode(c, 'gap-cut', 'tuck', 'surface-cut'),
    steps: (c) => [
      {
        id: 'dry-trim',
        phase: 'edges',
        headline: say`Let the edges dry before the cut`,
        detail: say`Press them once more with a dry cloth, then leave them. Work on another part meanwhile.`,
        why: say`The blade drags wet film along and leaves a ragged edge. A skilled hand may cut wet, with the waste held taut.`,
        minutes: 1,
        tools: ['dry cloth'],
        wait: wait(c, 'beforeTrim'),
        references: byEdges(edgesWith(c, 'gap-cut', 'tuck', 'surface-cut')),
        picture: wholePart('laid', marked(c, say`dry`, 'gap-cut', 'tuck', 'surface-cut')),
      },
    ],
  },
  {
    name: 'turn a wrapped edge',
    when: (c) => hasCode(c, 'wrap'),
    steps: (c) => {
      const heat = heated(c, 'seal')
      return [
        {
          id: 'trim-wrap',
          phase: 'edges',
          headline: say`Trim and notch: ${named(c, 'wrap')}`,
          detail: paragraph(
            notchWords(c),
            isWet(c) && !barsHeat(c)
              ? say`Then let it dry, or steam it and press with a towel.`
              : say`Then let it dry.`,
          ),
          why: say`A wet edge slides off when it is turned.`,
          minutes: 4,
          tools: ['scissors'],
          cautions: [
            caution('blade', say`Scissors, not a knife, near paint. Blade away from hands.`),
            ...doubtsOn(c, 'wrap'),
          ],
          ...(isWet(c) ? { wait: wait(c, 'beforeWrap') } : {}),
          references: byEdges(edgesWith(c, 'wrap')),
          picture: wholePart('laid', marked(c, say`wrap`, 'wrap')),
        },
        {
          id: 'turn-wrap',
          phase: 'edges',
          headline: say`Turn ${named(c, 'wrap')}`,
          detail: barsHeat(c)
            ? say`Turn under, press and hold.`
            : say`Turn under, press and hold, then seal with heat.`,
          why: barsHeat(c) ? say`Held long enough it stays.` : say`Held and sealed it stays.`,
          minutes: 4,
          ...heat,
          tools: ['cloth', ...heat.tools],
          references: byEdges(edgesWith(c, 'wrap')),
          picture: wholePart('laid', marked(c, say`wrap`, 'wrap')),
        },
      ]
    },
  },
  {
    name: 'post-heat deep dry shapes before the cut',
    when: (c) => !isWet(c) && !barsHeat(c),
    steps: (c) => {
      const heat = heated(c, 'post-heat')
      const most = mostWords(c, 'post-heat')
      return [
        {
          id: 'post-heat',
          phase: 'heat',
          headline: say`Post-heat, ${temperature(c.practice.heatPost)}`,
          detail: paragraph(
            isEmpty(most) ? say`All over, most where it was pulled most.` : most,
            say`Read it with the thermometer. A wet glove follows and presses.`,
          ),
          why: say`It ends the memory of the film: what is not heated now draws back tomorrow.`,
          minutes: 5,
          ...heat,
          tools: [...heat.tools, 'infra-red thermometer', 'wet glove'],
          cautions: [...heat.cautions, caution('heat', say`Hot film burns: glove on.`)],
          wait: coolBeforeCut(c),
          references: c.pulls.map(({ letter }) => ({ kind: 'pull', letter })),
          picture: wholePart(
            'laid',
            c.pulls.map((p) => ({ kind: 'zone', at: c.toFlat(p.at), radiusMm: 50, text: say`most here` })),
          ),
        },
      ]
    },
  },
  {
    name: 'cut in the gap',
    when: (c) => hasCode(c, 'gap-cut'),
    steps: (c) => {
      const edges = atStart(say`${named(c, 'gap-cut')}`)
      const blade = angle(c.practice.bladeGap)
      return [
        {
          id: 'gap-cut',
          phase: 'edges',
          headline: say`Cut in the gap`,
          detail: paragraph(
            isLens(c)
              ? say`${edges}: blade in the empty gap, its back on the lamp, about ${blade}, away from the vehicle. Waste taut, off slowly.`
              : say`${edges}: blade in the empty gap, its back on the part, about ${blade}, away from the vehicle. Waste taut, off slowly.`,
            segmentWords(c),
          ),
          why: say`Cooled film cuts clean; an uncut bridge pulls the piece off.`,
          minutes: 5,
          tools: ['knife', 'sharps box'],
          gate: isWet(c) ? say`The film has dried.` : say`The film has cooled.`,
          cautions: [
            caution('blade', say`Blade never on paint, away from your other hand. Old segment into the sharps box.`),
            ...doubtsOn(c, 'gap-cut'),
          ],
          records: 'blade',
          cutMm: cutLengthMm(c, 'gap-cut'),
          references: byEdges(edgesWith(c, 'gap-cut')),
          picture: wholePart('laid', marked(c, say`cut`, 'gap-cut')),
        },
      ]
    },
  },
  {
    name: 'stop on the crest of a lip',
    when: (c) => hasCode(c, 'lip-stop'),
    steps: (c) => [
      {
        id: 'lip-stop',
        phase: 'edges',
        headline: say`Stop on the crest`,
        detail: say`${atStart(say`${named(c, 'lip-stop')}`)}: centred, the film ends on the crest all round. Trim what runs over it.`,
        why: say`Film past a sharp return has nothing flat to hold on to, and lifts.`,
        minutes: 3,
        tools: ['sharp scissors', 'lamp light'],
        references: byEdges(edgesWith(c, 'lip-stop')),
        picture: wholePart('laid', marked(c, say`crest`, 'lip-stop')),
      },
    ],
  },
  {
    name: 'tuck',
    when: (c) => hasCode(c, 'tuck'),
    steps: (c) => {
      const heat = isWet(c) || barsHeat(c) ? null : heatOf(c, 'soften')
      return [
        {
          id: 'tuck',
          phase: 'edges',
          headline: say`Tuck ${named(c, 'tuck')}`,
          detail: say`As deep as it goes with the thin tool, then trim the rest in the gap.`,
          why: say`A tucked edge cannot be caught by water or a cloth.`,
          minutes: 4,
          tools: ['tucking tool', 'knife'],
          ...(heat ? { heat: heat.use } : {}),
          cautions: [caution('blade', say`Blade away from hands and paint.`), ...doubtsOn(c, 'tuck')],
          records: 'blade',
          cutMm: cutLengthMm(c, 'tuck'),
          references: byEdges(edgesWith(c, 'tuck')),
          picture: wholePart('laid', marked(c, say`tuck`, 'tuck')),
        },
      ]
    },
  },
  {
    name: 'seal the edges',
    when: (c) => isWet(c) && !barsHeat(c),
    steps: (c) => {
      const heat = heated(c, 'seal')
      const most = mostWords(c, 'seal')
      return [
        {
          id: 'seal-edges',
          phase: 'heat',
          headline: say`Seal the edges, ${temperature(c.practice.heatSeal)}`,
          detail: paragraph(
            say`Gun along the edges only, a cloth follows.`,
            isEmpty(most) ? say`Corners with most built-up film get the most time.` : most,
          ),
          why: say`In the flat the film has bonded: there is nothing to heat.`,
          minutes: 5,
          ...heat,
          tools: [...heat.tools, 'cloth', 'infra-red thermometer'],
          picture: wholePart('laid', [{ kind: 'edge', edge: '*', text: say`heat` }]),
        },
      ]
    },
  },
  {
    name: 'last look',
    when: () => true,
    steps: (c) => [
      {
        id: 'look',
        phase: 'look',
        headline: say`Walk the edges, light low`,
        detail: isLens(c)
          ? say`Finger along every edge, light at a low angle, step back. Lamps on, both sides alike.`
          : say`Mist of slip over all of it, finger along every edge, light at a low angle, step back.`,
        why: isWet(c)
          ? say`Small haze and pin-size bubbles leave in about ${wholeDays(c, 'haze')}; larger pockets want a syringe now. A finger or a lifting edge stays.`
          : say`Air in dry film stays unless it is pricked or drawn out.`,
        minutes: 4,
        tools: ['lamp light'],
        picture: wholePart('laid', [{ kind: 'edge', edge: '*' }, ...marksFromBefore(c)]),
        ...(marksFromBefore(c).length > 0
          ? { because: say`Walk-round: marks that were there before are shown; they are no bubbles.` }
          : {}),
        records: 'edges',
      },
      {
        id: 'hand-on',
        phase: 'look',
        headline: say`Wipe, photograph, done`,
        detail: say`No washing for ${wholeDays(c, 'beforeWash')}, no solvents, press nothing. Look at the edges again within ${hours(Math.round(wait(c, 'edgeLook').leastMinutes / 60))}.`,
        why: say`Full bond takes days, and edges that lift do so early.`,
        minutes: 3,
        tools: ['dry cloth', 'camera'],
        tells: 'aftercare',
        picture: wholePart('laid'),
      },
    ],
  },
]

const wholeDays = (c: PlanContext, kind: WaitKind) => days(Math.max(1, Math.round(wait(c, kind).leastMinutes / 1440)))

/** As the model says for this gun and part, where there is heat; else the shop's figure. */
function coolBeforeCut(c: PlanContext): StepWait {
  const usual = wait(c, 'coolBeforeCut')
  const coolS = heatOf(c, 'post-heat')?.coolToCutS ?? null
  return coolS === null ? usual : { ...usual, leastMinutes: Math.max(usual.leastMinutes, coolS / 60) }
}

/** Marks that were there before the film, so that nobody takes them for faults of the lay. */
const marksFromBefore = (c: PlanContext): PictureMark[] =>
  c.found
    .filter((found) => keptOnRecord.includes(found.kind))
    .map((found) => ({
      kind: 'zone',
      at: spotOf(c, found),
      radiusMm: Math.max(12, (found.sizeMm ?? 0) / 2),
      text: say`${findingMeanings[found.kind].says}, was there`,
    }))
