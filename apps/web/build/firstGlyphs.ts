import { mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { basename, dirname, join, resolve } from 'node:path'
import subsetFont from 'subset-font'
import type { Plugin } from 'vite'

/** What the screens write with before anybody has typed a name: printable ASCII, and the signs of measures and sentences. */
const glyphs = [
  ...Array.from({ length: 0x7f - 0x20 }, (_, i) => String.fromCharCode(0x20 + i)),
  ...'\u00a0°²³±·×¼½¾µ–—‘’“”…−',
].join('')
const unicodeRange = [...glyphs].map((sign) => `U+${sign.codePointAt(0)?.toString(16).padStart(4, '0')}`).join(',')

/** The weights that the screens use of a variable typeface. */
const weights = { min: 400, max: 700 }

const latinFace = /\/\* [\w-]+-latin-(?:wght|\d+)-normal \*\/\s*@font-face \{[^}]*\}/g

/**
 * The typefaces in two parts: a small file of what every screen needs comes first over the wire, the whole one when another sign is shown.
 * Screen hinting is left out of the small one: it is for coarser screens than tablets have.
 */
export function firstGlyphs(cacheFolder: string): Plugin {
  async function withSmallFace(face: string, id: string): Promise<string> {
    const [, file = ''] = /url\((\.\/files\/[\w-]+\.woff2)\)/.exec(face) ?? []
    const variable = file.includes('-wght-')
    const options = {
      targetFormat: 'woff2' as const,
      noHinting: true,
      ...(variable ? { variationAxes: { wght: { ...weights, default: weights.min } } } : {}),
    }
    const small = await subsetFont(readFileSync(resolve(dirname(id), file)), glyphs, options)
    mkdirSync(cacheFolder, { recursive: true })
    const smallFile = join(cacheFolder, basename(file).replace('-latin-', '-first-'))
    writeFileSync(smallFile, small)
    const smallFace = face
      .replace(/src: [^;]*;/, `src: url(${smallFile}) format('woff2');`)
      .replace(/unicode-range: [^;]*;/, `unicode-range: ${unicodeRange};`)
    // Of faces with the same weights the last one that has a sign counts for it.
    return `${face}\n${smallFace}`
  }
  return {
    name: 'first-glyphs',
    enforce: 'pre',
    apply: 'build',
    async transform(css, id) {
      if (!/@fontsource[\w-]*\/.*\.css$/.test(id)) return null
      const faces = css.match(latinFace) ?? []
      let out = css
      for (const face of faces) out = out.replace(face, await withSmallFace(face, id))
      return { code: out, map: null }
    },
  }
}
