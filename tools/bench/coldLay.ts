import { Worker } from 'node:worker_threads'
import { naturalLay } from '@truelay/core/lay'
import type { TriangleMesh } from '@truelay/core/geometry'
import { required } from '@truelay/core/result'
import { nativeMs } from './nativeProgram.ts'
import type { Section } from './section.ts'
import { shapes } from './shapes.ts'
import { bestOf, ms } from './timing.ts'

export const coldLaySection: Section = {
  title: 'Natural lay in a thread that has laid nothing before, ms (least of three threads)',
  async measure(say) {
    const native = process.env.NATIVE_ARAP
    say(
      `| shape | triangles | cold | warm |${native === undefined ? '' : ' native | cold to native | warm to native |'}`,
    )
    say(`|---|--:|--:|--:|${native === undefined ? '' : '--:|--:|--:|'}`)
    for (const name of ['saddle', 'spherical cap, half-angle 60', 'torus patch'] as const) {
      for (const size of [1000, 5000, 20_000]) {
        const mesh = shapes[name](size)
        const cold = Math.min(await coldMs(mesh), await coldMs(mesh), await coldMs(mesh))
        const warm = bestOf(4, () => required(naturalLay(mesh)))
        const other = native === undefined ? null : nativeMs(native, mesh)
        const ratios =
          other === null ? '' : ` ${ms(other)} | ${(cold / other).toFixed(2)} | ${(warm / other).toFixed(2)} |`
        say(`| ${name} | ${size} | ${ms(cold)} | ${ms(warm)} |${ratios}`)
      }
    }
  },
}

/** One lay in a thread of its own, ms. */
const coldMs = (mesh: TriangleMesh): Promise<number> =>
  new Promise((resolve, reject) => {
    const worker = new Worker(new URL('../testing/coldLay.mjs', import.meta.url), { workerData: mesh })
    worker.once('message', resolve)
    worker.once('error', reject)
  })
