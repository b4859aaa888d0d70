import { say } from '@truelay/core/say'
import { DomHandler, type Document, Element } from 'domhandler'
import { Parser } from 'htmlparser2'
import { drawingLimits, TooMuch } from '../drawing/index.ts'

const svgNamespace = 'http://www.w3.org/2000/svg'

/** A parser's time grows with the square of how deep elements lie in each other; what is no shape may lie deeper than shapes. */
const deepest = 10 * drawingLimits.depth

/** A drawing as its elements stand in it, or which element has no end. Throws TooMuch where elements lie in each other without end. */
export function parseXml(text: string): { readonly document: Document } | { readonly unended: string } {
  const handler = new DomHandler(null, { xmlMode: true })
  let unended: string | null = null
  /** What is open still has lost some of its inside. */
  let atEnd = false
  let depth = 0
  const parser = new Parser(
    {
      onparserinit: (own) => handler.onparserinit(own),
      onerror: (error) => handler.onerror(error),
      onopentag(name, attributes) {
        if (++depth > deepest) throw new TooMuch(say`elements nested without end`)
        handler.onopentag(name, attributes)
      },
      onclosetag(name, implied) {
        depth--
        if (atEnd && implied) unended ??= name
        handler.onclosetag()
      },
      ontext: (data) => handler.ontext(data),
      oncomment: (data) => handler.oncomment(data),
      oncommentend: () => handler.oncommentend(),
      oncdatastart: () => handler.oncdatastart(),
      oncdataend: () => handler.oncdataend(),
      onprocessinginstruction: (name, data) => handler.onprocessinginstruction(name, data),
    },
    { xmlMode: true },
  )
  parser.write(text)
  atEnd = true
  parser.end()
  handler.onend()
  return unended === null ? { document: handler.root } : { unended }
}

/** The name of an element of SVG without its prefix, in small letters; null where it belongs to something else. */
export function svgName(element: Element): string | null {
  const [prefix, name] = element.name.includes(':') ? element.name.split(':') : ['', element.name]
  if (prefix === '' || prefix === undefined) return (name ?? '').toLowerCase()
  const space = namespaceOf(element, prefix)
  return space === svgNamespace || (space === null && prefix === 'svg') ? (name ?? '').toLowerCase() : null
}

function namespaceOf(element: Element, prefix: string): string | null {
  for (let at: unknown = element; at instanceof Element; at = at.parent) {
    const own = at.attribs[`xmlns:${prefix}`]
    if (own !== undefined) return own
  }
  return null
}
