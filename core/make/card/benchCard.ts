/** What a card says of a step at the bench. */
import { stepKey, wiresOf, type PlannedDecoration } from '../../decoration'
import type { LearnedDye } from '../../learn'
import { benchSupplyOf, glueOf } from '../../material'
import { mixtureOf } from '../../mixture'
import { dryingOf, type Plan } from '../../plan'
import { printQuantity, printWorkingValue, several, type UnitSystem } from '../../quantity'
import { type Making, type MakingStep, type TaskOf, type Turn } from '../../schedule'
import { STOCK_WIRE_MM, type Step } from '../../technique'
import { bathStep, CARRIER_WORDS, dippedSteps, doseWords, type Bath, type Dish } from '../../tint'
import { NOTHING, ledgerOf, type CardPicture, type StepCard, type Wanted, type Told } from './card'

/** A task of a decoration: which step of its making, which turn. */
export type InWork = {
  readonly making: Making
  readonly made: PlannedDecoration
  readonly step: MakingStep
  readonly turn: Turn
  readonly of: TaskOf
}

/** What a task at the bench is called: decoration, step, load or turn. */
export function nameOf({ making, step, turn, of }: InWork): string {
  const which = turn.load
    ? `, load ${turn.load.number}${turn.load.again ? ', cut again' : ''}`
    : of.turns > 1
      ? `, turn ${of.turn} of ${of.turns}`
      : ''
  return `${making.name}: ${step.name.toLowerCase()}${which}`
}

const watchOf = (failures: PlannedDecoration['failures']): readonly string[] =>
  failures.map(({ seen, because, next }) => `${seen}: ${because}. Next: ${next}.`)

const PAN_SIDE_MIN = 1
const LEAST_TIMER_MIN = 0.5

/** The last step at the bench: after it pieces are as they go on the cake. */
const lastAtBench = ({ steps }: Making): MakingStep | undefined =>
  [...steps].reverse().find(({ onCake }) => !onCake) ?? steps.at(-1)

/** The step at which pieces are counted as finished: where they are lifted, or the last at the bench. */
const finishingStep = (making: Making): MakingStep | undefined =>
  making.steps.find(({ turnsOf }) => turnsOf !== null) ?? lastAtBench(making)

/** The first step of its technique: what is spattered on whole sheets comes before it. */
const firstOwnStep = ({ steps, finishes }: PlannedDecoration): Step | undefined =>
  steps.find(({ id }) => !finishes.some(({ step }) => step === id))

/** Colour that is put on at a step: dishes mixed for it, doses added to its bath. */
function colourAmounts({ made, step, turn }: InWork, { plan, units }: Wanted): StepCard['amounts'] {
  const colouring = (made.steps.find(({ colours }) => colours) ?? firstOwnStep(made))?.id
  if (step.id !== colouring) return []
  const isFor = ({ uses }: { readonly uses: readonly { readonly decoration: string }[] }): boolean =>
    uses.some(({ decoration }) => decoration === made.id)
  const dishes = plan.dishes.dishes.filter(isFor).map((dish) => ({
    label: `colour, in ${CARRIER_WORDS[dish.colouring.carrier]}`,
    text: dishText(dish, plan, units),
  }))
  const bath = plan.dishes.baths.find(isFor)
  return [...dishes, ...(bath ? doseAmounts(bath, made, turn, plan, units) : [])]
}

/** Dyes as they are measured, those of which there is any. */
const dosesText = (
  doses: readonly (readonly [dye: string, drops: number])[],
  dyes: readonly LearnedDye[],
  units: UnitSystem,
): string =>
  doses
    .filter(([, drops]) => drops > 0)
    .map(([id, drops]) => {
      const { dye } = dyes.find((each) => each.dye.id === id)!
      return `${dye.name} ${doseWords(dye, drops, units).amount}`
    })
    .join(', ')

/** What a dish holds: how much, and which dyes in it. */
function dishText({ ml, doses, sheet, outOfReach }: Dish, { dishes }: Plan, units: UnitSystem): string {
  if (outOfReach === 'another') return 'cannot be mixed from the dyes that suit'
  const measured = dosesText(
    doses.map(({ dye, whole }) => [dye, whole]),
    dishes.dyes[sheet.kind],
    units,
  )
  return [printWorkingValue(ml, units), measured].filter(Boolean).join(': ')
}

/** What is added to a bath for the shades of a load. */
function doseAmounts(
  bath: Bath,
  made: PlannedDecoration,
  { load }: Turn,
  { dishes }: Plan,
  units: UnitSystem,
): StepCard['amounts'] {
  const shades = (load?.laid ?? []).map(({ part }) => made.classes.find(({ id }) => id === part)?.shade ?? 0)
  const steps = [...new Set(shades.map((shade) => bathStep(shade, bath.ladder.length)))].sort(
    (one, other) => one - other,
  )
  return [
    ...(steps[0] === dippedSteps(bath)[0]?.shade
      ? [{ label: 'boiled, cooled water', text: printWorkingValue(bath.startMl, units) }]
      : []),
    ...steps.map((step) => ({
      label: `dye for shade ${step + 1}`,
      text:
        dosesText(Object.entries(bath.steps[step]!.wholeDrops), dishes.dyes[bath.sheet.kind], units) ||
        'no more colour',
    })),
  ]
}

/** How many of each part are in hand. */
function partsIn({ made, turn }: InWork): readonly { readonly id: string; readonly many: number }[] {
  if (!turn.load) return made.classes.map(({ id, needed, spares }) => ({ id, many: needed.value + spares.value }))
  const many = new Map<string, number>()
  for (const { part } of turn.load.laid) many.set(part, (many.get(part) ?? 0) + 1)
  return [...many].map(([id, count]) => ({ id, many: count }))
}

