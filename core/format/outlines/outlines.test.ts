import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { outlineSentence, readOutline, type ImportedOutline } from '.'
import { arcPoints, cubicPoints, simplified } from './rings'

const svg = (body: string, attributes = 'viewBox="0 0 100 100"') =>
  `<svg xmlns="http://www.w3.org/2000/svg" ${attributes}>${body}</svg>`
const dxf = (entities: string, header = '') => `${header}0\nSECTION\n2\nENTITIES\n${entities}0\nENDSEC\n0\nEOF\n`
const line = (x1: number | string, y1: number | string, x2: number | string, y2: number | string) =>
  `0\nLINE\n8\n0\n10\n${x1}\n20\n${y1}\n11\n${x2}\n21\n${y2}\n`
const read = (text: string): ImportedOutline => {
  const result = readOutline(text)
  if (!result.ok) throw new Error(outlineSentence(result.error))
  return result.value
}
const areaOf = (ring: ImportedOutline['rings'][number]): number =>
  Math.abs(
    ring.reduce((sum, [x, y], at) => {
      const [nx, ny] = ring[(at + 1) % ring.length]!
      return sum + x * ny - nx * y
    }, 0),
  ) / 2
const square = 'M10 10H90V90H10Z'

describe('an SVG outline', () => {
  it('stands on its foot, one high, its middle at 0', () => {
    const { rings, heightMm, notes } = read(svg(`<path d="${square}"/>`))
    expect(rings).toHaveLength(1)
    expect(rings[0]!.map(([x, y]) => `${x} ${y}`).sort()).toEqual(['-0.5 0', '-0.5 1', '0.5 0', '0.5 1'])
    expect([heightMm, notes]).toEqual([null, []])
  })
  it('has the size that true units give it', () => {
    expect(
      read(svg(`<path d="${square}"/>`, 'width="200mm" height="200mm" viewBox="0 0 100 100"')).heightMm,
    ).toBeCloseTo(160, 6)
    expect(read(svg(`<path d="${square}"/>`, 'width="2in" height="2in" viewBox="0 0 100 100"')).heightMm).toBeCloseTo(
      40.64,
      6,
    )
    expect(read(svg(`<path d="${square}"/>`, 'width="200" height="200" viewBox="0 0 100 100"')).heightMm).toBeNull()
  })
  it('keeps the area of circles, ellipses and curves within a thousandth of the whole', () => {
    expect(areaOf(read(svg('<circle cx="50" cy="50" r="40"/>')).rings[0]!)).toBeCloseTo(Math.PI / 4, 2)
    expect(areaOf(read(svg('<ellipse cx="50" cy="50" rx="40" ry="20"/>')).rings[0]!)).toBeCloseTo(Math.PI / 2, 2)
    expect(areaOf(read(svg('<path d="M0 0 C0 60 100 60 100 0 Z"/>')).rings[0]!) * 45 ** 2).toBeCloseTo(3600, -1.5)
  })
  it('has holes, many parts, and takes them through transforms and groups', () => {
    const { rings } = read(
      svg(
        `<g transform="translate(5 5) rotate(90)"><path d="${square} M30 30H60V60H30Z"/><rect x="120" y="10" width="40" height="30"/></g>`,
      ),
    )
    expect(rings).toHaveLength(3)
    expect(areaOf(rings[0]!)).toBeGreaterThan(areaOf(rings[1]!))
  })
  it('of thousands of arcs is read whole', () => {
    const scallops = Array.from({ length: 8000 }, (_, at) => {
      const angle = ((at + 1) * 2 * Math.PI) / 8000
      return `A0.02 0.02 0 0 1 ${50 + 40 * Math.cos(angle)} ${50 + 40 * Math.sin(angle)}`
    })
    const { rings } = read(svg(`<path d="M90 50${scallops.join('')}Z"/>`))
    expect(rings).toHaveLength(1)
    expect(areaOf(rings[0]!)).toBeCloseTo(Math.PI / 4, 2)
  })
  it('closes what ends where it began, leaves open lines out and says so', () => {
    const { rings, notes } = read(svg(`<polyline points="0,0 50,0 50,50 0,0"/><path d="M0 0L20 70L90 80"/>`))
    expect(rings).toHaveLength(1)
    expect(notes.join()).toMatch(/1 open line was left out/)
  })
  it('leaves out scripts, pictures, text, copies and what is hidden, and says so', () => {
    const { rings, notes } = read(
      svg(
        `<script>alert(1)</script><image href="https://nowhere.invalid/x.png"/><text>moth</text><use ` +
          `href="#a"/><path onclick="alert(1)" d="${square}"/><path style="display:none" ` +
          `d="M0 0H5V5Z"/><defs><path d="M0 0H99V99Z"/></defs>`,
      ),
    )
    expect(rings).toHaveLength(1)
    expect(notes.join(' ')).toMatch(/script.*picture.*Text.*Copies/s)
  })
})

