import { workedLay } from '@truelay/core/lay'
import { required } from '@truelay/core/result'
import type { Section } from './section.ts'
import { shapes } from './shapes.ts'
import { bestOf, ms } from './timing.ts'

export const workedLaySection: Section = {
  title: 'Worked lay at 3 000 triangles',
  async measure(say, settled) {
    say('| shape | take | ms | largest stretch needed | best possible |')
    say('|---|--:|--:|--:|--:|')
    for (const [name, take] of [
      ['spherical cap, half-angle 30', 0],
      ['spherical cap, half-angle 60', 0],
      ['saddle', 0.006],
      ['demo bonnet', 0.004],
      ['demo headlamp', 0.005],
    ] as const) {
      const mesh = shapes[name](3000)
      await settled()
      const time = bestOf(2, () => required(workedLay(mesh, { take })))
      const { neededStretch } = required(workedLay(mesh, { take }))
      const half = name.includes('cap') ? (Number(name.slice(-2)) * Math.PI) / 180 : null
      say(
        `| ${name} | ${take} | ${ms(time)} | ${neededStretch.toFixed(4)} | ${half === null ? 'not known' : (half / Math.sin(half)).toFixed(4)} |`,
      )
    }
  },
}
