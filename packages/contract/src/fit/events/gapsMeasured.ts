import { correctionWords } from '@truelay/core/align'
import { correctionFor, measuredGaps } from '@truelay/core/plan'
import { say, sentence } from '@truelay/core/say'
import { z } from 'zod'
import { moment } from '../../ids.ts'
import { defineFitEvent, eventOfStep } from '../defineFitEvent.ts'
import { logged } from '../fitState.ts'

export const gapReading = z.strictObject({
  checkId: z.string().min(1).max(8),
  measuredMm: z.number().min(-120).max(120),
})
export type GapReading = z.infer<typeof gapReading>

/** Gaps were read with a rule, at two or more check points of the plan. */
export const gapsMeasured = defineFitEvent({
  schema: eventOfStep('gapsMeasured', { readings: z.array(gapReading).min(2).max(8) }),
  actsOn: 'the step in hand',
  fold: logged('with its step'),
  line: {
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
  },
})
