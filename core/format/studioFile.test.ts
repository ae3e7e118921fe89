import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { aCommission } from '../../tests/any/anyPlan'
import { demoCommission, demoWorkshop } from '../demo'
import { STARTING_WORKSHOP } from '../workshop'
import type { Result } from '../quantity'
import { fileSentence, type FileProblem } from './commissionFile'
import { isStudioFile, readStudioFile, studioFileParts, type StudioEntry, type StudioFile } from './studioFile'

async function written(commissions: readonly StudioEntry[], workshop = demoWorkshop()): Promise<string> {
  let text = ''
  for await (const part of studioFileParts(workshop, commissions)) text += part
  return text
}
function read(text: string): { readonly result: Result<StudioFile, FileProblem>; readonly steps: readonly number[] } {
  const steps: number[] = []
  const reading = readStudioFile(text)
  for (;;) {
    const step = reading.next()
    if (step.done) return { result: step.value, steps }
    steps.push(step.value.done)
  }
}
const demo: StudioEntry = { archived: false, commission: demoCommission(0) }

describe('a studio file', () => {
  it('gives back any commissions with their workshop, one at each step', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.array(fc.record({ archived: fc.boolean(), commission: aCommission }), { maxLength: 3 }),
        async (entries) => {
          const { result, steps } = read(await written(entries, STARTING_WORKSHOP))
          expect(result).toEqual({ ok: true, value: { workshop: STARTING_WORKSHOP, commissions: entries } })
          expect(steps).toEqual(entries.map((_, at) => at))
        },
      ),
      { numRuns: 20 },
    )
  })
  it('is told from other files without being read', async () => {
    expect(isStudioFile(await written([]))).toBe(true)
    expect(isStudioFile('{"format":"lamellon-commission"}')).toBe(false)
  })
  it('is refused whole where one commission does not hold together, and says where', async () => {
    const text = (await written([demo, demo])).replace(/"driveMin":\d+(?!.*"driveMin")/s, '"driveMin":"long"')
    const { result } = read(text)
    expect(result).toMatchObject({ ok: false, error: { code: 'fields' } })
    if (!result.ok) expect(fileSentence(result.error)).toContain('commission 2 → commission → brief → driveMin')
  })
  it.each([
    ['', 'empty'],
    ['{"format":', 'not-json'],
    ['{"format":"lamellon-commission","version":12}', 'foreign'],
    ['{"format":"lamellon-studio","version":99,"workshop":{},"commissions":[]}', 'newer'],
    ['{"format":"lamellon-studio","version":12,"workshop":{},"commissions":[]}', 'fields'],
  ])('that is %j is refused as %s', (text, code) => {
    expect(read(text).result).toMatchObject({ ok: false, error: { code } })
  })
  it('is not written with a commission that could not be read again; it says which', async () => {
    const broken = { ...demo.commission, brief: { ...demo.commission.brief, driveMin: Number.NaN } }
    await expect(written([{ archived: false, commission: broken }])).rejects.toThrow(/“Quillfinch Press” does not hold/)
  })
})
