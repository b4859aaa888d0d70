import express, { type Express } from 'express'
import { answerOf, atFirst, deviceNames, type Knobs, knobs, standIns } from './devices/index.ts'
import { labelRoutes } from './labelPrinter/labelRoutes.ts'
import { plotterRoutes } from './plotter/plotterRoutes.ts'
import { pageOf } from './page.ts'

/** The simulated devices behind one port: each answers at its own address, and `/knobs` sets what they measure. */
export function createStandIns(now: () => Date = () => new Date()): Express {
  let set: Knobs = atFirst
  const app = express()
  app.disable('x-powered-by')
  app.use(
    plotterRoutes(
      () => set,
      (plotter) => {
        set = { ...set, plotter }
      },
      now,
    ),
  )
  app.use(
    labelRoutes(
      () => set,
      (labelPrinter) => {
        set = { ...set, labelPrinter }
      },
      now,
    ),
  )
  app.use(express.json({ limit: '20kb' }))
  for (const device of deviceNames)
    app.get(`/${device}`, (_req, res) => {
      const answer = answerOf(device, set, now())
      // A silent device takes the call and never answers.
      if (answer !== null) res.json(answer)
    })
  app.get('/knobs', (_req, res) => {
    res.json(set)
  })
  app.put('/knobs', (req, res) => {
    const wanted = knobs.partial().safeParse(req.body)
    if (!wanted.success) {
      res.status(400).json({ sentence: wanted.error.issues.map((i) => `${i.path.join('.')}: ${i.message}`).join('; ') })
      return
    }
    set = knobs.parse({ ...set, ...wanted.data }) as Knobs
    res.json(set)
  })
  app.get('/', (_req, res) => {
    res.type('html').send(pageOf(standIns))
  })
  return app
}
