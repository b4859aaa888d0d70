import type { Form, Piece, VehicleModel } from '@truelay/contract'
import { faultKinds, faultWords } from '@truelay/core/judge'
import {
  fingerWords,
  heatWords,
  nameless,
  offsetWords,
  type PartKnown,
  paceWords,
  pullWords,
} from '@truelay/core/memory'
import { atStart, count, counted, name, say } from '@truelay/core/say'
import { Download } from 'lucide-react'
import { Link, useParams } from 'react-router'
import { useRecall } from '../../bench/useRecall.ts'
import { useShopQuery } from '../../remote/api.ts'
import { useForgetFactsMutation, useMemoryQuery } from '../../remote/memoryApi.ts'
import { useShelfQuery } from '../../remote/shelfApi.ts'
import { useFormsQuery, useModelsQuery } from '../../remote/vehiclesApi.ts'
import { saveFile } from '../shelf/saveFile.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button } from '../../ui/Button.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { offerUndo } from '../../ui/undoOffer.ts'
import { ForRole } from '../frame/ForRole.tsx'
import { FactsOfOthers } from './FactsOfOthers.tsx'
import { TakeIntoPiece } from './TakeIntoPiece.tsx'
import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'

/** What the fits of a model have taught, part by part. */
export function KnownScreen() {
  const t = useWords()
  const { modelId = '' } = useParams()
  const { data: models, error } = useModelsQuery()
  const model = models?.find((one) => one.id === modelId)
  if (models === undefined)
    return error === undefined ? <Busy text={t`Opening the models`} /> : <Failed {...failureOf(error)} />
  if (model === undefined)
    return <Failed sentence={say`There is no model "${name(modelId)}".`} fix={say`Choose one from the list.`} />
  return <Known key={model.id} model={model} />
}

/** The sides of a part as they are called where nobody has measured which way it lies. */
const plain = { right: 'the right', left: 'the left', up: 'the top', down: 'the bottom' }

function Known({ model }: { readonly model: VehicleModel }) {
  const t = useWords()
  const { data: shop } = useShopQuery()
  const { data: memory } = useMemoryQuery()
  const { data: shelf } = useShelfQuery()
  const { data: forms } = useFormsQuery()
  const [forget] = useForgetFactsMutation()
  const forgetThere = async (slot: string) => {
    const told = { modelId: model.id, slot }
    const outcome = await forget({ ...told, forgotten: true })
    if (outcome.error !== undefined) return
    offerUndo({
      said: say`Forgotten: the next fit begins to teach anew. The records stay.`,
      back: () => forget({ ...told, forgotten: false }),
    })
  }
  const known = useRecall(
    model.parts.map(({ slot, pieceId }) => ({ modelId: model.id, slot, pieceId, body: null, hand: null })),
    shop ?? { practice: {} },
  )
  const rows = model.parts.flatMap((part, i) => {
    const of = known?.[i]
    return of === undefined ? [] : [{ part, of }]
  })
  const fitted = rows.filter(({ of }) => of.fits > 0)
  return (
    <div className="mx-auto max-w-[80rem] px-7 py-6">
      <p className="label text-body">
        <Link to={`/models/${model.id}`} className="text-petrol underline">
          {model.name}
        </Link>
      </p>
      <div className="flex flex-wrap items-end justify-between gap-4">
        <Title>{t`What we know of ${model.name}`}</Title>
        <Button
          disabled={memory === undefined}
          onClick={() =>
            saveFile(
              'what-fits-teach.json',
              'application/json',
              JSON.stringify({ facts: nameless(memory?.facts ?? []) }, null, 1),
            )
          }
        >
          <Download size={18} aria-hidden="true" /> {t`Save what fits teach, without names`}
        </Button>
      </div>
      {known === null ? (
        <Busy text={t`Reading what fits have taught`} />
      ) : fitted.length === 0 ? (
        <p className="mt-4 text-lead">{t`None of its parts has been fitted here yet. The first fit that is finished begins to teach.`}</p>
      ) : (
        <ul className="mt-4">
          {fitted.map(({ part, of }) => (
            <li
              key={`${part.slot} ${part.name}`}
              className="grid gap-x-6 gap-y-1 border-t border-hair py-3 md:grid-cols-[14rem_1fr]"
            >
              <div>
                <h2 className="text-lead font-bold leading-tight">{part.name}</h2>
                <p className="text-body text-quiet">{t`fitted ${counted(of.fits, '# time', '# times')}`}</p>
                <ForRole least="lead">
                  <Button
                    look="quiet"
                    className="-ml-4"
                    onClick={() => void forgetThere(part.slot)}
                  >{t`Forget its fits`}</Button>
                </ForRole>
              </div>
              <KnownOf
                known={of}
                piece={shelf?.pieces.find(({ id }) => id === part.pieceId)}
                form={forms?.find(({ id }) => id === part.formId)}
              />
            </li>
          ))}
        </ul>
      )}
      {memory === undefined ? null : <FactsOfOthers memory={memory} />}
    </div>
  )
}

interface KnownOfProps {
  readonly known: PartKnown
  readonly piece: Piece | undefined
  readonly form: Form | undefined
}

function KnownOf({ known, piece, form }: KnownOfProps) {
  const t = useWords()
  const { offset, faults, fits, laidAgain } = known
  const took = paceWords(known, null)
  const curedTimes = (fault: string) => known.cured.find((one) => one.fault === fault)?.times ?? 0
  const isFault = (fault: string): fault is (typeof faultKinds)[number] => faultKinds.some((kind) => kind === fault)
  return (
    <div className="space-y-1 text-body leading-snug">
      {offset === null ? null : (
        <p className={offset.begin === null && !offset.implausible ? '' : 'font-bold'}>
          {t(offsetWords(offset, form?.directions ?? plain))}
        </p>
      )}
      {offset === null || piece === undefined ? null : <TakeIntoPiece piece={piece} offset={offset} />}
      {fingerWords(known).map((words) => (
        <p key={t(words)}>{t(words)}</p>
      ))}
      {faults.map(({ fault, times }) =>
        isFault(fault) ? (
          <p key={fault}>
            {curedTimes(fault) === 0
              ? t`${atStart(faultWords(fault))}: ${count(times)} of ${counted(fits, '# time', '# times')}.`
              : t`${atStart(faultWords(fault))}: ${count(times)} of ${counted(fits, '# time', '# times')}, put right ${counted(curedTimes(fault), '# time', '# times')}.`}
          </p>
        ) : null,
      )}
      {laidAgain === 0 ? null : (
        <p>{t`${counted(laidAgain, '# piece was', '# pieces were')} spoilt and laid again.`}</p>
      )}
      {[...pullWords(known), ...heatWords(known)].map((words) => (
        <p key={t(words)}>{t(words)}</p>
      ))}
      {took === null ? null : <p>{t(took)}</p>}
    </div>
  )
}
