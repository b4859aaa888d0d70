import { dotSizesMm, partTargets, plateSheet, targetSheets } from '@truelay/core/photogrammetry'
import { Router } from 'express'
import { z } from 'zod'
import { writeTargets } from './writeTargets.ts'

const asked = z.object({
  dot: z.coerce.number().pipe(z.literal(dotSizesMm)),
  count: z.coerce.number().int().min(1).max(partTargets),
})

/** Targets to print: the start plate first, then those for the part and the bars. */
export function targetRoutes(): Router {
  const routes = Router()
  routes.get('/targets.pdf', async (req, res) => {
    const { dot, count } = asked.parse(req.query)
    res.type('application/pdf')
    res.setHeader('Content-Disposition', 'inline; filename="targets.pdf"')
    res.send(await writeTargets([plateSheet(), ...targetSheets(dot, count)]))
  })
  return routes
}
