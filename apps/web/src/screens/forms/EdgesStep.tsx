import { useWords } from '../../ui/words.ts'
import type { EdgeCode, FormEdge } from '@truelay/core/form'
import { edgeAdvice, edgeCodeWords } from '@truelay/core/plan'
import { Button } from '../../ui/Button.tsx'
import { Field, SelectInput, TextInput } from '../../ui/Field.tsx'
import { ObstaclesList } from './ObstaclesList.tsx'
import { freshName } from './editForm.ts'
import type { StepProps } from './stepProps.ts'
import { NumberCell } from './NumberCell.tsx'

const codes = Object.keys(edgeCodeWords) as EdgeCode[]
const usualLip = { turnDeg: 85, depthMm: 10 }

/** How each edge ends, what is behind it, and whether it has a lip. */
export function EdgesStep({ form, onChange, chosen, onChoose }: StepProps) {
  const t = useWords()
  const set = (name: string, change: (edge: FormEdge) => FormEdge) =>
    onChange((now) => ({ ...now, edges: now.edges.map((edge) => (edge.name === name ? change(edge) : edge)) }))
  const used = (name: string) => form.outline.some((segment) => segment.edge === name)
  return (
    <>
      <ul className="space-y-2">
        {form.edges.map((edge, i) => (
          <li
            key={edge.name}
            onPointerEnter={() => onChoose({ edge: edge.name })}
            onFocus={() => onChoose({ edge: edge.name })}
            className={`border border-hair p-2 ${chosen.edge === edge.name ? 'bg-paper' : ''}`}
          >
            <TextInput
              aria-label={t`Name of edge ${i + 1}`}
              value={edge.label}
              maxLength={60}
              onChange={(event) => set(edge.name, (e) => ({ ...e, label: event.target.value }))}
              className="font-bold"
            />
            <div className="mt-2 grid grid-cols-2 gap-2">
              <SelectInput
                aria-label={t`${edge.label} ends with`}
                value={edge.code}
                onChange={(event) => set(edge.name, (e) => ({ ...e, code: event.target.value as EdgeCode }))}
              >
                {codes.map((code) => (
                  <option key={code} value={code}>
                    {t(edgeCodeWords[code])}
                  </option>
                ))}
              </SelectInput>
              <TextInput
                aria-label={t`Behind ${edge.label}`}
                placeholder={t`behind it`}
                value={edge.behind ?? ''}
                maxLength={60}
                onChange={(event) =>
                  set(edge.name, ({ behind: _, ...e }) =>
                    event.target.value === '' ? e : { ...e, behind: event.target.value },
                  )
                }
              />
            </div>
            <TextInput
              aria-label={t`Line at ${edge.label}`}
              placeholder={t`line, such as a colour change`}
              value={edge.line ?? ''}
              maxLength={60}
              onChange={(event) =>
                set(edge.name, ({ line: _, ...e }) =>
                  event.target.value === '' ? e : { ...e, line: event.target.value },
                )
              }
              className="mt-2"
            />
            <p className="mt-1 text-note text-quiet">{t(edgeAdvice(edge.code))}</p>
            {edge.lip === undefined ? (
              <Button
                look="quiet"
                onClick={() => set(edge.name, (e) => ({ ...e, lip: usualLip, code: 'lip-stop' }))}
              >{t`It has a sharp lip`}</Button>
            ) : (
              <div className="mt-1 grid grid-cols-[1fr_1fr_auto] items-end gap-2">
                <NumberCell
                  label={t`lip turns`}
                  unit="°"
                  value={edge.lip.turnDeg}
                  min={20}
                  max={180}
                  onCommit={(turnDeg) => set(edge.name, (e) => ({ ...e, lip: { ...(e.lip ?? usualLip), turnDeg } }))}
                />
                <NumberCell
                  label={t`lip depth`}
                  value={edge.lip.depthMm}
                  min={0.5}
                  max={200}
                  onCommit={(depthMm) => set(edge.name, (e) => ({ ...e, lip: { ...(e.lip ?? usualLip), depthMm } }))}
                />
                <Button onClick={() => set(edge.name, ({ lip: _, ...e }) => e)}>{t`No lip`}</Button>
              </div>
            )}
            {used(edge.name) ? null : (
              <p className="text-note text-amber">
                {t`No stretch of the outline belongs to it.`}{' '}
                <button
                  type="button"
                  className="underline"
                  onClick={() => onChange((now) => ({ ...now, edges: now.edges.filter((e) => e.name !== edge.name) }))}
                >{t`Remove`}</button>
              </p>
            )}
          </li>
        ))}
      </ul>
      <Button
        className="mt-3 w-full"
        onClick={() =>
          onChange((now) => {
            const name = freshName('edge', now.edges)
            return { ...now, edges: [...now.edges, { name, label: name, code: 'stop-short' }] }
          })
        }
      >{t`Add an edge`}</Button>
      <ObstaclesList form={form} onChange={onChange} />
      <div className="mt-4 border-t border-hair pt-3">
        <Field label={t`What is opened to reach behind an edge`}>
          <TextInput
            placeholder={t`boot, bonnet, or nothing`}
            value={form.opens ?? ''}
            maxLength={60}
            onChange={(event) =>
              onChange(({ opens: _, ...now }) =>
                event.target.value === '' ? now : { ...now, opens: event.target.value },
              )
            }
          />
        </Field>
      </div>
    </>
  )
}
