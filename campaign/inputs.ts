/** Tries a stretch of damaged inputs and tells of each, also before it is begun. */
import { READERS } from './readers'
import { tried } from './trial'

/** Every so many inputs, what is accepted is printed as well. */
const PRINTED = 10
const WARM_UP = 5

/** @param step how far the numbers are apart: several processes have their turns */
export async function tryInputs(from: number, to: number, step: number, tell: (line: object) => void): Promise<void> {
  // A program that has just begun is translated as it runs, which is not what an input takes.
  const [commissions] = READERS
  for (let time = 0; time < WARM_UP; time += 1)
    await commissions!.read(commissions!.specimens[0]!, false)!(() => undefined)
  for (let number = from; number < to; number += step) {
    tell({ begun: number })
    tell(await tried(number, Math.floor(number / READERS.length) % PRINTED === 0))
  }
}
