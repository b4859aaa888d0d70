import {
  type DeviceAddresses,
  type DeviceKind,
  type DeviceReading,
  deviceAddresses,
  deviceKinds,
  deviceNames,
  type EnteredRoom,
  type Learned,
  learned,
  type RoomNow,
  roomNow,
} from '@truelay/contract'
import { z } from 'zod'
import { api } from './api.ts'
import { deviceReading } from './deviceReading.ts'

/** The air, the shop's devices, and what was learned about waits. */
export const airApi = api.injectEndpoints({
  endpoints: (build) => ({
    room: build.query<RoomNow, void>({ query: () => 'room', responseSchema: roomNow, providesTags: ['Room'] }),
    enterRoom: build.mutation<RoomNow, EnteredRoom>({
      query: (body) => ({ url: 'room', method: 'POST', body }),
      responseSchema: roomNow,
      invalidatesTags: ['Room'],
    }),
    forecast: build.query<DeviceReading<'forecast'>, void>(deviceReading('forecast', 'Room')),
    infrared: build.query<DeviceReading<'infrared'>, void>(deviceReading('infrared', 'Room')),
    deviceReading: build.query<DeviceReading, DeviceKind>({
      query: (kind) => `devices/${kind}/reading`,
      responseSchema: z.union(deviceNames.map((kind) => deviceKinds[kind].reading)),
      providesTags: ['Room'],
    }),
    devices: build.query<DeviceAddresses, void>({
      query: () => 'devices',
      responseSchema: deviceAddresses,
      providesTags: ['Devices'],
    }),
    saveDevices: build.mutation<DeviceAddresses, DeviceAddresses>({
      query: (body) => ({ url: 'devices', method: 'PUT', body }),
      responseSchema: deviceAddresses,
      invalidatesTags: ['Devices', 'Room'],
    }),
    learned: build.query<Learned, void>({ query: () => 'learned', responseSchema: learned, providesTags: ['Learned'] }),
  }),
})

export const {
  useRoomQuery,
  useEnterRoomMutation,
  useForecastQuery,
  useLazyInfraredQuery,
  useLazyDeviceReadingQuery,
  useDevicesQuery,
  useSaveDevicesMutation,
  useLearnedQuery,
} = airApi
