import type { Plan } from '../plan'
import { inOneBreath } from '../schedule'
import { dippedSteps } from '../tint'
import { momentText, workingSentence, type Working } from '../quantity'

const figure = (working: Working | null): object | null =>
  working && {
    value: working.kind === 'moment' ? momentText(working.value) : working.value,
    kind: working.kind,
    working: workingSentence(working, 'metric'),
  }

/** The last possible hour to start, with how likely that is to be in time; none once work was begun. */
function lastPossible({ timetable }: Plan): object | null {
  if (!timetable.ok || !timetable.value.last) return null
  const { startBy, chance } = timetable.value.last
  return { startBy: momentText(startBy), chance: chance.value }
}

/**
 * A plan as plain data for other programs: figures with their arithmetic, sheets, baths, timetable, cautions. Hours are
 * wall-clock texts, sizes mm.
 */
export const planSummary = (plan: Plan): object => ({
  tally: Object.fromEntries(plan.tally.map(({ id, working, none }) => [id, figure(working) ?? none])),
  box: {
    fits: plan.fit.fits,
    clearanceMm: Object.fromEntries(Object.entries(plan.fit.clearance).map(([side, { value }]) => [side, value])),
  },
  finishedMm: Object.fromEntries(Object.entries(plan.finished).map(([side, { value }]) => [side, value])),
  tiers: plan.cake.tiers.map(({ surfaces, covering, supports, warming }, at) => ({
    perimeterMm: surfaces.foot.value,
    sideDm2: surfaces.side.value,
    topDm2: surfaces.top.value,
    ledgeMm: plan.stack[at]!.ledge.leastMm,
    coveringG: covering?.coat.value ?? 0,
    supports: supports.map(({ half, count, length }) => ({
      lowerHalf: half,
      count: count.value,
      lengthMm: length.value,
    })),
    warmMin: warming ? (warming.cautious?.value ?? null) : 0,
  })),
  decorations: plan.decorations.map(({ id, technique, count, pieces, classes, elements }) => ({
    id,
    technique,
    count: count.value,
    pieces: pieces.value,
    elements: elements.map(({ tier, on, angleDeg, heightMm, size, fitted }) => ({
      tier,
      on,
      angleDeg,
      heightMm,
      size,
      ...(fitted && { portion: fitted.portion, discMm: fitted.discMm, seenHeightMm: fitted.heightMm }),
    })),
    classes: classes.map(({ id: part, name, width, height, needed, spares, shade }) => ({
      part,
      name,
      shade: shade + 1,
      widthMm: width.value,
      heightMm: height.value,
      needed: needed.value,
      spares: spares.value,
    })),
  })),
  sheets: plan.sheets.map(({ paper, shape, needed }) => ({ paper, shape, count: needed.value })),
  groups: plan.groups.map(({ id, paper, way, layout }) => ({
    id,
    paper,
    way,
    sheets: layout.sheets.map(({ shape, plies, pieces }) => ({
      shape,
      plies,
      pieces: pieces.map(({ part, number, x, y, rotationDeg }) => ({ part: part.id, number, x, y, rotationDeg })),
    })),
  })),
  baths: plan.dishes.baths.map((bath) => ({
    decorations: bath.uses.map(({ decoration }) => decoration),
    startMl: bath.startMl.value,
    steps: dippedSteps(bath).map(({ shade, batch, exactDrops, wholeDrops, predictedHex }) => ({
      shade: shade + 1,
      pieces: batch.pieceCount,
      areaDm2: batch.areaDm2,
      exactDrops: exactDrops.value,
      wholeDrops,
      predictedHex,
    })),
  })),
  drying: plan.dryings.map(({ paper, drying, decorations, estimate }) => ({
    paper,
    way: drying.way,
    decorations,
    ready: Object.fromEntries(
      Object.entries(estimate.ready).map(([state, { median, ninety }]) => [
        state,
        { medianMin: median?.value ?? null, ninetyMin: ninety?.value ?? null },
      ]),
    ),
  })),
  timetable: plan.timetable.ok
    ? inOneBreath(plan.timetable.value.slots).map(({ name, lane, from, to }) => ({
        name,
        lane,
        from: momentText(from),
        to: momentText(to),
      }))
    : { problem: plan.timetable.error.code },
  chance: plan.timetable.ok ? plan.timetable.value.risk.chance.value : null,
  lastPossible: lastPossible(plan),
  cautions: plan.cautions.map(({ code, severity, leaf, say }) => ({ code, severity, leaf, say })),
})
