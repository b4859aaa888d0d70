/** A part of the benchmark: what it measures, told line by line in Markdown under its title. */
export interface Section {
  readonly title: string
  /** Long work that is done only a few times begins when the machine has `settled`, as far as that comes soon. */
  readonly measure: (say: (line: string) => void, settled: () => Promise<void>) => void | Promise<void>
}
