import { measuredGaps } from '@truelay/core/plan'
import { sentence } from '@truelay/core/say'
import { z } from 'zod'
import { moment } from '../../ids.ts'
import { lookedAt } from '../events/lookedAt.ts'
import { defineRecordLine } from './defineRecordLine.ts'

const { stop, verdict, photos } = lookedAt.schema.shape

/** What was looked at on the last walk, and what was read there. */
export const lookedAtLine = defineRecordLine(lookedAt, {
  schema: z.strictObject({
    at: moment,
    by: z.string(),
    stop,
    verdict,
    readings: z.array(
      z.strictObject({ label: sentence, wantedMm: z.number(), measuredMm: z.number(), right: z.boolean() }),
    ),
    photos,
  }),
  of: ({ at, personId, stop, verdict, readings, photos }, { plan, nameOf }) => ({
    at,
    by: nameOf(personId),
    stop,
    verdict,
    readings: measuredGaps(plan, readings).map(({ check, measuredMm, right }) => ({
      label: check.label,
      wantedMm: check.wantedMm,
      measuredMm,
      right,
    })),
    photos,
  }),
})
