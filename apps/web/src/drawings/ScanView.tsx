import { useWords } from '../ui/words.ts'
import type { PlaceOnMesh, TriangleMesh } from '@truelay/core/geometry'
import { OrbitControls } from '@react-three/drei/core/OrbitControls'
import { Canvas, type ThreeEvent } from '@react-three/fiber'
import { useEffect, useMemo } from 'react'
import { BufferAttribute, BufferGeometry, DoubleSide } from 'three'

interface ScanViewProps {
  readonly mesh: TriangleMesh
  readonly spots: readonly (readonly [number, number, number])[]
  /** Where keys have moved to; null: they have not. */
  readonly cross?: readonly [number, number, number] | null
  readonly onPick: (place: PlaceOnMesh) => void
}

const spotColors = ['#0B5563', '#B45309', '#2F6B3A'] as const

/** A scan in space; a tap takes a place on it. */
export function ScanView({ mesh, spots, cross = null, onPick }: ScanViewProps) {
  const t = useWords()
  const geometry = useMemo(() => {
    const made = new BufferGeometry()
    made.setAttribute('position', new BufferAttribute(Float32Array.from(mesh.position), 3))
    made.setIndex(new BufferAttribute(Uint32Array.from(mesh.triangle), 1))
    made.computeVertexNormals()
    made.computeBoundingSphere()
    return made
  }, [mesh])
  useEffect(() => () => geometry.dispose(), [geometry])
  const { center, radius } = geometry.boundingSphere ?? { center: { x: 0, y: 0, z: 0 }, radius: 1 }
  const pick = (event: ThreeEvent<MouseEvent>) => {
    if (event.faceIndex == null || event.delta > 4) return
    event.stopPropagation()
    const local = event.object.worldToLocal(event.point.clone())
    onPick({ triangle: event.faceIndex, weight: nearestCorner(mesh, event.faceIndex, [local.x, local.y, local.z]) })
  }
  return (
    <Canvas
      flat
      frameloop="demand"
      dpr={[1, 1.5]}
      camera={{ position: [0, -0.6 * radius, 2.4 * radius], fov: 40, near: radius / 50, far: radius * 20 }}
      role="img"
      aria-label={t`The scan; drag to turn it, tap a place`}
    >
      <ambientLight intensity={1.4} />
      <directionalLight position={[-radius, radius, 2 * radius]} intensity={1.6} />
      <group position={[-center.x, -center.y, -center.z]}>
        {/* biome-ignore lint/a11y/noStaticElementInteractions: a body in space, not an element of the page */}
        <mesh geometry={geometry} onClick={pick}>
          <meshLambertMaterial color="#C3D3D4" side={DoubleSide} />
        </mesh>
        {cross === null ? null : (
          <mesh position={[cross[0], cross[1], cross[2]]}>
            <sphereGeometry args={[radius / 60, 12, 10]} />
            <meshBasicMaterial color="#1B2733" wireframe />
          </mesh>
        )}
        {spots.map((spot, i) => (
          <mesh key={spot.join()} position={[spot[0], spot[1], spot[2]]}>
            <sphereGeometry args={[radius / 36, 16, 12]} />
            <meshBasicMaterial color={spotColors[i] ?? '#1B2733'} />
          </mesh>
        ))}
      </group>
      <OrbitControls makeDefault enableDamping={false} />
    </Canvas>
  )
}

/** All weight on the corner of the triangle that is nearest to the place. */
function nearestCorner(
  { position, triangle }: TriangleMesh,
  face: number,
  [x, y, z]: readonly [number, number, number],
): [number, number, number] {
  const away = [0, 1, 2].map((c) => {
    const v = 3 * (triangle[3 * face + c] ?? 0)
    return Math.hypot((position[v] ?? 0) - x, (position[v + 1] ?? 0) - y, (position[v + 2] ?? 0) - z)
  })
  const nearest = away.indexOf(Math.min(...away))
  return [nearest === 0 ? 1 : 0, nearest === 1 ? 1 : 0, nearest === 2 ? 1 : 0]
}
