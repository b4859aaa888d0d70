import { say, type Sentence } from '../say/index.ts'
import type { Vec2 } from '../geometry/index.ts'

/** Kinds of vehicle that the sheet can draw. */
export const bodyKinds = ['city hatch', 'saloon', 'estate', 'van'] as const
export type BodyKind = (typeof bodyKinds)[number]
export const bodyKindWords: Readonly<Record<BodyKind, Sentence>> = {
  'city hatch': say`city hatch`,
  saloon: say`saloon`,
  estate: say`estate`,
  van: say`van`,
}

/** Rough proportions of a kind of vehicle; lengths along it and heights above the ground are shares of its size. */
export interface BodySize {
  readonly lengthMm: number
  readonly heightMm: number
  readonly widthMm: number
  readonly wheelMm: number
  readonly axles: readonly [number, number]
  readonly bonnet: readonly [number, number]
  readonly roof: readonly [number, number]
  readonly frontLampH: number
  readonly grilleH: number
  readonly bumperH: number
  readonly tailLampH: number
  /** Side view: distance from the front, height. */
  readonly side: readonly { readonly glass: boolean; readonly line: readonly Vec2[] }[]
  /** Half of the view from the front: distance from the middle, height. */
  readonly end: readonly Vec2[]
  readonly windscreen: readonly Vec2[]
  readonly rearWindow: readonly Vec2[]
}

const shape = (line: readonly Vec2[], glass = false) => ({ glass, line })

/** Cars are much alike from the front. */
const carEnd: Pick<BodySize, 'end' | 'windscreen'> = {
  end: [
    [0.46, 0.14],
    [0.5, 0.35],
    [0.49, 0.6],
    [0.44, 0.7],
    [0.36, 0.96],
    [0.3, 1],
  ],
  windscreen: [
    [0.41, 0.68],
    [0.34, 0.93],
  ],
}

export const bodySizes: Readonly<Record<BodyKind, BodySize>> = {
  'city hatch': {
    lengthMm: 3900,
    heightMm: 1480,
    widthMm: 1720,
    wheelMm: 600,
    axles: [0.19, 0.81],
    bonnet: [0.03, 0.27],
    roof: [0.4, 0.86],
    frontLampH: 0.46,
    grilleH: 0.43,
    bumperH: 0.27,
    tailLampH: 0.58,
    side: [
      shape([
        [0.005, 0.16],
        [0, 0.38],
        [0.03, 0.5],
        [0.14, 0.585],
        [0.28, 0.63],
        [0.4, 0.93],
        [0.5, 0.995],
        [0.7, 1],
        [0.86, 0.95],
        [0.97, 0.65],
        [1, 0.5],
        [0.995, 0.16],
      ]),
      shape(
        [
          [0.33, 0.65],
          [0.42, 0.9],
          [0.52, 0.945],
          [0.55, 0.945],
          [0.55, 0.65],
        ],
        true,
      ),
      shape(
        [
          [0.575, 0.65],
          [0.575, 0.945],
          [0.72, 0.945],
          [0.83, 0.89],
          [0.88, 0.68],
        ],
        true,
      ),
    ],
    ...carEnd,
    rearWindow: [
      [0.38, 0.72],
      [0.33, 0.92],
    ],
  },
  saloon: {
    lengthMm: 4650,
    heightMm: 1440,
    widthMm: 1830,
    wheelMm: 640,
    axles: [0.19, 0.79],
    bonnet: [0.03, 0.29],
    roof: [0.41, 0.72],
    frontLampH: 0.46,
    grilleH: 0.43,
    bumperH: 0.27,
    tailLampH: 0.55,
    side: [
      shape([
        [0.005, 0.16],
        [0, 0.38],
        [0.03, 0.5],
        [0.15, 0.6],
        [0.29, 0.64],
        [0.41, 0.94],
        [0.52, 1],
        [0.64, 0.99],
        [0.74, 0.9],
        [0.84, 0.7],
        [0.97, 0.67],
        [1, 0.5],
        [0.995, 0.18],
      ]),
      shape(
        [
          [0.34, 0.66],
          [0.43, 0.91],
          [0.53, 0.95],
          [0.54, 0.66],
        ],
        true,
      ),
      shape(
        [
          [0.56, 0.66],
          [0.56, 0.95],
          [0.65, 0.94],
          [0.72, 0.87],
          [0.78, 0.7],
        ],
        true,
      ),
    ],
    end: [
      [0.46, 0.14],
      [0.5, 0.35],
      [0.49, 0.6],
      [0.44, 0.7],
      [0.35, 0.96],
      [0.29, 1],
    ],
    windscreen: [
      [0.41, 0.68],
      [0.33, 0.93],
    ],
    rearWindow: [
      [0.38, 0.72],
      [0.32, 0.92],
    ],
  },
  estate: {
    lengthMm: 4720,
    heightMm: 1480,
    widthMm: 1830,
    wheelMm: 640,
    axles: [0.19, 0.78],
    bonnet: [0.03, 0.28],
    roof: [0.4, 0.9],
    frontLampH: 0.46,
    grilleH: 0.43,
    bumperH: 0.27,
    tailLampH: 0.58,
    side: [
      shape([
        [0.005, 0.16],
        [0, 0.38],
        [0.03, 0.5],
        [0.15, 0.59],
        [0.28, 0.63],
        [0.4, 0.93],
        [0.5, 0.99],
        [0.72, 0.99],
        [0.89, 0.95],
        [0.975, 0.66],
        [1, 0.5],
        [0.995, 0.17],
      ]),
      shape(
        [
          [0.33, 0.65],
          [0.42, 0.9],
          [0.52, 0.94],
          [0.53, 0.65],
        ],
        true,
      ),
      shape(
        [
          [0.55, 0.65],
          [0.55, 0.94],
          [0.69, 0.94],
          [0.7, 0.66],
        ],
        true,
      ),
      shape(
        [
          [0.72, 0.67],
          [0.71, 0.94],
          [0.86, 0.9],
          [0.91, 0.7],
        ],
        true,
      ),
    ],
    ...carEnd,
    rearWindow: [
      [0.38, 0.7],
      [0.34, 0.92],
    ],
  },
  van: {
    lengthMm: 5300,
    heightMm: 2050,
    widthMm: 1970,
    wheelMm: 680,
    axles: [0.17, 0.76],
    bonnet: [0.02, 0.15],
    roof: [0.3, 0.97],
    frontLampH: 0.42,
    grilleH: 0.37,
    bumperH: 0.22,
    tailLampH: 0.55,
    side: [
      shape([
        [0.005, 0.12],
        [0, 0.3],
        [0.02, 0.42],
        [0.14, 0.54],
        [0.24, 0.86],
        [0.31, 0.98],
        [0.5, 1],
        [0.96, 0.98],
        [0.99, 0.5],
        [0.995, 0.12],
      ]),
      shape(
        [
          [0.17, 0.57],
          [0.25, 0.86],
          [0.36, 0.88],
          [0.36, 0.57],
        ],
        true,
      ),
      shape(
        [
          [0.39, 0.6],
          [0.39, 0.88],
          [0.58, 0.88],
          [0.58, 0.6],
        ],
        true,
      ),
    ],
    end: [
      [0.46, 0.1],
      [0.5, 0.3],
      [0.49, 0.6],
      [0.45, 0.9],
      [0.4, 0.98],
      [0.32, 1],
    ],
    windscreen: [
      [0.44, 0.56],
      [0.41, 0.88],
    ],
    rearWindow: [
      [0.4, 0.6],
      [0.38, 0.86],
    ],
  },
}
