/** All that a studio keeps as one file: its workshop and every commission. */
import { z } from 'zod'
import { commissionSchema, type Commission } from '../commission'
import { ok, refuse, type Result } from '../quantity'
import { workshopSchema, type Workshop } from '../workshop'
import { fieldsOf, jsonIn, type FileProblem } from './commissionFile'
import { VERSION } from './versions'

const FORMAT = 'lamellon-studio'
const LARGEST_BYTES = 500_000_000

/** What is read at once; the commissions follow one by one. */
const headSchema = z.object({
  format: z.literal(FORMAT),
  version: z.unknown(),
  workshop: z.unknown(),
  commissions: z.array(z.unknown()),
})

const entrySchema = z.strictObject({ archived: z.boolean(), commission: commissionSchema })

/** A commission as a studio file holds it. */
export type StudioEntry = { readonly archived: boolean; readonly commission: Commission }

export type StudioFile = { readonly workshop: Workshop; readonly commissions: readonly StudioEntry[] }

/** How far reading is. */
export type ReadSoFar = { readonly done: number; readonly total: number }

/** Whether a file says that it is a studio file. What it holds is not looked at. */
export const isStudioFile = (text: string): boolean => text.slice(0, 200).includes(`"${FORMAT}"`)

/** Thrown where a commission, or the workshop, does not hold together and so cannot be written. */
class DoesNotHoldTogether extends Error {
  constructor(
    readonly what: string,
    error: z.ZodError,
  ) {
    const [first] = fieldsOf(error)
    super(`${what} does not hold together: ${first!.path}: ${first!.problem}`)
  }
}

function sound<Value>(schema: z.ZodType<Value>, value: Value, what: string): Value {
  const read = schema.safeParse(value)
  if (!read.success) throw new DoesNotHoldTogether(what, read.error)
  return read.data
}

/**
 * The text of a studio file, in parts: its head, each commission, its end. Parts joined are the file.
 * @throws DoesNotHoldTogether
 */
export async function* studioFileParts(
  workshop: Workshop,
  commissions: AsyncIterable<StudioEntry> | Iterable<StudioEntry>,
): AsyncGenerator<string> {
  const head = { format: FORMAT, version: VERSION, workshop: sound(workshopSchema, workshop, 'The workshop') }
  yield `${JSON.stringify(head).slice(0, -1)},"commissions":[`
  let isFirst = true
  for await (const entry of commissions) {
    const written = sound(entrySchema, entry, `“${entry.commission.brief.name}”`)
    yield `${isFirst ? '' : ','}\n${JSON.stringify(written)}`
    isFirst = false
  }
  yield '\n]}\n'
}

/**
 * Reads a studio file, one commission at each step so that a page can show how far it is, and stop. Nothing of a file
 * that does not hold together is taken.
 */
export function* readStudioFile(text: string): Generator<ReadSoFar, Result<StudioFile, FileProblem>> {
  const content = jsonIn(text, LARGEST_BYTES)
  if (!content.ok) return content
  const head = headSchema.safeParse(content.value)
  if (!head.success) return refuse({ code: 'foreign' })
  if (head.data.version !== VERSION) return refuse({ code: 'newer', version: head.data.version })
  const workshop = workshopSchema.safeParse(head.data.workshop)
  if (!workshop.success) return refuse({ code: 'fields', fields: fieldsOf(workshop.error, ['workshop']) })
  const commissions: StudioEntry[] = []
  const total = head.data.commissions.length
  for (const [at, entry] of head.data.commissions.entries()) {
    yield { done: at, total }
    const read = entrySchema.safeParse(entry)
    if (!read.success) return refuse({ code: 'fields', fields: fieldsOf(read.error, [`commission ${at + 1}`]) })
    commissions.push(read.data)
  }
  return ok({ workshop: workshop.data, commissions })
}
