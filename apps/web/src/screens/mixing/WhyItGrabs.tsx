import { percent, temperature } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import type { Practice } from '@truelay/core/practice'
import { slideMinutes, whyItGrabs, usualClimate } from '@truelay/core/wait'
import { useState } from 'react'
import { useRoomQuery } from '../../remote/airApi.ts'
import { Button } from '../../ui/Button.tsx'
import { Choice } from '../../ui/Choice.tsx'
import { Modal } from '../../ui/Modal.tsx'
import { NumberField } from '../../ui/NumberField.tsx'

type Symptom = 'too early' | 'not at all'

/** Why film grabs too early or not at all: strength, soap, temperature and time put together. */
export function WhyItGrabs({ practice }: { readonly practice: Practice }) {
  const t = useWords()
  const [open, setOpen] = useState(false)
  return (
    <>
      <Button
        look="quiet"
        className="justify-self-start !px-0"
        onClick={() => setOpen(true)}
      >{t`It grabs too early, or will not grab`}</Button>
      {open ? (
        <Modal
          open
          title={t`Why it grabs as it does`}
          onClose={() => setOpen(false)}
          actions={<Button onClick={() => setOpen(false)}>{t`Close`}</Button>}
        >
          <Asking practice={practice} />
        </Modal>
      ) : null}
    </>
  )
}

function Asking({ practice }: { readonly practice: Practice }) {
  const t = useWords()
  const { data } = useRoomQuery()
  const [symptom, setSymptom] = useState<Symptom>('too early')
  const [soapMlPerL, setSoap] = useState(practice.lightSlipSoap)
  const [slipAlcohol, setSlipAlcohol] = useState(0)
  const [tackAlcoholPercent, setTack] = useState(practice.weakTackAlcohol)
  const [partC, setPartC] = useState<number | null>(null)
  const [minutesSinceWet, setMinutes] = useState(0)
  const [hardWater, setHardWater] = useState(false)
  const climate = {
    roomC: data?.now?.temperatureC ?? 20,
    humidityPercent: data?.now?.humidityPercent ?? 50,
  }
  const under = {
    slip: { alcoholPercent: slipAlcohol, soapMlPerL },
    tackAlcoholPercent,
    climate,
    partC: partC ?? climate.roomC,
    hardWater,
    minutesSinceWet,
  }
  const advice = whyItGrabs(symptom, under, practice)
  return (
    <div className="mt-4 grid gap-6 overflow-y-auto md:grid-cols-[20rem_1fr]">
      <div className="grid content-start gap-4">
        <Choice
          label={t`What it does`}
          value={symptom}
          onChange={setSymptom}
          options={[
            { value: 'too early', text: t`Grabs too early` },
            { value: 'not at all', text: t`Will not grab` },
          ]}
        />
        <NumberField
          label={t`Soap in the slip`}
          unit="mL/L"
          digits={1}
          value={soapMlPerL}
          min={0}
          max={50}
          onCommit={setSoap}
        />
        <NumberField
          label={t`Alcohol in the slip`}
          unit="%"
          digits={0}
          value={slipAlcohol}
          min={0}
          max={60}
          onCommit={setSlipAlcohol}
        />
        <NumberField
          label={t`Alcohol in the tack`}
          unit="%"
          digits={0}
          value={tackAlcoholPercent}
          min={0}
          max={60}
          onCommit={setTack}
        />
        <NumberField
          unit="°C"
          digits={0}
          label={t`Temperature of the part`}
          value={partC ?? climate.roomC}
          min={-10}
          max={70}
          onCommit={setPartC}
        />
        {symptom === 'too early' ? (
          <NumberField
            label={t`Since it was sprayed`}
            unit={t`min`}
            digits={0}
            value={minutesSinceWet}
            min={0}
            max={120}
            onCommit={setMinutes}
          />
        ) : null}
        <Choice
          label={t`Water`}
          value={hardWater ? 'hard' : 'soft'}
          onChange={(value) => setHardWater(value === 'hard')}
          options={[
            { value: 'soft', text: t`Distilled or soft` },
            { value: 'hard', text: t`Hard water` },
          ]}
        />
      </div>
      <div>
        <p className="text-lead">
          {t`In this air such film slides for about`}{' '}
          <strong className="text-title">{t`${slideMinutes(under, practice).toFixed(0)} min`}</strong>{' '}
          {t`after it was sprayed.`}
        </p>
        {advice.length === 0 ? (
          <p className="mt-3 text-body">{t`None of these is far from usual. Look for wax, a coating or dust under it.`}</p>
        ) : (
          <ol className="mt-3">
            {advice.map(({ cause, change }) => (
              <li key={t(cause)} className="border-t border-hair py-2.5 text-lead">
                <strong>{t(cause)}</strong>
                <span className="block text-body">{t(change)}</span>
              </li>
            ))}
          </ol>
        )}
        <p className="mt-4 text-note text-quiet">{t`A rule of thumb through the shop’s own times for light slip at ${temperature(usualClimate.roomC)} and ${percent(usualClimate.humidityPercent)}; the strongest cause comes first.`}</p>
      </div>
    </div>
  )
}
