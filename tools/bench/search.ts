import { Worker } from 'node:worker_threads'
import {
  orderBySchool,
  orderName,
  type PreparedStage,
  rehearse,
  reliefCuts,
  searchDefaults,
  setSearchStages,
  setStage,
} from '@truelay/core/lay'
import { required } from '@truelay/core/result'
import { english } from '@truelay/words'
import { wrap } from 'comlink'
import nodeEndpoint from 'comlink/dist/esm/node-adapter.mjs'
import { type RemoteHand, searchBench } from '../../apps/web/src/workers/searchBench.ts'
import type { TrialHand } from '../../apps/web/src/workers/trialHand.ts'
import { filmOf, formOf } from './demo.ts'
import type { Section } from './section.ts'
import { bestOf, ms } from './timing.ts'

export const searchSection: Section = {
  title: 'Rehearsal and search',
  async measure(say, settled) {
    say(
      '| form | one order, ms | search in two hands that are ready, ms | that are not, ms | in one that is not, ms | tried | best school | best found | cuts, ms |',
    )
    say('|---|--:|--:|--:|--:|--:|---|--:|--:|')
    const openHands = [openHand(), openHand()]
    const two = openHands.map(({ hand }) => hand)
    for (const [formFile, filmFile] of [
      ['pipit-bumper', 'clearcoat-hull-180'],
      ['pipit-headlamp-left', 'dusk-glass-dry'],
      ['drover-grille-top', 'ebony-cast-dry'],
      ['pipit-bonnet', 'clearcoat-hull-180'],
    ] as const) {
      const form = formOf(formFile)
      const fine = required(setStage(form, filmOf(filmFile)))
      const { coarse } = required(setSearchStages(fine))
      await settled()
      const one = bestOf(6, () => rehearse(fine, orderBySchool('centre out', form, fine.surface)))
      const { ms: readyMs } = await leastSearchMs(fine, two, true, settled)
      const { ms: twoMs } = await leastSearchMs(fine, two, false, settled)
      const { ms: aloneMs, found } = await leastSearchMs(fine, two.slice(0, 1), false, settled)
      await settled()
      const cutsMs = bestOf(1, () => reliefCuts(coarse, 0.01))
      const school = found.schools[0]
      say(
        `| ${form.name} | ${ms(one)} | ${ms(readyMs)} | ${ms(twoMs)} | ${ms(aloneMs)} | ${found.tried} | ${school === undefined ? '' : english(orderName(school.order))} ${school?.figures.trouble.toFixed(2)} | ${found.best.figures.trouble.toFixed(2)} | ${ms(cutsMs)} |`,
      )
    }
    await Promise.all(openHands.map(({ close }) => close()))
    say('')
    say(
      'A hand is a thread; the screens open as many as the tablet has processors, up to four. The fine form is open before. Hands that are ready have built the other forms and rehearsed the schools, as the screen lets them while its first two orders are looked at. One order and the schools on about 1 500 triangles, the rest of the search and the cuts on about 500; what is found has to win on about 1 200 and 1 900 as well.',
    )
  },
}

/** A hand of a search, in a thread of its own as the screens have it. */
function openHand(): { readonly hand: RemoteHand; readonly close: () => Promise<unknown> } {
  const worker = new Worker(new URL('../testing/trialHand.mjs', import.meta.url))
  return { hand: wrap<TrialHand>(nodeEndpoint(worker)), close: () => worker.terminate() }
}
/** The least of three searches from the stage that a screen has open, with what a search begins with made ready before or not. */
async function leastSearchMs(
  fine: PreparedStage,
  hands: readonly RemoteHand[],
  ready: boolean,
  settled: () => Promise<void>,
) {
  await settled()
  let least = await searchMs(fine, hands, ready)
  for (let more = 0; more < 2; more++) {
    await settled()
    const again = await searchMs(fine, hands, ready)
    if (again.ms < least.ms) least = again
  }
  return least
}
async function searchMs(fine: PreparedStage, hands: readonly RemoteHand[], ready: boolean) {
  const { practice, rehearsal } = searchDefaults
  const bench = searchBench(fine, { practice, rehearsal }, hands)
  if (ready) await bench.getReady()
  const began = performance.now()
  const found = required(await bench.search({}, { stop: new AbortController().signal, onNews: () => {} }))
  return { ms: performance.now() - began, found }
}
