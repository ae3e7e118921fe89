/** Tries a stretch of damaged inputs and tells of each, also before it is begun. */
import { READERS } from './readers'
import { tried } from './trial'

/** Every so many inputs, what is accepted is printed as well. */
const PRINTED = 10

/** @param step how far the numbers are apart: several processes have their turns */
export async function tryInputs(from: number, to: number, step: number, tell: (line: object) => void): Promise<void> {
  for (let number = from; number < to; number += step) {
    tell({ begun: number })
    tell(await tried(number, Math.floor(number / READERS.length) % PRINTED === 0))
  }
}
