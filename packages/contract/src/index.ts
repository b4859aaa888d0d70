export { type Backup, type Backups, backups } from './backups.ts'
export { type BladeLog, type BladeStroke, bladeEntry, bladeLog } from './blades.ts'
export {
  alignRequest,
  heatRequest,
  lightRequest,
  mixRequest,
  repairRequest,
  waitRequest,
} from './cliRequests.ts'
export { type ExerciseRun, exerciseRun, exerciseRuns } from './exerciseRun.ts'
export { faultAnswers } from './fit/faultAnswers.ts'
export { faultEvidence, judgeRequest } from './judgeRequest.ts'
export { dayChangesOf } from './dayChanges.ts'
export {
  type AskedPromise,
  askedPromise,
  type DayChanges,
  type DayPin,
  type DayPlan,
  type DayPromise,
  type DayTaught,
  type DayTried,
  type DayWork,
  dayWishes,
  type DayWishes,
  noWishes,
  dayPlan,
  dayTaught,
  dayTried,
  type EarliestPromise,
  earliestPromise,
  type ShopDayPlan,
  shopDayPlan,
} from './dayPlan.ts'
export {
  type CutDone,
  type CutDraft,
  type CutFrom,
  cutDone,
  cutDraft,
  type KeptCut,
  keptCut,
} from './cut.ts'
export {
  type Label,
  label,
  type LabelsToPrint,
  labelsToPrint,
  type SentToDevice,
  sentToDevice,
  testSquareWish,
} from './labels.ts'
export { nestRequest } from './nestRequest.ts'
export { dayToPlan, orderRequest } from './orderRequest.ts'
export { type WorkedStep, workedSteps } from './fit/workedMinutes.ts'
export { againFrom, awaitedPiece, pieceSince, sparesUsed } from './fit/anotherPiece.ts'
export { type Visit, visitOf, visitWithoutLog } from './fit/visitOf.ts'
export { whatIsKnown } from './fit/whatIsKnown.ts'
export { faultStageOf, isDue, openProblems, type Problem, stopsPart } from './fit/problems.ts'
export { stopsClosing } from './fit/stopsClosing.ts'
export { lastReadings, type Looked, looksOf } from './fit/looks.ts'
export { becameOf, curedBy, spoilWords } from './fit/lines/becameOf.ts'
export { asIssue, ownRule, sayProblem, type WireFailure, wireFailure } from './failure.ts'
export { type RemovableKind, removableKinds, type RemovedThing, removedThing, removedThings } from './removed.ts'
export type { RecordContext } from './fit/lines/defineRecordLine.ts'
export { type GapReading, gapReading } from './fit/events/gapsMeasured.ts'
export { airSources } from './fit/events/waitSet.ts'
export {
  applyFitEvent,
  type FitEvent,
  type FitEventName,
  type FitEventOf,
  type FitLog,
  type FitReceipt,
  fitEvent,
  fitEventNames,
  fitEvents,
  fitLog,
  fitReceipt,
  missingEvents,
  replayFit,
  standing,
} from './fit/fitEvents.ts'
export { dueLater, mustBeginBy, tightestLimit, unsettledSpoils, wettedAt } from './fit/clocks.ts'
export { type Begun, type FitState, notBegun, runningWait } from './fit/fitState.ts'
export { tooLate } from './fit/tooLate.ts'
export { fitFromKept, keepFit, type KeptFit, keptFit } from './fit/keptFit.ts'
export { linesOf, noLines, type RecordLines } from './fit/recordLines.ts'
export {
  edgeCode,
  type Form,
  formDoc,
  type FormVersions,
  formVersions,
  partShape,
  type PartShape,
  partMaterial,
} from './formDoc.ts'
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
  type OffcutId,
  offcutId,
  type RollId,
  rollId,
} from './ids.ts'
export {
  type NewRoll,
  newRoll,
  type Roll,
  rollDoc,
  rollEntry,
  rollLabelOf,
  type RollLine,
  type RollNote,
  rollNote,
} from './roll.ts'
export {
  type CountedRoll,
  type FilmInStock,
  type FilmOfJob,
  filmOfJob,
  type RollBook,
  rollBook,
  type Stock,
  stock,
} from './stock.ts'
export {
  type Bay,
  bay,
  type FitProgress,
  fitProgress,
  isOffRoll,
  type Job,
  type JobBundle,
  job,
  jobBundle,
  type Part,
  type PartProgress,
  part,
  partProgress,
} from './job.ts'
export {
  type ArrivedDraft,
  type ArrivedPiece,
  arrivedDraft,
  arrivedPiece,
  type KitCheck,
  kitCheck,
  lotsOf,
} from './kitCheck.ts'
export { chosenOrder, layOrder } from './layOrder.ts'
export {
  type BatchChange,
  type BatchDraft,
  batch,
  batchChange,
  batchDraft,
  mostBatchNotes,
  bottleLabelOf,
  batchNotes,
  type LiquidBatch,
  type Liquids,
  liquids,
  type Supply,
  supply,
  waterKind,
} from './liquids.ts'
export {
  type JobCorrection,
  jobCorrection,
  type NewJob,
  newJob,
  type NewPart,
  newPart,
  type NewVisit,
  newVisit,
} from './newJob.ts'
export {
  type JobList,
  jobList,
  type JobSearch,
  jobSearch,
  jobsOnPage,
  type JobState,
  jobStates,
  type ListedJob,
  type Forgotten,
  forgotten,
  toForget,
} from './jobList.ts'
export { usualHours, type WeekHours, weekHours, closedTimes, openOn, whenOpen } from './hours.ts'
export { type ConfirmedSkill, confirmedSkill, hasSkill, type Skill, skills } from './person.ts'
export {
  type NewPerson,
  newPerson,
  type Person,
  type PersonChange,
  mayDo,
  person,
  personChange,
  type Role,
  roles,
  worksHere,
} from './person.ts'
export { type FirstShop, firstShop } from './firstShop.ts'
export { ingredient, partPlan, strength } from './partPlan.ts'
export { deviceStates } from './devices/defineDevice.ts'
export {
  type DeviceAddresses,
  type DeviceKind,
  type DeviceReading,
  deviceAddresses,
  deviceKind,
  deviceKinds,
  deviceNames,
  type EnteredRoom,
  enteredRoom,
  type RoomNow,
  roomNow,
  unconnected,
} from './devices/devices.ts'
export { type Learned, learned } from './learned.ts'
export { type PartOfBundle, partQuestionOf, type QuestionSources } from './partQuestionOf.ts'
export { type PartRecord, partRecord } from './record.ts'
export { type DocumentKind, documents } from './saved/documents.ts'
export { type Read, type SavedDocument, savedDocument } from './saved/savedDocument.ts'
export { sentence } from '@truelay/core/say'
export {
  type Film,
  filmDoc,
  type Kit,
  kitDoc,
  labelOf,
  type NewFilm,
  newFilm,
  type Piece,
  pieceDoc,
  piecePattern,
  pieceShift,
  type Shift,
  type Shelf,
  shelf,
  type WholeKit,
  wholeKit,
} from './shelf.ts'
export {
  type GunChanged,
  type GunProfile,
  type GunReadingKept,
  gun,
  gunReading,
  type Place,
  type PlaceKind,
  place,
  placeKinds,
  type Shop,
  type ShopChange,
  shop,
  shopChange,
  themes,
  type Units,
  units,
  usualPlaces,
  usualShop,
} from './shop.ts'
export { type ModelPart, modelPart, type NewModel, newModel, type VehicleModel, vehicleModel } from './vehicleModel.ts'
export {
  type Finding,
  type FindingDraft,
  finding,
  findingDraft,
  findings,
  mostFindings,
  type Photo,
  photo,
  type SignOff,
  type SignOffDraft,
  signOff,
  signOffDraft,
  type WalkRound,
  walkRound,
} from './walkRound.ts'
export { factsOfStories, factsOfStory, stories, type Story, type StoryPart } from './stories.ts'
export { workChange, workChoices } from './workChoices.ts'
export { partSet, partSets, type PartSet } from './partSet.ts'
export { linePlaceOf, linesOfRows, rulesOfKits, setMembers, setPlaceOf } from './partsTogether.ts'
export { type NewsItem, news, newsItem } from './news.ts'
export { writeIdHeader } from './writeId.ts'
export {
  type Change,
  type ChangeList,
  change,
  changeList,
  changesOnPage,
  type PairDraft,
  type PairingOffer,
  type PinChoice,
  pairDraft,
  pairingOffer,
  pin,
  pinChoice,
  pinStates,
  type Session,
  type SignInDraft,
  type SignInName,
  session,
  signInDraft,
  signInName,
  type Tablet,
  tablet,
} from './signIn.ts'
export {
  type HandedOver,
  type HandedPart,
  type HandOver,
  type HandOverDraft,
  handedOver,
  handOver,
  handOverDraft,
  type LightAcknowledged,
  lightAcknowledged,
  lightAcknowledgedDraft,
} from './handOver.ts'
export {
  type FactsBorrowed,
  factsBorrowed,
  factsFile,
  type FitFacts,
  fitFact,
  fitFacts,
  fitTaught,
  type ToForgetFacts,
  toForgetFacts,
} from './fitFact.ts'
export { taughtBy } from './fit/taughtBy.ts'
