import type { Part, PartId } from '@truelay/contract'
import { endRefused } from '@truelay/core/edges'
import { cutRefused, liquidRefused, withChange, type WorkChange } from '@truelay/core/plan'
import { practiceWith } from '@truelay/core/practice'
import { list, name, say } from '@truelay/core/say'
import type { Database } from '../database/openDatabase.ts'
import { readPart, saveChoices } from '../jobs/queries.ts'
import { Refused } from '../reply/reply.ts'
import { readBundle } from './readBundle.ts'

/** What is chosen otherwise for a part, kept if the part can take it: its edges are there, its film and what was found allow the liquids, its film can come from there. */
export async function chooseWork(database: Database, id: PartId, change: WorkChange): Promise<Part> {
  const { jobId, choices: before } = await readPart(database, id)
  const choices = withChange(before, change)
  const { parts, forms, films, pieces, findings, shop } = await readBundle(database, jobId)
  const part = parts.find((p) => p.id === id)
  const form = forms.find((f) => f.id === part?.formId)
  const film = films.find((f) => f.id === part?.filmId)
  if (form === undefined || film === undefined)
    throw new Refused({
      code: 'PART_NOT_MEASURED',
      sentence: say`This part has no form yet, so it has no edges to choose for.`,
      fix: say`Measure it first.`,
    })
  const edges = [...form.edges, ...form.holes].map((edge) => edge.name)
  const strange = Object.keys(choices.ends).filter((edge) => !edges.includes(edge))
  if (strange.length > 0)
    throw new Refused({
      code: 'NO_SUCH_EDGE',
      sentence: say`${name(form.name)} has no edge ${list(strange.map((edge) => `"${edge}"`))}; nothing was changed.`,
      fix: say`Its edges are ${list(edges)}.`,
    })
  const cannotEnd = [...form.edges, ...form.holes].flatMap((edge) => {
    const code = choices.ends[edge.name]
    const why = code === undefined || code === edge.code ? null : endRefused(edge, code)
    return why === null ? [] : [why]
  })
  const [noEnd] = cannotEnd
  if (noEnd !== undefined)
    throw new Refused({ code: 'END_NOT_HERE', sentence: noEnd, fix: say`Choose another way; nothing was changed.` })
  const practice = practiceWith(shop.practice)
  const pattern = pieces.find((p) => p.id === part?.pieceId)?.pattern ?? null
  const cannotCut = choices.cut === null ? null : cutRefused(choices.cut, { form, film, pattern }, practice)
  if (cannotCut !== null)
    throw new Refused({ code: 'CUT_NOT_HERE', sentence: cannotCut, fix: say`Nothing was changed.` })
  const found = findings.filter((f) => f.partId === id)
  const refused = choices.liquids === null ? null : liquidRefused(choices.liquids, { form, film, found }, practice)
  if (refused !== null)
    throw new Refused({
      code: 'LIQUID_NOT_HERE',
      sentence: refused,
      fix: say`Choose another way; nothing was changed.`,
    })
  return saveChoices(database, id, choices)
}
