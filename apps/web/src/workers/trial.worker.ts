import { expose } from 'comlink'
import { trialHand } from './trialHand.ts'

/** Carries messages; trials are made by the core. */
const trialWorker = {
  /** Lets whoever has the other end of a port have trials of one part made. */
  serve(port: MessagePort) {
    expose(trialHand(), port)
  },
}

export type TrialWorker = typeof trialWorker
expose(trialWorker)
