import { seededRandom } from '../numerics/index.ts'
import type { Day, DayTask } from './day.ts'

export interface KitDayKind {
  readonly seed: number
  readonly vehicles: number
  readonly parts: number
  readonly people: number
  readonly guns?: number
  /** Large flat parts with every anchor and pull by itself, and parts laid warm with every pull by itself. */
  readonly fine?: boolean
}

/** Minutes between the arrivals of two vehicles. */
const apart = 30
const gun = ['gun']
const hot = ['gun', 'thermometer']

/** A step of a part: what it takes, and how long after the step before it may begin. */
interface Step {
  readonly name: string
  readonly minutes: number
  readonly wait?: readonly [least: number, most?: number]
  readonly people?: number
  readonly tools?: readonly string[]
  /** Done in the solution of the vehicle's own bottle, and after the part of the same kind that is laid first. */
  readonly wet?: boolean
  /** Where a part of the same kind may be begun. */
  readonly laid?: boolean
}

type Between = (least: number, most: number) => number
type KindOfPart = (between: Between) => readonly Step[]

const soon = [0, 5] as const
const step = (name: string, minutes: number, more: Omit<Step, 'name' | 'minutes'> = {}): Step => ({
  name,
  minutes,
  ...more,
})
const looked = [step('look', 4, { wait: [0, 60], tools: ['lamp'] }), step('hand on', 3)]
const wrapped = (between: Between): readonly Step[] => [
  ...(between(0, 1) === 1
    ? [step('trim', 1, { wait: [20, 90] }), step('wrap', 4, { wait: [19, 60] })]
    : [step('wrap', 4, { wait: [20, 90] })]),
  step('turn', 4, { wait: [16, 45], tools: gun }),
  step('seal', 5, { wait: soon, tools: hot }),
  ...looked,
]
const byTwo = (soak: number): readonly Step[] => [
  step('degrease', 3),
  step('dry check', 2, { people: 2 }),
  step('soak', soak, { wet: true }),
]

const bumper: KindOfPart = (between) => [
  ...byTwo(1),
  step('peel', 5, { people: 2, wait: soon }),
  step('gaps', 4, { wait: soon }),
  step('anchor', between(11, 14), { wait: soon, laid: true }),
  step('pull', between(4, 11), { wait: soon }),
  step('flush', 6, { wait: soon }),
  ...wrapped(between),
]
const lamp: KindOfPart = (between) => [
  step('degrease', 5),
  step('soak', 10, { wet: true }),
  step('anchor', 12, { wait: soon, laid: true }),
  step('flush', 6, { wait: soon }),
  ...wrapped(between),
]
const small: KindOfPart = () => [
  step('degrease', 7),
  step('peel', 5),
  step('anchor', 8, { wait: [0, 10] }),
  step('post-heat', 5, { wait: [0, 10], tools: hot }),
  step('tuck', 4, { wait: [8, 30] }),
  ...looked,
]
const warm: (pulls: number) => KindOfPart = (pulls) => (between) => [
  step('mask', between(4, 11)),
  step('peel', 5),
  step('anchor', 2, { wait: [0, 10] }),
  ...Array.from({ length: pulls }, (_, k) =>
    step(`pull ${k + 1}`, 12 / pulls, { wait: [0, k === 0 ? 10 : 3], tools: hot }),
  ),
  step('outward', 8, { wait: [0, 3] }),
  step('shrink', 5, { wait: [0, 10], tools: gun }),
  step('post-heat', 5, { wait: [0, 3], tools: hot }),
  step('gap cut', between(5, 9), { wait: [6, 30] }),
  ...looked,
]
const tint: KindOfPart = () => [
  step('mask', 9),
  step('soak', 10, { wet: true }),
  step('anchor', 6, { wait: soon, laid: true }),
  step('flush', 6, { wait: soon }),
]
const bonnet: KindOfPart = () => [
  ...byTwo(1),
  step('peel', 3, { people: 2, wait: soon }),
  step('float', 2, { people: 2, wait: [0, 2] }),
  step('gaps', 4, { wait: soon }),
  ...[1, 2, 3, 4].map((k) => step(`anchor ${k}`, 2, { wait: soon })),
  ...[1, 2, 3, 4].map((k) => step(`pull ${k}`, 2, { wait: soon })),
  step('light pass', 8, { wait: soon }),
  step('firm pass', 9, { wait: soon }),
  step('flush', 5, { wait: soon }),
  step('seal', 5, { wait: [18, 88], tools: hot }),
  ...looked,
]

