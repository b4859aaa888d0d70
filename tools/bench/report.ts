/** The report of a benchmark, docs/bench.md: what stands above its sections, and their lines by title. */
export interface Report {
  readonly head: string
  readonly sections: ReadonlyMap<string, string>
}

export function readReport(text: string): Report {
  const [head = '', ...rest] = text.split(/^## /m)
  const sections = rest.map((section) => {
    const end = section.indexOf('\n')
    return [section.slice(0, end), section.slice(end).trim()] as const
  })
  return { head: head.trim(), sections: new Map(sections) }
}

/** The report as it is kept; sections come in the order of the titles given, and one whose title is not among them is dropped. */
export function writeReport({ head, sections }: Report, titles: readonly string[]): string {
  const told = titles.flatMap((title) => {
    const lines = sections.get(title)
    return lines === undefined ? [] : [`## ${title}\n\n${lines}`]
  })
  return `${[head, ...told].join('\n\n')}\n`
}
