import type { EdgeCode } from '../../form/index.ts'
import type { WaitKind } from '../../wait/index.ts'
import {
  angle,
  atStart,
  days,
  hours,
  isEmpty,
  length,
  list,
  minutes,
  name,
  nothing,
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
  edgesAmong,
  edgesWith,
  fromRoll,
  hasCode,
  isDome,
  isLens,
  isMasked,
  isTrim,
  isWet,
  labelsOf,
  rinsed,
  type PlanRule,
  type StepDraft,
  spotOf,
  wholePart,
} from './rule.ts'
import { roughTrimRule, trimOpeningsRule } from './rollRules.ts'
import { lineLength, strokes } from './strokes.ts'

const named = (c: PlanContext, ...codes: readonly EdgeCode[]) => edgesAmong(c, edgesWith(c, ...codes))
const marked = (c: PlanContext, text: Sentence, ...codes: readonly EdgeCode[]): PictureMark[] =>
  edgesWith(c, ...codes).map((e) => ({ kind: 'edge', edge: e.name, text }))
const worthMmPer100 = 0.1
const wait = (c: PlanContext, kind: WaitKind) => stepWait(kind, c.waits, c.solutions)

/** Edges that a blade cuts, in the gap or on the surface; a tucked edge is trimmed in its gap. */
const cutCodes = ['gap-cut', 'tuck'] as const

/** Everything wet dries from one wetting: the flush of the edges. */
const fromFlush = (c: PlanContext, kind: WaitKind): StepWait => ({ ...wait(c, kind), since: 'flush-edges' })

/** Edges that a blade cuts on the surface: those that end so, and of a sheet off the roll all that stop or meet something there. */
const surfaceCodes = (c: PlanContext): readonly EdgeCode[] =>
  fromRoll(c) && !isDome(c) ? ['surface-cut', 'stop-short', 'butt', 'overlap'] : ['surface-cut']
const hasSurfaceCut = (c: PlanContext) => hasCode(c, ...surfaceCodes(c))

/** There is soap to be flushed out. */
const floatsOnSoap = (c: PlanContext) => c.solutions.some((s) => s.strength.soapMlPerL > 0)

/** Dry film that was stretched over a bulge keeps its memory until it is heated through. */
const holdsStretch = (c: PlanContext) => !isWet(c) && isLens(c) && c.pulls.length > 0 && !barsHeat(c)
/** Dry film elsewhere is heated through last of all. */
const heatedLast = (c: PlanContext) => !isWet(c) && !barsHeat(c) && !isLens(c) && !isEmpty(postHeatPlace(c))
const cutWarm = (c: PlanContext) => !isWet(c) && !barsHeat(c) && hasCode(c, ...cutCodes, ...surfaceCodes(c))

