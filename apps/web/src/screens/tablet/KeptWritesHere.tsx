import { say, type Sentence } from '@truelay/core/say'
import type { ShownWrite } from '../../remote/keptWrites/keptWritesSlice.ts'
import { keptWrites } from '../../store/store.ts'
import { Button } from '../../ui/Button.tsx'
import { clockText, shortDayText } from '../../ui/clockText.ts'
import { useWords } from '../../ui/words.ts'

const words: Readonly<Record<ShownWrite['what'], Sentence>> = {
  finding: say`A finding of a walk-round`,
  'finding taken away': say`A finding taken away`,
  photo: say`A photo`,
  'kit count': say`What of a kit has arrived`,
  bottle: say`A bottle on the mixing bench`,
  exercise: say`An exercise`,
}

/** What was found, photographed, counted and mixed here and is not on the server yet. */
export function KeptWritesHere({ writes }: { readonly writes: readonly ShownWrite[] }) {
  const t = useWords()
  if (writes.length === 0) return null
  return (
    <section aria-labelledby="kept-writes" className="mt-6 border-t border-hair pt-4">
      <h2
        id="kept-writes"
        className="label-strong text-lead"
      >{t`Found, counted and mixed while the server was away`}</h2>
      <ul className="mt-1">
        {writes.map((write) => (
          <li
            key={write.id}
            className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-hair py-2 text-body"
          >
            <span className="font-bold">{t(words[write.what])}</span>
            <span className="text-quiet">
              {shortDayText(write.at)}, {clockText(write.at)}
            </span>
            {write.refused === null ? (
              <span>{t`goes by itself once the server answers`}</span>
            ) : (
              <>
                <span className="basis-full border-l-5 border-stop pl-3">{t`The server did not take it. ${write.refused}`}</span>
                <Button onClick={() => void keptWrites.putAway(write.id)}>{t`I have read it; put it away`}</Button>
              </>
            )}
          </li>
        ))}
      </ul>
    </section>
  )
}
