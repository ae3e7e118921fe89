import { ok, refuse, type Moment, type Result } from '../quantity'
import type { Completion, LoadWork, Making, Work } from './tasks'
import { latestSlot, latestSlots, type Stretch, type WorkingHours } from './workingHours'

export type SlotKind = 'warm' | 'make' | 'cut' | 'drape' | 'dry' | 'oven' | 'lift' | 'rest' | 'choose' | 'pack' | 'place' | 'loadCar' | 'drive' | 'event'

/** Something that has its hours. `lane` is what it occupies: the hands, a mat, a tray, a place in the oven, the rack, the road, the cake itself. */
export type Slot = Stretch & { readonly id: string, readonly kind: SlotKind, readonly name: string, readonly lane: string, readonly hands: boolean, readonly load: number | null }

/** Minutes a load takes: before it may leave its former, and before it is ready for the cake. */
type LoadTimes = { readonly onFormerMin: number, readonly untilSetMin: number, readonly ovenMin: number | null }

export type TimetableQuestion = {
  readonly eventAt: Moment
  /** On the road, with stops. */
  readonly driveMin: number
  /** Minutes the cake stands out of the refrigerator until paper may go on it, or, when it is kept chilled, until it may be shown; 0 when nothing is chilled. */
  readonly warmMin: number
  readonly warmedFor: 'placing' | 'showing'
  readonly completion: Completion
  readonly work: Work
  readonly times: LoadTimes
  readonly formers: { readonly name: string, readonly count: number }
  readonly ovenPlaces: number
  readonly hours: WorkingHours
}

export type Timetable = { readonly slots: readonly Slot[], readonly startBy: Moment, readonly atVenueBy: Moment, readonly leaveAt: Moment }

export type NoTimetable = { readonly code: 'no-working-time', readonly task: string } | { readonly code: 'no-formers', readonly formers: string }

/** Finished before guests may look, minutes. */
export const BEFORE_EVENT_MIN = 30
const COOLING_MIN = 10
const HANDS = 'hands'

/**
 * The latest timetable that ends in time, walked back from the event.
 *
 * All work by hand follows one order: cut, drape load after load (one bath serves them from pale to deep), choose, pack, drive, place. Loads take the formers in turn, and whoever
 * drapes a load first lifts off the one that lies there. Each task then has the latest place that the next task, its former, its drying and the working hours allow, and no other
 * timetable of this order begins later. Fewer formers sometimes save a trip to the bench, so those walks are tried too.
 *
 * @returns slots in the order of time and the hour to start; or what could not be placed
 */
export function walkBack(question: TimetableQuestion): Result<Timetable, NoTimetable> {
  const { work: { loads }, formers, times, ovenPlaces } = question
  if (loads.length > 0 && (formers.count < 1 || (times.ovenMin !== null && ovenPlaces < 1))) return refuse({ code: 'no-formers', formers: formers.name })
  const useful = Math.max(1, Math.min(formers.count, loads.length))
  const walks = Array.from({ length: useful }, (_, idle) => walkWith(question, useful - idle))
  const timetables = walks.flatMap((walk) => walk.ok ? [walk.value] : [])
  const latest = timetables.sort((one, other) => other.startBy - one.startBy)[0]
  return latest ? ok(latest) : walks[0]!
}

