// Compiles the kernel of the lay (packages/core/kernel) and writes its bytes as a module that every runner can load.
import { execFileSync } from 'node:child_process'
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

const core = fileURLToPath(new URL('../packages/core/', import.meta.url))
const compiler = join(dirname(createRequire(import.meta.url).resolve('assemblyscript/package.json')), 'bin/asc.js')
const folder = mkdtempSync(join(tmpdir(), 'truelay-kernel-'))
try {
  const binary = join(folder, 'kernel.wasm')
  execFileSync(process.execPath, [
    ...[compiler, join(core, 'kernel/index.ts'), '--outFile', binary, '-O3', '--noAssert'],
    ...['--runtime', 'stub', '--enable', 'simd', '--importMemory'],
  ])
  const bytes = readFileSync(binary)
  writeFileSync(
    join(core, 'src/kernel/kernelBytes.generated.ts'),
    `/** The kernel of the lay as compiled from packages/core/kernel: made by tools/buildKernel.mjs, never by hand. */\nexport const kernelBytes =\n  '${bytes.toString('base64')}'\n`,
  )
} finally {
  rmSync(folder, { recursive: true })
}
