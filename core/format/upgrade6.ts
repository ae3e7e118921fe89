/**
 * Commissions and workshops of version 5 as version 6 has them: one list of decorations instead of a sweep of soaked
 * sails beside what was cut from sheets, sheets and discs as stock, and what happened at the bench by what pieces are.
 */
import { commissionSchema, STARTING_TRAY, type Commission } from '../commission'
import { derivePlan, type Plan } from '../plan'
import { workshopSchema, type Workshop } from '../workshop'
import { workshopFrom5 } from './upgrade6Workshop'
import { from6 } from './upgrade7'
import { from7 } from './upgrade8'
import { from9 } from './upgrade10'
import { from10 } from './upgrade11'
import { from11 } from './upgrade12'
import { from8 } from './upgrade9'
import { isRecord, recordsOf, recordIn, SHAPES, type Loose } from './looseRecords'

/** The decoration that the one sweep of sails becomes. */
const SAILS = 'sails'

const byHandOf = (value: unknown): unknown => {
  if (!isRecord(value) || !Array.isArray(value.put)) return value
  return { ...value, put: value.put.map((each: unknown) => (isRecord(each) ? { ...each, cut: null } : each)) }
}

const IN_THE_ROOM = { way: 'room', soakWaterC: 38, ovenC: 80 } as const

/** A decoration that was cut from sheets. */
function fromSheets({ format, colour, run, byHand, ...kept }: Loose): Loose {
  const { tail, steps } = recordIn(run)
  return {
    ...kept,
    name: '',
    stock: [SHAPES[String(format)] ?? format],
    colour: { heart: colour, tail, steps },
    byHand: byHandOf(byHand),
    drying: IN_THE_ROOM,
  }
}

/** The sweep of soaked sails. */
function fromSails({ technique, composition, sail, sweep, quiet, byHand, colour, drying, ...foreign }: Loose): Loose {
  const { seenHeightMm, ...line } = recordIn(sweep)
  const { heart, tail, steps } = recordIn(colour)
  return {
    ...foreign,
    id: SAILS,
    name: '',
    technique,
    parameters: { sizing: 'toFit', seenMm: seenHeightMm, ...recordIn(sail) },
    composition: { kind: composition, ...line },
    paper: 'riceFilm',
    stock: [],
    colour: { heart, tail, steps },
    finishes: [],
    quiet,
    byHand: byHandOf(byHand),
    gathered: null,
    cutting: { way: 'sectors', plies: 1, layers: 1, colouredWhole: false },
    colouring: { way: 'stepped', carrier: 'water', faces: 1, coats: 1 },
    drying,
  }
}

const withShape = ({ format, ...kept }: Loose): Loose => ({ ...kept, shape: SHAPES[String(format)] ?? format })

/** Tasks of the sails by their new names; others keep theirs. */
function taskFrom5(task: string): string {
  const [, step, rest] = /^(drape|lift|oven)-(\d+.*)$/.exec(task) ?? []
  if (task === 'cut' || task === 'choose') return `${SAILS}-${task}`
  if (step === 'drape') return `${SAILS}-soak-${rest}`
  return step === 'lift' ? `${SAILS}-lift-${rest}` : step === 'oven' ? `${SAILS}-soak-${rest}-oven` : task
}

const withTask = (value: unknown): unknown =>
  isRecord(value) && typeof value.task === 'string' ? { ...value, task: taskFrom5(value.task) } : value

const withTasks = (value: unknown): unknown => (Array.isArray(value) ? value.map(withTask) : value)

const keysFrom5 = (value: unknown, rename: (key: string) => string): unknown =>
  isRecord(value) ? Object.fromEntries(Object.entries(value).map(([key, each]) => [rename(key), each])) : value

const removalFrom5 = (id: string): string => (id === 'skewers' ? `${SAILS} skewer` : id)

function optionFrom5({ decorations, paperwork, keptSheets, ownPieces, pins, ...kept }: Loose): Loose {
  const [sails] = recordsOf(decorations)
  return {
    ...kept,
    decorations: [...(sails ? [fromSails(sails)] : []), ...recordsOf(paperwork).map(fromSheets)],
    keptSheets: recordsOf(keptSheets).map(withShape),
    ownPieces: recordsOf(ownPieces).map(({ format, ...own }) => ({
      ...own,
      stock: [SHAPES[String(format)] ?? format],
    })),
    pins: keysFrom5(pins, taskFrom5),
    tray: recordIn(sails?.colour).tray ?? { ...STARTING_TRAY },
  }
}

/** Sheets and discs were counted apart. */
function plannedFrom5(planned: unknown): unknown {
  if (!isRecord(planned)) return planned
  const { discs, sheets, ...kept } = planned
  return { ...kept, sheets: Number(sheets) + Number(discs) }
}

