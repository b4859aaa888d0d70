import { type Sentence, count, name as called, say, verbatim } from '@truelay/core/say'
import type { Vec2 } from '@truelay/core/geometry'
import SVGPathCommander from 'svg-path-commander'
import { type INode, parseSync } from 'svgson'
import {
  type Affine,
  after,
  apply,
  arcPoints,
  cubicPoints,
  curveToleranceMm,
  type Drawing,
  drawingCollector,
  drawingLimits,
  same,
  TooMuch,
} from '../drawing/index.ts'
import { type FileResult, read, unreadable } from '../result/index.ts'
import { readTransform } from './transform.ts'

const refuse = (why: Sentence, fix = say`Export it again as a plain SVG.`) =>
  unreadable('SVG_UNREADABLE', say`The SVG cannot be read: ${why}.`, fix)

const mmPer: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  q: 0.25,
}

const passedOver = new Set(['defs', 'metadata', 'title', 'desc', 'style', 'namedview', 'symbol', 'clippath', 'mask'])

/**
 * The lines of an SVG drawing, y turned up: paths with all their curves, lines, polygons, rectangles, circles,
 * ellipses, groups and uses with their transforms. Scripts, text, pictures and links outward are never looked at, only
 * counted as left out; entities and document types are refused before anything is parsed.
 */
export function readSvg(text: string): FileResult<Drawing> {
  if (text.length > drawingLimits.bytes)
    return refuse(say`it is larger than ${count(drawingLimits.bytes / 1e6)} MB`, say`Export the outline only.`)
  const bare = withoutText(text)
  if (bare === null) return refuse(say`a remark in it does not end`)
  const plain = withoutDoctype(bare)
  if (plain === null || /<!ENTITY/i.test(text))
    return refuse(say`it defines entities, which no pattern needs`, say`Export it again without them.`)
  if (longName.test(text)) return refuse(say`an element in it has a name without end`)
  const opened = text.match(/</g)?.length ?? 0
  if (opened > drawingLimits.elements)
    return refuse(say`it has far more elements than a pattern`, say`Export the outline only.`)
  let root: INode
  try {
    root = parseSync(plain)
  } catch (error) {
    return refuse(
      error instanceof Error ? verbatim((error.message.split('\n')[0] ?? '').slice(0, 120)) : say`it is no XML`,
    )
  }
  if (Array.isArray(root)) return refuse(say`it holds several drawings`, say`Export one of them.`)
  if (root.name.toLowerCase() !== 'svg') return refuse(say`it begins with <${called(root.name)}>, not <svg>`)
  try {
    return read(collect(root))
  } catch (error) {
    if (error instanceof TooMuch) return refuse(say`it has ${error.says}`, say`Check what was exported.`)
    return refuse(say`one of its shapes is broken`)
  }
}

/** The names of elements and attributes are short; the parser takes ever longer over one that does not end. */
const longName = /<[^\s<>/]{200}/

/** What a drawing carries that is no element, with its beginning and its end. */
const noElements = [
  ['<!--', '-->'],
  ['<![CDATA[', ']]>'],
  ['<?', '?>'],
] as const

/** Without remarks, plain text and instructions, over which the parser takes ever longer; null where one does not end. */
function withoutText(text: string): string | null {
  const kept: string[] = []
  let at = 0
  for (let from = text.indexOf('<'); from >= 0; from = text.indexOf('<', from)) {
    const kind = noElements.find(([begins]) => text.startsWith(begins, from))
    if (kind === undefined) {
      from++
      continue
    }
    const end = text.indexOf(kind[1], from + kind[0].length)
    if (end < 0) return null
    kept.push(text.slice(at, from))
    at = end + kind[1].length
    from = at
  }
  kept.push(text.slice(at))
  return kept.join('')
}

