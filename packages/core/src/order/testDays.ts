import { seededRandom } from '../numerics/index.ts'
import type { Day, DayTask, TaskAfter } from './day.ts'

/** A task of one person without tools or waits, if nothing else is said. */
export const task = (id: string, minutes: number, more: Partial<DayTask> = {}): DayTask => ({
  id,
  minutes,
  people: 1,
  tools: [],
  after: [],
  ...more,
})

export interface JigsawKind {
  readonly seed: number
  readonly people: number
  /** Length of the day, minutes: everybody works all of it, so that no plan is shorter. */
  readonly minutes: number
  /** Free minutes in a greatest wait, at the most. */
  readonly slack: number
  /** Share of tasks with a gun; there are as many guns as were ever in use at once. */
  readonly gunShare?: number
}

/** A day that is cut out of a full plan: its shortest plan is as long as the plan that it was cut from. */
export function jigsawDay({ seed, people, minutes, slack, gunShare = 0.3 }: JigsawKind): Day {
  const random = seededRandom(seed)
  const between = (least: number, most: number) => least + Math.floor(random() * (most - least + 1))
  const pieces: { start: number; end: number; gun: boolean }[] = []
  for (let p = 0; p < people; p++)
    for (let t = 0; t < minutes; ) {
      const end = minutes - t < 6 ? minutes : Math.min(minutes, t + between(2, 15))
      pieces.push({ start: t, end, gun: random() < gunShare })
      t = end
    }
  pieces.sort((a, b) => a.start - b.start)
  const name = (k: number) => `t${String(k).padStart(3, '0')}`
  const tasks = pieces.map(({ start, end, gun }, k): DayTask => {
    const near = pieces.flatMap((other, i) => (other.end <= start && start - other.end < 40 ? [i] : []))
    const after = Array.from({ length: near.length === 0 ? 0 : between(0, 2) }, (): TaskAfter => {
      const i = near[between(0, near.length - 1)] ?? 0
      const gap = start - (pieces[i]?.end ?? 0)
      const tied = random() < 0.4
      const least = random() < 0.5 ? 0 : between(0, gap)
      return { task: name(i), minMinutes: least, ...(tied ? { maxMinutes: gap + between(0, slack) } : {}) }
    })
    return {
      id: name(k),
      minutes: end - start,
      people: 1,
      tools: gun ? ['gun'] : [],
      after: after.filter(({ task }, i) => after.findIndex((other) => other.task === task) === i),
    }
  })
  const inUse = Array.from(
    { length: minutes },
    (_, t) => pieces.filter(({ start, end, gun }) => gun && start <= t && t < end).length,
  )
  return {
    people: Array.from({ length: people }, (_, p) => ({ id: `person-${p + 1}` })),
    tools: [{ id: 'gun', count: Math.max(1, ...inUse) }],
    tasks,
  }
}

export interface ShopDayKind {
  readonly seed: number
  readonly vehicles: number
  readonly parts: number
  readonly people: number
  readonly guns?: number
}

/** An ordinary day: vehicles through one wash bay, parts laid wet, wrapped, sealed and looked at, with waits as the trade has them. */
export function shopDay({ seed, vehicles, parts, people, guns = 2 }: ShopDayKind): Day {
  const random = seededRandom(seed)
  const between = (least: number, most: number) => least + Math.floor(random() * (most - least + 1))
  const tasks: DayTask[] = []
  const add = (
    id: string,
    minutes: number,
    tools: readonly string[],
    ...after: readonly (readonly [task: string, least: number, most?: number])[]
  ) => {
    tasks.push({
      id,
      minutes,
      people: id.endsWith('peel') && random() < 0.4 ? Math.min(2, people) : 1,
      tools,
      after: after.map(([task, minMinutes, maxMinutes]) => ({
        task,
        minMinutes,
        ...(maxMinutes === undefined ? {} : { maxMinutes }),
      })),
    })
  }
  for (let v = 0; v < vehicles; v++) {
    const car = String.fromCharCode(65 + v)
    add(`${car}.in`, 3, ['wash bay'])
    let last = `${car}.in`
    for (let p = 1; p <= parts; p++) {
      add(`${car}.${p}.clean`, between(6, 12), ['wash bay'], [last, 0, 10])
      last = `${car}.${p}.clean`
    }
    add(`${car}.to-bay`, 4, ['wash bay'], [last, 0, 10])
    add(`${car}.mix`, 6, ['bench'])
    for (let p = 1; p <= parts; p++) {
      const step = (name: string) => `${car}.${p}.${name}`
      add(step('degrease'), between(3, 5), [], [`${car}.to-bay`, 0], [step('clean'), 0, 420])
      add(step('soak'), between(1, 6), [], [step('degrease'), 0], [`${car}.mix`, 0, 480])
      add(step('peel'), between(3, 6), [], [step('soak'), 0, 5])
      add(step('gaps'), 4, [], [step('peel'), 0, 5])
      add(step('anchor'), between(6, 14), [], [step('gaps'), 0, 5])
      add(step('flush'), between(4, 8), [], [step('anchor'), 0, 5])
      add(step('trim'), 4, [], [step('flush'), 20, 90])
      add(step('turn'), 4, ['gun'], [step('trim'), 16, 45])
      add(step('seal'), 5, ['gun'], [step('turn'), 0, 5])
      add(step('look'), 4, ['lamp'], [step('seal'), 0, 60])
    }
  }
  return {
    people: Array.from({ length: people }, (_, p) => ({ id: `person-${p + 1}` })),
    tools: [
      { id: 'wash bay', count: 1 },
      { id: 'bench', count: 1 },
      { id: 'gun', count: guns },
      { id: 'lamp', count: 2 },
    ],
    tasks,
  }
}
