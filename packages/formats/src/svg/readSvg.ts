import type { Vec2 } from '@truelay/core/geometry'
import { count, name as called, say, type Sentence } from '@truelay/core/say'
import { type LeftOut, leftOut, unknownKind } from '../drawing/leftOut.ts'
import { type Document, Element } from 'domhandler'
import { textContent } from 'domutils'
import {
  type Affine,
  after,
  apply,
  arcPoints,
  curveToleranceMm,
  type Drawing,
  type DrawingCollector,
  drawingCollector,
  drawingLimits,
  mostScale,
  same,
  TooMuch,
} from '../drawing/index.ts'
import { meansRole } from '../pattern/roleByName.ts'
import { type FileResult, read, unreadable } from '../result/index.ts'
import { clipTo } from './clipTo.ts'
import { type OutlineLine, pairs, pathLines, rectangle } from './outlines.ts'
import { parseXml, svgName } from './parseXml.ts'
import { Styles } from './styles.ts'
import { readTransform } from './transform.ts'
import { type Box, innerPlace, type Page, pageOf, pixelsOf } from './viewport.ts'

const refuse = (why: Sentence, fix = say`Export it again as a plain SVG.`) =>
  unreadable('SVG_UNREADABLE', say`The SVG cannot be read: ${why}.`, fix)

/** What is only there to be used by something else, or says nothing of shapes. */
const passedOver = new Set([
  'defs',
  'metadata',
  'title',
  'desc',
  'style',
  'symbol',
  'clippath',
  'mask',
  'marker',
  'pattern',
  'lineargradient',
  'radialgradient',
  'filter',
  'view',
])
const passedBy: Readonly<Record<string, LeftOut>> = {
  script: leftOut.scripts,
  text: leftOut.texts,
  tspan: leftOut.texts,
  image: leftOut.pictures,
}

/**
 * The lines of an SVG drawing that a browser would show, y turned up: paths with all their curves, lines, polygons, rectangles, circles,
 * ellipses, groups, symbols and inner drawings with their transforms, cut to their clip paths; styles, visibility and sizes are followed. Scripts,
 * text, pictures and links outward are never looked at, only counted as left out; entities are refused before anything is parsed.
 */
export function readSvg(text: string): FileResult<Drawing> {
  if (text.length > drawingLimits.bytes)
    return refuse(say`it is larger than ${count(drawingLimits.bytes / 1e6)} MB`, say`Export the outline only.`)
  if (/<!ENTITY/i.test(text))
    return refuse(say`it defines entities, which no pattern needs`, say`Export it again without them.`)
  const opened = text.match(/</g)?.length ?? 0
  if (opened > 2.5 * drawingLimits.elements)
    return refuse(say`it has far more elements than a pattern`, say`Export the outline only.`)
  try {
    return drawnIn(parseXml(text))
  } catch (error) {
    if (error instanceof TooMuch) return refuse(say`it has ${error.says}`, say`Check what was exported.`)
    return refuse(say`one of its shapes is broken`)
  }
}

function drawnIn(parsed: ReturnType<typeof parseXml>): FileResult<Drawing> {
  if ('unended' in parsed) return refuse(say`<${called(parsed.unended.slice(0, 40))}> in it does not end`)
  const roots = parsed.document.children.filter((node): node is Element => node instanceof Element)
  const [root] = roots
  if (root === undefined) return refuse(say`it is no XML`)
  if (roots.length > 1) return refuse(say`it holds several drawings`, say`Export one of them.`)
  if (svgName(root) !== 'svg') return refuse(say`it begins with <${called(root.name.slice(0, 40))}>, not <svg>`)
  return read(new Drawn(parsed.document, root).drawing())
}

/** What a shape takes over from what it lies in. */
interface Place {
  readonly at: Affine
  readonly layers: readonly string[]
  readonly depth: number
  /** Of the viewport that shares are counted of. */
  readonly size: Pick<Box, 'width' | 'height'>
  readonly visible: boolean
  readonly filled: boolean
  readonly stroked: boolean
  /** Whether anything said what it is filled with: a line that nobody fills is still a line. */
  readonly fillSaid: boolean
  /** Each a set of closed shapes, as they lie in the drawing. */
  readonly clips: readonly (readonly OutlineLine[])[]
}

const nothing = new Set(['none', 'transparent'])
const alongWidth: ReadonlySet<string> = new Set(['x', 'x1', 'x2', 'cx', 'rx', 'width'])
const alongHeight: ReadonlySet<string> = new Set(['y', 'y1', 'y2', 'cy', 'ry', 'height'])

class Drawn {
  private readonly into: DrawingCollector = drawingCollector()
  private readonly byId = new Map<string, Element>()
  private readonly styles: Styles
  private readonly page: Page
  private walked = 0

  constructor(
    document: Document,
    private readonly root: Element,
  ) {
    const sheets: Element[] = []
    const note = (element: Element, depth: number): void => {
      if (depth > drawingLimits.depth * 2) throw new TooMuch(say`groups nested without end`)
      if (element.attribs.id !== undefined && !this.byId.has(element.attribs.id))
        this.byId.set(element.attribs.id, element)
      if (svgName(element) === 'style') sheets.push(element)
      for (const child of inside(element)) note(child, depth + 1)
    }
    note(root, 0)
    this.styles = new Styles(document, sheets)
    this.page = pageOf(root)
  }