describe('a DXF outline', () => {
  it('joins lines drawn in any order and direction, with its units', () => {
    const header = '0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n'
    const { rings, heightMm } = read(
      dxf(line(0, 0, 60, 0) + line(60, 30, 60, 0) + line(0, 30, 60, 30) + line(0, 30, 0, 0), header),
    )
    expect([rings.length, rings[0]!.length]).toEqual([1, 4])
    expect(heightMm).toBeCloseTo(30, 6)
  })
  it('reads circles, and polylines whose bulges are arcs', () => {
    expect(areaOf(read(dxf('0\nCIRCLE\n8\n0\n10\n5\n20\n5\n40\n20\n')).rings[0]!)).toBeCloseTo(Math.PI / 4, 2)
    const halves = '0\nLWPOLYLINE\n8\n0\n90\n2\n70\n1\n10\n0\n20\n0\n42\n1\n10\n40\n20\n0\n42\n1\n'
    expect(areaOf(read(dxf(halves)).rings[0]!)).toBeCloseTo(Math.PI / 4, 2)
    // A bulge to the right of the way bends outward on a ring that runs counter-clockwise: more than the square's own
    // area.
    const bulged = `0\nLWPOLYLINE\n8\n0\n90\n4\n70\n1\n${[
      [0, 0],
      [10, 0],
      [10, 10],
      [0, 10],
    ]
      .map(([x, y]) => `10\n${x}\n20\n${y}\n42\n0.4\n`)
      .join('')}`
    const { rings } = read(dxf(bulged))
    const width = Math.max(...rings[0]!.map(([x]) => x)) - Math.min(...rings[0]!.map(([x]) => x))
    expect(width).toBeCloseTo(1, 2)
    expect(areaOf(rings[0]!)).toBeGreaterThan(0.75)
  })
  it('joins arcs with lines', () => {
    const { rings } = read(
      dxf(
        line(-10, 0, -10, 20) +
          line(10, 0, 10, 20) +
          line(-10, 0, 10, 0) +
          '0\nARC\n8\n0\n10\n0\n20\n20\n40\n10\n50\n0\n51\n180\n',
      ),
    )
    expect(areaOf(rings[0]!)).toBeCloseTo((400 + Math.PI * 50) / 900, 2)
  })
  it('asks for the size when the file does not give it', () =>
    expect(read(dxf('0\nCIRCLE\n8\n0\n10\n5\n20\n5\n40\n20\n')).heightMm).toBeNull())
})

