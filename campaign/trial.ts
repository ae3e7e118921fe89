/** One damaged input: what became of it. */
import { seededStream } from '../core/quantity'
import { damaged } from './damage'
import { NotSound } from './everyFormat'
import { READERS, type Reader } from './readers'

/** What became of an input; `says` is empty where all is well. */
export type Outcome = {
  readonly input: string
  readonly became: 'refused' | 'accepted' | 'threw' | 'not sound' | 'changed a prototype'
  readonly says: string
  /** How long reading and planning kept a processor, without drawing and writing, ms. */
  readonly readMs: number
}

/** The readers have their turns one after another, so that any stretch of numbers has inputs for each. */
const readerOf = (number: number): Reader => READERS[number % READERS.length]!

/** The text of an input: always the same for the same number. */
function inputOf(number: number): string {
  const reader = readerOf(number)
  const stream = seededStream(number)
  const specimen = reader.specimens[Math.floor(stream() * reader.specimens.length)]!
  return damaged(specimen, reader.isJson, stream)
}

/** The names under which everything that is an object has something. */
const inheritedNames = (): number => Object.getOwnPropertyNames(Object.prototype).length
const INHERITED = inheritedNames()

/** What this process has taken of processors since, ms: what others take of the machine does not count. */
function takenMs(since: NodeJS.CpuUsage): number {
  const { user, system } = process.cpuUsage(since)
  return Math.round((user + system) / 1000)
}

/**
 * Reads an input and does with it what the app would do.
 * @param withPages whether what was accepted is printed too
 */
export async function tried(number: number, withPages: boolean): Promise<Outcome> {
  const reader = readerOf(number)
  const input = `${reader.name} ${number}`
  const text = inputOf(number)
  const began = process.cpuUsage()
  let readMs = 0
  try {
    const use = reader.read(text, withPages)
    await use?.(() => {
      readMs = takenMs(began)
    })
    readMs ||= takenMs(began)
    const isTouched = inheritedNames() !== INHERITED || 'a' in {}
    return { input, became: isTouched ? 'changed a prototype' : use ? 'accepted' : 'refused', says: '', readMs }
  } catch (reason) {
    const says = reason instanceof Error ? `${reason.name}: ${reason.message} ${placeOf(reason)}` : String(reason)
    return { input, became: reason instanceof NotSound ? 'not sound' : 'threw', says, readMs }
  }
}

/** Where in core it was thrown. */
const placeOf = ({ stack }: Error): string => /core\/[\w/.]+:\d+/.exec(stack ?? '')?.[0] ?? ''
