import { stepStacks } from '../kernel/index.ts'
import type { Jet, Layer } from './heatTypes.ts'
import { worthSidewaysWK } from './lane.ts'
import { Eliminations, ends, fromMiddle, secondStage, type Slab, slabOf, trapezoid } from './slab.ts'
import { stillAirHWm2K } from './steadyWash.ts'

/** A part of a surface that a gun is led over by hand. */
export interface PatchOf {
  /** Top layer first; the last one's back is insulated, and so is the rim. */
  readonly layers: readonly Layer[]
  readonly widthMm: number
  readonly heightMm: number
  readonly cellMm: number
  readonly ambientC: number
}

/** The gun over a step: where the middle of its spot is at the beginning and at the end, and what its air is like there. */
export interface GunOver {
  readonly jet: Jet
  /** From the corner with the least x and y, mm. */
  readonly from: readonly [x: number, y: number]
  readonly to: readonly [x: number, y: number]
}

/** Coarser than for a plan: a hand that is led is answered thirty times a second. */
const liveSlices = { firstSliceMm: 0.06, growth: 0.3, fewestSlices: 1, wholeFromWmK: 10 }
/** Share of its own difference that a cell may hand on in one go, sideways; a quarter is where it would begin to swing. */
const mostHandedOn = 0.2

/**
 * March of a patch in time: under every cell a stack of its own; metal hands heat on between the stacks, in both
 * directions, node by node (explicit, in so many parts of a step that it cannot swing). Of still air the cooling counts everywhere.
 * Temperatures in °C; cells run along x first.
 */
export class PatchMarch {
  readonly across: number
  readonly down: number
  /** Of every cell, now. */
  readonly surfaceC: Float64Array
  /** Under the top layer. */
  readonly underTopC: Float64Array
  /** The hottest that each cell's surface has been. */
  readonly hottestC: Float64Array
  /** What came in through the whole surface so far, J. */
  heatInJ = 0
  private readonly slab: Slab
  private readonly eliminations: Eliminations
  /** Row after row of stacks; in each the surface of all of them first, then depth by depth. */
  private readonly temperatureC: Float64Array
  private readonly air: AirOver
  private readonly plane: Float64Array
  private readonly metal: readonly number[]

  constructor(private readonly of: PatchOf) {
    this.slab = slabOf(of.layers, 1, liveSlices)
    this.eliminations = new Eliminations(this.slab)
    this.across = 2 * Math.round(of.widthMm / of.cellMm / 2)
    this.down = Math.round(of.heightMm / of.cellMm)
    const cells = this.across * this.down
    const nodes = this.slab.depthMm.length
    this.temperatureC = new Float64Array(cells * nodes).fill(of.ambientC)
    this.surfaceC = new Float64Array(cells).fill(of.ambientC)
    this.underTopC = this.surfaceC.slice()
    this.hottestC = this.surfaceC.slice()
    this.air = new AirOver(cells, of.ambientC)
    this.plane = new Float64Array(cells)
    this.metal = Array.from(this.slab.sidewaysWK.keys()).filter((i) => this.slab.sidewaysWK[i]! > worthSidewaysWK)
  }

  /** One step of `seconds`, with the gun over it, or put down. */
  step(seconds: number, gun: GunOver | null): void {
    this.air.blow(this.across, this.of.cellMm, gun)
    this.heatInJ += this.stepStacks(seconds) * (this.of.cellMm / 1000) ** 2
    for (const node of this.metal) this.handOn(node, seconds)
    this.read()
  }

  /** Heat stored above the room, J. */
  storedJ(): number {
    const { capacityJm2K } = this.slab
    const nodes = capacityJm2K.length
    let stored = 0
    for (let i = 0; i < this.temperatureC.length; i++)
      stored += capacityJm2K[Math.floor(i / this.across) % nodes]! * (this.temperatureC[i]! - this.of.ambientC)
    return stored * (this.of.cellMm / 1000) ** 2
  }

  /** TR-BDF2 of every stack. What came in, J/m². */
  private stepStacks(seconds: number): number {
    const { capacityJm2K: capacity, conductanceWm2K: conductance } = this.slab
    const weight = trapezoid * seconds
    const elimination = this.eliminations.of(weight)
    return stepStacks(
      this.temperatureC,
      this.down,
      this.across,
      {
        ...elimination,
        weight,
        shareOfEnds: ends * seconds,
        fromMiddle,
        capacity,
        conductance,
      },
      this.air,
    )
  }

