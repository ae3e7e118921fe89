/** Dishes of colour: every colour that is wanted, each mixed once, in the order of work. */
import type { Dye } from '../material'
import { derive, found, sumOf, type Working } from '../quantity'
import { colouredSheet, colourVolume, type Colouring } from './colouring'
import {
  difference,
  hexOklab,
  sheetHex,
  sheetOklab,
  type ColouredSheet,
  type Dose,
  type SheetState,
} from './paperOptics'
import { recipeFor, type OutOfReach } from './recipe'
import type { BathTray } from './steppedBath'

/** A colour that is wanted on paper: for what, on which paper, how, and on how much of it. */
export type ColourWish = {
  readonly decoration: string
  readonly name: string
  readonly target: string
  readonly kind: ColouredSheet['kind']
  readonly thicknessMm: number
  /** How the paper is finished after it was coloured. */
  readonly state: SheetState
  /** How long a piece is then against its length when it was coloured. */
  readonly grows: number
  readonly colouring: Colouring
  readonly pieces: Working
  /** One face of them, dm². */
  readonly area: Working
  /** What the colour is stirred into, where that is made anyway. */
  readonly base: Working | null
}

/** A dish in working order: what is mixed in it, what for, how it will look. */
export type Dish = {
  readonly id: string
  readonly target: string
  readonly sheet: ColouredSheet
  readonly colouring: Colouring
  /** What it colours; `moreMl` is what is mixed beyond the liquid it is stirred into, for whole drops. */
  readonly uses: readonly {
    readonly decoration: string
    readonly name: string
    readonly pieces: Working
    readonly moreMl: Working | null
  }[]
  readonly ml: Working
  /** Stirred into a liquid that is made anyway: nothing is thinned for it. */
  readonly isStirredIn: boolean
  readonly doses: readonly { readonly dye: string; readonly drops: Working; readonly whole: number }[]
  /** With whole drops, drops in 100 ml. */
  readonly inDish: Dose
  readonly predictedHex: string
  /** Why it does not come; `another` where all that comes of these dyes is another colour, so that nothing is mixed. */
  readonly outOfReach: OutOfReach | 'another' | null
  /** An earlier dish that looks nearly the same, and how far off: they could be one. */
  readonly near: { readonly dish: string; readonly difference: number } | null
}

/** Dishes, and what is left bare because it wants no colour. */
export type Dishes = { readonly dishes: readonly Dish[]; readonly bare: readonly string[] }

/** Colours this near could be mixed once: a step that is seen only side by side. */
const NEARLY_EQUAL = 0.04
/** Whole drops may move the colour by this; more is mixed where they would move it further. */
const ROUNDED_WITHIN = 0.012
const LARGER = [1, 1.25, 1.5, 2, 2.5, 3, 4] as const

/** Colours so far apart in hue are others, where they have any. */
const ANOTHER_DEG = 25
const ANOTHER_FROM = 0.06
const HUELESS = 0.03
const DEGREES = 180 / Math.PI

/** Whether a colour is another than the one asked for, not only paler, deeper or duller. */
export function isAnother(wantedHex: string, gotHex: string): boolean {
  const [wanted, got] = [hexOklab(wantedHex), hexOklab(gotHex)]
  if (Math.hypot(wanted.a - got.a, wanted.b - got.b) < ANOTHER_FROM) return false
  if (Math.hypot(wanted.a, wanted.b) < HUELESS) return true
  const turn = Math.abs(Math.atan2(wanted.b, wanted.a) - Math.atan2(got.b, got.a)) * DEGREES
  // What comes out grey is duller, not another.
  return Math.hypot(got.a, got.b) >= HUELESS && Math.min(turn, 360 - turn) > ANOTHER_DEG
}

const keyOf = ({
  kind,
  thicknessMm,
  state,
  grows,
  colouring: { way, carrier, faces, coats },
}: Pick<ColourWish, 'kind' | 'thicknessMm' | 'state' | 'grows' | 'colouring'>): string =>
  [kind, thicknessMm, state, grows, way, carrier, faces, coats].join(' ')

/**
 * Every colour as one dish, pale before deep within a way of colouring, so that a brush never carries deep into pale
 * and nothing is mixed twice.
 *
 * @param dyesFor the dyes that may be used for a wish
 */
export function dishesFor(
  wishes: readonly ColourWish[],
  dyesFor: (wish: ColourWish) => readonly Dye[],
  tray: BathTray,
): Dishes {
  const groups = new Map<string, ColourWish[]>()
  const bare: string[] = []
  for (const wish of wishes) {
    if (wish.colouring.way === 'bare') {
      if (!bare.includes(wish.name)) bare.push(wish.name)
      continue
    }
    const key = `${keyOf(wish)} ${wish.base ? 'stirred in ' : ''}${wish.target.toLowerCase()}`
    const group = groups.get(key)
    if (group) group.push(wish)
    else groups.set(key, [wish])
  }
  const mixed = [...groups].flatMap(([id, group]): Dish[] => {
    const dish = dishOf(id, group, dyesFor(group[0]!), tray)
    if (dish.doses.length > 0 || dish.outOfReach === 'another') return [dish]
    bare.push(...group.map(({ name }) => name).filter((name) => !bare.includes(name)))
    return []
  })
  const ordered = mixed.sort(
    (one, other) =>
      one.colouring.way.localeCompare(other.colouring.way) ||
      one.colouring.carrier.localeCompare(other.colouring.carrier) ||
      hexOklab(other.predictedHex).l - hexOklab(one.predictedHex).l,
  )
  return { dishes: ordered.map((dish, at) => ({ ...dish, near: nearTo(dish, ordered.slice(0, at)) })), bare }
}

