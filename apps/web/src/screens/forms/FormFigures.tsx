import { area, length, say } from '@truelay/core/say'
import { useWords } from '../../ui/words.ts'
import {
  familyWords,
  type FormDoc,
  materialWords,
  type PartFamily,
  type PartMaterial,
  partFamilies,
  partMaterials,
} from '@truelay/core/form'
import { Field, SelectInput } from '../../ui/Field.tsx'
import { GradeBars } from '../../ui/GradeBars.tsx'
import { Quantity } from '../../ui/Quantity.tsx'
import type { FormAnswer } from '../../workers/formWork.ts'

interface FormFiguresProps {
  readonly form: FormDoc
  readonly answer: FormAnswer | null
  readonly onChange: (to: (form: FormDoc) => FormDoc) => void
}

/** What the measured part is: how hard, how large, how it bends, how sure. */
export function FormFigures({ form, answer, onChange }: FormFiguresProps) {
  const t = useWords()
  return (
    <div className="min-h-0 flex-1 overflow-y-auto p-4">
      <p className="label text-note text-quiet">
        <Swatch className="bg-orange" /> {t`bends both ways`} <Swatch className="bg-violet" /> {t`saddle`}{' '}
        <Swatch className="border border-ink/40 bg-chalk" /> {t`flat, or bends one way only`}
      </p>
      {answer === null ? null : (
        <>
          {isBowMeasured(form) ? null : (
            <p className="mt-2 text-body font-bold leading-tight">
              {t`Nothing tells yet how it bends: it is taken as flat.`}
            </p>
          )}
          {answer.grade === null || !isBowMeasured(form) ? null : (
            <p className="mt-2 text-head font-bold leading-tight" data-testid="form-grade">
              <GradeBars grade={answer.grade} /> {t`Grade ${answer.grade}`}
              <span className="block text-body font-normal text-quiet">
                {answer.gradeWords === null ? null : t(answer.gradeWords)}
              </span>
            </p>
          )}
          <dl className="mt-2 text-body">
            <Row term={t`Area`}>
              <Quantity of={area(answer.surface.figures.areaMm2)} />
            </Row>
            <Row term={t`Outline`}>
              <Quantity of={length(answer.surface.figures.outlineMm, 0)} />
            </Row>
            <Row term={t`Sharpest radius`}>
              {Number.isFinite(answer.surface.figures.minRadiusMm) && answer.surface.figures.minRadiusMm < 20_000 ? (
                <Quantity of={length(answer.surface.figures.minRadiusMm, 0)} />
              ) : (
                t`flat`
              )}
            </Row>
            <Row term={t`Not developable`}>{t`${answer.surface.figures.gaussAbsoluteSr.toFixed(3)} sr`}</Row>
            <Row term={t(unsureTerm(form))}>
              {form.relief !== undefined ? (
                <Quantity of={length(form.relief.errorMm)} />
              ) : Number.isFinite(answer.surface.bowFit.unsureMm) ? (
                <Quantity of={length(answer.surface.bowFit.unsureMm)} />
              ) : (
                t`not measured`
              )}
            </Row>
          </dl>
        </>
      )}
      <div className="mt-3 grid grid-cols-2 gap-3">
        <Field label={t`Kind`}>
          <SelectInput
            value={form.family}
            onChange={(event) => onChange((now) => ({ ...now, family: event.target.value as PartFamily }))}
          >
            {partFamilies.map((family) => (
              <option key={family} value={family}>
                {t(familyWords[family])}
              </option>
            ))}
          </SelectInput>
        </Field>
        <Field label={t`Made of`}>
          <SelectInput
            value={form.material}
            onChange={(event) => onChange((now) => ({ ...now, material: event.target.value as PartMaterial }))}
          >
            {partMaterials.map((material) => (
              <option key={material} value={material}>
                {t(materialWords[material])}
              </option>
            ))}
          </SelectInput>
        </Field>
      </div>
    </div>
  )
}

/** Whether anything was measured that could tell how it bends; a flat part has a reading of nothing. */
const isBowMeasured = ({ relief, spots = [], bow }: FormDoc) =>
  relief !== undefined || spots.length > 0 || bow.length > 0

const unsureTerm = ({ relief, spots = [] }: FormDoc) =>
  relief !== undefined
    ? say`Scan kept to within`
    : spots.length > 0
      ? say`Between the targets unsure by`
      : say`Between the readings unsure by`

function Row({ term, children }: { readonly term: string; readonly children: React.ReactNode }) {
  return (
    <div className="flex justify-between gap-3 border-t border-hair py-0.5">
      <dt className="text-quiet">{term}</dt>
      <dd className="font-bold">{children}</dd>
    </div>
  )
}

const Swatch = ({ className }: { readonly className: string }) => (
  <span aria-hidden="true" className={`ml-1 inline-block size-3.5 align-middle ${className}`} />
)
