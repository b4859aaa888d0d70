import { seededRandom } from '../numerics/index.ts'
import { never } from './day.ts'
import { type Blocks, single } from './blockShape.ts'
import { ListDecoder } from './listDecoder.ts'
import { longestPaths } from './longestPaths.ts'
import { type Net, partOf } from './net.ts'
import { stronglyConnected } from './stronglyConnected.ts'

const tries = 12

/** Starts of the tasks of a block, by its tasks; null where none were found. */
type Laid = Map<string, Int32Array | null>

/** Tasks tied by greatest waits of which at most `within` minutes are free, each block as short as it is found to go; null where one cannot be placed. */
export const blocksOf = (net: Net, within: number): Blocks | null =>
  laidOut(net, whole(net, tied(net, within)), new Map())

/** Such blocks by how much may be free in their waits; what comes out alike stands once. */
export function blocksByTightness(net: Net, free: readonly number[]): Blocks[] {
  const laid: Laid = new Map()
  const seen = new Set<string>()
  return free.flatMap((within) => {
    const groups = whole(net, tied(net, within))
    const alike = groups.of.join(' ')
    if (seen.has(alike)) return []
    seen.add(alike)
    return laidOut(net, groups, laid) ?? []
  })
}

/** The same blocks for the same day seen from its end. */
export function turnedRound({ minutes }: Net, { members, of, offset }: Blocks): Blocks {
  const turned = new Int32Array(offset.length)
  for (const block of members) {
    const last = block.reduce((most, task) => Math.max(most, (offset[task] ?? 0) + (minutes[task] ?? 0)), 0)
    for (const task of block) turned[task] = last - (offset[task] ?? 0) - (minutes[task] ?? 0)
  }
  return { members, of, offset: turned }
}

function laidOut(net: Net, { members, of }: Pick<Blocks, 'members' | 'of'>, laid: Laid): Blocks | null {
  const offset = new Int32Array(net.size)
  for (const block of members) {
    if (block.length === 1) continue
    const whose = block.join(' ')
    const known = laid.get(whose)
    const starts = known === undefined ? shortest(net, block) : known
    laid.set(whose, starts)
    if (starts === null) return null
    const first = Math.min(...starts)
    block.forEach((task, k) => {
      offset[task] = (starts[k] ?? 0) - first
    })
  }
  return { members, of, offset }
}

function tied(net: Net, within: number): Pick<Blocks, 'members' | 'of'> {
  const near: number[][] = Array.from({ length: net.size }, () => [])
  net.out.forEach((arcs, a) => {
    for (const { to, lag } of arcs) {
      if (lag > 0) continue
      // `a` starts at the latest -lag after `to` has; the least wait between them takes of that.
      const least = net.out[to]?.find((arc) => arc.to === a)?.lag
      if (least === undefined || -lag - least > within || -lag < least) continue
      near[a]?.push(to)
      near[to]?.push(a)
    }
  })
  const of = new Int32Array(net.size).fill(-1)
  const members: number[][] = []
  for (let i = 0; i < net.size; i++) {
    if ((of[i] ?? 0) >= 0) continue
    const block = [i]
    of[i] = members.length
    for (let q = 0; q < block.length; q++)
      for (const j of near[block[q] ?? 0] ?? [])
        if ((of[j] ?? 0) < 0) {
          of[j] = members.length
          block.push(j)
        }
    members.push(block)
  }
  return { members, of }
}

/** What lies between the tasks of a block belongs to it: blocks of which each has to begin before the other are one. */
function whole(net: Net, { members, of }: Pick<Blocks, 'members' | 'of'>): Pick<Blocks, 'members' | 'of'> {
  const follow = members.map((block, b) => [
    ...new Set(
      block.flatMap((task) =>
        (net.out[task] ?? []).flatMap(({ to, lag }) => (lag > 0 && of[to] !== b ? [of[to] ?? 0] : [])),
      ),
    ),
  ])
  const components = stronglyConnected(follow)
  if (components.length === members.length) return { members, of }
  const merged = components.map((blocks) => blocks.flatMap((b) => members[b] ?? []))
  const owner = new Int32Array(net.size)
  merged.forEach((block, b) => {
    for (const task of block) owner[task] = b
  })
  return { members: merged, of: owner }
}

function shortest(net: Net, block: readonly number[]): Int32Array | null {
  const inner = partOf(net, block)
  const paths = longestPaths(inner)
  if (!paths.ok) return null
  const random = seededRandom(block.length)
  const decoder = new ListDecoder(inner, single(block.length))
  let best: Int32Array | null = null
  let least = never
  const shortestWay = paths.start.reduce((most, start, i) => Math.max(most, start + (inner.minutes[i] ?? 0)), 0)
  for (let k = 0; k < (block.length < 3 ? 1 : tries) && least > shortestWay; k++) {
    const keys = Float64Array.from(paths.start, (start) => start + (k === 0 ? 0 : 8 * (random() - 0.5)))
    const starts = decoder.decode(keys)?.start ?? null
    if (starts === null) continue
    let end = 0
    let first = never
    starts.forEach((start, i) => {
      end = Math.max(end, start + (inner.minutes[i] ?? 0))
      first = Math.min(first, start)
    })
    if (end - first < least) {
      least = end - first
      best = starts
    }
  }
  return best
}