const deep = (depth: number) => `${'<g>'.repeat(depth)}<path d="${square}"/>${'</g>'.repeat(depth)}`
/** Files made to break or stall a reader. Each is answered with a reason, or read without what is bad in it. */
const CORPUS: readonly (readonly [string, string, 'refused' | 'read'])[] = [
  ['nothing', '', 'refused'],
  ['blanks', ' \n\t \n', 'refused'],
  ['words', 'two moths and a ribbon', 'refused'],
  ['a picture', '\u0089PNG\r\n\u001a\n\0\0', 'refused'],
  ['JSON', '{"rings":[[0,0],[1,1]]}', 'refused'],
  ['a web page', '<!DOCTYPE html><html><body><svg></svg></body></html>', 'refused'],
  ['SVG with nothing in it', svg(''), 'refused'],
  ['SVG cut off', svg(`<path d="${square}"/>`).slice(0, 60), 'refused'],
  ['SVG whose tags do not match', `<svg viewBox="0 0 9 9"><g><path d="${square}"></svg>`, 'refused'],
  [
    'entities that multiply',
    `<!DOCTYPE svg [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;&a;&a;&a;&a;">]>${svg('<text>&b;</text>')}`,
    'refused',
  ],
  [
    'an entity from a file',
    `<!DOCTYPE svg [<!ENTITY x SYSTEM "file:///etc/passwd">]>${svg('<text>&x;</text>')}`,
    'refused',
  ],
  ['nesting a thousand deep', svg(deep(1000)), 'refused'],
  ['nesting a hundred thousand deep', svg(deep(100_000)), 'refused'],
  ['opened and never closed', `<svg>${'<g>'.repeat(50_000)}`, 'refused'],
  ['thirty thousand elements', svg('<path d="M0 0H1V1Z"/>'.repeat(30_000)), 'refused'],
  ['three million characters', svg(`<path d="${'M0 0L1 1'.repeat(400_000)}"/>`), 'refused'],
  [
    'a hundred thousand points',
    svg(`<path d="M0 0${Array.from({ length: 100_000 }, (_, at) => `L${at % 97} ${at % 89}`).join('')}Z"/>`),
    'refused',
  ],
  ['numbers that are none', svg('<path d="M0 0L NaN 5L5 NaNZ"/>'), 'refused'],
  ['numbers without end', svg('<path d="M0 0H1e400V1e400Z"/>'), 'refused'],
  ['a path that breaks off', svg('<path d="M10 10H90V90H10L"/>'), 'refused'],
  ['a transform that is none', svg(`<g transform="sideways(9)"><path d="${square}"/></g>`), 'read'],
  ['a transform to nothing', svg(`<g transform="scale(0)"><path d="${square}"/></g>`), 'refused'],
  ['a mere line', svg('<path d="M0 0H90Z"/>'), 'refused'],
  ['a hair', svg('<path d="M0 0H90V0.01H0Z"/>'), 'refused'],
  ['only open lines', svg('<path d="M0 0L5 50L90 9"/>'), 'refused'],
  ['a script alone', svg('<script>while(true){}</script>'), 'refused'],
  ['script and outline', svg(`<script>while(true){}</script><path onload="while(true){}" d="${square}"/>`), 'read'],
  [
    'a style that imports',
    svg(`<style>@import url("https://nowhere.invalid/a.css");</style><path d="${square}"/>`),
    'read',
  ],
  ['a copy of itself', svg('<g id="a"><use href="#a"/></g>'), 'refused'],
  ['a comment that never ends', `<svg><!-- <path d="${square}"/>`, 'refused'],
  ['angle brackets', '<'.repeat(500_000), 'refused'],
  ['DXF with nothing in it', dxf(''), 'refused'],
  ['DXF cut off', dxf(line(0, 0, 9, 0)).slice(0, 40), 'refused'],
  ['DXF without an end', dxf('0\nCIRCLE\n8\n0\n10\n5\n20\n5\n40\n20\n').replace(/0\nEOF\n$/, ''), 'read'],
  ['DXF of open lines', dxf(line(0, 0, 9, 0) + line(9, 0, 9, 9)), 'refused'],
  ['DXF whose numbers are words', dxf(line('left', 'low', 'right', 'high')), 'refused'],
  ['DXF with a circle of no size', dxf('0\nCIRCLE\n8\n0\n10\n5\n20\n5\n40\n0\n'), 'refused'],
  ['DXF whose codes are words', '0\nSECTION\nten\nENTITIES\nfour\nfive\n0\nEOF\n', 'refused'],
  ['binary DXF', `0\nSECTION\n${'\0'.repeat(64)}`, 'refused'],
  [
    'thirty thousand lines',
    dxf(Array.from({ length: 30_000 }, (_, at) => line(at, 0, at + 1, at % 7)).join('')),
    'refused',
  ],
  [
    'ten thousand lines that cross',
    dxf(Array.from({ length: 10_000 }, (_, at) => line(0, 0, at % 101, at % 103)).join('')),
    'refused',
  ],
  ['a spline without knots', dxf('0\nSPLINE\n8\n0\n70\n1\n71\n3\n73\n2\n10\n0\n20\n0\n10\n5\n20\n5\n'), 'refused'],
]

describe('files made to break it', () => {
  it('are more than twenty-five', () => expect(CORPUS.length).toBeGreaterThan(25))
  it.each(CORPUS)('%s', (_, text, outcome) => {
    const result = readOutline(text)
    if (outcome === 'refused') {
      expect(result.ok).toBe(false)
      if (!result.ok) expect(outlineSentence(result.error)).toMatch(/^The file|^No closed/)
    } else if (result.ok) {
      result.value.rings.forEach((ring) =>
        ring.forEach((point) =>
          expect(point.every((value) => Number.isFinite(value) && Math.abs(value) <= 20)).toBe(true),
        ),
      )
      expect(result.value.rings.every((ring) => ring.length >= 3 && ring.length <= 600)).toBe(true)
    } else {
      throw new Error(`Expected to be read, was refused: ${outlineSentence(result.error)}`)
    }
  })
})

