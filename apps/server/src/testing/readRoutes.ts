import { bay, jobBundle } from '@truelay/contract'
import type { DemoServer } from './demoServer.ts'

/** Addresses of every route that reads, on a shop as it is; what asks others, streams, or tells of the server itself is left out. */
export async function readRoutes(demo: DemoServer): Promise<string[]> {
  const { jobs } = bay.parse((await demo.get('/api/bay')).body)
  const bundles = await Promise.all(
    jobs.map(async ({ job }) => jobBundle.parse((await demo.get(`/api/jobs/${job.id}`)).body)),
  )
  const forms = new Set(bundles.flatMap(({ forms }) => forms.map((f) => f.id)))
  return [
    ...[
      'shop',
      'models',
      'bay',
      'shelf',
      'blades',
      'exercises',
      'stock',
      'stock/rolls/r1',
      'liquids',
      'devices',
      'forms',
      'learned',
      'memory',
      'removed',
      'day',
      'day/taught',
    ],
    ...[...forms].map((id) => `forms/${id}`),
    `shapes?${[...forms].map((id) => `of=${id}@1`).join('&')}`,
    ...bundles.flatMap(({ job, parts }) => [
      ...['', '/walk-round', '/kit-check', '/cuts', '/film', '/edge-looks.ics', '/hand-over'].map(
        (what) => `jobs/${job.id}${what}`,
      ),
      ...parts.flatMap(({ id }) => [`parts/${id}/fit`, `parts/${id}/record`]),
    ]),
  ].map((address) => `/api/${address}`)
}
