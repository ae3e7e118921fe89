import { workshopSchema, type Workshop } from '../workshop'
import { commissionSchema, type Commission } from '../commission'
import { z } from 'zod'
import { ok, refuse, type Result } from '../quantity'
import { commissionFrom1, from2, from3, from4, workshopFrom1 } from './upgrade'
import { bothFrom5 } from './upgrade6'
import { from6 } from './upgrade7'
import { from7 } from './upgrade8'
import { from9 } from './upgrade10'
import { from10 } from './upgrade11'
import { from11 } from './upgrade12'
import { from8 } from './upgrade9'

const FORMAT = 'lamellon-commission'
const VERSION = 12
const LARGEST_BYTES = 8_000_000

/** A commission and the workshop it was planned with, as one file. */
const commissionFileSchema = z.strictObject({
  format: z.literal(FORMAT),
  version: z.literal(VERSION),
  commission: commissionSchema,
  workshop: workshopSchema,
})

export type CommissionFile = { readonly commission: Commission; readonly workshop: Workshop }

export type FileProblem =
  | { readonly code: 'empty' }
  | { readonly code: 'too-large'; readonly bytes: number }
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
  if (text.trim() === '') return refuse({ code: 'empty' })
  if (text.length > LARGEST_BYTES) return refuse({ code: 'too-large', bytes: text.length })
  let content: unknown
  try {
    content = JSON.parse(text)
  } catch (error) {
    return refuse({ code: 'not-json', detail: error instanceof Error ? error.message : String(error) })
  }
  const head = z.object({ format: z.literal(FORMAT), version: z.unknown() }).safeParse(content)
  if (!head.success) return refuse({ code: 'foreign' })
  const current = broughtUp(content as Loose, head.data.version)
  if (!current) return refuse({ code: 'newer', version: head.data.version })
  const parsed = commissionFileSchema.safeParse(current)
  if (parsed.success) return ok({ commission: parsed.data.commission, workshop: parsed.data.workshop })
  return refuse({
    code: 'fields',
    fields: parsed.error.issues.map(({ path, message }) => ({
      path: path.map(String).join(' → ') || 'file',
      problem: message,
    })),
  })
}

type Loose = Readonly<Record<string, unknown>>

/** A file of an earlier version as this one would have written it; null for a version that is not known. */
function broughtUp(content: Loose, version: unknown): Loose | null {
  if (version === VERSION) return content
  const { commission, workshop } = content
  const since = (bringUp: (value: unknown) => unknown, one: unknown, other: unknown): Loose => ({
    ...content,
    version: VERSION,
    ...bothFrom5(bringUp(one), bringUp(other)),
  })
  const both = (bringUp: (value: unknown) => unknown): Loose => ({
    ...content,
    version: VERSION,
    commission: bringUp(commission),
    workshop: bringUp(workshop),
  })
  const since10 = (value: unknown): unknown => from11(from10(value))
  const since9 = (value: unknown): unknown => since10(from9(value))
  const since8 = (value: unknown): unknown => since9(from8(value))
  const since7 = (value: unknown): unknown => since8(from7(value))
  const since3 = (value: unknown): unknown => from4(from3(value))
  const since2 = (value: unknown): unknown => since3(from2(value))
  switch (version) {
    case 11:
      return both(from11)
    case 10:
      return both(since10)
    case 9:
      return both(since9)
    case 8:
      return both(since8)
    case 7:
      return both(since7)
    case 6:
      return both((value) => since7(from6(value)))
    case 5:
      return since((value) => value, commission, workshop)
    case 4:
      return since(from4, commission, workshop)
    case 3:
      return since(since3, commission, workshop)
    case 2:
      return since(since2, commission, workshop)
    case 1:
      return since(since2, commissionFrom1(commission), workshopFrom1(workshop))
    default:
      return null
  }
}

/** Why a file was refused, for the person who opened it. */
export function fileSentence(problem: FileProblem): string {
  switch (problem.code) {
    case 'empty':
      return 'The file is empty.'
    case 'too-large':
      return `The file is too large for a commission (${Math.round(problem.bytes / 1e6)} MB; at most ${LARGEST_BYTES / 1e6}).`
    case 'not-json':
      return `The file is damaged or not a commission file: ${problem.detail}`
    case 'foreign':
      return 'This is not a Lamellon commission file. Choose one that ends in .lamellon.json.'
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

/** The published JSON Schema of the file. */
export const commissionFileJsonSchema = (): object =>
  z.toJSONSchema(commissionFileSchema, { target: 'draft-2020-12', reused: 'ref' })