describe('flattening and thinning', () => {
  it('keeps a curve within its tolerance', () => {
    const [from, one, two, to] = [
      { x: 0, y: 0 },
      { x: 0, y: 60 },
      { x: 100, y: 60 },
      { x: 100, y: 0 },
    ]
    const points = [from, ...cubicPoints(from, one, two, to, 0.1)]
    for (let step = 0; step <= 200; step += 1) {
      const t = step / 200
      const u = 1 - t
      const exact = { x: 3 * u * t * t * 100 + t ** 3 * 100, y: 3 * u * u * t * 60 + 3 * u * t * t * 60 }
      const away = Math.min(
        ...points.slice(1).map((other, at) => {
          const before = points[at]!
          const [dx, dy] = [other.x - before.x, other.y - before.y]
          const share = Math.min(
            1,
            Math.max(0, ((exact.x - before.x) * dx + (exact.y - before.y) * dy) / (dx * dx + dy * dy)),
          )
          return Math.hypot(exact.x - before.x - share * dx, exact.y - before.y - share * dy)
        }),
      )
      expect(away).toBeLessThan(0.1)
    }
  })
  it('leaves out points on straight lines and none that matter', () => {
    const ring = [
      ...Array.from({ length: 20 }, (_, at) => ({ x: at, y: 0 })),
      { x: 20, y: 0 },
      { x: 20, y: 20 },
      { x: 0, y: 20 },
    ]
    expect(simplified(ring, 0.1)).toHaveLength(4)
    const circle = arcPoints({ x: 0, y: 0 }, [10, 10], 0, 2 * Math.PI).slice(0, -1)
    simplified(circle, 0.2).forEach(({ x, y }) => expect(Math.hypot(x, y)).toBeCloseTo(10, 6))
    expect(simplified(circle, 0.2).length).toBeGreaterThan(10)
  })
})

describe('a damaged drawing', () => {
  const polyline =
    '0\nPOLYLINE\n8\n0\n70\n1\n' +
    [
      [0, 0],
      [40, 0],
      [40, 30],
    ]
      .map(([x, y]) => `0\nVERTEX\n8\n0\n10\n${x}\n20\n${y}\n`)
      .join('') +
    '0\nSEQEND\n'
  const circle = '0\nCIRCLE\n8\n0\n10\n50\n20\n50\n40\n9\n'
  const ellipse = '0\nELLIPSE\n8\n0\n10\n5\n20\n5\n11\n9\n21\n0\n40\n0.5\n41\n0\n42\n6.283185307\n'
  const light = '0\nLWPOLYLINE\n8\n0\n90\n4\n70\n1\n10\n0\n20\n0\n10\n9\n20\n0\n42\n0.4\n10\n9\n20\n9\n10\n0\n20\n9\n'
  const whole = dxf(
    polyline + circle + ellipse + light + line(0, 0, 9, 0) + line(9, 0, 9, 9) + line(9, 9, 0, 0),
    '0\nSECTION\n2\nHEADER\n9\n$INSUNITS\n70\n4\n0\nENDSEC\n',
  )
  const isAnswer = (text: string): void => {
    const result = readOutline(text)
    if (!result.ok) expect(outlineSentence(result.error)).toMatch(/[.]$/)
    else for (const [x, y] of result.value.rings.flat()) expect([x, y].every(Number.isFinite)).toBe(true)
  }
  it('is answered wherever it is cut off', () => {
    expect(read(whole).rings.length).toBeGreaterThan(1)
    for (let at = 0; at <= whole.length; at += 1) isAnswer(whole.slice(0, at))
  })
  it('of a circle, an arc or an ellipse without a middle is refused, of a line or a polyline without points too', () => {
    for (const entity of [
      '0\nCIRCLE\n8\n0\n40\n9\n',
      '0\nARC\n8\n0\n40\n9\n50\n0\n51\n90\n',
      '0\nELLIPSE\n8\n0\n40\n0.5\n',
      '0\nLINE\n8\n0\n',
      '0\nLWPOLYLINE\n8\n0\n70\n1\n',
      '0\nPOLYLINE\n8\n0\n70\n1\n0\nSEQEND\n',
    ])
      expect(readOutline(dxf(entity)).ok).toBe(false)
  })
  it('is answered whichever lines are changed, doubled or left out', () => {
    const lines = whole.split('\n')
    const change = fc.record({
      at: fc.nat({ max: lines.length - 1 }),
      gone: fc.nat({ max: 6 }),
      put: fc.array(fc.constantFrom('0', '10', '42', '290', 'SEQEND', 'VERTEX', 'ENDSEC', 'EOF', '1e303', '-', ''), {
        maxLength: 3,
      }),
    })
    fc.assert(
      fc.property(fc.array(change, { minLength: 1, maxLength: 4 }), (changes) =>
        isAnswer(
          changes
            .reduce((text, { at, gone, put }) => [...text.slice(0, at), ...put, ...text.slice(at + gone)], lines)
            .join('\n'),
        ),
      ),
      { numRuns: 1000 },
    )
  })
})
