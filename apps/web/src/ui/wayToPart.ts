import type { PartProgress } from '@truelay/contract'

/** Where a part is gone on with: its fit once that has begun, else its lay sheet. */
export const wayToPart = ({ state, jobId, partId }: Pick<PartProgress, 'state' | 'jobId' | 'partId'>): string =>
  state === 'fitting' ? `/jobs/${jobId}/fit/${partId}` : `/jobs/${jobId}/lay-sheets/${partId}`
