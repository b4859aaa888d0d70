import { signedArea, type Vec2 } from '../geometry/index.ts'
import type { CheckPoint, PartPlan, PlannedEdge } from '../plan/index.ts'
import { counted, length, name, paragraph, say, type Sentence, verbatim } from '../say/index.ts'

export const lookKinds = [
  'known marks',
  'edge',
  'openings',
  'shut line',
  'whole',
  'lamp lit',
  'sides',
  'neighbours',
  'tape',
  'tools',
] as const
export type LookKind = (typeof lookKinds)[number]

/** One stop of the last walk round a part: looked at, and answered with one tap. */
export interface LookStop {
  /** The same for the same thing of the same plan. */
  readonly id: string
  readonly kind: LookKind
  /** Read from two metres away. */
  readonly asks: Sentence
  readonly how: Sentence
  /** The edge that is walked along. */
  readonly edge: string | null
  /** Gaps that are read once more there. */
  readonly checks: readonly CheckPoint[]
}

/** What is known around a part, beside its plan. */
export interface LookedAround {
  /** What is opened to see behind its edges: "bonnet". */
  readonly opens?: string | undefined
  /** The same part on the other side of the vehicle, where it is fitted too. */
  readonly otherSide: string | null
  /** Blade segments that were used on the part. */
  readonly segments: number
  /** From how far the whole is looked at, mm. */
  readonly fromMm: number
}

/**
 * The last walk round a part: what was there before, its edges in the order in which a hand goes round it, its openings, what is behind its
 * edges, the whole, both sides, and what must not stay behind.
 */
export function lookWalk(plan: PartPlan, around: LookedAround): LookStop[] {
  const stop = (kind: LookKind, asks: Sentence, how: Sentence, more: Partial<LookStop> = {}): LookStop => ({
    id: more.edge === undefined || more.edge === null ? kind : `${kind} ${more.edge}`,
    kind,
    asks,
    how,
    edge: null,
    checks: [],
    ...more,
  })
  const walked = edgesByHand(plan)
  const outer = new Set(walked.map((edge) => edge.name))
  // What was read past an edge is cut off or turned in by now.
  const gaps = plan.checks.filter(({ reads }) => reads === 'gap')
  const inOpenings = gaps.filter((check) => !outer.has(check.edge))
  const checksAt = (edge: PlannedEdge) => gaps.filter((check) => check.edge === edge.name)
  const lens = plan.material === 'lens plastic'
  return [
    ...(marksBefore(plan) > 0
      ? [
          stop(
            'known marks',
            say`Only the marks that were there before?`,
            say`They are ringed in the picture and on the record of the walk-round: nobody chases them.`,
          ),
        ]
      : []),
    ...walked.map((edge) =>
      stop('edge', say`Finger along: ${verbatim(edge.label)}`, edgeWords(edge), {
        edge: edge.name,
        checks: checksAt(edge),
      }),
    ),
    ...(plan.drawing.holes.length === 0
      ? []
      : [
          stop('openings', say`Finger round every opening`, say`Nothing lifts, and what has to be free is free.`, {
            checks: inOpenings,
          }),
        ]),
    ...(around.opens === undefined && !plan.edges.some(({ code }) => code === 'wrap')
      ? []
      : [
          stop(
            'shut line',
            around.opens === undefined
              ? say`Open it, look behind its edges`
              : say`Open the ${name(around.opens)}, look behind the edges`,
            say`Film that is turned in lies down there and nothing rubs when it is shut.`,
          ),
        ]),
    stop(
      'whole',
      say`Step back, light low over all of it`,
      paragraph(
        say`From about ${length(around.fromMm)}: no bubble, no dirt, no line of glue, no knife mark.`,
        plan.film.laid === 'wet' && say`Fine haze leaves by itself.`,
      ),
    ),
    ...(lens
      ? [
          stop(
            'lamp lit',
            say`Light the lamp`,
            say`Bubbles, folds and a second layer show against the light. A photo of it lit is worth having.`,
          ),
        ]
      : []),
    ...(around.otherSide === null
      ? []
      : [
          stop(
            'sides',
            say`Left and right alike?`,
            say`Look from the middle, at both at once: ${name(around.otherSide)} is the other.`,
          ),
        ]),
    stop(
      'neighbours',
      say`Neighbours clean?`,
      say`Slip and tack leave spots on glass, trim and paint: a damp cloth, then a dry one; no solvent.`,
    ),
    ...(plan.steps.some(({ tools, id }) => tools.includes('masking tape') || id === 'unmask')
      ? [stop('tape', say`All tape off?`, say`Behind edges and in gaps too.`)]
      : []),
    ...(around.segments > 0 || plan.steps.some(({ tools }) => tools.includes('knife'))
      ? [
          stop(
            'tools',
            say`Knife, tools and segments counted?`,
            around.segments > 0
              ? say`${counted(around.segments, '# blade segment was', '# blade segments were')} used here: as many are in the sharps box. Nothing lies in a gap or under the lid.`
              : say`Nothing lies in a gap or under the lid.`,
          ),
        ]
      : []),
  ]
}

/** How many marks of the walk-round the last step of looking shows. */
const marksBefore = ({ steps }: PartPlan): number =>
  steps.find(({ records }) => records === 'edges')?.picture.marks.filter(({ kind }) => kind === 'zone').length ?? 0

function edgeWords({ code }: PlannedEdge): Sentence {
  switch (code) {
    case 'wrap':
      return say`Turned in all along, no finger, and every corner closed.`
    case 'tuck':
      return say`Out of sight all along, and nothing stands up.`
    case 'gap-cut':
    case 'surface-cut':
      return say`Clean cut, no thread, nothing lifts, no line in what is beneath.`
    case 'lip-stop':
      return say`It ends on the crest and nothing runs over it.`
    default:
      return say`Nothing lifts, no finger, and the gap is even.`
  }
}

/** The edges of a part in the order in which a hand goes round it: clockwise as it is drawn, from the upper left corner. */
export function edgesByHand({ drawing, edges }: Pick<PartPlan, 'drawing' | 'edges'>): PlannedEdge[] {
  const lines = drawing.edges
  if (lines.length === 0) return []
  const backward = signedArea(drawing.part) > 0
  const clockwise = backward ? [...lines].reverse() : lines
  const begins = (line: readonly Vec2[]): Vec2 | undefined => (backward ? line.at(-1) : line[0])
  const upperLeft = (p: Vec2 | undefined) => (p === undefined ? Number.NEGATIVE_INFINITY : p[1] - p[0])
  const first = clockwise.reduce(
    (best, { line }, i) => (upperLeft(begins(line)) > upperLeft(begins(clockwise[best]?.line ?? [])) ? i : best),
    0,
  )
  const order = [...clockwise.slice(first), ...clockwise.slice(0, first)]
  return [...new Set(order.map(({ name }) => name))].flatMap((name) => edges.find((edge) => edge.name === name) ?? [])
}
