import express, { Router } from 'express'
import type { Knobs } from '../devices/index.ts'
import { plot, type Plot } from './plot.ts'
import { plotPage } from './plotPage.ts'

/** The plotter takes a cut at its own address, and shows what it has cut. Film that is cut is gone. */
export function plotterRoutes(set: () => Knobs, change: (plotter: Knobs['plotter']) => void, now: () => Date): Router {
  const plots: Plot[] = []
  const routes = Router()
  routes.post('/plotter', express.text({ type: () => true, limit: '4mb' }), (req, res) => {
    const { fault, ...roll } = set().plotter
    // A plotter that is off takes the call and never answers.
    if (fault === 'silent') return
    const plotted = plot(String(req.body), roll, now())
    if (!plotted.ok) {
      res.status(409).type('text').send(plotted.why)
      return
    }
    plots.unshift(plotted.plot)
    change({ ...set().plotter, filmLeftMm: Math.max(0, roll.filmLeftMm - plotted.plot.lengthMm) })
    res.status(202).end()
  })
  routes.get('/plotter/cuts', (_req, res) => {
    res.json(plots)
  })
  routes.get('/plotter/page', (_req, res) => {
    res.type('html').send(plotPage(plots, set().plotter.rollWidthMm))
  })
  return routes
}
