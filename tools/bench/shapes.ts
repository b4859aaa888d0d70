import { buildSurface } from '@truelay/core/form'
import type { TriangleMesh } from '@truelay/core/geometry'
import { required } from '@truelay/core/result'
import { cap, coneSector, cylinder, gridForm, saddle } from '../../packages/core/src/lay/testForms.ts'
import { formOf } from './demo.ts'

const torusPatch = (n: number) =>
  gridForm(n, n, (u, v) => {
    const [a, b] = [(u - 0.5) * 1.2, (v - 0.5) * (Math.PI / 2)]
    const r = 200 + 80 * Math.cos(b)
    return [r * Math.sin(a), 80 * Math.sin(b), r * Math.cos(a)]
  })
/** A panel of 1.4 x 1.1 m, bowed 40 and 60 mm, with a diagonal groove 15 mm deep. */
const groovedPanel = (n: number) =>
  gridForm(n, n, (u, v) => {
    const [x, y] = [2 * u - 1, 2 * v - 1]
    const across = (700 * x - 550 * y) / Math.hypot(700, 550)
    return [700 * x, 550 * y, -40 * x * x - 60 * y * y - 15 * Math.exp(-((across / 60) ** 2))]
  })
const grid = (triangles: number) => Math.round(Math.sqrt(triangles / 2))
const rings = (triangles: number) => Math.round(Math.sqrt(triangles / 6))
const demo = (name: string) => (triangles: number) => required(buildSurface(formOf(name), { triangles })).mesh

/** Shapes to lay film on, each in about so many triangles. */
export const shapes = {
  'spherical cap, half-angle 30': (triangles) => cap(30, rings(triangles)),
  'spherical cap, half-angle 60': (triangles) => cap(60, rings(triangles)),
  'half cylinder': (triangles) => cylinder(100, 180, 300, grid(triangles)),
  'cone sector': (triangles) => coneSector(grid(triangles)),
  saddle: (triangles) => saddle(grid(triangles)),
  'torus patch': (triangles) => torusPatch(grid(triangles)),
  'grooved panel': (triangles) => groovedPanel(grid(triangles)),
  'demo bonnet': demo('pipit-bonnet'),
  'demo headlamp': demo('pipit-headlamp-left'),
} satisfies Record<string, (triangles: number) => TriangleMesh>
