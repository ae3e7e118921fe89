/** From decorations to paper: what is cut of which sheets, mixtures by what they wet, sheets that are torn for slurry. */
import { chosenOption, type Commission } from '../../commission'
import type { PlannedDecoration } from '../../decoration'
import { mixturesFor, unwantedOf } from '../../mixture'
import type { SheetNeed } from '../../supply'
import type { Workshop } from '../../workshop'
import type { cutStage } from './cut'
import type { CutGroup, Nested } from './cutting/group'
import { sheetNeeds } from './cutting/needs'
import { workToCut } from './cutting/work'
import { liquidsStage, type Liquids } from './liquids'
import { tornSheets, withTorn } from './torn'

type PaperInputs = {
  /** Decorations that are on the cake. */
  readonly made: readonly PlannedDecoration[]
  readonly commission: Commission
  readonly workshop: Workshop
  readonly nested: Nested
}

export type PaperWork = {
  readonly groups: readonly CutGroup[]
  readonly sheets: readonly SheetNeed[]
  readonly torn: SheetNeed | null
  readonly liquids: Liquids
}

/** Sheets and mixtures of all that is on the cake. @param cut lays pieces on sheets, and remembers what it laid */
export const paperStage =
  (cut: ReturnType<typeof cutStage>) =>
  ({ made, commission, workshop, nested }: PaperInputs): PaperWork => {
    const { brief, bench, id } = commission
    const { ownPieces, keptSheets } = chosenOption(commission)
    const groups = cut({
      work: workToCut(made, ownPieces),
      tools: workshop.tools,
      prices: { sheetEach: workshop.prices.sheetEach, hour: workshop.prices.hour },
      kept: keptSheets,
      remnants: workshop.remnants.filter(({ from }) => from !== id),
      again: bench.recuts.map(({ part, many }) => ({ part, many })),
      nested,
    })
    const liquids = liquidsStage({ decorations: made, groups })
    // What is made up of paper: glue and slurry, which colour leaves as they are.
    const mixtures = mixturesFor(Object.values(liquids).flat(), unwantedOf(brief.limits))
    const torn = tornSheets({ decorations: made, mixtures, groups })
    return { groups, sheets: withTorn(sheetNeeds(groups), torn), torn, liquids }
  }
