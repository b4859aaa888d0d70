import { labelsToPrint, type LabelsToPrint, type SentToDevice } from '@truelay/contract'
import { practiceWith } from '@truelay/core/practice'
import { say } from '@truelay/core/say'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { readDevices } from '../devices/queries.ts'
import { sendToDevice } from '../devices/sendToDevice.ts'
import { readShop } from '../shop/queries.ts'
import { asOneWrite } from '../writes/asOneWrite.ts'
import { writeLabels } from './writeLabels.ts'

export function labelRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.post(
    '/labels',
    // The printer takes them; nothing is kept here.
    asOneWrite(database, now, async (_within, req) => ({ labels: labelsToPrint.parse(req.body).labels.length }), {
      answer: (req) => printLabels(database, labelsToPrint.parse(req.body)),
    }),
  )
  return routes
}

async function printLabels(database: Database, { labels }: LabelsToPrint): Promise<SentToDevice> {
  const [{ labelPrinter }, shop] = await Promise.all([readDevices(database), readShop(database)])
  if (labelPrinter === null)
    return { taken: false, says: say`No label printer is connected: give its address under Shop, or print the page.` }
  const { labelWidth, labelHeight } = practiceWith(shop.practice)
  const pages = await writeLabels(labels, { widthMm: labelWidth, heightMm: labelHeight })
  return sendToDevice(labelPrinter, {
    type: 'application/pdf',
    body: new Uint8Array(pages),
    silent: say`The label printer does not answer. Is it on, and is its cable in?`,
    refused: say`The label printer refused them`,
  })
}
