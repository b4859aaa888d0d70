import { counted } from '@truelay/core/say'
import { Title } from '../../ui/Title.tsx'
import { useWords } from '../../ui/words.ts'
import type { Form } from '@truelay/contract'
import { measuredFrom } from '@truelay/core/form'
import { Camera, Plus, ScanLine } from 'lucide-react'
import { useMemo, useState } from 'react'
import { Link } from 'react-router'
import { PartShape } from '../../drawings/PartShape.tsx'
import { useFormsQuery } from '../../remote/vehiclesApi.ts'
import { failureOf } from '../../remote/failureOf.ts'
import { buttonClass } from '../../ui/Button.tsx'
import { Busy, Failed } from '../../ui/Failed.tsx'
import { holdsWords } from '../../ui/holdsWords.ts'
import { SearchInput } from '../../ui/SearchInput.tsx'

/** Every part that was measured, by the vehicle it belongs to. */
export function FormsScreen() {
  const t = useWords()
  const { data: forms, error } = useFormsQuery()
  const [wanted, setWanted] = useState('')
  const shown = useMemo(() => (forms ?? []).filter((form) => holdsWords(wanted.trim(), [form.name])), [forms, wanted])
  if (forms === undefined)
    return error === undefined ? <Busy text={t`Opening the forms`} /> : <Failed {...failureOf(error)} />
  return (
    <div>
      <header className="flex flex-wrap items-end justify-between gap-4 border-b border-hair bg-paper px-6 py-4">
        <div>
          <Title>{t`Forms`}</Title>
          <p className="text-body text-quiet">{t`${counted(forms.length, '# part', '# parts')} measured`}</p>
        </div>
        <div className="flex flex-wrap items-end gap-3">
          <div className="w-64">
            <SearchInput
              label={t`Look for a part`}
              examples={t`bonnet, lamp …`}
              value={wanted}
              most={60}
              onChange={setWanted}
            />
          </div>
          <Link to="/models" className={buttonClass('quiet')}>{t`Models`}</Link>
          <Link to="/forms/new?photos=1" className={buttonClass()}>
            <Camera size={20} /> {t`From photographs`}
          </Link>
          <Link to="/forms/new?scan=1" className={buttonClass()}>
            <ScanLine size={20} /> {t`From a scan`}
          </Link>
          <Link to="/forms/new" className={buttonClass('go')}>
            <Plus size={20} /> {t`Measure a part`}
          </Link>
        </div>
      </header>
      {shown.length === 0 ? (
        <p className="p-6 text-body text-quiet">
          {forms.length === 0
            ? t`No part has been measured yet. A bonnet takes ten minutes with straightedge and rule.`
            : t`No part has “${wanted.trim()}” in its name.`}
        </p>
      ) : (
        <ul className="grid grid-cols-[repeat(auto-fill,minmax(14.375rem,1fr))] gap-2 p-5">
          {shown.map((form) => (
            <FormCard key={form.id} form={form} />
          ))}
        </ul>
      )}
    </div>
  )
}

function FormCard({ form }: { readonly form: Form }) {
  const t = useWords()
  return (
    <li>
      <Link
        to={`/forms/${form.id}`}
        className="flex h-full flex-col border border-hair bg-paper p-3 hover:border-petrol"
      >
        <PartShape form={form} className="h-28 w-full" />
        <span className="mt-2 text-body font-bold leading-tight">{form.name}</span>
        <span className="text-note text-quiet">{t`${measuredFrom(form)}, version ${form.version}`}</span>
      </Link>
    </li>
  )
}