/** A commission of version 5, its pieces at the bench still under the names they had. */
function commissionFrom5(commission: unknown): unknown {
  if (!isRecord(commission)) return commission
  const bench = recordIn(commission.bench)
  return {
    ...commission,
    options: Array.isArray(commission.options)
      ? commission.options.map((option: unknown) => (isRecord(option) ? optionFrom5(option) : option))
      : commission.options,
    bench: {
      ...bench,
      planned: plannedFrom5(bench.planned),
      tasks: withTasks(bench.tasks),
      timers: withTasks(bench.timers),
      troubles: withTasks(bench.troubles),
      felt: keysFrom5(bench.felt, taskFrom5),
      wentIn: keysFrom5(bench.wentIn, removalFrom5),
      cameOut: keysFrom5(bench.cameOut, removalFrom5),
    },
  }
}

type Classes = Plan['decorations'][number]['classes']

/** Pieces in the order they had: size by size, shade by shade, kind by kind. */
function inOldOrder(classes: Classes): Classes {
  const groups = new Map<string, Classes[number][]>()
  for (const each of classes) {
    const key = each.members.join(' ')
    groups.set(key, [...(groups.get(key) ?? []), each])
  }
  return [...groups.values()].flat()
}

/** The parts that one of version 5 has become: a sector was counted for all its shades together. */
function partsFrom5(part: string, plan: Plan): Classes {
  const at = part.lastIndexOf('/')
  const classes = plan.decorations.find(({ id }) => id === part.slice(0, at))?.classes ?? []
  const which = part.slice(at + 1)
  if (/^\d+$/.test(which)) return inOldOrder(classes).slice(Number(which), Number(which) + 1)
  return classes.filter(({ sector }) => sector && `${sector.portion} ${sector.discMm}` === which)
}

type Counts = Commission['bench']['counts']

/** Counts shared out among the shades: no more good and broken ones of each than were cut of it. */
function countsFrom5(counts: Counts, plan: Plan): Counts {
  return Object.fromEntries(
    Object.entries(counts).flatMap(([part, { good, broken }]) => {
      let [goodLeft, brokenLeft] = [good, broken]
      const parts = partsFrom5(part, plan)
      return parts.map(({ id, needed, spares }, at) => {
        const isLast = at === parts.length - 1
        const room = needed.value + spares.value
        const ownGood = isLast ? goodLeft : Math.min(goodLeft, room)
        const ownBroken = isLast ? brokenLeft : Math.min(brokenLeft, Math.max(0, room - ownGood))
        goodLeft -= ownGood
        brokenLeft -= ownBroken
        return [id, { good: ownGood, broken: ownBroken }] as const
      })
    }),
  )
}

/** Whether anything of a commission still names pieces as version 5 did. */
const namesParts = ({ bench, options }: Commission): boolean =>
  Object.keys(bench.counts).length > 0 ||
  bench.recuts.length > 0 ||
  options.some(({ keptSheets }) => keptSheets.length > 0)

/** A commission brought up, its counts, recuts and locked sheets by what pieces are. */
function withPartsFrom5(commission: Commission, workshop: Workshop): Commission {
  if (!namesParts(commission)) return commission
  const bare = {
    ...commission,
    bench: { ...commission.bench, counts: {}, recuts: [] },
    options: commission.options.map((option) => ({ ...option, keptSheets: [] })),
  }
  const planOf = (chosen: string): Plan =>
    derivePlan({ commission: { ...bare, chosen }, workshop, now: 0, units: 'metric' })
  const plan = planOf(commission.chosen)
  const { counts, recuts } = commission.bench
  return {
    ...commission,
    bench: {
      ...commission.bench,
      counts: countsFrom5(counts, plan),
      recuts: recuts.flatMap((recut) =>
        partsFrom5(recut.part, plan)
          .slice(0, 1)
          .map(({ id }) => ({ ...recut, part: id })),
      ),
    },
    options: commission.options.map((option) => {
      if (option.keptSheets.length === 0) return option
      const own = planOf(option.id)
      const nameOf = (part: string): string => partsFrom5(part, own)[0]?.id ?? part
      return {
        ...option,
        keptSheets: option.keptSheets.map((sheet) => ({
          ...sheet,
          placements: sheet.placements.map((each) => ({ ...each, part: nameOf(each.part) })),
        })),
      }
    }),
  }
}

const since6 = (value: unknown): unknown => from11(from10(from9(from8(from7(from6(value))))))

/** Both together, when they hold; else as they are, for the schema to say what is wrong. */
export function bothFrom5(
  commission: unknown,
  workshop: unknown,
): { readonly commission: unknown; readonly workshop: unknown } {
  const next = {
    commission: since6(commissionFrom5(commission)),
    workshop: since6(workshopFrom5(workshop)),
  }
  const [wanted, own] = [commissionSchema.safeParse(next.commission), workshopSchema.safeParse(next.workshop)]
  if (!wanted.success || !own.success) return next
  return { commission: withPartsFrom5(wanted.data, own.data), workshop: own.data }
}
