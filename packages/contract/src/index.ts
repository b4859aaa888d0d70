export { alignRequest, lightRequest, mixRequest, repairRequest } from './cliRequests.ts'
export { sayProblem, type WireFailure, wireFailure } from './failure.ts'
export {
  type FitEvent,
  type FitEventOf,
  type FitLog,
  type FitReceipt,
  fitEvent,
  fitEvents,
  fitLog,
  fitReceipt,
  type GapReading,
  problemKinds,
} from './fit/fitEvents.ts'
export { applyFitEvent, type FitState, notBegun, replayFit, runningWait } from './fit/fitState.ts'
export { formDoc } from './formDoc.ts'
export {
  type FilmId,
  type FormId,
  filmId,
  formId,
  type JobId,
  jobId,
  type PartId,
  type PersonId,
  type PieceId,
  partId,
  personId,
  pieceId,
} from './ids.ts'
export {
  type Bay,
  bay,
  type Job,
  type JobBundle,
  job,
  jobBundle,
  type Part,
  type PartProgress,
  part,
  partProgress,
  pieceShift,
  type Shift,
} from './job.ts'
export { partPlan } from './partPlan.ts'
export { type PartRecord, partRecord } from './record.ts'
export { type Film, filmDoc, type Piece, pieceDoc } from './shelf.ts'
export { type Person, person, type Shop, type ShopChange, shop, shopChange, type Units, units } from './shop.ts'
