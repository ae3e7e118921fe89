import { readFile, writeFile } from 'node:fs/promises'
import { parseArgs } from 'node:util'
import { faultSentence, faultsOf, jobSentence, leastOf, readNestJob, startNesting } from '#core/cut'
import { improveFor, type Clock } from './improveFor'
import { secondSearch, sharedClock, type SecondSearch } from './secondSearch'

type Sink = { write: (text: string) => unknown }

const USAGE = 'npm run nest -- JOB.json --seconds S --out LAYOUT.json [--seed N] [--iterations N]'
/** Writing the file and ending need a little of the time, ms. */
const ENDING_MS = 20
/** A second search ends so much sooner, to tell what it has found. */
const TELLING_MS = 40

const reasonOf = (error: unknown): string => (error instanceof Error ? error.message : String(error))

function numberFrom(text: string | undefined, name: string, least: number): number | null {
  if (text === undefined) return null
  const value = Number(text)
  if (!Number.isFinite(value) || value < least)
    throw new Error(`--${name} takes a number from ${least}, not “${text}”: ${USAGE}`)
  return value
}

function parseJson(text: string, path: string): unknown {
  try {
    return JSON.parse(text)
  } catch (error) {
    throw new Error(`${path} is not JSON: ${reasonOf(error)}`, { cause: error })
  }
}

/**
 * Lays out a nesting job from a file and writes the layout.
 * @param clock counts from when the command was called
 * @param thread path of the thread that searches with the next seed for as long, or null where there is no core for it
 * @returns the exit code: 0 only with a complete layout that passed the checker; else 1 with the reason on `problems`
 * and no file
 */
export async function nestCommand(
  args: readonly string[],
  output: Sink,
  problems: Sink,
  clock: Clock,
  thread: string | null,
): Promise<number> {
  let second: SecondSearch | null = null
  try {
    const {
      positionals: [path, ...more],
      values,
    } = parseArgs({
      args: [...args],
      allowPositionals: true,
      options: {
        seconds: { type: 'string' },
        out: { type: 'string' },
        seed: { type: 'string' },
        iterations: { type: 'string' },
      },
    })
    if (!path || more.length > 0 || !values.out)
      throw new Error(`Name one job file, and a file for the layout: ${USAGE}`)
    const [seconds, iterations, seed] = [
      numberFrom(values.seconds, 'seconds', 0),
      numberFrom(values.iterations, 'iterations', 0),
      numberFrom(values.seed, 'seed', -Number.MAX_SAFE_INTEGER) ?? 1,
    ]
    if ((seconds === null) === (iterations === null)) throw new Error(`Say either --seconds or --iterations: ${USAGE}`)
    const read = readNestJob(parseJson(await readFile(path, 'utf8'), path))
    if (!read.ok) throw new Error(jobSentence(read.error))
    const job = read.value
    const endMs = (seconds ?? 0) * 1000 - ENDING_MS
    if (thread !== null && seconds !== null) {
      const untilMs = sharedClock() + endMs - clock() - TELLING_MS
      second = secondSearch(thread, { job, seed: seed + 1, momentsMs: [untilMs] })
    }
    const started = startNesting(job, seed)
    if (!started.ok) throw new Error(jobSentence(started.error))
    const nesting = started.value
    let steps = 0
    const checking = clock()
    faultsOf(job, nesting.layout())
    if (seconds !== null) steps = improveFor(nesting, endMs - 1.2 * (clock() - checking), clock)
    else for (; steps < iterations!; steps += 1) nesting.step()
    const own = { layout: nesting.layout(), measure: nesting.measure() }
    const { layout, measure } = leastOf([own, (await second?.next()) ?? null])!
    const [fault] = faultsOf(job, layout)
    if (fault) throw new Error(`The layout failed its own check, so nothing was written: ${faultSentence(fault)}`)
    await writeFile(values.out, `${JSON.stringify(layout, null, 1)}\n`)
    const { sheets, paperMm2, piecesMm2 } = measure
    output.write(
      `${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}, ${((100 * piecesMm2) / paperMm2).toFixed(1)} % of the paper used, ${steps} steps\n`,
    )
    return 0
  } catch (error) {
    problems.write(`${reasonOf(error)}\n`)
    return 1
  } finally {
    await second?.end()
  }
}
