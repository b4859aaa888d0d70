import { marked } from 'marked'
import { type GuidePage, guidePages } from './guidePages.ts'

const texts = import.meta.glob<string>('../../../../../docs/guide/[0-9]*.md', {
  query: '?raw',
  import: 'default',
  eager: true,
})
const pictures = import.meta.glob<string>('../../../../../docs/screenshots/*.png', {
  query: '?url',
  import: 'default',
  eager: true,
})

const fileName = (path: string): string => path.slice(path.lastIndexOf('/') + 1)
const byName = <T>(files: Readonly<Record<string, T>>) =>
  new Map(Object.entries(files).map(([path, value]) => [fileName(path), value]))
const textOf = byName(texts)
const pictureAt = byName(pictures)
const numbered = (page: GuidePage): string => `${String(guidePages.indexOf(page) + 1).padStart(2, '0')}-${page}.md`

/** The page that a link of the guide leads to. */
const pageOfFile = (file: string): GuidePage | undefined => guidePages.find((page) => numbered(page) === fileName(file))

/** A page of the guide as HTML, its links and pictures as they are found in the app. Its text is the app's own, and comes with it. */
export function guideHtml(page: GuidePage): string {
  const text = textOf.get(numbered(page))
  if (text === undefined) throw new Error(`the guide lacks ${page}`)
  return marked.parse(text, {
    async: false,
    walkTokens(token) {
      if (token.type === 'link') token.href = `/guide/${pageOfFile(token.href) ?? ''}`
      if (token.type === 'image') token.href = pictureAt.get(fileName(token.href)) ?? ''
    },
  })
}

/** What a page is called: its first line. */
export const guideTitle = (page: GuidePage): string => /^# (.+)$/m.exec(textOf.get(numbered(page)) ?? '')?.[1] ?? page
