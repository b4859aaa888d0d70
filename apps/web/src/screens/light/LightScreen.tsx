import { lensLight, plainLens, type Shade, shadesOf, shadeToTake } from '@truelay/core/light'
import { wholeFailure } from '@truelay/core/result'
import { atStart, percent, say, counted } from '@truelay/core/say'
import { LampGlow } from '../../drawings/LampGlow.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { Heading } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import { isTintedLamp, useSheet } from '../laySheet/SheetFrame.tsx'
import { LightRead } from './LightRead.tsx'
import { LightWish } from './LightWish.tsx'

const shownMost = 8

/** How dark a lamp gets, film by film, to be looked at with its owner before anything is peeled. */
export function LightScreen() {
  const t = useWords()
  const { bundle, part, question } = useSheet()
  const { film, grades, practice, lampUse = null } = question.work
  const choice = part.choices.light ?? plainLens
  const leastAlone = practice.lightAlone / 100
  if (!isTintedLamp(question) || film.transmission === undefined)
    return <p className="p-8 text-head">{t`${film.name} takes no light worth telling from this part.`}</p>
  const light = lensLight({
    use: lampUse,
    film: { name: film.name, transmission: film.transmission },
    choice,
    grades,
    leastAlone,
  })
  // Pieces that share a lamp lie over each other where they meet.
  const besides = bundle.parts.some((other) => other.id !== part.id && other.slot === part.slot)
  const toTake = shadeToTake({ choice, grades, leastAlone })
  const shades = shadesOf(grades, choice.lensShare).slice(0, shownMost)
  const isOwn = (shade: Shade) => shade.grade.name === film.name && shade.layers === choice.layers
  const isToTake = (shade: Shade) =>
    toTake !== null && shade.grade.name === toTake.grade.name && shade.layers === toTake.layers
  return (
    <div className="grid flex-1 gap-x-10 gap-y-6 overflow-y-auto px-6 py-5 lg:grid-cols-[minmax(0,1fr)_minmax(0,1fr)]">
      <section aria-labelledby="left-title">
        <Heading id="left-title">{t`${film.name} on ${part.name}`}</Heading>
        {light.ok ? (
          <>
            <div className="mt-3 flex items-center gap-6">
              <LampGlow share={light.value.outputRatio} className="size-32 shrink-0" />
              <p>
                <strong className="block text-[4.5rem] font-bold leading-none">
                  {t`${percent(Math.round(100 * light.value.outputRatio))}`}
                </strong>
                <span className="text-head">{t`of the light is left`}</span>
              </p>
            </div>
            <p className="mt-3 text-lead leading-snug">{t(light.value.words)}</p>
            {besides ? (
              <p className="mt-2 text-body">
                {t`Where it lies over the film beside it, ${percent(Math.round(100 * light.value.outputRatio * film.transmission))} is left.`}
              </p>
            ) : null}
          </>
        ) : (
          <Notice look="stop" role="alert">
            {t(wholeFailure(light.failure))}
          </Notice>
        )}
        {bundle.shop.lensRules === '' ? null : (
          <div className="mt-3">
            <Notice look="caution">
              <strong className="block">{t`What this shop does and does not do`}</strong>
              <span className="whitespace-pre-line">{bundle.shop.lensRules}</span>
            </Notice>
          </div>
        )}
        {light.ok ? <LightRead part={part} jobId={bundle.job.id} says={light.value.words} /> : null}
      </section>
      <section aria-labelledby="wish-title">
        <Heading id="wish-title">{t`What is wished`}</Heading>
        <div className="mt-2">
          <LightWish bundle={bundle} part={part} />
        </div>
        <h3 className="label-strong mt-5 border-b border-hair text-lead">{t`What is at hand, lightest first`}</h3>
        <ul>
          {shades.map((shade) => (
            <li
              key={`${shade.grade.name} ${shade.layers}`}
              className={`flex items-center gap-4 border-b border-hair py-1.5 ${isOwn(shade) ? 'bg-petrol-tint' : ''}`}
            >
              <LampGlow share={shade.outputRatio} className="size-11 shrink-0" />
              <span className="flex-1 text-body leading-tight">
                <strong>{shade.grade.name}</strong>
                {shade.layers === 1 ? '' : t`, ${counted(shade.layers, '# layer', '# layers')}`}
                {isToTake(shade) ? (
                  <span className="block text-good">
                    {t(
                      shade.outputRatio > (choice.mostShare ?? 1) + 1e-9
                        ? say`as dark as a lamp alone is made`
                        : say`${atStart('the lightest that is as dark as wished')}`,
                    )}
                  </span>
                ) : null}
                {isOwn(shade) ? <span className="block text-petrol">{t`as it is planned now`}</span> : null}
              </span>
              <strong className="text-head">{t`${percent(Math.round(100 * shade.outputRatio))}`}</strong>
            </li>
          ))}
        </ul>
        <p className="mt-2 text-body text-quiet">{t`Another film is chosen on the page of the job; a piece that was cut from this one does not fit it.`}</p>
      </section>
    </div>
  )
}
