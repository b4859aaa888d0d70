import { length, temperature, warmer } from '@truelay/core/say'
import { heatUseWords } from '../../ui/heatUseWords.ts'
import { useWords } from '../../ui/words.ts'
import type { GunId } from '@truelay/contract'
import type { CalibratedGun } from '@truelay/core/heat'
import type { FilmDoc, HeatUse, PlannedHeat } from '@truelay/core/plan'
import { Link } from 'react-router'
import { buttonClass } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Notice } from '../../ui/Notice.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import { secondsWords } from '../../ui/secondsWords.ts'

interface HeatUsesProps {
  readonly heat: readonly PlannedHeat[]
  readonly shown: PlannedHeat
  readonly gun: CalibratedGun | null
  readonly gunId: GunId | null
  readonly film: FilmDoc
  readonly onShow: (use: HeatUse) => void
}

/** One use of heat at a time, in words that are read beside the gun. */
export function HeatUses({ heat, shown, gun, gunId, film, onShow }: HeatUsesProps) {
  const t = useWords()
  const sure = gun === null ? null : Math.round(100 * gun.riseSigma)
  return (
    <aside className="border-hair bg-paper px-5 py-4 lg:overflow-y-auto lg:border-l">
      <Choice
        label={t`Use of heat`}
        value={shown.use}
        onChange={onShow}
        options={heat.map((h) => ({ value: h.use, text: t(heatUseWords[h.use]) }))}
      />
      <p className="mt-4 text-title font-bold leading-tight first-letter:uppercase" data-testid="heat-words">
        {t(shown.words)}
      </p>
      <p className="mt-1.5 text-body text-quiet">{t`Strokes of ${length(shown.strokeMm)}, and half a spot past each end: the ends get half as much. Never still.`}</p>
      {shown.warning === null ? null : (
        <div className="mt-3">
          <Notice look={shown.marginC < 0 ? 'stop' : 'caution'} role="status">
            {t(shown.warning)}
          </Notice>
        </div>
      )}
      <dl className="mt-4 grid grid-cols-2 gap-x-6">
        <Figure label={t`thermometer right after`}>
          <Quantity of={temperature(shown.readingC)} />
        </Figure>
        <Figure label={t`room to damage`} amber={shown.marginC < 15}>
          <Quantity of={warmer(shown.marginC)} />
        </Figure>
        <Figure label={t`press`}>{t`warm, at once`}</Figure>
        <Figure label={t`before a cut`}>{t(secondsWords(shown.coolToCutS))}</Figure>
      </dl>
      <p className="mt-2 text-body" data-testid="passes-range">
        {shown.passesRange[0] === shown.passesRange[1]
          ? t`${shown.passes} passes.`
          : t`Read it after ${shown.passesRange[0]} passes; it may take up to ${shown.passesRange[1]}.`}
      </p>
      <section className="mt-4 border-t border-hair pt-3">
        <h3 className="label text-note text-quiet">{t`Where, the most first`}</h3>
        <ul>
          {shown.zones.slice(0, 6).map((zone) => (
            <li key={t(zone.label)} className="flex justify-between gap-4 text-body">
              <span className="first-letter:uppercase">{t(zone.label)}</span>
              <strong>{Math.round(100 * zone.share)} %</strong>
            </li>
          ))}
        </ul>
      </section>
      <section className="mt-4 border-t border-hair pt-3 text-body leading-snug">
        <h3 className="label text-note text-quiet">{t`Without the gun`}</h3>
        {shown.steamSeconds === null ? (
          <p>{t`Steam is not hot enough for this.`}</p>
        ) : (
          <p>
            {t`Steam, a hand’s breadth away and moving: about`} <strong>{t(secondsWords(shown.steamSeconds))}</strong>
            {t`; wipe it dry at once. Steam scalds: gloves.`}
          </p>
        )}
        <p className="text-quiet">
          {shown.use === 'seal'
            ? t`Or wait: press the edges again over the next two days.`
            : shown.use === 'soften'
              ? t`Or wait: film that hangs warm in the room gives a little by itself.`
              : t`Waiting does not end the film’s memory.`}
        </p>
      </section>
      <section className="mt-4 border-t border-hair pt-3 text-body leading-snug">
        <h3 className="label text-note text-quiet">{t`The gun`}</h3>
        <p>
          <strong>{t(shown.gun)}</strong>,{' '}
          {gun === null || gun.readings === 0
            ? t`never read with a thermometer: its heat may be off by a third.`
            : t`${gun.readings} ${gun.readings === 1 ? t`reading` : t`readings`}: give or take ${sure} %.`}
        </p>
        {gunId === null ? (
          <Link to="/shop" className={`${buttonClass('plain')} mt-2`}>{t`Describe a gun`}</Link>
        ) : (
          <Link
            to={`/shop/guns/${gunId}`}
            className={`${buttonClass('plain')} mt-2`}
          >{t`Read it with the thermometer`}</Link>
        )}
        <p className="mt-3 text-note text-quiet">{t`${film.name}: damage from ${temperature(film.damageC)}. Heat in one dimension through film, adhesive and part; its back is taken as insulated, so it may cool faster than this.`}</p>
      </section>
      <div className="mt-3 grid gap-2">
        <Notice look="caution">{t`Let alcohol flash off first. Keep heat off sensors, airbags and cracked lenses; follow the vehicle maker’s instructions.`}</Notice>
      </div>
    </aside>
  )
}

function Figure({
  label,
  amber = false,
  children,
}: {
  readonly label: string
  readonly amber?: boolean
  readonly children: React.ReactNode
}) {
  return (
    <div className="border-t border-hair py-2">
      <dt className="label text-note text-quiet">{label}</dt>
      <dd className={`text-title font-bold leading-none ${amber ? 'text-amber' : ''}`}>{children}</dd>
    </div>
  )
}
