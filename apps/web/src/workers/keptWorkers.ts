/** Something that can be ended: a worker, with what speaks to it. */
interface Endable {
  end(): void
}

/** Workers of one kind, of which one is kept for whoever needs one next: it has loaded and answers sooner than a new one. */
export function keptWorkers<W extends Endable>(open: () => W) {
  let spare: W | null = null
  return {
    take(): W {
      const worker = spare ?? open()
      spare = null
      return worker
    },
    /** Only of a worker that has nothing to do. */
    giveBack(worker: W): void {
      if (spare === null) spare = worker
      else worker.end()
    },
    /** Has one ready beforehand. */
    warm(): void {
      spare ??= open()
    },
  }
}
