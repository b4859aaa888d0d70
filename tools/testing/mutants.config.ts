import { resolve } from 'node:path'
import { defineConfig } from 'vitest/config'
import base from '../../vitest.config.ts'

const { MUTANT } = process.env
const mutant = MUTANT === undefined ? null : JSON.parse(MUTANT)

/** One source as a mutant of itself; nothing is written anywhere. */
const changed = {
  name: 'mutant',
  enforce: 'pre' as const,
  transform(code: string, id: string) {
    if (mutant === null || id.split('?')[0] !== resolve(mutant.file)) return null
    return code.slice(0, mutant.start) + mutant.to + code.slice(mutant.end)
  },
}

const { projects = [], ...usual } = base.test ?? {}

/** The usual tests of computations, over that source. */
export default defineConfig({
  test: {
    ...usual,
    projects: projects
      .filter((project) => typeof project === 'object' && 'test' in project && project.test?.name === 'computations')
      .map((project) => ({ ...(project as object), plugins: [changed] })),
  },
})
