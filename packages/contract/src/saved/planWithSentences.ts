import { type Liquid, liquids, liquidWords, type Tool, tools, toolWords } from '@truelay/core/plan'
import { asOld, asWritten, eachOld, type Old, withWords } from './upcastWords.ts'

/** A plan from before sentences and steps were data. Its words stay as they stood; what was said in them is made into values. */
export function planWithSentences(plan: unknown): unknown {
  const old = withWords(asOld(plan), 'gradeWords')
  return {
    gapSigmaMm: 0.25,
    ...old,
    schools: eachOld(old.schools, (s) => withWords(s, 'question', 'choice', 'reason', 'otherwise')),
    solutions: eachOld(old.solutions, (s) => ({ ...withWords(s, 'says'), warnings: eachWord(s.warnings) })),
    anchors: eachOld(old.anchors, (a) => ({ drawn: false, ...withWords(a, 'label') })),
    edges: eachOld(old.edges, (e) => withWords(e, 'advice')),
    checks: eachOld(old.checks, (c) => withWords(c, 'label')),
    order: old.order === undefined ? null : withWords(asOld(old.order), 'name', 'words', 'because'),
    light: old.light === undefined ? null : withWords(asOld(old.light), 'words'),
    heat: eachOld(old.heat ?? [], (h) => ({
      ...withWords(h, 'gun', 'words', 'setting', 'warning'),
      zones: eachOld(h.zones, (z) => withWords(z, 'label')),
    })),
    waits: eachOld(old.waits ?? [], (w) => withWords(w, 'label')),
    notes: eachOld(old.notes ?? [], (n) => withWords(n, 'because', 'says')),
    steps: eachOld(old.steps, stepWithValues),
  }
}

const eachWord = (value: unknown) => (Array.isArray(value) ? value.map(asWritten) : value)

const wholeLay = /-pass$|^release$|^lay-outward$|^shrink-flaps$/

function stepWithValues(step: Old): unknown {
  const { inHand, ...old } = withWords(step, 'headline', 'detail', 'why', 'gate', 'because')
  const held = Array.isArray(inHand) ? inHand : []
  const id = String(old.id)
  const anchor = /^anchor-(\d+)$/.exec(id)?.[1]
  const picture = asOld(old.picture)
  return {
    ...old,
    picture: { ...picture, marks: eachOld(picture.marks, (m) => withWords(m, 'text')) },
    tools: tools.filter((tool) => held.includes(wordsOfTool(tool))),
    liquids: liquids.filter((liquid) => held.includes(wordsOfLiquid(liquid))),
    references: [],
    cautions: Array.isArray(old.cautions)
      ? old.cautions.map((says: unknown) => ({ about: 'other', says: asWritten(says) }))
      : [],
    ...(old.wait === undefined ? {} : { wait: waitWithKind(asOld(old.wait)) }),
    ...(anchor === undefined ? {} : { laidUpTo: Number(anchor) }),
    ...(wholeLay.test(id) ? { laidUpTo: 'all' } : {}),
    ...(id === 'hand-on' ? { tells: 'aftercare' } : {}),
  }
}

/** English was the only language then, and the text of a sentence is its English. */
const wordsOfTool = (tool: Tool) => toolWords(tool).text
const wordsOfLiquid = (liquid: Liquid) => liquidWords(liquid).text

const waitWithKind = (wait: Old): unknown => ({
  kind: 'initialGrab',
  usualMinutes: wait.leastMinutes,
  factor: 1,
  ...withWords(wait, 'label'),
})
