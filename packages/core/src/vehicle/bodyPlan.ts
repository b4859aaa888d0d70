import type { Vec2 } from '../geometry/index.ts'
import { type BodyKind, bodySizes } from './bodySizes.ts'
import { type SideSlot, sideSlots } from './sideSlots.ts'

/** Which face of the vehicle a part is on. Sides are those of somebody in the driver's seat. */
export type Face = 'left' | 'right' | 'front' | 'rear' | 'top'

/** Where a part sits on the unfolded vehicle. */
export interface Slot {
  readonly id: string
  readonly name: string
  readonly face: Face
  readonly side: 'left' | 'right' | 'middle'
  /** Middle of the slot on the sheet, mm; x right, y down. */
  readonly at: Vec2
  /** Size on the sheet as the part is seen straight on: its own width and height, mm. */
  readonly size: Vec2
  /** How the part, seen straight on, is turned on the sheet; clockwise as seen. */
  readonly turnDeg: 0 | 90 | 180 | 270
  /** Low parts are worked on with the vehicle raised. */
  readonly low: boolean
}

/** The vehicle opened like a box: top in the middle, front to the left, sides folded out above and below. */
export interface BodyPlan {
  readonly kind: BodyKind
  readonly width: number
  readonly height: number
  /** Outlines and glass of the faces, for drawing only. */
  readonly silhouettes: readonly { readonly face: Face; readonly line: readonly Vec2[]; readonly glass: boolean }[]
  readonly wheels: readonly { readonly at: Vec2; readonly radius: number }[]
  readonly slots: readonly Slot[]
}

const gapMm = 120

