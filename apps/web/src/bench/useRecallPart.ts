import type { JobBundle, Part, Shift } from '@truelay/contract'
import type { KnownOffset, PartKnown } from '@truelay/core/memory'
import { useRecall } from './useRecall.ts'
import { useWho } from './useWho.ts'

/** What earlier fits say about a part of a job, if whoever is at this screen lays it; null while it is worked out. */
export function useRecallPart({ job, shop }: JobBundle, part: Part): PartKnown | null {
  const hand = useWho(job.personId)
  const { modelId, plate } = job.vehicle
  const known = useRecall([{ modelId, slot: part.slot, pieceId: part.pieceId, body: plate, hand }], shop)
  return known?.[0] ?? null
}

const near = (a: number, b: number) => Math.abs(a - b) < 1e-6

/** The piece lies where earlier fits say that it is begun. */
export const beginsThere = ({ begin }: Pick<KnownOffset, 'begin'>, shift: Shift): boolean =>
  begin !== null && near(shift.xMm, begin.xMm) && near(shift.yMm, begin.yMm) && near(shift.turnDeg, begin.turnDeg)
