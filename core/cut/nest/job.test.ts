import { describe, expect, it } from 'vitest'
import { jobSentence, type NestJob } from './job'
import { readNestJob } from './readJob'

const good: NestJob = {
  name: 'petals',
  unit: 'mm',
  gap: 1,
  margin: 5,
  sheets: [{ id: 'A4', shape: 'rect', width: 210, height: 297, count: null }],
  parts: [
    {
      id: 'petal',
      outline: [
        [0, 0],
        [12, 20],
        [0, 48],
        [-12, 20],
      ],
      quantity: 4,
      rotations: 'free',
      mirror: true,
    },
  ],
}
const withOutline = (outline: unknown): unknown => ({ ...good, parts: [{ ...good.parts[0], outline }] })
const bowTie = [
  [0, 0],
  [10, 10],
  [10, 0],
  [0, 6],
]

describe('a nesting job', () => {
  it('is taken as it is', () => expect(readNestJob(good)).toEqual({ ok: true, value: good }))

  it.each([
    ['nothing', null, 'not-a-job', /./],
    ['an unknown field', { ...good, glue: 1 }, 'not-a-job', /glue/],
    [
      'a number that is none',
      withOutline([
        [0, 0],
        [NaN, 3],
        [4, 4],
      ]),
      'not-a-job',
      /parts\.0\.outline\.1\.0/,
    ],
    ['a width that is infinite', { ...good, sheets: [{ ...good.sheets[0], width: Infinity }] }, 'not-a-job', /width/],
    ['a quantity of a half', { ...good, parts: [{ ...good.parts[0], quantity: 0.5 }] }, 'not-a-job', /quantity/],
    ['two parts of one id', { ...good, parts: [good.parts[0], good.parts[0]] }, 'twice', /petal/],
    ['an outline that crosses itself', withOutline(bowTie), 'crosses-itself', /petal.*crosses/],
    [
      'an outline that runs back on itself',
      withOutline([
        [0, 0],
        [10, 0],
        [4, 0],
        [4, 8],
      ]),
      'crosses-itself',
      /petal/,
    ],
    [
      'an outline without area',
      withOutline([
        [0, 0],
        [10, 0],
        [20, 0],
      ]),
      'no-area',
      /petal.*no area/,
    ],
    [
      'a hole outside',
      {
        ...good,
        parts: [
          {
            ...good.parts[0],
            holes: [
              [
                [50, 50],
                [60, 50],
                [50, 60],
              ],
            ],
          },
        ],
      },
      'hole-outside',
      /hole/,
    ],
    [
      'a piece larger than any sheet',
      withOutline([
        [0, 0],
        [220, 0],
        [220, 210],
        [0, 210],
      ]),
      'too-large',
      /220\.0 × 210\.0/,
    ],
    [
      'more pieces than can be laid out',
      {
        ...good,
        parts: Array.from({ length: 3 }, (_, at) => ({ ...good.parts[0], id: `petal ${at}`, quantity: 4000 })),
      },
      'too-many-pieces',
      /12000/,
    ],
    [
      'a remnant that crosses itself',
      { ...good, sheets: [{ id: 'rest', shape: 'remnant', outline: bowTie, count: 1 }] },
      'crosses-itself',
      /rest/,
    ],
  ])('with %s is refused, and says so', (_, input, code, says) => {
    const read = readNestJob(input)
    expect(read.ok).toBe(false)
    if (read.ok) return
    expect(read.error.code).toBe(code)
    expect(jobSentence(read.error)).toMatch(says)
  })

  it('with a million points is refused at once', () => {
    const outline = Array.from({ length: 1_000_000 }, (_, at) => [Math.cos(at), Math.sin(at)])
    const read = readNestJob(withOutline(outline))
    expect(read).toMatchObject({ ok: false, error: { code: 'too-many-points', points: 1_000_000 } })
  })

  it('takes a long piece that lies only from corner to corner', () => {
    const bar = [
      [0, 0],
      [330, 0],
      [330, 8],
      [0, 8],
    ]
    expect(readNestJob(withOutline(bar)).ok).toBe(true)
    expect(readNestJob({ ...good, parts: [{ ...good.parts[0], outline: bar, rotations: [0, 90] }] })).toMatchObject({
      error: { code: 'too-large' },
    })
    expect(
      readNestJob(
        withOutline([
          [0, 0],
          [350, 0],
          [350, 8],
          [0, 8],
        ]),
      ),
    ).toMatchObject({ error: { code: 'too-large' } })
  })

  it('measures discs by radius', () => {
    const disc = { ...good, margin: 0, sheets: [{ id: 'disc', shape: 'disc', diameter: 100, count: 1 }] }
    const square = (size: number): unknown => ({
      ...disc,
      parts: [
        {
          ...good.parts[0],
          outline: [
            [0, 0],
            [size, 0],
            [size, size],
            [0, size],
          ],
        },
      ],
    })
    expect(readNestJob(square(70.7)).ok).toBe(true)
    expect(readNestJob(square(70.8)).ok).toBe(false)
  })
})
