/** What is asked before a new commission begins, and the commission and workshop it begins with. */
import { z } from 'zod'
import { startingCake, TIER_COUNTS } from '#core/cake'
import { briefSchema, newCommission, type Commission, type Option } from '#core/commission'
import { momentText, type Currency, type Moment } from '#core/quantity'
import { inCurrency, paperName } from '#core/supply'
import { setOnHand, sheetItem, workshopSchema, type Workshop } from '#core/workshop'
import { eventProblem } from '~/components/brief/eventHour'
import { remark } from '~/composables/submitted'

export const OUTLINES = ['round', 'square'] as const
/** How much of an hour a field of the browser gives: minutes, nothing finer. */
const HOUR_LENGTH = '2026-12-05T18:30'.length

/** @param now the hour it is */
export const newCakeSchema = (now: Moment) =>
  z.object({
    name: remark(80),
    eventAt: z
      .string()
      .transform((text) => text.slice(0, HOUR_LENGTH))
      .superRefine((text, context) => {
        const message = eventProblem(text, momentText(now))
        if (message) context.addIssue({ code: 'custom', message })
      }),
    driveMin: briefSchema.shape.driveMin,
    tiers: z.literal(TIER_COUNTS),
    outline: z.enum(OUTLINES),
    /** Sheets of each paper that is in use, by its name. */
    atHome: z.record(z.string(), z.number()),
    currency: workshopSchema.shape.prices.shape.currency,
  })
export type NewCake = z.output<ReturnType<typeof newCakeSchema>>

/** What stands there before anything is answered. */
export function unanswered(now: Moment, currency: Currency): NewCake {
  const { eventAt, driveMin } = newCommission('new', now).brief
  return { name: '', eventAt, driveMin, tiers: 1, outline: 'round', atHome: {}, currency }
}

/** A commission as it was answered. @param change puts something on its cake */
export function commissionOf(
  { name, eventAt, driveMin, tiers, outline }: NewCake,
  id: string,
  now: Moment,
  change: (option: Option) => void,
): Commission {
  const made = newCommission(id, now, startingCake(tiers, outline))
  const option = structuredClone(made.options[0]!)
  change(option)
  return { ...made, brief: { ...made.brief, eventAt, driveMin, name: name || made.brief.name }, options: [option] }
}

/** Papers that are in use, each with its name. */
export const papersInUse = ({ papers }: Workshop) =>
  papers.filter(({ inUse }) => inUse).map(({ paper, shape }) => ({ paper, shape, name: paperName(paper, shape) }))

/** Puts what is at home on the shelves, and has prices in the currency that was chosen. */
export function stockedWith({ atHome, currency }: NewCake, draft: Workshop): void {
  draft.prices = inCurrency(draft.prices, currency)
  for (const { paper, shape, name } of papersInUse(draft))
    if (atHome[name]) setOnHand(draft, sheetItem(paper, shape), atHome[name])
}
