/** What a client is shown before anything is agreed: the cake in pictures, its sizes, colours, what of it is eaten. */
import { extentMm, portionsOf, tierWords } from '../cake'
import { chosenOption, type Option } from '../commission'
import { coveringOf } from '../material'
import type { Plan } from '../plan'
import { counted, printQuantity, type UnitSystem } from '../quantity'
import { colourName } from '../tint'
import { table, under, type About, type Block, type Paper } from './paper'

/** Views of the cake, as pictures. */
export type Views = Extract<Block, { kind: 'photos' }>['photos']

/** An option beside the others: what it would be, and what it would cost, none where no price is told. */
export type Offered = { readonly option: Option; readonly plan: Plan; readonly price: string | null }

const portionsIn = ({ stack }: Pick<Plan, 'stack'>): number =>
  stack.reduce((sum, tier) => sum + portionsOf(tier).value, 0)

const acrossOf = ({ shape }: Plan['stack'][number], units: UnitSystem): string => {
  const { sideways, frontBack } = extentMm(shape)
  const [wide, deep] = [sideways, frontBack].map((half) => printQuantity(2 * half, 'length', units))
  return wide === deep ? wide! : `${wide} × ${deep}`
}

/** What is on the cake, in the client's words: how many, of what, in which colours. */
function decorationLines({ plan, commission }: About): readonly string[] {
  const { palette } = commission
  return plan.decorations
    .filter(({ count }) => count.value > 0)
    .map(({ count, one, colour }) => {
      const [heart, tail] = [colour.heart, colour.tail].map((hex) => colourName(hex, palette))
      return `${counted(count.value, one)} in ${colour.steps > 1 && heart !== tail ? `${heart} to ${tail}` : heart}`
    })
}

/** What can be eaten with the cake and what is lifted off, in short; the care card says it at length. */
function eatenLines({ plan }: About): readonly string[] {
  const lifted = new Map<string, number>()
  for (const { name, count, stays } of plan.careCard.remove)
    if (stays) lifted.set(name, (lifted.get(name) ?? 0) + count)
  return [
    ...plan.careCard.eat,
    lifted.size > 0
      ? `Taken out before cutting: ${[...lifted].map(([name, count]) => `${count} ${name}`).join(', ')}.`
      : 'Nothing has to be taken out before cutting.',
    'Ask about allergies in good time; paper and colours may carry traces named on their packets.',
  ]
}

function optionsBeside(offered: readonly Offered[], units: UnitSystem): readonly Block[] {
  if (offered.length < 2) return []
  const priced = offered.some(({ price }) => price !== null)
  return [
    { kind: 'heading', text: 'Options side by side' },
    table(
      ['option', 'tiers', 'high, with its board', 'portions, about', ...(priced ? ['price'] : [])],
      offered.map(({ option, plan, price }) => [
        option.name,
        String(plan.stack.length),
        printQuantity(plan.finished.high.value, 'length', units),
        String(portionsIn(plan)),
        ...(priced ? [price ?? ''] : []),
      ]),
      [1, 2, 3, 4],
    ),
  ]
}

/**
 * The page for the client.
 * @param views two to four pictures of the chosen option; none where they cannot be drawn
 * @param offered all options, the chosen one among them
 */
export function proposal(about: About, views: Views, offered: readonly Offered[]): Paper {
  const { plan, commission, units } = about
  const option = chosenOption(commission)
  const length = (mm: number): string => printQuantity(mm, 'length', units)
  const price = offered.find((each) => each.option.id === option.id)?.price ?? null
  return {
    id: 'proposal',
    title: offered.length > 1 ? `${commission.brief.name}: ${option.name}` : commission.brief.name,
    under: under(commission),
    blocks: [
      ...(views.length > 0 ? [{ kind: 'photos', photos: views, areLarge: true } satisfies Block] : []),
      { kind: 'heading', text: 'The cake' },
      table(
        ['tier, from the top', 'across', 'high', 'covered with', 'portions, about'],
        [...plan.stack]
          .reverse()
          .map((tier) => [
            tierWords(plan.stack, tier.index),
            acrossOf(tier, units),
            length(tier.topMm - tier.footMm),
            tier.isDummy ? 'for show' : coveringOf(tier.covering).name.toLowerCase(),
            tier.isDummy ? '' : String(portionsOf(tier).value),
          ]),
        [4],
      ),
      {
        kind: 'lines',
        lines: [
          `${length(plan.finished.high.value)} high with its board, ${length(plan.finished.wide.value)} wide; ` +
            `about ${portionsIn(plan)} portions${
              commission.brief.portions > 0 ? ` for the ${commission.brief.portions} that are wanted` : ''
            }.`,
        ],
      },
      { kind: 'heading', text: 'On it' },
      { kind: 'lines', lines: decorationLines(about) },
      ...(commission.palette.length > 0
        ? [
            { kind: 'heading', text: 'Colours' } satisfies Block,
            {
              kind: 'lines',
              lines: [commission.palette.map(({ name }) => name.toLowerCase()).join(', ')],
            } satisfies Block,
          ]
        : []),
      { kind: 'heading', text: 'Eaten, and not' },
      { kind: 'lines', lines: eatenLines(about) },
      ...optionsBeside(offered, units),
      ...(price === null ? [] : [{ kind: 'note', text: `Together ${price}, as planned today.` } satisfies Block]),
      {
        kind: 'note',
        text: 'Made by hand: every piece of paper dries its own way, and colours come out a little paler or deeper.',
      },
    ],
  }
}
