import { parseArgs } from 'node:util'
import { BadInput, NoneFound } from './input.ts'
import { inEnglish } from './inEnglish.ts'

/** Each loaded only when it is asked for: most of what one needs is of no use to the others. */
const commands = {
  form: async () => (await import('./commands/form.ts')).form,
  lay: async () => (await import('./commands/lay.ts')).lay,
  align: async () => (await import('./commands/align.ts')).align,
  mix: async () => (await import('./commands/mix.ts')).mix,
  heat: async () => (await import('./commands/heat.ts')).heat,
  wait: async () => (await import('./commands/wait.ts')).wait,
  light: async () => (await import('./commands/light.ts')).light,
  judge: async () => (await import('./commands/judge.ts')).judge,
  plan: async () => (await import('./commands/plan.ts')).plan,
  story: async () => (await import('./commands/story.ts')).story,
  order: async () => (await import('./commands/order.ts')).order,
  nest: async () => (await import('./commands/nest.ts')).nest,
  pattern: async () => (await import('./commands/pattern.ts')).pattern,
}
const text = { type: 'string' } as const
const optionsOf: Record<keyof typeof commands, Record<string, typeof text>> = {
  form: { triangles: text, out: text },
  lay: { mesh: text, units: text, mode: text, take: text, holes: text, flat: text, film: text, order: text },
  align: {},
  mix: {},
  heat: {},
  wait: {},
  light: {},
  judge: {},
  plan: { order: text },
  story: {},
  order: {},
  nest: {},
  pattern: { 'mm-per-unit': text },
}

async function run(words: string[]): Promise<unknown> {
  const [name, ...rest] = words
  if (name === undefined || !(name in commands))
    throw new BadInput(
      `${name === undefined ? 'no command' : `unknown command "${name}"`}: use one of ${Object.keys(commands).join(', ')}`,
    )
  const command = name as keyof typeof commands
  let parsed: { values: Record<string, string | boolean | undefined>; positionals: string[] }
  try {
    parsed = parseArgs({ args: rest, options: optionsOf[command], allowPositionals: true })
  } catch (error) {
    throw new BadInput(
      `${command}: ${error instanceof Error ? (error.message.split('. ')[0] ?? '') : 'unreadable options'}`,
    )
  }
  if (parsed.positionals.length > 1)
    throw new BadInput(`${command}: one file at a time; "${parsed.positionals[1]}" is too many`)
  const answerTo = await commands[command]()
  return answerTo(parsed.positionals[0], parsed.values as Record<string, string | undefined>)
}

try {
  const answer = await run(process.argv.slice(2))
  process.stdout.write(`${typeof answer === 'string' ? answer : JSON.stringify(inEnglish(answer))}\n`)
} catch (error) {
  if (!(error instanceof BadInput || error instanceof NoneFound)) throw error
  process.stderr.write(`${error.message.replace(/\s*\n\s*/g, ' ')}\n`)
  process.exitCode = error instanceof NoneFound ? 3 : 2
}