/** What is in hand, in words. */
function pieceAmounts(at: InWork, { units }: Wanted): StepCard['amounts'] {
  const { made, turn } = at
  const classOf = (id: string) => made.classes.find((each) => each.id === id)!
  const sized = partsIn(at)
    .slice(0, 5)
    .map(({ id, many }) => {
      const { name, sector, shade, width, height } = classOf(id)
      const size = sector
        ? `of ${sector.discMm} mm${made.colour.steps > 1 ? `, shade ${bathStep(shade, made.colour.steps) + 1}` : ''}`
        : `${printWorkingValue(width, units)} × ${printWorkingValue(height, units)}`
      return { label: several(name), text: `${many}, ${size}` }
    })
  if (turn.load) return [{ label: 'pieces', text: String(turn.load.laid.length) }, ...sized]
  return [
    { label: made.called, text: printWorkingValue(made.count, units) },
    { label: 'pieces, spares too', text: printWorkingValue(made.pieces, units) },
    ...sized,
  ]
}

/** Wires to cut for a step: how many of each length, how many of them a whole wire gives. */
function wiresFor({ made, step }: InWork, { units }: Wanted): StepCard['amounts'] {
  if (!made.steps.some(({ id, wires }) => id === step.id && wires)) return []
  return wiresOf(made.wiring).map(({ gauge, name, lengthMm, count }) => {
    const fromOne = Math.floor(STOCK_WIRE_MM / lengthMm)
    const cut = fromOne === 0 ? 'longer than a wire: tape two together' : `${fromOne} from a wire`
    return {
      label: `wire, gauge ${gauge}`,
      text: `${count} of ${printQuantity(lengthMm, 'length', units)}, ${name}; ${cut}`,
    }
  })
}

/** Mixtures, glue and other things that a step takes; all of its turns together. */
function takenAt({ made, step }: InWork, { plan, units }: Wanted): StepCard['amounts'] {
  const mixtures = (plan.liquids[made.id] ?? []).filter(({ at }) => at === step.id)
  const finishes = made.finishes.filter((finish) => finish.step === step.id)
  const used = made.used.filter(({ at }) => at === step.id)
  const gluings = step.id === made.setting.id ? made.gluings.filter(({ grams }) => grams.value > 0) : []
  return [
    ...mixtures.map(({ mixture, ml }) => ({
      label: mixtureOf(mixture).name.toLowerCase(),
      text: printWorkingValue(ml, units),
    })),
    ...used.map(({ supply, amount }) => ({
      label: benchSupplyOf(supply).name,
      text: printWorkingValue(amount, units),
    })),
    ...finishes.map(({ amount }) => ({ label: amount.label, text: printWorkingValue(amount, units) })),
    ...gluings.map(({ glue, grams }) => ({ label: glueOf(glue).name, text: printWorkingValue(grams, units) })),
  ]
}

function pictureOf({ made, step, turn }: InWork): CardPicture {
  const { id, drying, steps } = made
  if (turn.load)
    return { kind: 'load', decoration: id, load: turn.load, former: drying.way === 'oven' ? 'tray' : 'mat' }
  // Until it is cut there is nothing else to see.
  const at = steps.findIndex((each) => each.id === step.id)
  const isOnSheets = at >= 0 && at <= steps.findIndex(({ cuts }) => cuts)
  return { kind: isOnSheets ? 'sheets' : 'element', decoration: id }
}

/** What a card says of a step of a decoration. */
export function makeCard(at: InWork, wanted: Wanted): Told {
  const { making, made, step, turn, of } = at
  const { plan } = wanted
  const technique = [...made.steps, made.setting].find(({ id }) => id === step.id)
  const soak = technique?.soaks ? dryingOf(plan.dryings, made.id)?.estimate.soak.value : undefined
  const restMin = (step.ovenMin ?? step.rest).value
  const where = step.ovenMin ? 'in the oven' : (step.hold?.name ?? 'rests')
  return {
    ...NOTHING,
    say: technique ? [technique.say] : [],
    amounts: [
      ...pieceAmounts(at, wanted),
      ...(of.turns > 1 && !turn.load ? [{ label: 'this turn', text: `${of.turn} of ${of.turns}` }] : []),
      ...colourAmounts(at, wanted),
      ...wiresFor(at, wanted),
      ...takenAt(at, wanted),
    ],
    watch: watchOf(made.failures),
    cautions: made.cautions.filter((caution) => caution.at === step.id).map(({ say }) => say),
    timers: [
      ...(step.id === 'pan'
        ? [
            { name: 'First side', minutes: PAN_SIDE_MIN },
            { name: 'Second side', minutes: PAN_SIDE_MIN },
          ]
        : []),
      ...(soak ? [{ name: 'Soak', minutes: Math.max(LEAST_TIMER_MIN, Math.round(soak * 4) / 4) }] : []),
    ],
    rest: restMin > 0 && step.since === null ? { name: `${nameOf(at)}: ${where}`, minutes: restMin } : null,
    counts: { technique: made.technique, finishes: step.id === finishingStep(making)?.id, parts: partsIn(at) },
    ledger:
      of.turns > 1 && !turn.load
        ? null
        : turn.load?.again
          ? null
          : ledgerOf(stepKey(made.technique, step.id), turn.hands, plan),
    picture: pictureOf(at),
  }
}
