/**
 * The benchmark of the core and of the built app: `./truelay bench [SECTION…]`. Prints tables and writes them into docs/bench.md; sections that were not asked
 * for keep what stands there. Times are the least of a few runs in one process. A machine that is shared is waited for: a section begins when the machine is quiet
 * and is measured again when it was not until its end; how loaded it was is told under its title.
 */
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { cpus } from 'node:os'
import { performance } from 'node:perf_hooks'
import { appSection } from './app.ts'
import { coldLaySection } from './coldLay.ts'
import { commandLineSection } from './commandLine.ts'
import { daySection } from './day.ts'
import { draggingSection } from './dragging.ts'
import { heatSection } from './heat.ts'
import { judgingSection } from './judging.ts'
import { laySheetsSection } from './laySheets.ts'
import { Load } from './load.ts'
import { memorySection } from './memory.ts'
import { naturalLaySection } from './naturalLay.ts'
import { photographsSection } from './photographs.ts'
import { readReport, type Report, writeReport } from './report.ts'
import { rollSection } from './roll.ts'
import { searchSection } from './search.ts'
import type { Section } from './section.ts'
import { storeysSection } from './storeys.ts'
import { workedLaySection } from './workedLay.ts'

const file = 'docs/bench.md'
const sections: Readonly<Record<string, Section>> = {
  naturalLay: naturalLaySection,
  coldLay: coldLaySection,
  search: searchSection,
  workedLay: workedLaySection,
  heat: heatSection,
  dragging: draggingSection,
  judging: judgingSection,
  memory: memorySection,
  photographs: photographsSection,
  day: daySection,
  roll: rollSection,
  storeys: storeysSection,
  app: appSection,
  commandLine: commandLineSection,
  laySheets: laySheetsSection,
}
/** Up to so many times its quietest the machine counts as quiet. */
const quietLoad = 1.25
/** Minutes a section waits for a quiet machine, and times it is measured at most. */
const patienceMinutes = Number(process.env.BENCH_PATIENCE ?? 3)
const mostTries = 3
/** Within a section a quiet moment is waited for so long. */
const settlesWithinMs = 15_000
/** A section that takes longer is not measured again, s. */
const longSection = 90

const asked = process.argv.slice(2)
const unknown = asked.filter((name) => !(name in sections))
if (unknown.length > 0) {
  process.stderr.write(
    `There is no section ${unknown.join(', ')}. Name one or more of ${Object.keys(sections).join(', ')}, or none for all.\n`,
  )
  process.exit(2)
}

const machine = `Node ${process.version}, ${cpus().length} cores, ${cpus()[0]?.model ?? 'unknown processor'}.`
const before: Report = existsSync(file)
  ? readReport(readFileSync(file, 'utf8'))
  : { head: '', sections: new Map<string, string>() }
const leastKnown = before.head.includes(machine) ? /quietest, ([\d.]+) ms/.exec(before.head)?.[1] : undefined
const load = new Load(leastKnown === undefined ? Number.POSITIVE_INFINITY : Number(leastKnown))
const measured = new Map(before.sections)
const names = asked.length > 0 ? asked : Object.keys(sections)
for (const name of names) {
  const section = sections[name]
  if (section === undefined) continue
  process.stdout.write(`\n## ${section.title}\n\n`)
  measured.set(section.title, await quietest(section))
  writeFileSync(
    file,
    writeReport(
      { head: head(), sections: measured },
      Object.values(sections).map(({ title }) => title),
    ),
  )
}

/** The lines of a section from the quietest of its tries. */
async function quietest(section: Section): Promise<string> {
  let best = { load: Number.POSITIVE_INFINITY, lines: '' }
  for (let tries = 0; tries < mostTries; tries++) {
    const atStart = await load.quiet(quietLoad, patienceMinutes * 60_000)
    const began = performance.now()
    const lines: string[] = []
    await section.measure(
      (line) => {
        lines.push(line)
        process.stdout.write(`${line}\n`)
      },
      async () => {
        await load.quiet(quietLoad, settlesWithinMs)
      },
    )
    const seconds = (performance.now() - began) / 1000
    const atEnd = load.now()
    const told = `Load of the machine: ${atStart.toFixed(2)} at its start, ${atEnd.toFixed(2)} at its end.`
    process.stdout.write(`${told}\n\n`)
    const worst = Math.max(atStart, atEnd)
    if (worst < best.load) best = { load: worst, lines: [...lines, '', told].join('\n') }
    if (worst <= quietLoad || seconds > longSection) break
  }
  return best.lines
}

function head(): string {
  return [
    '# Figures of `./truelay bench`',
    'The next run differs by some ten per cent. See `tools/bench` for what is measured; `./truelay bench SECTION…` measures only those.',
    `${machine} Load is what always the same arithmetic takes on the average of a second to what it takes at the quietest, ${load.leastMs.toFixed(2)} ms here.`,
  ].join('\n\n')
}
