import type { Plan } from '../plan'
import { inOneBreath } from '../schedule'
import { dippedSteps } from '../tint'
import {
  dateClockText,
  printDuration,
  printQuantity,
  printWorkingValue,
  workingSentence,
  type UnitSystem,
} from '../quantity'

/** A plan to read in a terminal: the tally with its arithmetic, the baths, the timetable, what needs a look. */
export function planText(name: string, plan: Plan, units: UnitSystem): string {
  const tally = plan.tally.map(
    ({ label, working, beside, none }) =>
      `${label.padEnd(14)}${working ? printWorkingValue(working, units) : none}${beside ? `  (${beside})` : ''}`,
  )
  const workings = plan.tally.flatMap(({ working }) => (working ? [`  ${workingSentence(working, units)}`] : []))
  const baths = plan.dishes.baths.flatMap((bath) => [
    `  ${bath.uses.map(({ name: of }) => of).join(', ')}`,
    ...dippedSteps(bath).map(
      ({ shade, batch, wholeDrops, predictedHex }) =>
        `  shade ${shade + 1}  ${batch.pieceCount} pieces  add ${Object.entries(wholeDrops)
          .map(([dye, drops]) => `${dye} ${drops}`)
          .join(', ')} drops  → ${predictedHex}`,
    ),
  ])
  const slots = plan.timetable.ok
    ? inOneBreath(plan.timetable.value.slots).map(
        ({ from, to, name: task, lane }) =>
          `  ${dateClockText(from)}  ${printDuration(to - from).padEnd(12)} ${task} (${lane})`,
      )
    : []
  const cautions = plan.cautions
    .filter(({ severity }) => severity !== 'note')
    .map(({ leaf, say }) => `  ${leaf}: ${say}`)
  const size = `box: ${Object.entries(plan.fit.clearance)
    .map(([side, free]) => `${side} ${printQuantity(free.value, 'length', units)}`)
    .join(', ')} to spare`
  const finished =
    `finished: ${printQuantity(plan.finished.wide.value, 'length', units)} wide, ` +
    `${printQuantity(plan.finished.deep.value, 'length', units)} deep, ` +
    `${printQuantity(plan.finished.high.value, 'length', units)} high with board`
  const section = (title: string, lines: readonly string[]): readonly string[] =>
    lines.length > 0 ? ['', title, ...lines] : []
  return [
    name,
    '',
    ...tally,
    size,
    finished,
    ...section('How they come about', workings),
    ...section('Baths, pale first', baths),
    ...section('Timetable', slots),
    ...section('Needs a look', cautions),
    '',
  ].join('\n')
}
