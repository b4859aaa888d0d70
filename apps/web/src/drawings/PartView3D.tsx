import { useWords } from '../ui/words.ts'
import type { PartSurface } from '@truelay/core/form'
import { type PlaceOnMesh, triangleLocator, type Vec2 } from '@truelay/core/geometry'
import type { Pull } from '@truelay/core/lay'
import { OrbitControls } from '@react-three/drei/core/OrbitControls'
import { Canvas, type ThreeEvent, useFrame, useThree } from '@react-three/fiber'
import { type RefObject, useCallback, useEffect, useMemo, useRef } from 'react'
import { BufferAttribute, BufferGeometry, DoubleSide, Vector3 } from 'three'
import { eachClearOf } from './clearOf.ts'
import { inSpace } from './placeOnSurface.ts'
import { CutLine, type FilmProgress, FilmOnForm } from './FilmOnForm.tsx'
import { dense } from './dense.ts'
import { heatColors } from './heatColors.ts'
import { vertexColors } from './surfaceColors.ts'

export interface FormAnchor {
  readonly number: number
  readonly onForm: Vec2
}

interface PartView3DProps {
  readonly surface: PartSurface
  readonly stretch: Float64Array
  readonly full: number
  readonly anchors: readonly FormAnchor[]
  readonly pulls: readonly Pull[]
  readonly lines: readonly (readonly Vec2[])[]
  readonly pointed: PlaceOnMesh | null
  readonly onPoint: (place: PlaceOnMesh | null) => void
  /** Relief cuts, from the rim inward on the drawing. */
  readonly cuts?: readonly { readonly along: readonly Vec2[] }[] | undefined
  /** Where heat goes, 0 to 1 by vertex, drawn in place of the stretch. */
  readonly heat?: Float64Array | undefined
  /** How far the film lies, while an order is played. */
  readonly progress?: FilmProgress | undefined
  /** Places that can be chosen, by their letters. */
  readonly places?: readonly FormPlace[] | undefined
  /** A spot was tapped; turning the part is no tap. */
  readonly onPick?: ((place: PlaceOnMesh) => void) | undefined
}

export interface FormPlace {
  readonly letter: string
  readonly onForm: Vec2
}

/** A finger that moves further than this turns the part, px. */
const tapPx = 8

/** A colour of the theme, for what the renderer draws. */
const themeColor = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()

/** The part in space with its stretch map, anchors and pulls; drawn only when something changes. */
export function PartView3D(props: PartView3DProps) {
  const t = useWords()
  const { surface } = props
  const size = useMemo(() => sizeOf(surface), [surface])
  const camera = useMemo(
    () => ({
      position: [-0.42 * size.radius, -1.35 * size.radius, 2.6 * size.radius] as [number, number, number],
      up: [0, 0.35, 1] as [number, number, number],
      fov: 36,
      near: size.radius / 50,
      far: size.radius * 12,
    }),
    [size],
  )
  const overlay = useRef<HTMLDivElement>(null)
  const onSurface = useOnSurface(surface)
  const labels = labelsOf(props, onSurface, size.radius)
  return (
    <div className="relative size-full overflow-hidden">
      <Canvas
        flat
        frameloop="demand"
        dpr={[1, 1.5]}
        camera={camera}
        onPointerMissed={() => props.onPoint(null)}
        role="img"
        aria-label={t`The part in space; drag to turn it`}
      >
        <ambientLight intensity={2.2} />
        <directionalLight position={[-size.radius, size.radius * 1.2, size.radius * 2.4]} intensity={1.1} />
        <group position={[-size.middle[0], -size.middle[1], -size.middle[2]]}>
          <Surface {...props} />
          <Lines {...props} />
          <Marks {...props} radius={size.radius} onSurface={onSurface} />
          {(props.cuts ?? []).map((cut, i) => (
            <CutLine
              key={`${cut.along[0]?.join()}-${i}`}
              along={cut.along}
              radius={size.radius}
              onSurface={onSurface}
            />
          ))}
          {props.progress === undefined ? null : (
            <FilmOnForm progress={props.progress} radius={size.radius} onSurface={onSurface} />
          )}
          <LabelsFollow labels={labels} overlay={overlay} middle={size.middle} />
        </group>
        <StandBack />
        <OrbitControls
          makeDefault
          enablePan={false}
          enableDamping={false}
          minDistance={size.radius * 0.8}
          maxDistance={size.radius * 5}
        />
        <Redraw on={props} />
      </Canvas>
      <div ref={overlay} className="pointer-events-none absolute inset-0" aria-hidden="true">
        {labels.map((label) => (
          <span key={label.key} className="label-strong absolute left-0 top-0 will-change-transform">
            {label.look === 'place' ? (
              <span className="block -translate-x-1/2 -translate-y-1/2 rounded-sm bg-paper/80 px-1 text-note text-ink">
                {label.text}
              </span>
            ) : label.look === 'anchor' ? (
              <span className="flex size-7 -translate-x-1/2 -translate-y-1/2 items-center justify-center rounded-full border-2 border-petrol bg-paper text-note text-petrol">
                {label.text}
              </span>
            ) : (
              <span className="block -translate-x-1/2 -translate-y-1/2 bg-paper px-1 text-body text-ink">
                {label.text}
              </span>
            )}
          </span>
        ))}
      </div>
    </div>
  )
}