function dishOf(id: string, group: readonly ColourWish[], dyes: readonly Dye[], tray: BathTray): Dish {
  const [{ target, kind, thicknessMm, state, grows, colouring }] = group as readonly [ColourWish, ...ColourWish[]]
  const sheet = colouredSheet(kind, thicknessMm, state, colouring, grows)
  const { dose, outOfReach } = recipeFor(target, dyes, sheet)
  const area = sumOf(
    'paper to colour',
    'area',
    'decorations added up',
    group.map((wish) => ({ ...wish.area, label: wish.name.toLowerCase() })),
  )
  const base =
    group[0]!.base &&
    sumOf(
      group[0]!.base.label,
      'volume',
      'decorations added up',
      group.flatMap((wish) => wish.base ?? []),
    )
  const wanted = colourVolume(colouring, area, tray, base)
  const wholeIn = (ml: number): Dose =>
    Object.fromEntries(Object.entries(dose).map(([dye, drops]) => [dye, Math.round((drops * ml) / 100)]))
  const strengthIn = (ml: number): Dose =>
    Object.fromEntries(Object.entries(wholeIn(ml)).map(([dye, drops]) => [dye, (drops / ml) * 100]))
  const exact = sheetOklab(dose, dyes, sheet)
  const off = (times: number): number => difference(sheetOklab(strengthIn(wanted.value * times), dyes, sheet), exact)
  const nearest = (): number =>
    LARGER.find((each) => off(each) <= ROUNDED_WITHIN) ??
    LARGER.reduce((best, each) => (off(each) < off(best) ? each : best))
  // Slurry is as much as is poured: its paper is torn for it.
  const times = colouring.way === 'slurry' ? 1 : nearest()
  const ml =
    times === 1
      ? wanted
      : derive(
          'mixed',
          'volume',
          'so that whole drops come out',
          '{wanted} × {times}',
          { wanted, times: timesAsMuch(times) },
          (v) => v.wanted * v.times,
        )
  const whole = wholeIn(ml.value)
  const predictedHex = sheetHex(strengthIn(ml.value), dyes, sheet)
  const nothing = { id, target, sheet, colouring, near: null, isStirredIn: base !== null, uses: usesOf(group, times) }
  if (outOfReach && isAnother(target, predictedHex))
    return {
      ...nothing,
      uses: usesOf(group, 1),
      outOfReach: 'another',
      ml: found('mixed', 0, 'volume', 'nothing: these dyes make another colour'),
      doses: [],
      inDish: {},
      predictedHex: target,
    }
  return {
    ...nothing,
    outOfReach,
    ml,
    doses: dyes.flatMap(({ id: dye, name }) =>
      dose[dye] === undefined
        ? []
        : [
            {
              dye,
              whole: whole[dye]!,
              drops: derive(
                name,
                'drops',
                'strength of the dish',
                '{ml} × {strength} ÷ 100 ml',
                {
                  ml,
                  strength: found(
                    `${name} in 100 ml`,
                    dose[dye],
                    'drops',
                    'the mix of the fewest dyes that comes nearest to the colour',
                  ),
                },
                (v) => (v.ml * v.strength) / 100,
              ),
            },
          ],
    ),
    inDish: strengthIn(ml.value),
    predictedHex,
  }
}

const timesAsMuch = (times: number): Working =>
  found('times as much', times, 'ratio', 'the least at which whole drops keep the colour')

/** What is mixed beyond a liquid that colour is stirred into. */
const beyond = (base: Working, times: number): Working =>
  derive(
    'more of it',
    'volume',
    'so that whole drops come out',
    '{base} × {times} − {base}',
    { base, times: timesAsMuch(times) },
    (v) => v.base * v.times - v.base,
  )

const usesOf = (group: readonly ColourWish[], times: number): Dish['uses'] =>
  group.map(({ decoration, name, pieces, base }) => ({
    decoration,
    name,
    pieces,
    moreMl: base && times > 1 ? beyond(base, times) : null,
  }))

/**
 * The nearest of the dishes before that is mixed for the same paper in the same way, if it is near enough to be one
 * with it.
 */
function nearTo(dish: Dish, before: readonly Dish[]): Dish['near'] {
  const same = before.filter(
    ({ sheet, colouring }) => JSON.stringify([sheet, colouring]) === JSON.stringify([dish.sheet, dish.colouring]),
  )
  const nearest = same
    .map(({ id, target }) => ({ dish: id, difference: difference(hexOklab(target), hexOklab(dish.target)) }))
    .sort((one, other) => one.difference - other.difference)[0]
  return nearest && nearest.difference <= NEARLY_EQUAL ? nearest : null
}
