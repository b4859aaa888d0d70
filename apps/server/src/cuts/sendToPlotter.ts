import type { SentToDevice } from '@truelay/contract'
import { say } from '@truelay/core/say'
import type { Database } from '../database/openDatabase.ts'
import { readDevices } from '../devices/queries.ts'
import { sendToDevice } from '../devices/sendToDevice.ts'

/** Hands a cut file to the plotter of the shop, if there is one. */
export async function sendToPlotter(database: Database, file: string): Promise<SentToDevice> {
  const { plotter } = await readDevices(database)
  return plotter === null
    ? {
        taken: false,
        says: say`No plotter is connected: give its address under Shop, or save the cut file.`,
      }
    : sendToDevice(plotter, {
        type: 'application/vnd.hp-hpgl',
        body: file,
        silent: say`The plotter does not answer. Is it on, and is its cable in?`,
        refused: say`The plotter refused the cut`,
      })
}