  drawing(): Drawing {
    const { page, place } = this.page
    const shown: Place = {
      at: place,
      layers: [],
      depth: 0,
      size: page ?? { width: 100, height: 100 },
      visible: true,
      filled: true,
      stroked: false,
      fillSaid: false,
      clips: [],
    }
    const own = this.within(this.root, shown)
    // The name of the whole drawing is none of a layer.
    if (own !== null) for (const child of inside(this.root)) this.walk(child, { ...own, layers: [] })
    if (this.styles.passedOver > 0) this.into.leave(leftOut.styles, this.styles.passedOver)
    const { mmPerUnit, likelyMmPerUnit } = this.page
    const frame = page === null ? null : { ...page, y: -page.y - page.height }
    return { ...this.into.finish(mmPerUnit), likelyMmPerUnit, page: frame }
  }

  /** What an element passes on to its inside; null where it cannot be seen, or not be placed. */
  private within(element: Element, outer: Place): Place | null {
    const says = (property: string) => this.styles.own(element, property)?.toLowerCase()
    if (says('display') === 'none' || Number(says('opacity') ?? 1) === 0) {
      this.into.leave(leftOut.hidden)
      return null
    }
    const own = readTransform(this.styles.own(element, 'transform') ?? '')
    if (own === null) {
      this.into.leave(leftOut.transforms)
      return null
    }
    const visibility = says('visibility')
    const [fill, stroke] = [says('fill'), says('stroke')]
    const at = after(outer.at, own)
    const clips = this.clipOf(
      says('clip-path') === undefined ? null : (this.styles.own(element, 'clip-path') ?? null),
      at,
      outer.size,
    )
    const mask = says('mask')
    if (mask !== undefined && mask !== 'none') this.into.leave(leftOut.masks)
    return {
      ...outer,
      at,
      visible: visibility === undefined || visibility === 'inherit' ? outer.visible : visibility === 'visible',
      filled:
        Number(says('fill-opacity') ?? 1) !== 0 &&
        (fill === undefined || fill === 'inherit' ? outer.filled : !nothing.has(fill)),
      fillSaid: outer.fillSaid || fill !== undefined,
      stroked:
        Number(says('stroke-opacity') ?? 1) !== 0 &&
        Number.parseFloat(says('stroke-width') ?? '1') !== 0 &&
        (stroke === undefined || stroke === 'inherit' ? outer.stroked : !nothing.has(stroke)),
      layers: [...outer.layers, ...namesOf(element)],
      clips: clips === null ? outer.clips : [...outer.clips, clips],
    }
  }

  private walk(element: Element, outer: Place): unknown {
    if (outer.depth > drawingLimits.depth) throw new TooMuch(say`groups nested without end`)
    if (++this.walked > drawingLimits.elements)
      throw new TooMuch(say`more than ${count(drawingLimits.elements)} shapes, those that are used again included`)
    const kind = svgName(element)
    if (kind === null || passedOver.has(kind)) return
    const left = passedBy[kind]
    if (left !== undefined) return this.into.leave(left)
    const place = this.within(element, { ...outer, depth: outer.depth + 1 })
    if (place === null) return
    switch (kind) {
      case 'g':
      case 'a':
        for (const child of inside(element)) this.walk(child, place)
        return
      case 'switch': {
        const first = inside(element).find((child) => svgName(child) !== null)
        return first === undefined ? undefined : this.walk(first, place)
      }
      case 'svg':
        return this.inner(element, place)
      case 'use':
        return this.use(element, place)
      default:
        return this.shape(element, kind, place)
    }
  }

  private inner(
    element: Element,
    place: Place,
    sized: { width?: string | undefined; height?: string | undefined } = {},
  ): void {
    const { place: own, size } = innerPlace(element, place.size, sized)
    for (const child of inside(element)) this.walk(child, { ...place, at: after(place.at, own), size })
  }

  private use(element: Element, place: Place): unknown {
    const link = element.attribs.href ?? element.attribs['xlink:href'] ?? ''
    const target = link.startsWith('#') ? this.byId.get(link.slice(1)) : undefined
    if (target === undefined) return this.into.leave(leftOut.outward)
    const n = this.numbersOf(element, place.size)
    const at = after(place.at, [1, 0, 0, 1, n('x'), n('y')])
    const kind = svgName(target)
    if (kind !== 'symbol' && kind !== 'svg') return this.walk(target, { ...place, at })
    const own = this.within(target, { ...place, at })
    const { width, height } = element.attribs
    return own === null ? undefined : this.inner(target, own, { width, height })
  }

