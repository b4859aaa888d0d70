import { counted } from '@truelay/core/say'
import { bodyKindWords } from '@truelay/core/vehicle'
import { Link } from 'react-router'
import { useModelsQuery } from '../../remote/vehiclesApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'

/** Every model of vehicle that the shop knows. */
export function ModelsScreen() {
  const t = useWords()
  const { data: models, error } = useModelsQuery()
  if (models === undefined)
    return error === undefined ? <Busy text={t`Opening the models`} /> : <Failed {...failureOf(error)} />
  return (
    <div className="mx-auto max-w-[68.75rem] px-7 py-6">
      <p className="label text-body">
        <Link to="/forms" className="text-petrol underline">{t`Forms`}</Link>
      </p>
      <Title>{t`Models`}</Title>
      <p className="text-body text-quiet">{t`A model is added when the first vehicle of it comes in. What it knows of its parts is what the next one begins with.`}</p>
      <ul className="mt-4">
        {models.map((model) => (
          <li key={model.id} className="border-t border-hair">
            <Link
              to={`/models/${model.id}`}
              className="grid min-h-14 items-center gap-x-6 py-2 text-body hover:bg-petrol-tint sm:grid-cols-[1fr_1fr_1fr]"
            >
              <span className="text-lead font-bold">{model.name}</span>
              <span className="text-quiet">{t(bodyKindWords[model.kind])}</span>
              <span className="text-quiet">{t`${model.parts.filter((p) => p.formId !== null).length} of ${counted(model.parts.length, '# part', '# parts')} measured`}</span>
            </Link>
          </li>
        ))}
      </ul>
    </div>
  )
}
