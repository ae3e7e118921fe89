import { readFile, writeFile } from 'node:fs/promises'
import { parseArgs } from 'node:util'
import { faultSentence, faultsOf, jobSentence, readNestJob, startNesting, type Nesting } from '#core/cut'

type Sink = { write: (text: string) => unknown }

/** Milliseconds since the command was called. */
type Clock = () => number

const USAGE = 'npm run nest -- JOB.json --seconds S --out LAYOUT.json [--seed N] [--iterations N]'
/** Writing the file and ending need a little of the time, ms. */
const ENDING_MS = 20
const RECENT_STEPS = 40

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

/** Steps until the time is nearly over: none is begun that would probably last beyond it. */
function improveFor(nesting: Nesting, untilMs: number, clock: Clock): number {
  const recent: number[] = []
  let steps = 0
  for (let now = clock(); now + Math.max(0, ...recent) < untilMs; steps += 1) {
    nesting.step()
    const after = clock()
    recent.push(after - now)
    if (recent.length > RECENT_STEPS) recent.shift()
    now = after
  }
  return steps
}

/**
 * Lays out a nesting job from a file and writes the layout.
 * @returns the exit code: 0 only with a complete layout that passed the checker; else 1 with the reason on `problems`
 * and no file
 */
export async function nestCommand(
  args: readonly string[],
  output: Sink,
  problems: Sink,
  clock: Clock,
): Promise<number> {
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
    const started = startNesting(read.value, seed)
    if (!started.ok) throw new Error(jobSentence(started.error))
    const nesting = started.value
    let steps = 0
    const checking = clock()
    faultsOf(read.value, nesting.layout())
    if (seconds !== null) steps = improveFor(nesting, seconds * 1000 - ENDING_MS - 1.2 * (clock() - checking), clock)
    else for (; steps < iterations!; steps += 1) nesting.step()
    const layout = nesting.layout()
    const [fault] = faultsOf(read.value, layout)
    if (fault) throw new Error(`The layout failed its own check, so nothing was written: ${faultSentence(fault)}`)
    await writeFile(values.out, `${JSON.stringify(layout, null, 1)}\n`)
    const { sheets, paperMm2, piecesMm2 } = nesting.measure()
    output.write(
      `${sheets} ${sheets === 1 ? 'sheet' : 'sheets'}, ${((100 * piecesMm2) / paperMm2).toFixed(1)} % of the paper used, ${steps} steps\n`,
    )
    return 0
  } catch (error) {
    problems.write(`${reasonOf(error)}\n`)
    return 1
  }
}
