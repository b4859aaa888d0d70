import { heatRequest } from '@truelay/contract'
import { heatWords, jetOf, passesTo, stillAirHWm2K, steadyWash, type SteadyRequest } from '@truelay/core/heat'
import { practiceWith } from '@truelay/core/practice'
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
    setting: `${Math.round(gun.outletC)} °C`,
    distanceMm: gun.distanceMm,
    passes: outcome.passes,
    passSeconds: strokeMm / speedMmS,
  })
  const words = outcome.reachable
    ? how
    : outcome.secondsToTarget === null
      ? `This gun does not get it to ${Math.round(targetC)} °C: ${Math.round(outcome.peakSurfaceC)} °C after ${outcome.passes} passes.`
      : `Risky: ${how} brings it to ${Math.round(outcome.peakSurfaceC)} °C, and damage begins at ${Math.round(damageC)} °C.`
  return { ...outcome, jet, words }
}