  private shape(element: Element, kind: string, place: Place): unknown {
    const tolerance = this.toleranceAt(place.at)
    const n = this.numbersOf(element, place.size)
    if ((kind === 'circle' || kind === 'ellipse') && place.layers.some((word) => meansRole(word) === 'mark'))
      return this.into.point({
        at: upright(apply(place.at, [n('cx'), n('cy')])),
        name: titleOf(element),
        layers: place.layers,
      })
    const lines = this.linesOf(element, kind, tolerance, place.size)
    if (lines === null) return this.into.leave(unknownKind(element.name.slice(0, 40)))
    if (!place.visible || (place.fillSaid && !place.filled && !place.stroked)) {
      if (lines.length > 0) this.into.leave(leftOut.hidden)
      return
    }
    const laid = lines.map(({ points, closed }) => ({ points: points.map((p) => apply(place.at, p)), closed }))
    const kept = place.clips.reduce<readonly OutlineLine[]>(clipTo, laid)
    if (place.clips.length > 0 && kept.length === 0) this.into.leave(leftOut.outsideClip)
    for (const { points, closed } of kept) this.into.line({ points: points.map(upright), closed, layers: place.layers })
    return
  }

  /** The lines of one shape in its own units; null where its kind is not known. */
  private linesOf(element: Element, kind: string, tolerance: number, size: Place['size']): OutlineLine[] | null {
    const n = this.numbersOf(element, size)
    switch (kind) {
      case 'path':
        return pathLines(element.attribs.d ?? '', tolerance)
      case 'polygon':
      case 'polyline':
        return [{ points: pairs(element.attribs.points ?? ''), closed: kind === 'polygon' }]
      case 'line':
        return [
          {
            points: [
              [n('x1'), n('y1')],
              [n('x2'), n('y2')],
            ],
            closed: false,
          },
        ]
      case 'rect': {
        const radius = (key: string) => (Number.isFinite(n(key, Number.NaN)) ? n(key) : null)
        const box = { x: n('x'), y: n('y'), width: n('width'), height: n('height'), rx: radius('rx'), ry: radius('ry') }
        return box.width > 0 && box.height > 0 ? [{ points: rectangle(box, tolerance), closed: true }] : []
      }
      case 'circle':
      case 'ellipse': {
        const rx = kind === 'circle' ? n('r') : n('rx')
        const ry = kind === 'circle' ? rx : n('ry')
        if (!(rx > 0 && ry > 0)) return []
        const whole = arcPoints([n('cx'), n('cy')], rx, 0, 2 * Math.PI, tolerance, { ratio: ry / rx, turn: 0 })
        return [{ points: whole.slice(0, -1), closed: true }]
      }
      default:
        return null
    }
  }

  /** Lengths of an element, which a style may say as well as an attribute; shares are of the viewport, across it for a radius. */
  private numbersOf(element: Element, { width, height }: Place['size']) {
    return (key: string, otherwise = 0): number => {
      const across = Math.hypot(width, height) / Math.SQRT2
      const whole = alongWidth.has(key) ? width : alongHeight.has(key) ? height : across
      return pixelsOf(this.styles.own(element, key), whole) ?? otherwise
    }
  }

  /** Where a file does not say its unit it may be as large as an inch. */
  private toleranceAt(at: Affine): number {
    return curveToleranceMm / ((this.page.mmPerUnit ?? 25.4) * Math.max(1e-9, mostScale(at)))
  }

  /** The shapes that a clip path lets through, as they lie in the drawing; null where there is none, or it cannot be followed. */
  private clipOf(value: string | null, at: Affine, size: Place['size']): readonly OutlineLine[] | null {
    if (value === null || value === 'none') return null
    const path = this.byId.get(value.match(/^url\(["']?#([^"')]+)["']?\)$/)?.[1] ?? '')
    if (path === undefined || svgName(path) !== 'clippath' || path.attribs.clipPathUnits === 'objectBoundingBox') {
      this.into.leave(leftOut.clipPaths)
      return null
    }
    const whole = after(at, readTransform(path.attribs.transform ?? '') ?? same)
    return inside(path).flatMap((child) => {
      const own = readTransform(this.styles.own(child, 'transform') ?? '')
      const lines = own === null ? null : this.linesOf(child, svgName(child) ?? '', this.toleranceAt(whole), size)
      if (own === null || lines === null) return []
      const place = after(whole, own)
      return lines.map(({ points }) => ({ points: points.map((p) => apply(place, p)), closed: true }))
    })
  }
}

const inside = (element: Element): Element[] =>
  element.children.filter((node): node is Element => node instanceof Element)

const upright = ([x, y]: Vec2): Vec2 => [x, -y]

/** The name of a group is a layer; that of a single shape only where it says what the shape is: programs give every shape an id. */
function namesOf(element: Element): string[] {
  const { class: group, id } = element.attribs
  const label = element.attribs['inkscape:label']
  const names = [label, group, id].filter((word): word is string => word !== undefined && word !== '')
  return inside(element).length > 0 && svgName(element) !== 'path'
    ? names.slice(0, label === undefined ? names.length : 1)
    : names.filter((word) => meansRole(word) !== null)
}

function titleOf(element: Element): string | null {
  const title = inside(element).find((child) => svgName(child) === 'title')
  const text = title === undefined ? '' : textContent(title).trim()
  return text === '' ? (element.attribs.id ?? null) : text
}
