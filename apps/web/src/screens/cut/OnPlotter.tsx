import { wholeFailure } from '@truelay/core/result'
import { useSendCutMutation } from '../../remote/cutApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { Button } from '../../ui/Button.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { useWords } from '../../ui/words.ts'
import type { CutWork } from './cutWork.ts'

/** Sends the cut to the plotter; when it has taken it, the pieces are counted and the kit is shown. */
export function OnPlotter({ work, answers }: { readonly work: CutWork; readonly answers: boolean }) {
  const t = useWords()
  const { job, ready, take, onCounted } = work
  const [send, sending] = useSendCutMutation()
  const cutNow = async () => {
    const taken = take()
    if (taken === null) return
    const { hpglOfCut } = await import('@truelay/formats/cutFile')
    const answer = await send({
      jobId: job.id,
      draft: { ...taken.draft, file: hpglOfCut(taken.cut) },
    })
    if (answer.data?.state === 'cut') onCounted()
  }
  const refused = sending.data !== undefined && sending.data.state !== 'cut' ? sending.data.says : null
  return (
    <>
      <p className="mt-2 border-l-5 border-amber pl-3 text-body leading-snug">
        {t`The head moves by itself: hands, sleeves and cloths off while it cuts, as its maker says.`}
      </p>
      <Button
        look={answers ? 'go' : 'plain'}
        disabled={!ready || sending.isLoading}
        className="mt-2 min-h-14 w-full"
        onClick={() => void cutNow()}
      >
        {sending.isLoading ? t`Sending to the plotter` : t`Cut on the plotter`}
      </Button>
      {sending.error === undefined && refused === null ? null : (
        <div className="mt-2">
          <Notice look="stop" role="alert">
            <span className="text-body">
              {refused === null ? t(wholeFailure(failureOf(sending.error))) : t`${refused} Nothing was counted.`}
            </span>
          </Notice>
        </div>
      )}
    </>
  )
}