  /** Heat from stack to stack at one depth. */
  private handOn(node: number, seconds: number): void {
    const { slab, plane, temperatureC, across, down } = this
    const nodes = slab.depthMm.length
    const area = (this.of.cellMm / 1000) ** 2
    const handed = (seconds * slab.sidewaysWK[node]!) / (slab.capacityJm2K[node]! * area)
    const times = Math.ceil(handed / mostHandedOn)
    const share = handed / times
    for (let k = 0; k < times; k++) {
      for (let y = 0; y < down; y++) {
        const from = (y * nodes + node) * across
        plane.set(temperatureC.subarray(from, from + across), y * across)
      }
      for (let y = 0, cell = 0; y < down; y++) {
        const before = y > 0 ? -across : 0
        const after = y < down - 1 ? across : 0
        const row = (y * nodes + node) * across
        for (let x = 0; x < across; x++, cell++) {
          const own = plane[cell]!
          const beside = (x > 0 ? plane[cell - 1]! : own) + (x < across - 1 ? plane[cell + 1]! : own)
          temperatureC[row + x] = own + share * (beside + plane[cell + before]! + plane[cell + after]! - 4 * own)
        }
      }
    }
  }

  private read(): void {
    const { surfaceC, underTopC, hottestC, temperatureC, slab } = this
    const nodes = slab.depthMm.length
    for (let y = 0, cell = 0; y < this.down; y++) {
      const top = y * nodes * this.across
      const under = top + slab.underTop * this.across
      for (let x = 0; x < this.across; x++, cell++) {
        const now = temperatureC[top + x]!
        surfaceC[cell] = now
        underTopC[cell] = temperatureC[under + x]!
        if (now > hottestC[cell]!) hottestC[cell] = now
      }
    }
  }
}

const between = ({ from, to }: GunOver, share: number): readonly [number, number] => [
  from[0] + share * (to[0] - from[0]),
  from[1] + share * (to[1] - from[1]),
]

/** The air over every cell at the start of a step, in between and at its end, one after the other. */
class AirOver {
  readonly hWm2K: Float64Array
  readonly gasC: Float64Array
  /** Where the gun has changed it. */
  private blown: number[] = []

  constructor(
    private readonly cells: number,
    private readonly ambientC: number,
  ) {
    this.hWm2K = new Float64Array(3 * cells).fill(stillAirHWm2K)
    this.gasC = new Float64Array(3 * cells).fill(ambientC)
  }

  /** As `washAt` of a sweep: what the jet hands over is a bell across the spot; beyond its whole width nothing of it arrives. */
  blow(across: number, cellMm: number, gun: GunOver | null): void {
    for (const at of this.blown) {
      this.hWm2K[at] = stillAirHWm2K
      this.gasC[at] = this.ambientC
    }
    this.blown = []
    if (gun === null) return
    for (const [when, share] of [0, secondStage, 1].entries())
      this.blowAt(across, cellMm, gun.jet, between(gun, share), when * this.cells)
  }

  private blowAt(across: number, cellMm: number, jet: Jet, at: readonly [number, number], first: number): void {
    const down = this.cells / across
    const reach = jet.spotMm
    const [left, top] = [at[0], at[1]].map((mm) => Math.max(0, Math.floor((mm - reach) / cellMm))) as [number, number]
    const width = jet.spotMm / 4
    for (let y = top; y < down && y * cellMm < at[1] + reach; y++)
      for (let x = left; x < across && x * cellMm < at[0] + reach; x++) {
        const offX = (x + 0.5) * cellMm - at[0]
        const offY = (y + 0.5) * cellMm - at[1]
        const share = Math.exp(-(offX * offX + offY * offY) / (2 * width * width))
        const cell = first + y * across + x
        const hWm2K = stillAirHWm2K * (1 - share) + jet.hWm2K * share
        this.hWm2K[cell] = hWm2K
        this.gasC[cell] = this.ambientC + ((jet.hWm2K * share) / hWm2K) * (jet.gasC - this.ambientC)
        this.blown.push(cell)
      }
  }
}
