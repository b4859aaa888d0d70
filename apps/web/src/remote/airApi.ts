import {
  type Devices,
  devices,
  type EnteredRoom,
  type ForecastNow,
  forecastNow,
  type InfraredNow,
  infraredNow,
  type Learned,
  learned,
  type RoomNow,
  roomNow,
} from '@truelay/contract'
import { api } from './api.ts'

/** The air, the weather, the thermometer, and what was learned about waits. */
export const airApi = api.injectEndpoints({
  endpoints: (build) => ({
    room: build.query<RoomNow, void>({ query: () => 'room', responseSchema: roomNow, providesTags: ['Room'] }),
    enterRoom: build.mutation<RoomNow, EnteredRoom>({
      query: (body) => ({ url: 'room', method: 'POST', body }),
      responseSchema: roomNow,
      invalidatesTags: ['Room'],
    }),
    infrared: build.query<InfraredNow, void>({ query: () => 'infrared', responseSchema: infraredNow }),
    forecast: build.query<ForecastNow, void>({
      query: () => 'forecast',
      responseSchema: forecastNow,
      providesTags: ['Room'],
    }),
    devices: build.query<Devices, void>({ query: () => 'devices', responseSchema: devices, providesTags: ['Devices'] }),
    saveDevices: build.mutation<Devices, Devices>({
      query: (body) => ({ url: 'devices', method: 'PUT', body }),
      responseSchema: devices,
      invalidatesTags: ['Devices', 'Room'],
    }),
    learned: build.query<Learned, void>({ query: () => 'learned', responseSchema: learned, providesTags: ['Fit'] }),
  }),
})

export const {
  useRoomQuery,
  useEnterRoomMutation,
  useLazyInfraredQuery,
  useForecastQuery,
  useDevicesQuery,
  useSaveDevicesMutation,
  useLearnedQuery,
} = airApi
