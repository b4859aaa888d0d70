import { type DeviceReading, deviceKinds, type LabelsToPrint, type SentToDevice, sentToDevice } from '@truelay/contract'
import type { z } from 'zod'
import { api } from './api.ts'

/** The label printer, and the square that trues the plotter. */
export const labelApi = api.injectEndpoints({
  endpoints: (build) => ({
    labelPrinter: build.query<DeviceReading<'labelPrinter'>, void>({
      query: () => 'devices/labelPrinter/reading',
      responseSchema: deviceKinds.labelPrinter.reading as unknown as z.ZodType<
        DeviceReading<'labelPrinter'>,
        DeviceReading<'labelPrinter'>
      >,
      providesTags: ['LabelPrinter'],
    }),
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
