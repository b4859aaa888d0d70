import { english } from '@truelay/words'
import { writeBackup } from './backup/writeBackup.ts'
import { restoreBackup } from './backup/restoreBackup.ts'
import { startTroubleOf } from './database/startTrouble.ts'
import { answerReckoning } from './day/reckonByChild.ts'
import { reckonDay } from './day/reckonDay.ts'
import { serve } from './serve.ts'
import { readSettings } from './settings.ts'

const settings = readSettings(process.env)
if ('wrong' in settings) {
  process.stderr.write(`${settings.wrong}\n`)
  process.exit(2)
}
const { folder, migrations } = settings
const say = (words: string) => process.stdout.write(`${words}\n`)

/** What to do, by the first word of the command line. */
const commands: Readonly<Record<string, (file: string) => Promise<void>>> = {
  async '--backup'(file) {
    const { photos } = await writeBackup(folder, file, new Date())
    say(`All of ${folder} is in ${file}, with ${photos} photos; opened again and found whole.`)
  },
  async '--restore'(file) {
    const { note, before } = await restoreBackup(file, folder, migrations, new Date())
    say(`${folder} is as it was on ${note.madeAt}.${before === null ? '' : ` What was there lies in ${before}.`}`)
  },
}

const spentMs = () => {
  const { user, system } = process.cpuUsage()
  return (user + system) / 1000
}

const asked = process.argv.slice(2)
const network = asked.includes('--network')
const [word = '', file] = asked.filter((one) => one !== '--network')
const demo = word !== '--demo' ? 'no' : file === '--year' ? 'a year of it' : file === '--past' ? 'with a past' : 'yes'
const command = commands[word]
if (command !== undefined && file === undefined) {
  process.stderr.write('Name the file of the backup.\n')
  process.exit(2)
}
try {
  if (word === '--reckon-day') {
    const ends = { input: process.stdin, output: process.stdout }
    process.exitCode = await answerReckoning((day) => reckonDay(day, spentMs), ends)
  } else await (command === undefined || file === undefined ? serve(settings, { demo, network }) : command(file))
} catch (error) {
  const trouble = startTroubleOf(error, folder)
  if (trouble === null) throw error
  process.stderr.write(`${english(trouble.sentence)} ${english(trouble.fix)}\n`)
  process.exit(1)
}
