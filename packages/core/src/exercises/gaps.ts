import { type Correction, correctionFromGaps, correctionWords } from '../align/index.ts'
import { applyRigid, dot2, type RigidMove, subtract, thenRigid, turnAbout, unit, type Vec2 } from '../geometry/index.ts'
import { seededRandom } from '../numerics/index.ts'
import { required } from '../result/index.ts'
import type { Practice } from '../practice/index.ts'
import { length, say } from '../say/index.ts'
import { radFromDeg } from '../units/index.ts'
import { between, type ExerciseLevel, type Verdict } from './exercise.ts'

/** A place at which a gap is read. */
export interface GapToRead {
  readonly at: Vec2
  /** Of length one, from the part's edge inward. */
  readonly normal: Vec2
  readonly wantedMm: number
  /** As the piece lies. */
  readonly gapMm: number
}

/** A panel with four edges, and a piece that lies off on it. Coordinates in mm, y upward. */
export interface GapsTask {
  readonly level: ExerciseLevel
  readonly part: readonly [Vec2, Vec2, Vec2, Vec2]
  readonly gaps: readonly GapToRead[]
  /** From where it belongs to where it lies. */
  readonly lies: RigidMove
  /** A turn is told as what it moves so far from the middle. */
  readonly farMm: number
}

/** What is said of the move: of the turn as what it moves at the far end, clockwise positive. */
export interface SaidMove {
  readonly rightMm: number
  readonly upMm: number
  readonly clockwiseMm: number
}

/** What a piece lies off where it is easy, and where it is hard, mm. */
const offMm = { least: 2, most: 7 } as const

/** What a rule laid at the part's edge shows: film that hangs over, and the widest gap, mm. */
export const readable = { least: -6, most: 14 } as const

export function makeGaps(seed: number, level: ExerciseLevel): GapsTask {
  const chance = seededRandom(seed)
  for (;;) {
    const task = anyGaps(chance, level)
    if (task.gaps.every(({ gapMm }) => gapMm > readable.least && gapMm < readable.most)) return task
  }
}

function anyGaps(chance: () => number, level: ExerciseLevel): GapsTask {
  const from = (least: number, most: number) => least + (most - least) * chance()
  const [wide, high] = [from(400, 1300), from(220, 700)]
  const lean = () => (level === 1 ? 0 : from(-0.06, 0.06))
  const part: GapsTask['part'] = [
    [(-wide / 2) * (1 + lean()), (-high / 2) * (1 + lean())],
    [(wide / 2) * (1 + lean()), (-high / 2) * (1 + lean())],
    [(wide / 2) * (1 + lean()), (high / 2) * (1 + lean())],
    [(-wide / 2) * (1 + lean()), (high / 2) * (1 + lean())],
  ]
  const wanted = part.map(() => (level === 3 ? Math.round(from(2, 10)) / 2 : 2))
  const way = from(0, 2 * Math.PI)
  const far = from(offMm.least, level === 1 ? 4 : offMm.most)
  const farMm = Math.hypot(wide, high) / 2
  const turnMm = level === 1 ? 0 : from(2, 6) * (chance() < 0.5 ? -1 : 1)
  const lies = turnAbout([0, 0], turnMm / farMm, [far * Math.cos(way), far * Math.sin(way)])
  return { level, part, lies, farMm, gaps: gapsOf(part, wanted, lies) }
}

/** Two places on each edge, at a fifth from its corners. */
function gapsOf(part: GapsTask['part'], wanted: readonly number[], lies: RigidMove): GapToRead[] {
  return part.flatMap((from, i) => {
    const to = part[(i + 1) % 4] as Vec2
    const along = unit(subtract(to, from))
    // The outline runs counter-clockwise: inward is to the left of its run.
    const normal: Vec2 = [-along[1], along[0]]
    const wantedMm = wanted[i] ?? 0
    return [0.2, 0.8].map((share) => {
      const at: Vec2 = [from[0] + share * (to[0] - from[0]), from[1] + share * (to[1] - from[1])]
      return { at, normal, wantedMm, gapMm: gapAt(at, normal, wantedMm, lies) }
    })
  })
}

