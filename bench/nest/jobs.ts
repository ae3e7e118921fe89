/**
 * Nesting jobs of our own, like those that decorators have; for the jigsaws the fewest sheets are known, because whole
 * sheets were cut up.
 */
import type { NestJob, NestPart, NestSheet } from '../../core/cut'
import { between, seededStream } from '../../core/quantity'

type Corner = [number, number]
type Outline = Corner[]

export type BenchJob = { readonly job: NestJob; readonly fewestSheets?: number }

const A4: NestSheet = { id: 'A4', shape: 'rect', width: 210, height: 297, count: null }
const A3: NestSheet = { id: 'A3', shape: 'rect', width: 297, height: 420, count: null }
const disc = (diameter: number): NestSheet => ({ id: `disc${diameter}`, shape: 'disc', diameter, count: null })

const round = (value: number): number => Math.round(value * 1000) / 1000
const scaled = (outline: Outline, by: number): Outline => outline.map(([x, y]) => [round(x * by), round(y * by)])
const part = (
  id: string,
  outline: Outline,
  quantity: number,
  rotations: NestPart['rotations'] = 'free',
  mirror = false,
): NestPart => ({ id, outline, quantity, rotations, mirror })

const curve = (count: number, at: (share: number) => Corner): Outline =>
  Array.from({ length: count }, (_, index) => at(index / count))

/** A drop: pointed at its foot, round above. */
export const petal = (height: number): Outline =>
  scaled(
    curve(28, (share) => {
      const angle = share * 2 * Math.PI
      const up = (1 - Math.cos(angle)) / 2
      return [0.5 * Math.sin(angle) * up ** 0.55 * 0.9, up]
    }),
    height,
  )

/** Pointed at both ends, widest below its middle. */
export const leaf = (height: number): Outline => {
  const right = Array.from({ length: 11 }, (_, at): Corner => {
    const up = at / 10
    return [0.24 * Math.sin(Math.PI * up ** 0.8), up]
  })
  return scaled(
    [
      ...right,
      ...right
        .slice(1, -1)
        .reverse()
        .map(([x, y]): Corner => [-x, y]),
    ],
    height,
  )
}

/** A moth's fore wing: a long front edge, a hollow behind. */
export const wing = (width: number): Outline =>
  scaled(
    [
      [0, 0],
      [0.18, -0.04],
      [0.42, -0.02],
      [0.62, 0.1],
      [0.76, 0.3],
      [0.98, 0.5],
      [1, 0.62],
      [0.86, 0.66],
      [0.58, 0.6],
      [0.3, 0.42],
      [0.1, 0.2],
    ],
    width,
  )

const triangle = (base: number): Outline =>
  scaled(
    [
      [0, 0],
      [1, 0],
      [0.42, 0.82],
    ],
    base,
  )
export const sector = (radius: number, degrees: number): Outline => [
  [0, 0],
  ...Array.from({ length: 15 }, (_, at): Corner => {
    const angle = ((at / 14) * degrees * Math.PI) / 180
    return [round(radius * Math.cos(angle)), round(radius * Math.sin(angle))]
  }),
]
export const circle = (radius: number, corners = 48): Outline =>
  Array.from({ length: corners }, (_, at): Corner => [
    radius * Math.cos((at * 2 * Math.PI) / corners),
    radius * Math.sin((at * 2 * Math.PI) / corners),
  ])
const box = (width: number, height: number): Outline => [
  [0, 0],
  [width, 0],
  [width, height],
  [0, height],
]

const job = (name: string, gap: number, margin: number, sheets: NestSheet[], parts: NestPart[]): NestJob => ({
  name,
  unit: 'mm',
  gap,
  margin,
  sheets,
  parts,
})

/** Three sizes of an outline. */
const threeSizes = (
  name: string,
  margin: number,
  outline: (size: number) => Outline,
  sizes: readonly [number, number][],
  mirror = false,
): BenchJob => ({
  job: job(
    name,
    1,
    margin,
    [A4],
    sizes.map(([size, quantity]) => part(`${name}-${size}`, outline(size), quantity, 'free', mirror)),
  ),
})

