import { add, scale, subtract, unit } from '../../geometry/index.ts'
import { atStart, distinct, length, list, nothing, paragraph, say, type Sentence } from '../../say/index.ts'
import type { Anchor } from '../partPlan.ts'
import type { PlanContext } from '../planContext.ts'
import type { PictureMark } from '../step.ts'
import { edgeName, fromRoll, isDome, isWet, rinsed, type StepDraft, wholePart } from './rule.ts'
import { middleOf } from './strokes.ts'

/** A spot fixed before the rest: a corner with its gaps, a hinge, the flattest place, or what a rehearsal asks for. */
export function anchorStep(c: PlanContext, anchor: Anchor): StepDraft {
  const marks: PictureMark[] = [
    { kind: 'anchor', number: anchor.number, at: anchor.at },
    ...anchor.gaps.map(({ at, normal, wantedMm }) => ({ kind: 'gap' as const, at, normal, mm: wantedMm })),
  ]
  const common = {
    id: `anchor-${anchor.number}`,
    phase: 'lay',
    minutes: c.practice.takesAnchor,
    references: [{ kind: 'anchor', number: anchor.number }],
    laidUpTo: anchor.number,
  } as const
  if (isWet(c)) return { ...common, ...tackedDown(c, anchor, marks) }
  // A bar is opened at its hinge only: the rest is still under its liner.
  const soon =
    anchor.number === 1 && !fromOneEnd(c)
      ? {
          within: [
            {
              since: 'peel',
              mostMinutes: c.practice.mostPeelToLayDry,
              says: say`the adhesive has gathered dust: look it over against a light`,
            },
          ],
        }
      : {}
  return { ...common, ...pressedDown(c, anchor, marks), ...soon }
}

/** What makes it hold there. */
const under = (c: PlanContext): Sentence =>
  rinsed(c) ? say`rinse the slip out from under it with plain water` : say`tack under it`

type OwnPart = Omit<StepDraft, 'id' | 'phase' | 'minutes'>

function tackedDown(c: PlanContext, anchor: Anchor, marks: readonly PictureMark[]): OwnPart {
  const inward = unit(subtract(middleOf(c), anchor.at))
  const strokeMarks: PictureMark[] = [-0.5, 0, 0.5].map((turn) => {
    const way = unit(add(inward, scale([-inward[1], inward[0]], turn)))
    return { kind: 'stroke', from: add(anchor.at, scale(way, 180)), to: add(anchor.at, scale(way, 95)) }
  })
  if (fromRoll(c) && c.form.family === 'panel' && c.rehearsed === null)
    return {
      ...(c.schools.begin === 'corners first' ? tackedOver(c, anchor) : fixedInside(c, anchor)),
      picture: wholePart('floating', marks),
    }
  const corner = anchor.gaps.length > 0
  return {
    headline: corner ? say`Set the ${anchor.label}` : say`Fix the ${anchor.label}`,
    detail: paragraph(
      gapWords(c, anchor),
      drawnWords(anchor),
      corner
        ? say`Lift, ${under(c)}, hold, three short strokes towards the corner.`
        : say`Lift, ${under(c)}, hold, three short strokes outward from it.`,
    ),
    why:
      c.rehearsed !== null
        ? whyAnchor(anchor)
        : !corner
          ? whyHeld(anchor)
          : anchor.number === 1
            ? say`This corner has the least room: set it first and the rest follows.`
            : say`Next to the last one, so that the edge between them is fixed.`,
    tools: ['soft squeegee'],
    liquids: ['tack'],
    uses: 'tack',
    picture: {
      film: 'floating',
      middle: add(anchor.at, scale(inward, 76)),
      radiusMm: 135,
      marks: [...marks, ...strokeMarks],
    },
    driesInMinutes: c.wetMinutes,
  }
}

