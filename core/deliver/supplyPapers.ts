/** Papers of supply: what to buy, and what the client is asked to pay. */
import { pilesIn, type StandingTier } from '../cake'
import { type Quote } from '../plan'
import { printQuantity, printWorkingValue } from '../quantity'
import { SHELF_WORDS, SHELVES, type ShoppingLine } from '../supply'
import { table, under, type About, type Block, type Paper } from './paper'

/** What to buy, shelf by shelf. */
export function shoppingPaper({ commission, units }: About, lines: readonly ShoppingLine[]): Paper {
  const wanted = lines.filter(({ packs }) => packs.value > 0)
  const shown = (kind: ShoppingLine['need']['kind'], value: number): string => printWorkingValue({ kind, value }, units)
  return {
    id: 'shopping',
    title: 'Shopping list',
    under: under(commission),
    blocks:
      wanted.length === 0
        ? [{ kind: 'lines', lines: ['Everything is on the shelf.'] }]
        : SHELVES.filter((shelf) => wanted.some(({ need }) => need.shelf === shelf)).flatMap(
            (shelf): readonly Block[] => [
              { kind: 'heading', text: SHELF_WORDS[shelf] },
              table(
                ['packs', 'what', 'needed', 'on hand', 'about'],
                wanted
                  .filter(({ need }) => need.shelf === shelf)
                  .map(({ need, packs, onHand, reserved, cost }) => [
                    String(packs.value),
                    need.name,
                    shown(need.kind, need.amount.value),
                    reserved > 0
                      ? `${shown(need.kind, onHand)}, ${shown(need.kind, reserved)} kept`
                      : shown(need.kind, onHand),
                    printWorkingValue(cost, units),
                  ]),
                [0, 4],
                true,
              ),
            ],
          ),
  }
}

/** How many tiers there are, and whether they stand loose. */
function cakeWords(stack: readonly StandingTier[]): string {
  const piles = pilesIn(stack)
  if (piles > 1)
    return piles === stack.length ? `${piles} cakes of one tier` : `${piles} cakes of ${stack.length} tiers`
  return stack.length === 1 ? 'A cake of one tier' : `A cake of ${stack.length} tiers`
}

/** What the client is asked to pay; hours and margins stay with the studio. */
export function quotePaper({ plan, commission, units }: About, { price, lines }: Quote): Paper {
  const total = lines.reduce((sum, { cost }) => sum + cost.value, 0)
  const share = (cost: number): string =>
    total > 0 ? printWorkingValue({ ...price, value: (price.value * cost) / total }, units) : ''
  return {
    id: 'quote',
    title: 'Quote',
    under: under(commission),
    blocks: [
      {
        kind: 'lines',
        lines: [
          `${cakeWords(plan.stack)}, ` +
            `${printQuantity(plan.finished.high.value, 'length', units)} high with its ` +
            `board${commission.brief.portions > 0 ? `, for ${commission.brief.portions} portions` : ''}.`,
        ],
      },
      table(
        ['what', 'price'],
        [
          ...lines.filter(({ cost }) => cost.value > 0).map(({ name, cost }) => [name, share(cost.value)]),
          ['Together', printWorkingValue(price, units)],
        ],
        [1],
      ),
      { kind: 'note', text: 'Cake, fillings and hire of stands as agreed.' },
      { kind: 'signature', lines: ['For the studio', 'Agreed'] },
    ],
  }
}
