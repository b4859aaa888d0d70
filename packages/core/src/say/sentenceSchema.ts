import { z } from 'zod'
import { mirrors } from '../schema/index.ts'
import type { Said, Sentence } from './sentence.ts'

const value = z.number()
const digits = z.number().int().min(0).max(6).optional()

/** A sentence as it crosses the wire and is kept: text and quantities, never how they are shown. */
export const sentence = z.strictObject({
  text: z.string().max(2000),
  get with() {
    return z.array(said).max(60).readonly()
  },
  shown: z.string().max(4000).optional(),
})

const said: z.ZodType<Said, Said> = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('length'), mm: value, digits }),
  z.strictObject({ kind: z.literal('film length'), mm: value }),
  z.strictObject({ kind: z.literal('area'), mm2: value }),
  z.strictObject({ kind: z.literal('temperature'), c: value, digits }),
  z.strictObject({ kind: z.literal('warmer'), c: value }),
  z.strictObject({ kind: z.literal('volume'), ml: value }),
  z.strictObject({ kind: z.literal('in span'), mmPer100: value }),
  z.strictObject({ kind: z.literal('span') }),
  z.strictObject({ kind: z.literal('per litre'), mlPerL: value }),
  z.strictObject({ kind: z.literal('percent'), percent: value, digits }),
  z.strictObject({ kind: z.literal('angle'), deg: value, digits }),
  z.strictObject({ kind: z.literal('force'), n: value }),
  z.strictObject({ kind: z.literal('speed'), mmPerS: value }),
  z.strictObject({
    kind: z.literal('duration'),
    minutes: value,
    in: z.enum(['seconds', 'minutes', 'hours', 'days']),
  }),
  z.strictObject({ kind: z.literal('clock'), at: z.iso.datetime({ offset: true }) }),
  z.strictObject({ kind: z.literal('day'), at: z.iso.datetime({ offset: true }) }),
  z.strictObject({ kind: z.literal('count'), n: value }),
  z.strictObject({ kind: z.literal('figure'), value, digits: z.number().int().min(0).max(6) }),
  z.strictObject({ kind: z.literal('name'), name: z.string().max(4000) }),
  z.strictObject({
    kind: z.literal('list'),
    get of() {
      return z.array(sentence).max(60).readonly()
    },
  }),
  z.strictObject({
    kind: z.literal('sentence'),
    get sentence() {
      return sentence
    },
    begins: z.boolean().optional(),
  }),
])

mirrors<Sentence>()(sentence)
