/**
 * What version 8 asks besides version 7: in what a decoration dries where that is not the room, racks and a dry room,
 * desiccant, how thick sheets are, in how many sizes at most elements are cut.
 */
import { MOST_SIZES } from '../cut'
import { PAPERS, paperOf, type PaperId } from '../material'
import { TECHNIQUES } from '../technique'
import { STARTING_WORKSHOP } from '../workshop'
import { filled, isRecord, type Loose } from './looseRecords'

const isPaper = (paper: unknown): paper is PaperId => PAPERS.some(({ id }) => id === paper)
const isMoulds = (own: Loose): boolean => 'halfSphere' in own && 'foamHole' in own
const isSheet = (own: Loose): boolean => 'shape' in own && 'inUse' in own
const isCutting = (own: Loose): boolean => 'layers' in own && 'colouredWhole' in own
const isDryingTrial = (own: Loose): boolean => 'softAtMin' in own && 'readyAtMin' in own

/** What usually dries before a fan had one to itself without being told. */
function usuallyDried({ technique, composition, drying }: Loose): Loose {
  const usual = (TECHNIQUES as readonly { readonly id: string; readonly dries?: readonly string[] }[]).find(
    ({ id }) => id === technique,
  )?.dries?.[0]
  return usual && isRecord(composition) && isRecord(drying) && drying.way === 'room'
    ? { drying: { ...drying, way: usual } }
    : {}
}

/** Anything of version 7, or of what an edit of it changed. */
export const from7 = (value: unknown): unknown =>
  filled(
    value,
    (own) => {
      const { rack, dryRoom } = STARTING_WORKSHOP.moulds
      const { paper } = own
      return {
        // What was cut in many sizes stays so: pieces at the bench are known by theirs.
        ...(isCutting(own) && { sizes: MOST_SIZES }),
        ...(isMoulds(own) && { rack, dryRoom }),
        ...(isPaper(paper) && (isSheet(own) || isDryingTrial(own)) && { thicknessMm: paperOf(paper).thicknessMm }),
        ...('pace' in own && 'ovenPlaces' in own && { desiccantG: STARTING_WORKSHOP.desiccantG }),
      }
    },
    usuallyDried,
  )