interface PartLabel {
  readonly key: string
  readonly text: string
  readonly look: 'anchor' | 'pull' | 'place'
  readonly at: Vector3
}

type OnSurface = (p: Vec2) => [number, number, number] | null

/** Numbers of the anchors and letters of the pulls and places, each with its place on the part. */
function labelsOf({ anchors, pulls, places = [] }: PartView3DProps, onSurface: OnSurface, radius: number): PartLabel[] {
  const place = (key: string, text: string, look: PartLabel['look'], p: Vec2, above: number): PartLabel[] => {
    const at = onSurface(p)
    return at === null ? [] : [{ key, text, look, at: new Vector3(at[0], at[1], at[2] + above) }]
  }
  return [
    ...anchors.flatMap((a) => place(`anchor-${a.number}`, String(a.number), 'anchor', a.onForm, 0)),
    ...pulls.flatMap((p) => place(`pull-${p.letter}`, p.letter, 'pull', p.at, radius / 12)),
    ...places.flatMap((p) => place(`place-${p.letter}`, p.letter, 'place', p.onForm, 0)),
  ]
}

/** Moves each label to where its place on the part is seen, in every frame that is drawn. */
function LabelsFollow({
  labels,
  overlay,
  middle,
}: {
  readonly labels: readonly PartLabel[]
  readonly overlay: RefObject<HTMLDivElement | null>
  readonly middle: readonly [number, number, number]
}) {
  useFrame(({ camera, size }) => {
    const spans = overlay.current?.children
    if (spans === undefined) return
    const seen = labels.map((label): Vec2 => {
      const at = label.at
        .clone()
        .sub(new Vector3(...middle))
        .project(camera)
      return [((at.x + 1) * size.width) / 2, ((1 - at.y) * size.height) / 2]
    })
    const of = (look: PartLabel['look']) => seen.filter((_, i) => labels[i]?.look === look)
    const letters = eachClearOf(of('pull'), of('anchor'))
    let letter = 0
    labels.forEach(({ look }, i) => {
      const span = spans[i]
      const at = look === 'pull' ? letters[letter++] : seen[i]
      if (!(span instanceof HTMLElement) || at === undefined) return
      span.style.transform = `translate(${at[0]}px, ${at[1]}px)`
    })
  })
  return null
}