/** Edges, heat, waits and the last look, in the order of the end. */
export const finishRules: readonly PlanRule[] = [
  roughTrimRule,
  {
    name: 'flush the edges',
    when: isWet,
    steps: (c) => [
      {
        id: 'flush-edges',
        phase: 'edges',
        headline:
          c.schools.slip === 'single fluid'
            ? say`Dry the edges`
            : rinsed(c)
              ? say`Edges: rinse the slip out, press dry`
              : say`Edges: flush with tack, press dry`,
        detail:
          c.schools.slip === 'single fluid'
            ? say`Tissue over the squeegee, along and under every edge, until it comes away dry.`
            : rinsed(c)
              ? say`Plain water along and under the edge, then within ${minutes(c.practice.mostFlushToPress)} press the moisture out with a cloth over the squeegee.`
              : say`Tack along and under the edge, then within ${minutes(c.practice.mostFlushToPress)} press the moisture out with a cloth over the squeegee.`,
        why: floatsOnSoap(c)
          ? say`Soap left at an edge is where it lifts.`
          : say`Water left under an edge keeps it open.`,
        minutes: c.practice.takesFlush,
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
          detail:
            c.across === null
              ? say`${temperature(c.practice.heatSoften)}, broad and moving, on the loose film above and below; lay it as it draws in.`
              : say`${temperature(c.practice.heatSoften)}, broad and moving, on the loose film above and below; lay it as it draws in. A line on the face: lift past it, warm, cool, press from its middle.`,
          why: say`What was pulled across has narrowed; heat lets the film remember its flat shape. Fingers now mean it was not pulled enough.`,
          minutes: c.practice.takesShrink,
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
    when: (c) => !isDome(c) && c.edges.some((e) => e.leftMmPer100 > worthMmPer100),
    steps: (c) => {
      const left = c.edges.filter((e) => e.leftMmPer100 > worthMmPer100)
      const heat = isWet(c) ? null : heated(c, 'soften')
      return [
        {
          id: 'fingers',
          phase: 'edges',
          laidUpTo: 'all',
          headline: say`Work the fingers out: ${edgesAmong(c, left)}`,
          detail: isWet(c)
            ? say`Lift, flood with tack, pull outward so that the excess runs out, lay. Saw small ones down along the edge with the squeegee tilted, firmer each time.`
            : barsHeat(c)
              ? say`Lift, pull outward cold so that the excess runs out, lay.`
              : say`Lift, warm a broad area, pull outward so that the excess runs out, lay.`,
          why: say`The film is at its limit there: about ${list(left.map((e) => say`${inSpan(e.leftMmPer100)} per ${span}`))} stays.`,
          minutes: c.practice.takesFingers,
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
    name: 'trim and notch a wrapped edge',
    when: (c) => hasCode(c, 'wrap'),
    steps: (c) => [
      {
        id: 'trim-wrap',
        phase: 'edges',
        headline: say`Trim and notch: ${named(c, 'wrap')}`,
        detail: notchWords(c),
        why: say`What is turned under must not fold over itself at a corner.`,
        minutes: c.practice.takesTrimWrap,
        tools: ['scissors'],
        cautions: [
          caution('blade', say`Scissors, not a knife, near paint. Blade away from hands.`),
          ...doubtsOn(c, 'wrap'),
        ],
        references: byEdges(edgesWith(c, 'wrap')),
        picture: wholePart('laid', marked(c, say`wrap`, 'wrap')),
      },
    ],
  },
  {
    name: 'wet film grabs and dries',
    when: isWet,
    steps: (c) => [
      {
        id: 'grab',
        phase: 'edges',
        headline: say`Let it grab and dry`,
        detail: paragraph(say`Wipe up, note small fingers for later, then leave it.`, dueWords(c)),
        why: say`One clock for all: everything dries from the same wetting. Work on another part meanwhile.`,
        minutes: c.practice.takesGrab,
        tools: ['dry cloth'],
        picture: wholePart('laid'),
      },
    ],
  },
  {
    name: 'post-heat what was stretched, before the cut',
    when: holdsStretch,
    steps: (c) => [
      postHeat(c, {
        wait: coolBeforeCut(c),
        why: say`It ends the memory of the film: what is not heated now draws back from the cut tomorrow.`,
      }),
    ],
  },
  {
    name: 'relax dry edges before they are cut',
    when: (c) => !isWet(c) && isLens(c) && hasCode(c, 'gap-cut', 'tuck'),
    steps: (c) => {
      const heat = heated(c, 'soften')
      return [
        {
          id: 'relax-edges',
          phase: 'edges',
          headline: say`Relax the edges`,
          detail: barsHeat(c)
            ? say`Along every edge: lift, let it draw back by itself, lay without tension.`
            : say`Along every edge: lift, warm it, cool two seconds, lay without tension.`,
          why: say`An edge that is cut under tension shrinks away from its line.`,
          minutes: c.practice.takesRelax,
          ...heat,
          references: byEdges(edgesWith(c, 'gap-cut', 'tuck')),
          picture: wholePart('laid', marked(c, say`relax`, 'gap-cut', 'tuck')),
        },
      ]
    },
  },
  {
    name: 'come back to what were fingers',
    when: (c) => isWet(c) && isLens(c) && c.edges.some((e) => e.unpulledMmPer100 > worthMmPer100),
    steps: (c) => {
      const spare = c.edges.filter((e) => e.unpulledMmPer100 > worthMmPer100)
      return [
        {
          id: 'press-again',
          phase: 'edges',
          headline: say`Come back: press what were fingers`,
          detail: paragraph(
            say`At the ${labelsOf(spare)}: thumb or hard card from the middle of each out to the rim.`,
            (c.form.obstacles ?? []).length > 0 && say`Where it still binds: the relief a little deeper.`,
          ),
          why: say`Dry enough to hold and not yet bonded, film that stood up stays down now.`,
          minutes: c.practice.takesPressAgain,
          tools: ['cloth over the squeegee'],
          references: byEdges(spare),
          picture: wholePart(
            'laid',
            spare.map((e) => ({ kind: 'edge', edge: e.name, text: say`press` })),
          ),
          notBefore: fromFlush(c, 'beforeTrim'),
        },
      ]
    },
  },
  {
    name: 'tuck',
    when: (c) => hasCode(c, 'tuck'),
    steps: (c) => {
      const heat = isWet(c) || barsHeat(c) || heatOf(c, 'soften') === undefined ? null : heated(c, 'soften')
      return [
        {
          id: 'tuck',
          phase: 'edges',
          headline: say`Tuck ${named(c, 'tuck')}`,
          detail: paragraph(
            heat !== null && say`Warm it until it gives.`,
            say`As deep as it goes with the thin tool, the other hand holds the film away. Draw the cut line with a finger.`,
          ),
          why: say`A tucked edge cannot be caught by water or a cloth.`,
          minutes: c.practice.takesTuck,
          ...(heat ?? {}),
          tools: ['tucking tool', ...(heat?.tools ?? [])],
          references: byEdges(edgesWith(c, 'tuck')),
          picture: wholePart('laid', marked(c, say`tuck`, 'tuck')),
        },
      ]
    },
  },
  {
    name: 'cut in the gap',
    when: (c) => hasCode(c, ...cutCodes),
    steps: (c) => {
      const edges = atStart(say`${named(c, ...cutCodes)}`)
      const blade = angle(c.practice.bladeGap)
      const dryAfter = wait(c, 'beforeTrim').leastMinutes
      return [
        {
          id: 'gap-cut',
          phase: 'edges',
          headline: say`Cut in the gap`,
          detail: paragraph(
            isLens(c)
              ? say`${edges}: blade in the empty gap, its back on the lamp, about ${blade}, away from the vehicle. Waste taut, off slowly; the tight place last.`
              : say`${edges}: blade in the empty gap, its back on the part, about ${blade}, away from the vehicle. Waste taut, off slowly; the tight place last.`,
            say`Not through somewhere: go over it lightly with a new segment, never pull.`,
            isLens(c) && say`Where the hand cannot hold the angle: stop, and cut from the other side.`,
            isTrim(c) && say`One side at a time: warm and press it before the other is cut.`,
            segmentWords(c),
          ),
          why: isWet(c)
            ? say`The blade drags wet film along. A skilled hand may cut sooner, with the waste held taut.`
            : say`Cooled film cuts clean; an uncut bridge pulls the piece off.`,
          minutes: c.practice.takesGapCut,
          tools: ['knife', 'sharps box'],
          gate: isWet(c) ? say`The edge has dried.` : say`The film has cooled.`,
          cautions: [
            caution('blade', say`Blade never on paint, away from your other hand. Old segment into the sharps box.`),
            ...cutCodes.flatMap((code) => doubtsOn(c, code)),
          ],
          records: 'blade',
          cutMm: cutCodes.reduce((sum, code) => sum + cutLengthMm(c, code), 0),
          references: byEdges(edgesWith(c, ...cutCodes)),
          picture: wholePart('laid', marked(c, say`cut`, ...cutCodes)),
          ...(isWet(c)
            ? {
                notBefore: fromFlush(c, 'beforeTrim'),
                within: [
                  {
                    since: 'flush-edges',
                    mostMinutes: dryAfter + c.practice.mostDryToTrim,
                    says: say`the edge bonds where it is to be cut off: warm it before the blade`,
                  },
                ],
              }
            : {}),
        },
      ]
    },
  },
  trimOpeningsRule,
  {
    name: 'cut on the surface',
    when: hasSurfaceCut,
    steps: (c) => [
      {
        id: 'surface-cut',
        phase: 'edges',
        headline: say`Cut on the surface: ${named(c, ...surfaceCodes(c))}`,
        detail: paragraph(
          fromRoll(c) && say`${length(c.practice.surfaceKeep)} before the edge.`,
          say`Masking tape as the line. Fresh segment, blade at about ${angle(c.practice.bladeSurface)}: incise two thirds deep, never through, every corner rounded. Then pull sharply: it parts along the line.`,
          segmentWords(c),
        ),
        why: say`The film’s last third keeps the blade off the paint.`,
        minutes: c.practice.takesSurfaceCut,
        tools: ['knife', 'masking tape', 'sharps box'],
        gate: isWet(c) ? say`The edge has dried.` : say`The film has cooled.`,
        cautions: [
          caution('blade', say`Only with a steady, practised hand: a blade through the film marks the paint.`),
          ...surfaceCodes(c).flatMap((code) => doubtsOn(c, code)),
        ],
        records: 'blade',
        cutMm: edgesWith(c, ...surfaceCodes(c)).reduce((sum, e) => sum + lineLength(c, e.name), 0),
        references: byEdges(edgesWith(c, ...surfaceCodes(c))),
        picture: wholePart('laid', marked(c, say`cut`, ...surfaceCodes(c))),
        ...(isWet(c) ? { notBefore: fromFlush(c, 'beforeTrim') } : {}),
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
        headline: say`Ends on the crest all round?`,
        detail: say`Look round the ${named(c, 'lip-stop')} against the light. Where it runs over: lift that sector, lay it again further in.`,
        why: say`Film past a sharp return has nothing flat to hold on to, and lifts.`,
        minutes: c.practice.takesCrestLook,
        tools: ['lamp light'],
        references: byEdges(edgesWith(c, 'lip-stop')),
        picture: wholePart('laid', marked(c, say`crest`, 'lip-stop')),
      },
    ],
  },
  {
    name: 'turn a wrapped edge',
    when: (c) => hasCode(c, 'wrap'),
    steps: (c) => {
      const heat = isWet(c) ? null : heated(c, 'seal')
      return [
        {
          id: 'turn-wrap',
          phase: 'edges',
          headline: say`Turn ${named(c, 'wrap')}`,
          detail: paragraph(
            say`Turn under, press and hold.`,
            isWet(c) && !barsHeat(c)
              ? say`In a hurry: steam it and press with a towel. Does it lift: more drying, then again.`
              : say`Does it lift: hold it longer.`,
          ),
          why: isWet(c) ? say`A wet edge slides off when it is turned.` : say`Held long enough it stays.`,
          minutes: c.practice.takesTurnWrap,
          ...(heat ?? {}),
          tools: ['cloth', ...(heat?.tools ?? [])],
          references: byEdges(edgesWith(c, 'wrap')),
          picture: wholePart('laid', marked(c, say`wrap`, 'wrap')),
          ...(isWet(c)
            ? {
                notBefore: fromFlush(c, 'beforeWrap'),
                within: [
                  {
                    since: 'trim-wrap',
                    mostMinutes: c.practice.mostTrimToTurn,
                    says: say`the cut edge gathers dust: wipe it with tack before it is turned`,
                  },
                ],
              }
            : {}),
        },
      ]
    },
  },
  {
    name: 'warm the cut edges of dry film',
    when: cutWarm,
    steps: (c) => {
      const heat = heated(c, 'seal')
      const codes = [...cutCodes, ...surfaceCodes(c)]
      return [
        {
          id: 'warm-edges',
          phase: 'heat',
          headline: say`Warm the cut edges, ${temperature(c.practice.heatSeal)}`,
          detail: say`Along every edge that was cut; a glove follows the gun and presses while it is warm.`,
          why: say`The blade has lifted it a little: warm and pressed it lies down.`,
          minutes: c.practice.takesWarmEdges,
          ...heat,
          tools: [...heat.tools, 'gloves'],
          references: byEdges(edgesWith(c, ...codes)),
          picture: wholePart('laid', marked(c, say`heat`, ...codes)),
        },
      ]
    },
  },
  {
    name: 'look for bubbles before the post-heat of dry film',
    when: (c) => heatedLast(c) && !isTrim(c),
    steps: (c) => [
      {
        id: 'bubbles',
        phase: 'look',
        headline: say`Look for bubbles first`,
        detail: say`Light low over all of it. Air: prick, warm, cool, press out towards the hole.`,
        why: say`Post-heat sets the film: a bubble that is heated through stays.`,
        minutes: c.practice.takesBubbles,
        tools: ['lamp light'],
        picture: wholePart('laid', strokes(c)),
      },
    ],
  },
  {
    name: 'post-heat dry film last of all',
    when: heatedLast,
    steps: (c) => [
      postHeat(c, {
        why: hasCode(c, ...cutCodes, ...surfaceCodes(c))
          ? say`It ends the memory of the film; before the cut it would have shrunk away from the line.`
          : say`It ends the memory of the film: what is not heated now draws back tomorrow.`,
      }),
    ],
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
            say`Gun along the edges only; the cloth follows at once and presses while it is warm.`,
            isEmpty(most) ? say`Corners with most built-up film get the most time.` : most,
          ),
          why: say`In the flat the film has bonded: there is nothing to heat.`,
          minutes: c.practice.takesSeal,
          ...heat,
          tools: [...heat.tools, 'cloth', 'infra-red thermometer'],
          picture: wholePart('laid', [{ kind: 'edge', edge: '*', text: say`heat` }]),
          notBefore: fromFlush(c, 'initialGrab'),
          within: [
            {
              since: 'flush-edges',
              mostMinutes: wait(c, 'initialGrab').leastMinutes + c.practice.mostGrabToSeal,
              says: say`edges begin to lift by themselves: press each down before it is sealed`,
            },
          ],
        },
      ]
    },
  },
  {
    name: 'masking tape comes off',
    once: 'last',
    when: (c) => isMasked(c) || hasSurfaceCut(c) || c.schools.slip === 'single fluid',
    steps: (c) => [
      {
        id: 'unmask',
        phase: 'look',
        headline: say`Take the tape off`,
        detail: say`Flat back on itself and slowly, away from the film; look at each edge as it comes free.`,
        why: say`Tape left on leaves its glue, and torn off it takes an edge along.`,
        minutes: c.practice.takesUnmask,
        references: byEdges(c.edges),
        picture: wholePart('laid', [{ kind: 'edge', edge: '*' }]),
      },
    ],
  },
  {
    name: 'last look',
    when: () => true,
    steps: (c) => [
      ...behindStep(c),
      {
        id: 'look',
        phase: 'look',
        headline: say`Walk the edges, light low`,
        detail: isLens(c)
          ? say`Finger along every edge, light at a low angle, step back. Lamps on, both sides alike.`
          : isWet(c)
            ? say`Mist of slip over all of it, finger along every edge, light at a low angle, step back.`
            : say`Finger along every edge, light at a low angle, step back.`,
        why: isWet(c)
          ? say`Small haze and pin-size bubbles leave in about ${wholeDays(c, 'haze')}; larger pockets want a syringe now. A finger or a lifting edge stays.`
          : say`Air in dry film stays unless it is pricked or drawn out.`,
        minutes: c.practice.takesLook,
        tools: ['lamp light'],
        picture: wholePart('laid', [{ kind: 'edge', edge: '*' }, ...marksFromBefore(c)]),
        ...(marksFromBefore(c).length > 0
          ? { because: say`Walk-round: marks that were there before are shown; they are no bubbles.` }
          : {}),
        records: 'edges',
        ...gateToNext(c),
      },
      {
        id: 'hand-on',
        phase: 'look',
        headline: say`Wipe, photograph, done`,
        detail: paragraph(
          c.form.material === 'gloss trim' && isWet(c) && say`Overnight indoors.`,
          c.schools.slip === 'water only' &&
            say`The last haze is gone in about ${hours(Math.round(wait(c, 'waterLaid').leastMinutes / 60))}.`,
          say`No washing for ${wholeDays(c, 'beforeWash')}, no solvents, press nothing. Look at the edges again within ${hours(Math.round(wait(c, 'edgeLook').leastMinutes / 60))}.`,
        ),
        why: say`Full bond takes days, and edges that lift do so early.`,
        minutes: c.practice.takesHandOn,
        tools: ['dry cloth', 'camera'],
        tells: 'aftercare',
        picture: wholePart('laid'),
      },
    ],
  },
]

/** The next piece meets this one or covers it: no edge of it may lift any more. */
function gateToNext(c: PlanContext): Pick<StepDraft, 'gate'> {
  const next = c.set?.next ?? null
  if (next !== null) return { gate: say`No edge of it lifts; then ${name(next)}.` }
  return hasCode(c, 'butt', 'overlap') ? { gate: say`No edge of it lifts: the next piece meets it or covers it.` } : {}
}

/** What lies behind a lid or a door is pressed with it open. */
function behindStep(c: PlanContext): StepDraft[] {
  const { opens } = c.form
  if (opens === undefined || !isLens(c)) return []
  return [
    {
      id: 'behind',
      phase: 'edges',
      headline: say`Open the ${name(opens)}, press what is behind`,
      detail: say`The edge that was out of reach: trim it, press it, look for a fold. Then close it gently, and look once more.`,
      why: say`An edge that nobody pressed lifts first, and nobody sees it.`,
      minutes: c.practice.takesBehind,
      tools: ['cloth', 'lamp light'],
      picture: wholePart('laid', [{ kind: 'edge', edge: '*' }]),
    },
  ]
}

/** Heat all over what holds a memory; the two places that it may have in the order of the end differ in what they wait for. */
function postHeat(c: PlanContext, own: Pick<StepDraft, 'why' | 'wait'>): StepDraft {
  const heat = heated(c, 'post-heat')
  return {
    id: 'post-heat',
    phase: 'heat',
    headline: say`Post-heat, ${temperature(c.practice.heatPost)}`,
    detail: paragraph(
      postHeatPlace(c),
      mostWords(c, 'post-heat'),
      say`Read it with the thermometer. A wet glove follows the gun and presses while it is warm.`,
    ),
    minutes: c.practice.takesPostHeat,
    ...heat,
    tools: [...heat.tools, 'infra-red thermometer', 'wet glove'],
    cautions: [...heat.cautions, caution('heat', say`Hot film burns: glove on.`)],
    references: c.pulls.map(({ letter }) => ({ kind: 'pull', letter })),
    picture: wholePart(
      'laid',
      c.pulls.map((p) => ({ kind: 'zone', at: c.toFlat(p.at), radiusMm: 50, text: say`most here` })),
    ),
    ...own,
  }
}

/** Where film holds a memory: what was stretched, hollows, all of a bar; nothing where it lies by itself. */
function postHeatPlace(c: PlanContext): Sentence {
  if (isTrim(c)) return say`All of it, ends and bends longest.`
  if (isLens(c)) return say`What was stretched, broad and moving.`
  const hollows = [...(c.form.channels ?? []), ...c.form.recesses]
  if (hollows.length > 0)
    return say`Only in the ${list(hollows.map((h) => h.name))}: too hot, and the film drags and wrinkles.`
  return c.pulls.length > 0 ? say`What was stretched, broad and moving.` : nothing
}

/** What becomes due on the one clock that runs from the flush. */
function dueWords(c: PlanContext): Sentence {
  const due = (kind: WaitKind) => minutes(Math.round(wait(c, kind).leastMinutes))
  const turned = hasCode(c, 'wrap') && say`turn at ${due('beforeWrap')}`
  const opened = fromRoll(c) && c.form.holes.length > 0
  const cut = (opened || hasCode(c, ...cutCodes, ...surfaceCodes(c))) && say`cut at ${due('beforeTrim')}`
  const sealed = !barsHeat(c) && say`seal at ${due('initialGrab')}`
  const all = [turned, cut, sealed].filter((w) => w !== false)
  return all.length === 0 ? nothing : say`From the flush: ${list(all)}.`
}

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
