import { howMeasured } from '@truelay/core/form'
import { Block } from '../../../ui/Block.tsx'
import { GradeBars } from '../../../ui/GradeBars.tsx'
import { useLaidPart } from '../LaidFrame.tsx'
import { useWords } from '../../../ui/words.ts'

/** How good the form is, and which schools decided. */
export function HowWorkedOut() {
  const t = useWords()
  const { first, full, question } = useLaidPart()
  const { plan } = full
  return (
    <Block title={t`How it is worked out`}>
      <p className="flex items-center gap-2">
        <GradeBars grade={plan.grade} /> {t(plan.gradeWords)}
      </p>
      {plan.schools.map((school) => (
        <p key={t(school.question)} className="mt-1.5 text-note leading-snug">
          <strong>{t(school.choice)}</strong>: {t(school.reason)}{' '}
          <span className="text-quiet">{t(school.otherwise)}</span>
        </p>
      ))}
      <p className="mt-1.5 text-note leading-snug text-quiet">{t`${howMeasured(question.lay.form, first.surface.bowFit)} Film as a membrane without friction.`}</p>
    </Block>
  )
}
