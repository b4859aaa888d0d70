import { randomUUID } from 'node:crypto'
import {
  type FitEvent,
  type FitLog,
  fitReceipt,
  type FitState,
  type PartId,
  replayFit,
  standing,
  writeIdHeader,
} from '@truelay/contract'
import type { PartPlan } from '@truelay/core/plan'

/** What a tablet does as the app does it: keeps its events, sends them again until they are confirmed, asks anew after news. */
export class SoakTablet {
  private waiting: FitEvent[] = []
  private writeId = randomUUID()
  /** What the server has confirmed, in the order of the tablet. */
  readonly confirmed: FitEvent[] = []
  readonly tooLate: string[] = []
  readonly errors: string[] = []
  private log: FitLog = { partId: '' as PartId, events: [] }
  private ended = false

  constructor(
    private readonly url: () => string,
    readonly partId: PartId,
    private readonly plan: PartPlan,
  ) {}

  private get shown(): FitState {
    return replayFit([...this.log.events, ...this.waiting])
  }

  async open(): Promise<void> {
    this.log = (await this.get(`/api/parts/${this.partId}/fit`)) as FitLog
  }

  private async get(path: string): Promise<unknown> {
    const answer = await fetch(this.url() + path).catch(() => null)
    if (answer === null) return null
    if (answer.status >= 500) this.errors.push(`${answer.status} ${path}`)
    return answer.json().catch(() => null)
  }

  /** Listens to the server's news, and asks anew for what a fit shows. */
  async listen(stop: AbortSignal): Promise<void> {
    while (!stop.aborted) {
      try {
        const answer = await fetch(`${this.url()}/api/news`, { signal: stop })
        const reader = answer.body?.pipeThrough(new TextDecoderStream()).getReader()
        let due = false
        for (let part = await reader?.read(); part?.done === false; part = await reader?.read()) {
          if (!part.value.includes('data: [') || due) continue
          due = true
          setTimeout(() => {
            due = false
            void this.get('/api/bay')
            void this.get('/api/liquids')
          }, 150)
        }
      } catch {
        await new Promise((resolve) => setTimeout(resolve, 500))
      }
    }
  }

  /** One press: the next step, now and then one back, now and then something wrong. */
  press(chance: number): void {
    if (this.ended) return
    const { shown } = this
    const event = (kind: string, more: object) =>
      ({
        id: randomUUID(),
        partId: this.partId,
        personId: 'ines',
        at: new Date().toISOString(),
        kind,
        ...more,
      }) as FitEvent
    if (shown.phase === 'not begun') {
      this.waiting.push(event('fitStarted', { plan: { ...this.plan, partId: this.partId } }))
      return
    }
    const step = shown.plan.steps[shown.done.length]
    const last = shown.done.at(-1)
    if (last !== undefined && (step === undefined || chance < 0.15))
      this.waiting.push(event('stepReopened', { stepId: last.stepId }))
    else if (step !== undefined && chance > 0.9)
      this.waiting.push(event('problemSeen', { stepId: step.id, problem: 'fingers', place: 'nose', comeBack: true }))
    else if (step !== undefined) {
      if (step.records === 'batches')
        for (const { school, says, batchMl, strength, add } of shown.plan.solutions)
          this.waiting.push(
            event('batchMixed', {
              stepId: step.id,
              batchNumber: `${this.partId}-1`.slice(0, 30),
              school,
              says,
              batchMl,
              ...strength,
              add: add.map(({ what, ml }) => ({ what, ml })),
            }),
          )
      this.waiting.push(event('stepDone', { stepId: step.id }))
    }
  }

  /** Sends what waits; says whether the server has answered. */
  async send(): Promise<boolean> {
    const run = this.waiting.slice(0, 100)
    if (run.length === 0) return true
    const answer = await fetch(`${this.url()}/api/parts/${this.partId}/fit`, {
      method: 'POST',
      headers: { 'content-type': 'application/json', [writeIdHeader]: this.writeId },
      body: JSON.stringify(run),
    }).catch(() => null)
    const body = await answer?.json().catch(() => null)
    if (answer == null || body == null) {
      // Not known whether it arrived: what waits may be more by now, so it goes as another write.
      this.writeId = randomUUID()
      return false
    }
    if (answer.status !== 200) {
      this.errors.push(`${answer.status} ${JSON.stringify(body).slice(0, 200)}`)
      this.ended = true
      return true
    }
    const receipt = fitReceipt.parse(body)
    const late = new Set(receipt.tooLate.map((l) => l.id))
    this.tooLate.push(...late)
    const taken = run.filter((e) => !late.has(e.id))
    this.confirmed.push(...taken)
    this.log = { ...this.log, events: [...this.log.events, ...taken] }
    this.waiting = this.waiting.slice(run.length)
    this.writeId = randomUUID()
    return true
  }

  async settle(): Promise<void> {
    while (this.waiting.length > 0 && !this.ended)
      if (!(await this.send())) await new Promise((resolve) => setTimeout(resolve, 200))
  }

  /** What of its confirmed events is not on the server as it was confirmed: lost, doubled, or in another order. */
  async faults(): Promise<{ lost: number; doubled: number; outOfOrder: number }> {
    const log = (await this.get(`/api/parts/${this.partId}/fit`)) as FitLog
    const ids = log.events.map((e) => e.id)
    const stored = new Set(ids)
    const mine = new Set(this.confirmed.map((e) => e.id))
    const there = ids.filter((id) => mine.has(id))
    const inOrder = [...mine].filter((id) => stored.has(id))
    return {
      lost: mine.size - inOrder.length,
      doubled: ids.length - stored.size,
      outOfOrder: there.filter((id, i) => id !== inOrder[i]).length,
    }
  }

  /** Bottles of its fit that stand by its log and not on the bench: a write that counted by halves. */
  missingBottles(bench: ReadonlySet<string>): number {
    const state = replayFit(this.log.events)
    return state.phase === 'not begun' ? 0 : standing(state, 'batchMixed').filter((e) => !bench.has(e.id)).length
  }
}
