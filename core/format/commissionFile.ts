import { workshopSchema, type Workshop } from '../workshop'
import { commissionSchema, type Commission } from '../commission'
import { z } from 'zod'
import { ok, refuse, type Result } from '../quantity'
import { broughtUp, VERSION } from './versions'

const FORMAT = 'lamellon-commission'
const LARGEST_BYTES = 20_000_000

/** A commission and the workshop it was planned with, as one file. */
export const commissionFileSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(VERSION),
  commission: commissionSchema,
  workshop: workshopSchema,
})

export type CommissionFile = { readonly commission: Commission; readonly workshop: Workshop }

export type FileProblem =
  | { readonly code: 'empty' }
  | { readonly code: 'too-large'; readonly bytes: number; readonly most: number }
  | { readonly code: 'not-json'; readonly detail: string }
  | { readonly code: 'foreign' }
  | { readonly code: 'newer'; readonly version: unknown }
  | { readonly code: 'fields'; readonly fields: readonly { readonly path: string; readonly problem: string }[] }

/** Writes a commission file, fields in the order of the schema: the same content always gives the same text. */
export const writeCommissionFile = ({ commission, workshop }: CommissionFile): string =>
  `${JSON.stringify(commissionFileSchema.parse({ format: FORMAT, version: VERSION, commission, workshop }), null, 2)}\n`

/**
 * Reads a commission file whole, or says why not; nothing of a bad file is taken.
 * Round-trips exactly: writing what was read gives the same text.
 */
export function readCommissionFile(text: string): Result<CommissionFile, FileProblem> {
  const content = jsonIn(text, LARGEST_BYTES)
  if (!content.ok) return content
  const head = z.object({ format: z.literal(FORMAT), version: z.unknown() }).safeParse(content.value)
  if (!head.success) return refuse({ code: 'foreign' })
  const current = broughtUp(content.value as object, head.data.version)
  if (!current) return refuse({ code: 'newer', version: head.data.version })
  const parsed = commissionFileSchema.safeParse(current)
  if (parsed.success) return ok({ commission: parsed.data.commission, workshop: parsed.data.workshop })
  return refuse({ code: 'fields', fields: fieldsOf(parsed.error) })
}

/** What a text holds in JSON, unless there is nothing in it or too much. */
export function jsonIn(text: string, mostBytes: number): Result<unknown, FileProblem> {
  if (text.trim() === '') return refuse({ code: 'empty' })
  if (text.length > mostBytes) return refuse({ code: 'too-large', bytes: text.length, most: mostBytes })
  try {
    return ok(JSON.parse(text) as unknown)
  } catch (error) {
    return refuse({ code: 'not-json', detail: error instanceof Error ? error.message : String(error) })
  }
}

type Fields = Extract<FileProblem, { code: 'fields' }>['fields']

/** What is wrong with a file, field by field. @param within where in the file what was read lies */
export const fieldsOf = (error: z.ZodError, within: readonly string[] = []): Fields =>
  error.issues.map(({ path, message }) => ({
    path: [...within, ...path.map(String)].join(' → ') || 'file',
    problem: message,
  }))

/** Why a file was refused, for the person who opened it. */
export function fileSentence(problem: FileProblem): string {
  switch (problem.code) {
    case 'empty':
      return 'The file is empty.'
    case 'too-large':
      return `The file is too large (${Math.round(problem.bytes / 1e6)} MB; at most ${problem.most / 1e6}).`
    case 'not-json':
      return `The file is damaged or not a commission file: ${problem.detail}`
    case 'foreign':
      return 'This is not a file of Lamellon. Choose one that ends in .lamellon.json.'
    case 'newer':
      return (
        `This file has version ${String(problem.version)}; this Lamellon reads ` +
        `version ${VERSION}. Open it with the Lamellon that wrote it.`
      )
    case 'fields':
      return `The file does not hold together: ${problem.fields
        .slice(0, 4)
        .map(({ path, problem: what }) => `${path}: ${what}`)
        .join('; ')}${problem.fields.length > 4 ? `; and ${problem.fields.length - 4} more` : ''}`
  }
}
