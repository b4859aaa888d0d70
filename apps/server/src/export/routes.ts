import { format } from 'date-fns'
import { Router } from 'express'
import type { Database } from '../database/openDatabase.ts'
import { exportAll } from './exportAll.ts'

export function exportRoutes(database: Database, now: () => Date): Router {
  const routes = Router()
  routes.get('/export.zip', async (_req, res) => {
    res.type('application/zip')
    res.setHeader('content-disposition', `attachment; filename="true-lay-${format(now(), 'yyyy-MM-dd')}.zip"`)
    const zip = await exportAll(database)
    res.on('close', () => (zip as NodeJS.ReadableStream & { destroy?: () => void }).destroy?.())
    zip.pipe(res)
  })
  return routes
}
