/** What a technique asks hands to do: its minutes, how long the work rests after it, what it occupies meanwhile. */
import type { DryingWay, Readiness } from '../dry'

/**
 * How long work rests after a step: so many minutes, or until paper has dried so far from having been damped or soaked.
 * `usualMin` is what it takes in a usual room, in the room's own air unless it is told for another way of drying; a rest
 * that began at an earlier step names that step.
 */
export type Rest =
  | { readonly fixedMin: number }
  | {
      readonly until: Readiness
      readonly from: 'damp' | 'soaked'
      readonly usualMin: number
      readonly usualIn?: DryingWay
      readonly since?: string
    }

/** A rest of so many minutes, whatever the room: glue that takes, paper that cools. */
export const fixed = (fixedMin: number): Rest => ({ fixedMin })
/**
 * A rest until damped paper can be handled.
 * @param usualMin at 22 °C and 47.5 %
 * @param usualIn what these minutes are told for, where it is not the room's own air
 */
export const untilHandled = (usualMin: number, usualIn: DryingWay = 'room'): Rest => ({
  until: 'handle',
  from: 'damp',
  usualMin,
  usualIn,
})
/** A rest until damped paper stands firm. @param usualMin at 22 °C and 47.5 % */
export const untilFirm = (usualMin: number): Rest => ({ until: 'firm', from: 'damp', usualMin })

/** What pieces lie, stand or are worked in for a while, of which a studio has so many. */
export const PLACES = ['mat', 'tray', 'oven', 'rack', 'dryRoom', 'halfSphere', 'foamHole', 'pan', 'fan'] as const
export type PlaceId = (typeof PLACES)[number]
export const PLACE_WORDS: Readonly<Record<PlaceId, string>> = {
  mat: 'mat',
  tray: 'tray',
  oven: 'oven',
  rack: 'rack',
  dryRoom: 'shelf in a dry room',
  halfSphere: 'half-spheres',
  foamHole: 'holes in foam',
  pan: 'pan',
  fan: 'fan',
}

/** Where pieces are, said after what happens to them. */
export const AT_PLACE: Readonly<Record<PlaceId, string>> = {
  mat: 'on a mat',
  tray: 'on a tray',
  oven: 'in the oven',
  rack: 'on a rack',
  dryRoom: 'in a dry room',
  halfSphere: 'in half-spheres',
  foamHole: 'in holes in foam',
  pan: 'in the pan',
  fan: 'before a fan',
}

/**
 * What a step occupies: so many places for each piece or element, one for all, or as much of a mat as its pieces cover.
 * It is held until the rest is over, or until a later step takes the pieces up, or only while somebody stands at it.
 */
type Hold = {
  readonly place: PlaceId
  readonly per: 'piece' | 'element' | 'footprint' | 'job'
  readonly untilStep?: string
  /** Only while somebody stands at it: what comes off it rests elsewhere. */
  readonly whileHands?: true
}

/**
 * Minutes of hands: for each piece, for each element, for each sheet it is cut from, for each pour, once to begin; none
 * where it takes none of these.
 */
type HandMinutes = {
  readonly perPiece?: number
  readonly perElement?: number
  readonly perSheet?: number
  /** For each time a pan is filled. */
  readonly perPour?: number
  readonly fixed?: number
}

/** When a skin is glued on: on each tier before the tiers are stacked, or on the stacked cake. */
export const GLUED = ['beforeStacking', 'afterStacking'] as const
export type Glued = (typeof GLUED)[number]

/** A hand movement, with its minutes. */
export type Step = {
  readonly id: string
  readonly name: string
  readonly say: string
  readonly minutes: HandMinutes
  /** None where the next step may follow at once. */
  readonly rest?: Rest
  readonly hold?: Hold
  /** After its rest paper is supple for so long: the next step begins before. */
  readonly suppleMin?: number
  /** Pieces are in water until they are limp: a slow soak holds up the hands. */
  readonly soaks?: true
  /** Wires are cut for it. */
  readonly wires?: true
  /** Where colour comes on; the first step where none says so. */
  readonly colours?: true
  /** Pieces are cut out at it: its minutes come on top of those of the way they are cut. */
  readonly cuts?: true
  /** Done at the cake, once its tier is ready for paper. */
  readonly onCake?: true
  /** May be put down and taken up again, however short it is. */
  readonly putDown?: true
  /** Done turn by turn with the step of that id: what it laid down is taken up. */
  readonly turnsOf?: string
}
