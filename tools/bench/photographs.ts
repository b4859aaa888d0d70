import { detectTargets, measured, nextPhotograph, splitHalf } from '@truelay/core/photogrammetry'
import { apart, rigidOnto } from '../../packages/core/src/photogrammetry/rigid.ts'
import { bonnetPart, bumperPart, lampPart, phone, setOf } from '../../packages/core/src/photogrammetry/testPhotos.ts'
import { drawnPicture } from '../../packages/core/src/photogrammetry/testPicture.ts'
import type { Section } from './section.ts'
import { bestOf, ms } from './timing.ts'

export const photographsSection: Section = {
  title: 'A part from twelve photographs (as the tests make them), ms',
  measure(say) {
    say('| part | targets | measured, with covariance | where to stand next | halves | rms off, mm | worst, mm |')
    say('|---|--:|--:|--:|--:|--:|--:|')
    for (const [name, part] of [
      ['headlamp', lampPart()],
      ['bumper', bumperPart()],
      ['bonnet', bonnetPart()],
    ] as const) {
      const set = setOf(part, phone, 100)
      const found = measured(set)
      if (found === null) throw new Error('nothing was measured')
      const { place } = rigidOnto(
        found.points.map(({ atMm }) => atMm),
        found.points.map(({ target }) => part.points[target] ?? [0, 0, 0]),
      )
      const off = found.points.map(({ atMm, target }) => apart(place(atMm), part.points[target] ?? [0, 0, 0]))
      say(
        `| ${name} | ${found.points.length} | ${ms(bestOf(2, () => measured(set)))} | ${ms(bestOf(2, () => nextPhotograph(found, set)))} | ${ms(bestOf(1, () => splitHalf(set)))} | ${Math.sqrt(off.reduce((sum, v) => sum + v * v, 0) / off.length).toFixed(2)} | ${Math.max(...off).toFixed(2)} |`,
      )
    }
    {
      const targets = Array.from({ length: 60 }, (_, k) => ({
        target: k,
        atPx: [250 + 390 * (k % 10), 250 + 480 * Math.floor(k / 10)] as const,
        alongX: [9, 1] as const,
        alongY: [-1, 6] as const,
      }))
      const picture = drawnPicture(4032, 3024, targets, { noise: 3, blurPx: 0.8, uneven: 0.3, paint: 110 }, 1)
      let seen = 0
      const took = bestOf(2, () => {
        seen = detectTargets(picture).length
      })
      say('')
      say(
        `Targets looked for in a photograph of 12 million pixels: ${ms(took)} ms, ${seen} of ${targets.length} found.`,
      )
    }
  },
}
