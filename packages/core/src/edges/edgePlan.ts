import type { EdgeRule, EdgeRules } from '../align/index.ts'
import type { EdgeCode, FormDoc, FormEdge, PartMaterial, PartSurface } from '../form/index.ts'
import { distance } from '../geometry/index.ts'
import { type CornerNotch, cornerNotches } from '../lay/index.ts'
import type { Practice } from '../practice/index.ts'
import { type Behind, readBehind } from './behind.ts'

export interface EdgeTool {
  readonly name: string
  /** Of a blade against the film; null where nothing is cut with one. */
  readonly bladeDeg: number | null
  readonly direction: string | null
}

/** Where the trade is split: both ways, and which one suits here. */
export interface EdgeSchool {
  readonly question: string
  readonly options: readonly { readonly name: string; readonly says: string; readonly suits: boolean }[]
  readonly because: string
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
  readonly when: string
  readonly seal: string | null
  readonly cautions: readonly string[]
  /** Why this way does not suit, and what would; empty where it does. */
  readonly doubts: readonly string[]
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
  temperature: (temperatureC: number) => string = (c) => `${Math.round(c)} °C`,
): EdgePlan {
  const wrapMm = Math.max(0, ...form.edges.filter((e) => e.code === 'wrap').map((e) => -(rules[e.name]?.minMm ?? 0)))
  const notches = cornerNotches(form, surface, wrapMm > 0 ? wrapMm : practice.tuckLeast, practice.notchClear)
  const lengths = lengthsOf(surface)
  const works = [
    ...form.edges.map((edge) => workOf(edge, { form, rules, practice, notches, lengths, temperature })),
    ...form.holes.map((hole) => workOf(hole, { form, rules, practice, notches: [], lengths, temperature })),
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
  readonly temperature: (temperatureC: number) => string
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
    ...howTo(edge.code, form.material, practice, around.temperature),
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

const blades = 'Blade away from your other hand; old segment into the sharps box.'
const heat = 'Gun always moving; keep it off sensors and airbags, and follow the vehicle maker’s instructions.'

function howTo(code: EdgeCode, material: PartMaterial, practice: Practice, temperature: Around['temperature']): How {
  const sealing = `Seal at ${temperature(practice.heatSeal)}, a cloth follows.`
  const tool = (name: string, bladeDeg: number | null = null, direction: string | null = null): EdgeTool => ({
    name,
    bladeDeg,
    direction,
  })
  switch (code) {
    case 'stop-short':
      return { tools: [tool('rule')], when: 'set while it floats, corners first', seal: sealing, cautions: [heat] }
    case 'lip-stop':
      return {
        tools: [tool('sharp scissors'), tool('finger along the crest')],
        when: 'laid and cool',
        seal: null,
        cautions: ['Never pull film over the crest to hide a short spot: it lifts.'],
      }
    case 'wrap':
      return {
        tools: [tool('scissors'), tool('cloth')],
        when: 'dry',
        seal: sealing,
        cautions: ['Scissors, not a knife, near paint.', heat],
      }
    case 'tuck':
      return {
        tools: [tool('tucking tool'), tool('knife', practice.bladeGap, 'along the gap, away from you')],
        when: 'dry',
        seal: null,
        cautions: [blades, 'Cut the rest inside the gap, never against the seal.'],
      }
    case 'gap-cut':
      return {
        tools: [tool('knife', practice.bladeGap, 'away from the vehicle')],
        when: 'cool',
        seal: sealing,
        cautions: [blades, `Its back rests on the ${material === 'lens plastic' ? 'lamp' : 'part'}, never on paint.`],
      }
    case 'surface-cut':
      return {
        tools: [
          tool('masking tape as the guide'),
          tool('knife', practice.bladeSurface, 'one slow draw, round each corner'),
        ],
        when: 'dry and cool',
        seal: sealing,
        cautions: [blades, 'For experts: a cut through the film is a cut in the part.'],
      }
    case 'butt':
      return { tools: [tool('rule')], when: 'set while it floats, on the line', seal: sealing, cautions: [heat] }
    case 'overlap':
      return { tools: [tool('cloth')], when: 'the piece beneath has grabbed', seal: sealing, cautions: [heat] }
  }
}

function doubtsOf(
  edge: Pick<FormEdge, 'code' | 'lip'>,
  behind: Behind,
  rule: EdgeRule,
  material: PartMaterial,
  practice: Practice,
): string[] {
  const doubts: string[] = []
  if (edge.code === 'wrap') {
    if (behind.kind === 'nothing' || behind.kind === 'gap')
      doubts.push('There is nothing behind this edge for a wrap to hold on to: end it clean at the edge instead.')
    if (behind.kind === 'unknown')
      doubts.push('Nobody has said what is behind this edge: feel behind it before you leave film to wrap.')
    if (behind.kind === 'return' && behind.depthMm !== null) {
      if (behind.depthMm < practice.wrapGrip)
        doubts.push(
          `Only ${behind.depthMm} mm behind it: a wrap needs ${practice.wrapGrip} mm to hold on to. End it clean at the edge.`,
        )
      else if (-rule.minMm > behind.depthMm)
        doubts.push(
          `Film of ${-rule.minMm} mm does not lie on a return of ${behind.depthMm} mm: trim it to ${behind.depthMm - 2} mm.`,
        )
    }
  }
  if (edge.code === 'tuck' && behind.kind !== 'gap' && behind.kind !== 'seal')
    doubts.push('A tuck needs a gap or a seal to go into, and none is noted here: stop short or wrap it.')
  if (edge.code === 'surface-cut' && bare.has(material))
    doubts.push(
      `Cut over bare paint: stay ${practice.surfaceKeep} mm from the edge, on tape. A pre-cut edge that stops short needs no blade here.`,
    )
  if (edge.code === 'gap-cut' && behind.kind !== 'gap' && behind.kind !== 'unknown')
    doubts.push('There is no empty gap beside this edge for the blade: tuck it, or stop short.')
  if (edge.code === 'stop-short' && rule.minMm < 0)
    doubts.push('Film that stops short never passes the edge: correct its figures.')
  if (edge.lip !== undefined && edge.lip.turnDeg >= 70 && edge.code !== 'lip-stop' && edge.code !== 'gap-cut')
    doubts.push(`The lip turns ${Math.round(edge.lip.turnDeg)}°: film that runs over it lifts. Stop on the crest.`)
  return doubts
}

function schoolsOf(code: EdgeCode, behind: Behind, material: PartMaterial, practice: Practice): EdgeSchool[] {
  const holds = behind.kind === 'return' && (behind.depthMm ?? practice.wrapGrip) >= practice.wrapGrip
  const schools: EdgeSchool[] = []
  if (code === 'wrap')
    schools.push({
      question: 'Wrap it or end it at the edge?',
      options: [
        { name: 'wrap', says: 'Nobody sees where film ends, and no brush finds an edge.', suits: holds },
        {
          name: 'clean edge',
          says: 'Nothing to turn, nothing to lift: better than a wrap that holds on to nothing.',
          suits: !holds,
        },
      ],
      because: holds
        ? `Behind it is a return${behind.depthMm === null ? '' : ` of ${behind.depthMm} mm`}: a wrap holds.`
        : 'Nothing that is known to be behind it would hold a wrap.',
    })
  if (code === 'gap-cut' || code === 'surface-cut')
    schools.push({
      question: 'Cut dry or wet?',
      options: [
        { name: 'dry', says: 'The blade does not drag film along.', suits: true },
        { name: 'wet, under tension', says: 'No wait; for a hand that keeps the waste taut.', suits: false },
      ],
      because: `Film that has dried and cooled cuts clean${material === 'lens plastic' ? ' beside a lens' : ''}.`,
    })
  return schools
}