/** A place on the surface for a spot of the drawing; spots on the rim move inward until they are found. */
function useOnSurface(surface: PartSurface): OnSurface {
  const locate = useMemo(() => triangleLocator(surface.plan, surface.mesh.triangle), [surface])
  const middle: Vec2 = useMemo(() => {
    const { plan } = surface
    let x = 0
    let y = 0
    for (let i = 0; i < plan.length; i += 2) {
      x += plan[i] ?? 0
      y += plan[i + 1] ?? 0
    }
    return [(2 * x) / plan.length, (2 * y) / plan.length]
  }, [surface])
  return useCallback(
    (p) => {
      for (const inward of [0, 0.01, 0.03, 0.06]) {
        const place = locate.at([p[0] + (middle[0] - p[0]) * inward, p[1] + (middle[1] - p[1]) * inward])
        if (place) return inSpace(surface, place)
      }
      return null
    },
    [locate, middle, surface],
  )
}

/** In a narrow place the eye stands further back, so that the whole part is seen; done once, then the hand turns it. */
function StandBack() {
  const camera = useThree((three) => three.camera)
  const aspect = useThree((three) => three.size.width / Math.max(1, three.size.height))
  const done = useRef(false)
  useEffect(() => {
    if (done.current || aspect === 0) return
    done.current = true
    camera.position.multiplyScalar(Math.max(1, 1.12 / aspect))
  }, [camera, aspect])
  return null
}

/** Asks for a frame whenever what is shown has changed. */
function Redraw({ on }: { readonly on: unknown }) {
  const invalidate = useThree((three) => three.invalidate)
  useEffect(() => {
    void on
    invalidate()
  }, [on, invalidate])
  return null
}

function sizeOf(surface: PartSurface) {
  const { position } = surface.mesh
  const low = [Infinity, Infinity, Infinity]
  const high = [-Infinity, -Infinity, -Infinity]
  for (let i = 0; i < position.length; i++) {
    const k = i % 3
    low[k] = Math.min(low[k] ?? 0, position[i] ?? 0)
    high[k] = Math.max(high[k] ?? 0, position[i] ?? 0)
  }
  const middle = low.map((l, k) => (l + (high[k] ?? 0)) / 2) as [number, number, number]
  return { middle, radius: Math.hypot(...low.map((l, k) => ((high[k] ?? 0) - l) / 2)) }
}

function Surface({ surface, stretch, full, onPoint, onPick, progress, heat }: PartView3DProps) {
  const geometry = useMemo(() => {
    const { position, triangle } = surface.mesh
    const made = new BufferGeometry()
    made.setAttribute('position', new BufferAttribute(Float32Array.from(position), 3))
    made.setIndex(new BufferAttribute(Uint32Array.from(triangle), 1))
    made.computeVertexNormals()
    return made
  }, [surface])
  useEffect(() => {
    const colors = heat ? heatColors(heat) : vertexColors(surface, stretch, full, liesAfter(progress))
    geometry.setAttribute('color', new BufferAttribute(colors, 3))
  }, [geometry, surface, stretch, full, progress, heat])
  useEffect(() => () => geometry.dispose(), [geometry])
  const placeOf = (event: ThreeEvent<PointerEvent | MouseEvent>): PlaceOnMesh | null => {
    event.stopPropagation()
    if (event.faceIndex == null || event.face == null) return null
    const local = event.object.worldToLocal(event.point.clone())
    return { triangle: event.faceIndex, weight: weightsIn(surface, event.faceIndex, local) }
  }
  const point = (event: ThreeEvent<PointerEvent>) => {
    const place = placeOf(event)
    if (place !== null && event.buttons === 0) onPoint(place)
  }
  const pick = (event: ThreeEvent<MouseEvent>) => {
    const place = placeOf(event)
    if (place !== null && event.delta < tapPx) onPick?.(place)
  }
  return (
    // biome-ignore lint/a11y/noStaticElementInteractions: no element but a surface that is drawn; with keys one chooses from the list beside it
    <mesh geometry={geometry} onPointerMove={point} onPointerOut={() => onPoint(null)} onClick={pick}>
      <meshLambertMaterial
        vertexColors
        side={DoubleSide}
        polygonOffset
        polygonOffsetFactor={1}
        polygonOffsetUnits={1}
      />
    </mesh>
  )
}