const kinds: readonly KindOfPart[] = [bumper, lamp, lamp, small, warm(1), tint]
const fineKinds: readonly KindOfPart[] = [bonnet, warm(3)]
const quickToWash: ReadonlySet<KindOfPart> = new Set([tint, ...fineKinds.slice(1)])

/** A day of kits with parts of several kinds, vehicles that come one after the other, a lift for some of them, and a way out. */
export function kitDay({ seed, vehicles, parts, people, guns = 2, fine = false }: KitDayKind): Day {
  const random = seededRandom(seed)
  const between: Between = (least, most) => least + Math.floor(random() * (most - least + 1))
  const choice = fine ? fineKinds : kinds
  const tasks: DayTask[] = []
  const add = (
    id: string,
    { minutes, people: number = 1, tools = [] }: Omit<Step, 'name'>,
    after: DayTask['after'],
    more: Partial<DayTask> = {},
  ) => {
    tasks.push({ id, minutes, people: number, tools, after, ...more })
  }
  for (let v = 0; v < vehicles; v++) {
    const car = String.fromCharCode(65 + v)
    const own = Array.from({ length: parts }, () => choice[between(0, choice.length - 1)] ?? lamp)
    const washBay = ['wash bay']
    add(`${car}.in`, { minutes: 3, tools: washBay }, [], { notBefore: apart * v })
    let last = `${car}.in`
    for (const [p, kind] of own.entries()) {
      add(`${car}.${p}.clean`, { minutes: quickToWash.has(kind) ? 6 : 12, tools: washBay }, [upTo(last, 10)])
      last = `${car}.${p}.clean`
    }
    add(`${car}.to bay`, { minutes: 4, tools: washBay }, [upTo(last, 10)])
    add(`${car}.mix`, { minutes: 6, tools: ['bench'] }, [])
    let ready = `${car}.to bay`
    if (between(0, 1) === 1) {
      add(`${car}.raise`, { minutes: 6, tools: ['lift'] }, [from(ready)])
      ready = `${car}.raise`
    }
    const laidFirst = new Map<KindOfPart, string>()
    const ends = own.map((kind, p) => {
      let before: string | null = null
      for (const { name, wait: [least, most] = [0], wet = false, laid = false, ...takes } of kind(between)) {
        const id = `${car}.${p}.${name}`
        const first = laidFirst.get(kind)
        const bottle = wet ? [upTo(`${car}.mix`, 480), ...(first === undefined ? [] : [from(first)])] : []
        const waits = before === null ? [from(ready), upTo(`${car}.${p}.clean`, 420)] : [upTo(before, most, least)]
        add(id, takes, [...waits, ...bottle])
        if (laid && first === undefined) laidFirst.set(kind, id)
        before = id
      }
      return before ?? ready
    })
    add(
      `${car}.out`,
      { minutes: 5 },
      ends.map((end) => from(end)),
    )
  }
  return {
    people: Array.from({ length: people }, (_, p) => ({ id: `person-${p + 1}` })),
    tools: [
      { id: 'wash bay', count: 1 },
      { id: 'bench', count: 1 },
      { id: 'lift', count: 1 },
      { id: 'gun', count: guns },
      { id: 'thermometer', count: 2 },
      { id: 'lamp', count: 2 },
    ],
    tasks,
  }
}

const from = (task: string) => ({ task, minMinutes: 0 })
const upTo = (task: string, most?: number, minMinutes = 0) => ({
  task,
  minMinutes,
  ...(most === undefined ? {} : { maxMinutes: most }),
})
