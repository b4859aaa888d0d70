import { gunOnPart, heatStep, jetOf, layersOf, PatchMarch, type Swept, usualGun } from '@truelay/core/heat'
import { practiceWith } from '@truelay/core/practice'
import { required } from '@truelay/core/result'
import { waitNow } from '@truelay/core/wait'
import type { Section } from './section.ts'
import { bestOf, ms } from './timing.ts'

export const heatSection: Section = {
  title:
    'Heat plan of a part, ms (soften, seal and post-heat with one gun: nine marches of a lane, nine of a band), and one wait',
  measure(say) {
    say('| part of | lanes alone, as along edges | lanes and bands |')
    say('|---|--:|--:|')
    for (const material of [
      'painted steel',
      'painted aluminium',
      'painted plastic',
      'lens plastic',
      'glass',
    ] as const) {
      const practice = practiceWith()
      const layers = layersOf({ type: 'paint film', thicknessUm: 180 }, material)
      const question = { ...usualGun, ambientC: 20, strokeMm: practice.heatStroke }
      const limits = { damageC: practice.heatDamage, pressC: practice.heatPress, cutC: practice.heatCut }
      const planned = (ways: readonly Swept[]) =>
        bestOf(8, () => {
          const on = required(gunOnPart(layers, question))
          for (const middle of [practice.heatSoften, practice.heatSeal, practice.heatPost])
            for (const swept of ways)
              heatStep(
                on,
                { ...limits, leastC: middle - practice.heatSpread, mostC: middle + practice.heatSpread },
                swept,
              )
        })
      say(`| ${material} | ${ms(planned(['lane']))} | ${ms(planned(['lane', 'band']))} |`)
    }
    say('')
    say('One frame of a gun that is led over 600 by 300 mm in cells of 3 mm, all of it warm, ms:')
    say('')
    say('| over | frame |')
    say('|---|--:|')
    for (const material of ['painted steel', 'painted aluminium', 'painted plastic', 'glass'] as const) {
      const layers = layersOf({ type: 'paint film', thicknessUm: 180 }, material)
      const march = new PatchMarch({ layers, widthMm: 600, heightMm: 300, cellMm: 3, ambientC: 20 })
      const jet = jetOf({ outletC: 400, distanceMm: 90, spotMm: 60 }, 20)
      let at = 100
      const led = () => {
        const from = at
        at = at > 500 ? 100 : at + 6
        march.step(1 / 30, { jet, from: [from, 150], to: [at, 150] })
      }
      for (let i = 0; i < 60; i++) led()
      say(`| ${material} | ${ms(bestOf(60, led))} |`)
    }
    const wait = bestOf(5, () => {
      for (let i = 0; i < 1000; i++)
        required(waitNow({ kind: 'beforeWrap', roomC: 12 + i / 100, humidityPercent: 60 }, practiceWith()))
    })
    say('')
    say(`One wait in the air of the day: ${(wait / 1000).toFixed(4)} ms.`)
  },
}