/** One walk on a number of formers. */
function walkWith(question: TimetableQuestion, formerCount: number): Result<Timetable, NoTimetable> {
  const { work, hours } = question
  const missing = (task: string): Result<Timetable, NoTimetable> => refuse({ code: 'no-working-time', task })
  const end = endOfJob(question)
  if (!end) return missing('packing and placing')
  const lastLifts = work.loads.slice(-formerCount).reduce((sum, { lift }) => sum + lift.value, 0)
  const choosing = inParts(hours, 'choose', 'Lift the last loads off, choose and trim', work.choose.value + lastLifts, end.madeBy)
  if (!choosing) return missing('choosing and trimming')
  const ready = choosing[0]?.from ?? end.madeBy
  const drying = walkLoads(question, formerCount, ready)
  if (!drying) return missing('draping and drying')
  const cutting = inParts(hours, 'cut', 'Cut the discs', work.cut.value, drying.firstFrom)
  if (!cutting) return missing('cutting')
  const making = makeBefore(hours, work.making, cutting[0]?.from ?? drying.firstFrom, ready)
  if (!making) return missing('the paper decorations')
  const slots = [...making, ...cutting, ...drying.slots, ...choosing, ...end.slots].sort((one, other) => one.from - other.from || one.to - other.to)
  return ok({ slots, startBy: slots.find(({ hands: byHand }) => byHand)!.from, atVenueBy: end.atVenueBy, leaveAt: end.leaveAt })
}

/** Decorations from sheets, made before the film is cut: those that rest longest first, each ready when the sails are chosen. */
function makeBefore(hours: WorkingHours, making: readonly Making[], before: Moment, ready: Moment): readonly Slot[] | null {
  let until = before
  const slots: Slot[] = []
  for (const each of [...making].sort((one, other) => one.waitMin - other.waitMin)) {
    const parts = inParts(hours, 'make', each.name, each.hands.value, Math.min(until, ready - each.waitMin))
    if (!parts) return null
    slots.unshift(...parts.map((slot) => ({ ...slot, id: `${slot.id}-${each.id}` })))
    until = parts[0]?.from ?? until
  }
  return slots
}

/** Work that may be split over several spells, as late as it goes, earliest part first. */
function inParts(hours: WorkingHours, kind: SlotKind, name: string, durationMin: number, before: Moment): readonly Slot[] | null {
  if (durationMin <= 0) return []
  const stretches = latestSlots(hours, durationMin, before)
  return stretches && stretches.map((stretch, part) => ({
    ...stretch, id: `${kind}-${part + 1}`, kind, lane: HANDS, hands: true, load: null,
    name: stretches.length > 1 ? `${name}, part ${part + 1} of ${stretches.length}` : name,
  }))
}

type EndOfJob = { readonly slots: readonly Slot[], readonly madeBy: Moment, readonly atVenueBy: Moment, readonly leaveAt: Moment }

/** From the event back to the hour the sails must be made. On the day itself driving, loading and work at the venue do not mind the working hours. */
function endOfJob({ eventAt, driveMin, completion, warmMin, warmedFor, work, hours }: TimetableQuestion): EndOfJob | null {
  const onTheDay = (kind: SlotKind, name: string, minutes: number, to: Moment): Slot => ({ id: kind, kind, name, lane: kind === 'drive' ? 'road' : HANDS, hands: true, load: null, from: to - minutes, to })
  const event: Slot = { id: 'event', kind: 'event', name: 'Event', lane: 'road', hands: false, load: null, from: eventAt, to: eventAt }
  const finished = eventAt - BEFORE_EVENT_MIN
  const placeThere = completion === 'atVenue' ? [onTheDay('place', 'Place the sails at the venue', work.place.value, finished)] : []
  const atVenueBy = placeThere[0]?.from ?? finished
  const drive = onTheDay('drive', 'Drive', driveMin, atVenueBy)
  const loadCar = onTheDay('loadCar', 'Load the car', work.loadCar.value, drive.from)
  const pack = inParts(hours, 'pack', completion === 'beforeDriving' ? 'Box the cake' : 'Pack airtight', work.pack.value, loadCar.from)
  const packFrom = pack && (pack[0]?.from ?? loadCar.from)
  const placeHere = packFrom === null ? null : completion === 'beforeDriving' ? inParts(hours, 'place', 'Place the sails', work.place.value, packFrom) : []
  if (packFrom === null || !placeHere) return null
  const warmBy = warmedFor === 'placing' ? placeThere[0]?.from ?? placeHere[0]?.from ?? finished : finished
  const warm: readonly Slot[] = warmMin > 0 ? [{ id: 'warm', kind: 'warm', name: 'Cake out of the refrigerator, warms through', lane: 'cake', hands: false, load: null, from: warmBy - warmMin, to: warmBy }] : []
  return { slots: [...placeHere, ...pack!, loadCar, drive, ...placeThere, ...warm, event], madeBy: placeHere[0]?.from ?? packFrom, atVenueBy, leaveAt: drive.from }
}

