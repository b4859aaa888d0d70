import type { Element } from 'domhandler'
import type { Affine } from '../drawing/index.ts'

export const mmPerPx = 25.4 / 96

const mmPer: Readonly<Record<string, number>> = {
  mm: 1,
  cm: 10,
  in: 25.4,
  pt: 25.4 / 72,
  pc: 25.4 / 6,
  q: 0.25,
}

/** A length as SVG writes it. */
interface SvgLength {
  readonly px: number
  /** A share of what is around, and no length. */
  readonly share: boolean
  /** Where its unit is one of the world. */
  readonly mm: number | null
}

/** A length in pixels, or of a share what it is of a whole; null where it is none. */
export function pixelsOf(text: string | undefined, whole: number): number | null {
  const length = lengthOf(text)
  return length === null ? null : length.share ? length.px * whole : length.px
}

function lengthOf(text: string | undefined): SvgLength | null {
  const found = (text ?? '').trim().match(/^([-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?)\s*(mm|cm|in|pt|pc|q|px|%)?$/i)
  if (found === null) return null
  const unit = (found[2] ?? 'px').toLowerCase()
  const real = mmPer[unit]
  const value = Number(found[1])
  if (unit === '%') return { px: value / 100, share: true, mm: null }
  return real === undefined
    ? { px: value, share: false, mm: null }
    : { px: (value * real) / mmPerPx, share: false, mm: value * real }
}

export interface Box {
  readonly x: number
  readonly y: number
  readonly width: number
  readonly height: number
}

export function boxOf(text: string | undefined): Box | null {
  const [x, y, width, height, more] = (text ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number)
  if (x === undefined || y === undefined || width === undefined || height === undefined || more !== undefined)
    return null
  return [x, y, width, height].every(Number.isFinite) && width > 0 && height > 0 ? { x, y, width, height } : null
}

/** How a box of user units is laid into a viewport (SVG 2, section 8.2). */
function fitted(box: Box, { width, height }: Pick<Box, 'width' | 'height'>, how: string): Affine {
  const [align = 'xMidYMid', cover] = how.trim() === '' ? [] : how.trim().split(/\s+/)
  let [sx, sy] = [width / box.width, height / box.height]
  if (align !== 'none') {
    const both = cover === 'slice' ? Math.max(sx, sy) : Math.min(sx, sy)
    sx = both
    sy = both
  }
  const place = (word: string, room: number) => (word === 'Mid' ? room / 2 : word === 'Max' ? room : 0)
  const dx = align === 'none' ? 0 : place(align.slice(1, 4), width - box.width * sx)
  const dy = align === 'none' ? 0 : place(align.slice(5, 8), height - box.height * sy)
  return [sx, 0, 0, sy, dx - box.x * sx, dy - box.y * sy]
}

/** What the outermost svg says of its size: how its units lie, and how large one of them is. */
export interface Page {
  /** User units as drawn, with another aspect where the drawing is squeezed. */
  readonly place: Affine
  /** Null where only pixels say it. */
  readonly mmPerUnit: number | null
  /** As drawing programs mean it where no real unit is stated. */
  readonly likelyMmPerUnit: number
  /** In user units. */
  readonly page: Box | null
}

export function pageOf({ attribs }: Element): Page {
  const box = boxOf(attribs.viewBox)
  const [width, height] = [lengthOf(attribs.width), lengthOf(attribs.height)].map((one) =>
    one === null || one.share || one.px <= 0 ? null : one,
  )
  const stated = (width ?? height)?.mm != null
  if (box === null) {
    const page = width == null || height == null ? null : { x: 0, y: 0, width: width.px, height: height.px }
    return { place: [1, 0, 0, 1, 0, 0], mmPerUnit: stated ? mmPerPx : null, likelyMmPerUnit: mmPerPx, page }
  }
  // In millimetres where the file says so, else in pixels.
  const of = (length: SvgLength) => (stated ? (length.mm ?? length.px * mmPerPx) : length.px)
  const size = {
    width: width != null ? of(width) : height != null ? (of(height) * box.width) / box.height : box.width,
    height: height != null ? of(height) : width != null ? (of(width) * box.height) / box.width : box.height,
  }
  const [sx, , , sy] = fitted(box, size, attribs.preserveAspectRatio ?? '')
  return {
    place: [1, 0, 0, sy / sx, 0, 0],
    mmPerUnit: stated ? sx : null,
    likelyMmPerUnit: stated ? sx : sx * mmPerPx,
    page: { ...box, y: (box.y * sy) / sx, height: (box.height * sy) / sx },
  }
}

/** Where an inner svg, or a symbol that is used, lies in what is around it; `around` in the units around. */
export function innerPlace(
  { attribs }: Element,
  around: Pick<Box, 'width' | 'height'>,
  sized: { readonly width?: string | undefined; readonly height?: string | undefined } = {},
): { readonly place: Affine; readonly size: Pick<Box, 'width' | 'height'> } {
  const along = (text: string | undefined, whole: number, otherwise: number) => pixelsOf(text, whole) ?? otherwise
  const x = along(attribs.x, around.width, 0)
  const y = along(attribs.y, around.height, 0)
  const size = {
    width: along(sized.width ?? attribs.width, around.width, around.width),
    height: along(sized.height ?? attribs.height, around.height, around.height),
  }
  const box = boxOf(attribs.viewBox)
  if (box === null) return { place: [1, 0, 0, 1, x, y], size }
  const [sx, b, c, sy, e, f] = fitted(box, size, attribs.preserveAspectRatio ?? '')
  return { place: [sx, b, c, sy, e + x, f + y], size: box }
}
