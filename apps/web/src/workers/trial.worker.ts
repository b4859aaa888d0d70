import { expose } from 'comlink'
import { trialHand } from './trialHand.ts'

const hand = trialHand()

/** Carries messages; trials are made by the core. */
const trialWorker = {
  /** Lets whoever has the other end of a port have trials made. */
  serve(port: MessagePort) {
    expose(hand, port)
  },
}

export type TrialWorker = typeof trialWorker
expose(trialWorker)
