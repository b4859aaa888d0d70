import { edgeCodes, type FormDoc, obstacleKinds, outsideForm, partFamilies, partMaterials } from '@truelay/core/form'
import { list, say, verbatim } from '@truelay/core/say'
import { z } from 'zod'
import { asIssue } from './failure.ts'
import { point, polygon } from '@truelay/core/geometry'
import { formId } from './ids.ts'
import { mirrors } from '@truelay/core/schema'

/** What is typed on the form bench is at most 60 long; the likeness of a half is called so, and "right". */
export const nameOnForm = z.string().min(1).max(80)
const name = nameOnForm
/** How many of something a part may have: twice what half of it may, of which the other half is the likeness. */
const whole = 2
const marginMm = z.number().min(-80).max(40)

export const edgeCode = z.enum(edgeCodes)
export const partMaterial = z.enum(partMaterials)

const outlineSegment = z.discriminatedUnion('kind', [
  z.strictObject({ kind: z.literal('line'), to: point, edge: name }),
  z.strictObject({
    kind: z.literal('arc'),
    to: point,
    radiusMm: z.number().positive().max(50_000),
    turn: z.enum(['left', 'right']),
    edge: name,
  }),
  z.strictObject({ kind: z.literal('spline'), through: z.array(point).max(200), to: point, edge: name }),
])

const hole = z.strictObject({
  name,
  label: name,
  outline: polygon,
  code: edgeCode,
  marginMinMm: marginMm.optional(),
  marginMaxMm: marginMm.optional(),
})

const direction = z.string().min(1).max(40)

const formParts = z.strictObject({
  id: formId,
  name,
  version: z.number().int().min(1),
  family: z.enum(partFamilies),
  material: partMaterial,
  start: point,
  outline: z
    .array(outlineSegment)
    .min(2)
    .max(whole * 500),
  edges: z
    .array(
      z.strictObject({
        name,
        label: name,
        code: edgeCode,
        marginMinMm: marginMm.optional(),
        marginMaxMm: marginMm.optional(),
        behind: z.string().max(60).optional(),
        line: name.optional(),
        lip: z.strictObject({ turnDeg: z.number().min(20).max(180), depthMm: z.number().min(0.5).max(200) }).optional(),
      }),
    )
    .min(1)
    .max(60),
  directions: z.strictObject({ right: direction, left: direction, up: direction, down: direction }),
  bow: z
    .array(
      z.strictObject({
        name,
        from: point,
        to: point,
        sagittaMm: z.number().min(-500).max(1000),
        atFraction: z.number().gt(0).lt(1).optional(),
        chordMm: z.number().positive().max(20_000).optional(),
      }),
    )
    .max(whole * 100),
  spots: z
    .array(
      z.strictObject({
        name,
        at: point,
        heightMm: z.number().min(-3000).max(3000),
        sigmaMm: z.number().positive().max(100),
      }),
    )
    .max(whole * 200)
    .optional(),
  relief: z
    .strictObject({
      originMm: point,
      stepMm: z.number().min(0.2).max(100),
      columns: z.number().int().min(2).max(2000),
      heightsMm: z.array(z.number().min(-3000).max(3000)).min(4).max(30_000),
      errorMm: z.number().min(0),
    })
    .optional(),
  bodyLines: z
    .array(
      z.strictObject({
        name,
        along: z.array(point).min(2).max(200),
        turnDeg: z.number().min(-60).max(60),
        radiusMm: z.number().min(0.5).max(500),
        reachMm: z.number().min(5).max(1000),
      }),
    )
    .max(whole * 20),
  recesses: z
    .array(
      z.strictObject({
        name,
        outline: polygon,
        depthMm: z.number().positive().max(200),
        wallDeg: z.number().min(1).max(80),
      }),
    )
    .max(whole * 20),
  raised: z
    .array(
      z.strictObject({
        name,
        outline: polygon,
        heightMm: z.number().positive().max(200),
        wallDeg: z.number().min(1).max(80),
      }),
    )
    .max(whole * 20)
    .optional(),
  channels: z
    .array(
      z.strictObject({
        name,
        along: z.array(point).min(2).max(200),
        widthMm: z.number().positive().max(500),
        depthMm: z.number().positive().max(200),
        wallDeg: z.number().min(1).max(80),
      }),
    )
    .max(whole * 20)
    .optional(),
  obstacles: z
    .array(
      z.strictObject({
        name,
        kind: z.enum(obstacleKinds),
        at: point,
        widthMm: z.number().min(1).max(1000),
        reachMm: z.number().min(0).max(500),
      }),
    )
    .max(whole * 20)
    .optional(),
  holes: z.array(hole).max(whole * 20),
  marks: z
    .array(z.strictObject({ name, label: name, at: point, weight: z.number().positive().max(100) }))
    .max(whole * 40),
  opens: name.optional(),
})

/** What a small picture of a part is drawn from. */
export const partShape = formParts.pick({
  id: true,
  version: true,
  name: true,
  start: true,
  outline: true,
  bodyLines: true,
  recesses: true,
  holes: true,
})
export type PartShape = z.infer<typeof partShape>

const formVersion = z
  .string()
  .regex(/^.{1,100}@[1-9]\d{0,5}$/)
  .transform((named) => {
    const at = named.lastIndexOf('@')
    return { id: named.slice(0, at), version: Number(named.slice(at + 1)) }
  })

/** Versions of forms as an address names them, "bonnet@2": none, one, or several. */
export const formVersions = z.preprocess(
  (named) => (named === undefined ? [] : Array.isArray(named) ? named : [named]),
  z.array(formVersion).max(300),
)
export type FormVersions = z.infer<typeof formVersions>

/** A part's measured shape as it is saved. */
export const formDoc = formParts.superRefine((form, context) => {
  const edges = new Set(form.edges.map((e) => e.name))
  form.outline.forEach((segment, i) => {
    if (!edges.has(segment.edge))
      context.addIssue({
        ...asIssue(
          say`no edge is called "${verbatim(segment.edge)}"; add it to "edges" or use one of ${list([...edges])}`,
        ),
        path: ['outline', i, 'edge'],
      })
  })
  for (const { what, name: called } of outsideForm(form))
    context.addIssue({
      ...asIssue(say`"${verbatim(called)}" lies outside the part; drag it onto the drawing, or remove it`),
      path: [what],
    })
  for (const [i, edge] of [...form.edges, ...form.holes].entries()) {
    if (edge.marginMinMm !== undefined && edge.marginMaxMm !== undefined && edge.marginMinMm > edge.marginMaxMm)
      context.addIssue({
        ...asIssue(say`marginMinMm must not be larger than marginMaxMm`),
        path: ['edges', i],
      })
  }
})
mirrors<FormDoc>()(formDoc)
export type Form = z.infer<typeof formDoc>
