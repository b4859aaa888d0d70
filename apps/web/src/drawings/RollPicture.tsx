import { boundsOf, contains, type Vec2 } from '@truelay/core/geometry'
import { lying, type Nested, type NestPlacement, type NestRequest } from '@truelay/core/nest'
import { length, counted } from '@truelay/core/say'
import type { FreeRectangle } from '@truelay/core/stock'
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react'
import { useWords } from '../ui/words.ts'
import { areaPath } from './svgPath.ts'

/** Where a piece was put by hand. */
export type PutByHand = Pick<NestPlacement, 'xMm' | 'yMm' | 'turnDeg'>

interface RollPictureProps {
  readonly request: NestRequest
  readonly nested: Nested
  /** What a piece is called, and the short mark that stands on it. */
  readonly nameOf: (id: string) => { readonly name: string; readonly mark: string }
  /** What is put by of the film between the pieces. */
  readonly keeps?: FreeRectangle | null
  /** A piece was let go there; false: it cannot lie there and goes back. Left out while it is still being looked for. */
  readonly onPut?: ((index: number, at: PutByHand) => void) | undefined
}

interface Dragged {
  readonly index: number
  readonly from: Vec2
  readonly byMm: Vec2
}

const stepMm = 1
const longStepMm = 10

/** The beginning of a roll with its pieces as they will be cut, one to one in its frame; the roll’s end is at the left. */
export function RollPicture({ request, nested, nameOf, keeps = null, onPut }: RollPictureProps) {
  const t = useWords()
  const picture = useRef<SVGSVGElement>(null)
  const [dragged, setDragged] = useState<Dragged | null>(null)
  const { rollWidthMm, spoilt = [], pieces } = request
  const lengthMm = Math.max(nested.usedLengthMm * 1.04, rollWidthMm * 0.9)
  const [ruler, text] = [lengthMm * 0.04, lengthMm * 0.024]
  const byId = new Map(pieces.map((piece) => [piece.id, piece]))

  const inMm = ({ clientX, clientY }: PointerEvent): Vec2 => {
    const matrix = picture.current?.getScreenCTM()?.inverse()
    if (matrix === undefined) return [0, 0]
    const { x, y } = new DOMPoint(clientX, clientY).matrixTransform(matrix)
    return [x, -y]
  }
  const move = (index: number, change: Partial<PutByHand>) => {
    const placed = nested.placements[index]
    if (placed !== undefined) onPut?.(index, { ...placed, ...change })
  }
  const keyed = (index: number, event: KeyboardEvent) => {
    const placed = nested.placements[index]
    const piece = placed === undefined ? undefined : byId.get(placed.id)
    if (placed === undefined || piece === undefined) return
    const by = event.shiftKey ? longStepMm : stepMm
    const steps: Record<string, Vec2> = {
      ArrowLeft: [-by, 0],
      ArrowRight: [by, 0],
      ArrowUp: [0, by],
      ArrowDown: [0, -by],
    }
    const step = steps[event.key]
    if (step !== undefined) move(index, { xMm: placed.xMm + step[0], yMm: placed.yMm + step[1] })
    else if (event.key.toLowerCase() === 'r') move(index, turnedOn(piece.turns ?? [0], placed, piece.outline))
    else return
    event.preventDefault()
  }
  const ticks = Array.from({ length: Math.floor(lengthMm / tickMm) + 1 }, (_, k) => k * tickMm)
  return (
    <svg
      ref={picture}
      viewBox={`${-2 * text} ${-rollWidthMm - text} ${lengthMm + 4 * text} ${rollWidthMm + ruler + 2 * text}`}
      className="max-h-[58vh] w-full select-none lg:max-h-full"
      role="group"
      aria-label={t`${counted(nested.placements.length, '# piece', '# pieces')} on ${length(nested.usedLengthMm, 0)} of roll`}
    >
      <rect
        x={0}
        y={-rollWidthMm}
        // What is left of the roll, where that is less than the picture.
        width={Math.min(lengthMm, request.rollLengthMm ?? lengthMm)}
        height={rollWidthMm}
        fill="var(--paper)"
        stroke="var(--hair)"
        vectorEffect="non-scaling-stroke"
      />
      {spoilt.map(([from, to]) => (
        <rect
          key={from}
          x={from}
          y={-rollWidthMm}
          width={to - from}
          height={rollWidthMm}
          fill="var(--stop-tint)"
          stroke="var(--stop)"
          vectorEffect="non-scaling-stroke"
        />
      ))}
      {nested.placements.map((placed, index) => {
        const piece = byId.get(placed.id)
        if (piece === undefined) return null
        const by: Vec2 = dragged?.index === index ? dragged.byMm : [0, 0]
        const [outline = [], ...cutOuts] = lying(piece, { ...placed, xMm: placed.xMm + by[0], yMm: placed.yMm + by[1] })
        const { min, max } = boundsOf(outline)
        const { name, mark } = nameOf(placed.id)
        const size = Math.min(lengthMm * 0.045, 0.5 * Math.min(max[0] - min[0], max[1] - min[1]))
        const at = labelPlace(outline, cutOuts, min, max)
        return (
          <g
            key={`${placed.id} ${placed.copy}`}
            role="button"
            tabIndex={onPut === undefined ? -1 : 0}
            aria-label={t`${name}: drag it, move it with the arrows, turn it with R`}
            onKeyDown={(event) => keyed(index, event)}
            onPointerDown={(event) => {
              if (onPut === undefined) return
              event.currentTarget.setPointerCapture(event.pointerId)
              setDragged({ index, from: inMm(event), byMm: [0, 0] })
            }}
            onPointerMove={(event) => {
              if (dragged?.index !== index) return
              const [x, y] = inMm(event)
              setDragged({ ...dragged, byMm: [x - dragged.from[0], y - dragged.from[1]] })
            }}
            onPointerUp={() => {
              if (dragged?.index !== index) return
              setDragged(null)
              const [dx, dy] = dragged.byMm
              if (Math.hypot(dx, dy) > 0) move(index, { xMm: placed.xMm + dx, yMm: placed.yMm + dy })
            }}
            onPointerCancel={() => setDragged(null)}
            className={`outline-none ${onPut === undefined ? '' : 'cursor-move touch-none'} [&:focus-visible>path]:stroke-ink [&:focus-visible>path]:[stroke-width:3.5]`}
          >
            <path
              d={areaPath(outline, cutOuts)}
              fillRule="evenodd"
              fill="var(--film)"
              fillOpacity={dragged?.index === index ? 0.5 : 0.8}
              stroke="var(--petrol)"
              strokeWidth="1.6"
              vectorEffect="non-scaling-stroke"
              strokeLinejoin="round"
            />
            <text
              x={at[0]}
              y={-at[1] + size * 0.35}
              fontSize={size}
              fontWeight="700"
              textAnchor="middle"
              fill="var(--ink)"
            >
              {mark}
            </text>
          </g>
        )
      })}
      {keeps === null ? null : (
        <rect
          x={keeps.xMm}
          y={-keeps.yMm - keeps.widthMm}
          width={keeps.lengthMm}
          height={keeps.widthMm}
          fill="none"
          stroke="var(--amber)"
          strokeWidth="2"
          strokeDasharray="6 4"
          vectorEffect="non-scaling-stroke"
          pointerEvents="none"
        />
      )}
      <path
        d={`M${nested.usedLengthMm} ${text * 0.4}V${-rollWidthMm - text * 0.4}`}
        stroke="var(--ink)"
        strokeWidth="2.5"
        strokeDasharray="9 5"
        vectorEffect="non-scaling-stroke"
      />
      <g fill="var(--quiet)" fontSize={text} textAnchor="middle">
        {ticks.map((x) => (
          <g key={x}>
            <path
              d={`M${x} 0v${x % 500 === 0 ? text * 0.7 : text * 0.35}`}
              stroke="var(--quiet)"
              strokeWidth="1.2"
              vectorEffect="non-scaling-stroke"
            />
            {x % 500 === 0 ? (
              <text x={x} y={text * 1.75}>
                {t`${length(x, 0)}`}
              </text>
            ) : null}
          </g>
        ))}
      </g>
    </svg>
  )
}

