import type { Plan } from '../plan'
import { momentText, workingSentence, type Working } from '../quantity'

const figure = (working: Working | null): object | null =>
  working && {
    value: working.kind === 'moment' ? momentText(working.value) : working.value,
    kind: working.kind,
    working: workingSentence(working, 'metric'),
  }

/**
 * A plan as plain data for other programs: figures with their arithmetic, discs, bath, timetable, cautions. Hours are
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
    ledgeMm: plan.arrangement.stack[at]!.ledge.leastMm,
    coveringG: covering?.coat.value ?? 0,
    supports: supports.map(({ half, count, length }) => ({
      lowerHalf: half,
      count: count.value,
      lengthMm: length.value,
    })),
    warmMin: warming ? (warming.cautious?.value ?? null) : 0,
  })),
  paperwork: plan.paperwork.map(({ technique, count, pieces, sheets, classes }) => ({
    technique,
    count: count.value,
    pieces: pieces.value,
    sheets: sheets.value,
    classes: classes.map(({ name, width, height, needed, spares }) => ({
      name,
      widthMm: width.value,
      heightMm: height.value,
      needed: needed.value,
      spares: spares.value,
    })),
  })),
  sails: plan.arrangement.sails.map(({ place, sized, shade }) => ({
    angleDeg: place.angleDeg,
    heightMm: place.heightMm,
    seenHeightMm: sized.seenHeightMm,
    portion: sized.portion,
    discMm: sized.discMm,
    shade: shade + 1,
  })),
  discs: plan.discs.map(({ number, diameterMm, sectors, freeDeg }) => ({
    number,
    diameterMm,
    freeDeg,
    pieces: sectors.map(({ piece, fromDeg, sweepDeg, radiusMm }) => ({
      number: piece.number,
      portion: piece.portion,
      spare: piece.element === null,
      fromDeg,
      sweepDeg,
      radiusMm,
    })),
  })),
  bath: plan.bath && {
    startMl: plan.bath.startMl.value,
    steps: plan.bath.steps.map(({ shade, batch, exactDrops, wholeDrops, predictedHex }) => ({
      shade: shade + 1,
      pieces: batch.pieceCount,
      areaDm2: batch.areaDm2,
      exactDrops: exactDrops.value,
      wholeDrops,
      predictedHex,
    })),
  },
  drying: Object.fromEntries(
    Object.entries(plan.drying.ready).map(([state, { median, ninety }]) => [
      state,
      { medianMin: median?.value ?? null, ninetyMin: ninety?.value ?? null },
    ]),
  ),
  timetable: plan.timetable.ok
    ? plan.timetable.value.slots.map(({ name, lane, from, to }) => ({
        name,
        lane,
        from: momentText(from),
        to: momentText(to),
      }))
    : { problem: plan.timetable.error.code },
  cautions: plan.cautions.map(({ code, severity, leaf, say }) => ({ code, severity, leaf, say })),
})
