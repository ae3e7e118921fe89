/**
 * Reads outlines from SVG. Nothing in the file is run or fetched: only shapes are taken, the rest is left out and
 * said.
 */
import { parseSync, type INode } from 'svgson'
import svgPath from 'svgpath'
import type { Point } from '../../geometry'
import { refuse, type Result } from '../../quantity'
import {
  cubicPoints,
  MOST_CHARACTERS,
  MOST_POINTS,
  outlineFrom,
  type ImportedOutline,
  type OutlineProblem,
  type Ring,
} from './rings'

const MOST_DEPTH = 64
const MOST_ELEMENTS = 20_000
const MOST_NUMBERS = 120_000
const [DIGIT_0, DIGIT_9, POINT] = [48, 57, 46]
const MM_PER: Readonly<Record<string, number>> = { mm: 1, cm: 10, in: 25.4, pt: 25.4 / 72, pc: 25.4 / 6 }

/** Never drawn themselves, or not outlines. */
const UNSEEN = new Set([
  'defs',
  'symbol',
  'clipPath',
  'mask',
  'pattern',
  'marker',
  'metadata',
  'title',
  'desc',
  'style',
  'linearGradient',
  'radialGradient',
  'filter',
])
const LEFT_OUT: Readonly<Record<string, string>> = {
  script: 'A script was left out; nothing in a file is ever run.',
  foreignObject: 'Foreign content was left out.',
  image: 'A picture was left out: only lines can be cut.',
  use: 'Copies by reference were left out: turn them into shapes.',
  text: 'Text was left out: turn it into paths.',
  animate: 'An animation was left out.',
  a: 'A link was left out; its shapes were kept.',
}

/**
 * How deep the elements nest and how many there are, in one pass over the text, before anything builds a tree of it.
 */
function nestingOf(text: string): { readonly depth: number; readonly elements: number } {
  let [depth, deepest, elements, at] = [0, 0, 0, text.indexOf('<')]
  while (at !== -1) {
    if (text.startsWith('<!--', at)) at = text.indexOf('-->', at)
    else if (text.startsWith('<![CDATA[', at)) at = text.indexOf(']]>', at)
    else if (text[at + 1] === '/') depth -= 1
    else if (text[at + 1] !== '?' && text[at + 1] !== '!') {
      elements += 1
      const end = text.indexOf('>', at)
      if (end === -1) break
      if (text[end - 1] !== '/') depth += 1
      deepest = Math.max(deepest, depth)
    }
    if (at === -1) break
    at = text.indexOf('<', at + 1)
  }
  return { depth: deepest, elements }
}

/**
 * How many numbers paths and points hold together, without reading what they mean: long before a tree or a point is
 * made of them.
 */
function numbersIn(text: string): number {
  let [numbers, inNumber] = [0, false]
  for (let at = 0; at < text.length; at += 1) {
    const code = text.charCodeAt(at)
    const isDigit = code >= DIGIT_0 && code <= DIGIT_9
    if (isDigit && !inNumber) numbers += 1
    inNumber = isDigit || (inNumber && code === POINT)
  }
  return numbers
}

const number = (text: string | undefined, fallback = 0): number => {
  if (text === undefined) return fallback
  const value = Number.parseFloat(text)
  return Number.isFinite(value) ? value : NaN
}

/** A shape as path data; null when it is not one. */
function pathOf({ name, attributes: a }: INode): string | null {
  switch (name) {
    case 'path':
      return a.d ?? null
    case 'polygon':
      return a.points ? `M${a.points}Z` : null
    case 'polyline':
      return a.points ? `M${a.points}` : null
    case 'rect': {
      const [x, y, width, height] = [number(a.x), number(a.y), number(a.width), number(a.height)]
      return `M${x} ${y}h${width}v${height}h${-width}Z`
    }
    case 'circle':
    case 'ellipse': {
      const [x, y] = [number(a.cx), number(a.cy)]
      const [across, up] = name === 'circle' ? [number(a.r), number(a.r)] : [number(a.rx), number(a.ry)]
      return across > 0 && up > 0
        ? `M${x - across} ${y}a${across} ${up} 0 1 0 ${2 * across} 0a${across} ${up} 0 1 0 ${-2 * across} 0Z`
        : null
    }
    default:
      return null
  }
}

type Reading = { readonly rings: Ring[]; readonly notes: Set<string>; points: number; open: number; broken: number }

const CURVE_TOLERANCE_SHARE = 0.0004

