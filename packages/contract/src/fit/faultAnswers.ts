import { z } from 'zod'

const answer = z.boolean().optional()

/** What a finger or a second look answers about a fault. */
export const faultAnswers = z.strictObject({ moves: answer, wetBeneath: answer, heated: answer })
