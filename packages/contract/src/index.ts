export { type BladeStroke, bladeEntry, bladeLog } from './blades.ts'
export {
  alignRequest,
  heatRequest,
  lightRequest,
  mixRequest,
  repairRequest,
  waitRequest,
} from './cliRequests.ts'
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
export { edgeCode, type Form, formDoc, partMaterial } from './formDoc.ts'
export { idFromName } from './idFromName.ts'
export {
  type BatchId,
  batchId,
  type FilmId,
  type GunId,
  gunId,
  type FormId,
  type KitId,
  kitId,
  type ModelId,
  modelId,
  type PhotoId,
  photoId,
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
export {
  type ArrivedDraft,
  type ArrivedPiece,
  arrivedDraft,
  arrivedPiece,
  type KitCheck,
  kitCheck,
} from './kitCheck.ts'
export { chosenOrder, layOrder } from './layOrder.ts'
export {
  type BatchChange,
  type BatchDraft,
  batch,
  batchChange,
  batchDraft,
  bottleLabelOf,
  ingredient,
  type LiquidBatch,
  type Liquids,
  liquids,
  type Supply,
  strength,
  supply,
  waterKind,
} from './liquids.ts'
export { type NewJob, newJob } from './newJob.ts'
export { heatUse, partPlan, waitKind } from './partPlan.ts'
export {
  type DeviceKind,
  type Devices,
  deviceKind,
  deviceKinds,
  devices,
  type EnteredRoom,
  enteredRoom,
  type ForecastNow,
  forecastAnswer,
  forecastNow,
  type InfraredNow,
  infraredAnswer,
  infraredNow,
  type Learned,
  learned,
  type RoomNow,
  roomAnswer,
  roomNow,
} from './readings.ts'
export { type PartRecord, partRecord } from './record.ts'
export {
  type Film,
  filmDoc,
  type Kit,
  kitDoc,
  labelOf,
  type Piece,
  pieceDoc,
  piecePattern,
  type Shelf,
  shelf,
} from './shelf.ts'
export {
  type GunProfile,
  type GunReadingKept,
  gun,
  gunReading,
  type Person,
  person,
  type Shop,
  type ShopChange,
  shop,
  shopChange,
  type Units,
  units,
} from './shop.ts'
export { type ModelPart, modelPart, type NewModel, newModel, type VehicleModel, vehicleModel } from './vehicleModel.ts'
export {
  type Finding,
  type FindingDraft,
  finding,
  findingDraft,
  findings,
  type Photo,
  photo,
  type SignOff,
  type SignOffDraft,
  signOff,
  signOffDraft,
  type WalkRound,
  walkRound,
} from './walkRound.ts'
