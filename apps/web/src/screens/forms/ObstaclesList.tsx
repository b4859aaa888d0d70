import { type Obstacle, type ObstacleKind, obstacleKinds, obstacleWords } from '@truelay/core/form'
import { Trash2 } from 'lucide-react'
import { Button } from '../../ui/Button.tsx'
import { SelectInput, TextInput } from '../../ui/Field.tsx'
import { useWords } from '../../ui/words.ts'
import { freshName } from './editForm.ts'
import { NumberCell } from './NumberCell.tsx'
import type { StepProps } from './stepProps.ts'

/** What stands in the way of film at an edge: it is let in by relief cuts, whose length comes from here. */
export function ObstaclesList({ form, onChange }: Pick<StepProps, 'form' | 'onChange'>) {
  const t = useWords()
  const obstacles = form.obstacles ?? []
  const keep = (change: (now: readonly Obstacle[]) => readonly Obstacle[]) =>
    onChange((now) => ({ ...now, obstacles: [...change(now.obstacles ?? [])] }))
  const set = (index: number, more: Partial<Obstacle>) =>
    keep((now) => now.map((o, i) => (i === index ? { ...o, ...more } : o)))
  return (
    <section aria-label={t`What stands in the way`} className="mt-4 border-t border-hair pt-3">
      <h3 className="label-strong text-body">{t`What stands in the way at an edge`}</h3>
      <ul className="mt-2 space-y-2">
        {obstacles.map((obstacle, i) => (
          <li key={`obstacle-${i}`} className="border border-hair p-2">
            <div className="grid grid-cols-[1fr_2.75rem] gap-2">
              <TextInput
                aria-label={t`Name of obstacle ${i + 1}`}
                value={obstacle.name}
                maxLength={60}
                onChange={(event) => set(i, { name: event.target.value })}
                className="font-bold"
              />
              <button
                type="button"
                aria-label={t`Remove ${obstacle.name}`}
                onClick={() => keep((now) => now.filter((_, k) => k !== i))}
                className="flex size-11 items-center justify-center text-quiet hover:text-stop"
              >
                <Trash2 size={18} />
              </button>
            </div>
            <SelectInput
              aria-label={t`Kind of ${obstacle.name}`}
              value={obstacle.kind}
              onChange={(event) => set(i, { kind: event.target.value as ObstacleKind })}
              className="mt-2"
            >
              {obstacleKinds.map((kind) => (
                <option key={kind} value={kind}>
                  {t(obstacleWords[kind])}
                </option>
              ))}
            </SelectInput>
            <div className="mt-2 grid grid-cols-2 gap-2">
              <NumberCell
                label={t`wide along the edge`}
                value={obstacle.widthMm}
                min={1}
                max={1000}
                onCommit={(widthMm) => set(i, { widthMm })}
              />
              <NumberCell
                label={t`reaches into the part`}
                value={obstacle.reachMm}
                min={0}
                max={500}
                onCommit={(reachMm) => set(i, { reachMm })}
              />
            </div>
          </li>
        ))}
      </ul>
      <Button
        className="mt-2 w-full"
        onClick={() =>
          keep((now) => [
            ...now,
            { name: freshName('pillar', now), kind: 'pillar', at: form.start, widthMm: 20, reachMm: 10 },
          ])
        }
      >{t`Add one, then drag it to its edge`}</Button>
    </section>
  )
}
