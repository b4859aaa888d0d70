import { type Affine, after, same } from '../drawing/index.ts'

/** The transform attribute of SVG 2, section 8.5; null where it cannot be read. */
export function readTransform(text: string): Affine | null {
  let all = same
  if (text.trim() === 'none') return same
  const rest = text.replace(/([a-zA-Z]+)\s*\(([^)]*)\)/g, (_, name: string, inside: string) => {
    const n = inside
      .trim()
      .split(/[\s,]+/)
      .filter((word) => word !== '')
      // A style sheet writes units: pixels and degrees mean what the bare numbers do.
      .map((word) => Number(word.replace(/(px|deg)$/, '')))
    const one = n.every(Number.isFinite) ? step(name, n) : null
    if (one === null) return '?'
    all = after(all, one)
    return ''
  })
  return /^[\s,]*$/.test(rest) ? all : null
}

function step(name: string, n: readonly number[]): Affine | null {
  const [a = 0, b = 0, c = 0] = n
  const turn = (a * Math.PI) / 180
  switch (name) {
    case 'matrix':
      return n.length === 6 ? (n as unknown as Affine) : null
    case 'translate':
      return [1, 0, 0, 1, a, b]
    case 'scale':
      return [a, 0, 0, n.length > 1 ? b : a, 0, 0]
    case 'rotate': {
      const spin: Affine = [Math.cos(turn), Math.sin(turn), -Math.sin(turn), Math.cos(turn), 0, 0]
      return after(after([1, 0, 0, 1, b, c], spin), [1, 0, 0, 1, -b, -c])
    }
    case 'translateX':
      return [1, 0, 0, 1, a, 0]
    case 'translateY':
      return [1, 0, 0, 1, 0, a]
    case 'skewX':
      return [1, 0, Math.tan(turn), 1, 0, 0]
    case 'skewY':
      return [1, Math.tan(turn), 0, 1, 0, 0]
    default:
      return null
  }
}
