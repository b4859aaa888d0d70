import { english } from '@truelay/words'
import { expect, test } from 'vitest'
import { readObj, writeObj } from './index.ts'

test('a mesh comes back from its file within a thousandth', () => {
  const mesh = { position: Float64Array.of(0, 0, 0, 10.1234, 0, 1, 0, 10, -2.5), triangle: Int32Array.of(0, 1, 2) }
  const read = readObj(writeObj(mesh, 'test'), 1)
  if (!read.ok) throw new Error(english(read.problem))
  read.mesh.position.forEach((x, i) => {
    expect(Math.abs(x - mesh.position[i]!)).toBeLessThan(0.001)
  })
})

test('polygons, slashes, negative numbers, metres and loose vertices are understood', () => {
  const read = readObj('v 9 9 9\nv 0 0 0\nv 1 0 0\nv 1 1 0\nv 0 1 0\nvn 0 0 1\nf -4/1/1 -3//1 -2 5\n', 1000)
  if (!read.ok) throw new Error(english(read.problem))
  expect(read.mesh.triangle.length).toBe(6)
  expect(read.mesh.position.length).toBe(12)
  expect(Math.max(...read.mesh.position)).toBe(1000)
})

test.each([
  ['v 1 2\n', 1, 'three numbers'],
  ['v 0 0 0\nv 1 0 0\nf 1 2 7\n', 3, 'no vertex'],
  ['v 0 0 0\nf 1 1\n', 2, 'three corners'],
  ['# nothing\n', 2, 'no faces'],
])('%j is refused with its line', (text, line, words) => {
  const read = readObj(text, 1)
  expect(read.ok).toBe(false)
  if (read.ok) return
  expect(read.line).toBe(line)
  expect(english(read.problem)).toContain(words)
})