/** The unfolded sheet of a kind of vehicle, with every place that a kit may cover. */
export function bodyPlan(kind: BodyKind): BodyPlan {
  const size = bodySizes[kind]
  const { lengthMm, heightMm, widthMm } = size
  const left = heightMm + gapMm
  const right = left + lengthMm
  const topY = heightMm + gapMm
  const bottomY = topY + widthMm
  const middleY = (topY + bottomY) / 2

  /** A place on a side, `s` from the front and `h` above the ground. */
  const onSide = (side: 'left' | 'right', s: number, h: number): Vec2 =>
    side === 'left' ? [left + s, bottomY + gapMm + (heightMm - h)] : [left + s, topY - gapMm - (heightMm - h)]
  /** A place on the front or rear, `a` to the vehicle's left of its middle and `h` above the ground. */
  const onEnd = (end: 'front' | 'rear', a: number, h: number): Vec2 =>
    end === 'front' ? [left - gapMm - (heightMm - h), middleY + a] : [right + gapMm + (heightMm - h), middleY + a]

  const slots: Slot[] = []
  const sides = (draft: SideSlot) => {
    for (const side of ['left', 'right'] as const) {
      const s = (draft.from + draft.to) / 2
      const h = (draft.low + draft.high) / 2
      slots.push({
        id: `${draft.id}-${side}`,
        name: `${draft.name}, ${side === 'left' ? 'driver’s side' : 'passenger’s side'}`,
        face: side,
        side,
        at: onSide(side, s * lengthMm, h * heightMm),
        size: [(draft.to - draft.from) * lengthMm, (draft.high - draft.low) * heightMm],
        turnDeg: side === 'left' ? 0 : 180,
        low: draft.high < 0.42,
      })
    }
  }
  sideSlots(kind).forEach(sides)

  const ends = (end: 'front' | 'rear', id: string, name: string, a: number, h: number, w: number, tall: number) => {
    const middle = a === 0
    for (const side of middle ? (['middle'] as const) : (['left', 'right'] as const)) {
      slots.push({
        id: middle ? id : `${id}-${side}`,
        name: middle ? name : `${name}, ${side === 'left' ? 'driver’s side' : 'passenger’s side'}`,
        face: end,
        side,
        at: onEnd(end, (side === 'right' ? -a : a) * widthMm, h * heightMm),
        size: [w * widthMm, tall * heightMm],
        turnDeg: end === 'front' ? 90 : 270,
        low: h + tall / 2 < 0.42,
      })
    }
  }
  const { frontLampH, grilleH, bumperH } = size
  ends('front', 'headlamp', 'Headlamp', 0.34, frontLampH, 0.22, 0.1)
  ends('front', 'grille-top', 'Grille, top bar', 0, grilleH + 0.045, 0.4, 0.05)
  ends('front', 'grille-bar', 'Grille bars', 0, grilleH - 0.03, 0.38, 0.06)
  ends('front', 'front-bumper', 'Front bumper', 0, bumperH + 0.025, 0.92, 0.12)
  ends('front', 'fog-lamp', 'Fog lamp', 0.35, bumperH - 0.07, 0.08, 0.055)
  ends('rear', 'tail-lamp-inner', 'Tail lamp, inner part', 0.2, size.tailLampH, 0.16, 0.11)
  ends('rear', 'boot-lid', 'Boot lid', 0, size.tailLampH - 0.125, 0.66, 0.12)
  ends('rear', 'rear-bumper', 'Rear bumper', 0, bumperH + 0.01, 0.92, 0.14)

  const [bonnetFrom, bonnetTo] = size.bonnet
  const [roofFrom, roofTo] = size.roof
  const onTop = (id: string, name: string, from: number, to: number, wide: number) =>
    slots.push({
      id,
      name,
      face: 'top',
      side: 'middle',
      at: [left + ((from + to) / 2) * lengthMm, middleY],
      // Seen from the front: its width runs across the sheet's height.
      size: [wide * widthMm, (to - from) * lengthMm],
      turnDeg: 90,
      low: false,
    })
  onTop('bonnet', 'Bonnet', bonnetFrom, bonnetTo, 0.8)
  onTop('roof', 'Roof', roofFrom, roofTo, 0.7)

  const silhouettes: BodyPlan['silhouettes'][number][] = []
  for (const side of ['left', 'right'] as const) {
    for (const { glass, line } of size.side)
      silhouettes.push({ face: side, glass, line: line.map(([s, h]) => onSide(side, s * lengthMm, h * heightMm)) })
  }
  for (const end of ['front', 'rear'] as const) {
    const window = end === 'front' ? size.windscreen : size.rearWindow
    const across = (shape: readonly Vec2[]) =>
      [...shape, ...[...shape].reverse().map(([a, h]): Vec2 => [-a, h])].map(([a, h]) =>
        onEnd(end, a * widthMm, h * heightMm),
      )
    silhouettes.push({ face: end, glass: false, line: across(size.end) })
    silhouettes.push({ face: end, glass: true, line: across(window) })
  }
  const box = (from: number, to: number, wide: number, glass: boolean) =>
    silhouettes.push({
      face: 'top',
      glass,
      line: [
        [left + from * lengthMm, middleY - (wide / 2) * widthMm],
        [left + to * lengthMm, middleY - (wide / 2) * widthMm],
        [left + to * lengthMm, middleY + (wide / 2) * widthMm],
        [left + from * lengthMm, middleY + (wide / 2) * widthMm],
      ],
    })
  const fromAbove: readonly Vec2[] = [
    [0, 0.36],
    [0.02, 0.44],
    [0.08, 0.495],
    [0.3, 0.5],
    [0.8, 0.5],
    [0.95, 0.48],
    [0.985, 0.44],
    [1, 0.38],
  ]
  silhouettes.push({
    face: 'top',
    glass: false,
    line: [...fromAbove, ...[...fromAbove].reverse().map(([s, a]): Vec2 => [s, -a])].map(([s, a]) => [
      left + s * lengthMm,
      middleY + a * widthMm,
    ]),
  })
  box(bonnetTo + 0.01, roofFrom - 0.01, 0.74, true)
  if (roofTo < 0.97) box(roofTo + 0.01, Math.min(0.985, roofTo + 0.11), 0.68, true)
  const wheels = (['left', 'right'] as const).flatMap((side) =>
    size.axles.map((s) => ({
      at: onSide(side, s * lengthMm, size.wheelMm / 2),
      radius: size.wheelMm / 2,
    })),
  )
  return {
    kind,
    width: right + heightMm + gapMm,
    height: bottomY + gapMm + heightMm,
    silhouettes,
    wheels,
    slots,
  }
}

/** The sheet position of a spot of a part, `u` and `v` from 0 to 1 across and down its slot as seen straight on. */
export function spotOnSheet(slot: Slot, [u, v]: Vec2): Vec2 {
  const x = (u - 0.5) * slot.size[0]
  const y = (v - 0.5) * slot.size[1]
  const turn = (slot.turnDeg * Math.PI) / 180
  const [cos, sin] = [Math.round(Math.cos(turn)), Math.round(Math.sin(turn))]
  return [slot.at[0] + x * cos - y * sin, slot.at[1] + x * sin + y * cos]
}

/** The inverse of `spotOnSheet`: a spot of the sheet in the slot, each coordinate 0 to 1 if it lies on the part. */
export function spotInSlot(slot: Slot, [sx, sy]: Vec2): Vec2 {
  const dx = sx - slot.at[0]
  const dy = sy - slot.at[1]
  const turn = (slot.turnDeg * Math.PI) / 180
  const [cos, sin] = [Math.round(Math.cos(turn)), Math.round(Math.sin(turn))]
  return [(dx * cos + dy * sin) / slot.size[0] + 0.5, (-dx * sin + dy * cos) / slot.size[1] + 0.5]
}
