/** A studio as version 5 wrote it, read as version 6. */
import { disc, type StockShape } from '../material'
import { paperItem, paperStock } from '../supply'
import { STARTING_WORKSHOP } from '../workshop'
import { isRecord, recordsOf, recordIn, SHAPES } from './looseRecords'

/** What steps of the sails were called among the paces, and what minutes they began with. */
const PACES: readonly (readonly [pace: string, step: string, began: number])[] = [
  ['cutMin', 'soakedSail cut', 2],
  ['drapeMin', 'soakedSail soak', 5],
  ['liftMin', 'soakedSail lift', 1],
  ['chooseMin', 'soakedSail choose', 3],
  ['placeMin', 'soakedSail place', 4],
]

const stepFrom5 = (step: unknown): unknown =>
  step === 'placeMin' ? 'place' : (PACES.find(([pace]) => pace === step)?.[1] ?? step)

/** An item of stock by the name it has now. */
function itemFrom5(item: unknown): unknown {
  const [kind, paper, format] = String(item).split(' ')
  if (kind === 'disc') return paperItem('riceFilm', disc(Number(paper)))
  const shape = kind === 'sheet' ? SHAPES[format ?? ''] : undefined
  return shape ? `sheet ${paper} ${paperItem('riceFilm', shape).split(' ')[2]}` : item
}

/** A workshop of version 5. */
export function workshopFrom5(workshop: unknown): unknown {
  if (!isRecord(workshop)) return workshop
  const { discs, pace, stock, runs, ...kept } = workshop
  const paces = recordIn(pace)
  const own = recordsOf(discs)
  const known = recordsOf(stock)
  const isInUse = (shape: StockShape): boolean =>
    shape.kind === 'disc' && own.some(({ diameterMm, inUse }) => diameterMm === shape.diameterMm && inUse === true)
  const others = known.filter(({ item }) => !String(item).startsWith('disc '))
  return {
    ...kept,
    papers: STARTING_WORKSHOP.papers.map((each) =>
      each.paper === 'riceFilm' ? { ...each, inUse: isInUse(each.shape) } : each,
    ),
    stock: [
      ...own.map(({ diameterMm, onHand, packSize }) => ({
        ...(typeof diameterMm === 'number' && paperStock('riceFilm', disc(diameterMm), 0, 10)),
        onHand,
        pack: packSize,
        packPrice: known.find(({ item }) => item === `disc ${String(diameterMm)}`)?.packPrice ?? null,
      })),
      ...others.map((each) => ({ ...each, item: itemFrom5(each.item) })),
    ],
    pace: Object.fromEntries(Object.entries(paces).filter(([key]) => !PACES.some(([old]) => old === key))),
    stepMinutes: Object.fromEntries(
      PACES.flatMap(([old, step, began]) => (paces[old] === began || !(old in paces) ? [] : [[step, paces[old]]])),
    ),
    runs: Array.isArray(runs)
      ? runs.map((run: unknown) => (isRecord(run) ? { ...run, step: stepFrom5(run.step) } : run))
      : runs,
  }
}
