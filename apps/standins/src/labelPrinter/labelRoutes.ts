import express, { Router } from 'express'
import type { Knobs } from '../devices/index.ts'

interface Printed {
  readonly at: string
  readonly labels: number
  readonly file: Buffer
}

/** Pages of a PDF: each is a label. */
const pagesOf = (file: Buffer) => file.toString('latin1').match(/\/Type\s*\/Page\b(?!s)/g)?.length ?? 0

/** The label printer takes pages at its own address, and shows what it has printed. A label that is printed is gone. */
export function labelRoutes(
  set: () => Knobs,
  change: (labelPrinter: Knobs['labelPrinter']) => void,
  now: () => Date,
): Router {
  const printed: Printed[] = []
  const routes = Router()
  routes.post('/labelPrinter', express.raw({ type: () => true, limit: '8mb' }), (req, res) => {
    const { fault, labelsLeft } = set().labelPrinter
    // A printer that is off takes the call and never answers.
    if (fault === 'silent') return
    const file = Buffer.isBuffer(req.body) ? req.body : Buffer.alloc(0)
    const labels = file.subarray(0, 5).toString('latin1') === '%PDF-' ? pagesOf(file) : 0
    const why =
      labels === 0
        ? 'that is no page of labels.'
        : labels > labelsLeft
          ? `it has ${labelsLeft} labels left, and this takes ${labels}.`
          : null
    if (why !== null) {
      res.status(409).type('text').send(why)
      return
    }
    printed.unshift({ at: now().toISOString(), labels, file })
    change({ ...set().labelPrinter, labelsLeft: labelsLeft - labels })
    res.status(202).end()
  })
  routes.get('/labelPrinter/printed', (_req, res) => {
    res.json(printed.map(({ at, labels }) => ({ at, labels })))
  })
  routes.get('/labelPrinter/printed/:n.pdf', (req, res) => {
    const one = printed[Number(req.params.n)]
    if (one === undefined) res.status(404).end()
    else res.type('application/pdf').send(one.file)
  })
  routes.get('/labelPrinter/page', (_req, res) => {
    res.type('html').send(`<!doctype html>
<html lang="en"><meta charset="utf-8"><meta name="viewport" content="width=device-width"><title>Stand-in label printer</title>
<style>body{font:18px/1.5 system-ui,sans-serif;margin:2rem auto;padding:0 1rem;background:#f7f6f2;color:#1b2733}</style>
<h1>Stand-in label printer</h1>
${printed.length === 0 ? '<p>Nothing has been printed.</p>' : printed.map(({ at, labels }, n) => `<p><a href="/labelPrinter/printed/${n}.pdf">${at.slice(0, 16).replace('T', ' ')}: ${labels} labels</a></p>`).join('\n')}
</html>`)
  })
  return routes
}
