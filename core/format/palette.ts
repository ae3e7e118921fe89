/** Palettes as other programs read and write them: lists of red, green and blue, variables of a style sheet, JSON. */
import { z } from 'zod'
import { ok, refuse, type Result } from '../quantity'

export type NamedColour = { readonly name: string; readonly colour: string }

export const PALETTE_FORMATS = ['gpl', 'css', 'json'] as const
export type PaletteFormat = (typeof PALETTE_FORMATS)[number]

export type PaletteProblem =
  | { readonly code: 'empty' }
  | { readonly code: 'line'; readonly line: number; readonly text: string }
  | { readonly code: 'json'; readonly detail: string }
  | { readonly code: 'too-many'; readonly count: number; readonly most: number }

/** What was wrong with a palette, and what to do. */
export function paletteSentence(problem: PaletteProblem): string {
  switch (problem.code) {
    case 'empty':
      return 'No colour was found in the file. Save the palette as GPL, CSS variables or JSON.'
    case 'line':
      return `Line ${problem.line}, “${problem.text}”, is not a colour with a name. Mend or remove it.`
    case 'json':
      return `The file is JSON, but not a list of names and colours: ${problem.detail}`
    case 'too-many':
      return `The file has ${problem.count} colours; ${problem.most} find room. Keep those you want, and save that.`
  }
}

const LONGEST_NAME = 40
/** The first line by which a list of colours is known. */
const LIST_HEAD = 'GIMP Palette'

const channels = (hex: string): readonly number[] => [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16))
const slug = (name: string): string =>
  name
    .toLowerCase()
    .normalize('NFD')
    .replace(/\p{Mark}/gu, '')
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '') || 'colour'

/** A palette in a format; the same palette always gives the same text. */
export function writePalette(title: string, colours: readonly NamedColour[], format: PaletteFormat): string {
  const oneLine = (text: string): string => text.replace(/\s+/g, ' ').trim()
  if (format === 'gpl')
    return `${LIST_HEAD}\nName: ${oneLine(title)}\nColumns: 0\n#\n${colours
      .map(
        ({ name, colour }) =>
          `${channels(colour)
            .map((each) => String(each).padStart(3))
            .join(' ')}\t${oneLine(name)}\n`,
      )
      .join('')}`
  if (format === 'json')
    return `${JSON.stringify(
      colours.map(({ name, colour }) => ({ name, colour })),
      null,
      2,
    )}\n`
  const taken = new Map<string, number>()
  const lines = colours.map(({ name, colour }) => {
    const count = (taken.get(slug(name)) ?? 0) + 1
    taken.set(slug(name), count)
    return `  --${slug(name)}${count > 1 ? `-${count}` : ''}: ${colour};\n`
  })
  return `:root {\n${lines.join('')}}\n`
}

const listed = z.union([
  z.array(
    z.object({
      name: z.string().min(1),
      colour: z.string().optional(),
      color: z.string().optional(),
      hex: z.string().optional(),
    }),
  ),
  z.record(z.string(), z.string()),
])

/** A palette out of a file, whichever of the formats it is in; nothing of a bad one is taken. */
export function readPalette(text: string, most: number): Result<readonly NamedColour[], PaletteProblem> {
  const plain = text.replace(/^\uFEFF/, '').trim()
  if (plain === '') return refuse({ code: 'empty' })
  const read =
    plain.startsWith('{') || plain.startsWith('[')
      ? fromJson(plain)
      : plain.startsWith(LIST_HEAD)
        ? fromList(text)
        : fromVariables(plain)
  if (!read.ok) return read
  if (read.value.length === 0) return refuse({ code: 'empty' })
  return read.value.length > most ? refuse({ code: 'too-many', count: read.value.length, most }) : read
}

/** #abc and #aabbcc, whatever the case; none for anything else. */
function hexOf(text: string): string | null {
  const short = /^#([0-9a-f])([0-9a-f])([0-9a-f])$/i.exec(text.trim())
  if (short)
    return `#${short
      .slice(1)
      .map((digit) => digit + digit)
      .join('')}`.toLowerCase()
  return /^#[0-9a-f]{6}$/i.test(text.trim()) ? text.trim().toLowerCase() : null
}

const named = (name: string, colour: string): NamedColour => ({
  name: name.trim().slice(0, LONGEST_NAME) || colour,
  colour,
})

function fromJson(text: string): Result<readonly NamedColour[], PaletteProblem> {
  let content: unknown
  try {
    content = JSON.parse(text)
  } catch (error) {
    return refuse({ code: 'json', detail: error instanceof Error ? error.message : String(error) })
  }
  const parsed = listed.safeParse(content)
  if (!parsed.success)
    return refuse({ code: 'json', detail: 'such as [{ "name": "cream", "colour": "#f3dfc1" }] is expected.' })
  const pairs = Array.isArray(parsed.data)
    ? parsed.data.map(({ name, colour, color, hex }) => [name, colour ?? color ?? hex ?? ''] as const)
    : Object.entries(parsed.data)
  const colours: NamedColour[] = []
  for (const [name, text] of pairs) {
    const colour = hexOf(text)
    if (!colour) return refuse({ code: 'json', detail: `“${name}” has no colour such as #f3dfc1.` })
    colours.push(named(name, colour))
  }
  return ok(colours)
}

function fromList(text: string): Result<readonly NamedColour[], PaletteProblem> {
  const colours: NamedColour[] = []
  for (const [at, line] of text
    .replace(/^\uFEFF/, '')
    .split(/\r?\n/)
    .entries()) {
    if (at === 0 || line.trim() === '' || line.startsWith('#') || /^(name|columns)\s*:/i.test(line)) continue
    const parts = /^\s*(\d{1,3})\s+(\d{1,3})\s+(\d{1,3})(?:\s+(.*))?$/.exec(line)
    const light = parts?.slice(1, 4).map(Number) ?? []
    if (!parts || light.some((each) => each > 255))
      return refuse({ code: 'line', line: at + 1, text: line.trim().slice(0, 40) })
    colours.push(named(parts[4] ?? '', `#${light.map((each) => each.toString(16).padStart(2, '0')).join('')}`))
  }
  return ok(colours)
}

function fromVariables(text: string): Result<readonly NamedColour[], PaletteProblem> {
  const colours: NamedColour[] = []
  for (const [at, line] of text.split(/\r?\n/).entries()) {
    for (const [whole, name, value] of line.matchAll(/--([\w-]+)\s*:\s*([^;}]+)/g)) {
      const colour = hexOf(value!)
      if (!colour) return refuse({ code: 'line', line: at + 1, text: whole.slice(0, 40) })
      colours.push(named(name!.replace(/-/g, ' '), colour))
    }
  }
  return ok(colours)
}
