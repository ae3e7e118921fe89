import { readFile } from 'node:fs/promises'
import { parseArgs } from 'node:util'
import { fileSentence, planSummary, planText, readCommissionFile } from '#core/format'
import { derivePlan } from '#core/plan'
import { momentText, parseMoment, type Moment } from '#core/quantity'

type Sink = { write: (text: string) => unknown }

/** The hour on this machine's wall clock. */
const wallClock = (): Moment => {
  const now = new Date()
  return Math.floor((now.getTime() - now.getTimezoneOffset() * 60000) / 60000)
}

const USAGE = 'npm run plan -- FILE.lamellon.json [--json] [--now 2026-12-01T09:00]'
const reasonOf = (error: unknown): string => (error instanceof Error ? error.message : String(error))

/**
 * Reads a commission file and prints its plan.
 * @returns the exit code: 0, or 1 with the reason on `problems`
 */
export async function planCommand(args: readonly string[], output: Sink, problems: Sink): Promise<number> {
  try {
    const {
      positionals: [path, ...more],
      values,
    } = parseArgs({
      args: [...args],
      allowPositionals: true,
      options: { json: { type: 'boolean' }, now: { type: 'string' } },
    })
    if (!path || more.length > 0) throw new Error(`Name one commission file: ${USAGE}`)
    const now = parseMoment(values.now ?? momentText(wallClock()))
    if (!now.ok) throw new Error(`--now takes a date and hour such as 2026-12-01T09:00, not “${values.now}”.`)
    const file = readCommissionFile(await readFile(path, 'utf8'))
    if (!file.ok) throw new Error(`${path}: ${fileSentence(file.error)}`)
    const plan = derivePlan({ ...file.value, now: now.value, units: 'metric' })
    output.write(
      values.json
        ? `${JSON.stringify(planSummary(plan), null, 2)}\n`
        : planText(file.value.commission.brief.name, plan, 'metric'),
    )
    return 0
  } catch (error) {
    problems.write(`${reasonOf(error)}\n`)
    return 1
  }
}
