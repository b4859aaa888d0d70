import type { Spot3 } from '@truelay/core/form'
import type { TriangleMesh } from '@truelay/core/geometry'
import { type KeyboardEvent, useMemo, useState } from 'react'

const ways: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
}
/** A press moves the cross by this share of the scan, with Shift by a fifth of it. */
const stepShare = 0.04

/** A cross that keys move over a scan as it is seen from the front; it lies on the nearest corner. */
export function useKeyedSpot(mesh: TriangleMesh | null, onPick: (spot: Spot3) => void) {
  const [at, setAt] = useState<readonly [number, number] | null>(null)
  const box = useMemo(() => (mesh === null ? null : boxOf(mesh)), [mesh])
  const cross = useMemo(() => (mesh === null || at === null ? null : nearest(mesh, at)), [mesh, at])
  const onKeyDown = (event: KeyboardEvent) => {
    if (box === null) return
    const way = ways[event.key]
    if (way !== undefined) {
      event.preventDefault()
      const step = stepShare * Math.max(box.width, box.height) * (event.shiftKey ? 0.2 : 1)
      const from = at ?? box.middle
      setAt(at === null ? from : [from[0] + way[0] * step, from[1] + way[1] * step])
    } else if (event.key === 'Enter' && cross !== null) {
      event.preventDefault()
      onPick(cross)
    }
  }
  return { cross, onKeyDown }
}

function boxOf({ position }: TriangleMesh) {
  const [low, high] = [
    [Number.POSITIVE_INFINITY, Number.POSITIVE_INFINITY],
    [Number.NEGATIVE_INFINITY, Number.NEGATIVE_INFINITY],
  ] as [[number, number], [number, number]]
  for (let i = 0; i < position.length; i++) {
    const k = i % 3
    if (k === 2) continue
    low[k as 0 | 1] = Math.min(low[k as 0 | 1], position[i] ?? 0)
    high[k as 0 | 1] = Math.max(high[k as 0 | 1], position[i] ?? 0)
  }
  return {
    width: high[0] - low[0],
    height: high[1] - low[1],
    middle: [(low[0] + high[0]) / 2, (low[1] + high[1]) / 2] as const,
  }
}

function nearest({ position }: TriangleMesh, [x, y]: readonly [number, number]): Spot3 {
  let best = 0
  let least = Number.POSITIVE_INFINITY
  for (let i = 0; i < position.length; i += 3) {
    const off = ((position[i] ?? 0) - x) ** 2 + ((position[i + 1] ?? 0) - y) ** 2
    if (off >= least) continue
    least = off
    best = i
  }
  return [position[best] ?? 0, position[best + 1] ?? 0, position[best + 2] ?? 0]
}
