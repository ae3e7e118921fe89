/** What may go wrong with paper and knives. */
import { rule, type Rule } from './rule'

export const SHEET_RULES: readonly Rule[] = [
  rule(
    'larger-than-sheet',
    'cut',
    'stop',
    ({ largerThanSheet, unfitPapers }) => largerThanSheet.length > 0 && unfitPapers.length === 0,
    ({ largerThanSheet }) =>
      `Some pieces for ${largerThanSheet.map(({ name }) => name).join(', ')} lie on no sheet. ${largerThanSheet[0]!.why}`,
  ),
  rule(
    'no-sheets',
    'cut',
    'look',
    ({ noSheets }) => noSheets.length > 0,
    ({ noSheets }) =>
      `No size of ${noSheets.join(' and ')} is in use; the usual one is reckoned with. Tick yours in Cut.`,
  ),
  rule(
    'sheets-short',
    'cut',
    'look',
    ({ sheetsShort }) => sheetsShort.length > 0,
    ({ sheetsShort }) =>
      `Not enough on the shelf: ${sheetsShort.map(({ name, missing }) => `${missing} more of ${name}`).join('; ')}.`,
  ),
  rule(
    'blade',
    'cut',
    'note',
    ({ isCut }) => isCut,
    ({ isSoaked }) =>
      `Scissors and blades: cut away from the hand${isSoaked ? '; sweep up the sharp flakes of dry film' : ''}.`,
  ),
]
