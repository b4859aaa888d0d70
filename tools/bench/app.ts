import { readdirSync, readFileSync, statSync } from 'node:fs'
import { join } from 'node:path'
import { gzipSync } from 'node:zlib'
import { withDemoShop } from './demoShop.ts'
import type { Section } from './section.ts'
import { ms } from './timing.ts'

export const appSection: Section = {
  title: 'The built app',
  async measure(say) {
    const html = readFileSync('apps/web/dist/index.html', 'utf8')
    const first = [...html.matchAll(/(?:src|href)="(\/assets\/[^"]+\.js)"/g)].map((m) =>
      join('apps/web/dist', m[1] ?? ''),
    )
    const gz = (file: string) => gzipSync(readFileSync(file)).length / 1000
    say(
      `- first screen: ${first.reduce((sum, file) => sum + gz(file), 0).toFixed(0)} kB of gzipped script in ${first.length} files`,
    )
    const assets = readdirSync('apps/web/dist/assets')
      .filter((f) => f.endsWith('.js'))
      .sort((a, b) => statSync(join('apps/web/dist/assets', b)).size - statSync(join('apps/web/dist/assets', a)).size)
    say(
      `- largest chunks: ${assets
        .slice(0, 3)
        .map((f) => `${f.split('-')[0]} ${gz(join('apps/web/dist/assets', f)).toFixed(0)} kB`)
        .join(', ')}`,
    )
    const startedMs = await withDemoShop(async (_, started) => started)
    say(`- demo shop from a built state, empty data folder, to the first answer: ${ms(startedMs)} ms`)
  },
}
