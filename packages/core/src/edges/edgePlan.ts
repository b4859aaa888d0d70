import type { EdgeRule, EdgeRules } from '../align/index.ts'
import type { EdgeCode, FormDoc, FormEdge, PartMaterial, PartSurface } from '../form/index.ts'
import { distance } from '../geometry/index.ts'
import { type CornerNotch, cornerNotches } from '../lay/index.ts'
import type { Practice } from '../practice/index.ts'
import { angle, length, say, type Sentence, temperature } from '../say/index.ts'
import { type Behind, readBehind } from './behind.ts'

export interface EdgeTool {
  readonly name: Sentence
  /** Of a blade against the film; null where nothing is cut with one. */
  readonly bladeDeg: number | null
  readonly direction: Sentence | null
}

/** Where the trade is split: both ways, and which one suits here. */
export interface EdgeSchool {
  readonly question: Sentence
  readonly options: readonly { readonly name: Sentence; readonly says: Sentence; readonly suits: boolean }[]
  readonly because: Sentence
}

/** How one stretch of outline is ended. */
export interface EdgeWork {
  readonly edge: string
  readonly label: string
  readonly code: EdgeCode
  readonly lengthMm: number
  /** Signed edge margin, mm: positive is a gap, negative film beyond the edge. */
  readonly rule: EdgeRule
  readonly behind: Behind
  /** Corners at which this edge begins. */
  readonly notches: readonly CornerNotch[]
  readonly tools: readonly EdgeTool[]
  /** What has to be true of the film before it is worked. */
  readonly when: Sentence
  readonly seal: Sentence | null
  readonly cautions: readonly Sentence[]
  /** Why this way does not suit, and what would; empty where it does. */
  readonly doubts: readonly Sentence[]
  readonly schools: readonly EdgeSchool[]
  /** Cut with a blade here, mm. */
  readonly cutMm: number
}

export interface EdgePlan {
  readonly edges: readonly EdgeWork[]
  /** All that is cut with a blade, and the fresh segments that it takes: one for the part, and one more every so far. */
  readonly cutMm: number
  readonly segments: number
}

const bare: ReadonlySet<PartMaterial> = new Set(['painted steel', 'painted aluminium', 'painted plastic'])

/** Every stretch of a part's outline and its holes: how it ends, with what, when, and where the way it is to end does not suit. */
export function edgePlan(
  form: FormDoc,
  surface: Pick<PartSurface, 'outline' | 'holes'>,
  rules: EdgeRules,
  practice: Practice,
): EdgePlan {
  const wrapMm = Math.max(0, ...form.edges.filter((e) => e.code === 'wrap').map((e) => -(rules[e.name]?.minMm ?? 0)))
  const notches = cornerNotches(form, surface, wrapMm > 0 ? wrapMm : practice.tuckLeast, practice.notchClear)
  const lengths = lengthsOf(surface)
  const works = [
    ...form.edges.map((edge) => workOf(edge, { form, rules, practice, notches, lengths })),
    ...form.holes.map((hole) => workOf(hole, { form, rules, practice, notches: [], lengths })),
  ]
  const cutMm = works.reduce((sum, work) => sum + work.cutMm, 0)
  return { edges: works, cutMm, segments: cutMm === 0 ? 0 : Math.max(1, Math.ceil(cutMm / practice.bladeAlong)) }
}

interface Around {
  readonly form: FormDoc
  readonly rules: EdgeRules
  readonly practice: Practice
  readonly notches: readonly CornerNotch[]
  readonly lengths: ReadonlyMap<string, number>
}

function workOf(edge: Omit<FormEdge, 'behind'> & { readonly behind?: string | undefined }, around: Around): EdgeWork {
  const { form, practice } = around
  const behind = readBehind(edge.behind)
  const lengthMm = around.lengths.get(edge.name) ?? 0
  const rule = around.rules[edge.name] ?? { minMm: 0, maxMm: 0 }
  return {
    edge: edge.name,
    label: edge.label,
    code: edge.code,
    lengthMm,
    rule,
    behind,
    notches: around.notches.filter((notch) => notch.edges[1] === edge.name),
    cutMm: cutsWithBlade.has(edge.code) ? lengthMm : 0,
    ...howTo(edge.code, form.material, practice),
    doubts: doubtsOf(edge, behind, rule, form.material, practice),
    schools: schoolsOf(edge.code, behind, form.material, practice),
  }
}

const cutsWithBlade: ReadonlySet<EdgeCode> = new Set(['gap-cut', 'surface-cut', 'tuck'])

/** Length of each edge and hole along the traced outline, mm. */
function lengthsOf(surface: Pick<PartSurface, 'outline' | 'holes'>): Map<string, number> {
  const lengths = new Map<string, number>()
  for (const { polygon, edgeOfSide } of [surface.outline, ...surface.holes])
    polygon.forEach((from, i) => {
      const to = polygon[(i + 1) % polygon.length] ?? from
      const name = edgeOfSide[i] ?? ''
      lengths.set(name, (lengths.get(name) ?? 0) + distance(from, to))
    })
  return lengths
}

type How = Pick<EdgeWork, 'tools' | 'when' | 'seal' | 'cautions'>

const blades = say`Blade away from your other hand; old segment into the sharps box.`
const heat = say`Gun always moving; keep it off sensors and airbags, and follow the vehicle maker’s instructions.`

