import { type Form, type NewModel, type VehicleModel, formDoc, vehicleModel } from '@truelay/contract'
import { z } from 'zod'
import { api } from './api.ts'

const at = encodeURIComponent

/** Models of vehicles, and the forms of their parts. */
export const vehiclesApi = api.injectEndpoints({
  endpoints: (build) => ({
    models: build.query<VehicleModel[], void>({
      query: () => 'models',
      responseSchema: z.array(vehicleModel),
      providesTags: ['Models'],
    }),
    addModel: build.mutation<VehicleModel, NewModel>({
      query: (body) => ({ url: 'models', method: 'POST', body }),
      responseSchema: vehicleModel,
      invalidatesTags: ['Models'],
    }),
    forms: build.query<Form[], void>({
      query: () => 'forms',
      responseSchema: z.array(formDoc),
      providesTags: ['Forms'],
    }),
    saveForm: build.mutation<Form, Form>({
      query: (form) => ({ url: `forms/${at(form.id)}`, method: 'PUT', body: form }),
      responseSchema: formDoc,
      invalidatesTags: ['Forms', 'Job'],
    }),
  }),
})

export const { useModelsQuery, useAddModelMutation, useFormsQuery, useSaveFormMutation } = vehiclesApi
