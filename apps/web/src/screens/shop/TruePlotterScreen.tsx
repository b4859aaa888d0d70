import type { Shop } from '@truelay/contract'
import { corrected, scaleMeasured, testSquare } from '@truelay/core/cutting'
import { practiceProblem, practiceWith } from '@truelay/core/practice'
import { wholeFailure } from '@truelay/core/result'
import { length, say, type Sentence } from '@truelay/core/say'
import { useState } from 'react'
import { Link } from 'react-router'
import { useShopQuery } from '../../remote/api.ts'
import { usePlotterQuery } from '../../remote/cutApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { useCutTestSquareMutation } from '../../remote/labelApi.ts'
import { useChangeShopMutation } from '../../remote/shopApi.ts'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { NumberField } from '../../ui/NumberField.tsx'
import { Heading, Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { type CutFileKind, cutFile, cutFileKinds, scaleOf } from '../cut/cutFiles.ts'
import { ForRole } from '../frame/ForRole.tsx'
import { WhatFailed } from '../frame/WhatFailed.tsx'
import { saveFile } from '../shelf/saveFile.ts'

/** Makes the plotter cut true: a square is cut, its sides are measured, and from then on every cut is drawn longer or shorter by as much. */
export function TruePlotterScreen() {
  const t = useWords()
  const { data: shop, error } = useShopQuery()
  if (shop === undefined)
    return error === undefined ? <Busy text={t`Opening the shop`} /> : <Failed {...failureOf(error)} />
  return <TruePlotter shop={shop} />
}

const usualSideMm = 200
/** So far off is told, and worth a correction: over a metre, mm. */
const worthMm = 0.2

/** What comes of a metre along or across the roll. */
function offWords(percent: number): Sentence {
  const offMm = 10 * (percent - 100)
  return Math.abs(offMm) < worthMm
    ? say`true`
    : offMm < 0
      ? say`${length(-offMm)} too short on a metre`
      : say`${length(offMm)} too long on a metre`
}

function TruePlotter({ shop }: { readonly shop: Shop }) {
  const t = useWords()
  const practice = practiceWith(shop.practice)
  const { data: plotter } = usePlotterQuery()
  const [cut, cutting] = useCutTestSquareMutation()
  const [save, saving] = useChangeShopMutation()
  const [kind, setKind] = useState<CutFileKind>('HPGL')
  const [sideMm, setSide] = useState(usualSideMm)
  const [measured, setMeasured] = useState({ alongMm: usualSideMm, acrossMm: usualSideMm })
  const [taken, setTaken] = useState(false)
  const scale = scaleMeasured(sideMm, measured, scaleOf(practice))
  const next = { plotterAlong: 100 * scale.along, plotterAcross: 100 * scale.across }
  const problem =
    practiceProblem('plotterAlong', next.plotterAlong) ?? practiceProblem('plotterAcross', next.plotterAcross)
  const write = async () => {
    const square = testSquare(sideMm, practice.cutBorder)
    const line = corrected([...square, ...square.slice(0, 1)], scaleOf(practice))
    const reachMm = sideMm + 2 * practice.cutBorder
    const file = await cutFile(kind, 'test-square', {
      title: t`Test square`,
      lengthMm: reachMm,
      widthMm: reachMm,
      lines: [{ kind: 'outline', line }],
    })
    saveFile(file.name, file.type, file.text)
  }
  const refused =
    cutting.error === undefined
      ? cutting.data?.taken === false
        ? cutting.data.says
        : null
      : wholeFailure(failureOf(cutting.error))
  const kinds: Record<CutFileKind, string> = { HPGL: t`HPGL`, SVG: t`SVG`, DXF: t`DXF` }
  return (
    <ForRole least="installer">
      <div className="max-w-[66.25rem] px-6 py-5">
        <Link to="/shop" className="label text-body text-petrol underline">{t`Shop`}</Link>
        <Title>{t`True the plotter`}</Title>
        <p className="mt-1 max-w-3xl text-body text-quiet">{t`A piece that is cut 0.4 % too short is ${length(6, 0)} too short on a bonnet. Cut a square, measure it, and every cut comes out true.`}</p>
        <div className="mt-5 grid gap-x-10 gap-y-6 lg:grid-cols-2">
          <section aria-labelledby="true-cut">
            <Heading id="true-cut">{t`1. Cut a square`}</Heading>
            <div className="mt-2 w-44">
              <NumberField
                label={t`Its side`}
                unit="mm"
                digits={0}
                min={50}
                max={1000}
                value={sideMm}
                onCommit={(mm) => {
                  setSide(mm)
                  setMeasured({ alongMm: mm, acrossMm: mm })
                }}
              />
            </div>
            {plotter === undefined || plotter.state === 'none' ? null : (
              <>
                <p className="mt-3 border-l-5 border-amber pl-3 text-body leading-snug">
                  {t`The head moves by itself: hands, sleeves and cloths off while it cuts, as its maker says.`}
                </p>
                <Button
                  look="go"
                  className="mt-3 min-h-13"
                  disabled={cutting.isLoading}
                  onClick={() => void cut({ sideMm })}
                >{t`Cut it on the plotter`}</Button>
                {refused === null ? (
                  cutting.data === undefined ? null : (
                    <Notice look="good" role="status">
                      <span className="text-body">{t`The plotter has it. Weed it, and lay it flat to measure.`}</span>
                    </Notice>
                  )
                ) : (
                  <Notice look="stop" role="alert">
                    <span className="text-body">{t(refused)}</span>
                  </Notice>
                )}
              </>
            )}
            <div className="mt-3 flex flex-wrap items-center gap-3">
              <Choice
                label={t`Kind of cut file`}
                value={kind}
                options={cutFileKinds.map((value) => ({ value, text: kinds[value] }))}
                onChange={setKind}
              />
              <Button onClick={() => void write()}>{t`Save it as a file`}</Button>
            </div>
          </section>
          <section aria-labelledby="true-measure">
            <Heading id="true-measure">{t`2. Measure it, to a tenth`}</Heading>
            <div className="mt-2 grid max-w-md grid-cols-2 gap-6">
              <NumberField
                label={t`Along the roll`}
                unit="mm"
                digits={1}
                min={0.9 * sideMm}
                max={1.1 * sideMm}
                value={measured.alongMm}
                onCommit={(alongMm) => setMeasured({ ...measured, alongMm })}
              />
              <NumberField
                label={t`Across it`}
                unit="mm"
                digits={1}
                min={0.9 * sideMm}
                max={1.1 * sideMm}
                value={measured.acrossMm}
                onCommit={(acrossMm) => setMeasured({ ...measured, acrossMm })}
              />
            </div>
            <dl className="mt-4 grid max-w-md grid-cols-2 gap-6 text-body">
              <div>
                <dt className="label text-note text-quiet">{t`It cuts, along`}</dt>
                <dd className="text-lead font-bold" data-testid="off-along">
                  {t(offWords((100 * measured.alongMm) / sideMm))}
                </dd>
              </div>
              <div>
                <dt className="label text-note text-quiet">{t`It cuts, across`}</dt>
                <dd className="text-lead font-bold" data-testid="off-across">
                  {t(offWords((100 * measured.acrossMm) / sideMm))}
                </dd>
              </div>
            </dl>
            {problem === null ? null : (
              <div className="mt-3">
                <Notice look="stop" role="alert">
                  <span className="text-body">{t`${problem} Measure again, or have its maker look at it.`}</span>
                </Notice>
              </div>
            )}
            <Button
              look="go"
              className="mt-4 min-h-13"
              disabled={problem !== null || saving.isLoading}
              onClick={() =>
                void save({ practice: next }).then((answer) => {
                  if (answer.error !== undefined) return
                  setMeasured({ alongMm: sideMm, acrossMm: sideMm })
                  setTaken(true)
                })
              }
            >{t`Cut true from now on`}</Button>
            <WhatFailed error={saving.error} className="mt-3" />
            {taken ? (
              <div className="mt-3">
                <Notice look="good" role="status">
                  <span className="text-body">{t`Every cut is drawn so that it comes out true. Cut another square to be sure.`}</span>
                </Notice>
              </div>
            ) : null}
          </section>
        </div>
      </div>
    </ForRole>
  )
}