/** From the part's edge along the normal to the film's straight edge, which lies `wantedMm` inside where the piece belongs. */
function gapAt(at: Vec2, normal: Vec2, wantedMm: number, lies: RigidMove): number {
  const belongs: Vec2 = [at[0] + wantedMm * normal[0], at[1] + wantedMm * normal[1]]
  const now = applyRigid(lies, belongs)
  const turned = subtract(applyRigid(lies, [belongs[0] + normal[0], belongs[1] + normal[1]]), now)
  return dot2(turned, subtract(now, at)) / dot2(turned, normal)
}

/** The gaps once the piece has been turned about the middle of the part and moved as was said. */
export function gapsAfter({ farMm, gaps, lies }: GapsTask, { rightMm, upMm, clockwiseMm }: SaidMove): GapToRead[] {
  const after = thenRigid(lies, turnAbout([0, 0], -clockwiseMm / farMm, [rightMm, upMm]))
  return gaps.map((gap) => ({ ...gap, gapMm: gapAt(gap.at, gap.normal, gap.wantedMm, after) }))
}

const worstOf = (gaps: readonly GapToRead[]) =>
  gaps.reduce((worst, { gapMm, wantedMm }) => Math.max(worst, Math.abs(gapMm - wantedMm)), 0)

/** The move that the gaps ask for. */
export function moveAsked({
  gaps,
  farMm,
}: Pick<GapsTask, 'gaps' | 'farMm'>): SaidMove & { readonly found: Correction } {
  const checks = gaps.map(({ at, normal, gapMm, wantedMm }) => ({ at, normal, measuredMm: gapMm, wantedMm }))
  const found = required(correctionFromGaps(checks))
  const { moveMm, turnDeg, about } = found
  // Told about the middle of the part instead of that of the gaps.
  const [x, y] = turnAbout(about, radFromDeg(turnDeg), moveMm).moveMm
  return { rightMm: x, upMm: y, clockwiseMm: -radFromDeg(turnDeg) * farMm, found }
}

/** By how much the worst gap came nearer to its wish; nobody is asked for more than the shop takes a rule to tell. */
export function markGaps(task: GapsTask, said: SaidMove, { gapReading }: Pick<Practice, 'gapReading'>): Verdict {
  const before = worstOf(task.gaps)
  const after = worstOf(gapsAfter(task, said))
  const share = between(after, before, gapReading)
  const asked = moveAsked(task)
  const turnedWrong = Math.abs(said.clockwiseMm + asked.clockwiseMm) < Math.abs(said.clockwiseMm - asked.clockwiseMm)
  const movedWrong =
    Math.hypot(said.rightMm + asked.rightMm, said.upMm + asked.upMm) <
    Math.hypot(said.rightMm - asked.rightMm, said.upMm - asked.upMm)
  return {
    share,
    says: [
      say`The worst gap was ${length(before)} off its wish, now it is ${length(after)} off.`,
      ...(share > 0.95 ? [] : [say`Asked was: ${correctionWords(asked.found)}`]),
      ...(movedWrong && Math.hypot(asked.rightMm, asked.upMm) > 1
        ? [say`It was moved the wrong way: where a gap is too wide the piece goes towards that edge.`]
        : []),
      ...(turnedWrong && Math.abs(asked.clockwiseMm) > 1 && Math.abs(said.clockwiseMm) > 0.5
        ? [say`It was turned the wrong way: compare the two gaps of one edge.`]
        : []),
      ...(Math.abs(asked.clockwiseMm) > 1 && Math.abs(said.clockwiseMm) <= 0.5
        ? [say`The turn was not seen: the two gaps of one edge differ.`]
        : []),
    ],
  }
}