function howTo(code: EdgeCode, material: PartMaterial, practice: Practice): How {
  const sealing = say`Seal at ${temperature(practice.heatSeal)}, a cloth follows.`
  const tool = (name: Sentence, bladeDeg: number | null = null, direction: Sentence | null = null): EdgeTool => ({
    name,
    bladeDeg,
    direction,
  })
  switch (code) {
    case 'stop-short':
      return {
        tools: [tool(say`rule`)],
        when: say`set while it floats, corners first`,
        seal: sealing,
        cautions: [heat],
      }
    case 'lip-stop':
      return {
        tools: [tool(say`sharp scissors`), tool(say`finger along the crest`)],
        when: say`laid and cool`,
        seal: null,
        cautions: [say`Never pull film over the crest to hide a short spot: it lifts.`],
      }
    case 'wrap':
      return {
        tools: [tool(say`scissors`), tool(say`cloth`)],
        when: say`dry`,
        seal: sealing,
        cautions: [say`Scissors, not a knife, near paint.`, heat],
      }
    case 'tuck':
      return {
        tools: [tool(say`tucking tool`), tool(say`knife`, practice.bladeGap, say`along the gap, away from you`)],
        when: say`dry`,
        seal: null,
        cautions: [blades, say`Cut the rest inside the gap, never against the seal.`],
      }
    case 'gap-cut':
      return {
        tools: [tool(say`knife`, practice.bladeGap, say`away from the vehicle`)],
        when: say`cool`,
        seal: sealing,
        cautions: [
          blades,
          material === 'lens plastic'
            ? say`Its back rests on the lamp, never on paint.`
            : say`Its back rests on the part, never on paint.`,
        ],
      }
    case 'surface-cut':
      return {
        tools: [
          tool(say`masking tape as the guide`),
          tool(say`knife`, practice.bladeSurface, say`one slow draw, round each corner`),
        ],
        when: say`dry and cool`,
        seal: sealing,
        cautions: [blades, say`For experts: a cut through the film is a cut in the part.`],
      }
    case 'butt':
      return { tools: [tool(say`rule`)], when: say`set while it floats, on the line`, seal: sealing, cautions: [heat] }
    case 'overlap':
      return { tools: [tool(say`cloth`)], when: say`the piece beneath has grabbed`, seal: sealing, cautions: [heat] }
  }
}

function doubtsOf(
  edge: Pick<FormEdge, 'code' | 'lip'>,
  behind: Behind,
  rule: EdgeRule,
  material: PartMaterial,
  practice: Practice,
): Sentence[] {
  const doubts: Sentence[] = []
  if (edge.code === 'wrap') {
    if (behind.kind === 'nothing' || behind.kind === 'gap')
      doubts.push(say`There is nothing behind this edge for a wrap to hold on to: end it clean at the edge instead.`)
    if (behind.kind === 'unknown')
      doubts.push(say`Nobody has said what is behind this edge: feel behind it before you leave film to wrap.`)
    if (behind.kind === 'return' && behind.depthMm !== null) {
      if (behind.depthMm < practice.wrapGrip)
        doubts.push(
          say`Only ${length(behind.depthMm)} behind it: a wrap needs ${length(practice.wrapGrip)} to hold on to. End it clean at the edge.`,
        )
      else if (-rule.minMm > behind.depthMm)
        doubts.push(
          say`Film of ${length(-rule.minMm)} does not lie on a return of ${length(behind.depthMm)}: trim it to ${length(behind.depthMm - 2)}.`,
        )
    }
  }
  if (edge.code === 'tuck' && behind.kind !== 'gap' && behind.kind !== 'seal')
    doubts.push(say`A tuck needs a gap or a seal to go into, and none is noted here: stop short or wrap it.`)
  if (edge.code === 'surface-cut' && bare.has(material))
    doubts.push(
      say`Cut over bare paint: stay ${length(practice.surfaceKeep)} from the edge, on tape. A piece that stops short there needs no blade.`,
    )
  if (edge.code === 'gap-cut' && behind.kind !== 'gap' && behind.kind !== 'unknown')
    doubts.push(say`There is no empty gap beside this edge for the blade: tuck it, or stop short.`)
  if (edge.code === 'stop-short' && rule.minMm < 0)
    doubts.push(say`Film that stops short never passes the edge: correct its figures.`)
  if (edge.lip !== undefined && edge.lip.turnDeg >= 70 && edge.code !== 'lip-stop' && edge.code !== 'gap-cut')
    doubts.push(say`The lip turns ${angle(edge.lip.turnDeg)}: film that runs over it lifts. Stop on the crest.`)
  return doubts
}

function schoolsOf(code: EdgeCode, behind: Behind, material: PartMaterial, practice: Practice): EdgeSchool[] {
  const holds = behind.kind === 'return' && (behind.depthMm ?? practice.wrapGrip) >= practice.wrapGrip
  const schools: EdgeSchool[] = []
  if (code === 'wrap')
    schools.push({
      question: say`Wrap it or end it at the edge?`,
      options: [
        { name: say`wrap`, says: say`Nobody sees where film ends, and no brush finds an edge.`, suits: holds },
        {
          name: say`clean edge`,
          says: say`Nothing to turn, nothing to lift: better than a wrap that holds on to nothing.`,
          suits: !holds,
        },
      ],
      because: holds
        ? behind.depthMm === null
          ? say`Behind it is a return: a wrap holds.`
          : say`Behind it is a return of ${length(behind.depthMm)}: a wrap holds.`
        : say`Nothing that is known to be behind it would hold a wrap.`,
    })
  if (code === 'gap-cut' || code === 'surface-cut')
    schools.push({
      question: say`Cut dry or wet?`,
      options: [
        { name: say`dry`, says: say`The blade does not drag film along.`, suits: true },
        { name: say`wet, under tension`, says: say`No wait; for a hand that keeps the waste taut.`, suits: false },
      ],
      because:
        material === 'lens plastic'
          ? say`Film that has dried and cooled cuts clean beside a lens.`
          : say`Film that has dried and cooled cuts clean.`,
    })
  return schools
}