/** Sheets cut into boxes by straight cuts through and through. */
function boxJigsaw(sheets: number, pieces: number, seed: number): BenchJob {
  const stream = seededStream(seed)
  const parts: NestPart[] = []
  for (let sheet = 0; sheet < sheets; sheet += 1) {
    const boxes: [number, number][] = [[200, 280]]
    while (boxes.length < pieces) {
      boxes.sort(([oneWide, oneHigh], [otherWide, otherHigh]) => otherWide * otherHigh - oneWide * oneHigh)
      const [wide, high] = boxes.shift()!
      const share = between(stream, 0.3, 0.7)
      const cut = Math.round((wide > high ? wide : high) * share)
      boxes.push(
        ...((wide > high
          ? [
              [cut, high],
              [wide - cut, high],
            ]
          : [
              [wide, cut],
              [wide, high - cut],
            ]) as [number, number][]),
      )
    }
    boxes.forEach(([wide, high], at) => parts.push(part(`box-${sheet}-${at}`, box(wide, high), 1, [0, 90])))
  }
  return {
    job: job('jigsaw of boxes', 0, 0, [{ id: 'sheet', shape: 'rect', width: 200, height: 280, count: null }], parts),
    fewestSheets: sheets,
  }
}

/** Sheets cut into convex pieces by straight cuts across whichever piece is largest. */
function convexJigsaw(sheets: number, pieces: number, seed: number): BenchJob {
  const stream = seededStream(seed)
  const parts: NestPart[] = []
  for (let sheet = 0; sheet < sheets; sheet += 1) {
    const cut: Outline[] = [box(200, 280)]
    while (cut.length < pieces) {
      cut.sort((one, other) => areaOf(other) - areaOf(one))
      const [whole, ...rest] = cut
      cut.length = 0
      cut.push(...rest, ...halves(whole!, stream))
    }
    cut.forEach((outline, at) => parts.push(part(`piece-${sheet}-${at}`, outline, 1, 'free')))
  }
  return {
    job: job(
      'jigsaw of convex pieces',
      0,
      0,
      [{ id: 'sheet', shape: 'rect', width: 200, height: 280, count: null }],
      parts,
    ),
    fewestSheets: sheets,
  }
}

const areaOf = (outline: Outline): number =>
  Math.abs(
    outline.reduce((sum, [x, y], at) => {
      const [nextX, nextY] = outline[(at + 1) % outline.length]!
      return sum + x * nextY - nextX * y
    }, 0),
  ) / 2

/** Two parts of a convex outline, cut across at a slant near its middle. */
function halves(outline: Outline, stream: () => number): readonly [Outline, Outline] {
  const lengths = outline.map(([x, y], at) => {
    const [nextX, nextY] = outline[(at + 1) % outline.length]!
    return Math.hypot(nextX - x, nextY - y)
  })
  const longest = lengths.indexOf(Math.max(...lengths))
  const opposite = (longest + Math.floor(outline.length / 2)) % outline.length
  const on = (at: number, share: number): Corner => {
    const [[x, y], [nextX, nextY]] = [outline[at]!, outline[(at + 1) % outline.length]!]
    return [x + share * (nextX - x), y + share * (nextY - y)]
  }
  const [first, second] = [longest, opposite].sort((one, other) => one - other) as [number, number]
  const [one, two] = [on(first, between(stream, 0.3, 0.7)), on(second, between(stream, 0.3, 0.7))]
  return [
    [one, ...outline.slice(first + 1, second + 1), two],
    [two, ...outline.slice(second + 1), ...outline.slice(0, first + 1), one],
  ]
}

/** Sheets cut by zigzags into columns and rows, so that pieces have dents and noses. */
function dentedJigsaw(sheets: number, seed: number): BenchJob {
  const stream = seededStream(seed)
  const [columns, rows] = [4, 4]
  const parts: NestPart[] = []
  for (let sheet = 0; sheet < sheets; sheet += 1) {
    const knot = Array.from({ length: columns + 1 }, (_, column) =>
      Array.from({ length: rows + 1 }, (_, row): Corner => [
        column * 50 + (column > 0 && column < columns ? between(stream, -9, 9) : 0),
        row * 70 + (row > 0 && row < rows ? between(stream, -12, 12) : 0),
      ]),
    )
    const across = knot.map((line, column) =>
      line
        .slice(1)
        .map(([x, y], row): Corner => [
          (x + line[row]![0]) / 2 + (column > 0 && column < columns ? between(stream, -14, 14) : 0),
          (y + line[row]![1]) / 2,
        ]),
    )
    const up = knot
      .slice(1)
      .map((line, column) =>
        line.map(([x, y], row): Corner => [
          (x + knot[column]![row]![0]) / 2,
          (y + knot[column]![row]![1]) / 2 + (row > 0 && row < rows ? between(stream, -16, 16) : 0),
        ]),
      )
    for (let column = 0; column < columns; column += 1) {
      for (let row = 0; row < rows; row += 1) {
        parts.push(
          part(
            `piece-${sheet}-${column}-${row}`,
            [
              knot[column]![row]!,
              up[column]![row]!,
              knot[column + 1]![row]!,
              across[column + 1]![row]!,
              knot[column + 1]![row + 1]!,
              up[column]![row + 1]!,
              knot[column]![row + 1]!,
              across[column]![row]!,
            ],
            1,
            'free',
          ),
        )
      }
    }
  }
  return {
    job: job(
      'jigsaw of dented pieces',
      0,
      0,
      [{ id: 'sheet', shape: 'rect', width: 200, height: 280, count: null }],
      parts,
    ),
    fewestSheets: sheets,
  }
}

