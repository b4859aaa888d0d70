import { correctionWords } from '@truelay/core/align'
import { correctionFor, measuredGaps } from '@truelay/core/plan'
import { say, sentence } from '@truelay/core/say'
import { z } from 'zod'
import { moment } from '../../ids.ts'
import { gapsMeasured } from '../events/gapsMeasured.ts'
import { defineRecordLine } from './defineRecordLine.ts'

/** What was read at the gaps, and what the readings say. */
export const gapsMeasuredLine = defineRecordLine(gapsMeasured, {
  schema: z.strictObject({
    at: moment,
    by: z.string(),
    readings: z.array(z.strictObject({ label: sentence, wantedMm: z.number(), measuredMm: z.number() })),
    withinTolerance: z.boolean(),
    words: sentence,
  }),
  of({ at, personId, readings }, { plan, nameOf }) {
    const gaps = measuredGaps(plan, readings)
    const withinTolerance = gaps.every((gap) => gap.right)
    const correction = correctionFor(gaps, plan.gapSigmaMm)
    return {
      at,
      by: nameOf(personId),
      readings: gaps.map(({ check, measuredMm }) => ({ label: check.label, wantedMm: check.wantedMm, measuredMm })),
      withinTolerance,
      words: withinTolerance
        ? say`Within tolerance.`
        : correction.ok
          ? correctionWords(correction.value, plan.directions)
          : correction.failure.sentence,
    }
  },
})