/** A sheet is held by its surplus, on what lies beside the part. */
function tackedOver(c: PlanContext, anchor: Anchor): Omit<OwnPart, 'picture'> {
  return {
    headline: say`Pull to the ${anchor.label}, tack the surplus down`,
    detail: say`Draw it past the corner, across and not along the edge, and stroke the surplus onto the neighbouring panel with tack.`,
    why:
      anchor.number === 1
        ? say`The surplus holds it there while you work the rest; drawn across, no fingers come.`
        : say`Next to the last one, so that the edge between them is drawn straight.`,
    tools: ['soft squeegee'],
    liquids: ['tack'],
    uses: 'tack',
    people: c.hands,
    references: [{ kind: 'anchor', number: anchor.number }],
    driesInMinutes: c.wetMinutes,
  }
}

/** A sheet that goes over the form from a place inside it. */
function fixedInside(c: PlanContext, anchor: Anchor): Omit<OwnPart, 'picture'> {
  return {
    headline: say`Fix only the ${anchor.label}`,
    detail: say`Draw the sheet level both ways, moisten beneath it there, press a palm’s width down. Nothing else holds yet.`,
    why: say`From one fixed place elastic film goes over the form the same way on all sides.`,
    tools: ['soft squeegee'],
    liquids: ['tack'],
    uses: 'tack',
    people: c.hands,
    driesInMinutes: c.wetMinutes,
  }
}

function pressedDown(c: PlanContext, anchor: Anchor, marks: readonly PictureMark[]): OwnPart {
  if (isDome(c))
    return {
      headline: say`Touch down in the middle`,
      detail: say`Centred, with the thumb, no bigger than a coin; nothing else touches.`,
      why: say`From here every fold has the same way to go.`,
      tools: ['dry gloves'],
      picture: wholePart('floating', [...marks, { kind: 'zone', at: anchor.at, radiusMm: 12 }]),
    }
  const place = say`${atStart(anchor.label)}.`
  const hinged = fromOneEnd(c) && anchor.number === 1
  const dryWords = hinged
    ? say`Open ${length(c.practice.barHinge)} of liner, set it level, press it down.`
    : say`Press a palm’s width with the felt, nothing else touches.`
  const rehearsed = c.rehearsed !== null
  return {
    headline: rehearsed
      ? say`Fix the ${anchor.label}`
      : fromOneEnd(c)
        ? say`Hinge at one end`
        : say`Fix the ${anchor.label}`,
    detail: paragraph(fromOneEnd(c) && place, drawnWords(anchor), dryWords),
    why: rehearsed
      ? whyAnchor(anchor)
      : fromOneEnd(c)
        ? say`It holds the line while the rest is still under its liner.`
        : whyHeld(anchor),
    tools: ['felt squeegee', 'dry gloves'],
    picture: wholePart('floating', [...marks, { kind: 'zone', at: anchor.at, radiusMm: 45 }]),
  }
}

/** "3 mm from both edges", "22.5 mm over both edges", or each by its edge; film past an edge is never told as a gap below nothing. */
function gapWords(c: PlanContext, { gaps }: Anchor): Sentence {
  const [first] = gaps
  if (first === undefined) return nothing
  const wanted = distinct(gaps.map((gap) => say`${length(gap.wantedMm)}`))
  const by = length(Math.abs(first.wantedMm))
  if (wanted.length === 1 && gaps.length > 1)
    return first.wantedMm < 0 ? say`${by} over both edges.` : say`${by} from both edges.`
  const each = gaps.map(({ wantedMm, edge }) =>
    wantedMm < 0
      ? say`${length(-wantedMm)} over the ${edgeName(c, edge)}`
      : say`${length(wantedMm)} from the ${edgeName(c, edge)}`,
  )
  return say`${atStart(say`${list(each)}`)}.`
}

export const fromOneEnd = (c: PlanContext) =>
  c.schools.begin === 'one end and follow' || c.schools.begin === 'hinge and release'

const drawnWords = (anchor: Anchor) => anchor.drawn && say`Draw the film out first, as far as it gives by hand.`

/** Why film is held at a place that is no corner. */
const whyHeld = (anchor: Anchor) =>
  anchor.number === 1
    ? say`Nothing has to stretch there: it holds while you work the rest.`
    : say`Held here too, the film cannot turn while you work the rest.`

const whyAnchor = (anchor: Anchor) =>
  anchor.drawn
    ? say`Film that is drawn before it is fixed leaves nothing over between here and the edge.`
    : say`Rehearsed: from here the rest needs the least pulling.`