const equalCircles = (name: string, count: number, unit: number, sheet: NestSheet): BenchJob => ({
  job: job(name, 0, 0, [sheet], [part('circle', circle(unit * 0.995, 96), count)]),
  fewestSheets: 1,
})
const square: NestSheet = { id: 'square', shape: 'rect', width: 200, height: 200, count: null }

/** Strips whose lengths fill rows exactly, gaps and all. */
function strips(): BenchJob {
  const stream = seededStream(11)
  const parts: NestPart[] = []
  const [rows, sheets, wide] = [11, 3, 24]
  for (let row = 0; row < rows * sheets; row += 1) {
    const first = Math.round(between(stream, 40, 90))
    const second = Math.round(between(stream, 30, 198 - first - 30))
    for (const length of [first, second, 198 - first - second])
      parts.push(part(`strip-${parts.length}`, box(length, wide), 1, [0]))
  }
  return {
    job: job(
      'strips that fill rows',
      1,
      5,
      [{ id: 'sheet', shape: 'rect', width: 210, height: rows * (wide + 1) - 1 + 10, count: null }],
      parts,
    ),
    fewestSheets: sheets,
  }
}

function mixed(pieces: number): BenchJob {
  const outlines: readonly [string, (size: number) => Outline][] = [
    ['petal', petal],
    ['leaf', leaf],
    ['wing', wing],
    ['triangle', triangle],
    ['sector', (size) => sector(size, 90)],
    ['circle', (size) => circle(size / 2)],
  ]
  const parts = outlines.flatMap(([name, outline]) =>
    [22, 30, 40, 52].map((size) =>
      part(`${name}-${size}`, outline(size), Math.round(pieces / (outlines.length * 4)), 'free', name === 'leaf'),
    ),
  )
  parts[0]!.quantity += pieces - parts.reduce((sum, { quantity }) => sum + quantity, 0)
  return { job: job(`${pieces} mixed`, 1, 4, [A4], parts) }
}

export const benchJobs = (): readonly BenchJob[] => [
  threeSizes('petals', 5, petal, [
    [52, 40],
    [40, 60],
    [30, 80],
  ]),
  threeSizes(
    'leaves',
    4,
    leaf,
    [
      [90, 30],
      [66, 48],
      [48, 60],
    ],
    true,
  ),
  threeSizes(
    'wings',
    4,
    wing,
    [
      [80, 28],
      [62, 40],
      [46, 60],
    ],
    true,
  ),
  threeSizes('triangles', 5, triangle, [
    [64, 40],
    [50, 50],
    [38, 60],
  ]),
  threeSizes('sectors', 4, (radius) => sector(radius, 60), [
    [70, 30],
    [54, 42],
    [40, 50],
  ]),
  {
    job: job(
      'long strips',
      1,
      5,
      [A4],
      [part('strip-190', box(190, 22), 30), part('strip-130', box(130, 18), 24), part('strip-60', box(60, 18), 40)],
    ),
  },
  strips(),
  equalCircles('7 circles in a disc', 7, 100 / 3, disc(200)),
  equalCircles('19 circles in a disc', 19, 100 * 0.205604, disc(200)),
  equalCircles('10 circles in a square', 10, 200 * 0.148204, square),
  equalCircles('20 circles in a square', 20, 200 * 0.111382, square),
  equalCircles('30 circles in a square', 30, 200 * 0.091671, square),
  { job: job('many circles', 1, 5, [A4], [part('circle-40', circle(20), 60), part('circle-28', circle(14), 90)]) },
  {
    job: job(
      'circles on discs',
      1,
      4,
      [disc(220)],
      [part('circle-44', circle(22), 36), part('circle-30', circle(15), 40)],
    ),
  },
  {
    job: job(
      'mixed stock',
      1,
      5,
      [A4, { ...A3, count: 2 }, { ...disc(220), count: 3 }],
      [
        part('petal-60', petal(60), 40),
        part('leaf-80', leaf(80), 30, 'free', true),
        part('panel', box(170, 120), 4),
        part('circle-50', circle(25), 24),
      ],
    ),
  },
  mixed(400),
  boxJigsaw(4, 18, 3),
  convexJigsaw(4, 16, 5),
  dentedJigsaw(4, 7),
]
