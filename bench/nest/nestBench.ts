/**
 * How much paper nesting takes, beside what people would use instead. Prints figures; checks only that every layout
 * can be cut.
 */
import { faultSentence, faultsOf, leastOf, startNesting, type NestJob, type NestMeasure } from '../../core/cut'
import { improveFor } from '../../scripts/improveFor'
import { secondSearch, sharedClock } from '../../scripts/secondSearch'
import { packBoxes, stripsByHand, type PaperTaken } from './boundingBoxes'
import { benchJobs } from './jobs'
import before from './version09.json'

const AFTER_S = [1, 10, 30]

/** What version 0.9 took after ten seconds of a processor, with the same seed; see docs/nesting.md. */
const BEFORE: Readonly<Record<string, PaperTaken>> = before.jobs
const SEED = before.seed

const areaOf = ({ outline }: NestJob['parts'][number]): number =>
  Math.abs(
    outline.reduce((sum, [x, y], at) => {
      const [nextX, nextY] = outline[(at + 1) % outline.length]!
      return sum + x * nextY - nextX * y
    }, 0),
  ) / 2

/** The paper that the pieces alone would take, if nothing were lost. */
export const areaBoundMm2 = (job: NestJob): number =>
  job.parts.reduce((sum, part) => sum + part.quantity * areaOf(part), 0)

const text = (taken: PaperTaken | null, piecesMm2: number): string =>
  taken
    ? `${String(taken.sheets).padStart(2)} ${((100 * piecesMm2) / taken.paperMm2).toFixed(1).padStart(5)} %`
    : '       –'

type Sink = { write: (line: string) => unknown }

/**
 * Runs every job for the longest time and prints a line each: sheets, and share of the paper used.
 * @param thread path of the thread that searches with the next seed, or null where there is no core for it
 */
export async function nestBench(output: Sink, only: string, longestS: number, thread: string | null): Promise<void> {
  const times = AFTER_S.filter((seconds) => seconds <= longestS)
  output.write(
    `${'job'.padEnd(26)} pieces  least  by hand    boxes      first (ms)         ` +
      `${times.map((seconds) => `after ${seconds} s`.padEnd(11)).join('')}0.9        of its paper\n`,
  )
  const sums = { boxesMm2: 0, oursMm2: 0, moreSheets: 0 }
  const shares: number[] = []
  for (const { job, fewestSheets } of benchJobs()) {
    if (!job.name.includes(only)) continue
    const piecesMm2 = areaBoundMm2(job)
    const began = sharedClock()
    const momentsMs = times.map((seconds) => began + seconds * 1000)
    const second = thread === null ? null : secondSearch(thread, { job, seed: SEED + 1, momentsMs })
    const started = startNesting(job, SEED)
    if (!started.ok) throw new Error(`${job.name}: ${JSON.stringify(started.error)}`)
    const nesting = started.value
    const first = { ms: sharedClock() - began, measure: nesting.measure() }
    const later: NestMeasure[] = []
    for (const moment of momentsMs) {
      improveFor(nesting, moment, sharedClock)
      const own = { layout: nesting.layout(), measure: nesting.measure() }
      const { layout, measure } = leastOf([own, (await second?.next()) ?? null])!
      const [fault] = faultsOf(job, layout)
      if (fault) throw new Error(`${job.name}: ${faultSentence(fault)}`)
      later.push(measure)
    }
    await second?.end()
    const boxes = packBoxes(job)
    const afterTen = later[Math.min(1, later.length - 1)]!
    const earlier = BEFORE[job.name] ?? null
    const share = earlier && afterTen.paperMm2 / earlier.paperMm2
    if (share) shares.push(share)
    if (boxes) {
      sums.boxesMm2 += boxes.paperMm2
      sums.oursMm2 += afterTen.paperMm2
      if (afterTen.sheets > boxes.sheets) sums.moreSheets += 1
    }
    const pieces = job.parts.reduce((sum, { quantity }) => sum + quantity, 0)
    const least = fewestSheets === undefined ? Math.ceil(piecesMm2 / paperOf(job)) : fewestSheets
    output.write(
      `${job.name.padEnd(26)} ${String(pieces).padStart(6)}  ${String(least).padStart(5)}  ` +
        `${text(stripsByHand(job), piecesMm2)}  ${text(boxes, piecesMm2)}  ` +
        `${text(first.measure, piecesMm2)} (${first.ms.toFixed(0)})`.padEnd(84) +
        [...later, earlier].map((measure) => text(measure, piecesMm2).padEnd(11)).join('') +
        (share ? `${(100 * share).toFixed(1)} %` : '') +
        '\n',
    )
  }
  output.write(`Searched with ${thread === null ? 'one seed on one core' : 'two seeds on two cores'}.\n`)
  output.write(
    `After ${Math.min(10, longestS)} s, geometric mean over all jobs: ` +
      `${(100 * Math.exp(shares.reduce((sum, each) => sum + Math.log(each), 0) / shares.length)).toFixed(2)} % ` +
      `of the paper of version 0.9.\n`,
  )
  output.write(
    `After ${Math.min(10, longestS)} s, over all jobs that boxes can do: ${(100 * (1 - sums.oursMm2 / sums.boxesMm2)).toFixed(1)} ` +
      `% less paper than boxes; more sheets than boxes in ${sums.moreSheets} jobs.\n`,
  )
  output.write(
    'Sheets, and share of the paper used, counting whole sheets and the used part of the emptiest. “least” ' +
      'is the area bound in sheets of the first kind, or the sheets that were cut up.\n',
  )
}

const paperOf = ({ sheets: [sheet] }: NestJob): number =>
  sheet!.shape === 'rect'
    ? sheet!.width * sheet!.height
    : sheet!.shape === 'disc'
      ? (Math.PI * sheet!.diameter ** 2) / 4
      : Infinity