const liesAfter = (progress: FilmProgress | undefined) => {
  if (progress === undefined) return undefined
  const { stepOfVertex, step } = progress
  return (v: number) => (stepOfVertex[v] ?? 0) <= step
}

function weightsIn(surface: PartSurface, t: number, p: Vector3): [number, number, number] {
  const at = (c: number) => {
    const v = 3 * (surface.mesh.triangle[3 * t + c] ?? 0)
    const { position } = surface.mesh
    return new Vector3(position[v] ?? 0, position[v + 1] ?? 0, position[v + 2] ?? 0)
  }
  const [a, b, c] = [at(0), at(1), at(2)]
  const whole = b.clone().sub(a).cross(c.clone().sub(a)).length()
  const part = (q: Vector3, r: Vector3) => q.clone().sub(p).cross(r.clone().sub(p)).length() / whole
  const wa = part(b, c)
  const wb = part(c, a)
  return [wa, wb, 1 - wa - wb]
}

function Lines({ surface, lines }: PartView3DProps) {
  const rims = useMemo(
    () =>
      surface.loops.map((loop) => {
        const points = Array.from(
          loop,
          (v) => new Vector3(...[0, 1, 2].map((k) => surface.mesh.position[3 * v + k] ?? 0)),
        )
        const first = points[0]
        return new BufferGeometry().setFromPoints(first ? [...points, first] : points)
      }),
    [surface],
  )
  const onPart = useMemo(() => {
    const locate = triangleLocator(surface.plan, surface.mesh.triangle)
    return lines.map((line) => {
      const points = dense(line).flatMap((p) => {
        const place = locate.at(p)
        return place ? [new Vector3(...inSpace(surface, place))] : []
      })
      return new BufferGeometry().setFromPoints(points)
    })
  }, [surface, lines])
  return (
    <>
      {rims.map((geometry) => (
        <line key={geometry.uuid}>
          <primitive object={geometry} attach="geometry" />
          <lineBasicMaterial color={themeColor('--ink')} />
        </line>
      ))}
      {onPart.map((geometry) => (
        <line key={geometry.uuid}>
          <primitive object={geometry} attach="geometry" />
          <lineBasicMaterial color="#55606a" />
        </line>
      ))}
    </>
  )
}

function Marks({
  surface,
  pulls,
  pointed,
  radius,
  onSurface,
}: PartView3DProps & { readonly radius: number; readonly onSurface: OnSurface }) {
  return (
    <>
      {pulls.map((pull) => (
        <PullMark key={pull.letter} pull={pull} radius={radius} onSurface={onSurface} />
      ))}
      {pointed === null ? null : (
        <mesh position={inSpace(surface, pointed)}>
          <sphereGeometry args={[radius / 55, 12, 10]} />
          <meshBasicMaterial color={themeColor('--petrol')} />
        </mesh>
      )}
    </>
  )
}

function PullMark({
  pull,
  radius,
  onSurface,
}: {
  readonly pull: Pull
  readonly radius: number
  readonly onSurface: (p: Vec2) => [number, number, number] | null
}) {
  const ways = pull.way === 'towards' ? [1] : [1, -1]
  const reach = radius * 0.24
  const along = (share: number): [number, number, number] | null =>
    onSurface([pull.at[0] + share * reach * pull.direction[0], pull.at[1] + share * reach * pull.direction[1]])
  const arrows = ways.flatMap((way) => {
    // A pull next to the edge starts further in, so that its arrow stays on the part.
    for (const start of [0, -0.35, -0.7, -1]) {
      const from = along(way * start)
      const to = along(way * (start + 1))
      if (from === null || to === null) continue
      const a = new Vector3(from[0], from[1], from[2] + radius / 40)
      const direction = new Vector3(to[0], to[1], to[2] + radius / 40).sub(a)
      return [{ a, direction: direction.clone().normalize(), length: direction.length() }]
    }
    return []
  })
  return arrows.map(({ a, direction, length }) => (
    <arrowHelper key={`${direction.x}`} args={[direction, a, length, 0x1b2733, length * 0.28, length * 0.16]} />
  ))
}
