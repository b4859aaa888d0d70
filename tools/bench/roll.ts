import { performance } from 'node:perf_hooks'
import { effortPerSecond, nestPieces, type NestRequest } from '@truelay/core/nest'
import { required } from '@truelay/core/result'
import { bentJigsaw, jigsaw, kitOfPieces } from '../../packages/core/src/nest/testPieces.ts'
import { bottomLeft } from './bottomLeft.ts'
import type { Section } from './section.ts'

export const rollSection: Section = {
  title: 'Pieces on a roll, 10 s of effort (pieces as the tests make them), and the first layout that is found',
  measure(say) {
    // The yardstick takes minutes, most of them for its no-fit polygons: only where it is asked for.
    const bottomLeftSeconds = Number(process.env.BOTTOM_LEFT_SECONDS ?? 0)
    const besidePlain = bottomLeftSeconds > 0 ? ` bottom-left fill, ${bottomLeftSeconds} s of order search |` : ''
    say(`| pieces | copies | first | found | s |${besidePlain}`)
    say(`|---|--:|--:|--:|--:|${besidePlain && '--:|'}`)
    const rolls: Record<string, NestRequest> = {
      'jigsaw of straight pieces, no gap': jigsaw(12, 1),
      'the same, others': jigsaw(12, 2),
      'jigsaw of 25': jigsaw(25, 1),
      'jigsaw of 40': jigsaw(40, 2),
      'jigsaw of wavy pieces, gap 3 mm': jigsaw(25, 1, { wavy: true, gapMm: 3 }),
      'kit, some with openings, gap 3 mm': kitOfPieces(10, 10),
      'kit of 25': kitOfPieces(25, 25),
      'kit of 60': kitOfPieces(60, 60),
      'kit of 150': kitOfPieces(150, 3),
      'jigsaw of 25 with bends': bentJigsaw(25, 2),
      'jigsaw of 60 with bends, to 0.01 mm': bentJigsaw(60, 6, { digits: 2 }),
    }
    /** So many copies are not worth their no-fit polygons. */
    const mostForBottomLeft = 60
    for (const [called, request] of Object.entries(rolls)) {
      let first = 0
      const began = performance.now()
      const onBetter = ({ utilisation }: { readonly utilisation: number }) => {
        first ||= utilisation
      }
      const { utilisation } = required(nestPieces(request, { effort: 10 * effortPerSecond, onBetter }))
      const copies = request.pieces.reduce((sum, { count }) => sum + count, 0)
      const share = (of: number) => `${(100 * of).toFixed(1)} %`
      const seconds = ((performance.now() - began) / 1000).toFixed(1)
      const plain = bottomLeftSeconds > 0 && copies <= mostForBottomLeft ? bottomLeft(request, bottomLeftSeconds) : null
      const beside = plain === null ? '' : ` ${share(plain.utilisation)}, ${plain.orders} orders |`
      say(`| ${called} | ${copies} | ${share(first)} | ${share(utilisation)} | ${seconds} |${beside}`)
    }
    say('')
    say(
      'The bottom-left fill lies in tools/bench/bottomLeft.ts; reckoning its no-fit polygons is not counted, and nothing is laid in cut-outs. A native library with exact no-fit polygons uses 57-78 % of a roll on kits and 71-74 % on jigsaws, a native bottom-left fill with 20 s of order search 78-82 % and 76-80 % (measured elsewhere, on other pieces).',
    )
  },
}
