import { type FitFacts, factsFile, sayProblem } from '@truelay/contract'
import { counted, say, type Sentence } from '@truelay/core/say'
import { Upload } from 'lucide-react'
import { useState } from 'react'
import { useBorrowFactsMutation, useGiveBackFactsMutation } from '../../remote/memoryApi.ts'
import { Button } from '../../ui/Button.tsx'
import { dayText } from '../../ui/clockText.ts'
import { FileButton } from '../../ui/FileButton.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { Heading } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { ForRole } from '../frame/ForRole.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'

const notSuch = say`That is no file of what fits teach: nothing was changed. Take one that was saved on this page in another shop.`

/** What the fits of other shops teach: brought in as a file, and forgotten again. */
export function FactsOfOthers({ memory }: { readonly memory: FitFacts }) {
  const t = useWords()
  const [borrow, { error }] = useBorrowFactsMutation()
  const [giveBack] = useGiveBackFactsMutation()
  const [problem, setProblem] = useState<Sentence | null>(null)
  const bring = async ([file]: readonly File[]) => {
    if (file === undefined) return
    setProblem(null)
    const read = factsFile.safeParse(asJson(await file.text()))
    if (!read.success)
      return setProblem(asJson(await file.text()) === undefined ? notSuch : sayProblem(read.error).sentence)
    if (read.data.facts.length === 0) return setProblem(say`There is no fit in that file: nothing was changed.`)
    const says = file.name.replace(/\.json$/i, '').slice(0, 80) || 'file'
    await borrow({ says, facts: read.data.facts })
  }
  return (
    <ForRole least="lead">
      <section aria-labelledby="others-title" className="mt-8 border-t border-hair pt-4">
        <Heading id="others-title">{t`From other shops`}</Heading>
        <p className="mt-1 max-w-3xl text-body text-quiet">{t`What the fits of another shop teach can be brought in as the file that was saved there. It counts for the same models and pieces; its vehicles and hands stay apart from yours.`}</p>
        <ul>
          {memory.borrowed.map(({ id, says, broughtAt, facts }) => (
            <li key={id} className="flex flex-wrap items-center gap-4 border-t border-hair py-2 text-body">
              <strong>{says}</strong>
              <span className="text-quiet">{t`${counted(facts, '# fit', '# fits')}, brought in on ${dayText(broughtAt)}`}</span>
              <Button look="quiet" onClick={() => void giveBack(id)}>{t`Forget it`}</Button>
            </li>
          ))}
        </ul>
        {problem === null ? null : (
          <Notice look="stop" role="alert">
            {t(problem)}
          </Notice>
        )}
        <WhatFailed error={error} />
        <div className="mt-2">
          <FileButton
            label={t`File of what fits teach`}
            accept="application/json,.json"
            onFiles={(files) => void bring(files)}
          >
            <Upload size={18} aria-hidden="true" /> {t`Bring in a file`}
          </FileButton>
        </div>
      </section>
    </ForRole>
  )
}

function asJson(text: string): unknown {
  try {
    return JSON.parse(text)
  } catch {
    return undefined
  }
}
