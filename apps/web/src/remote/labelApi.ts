import { type DeviceReading, type LabelsToPrint, type SentToDevice, sentToDevice } from '@truelay/contract'
import { api } from './api.ts'
import { deviceReading } from './deviceReading.ts'

/** The label printer, and the square that trues the plotter. */
export const labelApi = api.injectEndpoints({
  endpoints: (build) => ({
    labelPrinter: build.query<DeviceReading<'labelPrinter'>, void>(deviceReading('labelPrinter', 'LabelPrinter')),
    printLabels: build.mutation<SentToDevice, LabelsToPrint>({
      query: (body) => ({ url: 'labels', method: 'POST', body }),
      responseSchema: sentToDevice,
      invalidatesTags: ['LabelPrinter'],
    }),
    cutTestSquare: build.mutation<SentToDevice, { readonly sideMm: number }>({
      query: (body) => ({ url: 'plotter/test-square', method: 'POST', body }),
      responseSchema: sentToDevice,
      invalidatesTags: ['Plotter'],
    }),
  }),
})

export const { useLabelPrinterQuery, usePrintLabelsMutation, useCutTestSquareMutation } = labelApi