/** Without the line that names a document type; null where there are several, or one that defines something. */
function withoutDoctype(text: string): string | null {
  const from = text.search(/<!DOCTYPE/i)
  if (from < 0) return text
  const to = text.indexOf('>', from)
  const line = text.slice(from, to < 0 ? text.length : to)
  const rest = to < 0 ? '' : text.slice(to + 1)
  return to < 0 || line.includes('[') || /<!DOCTYPE/i.test(rest) ? null : text.slice(0, from) + rest
}

function collect(root: INode): Drawing {
  const into = drawingCollector()
  let walked = 0
  const unit = unitOf(root)
  const byId = new Map<string, INode>()
  const note = (node: INode, depth: number) => {
    if (depth > drawingLimits.depth * 2) throw new TooMuch(say`groups nested without end`)
    if (node.attributes.id) byId.set(node.attributes.id, node)
    for (const child of node.children) note(child, depth + 1)
  }
  note(root, 0)

  const walk = (node: INode, place: Affine, layers: readonly string[], depth: number): unknown => {
    if (depth > drawingLimits.depth) throw new TooMuch(say`groups nested without end`)
    if (++walked > drawingLimits.elements)
      throw new TooMuch(say`more than ${count(drawingLimits.elements)} shapes, those that are used again included`)
    const name = node.name.toLowerCase().replace(/^.*:/, '')
    if (node.type === 'text' || name === '') return
    if (passedOver.has(name)) return
    if (/display:\s*none/.test(node.attributes.style ?? '') || node.attributes.display === 'none') {
      into.leave(say`hidden shapes`)
      return
    }
    const own = readTransform(node.attributes.transform ?? '')
    if (own === null) {
      into.leave(say`shapes with a transform that cannot be read`)
      return
    }
    const here = after(place, own)
    const label = [node.attributes['inkscape:label'], node.attributes.class, node.attributes.id].filter(
      (word): word is string => word !== undefined && word !== '',
    )
    const inside = [...layers, ...label]
    const put = (points: readonly Vec2[], closed: boolean) =>
      into.line({ points: points.map((p) => upright(apply(here, p))), closed, layers: inside })
    const tolerance =
      curveToleranceMm / ((unit ?? 1) * Math.max(1e-9, Math.sqrt(Math.abs(here[0] * here[3] - here[1] * here[2]))))
    const n = (key: string) => Number.parseFloat(node.attributes[key] ?? '0')
    switch (name) {
      case 'svg':
      case 'g':
      case 'a':
      case 'switch':
        for (const child of node.children) walk(child, here, inside, depth + 1)
        return
      case 'use': {
        const target = byId.get((node.attributes.href ?? node.attributes['xlink:href'] ?? '').replace(/^#/, ''))
        if (target === undefined) return into.leave(say`references outward`)
        return walk(target, after(here, [1, 0, 0, 1, n('x'), n('y')]), inside, depth + 1)
      }
      case 'path':
        for (const { points, closed } of pathLines(node.attributes.d ?? '', tolerance)) put(points, closed)
        return
      case 'polygon':
      case 'polyline':
        return put(pairs(node.attributes.points ?? ''), name === 'polygon')
      case 'line':
        return put(
          [
            [n('x1'), n('y1')],
            [n('x2'), n('y2')],
          ],
          false,
        )
      case 'rect':
        return put(rectangle(n('x'), n('y'), n('width'), n('height'), n('rx') || n('ry'), tolerance), true)
      case 'circle':
      case 'ellipse': {
        const rx = name === 'circle' ? n('r') : n('rx')
        const ry = name === 'circle' ? rx : n('ry')
        const middle: Vec2 = [n('cx'), n('cy')]
        if (inside.some((word) => /mark|reference/i.test(word)))
          return into.point({ at: upright(apply(here, middle)), name: titleOf(node), layers: inside })
        if (!(rx > 0 && ry > 0)) return
        return put(arcPoints(middle, rx, 0, 2 * Math.PI, tolerance, { ratio: ry / rx, turn: 0 }).slice(0, -1), true)
      }
      case 'script':
        return into.leave(say`scripts`)
      case 'text':
      case 'tspan':
        return into.leave(say`texts`)
      case 'image':
        return into.leave(say`pictures`)
      default:
        return into.leave(say`<${called(name)}> elements`)
    }
  }
  walk(root, same, [], 0)
  return into.finish(unit)
}

const upright = ([x, y]: Vec2): Vec2 => [x, -y]

function titleOf(node: INode): string | null {
  const title = node.children.find((child) => child.name === 'title')
  const text = title?.children
    .map((child) => child.value)
    .join('')
    .trim()
  return text ? unescaped(text) : (node.attributes.id ?? null)
}

const unescaped = (text: string) =>
  text.replace(/&(lt|gt|quot|apos|amp);/g, (_, name: 'lt' | 'gt' | 'quot' | 'apos' | 'amp') => {
    return { lt: '<', gt: '>', quot: '"', apos: "'", amp: '&' }[name]
  })

/** Millimetres in one unit of the drawing, from the size that the root states in a real unit; null where it does not. */
function unitOf({ attributes }: INode): number | null {
  const box = pairs(attributes.viewBox ?? '')
  const size = (attributes.width ?? '').trim().match(/^([\d.]+)\s*(mm|cm|in|pt|pc|q)$/i)
  const perUnit = size ? mmPer[(size[2] ?? '').toLowerCase()] : undefined
  if (size === null || perUnit === undefined) return null
  const widthMm = Number(size[1]) * perUnit
  const boxWidth = box[1]?.[0]
  if (boxWidth === undefined) return null
  return boxWidth > 0 && widthMm > 0 ? widthMm / boxWidth : null
}

function pairs(text: string): Vec2[] {
  const numbers = (text.match(/[-+]?(?:\d*\.\d+|\d+\.?)(?:e[-+]?\d+)?/gi) ?? []).map(Number)
  const points: Vec2[] = []
  for (let i = 0; i + 1 < numbers.length; i += 2) points.push([numbers[i] ?? 0, numbers[i + 1] ?? 0])
  return points
}

function rectangle(x: number, y: number, w: number, h: number, radius: number, tolerance: number): Vec2[] {
  const r = Math.min(Math.max(0, radius), w / 2, h / 2)
  const corner = (cx: number, cy: number, from: number) =>
    r === 0 ? [[cx, cy] as Vec2] : arcPoints([cx, cy], r, from, from + Math.PI / 2, tolerance)
  return [
    ...corner(x + w - r, y + r, -Math.PI / 2),
    ...corner(x + w - r, y + h - r, 0),
    ...corner(x + r, y + h - r, Math.PI / 2),
    ...corner(x + r, y + r, Math.PI),
  ]
}

/** Every stretch of a path as a fine line. */
function pathLines(d: string, tolerance: number): { points: Vec2[]; closed: boolean }[] {
  if (d.trim() === '') return []
  const lines: { points: Vec2[]; closed: boolean }[] = []
  let points: Vec2[] = []
  let closed = false
  const end = () => {
    if (points.length > 1) lines.push({ points, closed })
    points = []
    closed = false
  }
  for (const segment of new SVGPathCommander(d).toCurve().segments) {
    const n = segment.slice(1).map(Number)
    if (segment[0] === 'M') {
      end()
      points = [[n[0] ?? 0, n[1] ?? 0]]
    } else if (segment[0] === 'C') {
      const from = points[points.length - 1] ?? [0, 0]
      points.push(
        ...cubicPoints(from, [n[0] ?? 0, n[1] ?? 0], [n[2] ?? 0, n[3] ?? 0], [n[4] ?? 0, n[5] ?? 0], tolerance),
      )
    } else if (segment[0] === 'Z') {
      closed = true
      const first = points[0]
      end()
      if (first !== undefined) points = [first]
    }
  }
  end()
  return lines
}
