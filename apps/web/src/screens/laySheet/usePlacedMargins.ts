import {
  edgeMargins,
  type EdgeMargin,
  type EdgeRules,
  roomiestMove,
  summarizeEdges,
  thenPlaced,
  tolerance,
  type EdgeSummary,
  type PlacedPiece,
  type Tolerance,
} from '@truelay/core/align'
import { centroid } from '@truelay/core/geometry'
import type { PieceShift } from '@truelay/core/plan'
import { degFromRad } from '@truelay/core/units'
import { useDeferredValue, useEffect, useMemo, useRef, useState } from 'react'
import type { ShownPlacement } from '../../workers/layWork.ts'
import type { OpenLayWorker } from '../../workers/openLayWorker.ts'

export interface PlacedMargins {
  readonly piece: PlacedPiece
  readonly margins: readonly EdgeMargin[]
  /** The worst edge first. */
  readonly edges: readonly EdgeSummary[]
  readonly tolerance: Tolerance
  readonly rules: EdgeRules
}

/** Margins of the piece as it lies now: worked out anew for every shift, in every frame. */
export function usePlacedMargins(placement: ShownPlacement, shift: PieceShift): PlacedMargins {
  return useMemo(() => {
    const piece = thenPlaced(placement.piece, shift)
    const margins = edgeMargins(placement.spots, piece)
    return {
      piece,
      margins,
      rules: placement.rules,
      edges: summarizeEdges(margins, placement.rules),
      tolerance: tolerance(margins, placement.rules, centroid(piece.outline)),
    }
  }, [placement, shift])
}

/** Share of the part under film, worked out beside the screen: it lags behind while the piece is moved, and is null until it is known. */
export function useCoverage(worker: OpenLayWorker, placement: ShownPlacement, piece: PlacedPiece): number | null {
  const [covered, setCovered] = useState<number | null>(null)
  const newest = useRef({ placement, piece })
  /** Who is being asked; one that was closed never answers. */
  const asked = useRef<OpenLayWorker | null>(null)
  useEffect(() => {
    newest.current = { placement, piece }
    const ask = async () => {
      if (asked.current === worker) return
      asked.current = worker
      for (let last: typeof newest.current | null = null; last !== newest.current; ) {
        last = newest.current
        const { outline, holes } = last.placement
        const share = await worker.covered({ outline, holes }, last.piece)
        if (asked.current !== worker) return
        setCovered(share)
      }
      asked.current = null
    }
    void ask()
  }, [worker, placement, piece])
  return covered
}

export interface Suggestion {
  readonly shift: PieceShift
  readonly move: { readonly moveMm: readonly [number, number]; readonly turnDeg: number }
  /** Whether every rule holds after it. */
  readonly clears: boolean
}

/** The move that leaves most room to every rule, where some rule is broken now. */
export function useSuggestion(placement: ShownPlacement, placed: PlacedMargins, shift: PieceShift): Suggestion | null {
  const broken = (placed.edges[0]?.outsideMm ?? -1) > 0
  const settled = useDeferredValue(broken ? shift : null)
  return useMemo(() => {
    if (settled === null) return null
    const now = thenPlaced(placement.piece, settled)
    const move = roomiestMove(now, placement.spots, placement.rules)
    // The move turns about the origin; by hand one turns about the piece's own middle.
    const middle = centroid(now.outline)
    const cos = Math.cos(move.turnRad)
    const sin = Math.sin(move.turnRad)
    const x = cos * middle[0] - sin * middle[1] + move.moveMm[0] - middle[0]
    const y = sin * middle[0] + cos * middle[1] + move.moveMm[1] - middle[1]
    const better = { xMm: settled.xMm + x, yMm: settled.yMm + y, turnDeg: settled.turnDeg + degFromRad(move.turnRad) }
    const after = summarizeEdges(edgeMargins(placement.spots, thenPlaced(placement.piece, better)), placement.rules)
    return {
      shift: better,
      move: { moveMm: [x, y] as const, turnDeg: degFromRad(move.turnRad) },
      clears: (after[0]?.outsideMm ?? 0) <= 0,
    }
  }, [placement, settled])
}
