import { useWho } from '../../bench/useWho.ts'
import { wholeFailure } from '@truelay/core/result'
import { useWords } from '../../ui/words.ts'
import type { Finding, FindingDraft } from '@truelay/contract'
import type { FindingKind } from '@truelay/core/plan'
import { bodyPlan, type Slot } from '@truelay/core/vehicle'
import { useMemo, useState } from 'react'
import { type SheetMark, VehicleSheet } from '../../drawings/VehicleSheet.tsx'
import { useRemoveFindingMutation, useSaveFindingMutation, useWalkRoundQuery } from '../../remote/walkRoundApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { useJobContext } from '../job/JobFrame.tsx'
import { ChooseKind } from './ChooseKind.tsx'
import { coveredParts } from './coveredParts.ts'
import { FindingDetail } from './FindingDetail.tsx'
import { FindingList } from './FindingList.tsx'
import { SignDialog } from './SignDialog.tsx'

type Aside =
  | { readonly show: 'list' }
  | { readonly show: 'kinds'; readonly slot: Slot; readonly at: readonly [number, number] }
  | { readonly show: 'finding'; readonly id: string }

/** Around the vehicle before anything is touched: what is there, where, and what follows from it. */
export function WalkRoundScreen() {
  const t = useWords()
  const { bundle } = useJobContext()
  const { job } = bundle
  const here = useWho(job.personId)
  const { data: walk, error } = useWalkRoundQuery(job.id)
  const [save, saving] = useSaveFindingMutation()
  const [remove, removing] = useRemoveFindingMutation()
  const [aside, setAside] = useState<Aside>({ show: 'list' })
  const [signing, setSigning] = useState(false)
  const plan = useMemo(() => bodyPlan(job.vehicle.kind), [job.vehicle.kind])
  const covered = useMemo(() => coveredParts(bundle), [bundle])
  const nameOf = (slot: string) => plan.slots.find((s) => s.id === slot)?.name ?? slot
  if (walk === undefined)
    return error === undefined ? <Busy text={t`Opening the walk-round`} /> : <Failed {...failureOf(error)} />

  const marks: SheetMark[] = [
    ...walk.earlier.flatMap((visit) =>
      visit.findings.map((f): SheetMark => ({ id: f.id, slot: f.slot, at: f.at, text: '', look: 'earlier' })),
    ),
    ...walk.findings.map(
      (f, i): SheetMark => ({
        id: f.id,
        slot: f.slot,
        at: f.at,
        text: String(i + 1),
        look: f.later ? 'later' : 'found',
      }),
    ),
  ]
  const keep = (finding: FindingDraft) => save({ jobId: job.id, finding })
  const add = (slot: Slot, at: readonly [number, number], kind: FindingKind) => {
    const id = crypto.randomUUID()
    void keep({
      id,
      partId: bundle.parts.find((p) => p.slot === slot.id)?.id ?? null,
      slot: slot.id,
      kind,
      at: [at[0], at[1]],
      sizeMm: null,
      note: '',
      photos: [],
      personId: here,
      foundAt: new Date().toISOString(),
    })
    setAside({ show: 'finding', id })
  }
  const change = ({ jobId: _job, later: _later, ...draft }: Finding, more: Partial<FindingDraft>) => {
    void keep({ ...draft, ...more })
  }
  const chosen = aside.show === 'finding' ? walk.findings.find((f) => f.id === aside.id) : undefined
  const problem = saving.error ?? removing.error
  return (
    <div className="flex min-h-0 flex-1 flex-col lg:grid lg:grid-cols-[1fr_24.5rem]">
      <div className="flex min-h-[28.75rem] flex-col lg:min-h-0">
        <p className="label px-5 pt-3 text-body text-quiet">
          {aside.show === 'kinds' ? (
            <>
              <strong className="text-ink">{aside.slot.name}</strong>
              {t`: what is it?`}
            </>
          ) : (
            t`Tap the place where something is. Filled parts will be covered.`
          )}
        </p>
        <div className="min-h-0 flex-1 p-3">
          <VehicleSheet
            plan={plan}
            covered={covered}
            marks={
              aside.show === 'kinds'
                ? [
                    ...marks,
                    { id: 'new', slot: aside.slot.id, at: [aside.at[0], aside.at[1]], text: '?', look: 'found' },
                  ]
                : marks
            }
            chosenSlot={aside.show === 'kinds' ? aside.slot.id : (chosen?.slot ?? null)}
            chosenMark={aside.show === 'kinds' ? 'new' : (chosen?.id ?? null)}
            onTap={(slot, at) => setAside({ show: 'kinds', slot, at: [at[0], at[1]] })}
            onMark={(id) => setAside({ show: 'finding', id })}
          />
        </div>
      </div>
      <aside className="flex min-h-0 flex-col border-t border-hair bg-paper lg:border-l lg:border-t-0">
        {problem === undefined ? null : (
          <Notice look="stop" role="alert">
            {t(wholeFailure(failureOf(problem)))}
          </Notice>
        )}
        {aside.show === 'kinds' ? (
          <ChooseKind
            slot={aside.slot}
            onChoose={(kind) => add(aside.slot, aside.at, kind)}
            onBack={() => setAside({ show: 'list' })}
          />
        ) : chosen === undefined ? (
          <FindingList
            walk={walk}
            nameOf={nameOf}
            onOpen={(id) => setAside({ show: 'finding', id })}
            onSign={() => setSigning(true)}
          />
        ) : (
          <FindingDetail
            key={chosen.id}
            finding={chosen}
            number={walk.findings.indexOf(chosen) + 1}
            place={nameOf(chosen.slot)}
            part={bundle.parts.find((p) => p.id === chosen.partId)?.name ?? null}
            locked={walk.signOff?.findingIds.includes(chosen.id) ?? false}
            onChange={(more) => change(chosen, more)}
            onOneMore={() => {
              const slot = plan.slots.find((s) => s.id === chosen.slot)
              const there = walk.findings.filter((f) => f.slot === chosen.slot).length
              if (slot !== undefined) setAside({ show: 'kinds', slot, at: beside(chosen.at, there) })
            }}
            onRemove={() => {
              void remove({ jobId: job.id, findingId: chosen.id })
              setAside({ show: 'list' })
            }}
            onDone={() => setAside({ show: 'list' })}
          />
        )}
      </aside>
      <SignDialog open={signing} bundle={bundle} walk={walk} nameOf={nameOf} onClose={() => setSigning(false)} />
    </div>
  )
}

/** A place on the same part that is not yet marked; the marks of a few lie apart. */
const beside = ([x, y]: readonly number[], there: number): [number, number] => [
  ((x ?? 0) + goldenShare * there) % 1,
  ((y ?? 0) + goldenShare * goldenShare * there) % 1,
]
const goldenShare = 0.618
