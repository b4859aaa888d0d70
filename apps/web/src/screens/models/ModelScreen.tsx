import type { ModelPart, VehicleModel } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { bodyKindWords, bodyPlan } from '@truelay/core/vehicle'
import { useMemo } from 'react'
import { Link, useParams } from 'react-router'
import { usePutRight } from '../../bench/usePutRight.ts'
import { useModelsQuery } from '../../remote/vehiclesApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { useSaveModelMutation } from '../../remote/shelfApi.ts'
import { buttonClass } from '../../ui/Button.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { KeptText } from '../../ui/KeptText.tsx'
import { Heading, Title } from '../../ui/Title.tsx'
import { offerUndo } from '../../ui/undoOffer.ts'
import { useWords } from '../../ui/words.ts'
import { ForRole } from '../frame/ForRole.tsx'
import { AddModelPart } from './AddModelPart.tsx'
import { partColumns } from './partColumns.ts'
import { PartRow } from './PartRow.tsx'
import { RemoveThing } from '../shelf/RemoveThing.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'

/** What one model knows of its parts: the form, the piece and the film that the next vehicle of it begins with. */
export function ModelScreen() {
  const t = useWords()
  const { modelId = '' } = useParams()
  const { data: models, error } = useModelsQuery()
  if (models === undefined)
    return error === undefined ? <Busy text={t`Opening the models`} /> : <Failed {...failureOf(error)} />
  const model = models.find((m) => m.id === modelId)
  if (model === undefined)
    return (
      <Failed sentence={say`There is no model "${name(modelId)}".`} fix={say`Choose one from the list.`}>
        <Link to="/models" className={buttonClass('go')}>{t`To the models`}</Link>
      </Failed>
    )
  return <Model key={model.id} model={model} />
}

function Model({ model }: { readonly model: VehicleModel }) {
  const t = useWords()
  const [save, { error }] = useSaveModelMutation()
  const put = usePutRight(model, save, (back) => offerUndo({ said: say`Put right.`, back }))
  const changePart = (at: number, more: Partial<ModelPart>) =>
    void put(({ parts }) => ({ parts: parts.map((part, i) => (i === at ? { ...part, ...more } : part)) }))
  // A row stays the same row while its part is called otherwise or moved.
  const rows = model.parts.map((part, i) => ({ part, i, key: `row ${i}` }))
  const { slots } = useMemo(() => bodyPlan(model.kind), [model.kind])
  /** Two parts of one name cannot be told apart on a job. */
  const nameProblem = (called: string, own?: string) =>
    called !== own && model.parts.some((part) => part.name === called)
      ? t`"${called}" is among its parts already.`
      : null
  return (
    <div className="mx-auto max-w-[80rem] px-7 py-6">
      <p className="label text-body">
        <Link to="/models" className="text-petrol underline">{t`Models`}</Link>
      </p>
      <div className="flex flex-wrap items-end justify-between gap-4">
        <div>
          <Title>{model.name}</Title>
          <p className="text-body text-quiet">{t(bodyKindWords[model.kind])}</p>
        </div>
        <Link to={`/models/${model.id}/known`} className={buttonClass('plain')}>{t`What we know of it`}</Link>
        <RemoveThing kind="models" id={model.id} called={model.name} to="/models" />
      </div>
      <WhatFailed error={error} className="mt-3" />
      <ForRole least="installer">
        <div className="mt-4 max-w-md">
          <KeptText
            label={t`Name of the model`}
            value={model.name}
            maxLength={80}
            needed
            onCommit={(called) => void put(() => ({ name: called }))}
          />
        </div>
        <Heading className="mt-6">{t`Its parts`}</Heading>
        <div aria-hidden="true" className={`label mt-1 hidden text-note text-quiet lg:grid ${partColumns}`}>
          <span>{t`Part`}</span>
          <span>{t`Form`}</span>
          <span>{t`Piece`}</span>
          <span>{t`Film`}</span>
        </div>
        <ul className="mt-1">
          {rows.map(({ part, i, key }) => (
            <PartRow
              key={key}
              part={part}
              slots={slots}
              nameProblem={(called) => nameProblem(called, part.name)}
              onChange={(more) => changePart(i, more)}
              onRemove={() => void put(({ parts }) => ({ parts: parts.filter((_, k) => k !== i) }))}
            />
          ))}
        </ul>
        <AddModelPart
          slots={slots}
          nameProblem={nameProblem}
          onAdd={(part) => void put(({ parts }) => ({ parts: [...parts, part] }))}
        />
      </ForRole>
    </div>
  )
}
