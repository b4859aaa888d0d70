import { lightRequest } from '@truelay/contract'
import { lampLight } from '@truelay/core/light'
import { readDocument, valueOrBadInput } from '../input.ts'

/** `light LAYERS.json` */
export const light = (file: string | undefined) => valueOrBadInput(lampLight(readDocument(file, lightRequest)))
