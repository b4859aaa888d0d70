import { layFigures, naturalLay } from '@truelay/core/lay'
import { type TriangleMesh, triangleArea } from '@truelay/core/geometry'
import { required } from '@truelay/core/result'
import { cap } from '../../packages/core/src/lay/testForms.ts'
import type { Section } from './section.ts'
import { shapes } from './shapes.ts'
import { bestOf, ms } from './timing.ts'

export const naturalLaySection: Section = {
  title: 'Natural lay, ms (solver with its factorisation)',
  measure(say) {
    const sizes = [1000, 3000, 5000, 20_000, 80_000]
    const leastEnergy: Record<string, number> = {
      'spherical cap, half-angle 30': 4.0053e-4,
      'spherical cap, half-angle 60': 6.8683e-3,
    }
    say(
      `| shape | ${sizes.map((s) => `${s} triangles`).join(' | ')} | min / max / rms at 20 000 | energy to least | turned over |`,
    )
    say(`|---|${sizes.map(() => '--:').join('|')}|---|--:|--:|`)
    required(naturalLay(cap(30, 20)))
    for (const [name, make] of Object.entries(shapes)) {
      const times: string[] = []
      let figures = ''
      let energy = ''
      let flipped = 0
      for (const size of sizes) {
        const mesh = make(size)
        times.push(ms(bestOf(size > 10_000 ? 2 : 4, () => required(naturalLay(mesh)))))
        const lay = required(naturalLay(mesh))
        flipped += lay.flipped
        if (size !== 20_000) continue
        const { minor, major, rmsStretch } = layFigures(mesh, lay)
        const least = leastEnergy[name]
        if (least !== undefined) energy = (energyPerArea(mesh, lay.stretch) / least).toFixed(4)
        figures = `${minor.min.toFixed(4)} / ${major.max.toFixed(4)} / ${rmsStretch.toExponential(2)}`
      }
      say(`| ${name} | ${times.join(' | ')} | ${figures} | ${energy} | ${flipped} |`)
    }

    say('')
    say(
      'A plain native local/global solver that factorises once needs 4-7 ms at 1 000, 33-41 at 5 000, 212-331 at 20 000 and 1350-2550 at 80 000 triangles (measured elsewhere; twice that is the mark). Least energies: of the smooth problem.',
    )
  },
}

/** Sum of A((1/s1-1)^2 + (1/s2-1)^2) over the surface's area: the energy of surface -> flat. */
function energyPerArea(mesh: TriangleMesh, stretch: Float64Array): number {
  let sum = 0
  let area = 0
  for (let t = 0; t < stretch.length / 2; t++) {
    const a = triangleArea(mesh, t)
    area += a
    sum += a * ((1 / (stretch[2 * t] ?? 1) - 1) ** 2 + (1 / (stretch[2 * t + 1] ?? 1) - 1) ** 2)
  }
  return sum / area
}
