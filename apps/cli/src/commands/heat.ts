import { heatRequest } from '@truelay/contract'
import { heatWords, jetOf, passesTo, stillAirHWm2K, steadyWash, type SteadyRequest } from '@truelay/core/heat'
import { practiceWith } from '@truelay/core/practice'
import { count, say, temperature } from '@truelay/core/say'
import type { z } from 'zod'
import { readDocument, valueOrBadInput } from '../input.ts'

type HeatRequest = z.infer<typeof heatRequest>
type Passes = Extract<HeatRequest['exposure'], { kind: 'passes' }>

/** `heat REQUEST.json`: a surface under steady air, or under the passes of a gun. */
export function heat(file: string | undefined) {
  const { ambientC, layers, exposure, coolSeconds } = readDocument(file, heatRequest)
  if (exposure.kind === 'passes') return passes({ ambientC, layers }, exposure)
  const { gasC, hWm2K, seconds } = exposure
  return {
    ...valueOrBadInput(steadyWash({ ambientC, layers, gasC, hWm2K, seconds, coolSeconds })),
    coolingHWm2K: stillAirHWm2K,
  }
}

function passes(over: Pick<SteadyRequest, 'ambientC' | 'layers'>, exposure: Passes) {
  const { gun, speedMmS, strokeMm, targetC, damageC } = exposure
  const practice = practiceWith()
  const { pressC = practice.heatPress, cutC = practice.heatCut } = exposure
  const jet = jetOf(gun, over.ambientC)
  const outcome = valueOrBadInput(passesTo({ ...over, jet, speedMmS, strokeMm, targetC, damageC, pressC, cutC }))
  const how = heatWords({
    setting: say`${temperature(gun.outletC)}`,
    distanceMm: gun.distanceMm,
    passes: outcome.passes,
    passSeconds: strokeMm / speedMmS,
  })
  const words = outcome.reachable
    ? how
    : outcome.secondsToTarget === null
      ? say`This gun does not get it to ${temperature(targetC)}: ${temperature(outcome.peakSurfaceC)} after ${count(outcome.passes)} passes.`
      : say`Risky: ${how} brings it to ${temperature(outcome.peakSurfaceC)}, and damage begins at ${temperature(damageC)}.`
  return { ...outcome, jet, words }
}
