import { describe, expect, test } from 'vitest'
import { stripJpeg } from './index.ts'

const segment = (marker: number, ...data: number[]) => [
  0xff,
  marker,
  (data.length + 2) >> 8,
  (data.length + 2) & 0xff,
  ...data,
]
const place = [...new TextEncoder().encode('Exif harbour 53.55 N')]
const frame = segment(0xc0, 8, 0x01, 0x40, 0x02, 0x80, 1, 1, 0x11, 0)
const scan = [...segment(0xda, 1, 1, 0, 0, 63, 0), 1, 2, 3, 0xff, 0xd9]
const jpeg = (...between: number[][]) => Uint8Array.from([0xff, 0xd8, ...between.flat(), ...frame, ...scan])

describe('a photo as it is kept', () => {
  test('place, comments and maker’s notes are gone, the picture is the same', () => {
    const plain = stripJpeg(jpeg(segment(0xe0, 74, 70)))
    const full = stripJpeg(jpeg(segment(0xe0, 74, 70), segment(0xe1, ...place), segment(0xfe, 1, 2), segment(0xed, 9)))
    if (!plain.ok || !full.ok) throw new Error('not read')
    expect(full.value.bytes).toEqual(plain.value.bytes)
    expect(full.value).toMatchObject({ widthPx: 640, heightPx: 320 })
    expect(new TextDecoder('latin1').decode(full.value.bytes)).not.toContain('harbour')
  })
  test('what says how colours are coded stays', () => {
    const kept = stripJpeg(jpeg(segment(0xee, 65, 100, 111, 98, 101)))
    if (!kept.ok) throw new Error('not read')
    expect(new TextDecoder('latin1').decode(kept.value.bytes)).toContain('Adobe')
  })
  test('anything else is refused in words', () => {
    const cases = [
      new Uint8Array(),
      new TextEncoder().encode('<svg onload="x()"/>'),
      Uint8Array.from([0xff, 0xd8, 0xff, 0xd9]),
      jpeg().subarray(0, 12),
      Uint8Array.from([0xff, 0xd8, ...scan]),
      Uint8Array.from([0xff, 0xd8, 0xff, 0xe1, 0xff, 0xff, 0]),
    ]
    for (const bytes of cases) {
      const read = stripJpeg(bytes)
      expect(read.ok).toBe(false)
      if (!read.ok) expect(read.failure.sentence).toSay('cannot be read')
    }
  })
})
