import { execFileSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { TriangleMesh } from '@truelay/core/geometry'

/** The median of a native program's own runs, ms; it is given a mesh and prints `name, triangles, method, scaling, runs, median, …`. */
export function nativeMs(program: string, { position, triangle }: TriangleMesh): number {
  const folder = mkdtempSync(join(tmpdir(), 'truelay-native-'))
  try {
    const rows = (values: ArrayLike<number>, letter: string, add: number) =>
      Array.from({ length: values.length / 3 }, (_, i) =>
        [letter, ...[0, 1, 2].map((k) => values[3 * i + k]! + add)].join(' '),
      ).join('\n')
    const file = join(folder, 'mesh.obj')
    writeFileSync(file, `${rows(position, 'v', 0)}\n${rows(triangle, 'f', 1)}\n`)
    return Number(
      execFileSync(program, [file, '5'], { encoding: 'utf8', stdio: ['ignore', 'pipe', 'ignore'] }).split(',')[5],
    )
  } finally {
    rmSync(folder, { recursive: true })
  }
}
