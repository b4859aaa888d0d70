import { filmLayers, type FilmLayers, type LightChoice as Light, plainLens } from '@truelay/core/light'
import { practiceWith } from '@truelay/core/practice'
import type { JobBundle, Part } from '@truelay/contract'
import { useSaveChoicesMutation } from '../../remote/jobApi.ts'
import { Choice } from '../../ui/Choice.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { useWords } from '../../ui/words.ts'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { ForRole } from '../frame/ForRole.tsx'

const lensStates = ['new', 'dulled', 'yellowed'] as const
const sameShare = (a: number, b: number) => Math.abs(a - b) < 1e-9

/** What the lamp's light passes, and how dark it is wished. */
export function LightWish({ bundle, part }: { readonly bundle: JobBundle; readonly part: Part }) {
  const t = useWords()
  const [save, { error, isLoading }] = useSaveChoicesMutation()
  const chosen = part.choices.light ?? plainLens
  const practice = practiceWith(bundle.shop.practice)
  const shareOf = { new: 1, dulled: practice.lensDulled / 100, yellowed: practice.lensYellowed / 100 }
  const change = (light: Partial<Light> | null) =>
    void save({ jobId: bundle.job.id, partId: part.id, change: { light } })
  return (
    <ForRole least="installer">
      <WhatFailed error={error} />
      <div className="grid grid-cols-2 gap-4">
        <NumberField
          label={t`Light left, at most`}
          unit="%"
          value={100 * (chosen.mostShare ?? 1)}
          digits={0}
          min={5}
          max={100}
          onCommit={(most) => change({ mostShare: most >= 100 ? null : most / 100 })}
        />
        <NumberField
          label={t`Lens lets through`}
          unit="%"
          value={100 * chosen.lensShare}
          digits={0}
          min={5}
          max={100}
          onCommit={(lens) => change({ lensShare: lens / 100 })}
        />
      </div>
      <p className="label mb-1 mt-3 text-note text-quiet">{t`The lens as it is`}</p>
      <Choice
        label={t`The lens as it is`}
        value={lensStates.find((state) => sameShare(shareOf[state], chosen.lensShare)) ?? 'typed'}
        options={[
          { value: 'new', text: t`as new`, disabled: isLoading },
          { value: 'dulled', text: t`dulled`, disabled: isLoading },
          { value: 'yellowed', text: t`yellowed`, disabled: isLoading },
        ]}
        onChange={(state) => {
          if (state !== 'typed') change({ lensShare: shareOf[state] })
        }}
      />
      <p className="label mb-1 mt-3 text-note text-quiet">{t`Layers of film`}</p>
      <Choice
        label={t`Layers of film`}
        value={`${chosen.layers}`}
        options={filmLayers.map((layers) => ({ value: `${layers}`, text: `${layers}`, disabled: isLoading }))}
        onChange={(layers) => change({ layers: Number(layers) as FilmLayers })}
      />
      <p className="label mb-1 mt-3 text-note text-quiet">{t`Lamps or reflectors beside it`}</p>
      <Choice
        label={t`Lamps or reflectors beside it`}
        value={chosen.otherLamps ? 'yes' : 'no'}
        options={[
          { value: 'yes', text: t`do their share`, disabled: isLoading },
          { value: 'no', text: t`none`, disabled: isLoading },
        ]}
        onChange={(others) => change({ otherLamps: others === 'yes' })}
      />
      {part.choices.light === null ? null : (
        <button
          type="button"
          onClick={() => change(null)}
          className="label-strong mt-2 block min-h-11 text-body text-petrol underline"
        >{t`A clear lens, one layer, no wish`}</button>
      )}
    </ForRole>
  )
}
