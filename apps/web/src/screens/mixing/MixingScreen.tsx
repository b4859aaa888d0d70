import { Title } from '../../ui/Title.tsx'
import { say } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { LiquidBatch } from '@truelay/contract'
import { practiceWith } from '@truelay/core/practice'
import { useState } from 'react'
import { usePersonHere } from '../../bench/usePersonHere.ts'
import { useBayQuery } from '../../remote/api.ts'
import { useChangeShopMutation } from '../../remote/shopApi.ts'
import { useLiquidsQuery } from '../../remote/benchApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Choice } from '../../ui/Choice.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { WhoField } from '../frame/WhoField.tsx'
import { BottleLabel } from './BottleLabel.tsx'
import { BottlesHere } from './BottlesHere.tsx'
import { MixFresh } from './MixFresh.tsx'
import { anyBottle, type Present, presentOf } from './present.ts'
import { PutRight } from './PutRight.tsx'
import { ShelfAndNeeds } from './ShelfAndNeeds.tsx'
import { WhatIsIt } from './WhatIsIt.tsx'

type Task = 'mix' | 'what' | 'put right' | 'topped up'

/** The mixing bench: fresh batches, wrong ones, old ones; the bottles that stand in the shop, and what will run out. */
export function MixingScreen() {
  const t = useWords()
  const { data: bay, error: bayError } = useBayQuery()
  const { data: liquids, error } = useLiquidsQuery()
  const [changeShop] = useChangeShopMutation()
  const [task, setTask] = useState<Task>('mix')
  const [present, setPresent] = useState<Present>(anyBottle)
  const [label, setLabel] = useState<LiquidBatch | null>(null)
  const { here, person, choose } = usePersonHere(bay?.people ?? [])
  if (bay === undefined || liquids === undefined) {
    const wrong = error ?? bayError
    return wrong === undefined ? <Busy text={t`Opening the mixing bench`} /> : <Failed {...failureOf(wrong)} />
  }
  const { shop, people } = bay
  const practice = practiceWith(shop.practice)
  if (person === undefined)
    return <Failed sentence={say`Nobody works in this shop yet.`} fix={say`Add a person on the Shop screen first.`} />
  const batches = liquids.batches.filter((b) => b.emptiedAt === null)
  const common = { practice, stockPercent: shop.stockAlcoholPercent, personId: person.id }
  return (
    <div>
      <header className="flex flex-wrap items-end justify-between gap-4 border-b border-hair bg-paper px-6 py-4">
        <Title>{t`Mixing bench`}</Title>
        <div className="flex flex-wrap items-end gap-5">
          <Choice
            label={t`What to do`}
            value={task}
            onChange={setTask}
            options={[
              { value: 'mix', text: t`Mix fresh` },
              { value: 'what', text: t`What is it?` },
              { value: 'put right', text: t`Put right` },
              { value: 'topped up', text: t`Top up` },
            ]}
          />
          <WhoField label={t`who mixes`} people={here} person={person} onChoose={choose} />
        </div>
      </header>
      {task === 'mix' ? (
        <MixFresh
          {...common}
          onStock={(stockAlcoholPercent) => void changeShop({ stockAlcoholPercent })}
          onMixed={setLabel}
        />
      ) : task === 'what' ? (
        <WhatIsIt
          {...common}
          onPutRight={(is) => {
            setPresent({ batchId: null, bottleMl: Math.max(1000, is.volumeMl), ...is })
            setTask('put right')
          }}
        />
      ) : (
        <PutRight
          key={task}
          {...common}
          way={task}
          batches={batches}
          present={present}
          onPresent={setPresent}
          onDone={setLabel}
        />
      )}
      <BottlesHere
        batches={batches}
        people={people}
        keepsDays={practice.batchKeeps}
        personId={person.id}
        onLabel={setLabel}
        onTake={(batch, way) => {
          setPresent(presentOf(batch))
          setTask(way)
          document.querySelector('header')?.scrollIntoView()
        }}
      />
      <ShelfAndNeeds liquids={liquids} />
      {label === null ? null : (
        <BottleLabel batch={label} people={people} keepsDays={practice.batchKeeps} onClose={() => setLabel(null)} />
      )}
    </div>
  )
}