const tickMm = 100

/** In the film, if there is film in the middle: else half way to its left side. */
function labelPlace(outline: readonly Vec2[], cutOuts: readonly (readonly Vec2[])[], min: Vec2, max: Vec2): Vec2 {
  const middle: Vec2 = [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2]
  const inFilm = (p: Vec2) => contains(outline, p) && !cutOuts.some((hole) => contains(hole, p))
  const shares = [0.5, 0.3, 0.7, 0.15, 0.85]
  const places = shares.flatMap((u) =>
    shares.map((v): Vec2 => [min[0] + u * (max[0] - min[0]), min[1] + v * (max[1] - min[1])]),
  )
  return places.find(inFilm) ?? middle
}

/** The next turn that its film allows, about the middle of its box. */
function turnedOn(turns: readonly number[], placed: NestPlacement, outline: readonly Vec2[]): PutByHand {
  const next = turns[(turns.indexOf(placed.turnDeg) + 1) % turns.length] ?? placed.turnDeg
  const middleOf = (at: NestPlacement): Vec2 => {
    const { min, max } = boundsOf(lying({ id: '', count: 1, outline }, at)[0] ?? [])
    return [(min[0] + max[0]) / 2, (min[1] + max[1]) / 2]
  }
  const [before, after] = [middleOf(placed), middleOf({ ...placed, turnDeg: next })]
  return { turnDeg: next, xMm: placed.xMm + before[0] - after[0], yMm: placed.yMm + before[1] - after[1] }
}