/** Where one load was put: its hands from lifting what lay there to the end of draping, and its spell in the oven. */
type PlacedLoad = { readonly hands: Stretch, readonly oven: Stretch | null }

/** All loads, last first. Null when one finds no time. */
function walkLoads(question: TimetableQuestion, formerCount: number, ready: Moment): { readonly slots: readonly Slot[], readonly firstFrom: Moment } | null {
  const { hours, times, work: { loads }, ovenPlaces } = question
  const placed: PlacedLoad[] = Array(loads.length)
  for (let at = loads.length - 1; at >= 0; at -= 1) {
    const nextOnFormer = placed[at + formerCount]?.hands.from ?? ready
    const nextHands = placed[at + 1]?.hands.from ?? ready
    let oven: Stretch | null = null
    let before = Math.min(nextHands, nextOnFormer - times.onFormerMin, ready - times.untilSetMin)
    if (times.ovenMin !== null) {
      const nextInPlace = placed[at + ovenPlaces]?.oven?.from ?? Infinity
      const nextOut = placed[at + 1]?.oven?.to ?? Infinity
      oven = latestSlot(hours, times.ovenMin, Math.min(nextOnFormer - COOLING_MIN, nextInPlace, nextOut))
      if (!oven) return null
      before = Math.min(nextHands, oven.from)
    }
    const hands = latestSlot(hours, (loads[at - formerCount]?.lift.value ?? 0) + loads[at]!.drape.value, before)
    if (!hands) return null
    placed[at] = { hands, oven }
  }
  const slots = loads.flatMap((work, at) => loadSlots(question, formerCount, ready, placed, work, at))
  return { slots, firstFrom: placed[0]?.hands.from ?? ready }
}

/** The slots of one load: lifting the one before it off its former, draping, the oven, lying on the former, setting on the rack. */
function loadSlots({ formers, times, ovenPlaces, work: { loads } }: TimetableQuestion, formerCount: number, ready: Moment, placed: readonly PlacedLoad[], { load, drape }: LoadWork, at: number): readonly Slot[] {
  const { hands, oven } = placed[at]!
  const lane = `${formers.name} ${at % formerCount + 1}`
  const before = loads[at - formerCount]
  const next = placed[at + formerCount]
  const liftedFrom = next?.hands.from ?? ready
  const liftedTo = liftedFrom + loads[at]!.lift.value
  const set = hands.to + times.untilSetMin
  const slot = (kind: SlotKind, name: string, slotLane: string, byHand: boolean, from: Moment, to: Moment): Slot => ({ id: `${kind}-${load.number}`, kind, name, lane: slotLane, hands: byHand, load: load.number, from, to })
  return [
    ...(before ? [{ ...slot('lift', `Lift load ${before.load.number} off`, lane, true, hands.from, hands.to - drape.value), id: `lift-${before.load.number}`, load: before.load.number }] : []),
    slot('drape', `Soak and drape load ${load.number}`, lane, true, hands.to - drape.value, hands.to),
    ...(oven ? [slot('oven', `Load ${load.number} in the oven`, `oven ${at % ovenPlaces + 1}`, false, oven.from, oven.to)] : []),
    slot('dry', oven ? `Load ${load.number} on its tray` : `Load ${load.number} dries`, lane, false, hands.to, liftedFrom),
    ...(!oven && set > liftedTo ? [slot('rest', `Load ${load.number} sets`, 'rack', false, liftedTo, set)] : []),
  ]
}
