import { bodyKinds } from '@truelay/core/vehicle'
import { z } from 'zod'
import { filmId, formId, modelId, pieceId } from './ids.ts'

const share = z.number().min(0).max(1)

/** A part that a model has, with the form and the piece that fit it as far as they are known. */
export const modelPart = z.strictObject({
  name: z.string().min(1).max(60),
  slot: z.string().min(1).max(40),
  within: z.tuple([share, share, share, share]).optional(),
  formId: formId.nullable(),
  pieceId: pieceId.nullable(),
  filmId: filmId.nullable(),
})
export type ModelPart = z.infer<typeof modelPart>

/** A vehicle model and its parts. */
export const vehicleModel = z.strictObject({
  id: modelId,
  name: z.string().min(1).max(80),
  kind: z.enum(bodyKinds),
  parts: z.array(modelPart).max(80),
})
export type VehicleModel = z.infer<typeof vehicleModel>

/** A new model in a minute: a name and a kind; its parts are those that every such vehicle has. */
export const newModel = vehicleModel.pick({ name: true, kind: true })
export type NewModel = z.infer<typeof newModel>