/** Closed rings of one path, curves flattened. A ring that ends where it began is closed even if it does not say so. */
function addRings(reading: Reading, data: string, transforms: readonly string[], size: number): void {
  let path = svgPath(data)
  for (const transform of transforms) path = path.transform(transform)
  const problem = (path as unknown as { readonly err: string }).err
  if (problem) reading.broken += 1
  let ring: Point[] = []
  const close = (closed: boolean): void => {
    const [first, last] = [ring[0], ring.at(-1)]
    const meets = first && last && Math.hypot(first.x - last.x, first.y - last.y) < size * 0.002
    if (ring.length >= 3 && (closed || meets)) reading.rings.push(ring.map(({ x, y }) => ({ x, y: -y })))
    else if (ring.length > 1) reading.open += 1
    ring = []
  }
  path
    .abs()
    .unshort()
    .unarc()
    .iterate((segment, _, x, y) => {
      if (reading.points > MOST_POINTS) return
      const from = { x, y }
      const put = (...points: readonly Point[]): void => {
        for (const point of points) ring.push(point)
        reading.points += points.length
      }
      const kind = segment[0]
      const values = segment.slice(1) as number[]
      const at = (index: number): Point => ({ x: values[index]!, y: values[index + 1]! })
      if (kind === 'M') {
        close(false)
        put(at(0))
      } else if (kind === 'L') put(at(0))
      else if (kind === 'H') put({ x: values[0]!, y })
      else if (kind === 'V') put({ x, y: values[0]! })
      else if (kind === 'C') put(...cubicPoints(from, at(0), at(2), at(4), size * CURVE_TOLERANCE_SHARE))
      else if (kind === 'Q') {
        const [bend, to] = [at(0), at(2)]
        const toward = (one: Point, other: Point): Point => ({
          x: one.x + ((other.x - one.x) * 2) / 3,
          y: one.y + ((other.y - one.y) * 2) / 3,
        })
        put(...cubicPoints(from, toward(from, bend), toward(to, bend), to, size * CURVE_TOLERANCE_SHARE))
      } else if (kind === 'Z' || kind === 'z') {
        const first = ring[0]
        close(true)
        if (first) ring = [first]
      }
    })
  if (ring.length > 1) close(false)
}

const isHidden = ({ attributes: { display, visibility, style = '' } }: INode): boolean =>
  display === 'none' || visibility === 'hidden' || /display\s*:\s*none|visibility\s*:\s*hidden/.test(style)

function visit(reading: Reading, node: INode, transforms: readonly string[], size: number): void {
  if (node.type !== 'element' || UNSEEN.has(node.name) || isHidden(node)) return
  const note = LEFT_OUT[node.name]
  if (note) reading.notes.add(note)
  if (note && node.name !== 'a') return
  if (Object.keys(node.attributes).some((key) => /^on/i.test(key))) reading.notes.add(LEFT_OUT.script!)
  const own = node.attributes.transform ? [node.attributes.transform, ...transforms] : transforms
  const data = pathOf(node)
  if (data !== null) addRings(reading, data, own, size)
  for (const child of node.children) visit(reading, child, own, size)
}

/** Millimetres for each unit of the drawing, where its width or height is given in a true unit. */
function mmPerUnit({ attributes }: INode, viewBox: readonly number[] | null): number | null {
  for (const [key, at] of [
    ['width', 2],
    ['height', 3],
  ] as const) {
    const size = /^\s*([\d.]+)\s*(mm|cm|in|pt|pc)\s*$/.exec(attributes[key] ?? '')
    if (!size) continue
    const mm = Number(size[1]) * MM_PER[size[2]!]!
    if (viewBox && viewBox[at]! > 0) return mm / viewBox[at]!
  }
  return null
}

/**
 * The outline drawn in an SVG file. Scripts, links, pictures and text are left out; a file that declares entities,
 * nests too deep or is too large is refused whole.
 */
export function outlineFromSvg(text: string): Result<ImportedOutline, OutlineProblem> {
  if (text.trim() === '') return refuse({ code: 'empty' })
  if (text.length > MOST_CHARACTERS) return refuse({ code: 'too-large', what: 'more than two million characters' })
  if (/<!DOCTYPE[^>]*\[|<!ENTITY/i.test(text))
    return refuse({ code: 'refused', what: 'it declares entities of its own' })
  const { depth, elements } = nestingOf(text)
  if (depth > MOST_DEPTH) return refuse({ code: 'refused', what: `its elements nest more than ${MOST_DEPTH} deep` })
  if (elements > MOST_ELEMENTS) return refuse({ code: 'too-large', what: `more than ${MOST_ELEMENTS} elements` })
  if (numbersIn(text) > MOST_NUMBERS) return refuse({ code: 'too-large', what: `more than ${MOST_NUMBERS} numbers` })
  let root: INode
  try {
    root = parseSync(text)
  } catch {
    return refuse({ code: 'not-readable', what: 'it is not sound SVG' })
  }
  if (root.name !== 'svg') return refuse({ code: 'not-readable', what: 'it is not SVG' })
  const box = (root.attributes.viewBox ?? '')
    .trim()
    .split(/[\s,]+/)
    .map(Number)
  const viewBox = box.length === 4 && box.every(Number.isFinite) ? box : null
  const size = viewBox
    ? Math.max(viewBox[2]!, viewBox[3]!)
    : Math.max(number(root.attributes.width, 100), number(root.attributes.height, 100))
  const reading: Reading = { rings: [], notes: new Set(), points: 0, open: 0, broken: 0 }
  try {
    visit(reading, root, [], Number.isFinite(size) && size > 0 ? size : 100)
  } catch {
    return refuse({ code: 'not-readable', what: 'a shape or its placing is broken' })
  }
  if (reading.points > MOST_POINTS) return refuse({ code: 'too-large', what: `more than ${MOST_POINTS} points` })
  if (reading.open > 0)
    reading.notes.add(`${reading.open} open ${reading.open === 1 ? 'line was' : 'lines were'} left out.`)
  if (reading.broken > 0)
    reading.notes.add(
      `${reading.broken} ${reading.broken === 1 ? 'path was' : 'paths were'} broken and taken as far as they can be read.`,
    )
  if (reading.rings.length === 0 && reading.open > 0)
    return refuse({ code: 'no-outline', what: 'all its lines are open' })
  return outlineFrom({ rings: reading.rings, mmPerUnit: mmPerUnit(root, viewBox), notes: [...reading.notes] })
}
