import type { PartPlan } from '@truelay/core/plan'
import { fingerWords, heatWords, type KnownOffset, offsetWords, paceWords, timesWords } from '@truelay/core/memory'
import { name, say } from '@truelay/core/say'
import { useAppDispatch } from '../../../store/store.ts'
import { pieceMoved } from '../../../bench/shiftSlice.ts'
import { useMay } from '../../../bench/useMay.ts'
import { beginsThere, useRecallPart } from '../../../bench/useRecallPart.ts'
import { useSaveShiftMutation } from '../../../remote/jobApi.ts'
import { Block } from '../../../ui/Block.tsx'
import { Button } from '../../../ui/Button.tsx'
import { offerUndo } from '../../../ui/undoOffer.ts'
import { useWords } from '../../../ui/words.ts'
import { useLaidPart } from '../LaidFrame.tsx'

/** What earlier fits of this part teach, and the offset of its piece to begin with at one press. */
export function FromBefore({ plan }: { readonly plan: PartPlan }) {
  const t = useWords()
  const { bundle, part } = useLaidPart()
  const known = useRecallPart(bundle, part)
  if (known === null) return null
  const took = paceWords(known, workMinutes(plan))
  const told = [...fingerWords(known, plan.edges), ...heatWords(known), ...(took === null ? [] : [took])]
  return (
    <Block title={t`From earlier fits`}>
      <p className="leading-snug">{t(timesWords(known, plan.partName))}</p>
      {known.offset === null ? null : <Offset offset={known.offset} plan={plan} />}
      {told.map((words) => (
        <p key={t(words)} className="mt-1 leading-snug">
          {t(words)}
        </p>
      ))}
    </Block>
  )
}

/** Work without waits. */
const workMinutes = ({ steps }: PartPlan) => steps.reduce((sum, step) => sum + step.minutes, 0)

function Offset({ offset, plan }: { readonly offset: KnownOffset; readonly plan: PartPlan }) {
  const t = useWords()
  const { bundle, part, shift } = useLaidPart()
  const may = useMay('installer')
  const [saveShift, { isLoading }] = useSaveShiftMutation()
  const dispatch = useAppDispatch()
  const { begin } = offset
  const there = beginsThere(offset, shift)
  const put = (from: typeof shift, to: typeof shift) => {
    dispatch(pieceMoved({ partId: part.id, from, shift: to }))
    return saveShift({ jobId: bundle.job.id, partId: part.id, shift: to })
  }
  return (
    <>
      <p className={`mt-1 leading-snug ${begin === null && !offset.implausible ? '' : 'font-bold'}`}>
        {t(offsetWords(offset, plan.directions))}
      </p>
      {begin === null ? null : there ? (
        <p className="mt-1 text-good">{t`The plan begins with that.`}</p>
      ) : (
        <Button
          look="go"
          disabled={!may || isLoading}
          className="mt-2 w-full"
          onClick={() => {
            const before = shift
            void put(before, begin).then(() =>
              offerUndo({
                said: say`${name(part.name)} begins where earlier fits ended.`,
                back: () => put(begin, before),
              }),
            )
          }}
        >{t`Begin with that`}</Button>
      )}
    </>
  )
}
