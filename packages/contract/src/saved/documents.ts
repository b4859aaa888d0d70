import { bladeEntry } from '../blades.ts'
import { dayPlan, dayWishes } from '../dayPlan.ts'
import { exerciseRun } from '../exerciseRun.ts'
import { fitEvent } from '../fit/fitEvents.ts'
import { handedOver, lightAcknowledged } from '../handOver.ts'
import { keptFit } from '../fit/keptFit.ts'
import { factsFile, fitTaught } from '../fitFact.ts'
import { formDoc } from '../formDoc.ts'
import { fitProgress, job, jobBundle, part } from '../job.ts'
import { arrivedPiece } from '../kitCheck.ts'
import { chosenOrder } from '../layOrder.ts'
import { batch } from '../liquids.ts'
import { keptCut } from '../cut.ts'
import { deviceAddresses, enteredRoom } from '../devices/devices.ts'
import { filmDoc, kitDoc, pieceDoc } from '../shelf.ts'
import { rollDoc, rollEntry } from '../roll.ts'
import { partSets } from '../partSet.ts'
import { shop } from '../shop.ts'
import { workChoices } from '../workChoices.ts'
import { vehicleModel } from '../vehicleModel.ts'
import { finding, signOff } from '../walkRound.ts'
import {
  batchWithSentences,
  choicesWithCut,
  choicesWithLight,
  devicesWithLabels,
  devicesWithPlotter,
  filmWithAllFigures,
  fitEventWithCut,
  fitEventWithGapEdges,
  fitEventWithSentences,
  jobBundleWithChoices,
  jobBundleWithCut,
  jobBundleWithFilmFigures,
  jobBundleWithLight,
  jobBundleWithRoles,
  jobBundleWithSentences,
  jobBundleWithSets,
  jobWithRemoval,
  orderWithSentences,
  partWithChoices,
  partWithCut,
  partWithLight,
  shopWithOneTake,
  shopWithPlaces,
} from './olderDocuments.ts'
import { savedDocument } from './savedDocument.ts'

/** Every kind of document that is kept anywhere: in the database, on a tablet, in a file. */
export const documents = {
  shop: savedDocument(shop, [shopWithOneTake, shopWithPlaces]),
  film: savedDocument(filmDoc, [filmWithAllFigures, filmWithAllFigures, filmWithAllFigures]),
  form: savedDocument(formDoc),
  piece: savedDocument(pieceDoc),
  kit: savedDocument(kitDoc),
  model: savedDocument(vehicleModel),
  job: savedDocument(job, [jobWithRemoval]),
  part: savedDocument(part, [partWithChoices, partWithCut, partWithLight]),
  partSets: savedDocument(partSets),
  workChoices: savedDocument(workChoices, [choicesWithCut, choicesWithLight]),
  chosenOrder: savedDocument(chosenOrder, [orderWithSentences]),
  finding: savedDocument(finding),
  signOff: savedDocument(signOff),
  handedOver: savedDocument(handedOver),
  lightAcknowledged: savedDocument(lightAcknowledged),
  arrivedPiece: savedDocument(arrivedPiece),
  batch: savedDocument(batch, [batchWithSentences]),
  bladeEntry: savedDocument(bladeEntry),
  exerciseRun: savedDocument(exerciseRun),
  fitEvent: savedDocument(fitEvent, [fitEventWithSentences, fitEventWithGapEdges, fitEventWithCut]),
  fitProgress: savedDocument(fitProgress),
  fitTaught: savedDocument(fitTaught),
  factsFile: savedDocument(factsFile),
  // Made anew from the log where it cannot be read.
  fitState: savedDocument(keptFit),
  dayPlan: savedDocument(dayPlan),
  dayWishes: savedDocument(dayWishes),
  devices: savedDocument(deviceAddresses, [devicesWithPlotter, devicesWithLabels]),
  cut: savedDocument(keptCut),
  roll: savedDocument(rollDoc),
  rollEntry: savedDocument(rollEntry),
  room: savedDocument(enteredRoom),
  jobBundle: savedDocument(jobBundle, [
    jobBundleWithSentences,
    jobBundleWithChoices,
    jobBundleWithCut,
    jobBundleWithSets,
    jobBundleWithLight,
    jobBundleWithRoles,
    jobBundleWithFilmFigures,
  ]),
} as const
export type DocumentKind = keyof typeof documents
