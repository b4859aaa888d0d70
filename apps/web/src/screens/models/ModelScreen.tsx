import type { FilmId, FormId, ModelPart, PieceId, VehicleModel } from '@truelay/contract'
import { name, say } from '@truelay/core/say'
import { bodyKindWords } from '@truelay/core/vehicle'
import { Link, useParams } from 'react-router'
import { useFormsQuery, useModelsQuery } from '../../remote/vehiclesApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { useSaveModelMutation, useShelfQuery } from '../../remote/shelfApi.ts'
import { buttonClass } from '../../ui/Button.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { SelectInput } from '../../ui/Field.tsx'
import { KeptText } from '../../ui/KeptText.tsx'
import { Heading, Title } from '../../ui/Title.tsx'
import { offerUndo } from '../../ui/undoOffer.ts'
import { useWords } from '../../ui/words.ts'
import { RemoveThing } from '../shelf/RemoveThing.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'

const columns = 'gap-x-4 lg:grid-cols-[1fr_1.2fr_1fr_1.1fr]'

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
  const put = async (next: VehicleModel) => {
    const saved = await save(next)
    if (saved.error === undefined) offerUndo({ said: say`Put right.`, back: () => save(model) })
  }
  const setPart = (at: number, more: Partial<ModelPart>) =>
    void put({ ...model, parts: model.parts.map((part, i) => (i === at ? { ...part, ...more } : part)) })
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
        <RemoveThing kind="models" id={model.id} called={model.name} to="/models" />
      </div>
      <WhatFailed error={error} className="mt-3" />
      <div className="mt-4 max-w-md">
        <KeptText
          label={t`Name of the model`}
          value={model.name}
          maxLength={80}
          needed
          onCommit={(called) => void put({ ...model, name: called })}
        />
      </div>
      <Heading className="mt-6">{t`Its parts`}</Heading>
      <div aria-hidden="true" className={`label mt-1 hidden text-note text-quiet lg:grid ${columns}`}>
        <span>{t`Part`}</span>
        <span>{t`Form`}</span>
        <span>{t`Piece`}</span>
        <span>{t`Film`}</span>
      </div>
      <ul className="mt-1">
        {model.parts.map((part, i) => (
          <PartRow key={`${part.slot}-${part.name}`} part={part} onChange={(more) => setPart(i, more)} />
        ))}
      </ul>
    </div>
  )
}

interface PartRowProps {
  readonly part: ModelPart
  readonly onChange: (more: Partial<ModelPart>) => void
}

function PartRow({ part, onChange }: PartRowProps) {
  const t = useWords()
  const { data: forms = [] } = useFormsQuery()
  const { data: shelf } = useShelfQuery()
  const pieces = shelf?.pieces.filter((p) => p.formId === part.formId || p.id === part.pieceId) ?? []
  return (
    <li className={`grid items-center gap-y-1 border-t border-hair py-1.5 ${columns}`}>
      <span className="text-body font-bold leading-tight">{part.name}</span>
      <SelectInput
        aria-label={t`Form of ${part.name}`}
        value={part.formId ?? ''}
        onChange={(event) => onChange({ formId: (event.target.value as FormId) || null, pieceId: null })}
      >
        <option value="">{t`not measured yet`}</option>
        {forms.map((form) => (
          <option key={form.id} value={form.id}>
            {form.name}
          </option>
        ))}
      </SelectInput>
      <SelectInput
        aria-label={t`Piece for ${part.name}`}
        value={part.pieceId ?? ''}
        onChange={(event) => onChange({ pieceId: (event.target.value as PieceId) || null })}
      >
        <option value="">{t`from the roll`}</option>
        {pieces.map((piece) => (
          <option key={piece.id} value={piece.id}>
            {piece.name}
          </option>
        ))}
      </SelectInput>
      <SelectInput
        aria-label={t`Film for ${part.name}`}
        value={part.filmId ?? ''}
        onChange={(event) => onChange({ filmId: (event.target.value as FilmId) || null })}
      >
        <option value="">{t`the usual film`}</option>
        {shelf?.films.map((film) => (
          <option key={film.id} value={film.id}>
            {film.name}
          </option>
        ))}
      </SelectInput>
    </li>
  )
}
