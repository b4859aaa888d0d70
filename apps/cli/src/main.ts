import { parseArgs } from 'node:util'
import { align } from './commands/align.ts'
import { form } from './commands/form.ts'
import { heat } from './commands/heat.ts'
import { judge } from './commands/judge.ts'
import { lay } from './commands/lay.ts'
import { light } from './commands/light.ts'
import { mix } from './commands/mix.ts'
import { nest } from './commands/nest.ts'
import { order } from './commands/order.ts'
import { pattern } from './commands/pattern.ts'
import { plan } from './commands/plan.ts'
import { story } from './commands/story.ts'
import { wait } from './commands/wait.ts'
import { BadInput, NoneFound } from './input.ts'
import { inEnglish } from './inEnglish.ts'

const commands = { form, lay, align, mix, heat, wait, light, judge, plan, story, order, nest, pattern }
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
  return commands[command](parsed.positionals[0], parsed.values as Record<string, string | undefined>)
}

try {
  const answer = await run(process.argv.slice(2))
  process.stdout.write(`${typeof answer === 'string' ? answer : JSON.stringify(inEnglish(answer))}\n`)
} catch (error) {
  if (!(error instanceof BadInput || error instanceof NoneFound)) throw error
  process.stderr.write(`${error.message.replace(/\s*\n\s*/g, ' ')}\n`)
  process.exitCode = error instanceof NoneFound ? 3 : 2
}
