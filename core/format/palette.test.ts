import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { valueOf } from '../quantity'
import {
  PALETTE_FORMATS,
  paletteSentence,
  readPalette,
  writePalette,
  type NamedColour,
  type PaletteProblem,
} from './palette'

const colour = fc.integer({ min: 0, max: 0xffffff }).map((value) => `#${value.toString(16).padStart(6, '0')}`)
const word = fc.stringMatching(/^[a-z]{1,8}( [a-z]{1,8}){0,2}$/)
const palette: fc.Arbitrary<readonly NamedColour[]> = fc.uniqueArray(fc.record({ name: word, colour }), {
  minLength: 1,
  maxLength: 12,
  selector: ({ name }) => name,
})

describe('a palette', () => {
  it.each(PALETTE_FORMATS)('comes back from %s as it went out', (format) =>
    fc.assert(
      fc.property(palette, word, (colours, title) => {
        expect(valueOf(readPalette(writePalette(title, colours, format), 12))).toEqual(colours)
      }),
    ),
  )

  it('tells colours of one name apart in a style sheet', () => {
    expect(
      writePalette(
        'x',
        [
          { name: 'Crème', colour: '#ffeecc' },
          { name: 'crème', colour: '#ffeedd' },
        ],
        'css',
      ),
    ).toBe(':root {\n  --creme: #ffeecc;\n  --creme-2: #ffeedd;\n}\n')
  })

  it.each<[string, string, readonly NamedColour[]]>([
    [
      'names after colours, in columns',
      'GIMP Palette\r\nName: x\r\nColumns: 4\r\n# of our own\r\n217  87  43 Persimmon\r\n  0 0 0\r\n',
      [
        { name: 'Persimmon', colour: '#d9572b' },
        { name: '#000000', colour: '#000000' },
      ],
    ],
    [
      'short colours',
      ':root{--ink: #123; --cream:#F3DFC1}',
      [
        { name: 'ink', colour: '#112233' },
        { name: 'cream', colour: '#f3dfc1' },
      ],
    ],
    ['a plain object', '{"ink blue": "#343a63"}', [{ name: 'ink blue', colour: '#343a63' }]],
    ['another word for colour', '[{"name":"brick","hex":"#a23e2b"}]', [{ name: 'brick', colour: '#a23e2b' }]],
  ])('is read with %s', (_, text, colours) => expect(valueOf(readPalette(text, 12))).toEqual(colours))

  it.each<[string, string, PaletteProblem['code'], RegExp]>([
    ['nothing', ' \n', 'empty', /No colour/],
    ['a letter', 'Dear decorator,', 'empty', /No colour/],
    ['a value above 255', 'GIMP Palette\n#\n10 20 30 fine\n256 0 0 bad', 'line', /Line 4/],
    ['a colour by name', ':root {\n--a: #fff;\n--b: red;\n}', 'line', /Line 3/],
    ['broken JSON', '[{"name"', 'json', /not a list/],
    ['JSON of something else', '[1, 2]', 'json', /such as/],
    ['JSON without colours', '{"a": "red"}', 'json', /“a”/],
    [
      'too many',
      JSON.stringify(Object.fromEntries(Array.from({ length: 13 }, (_, at) => [`c${at}`, '#ffffff']))),
      'too-many',
      /13 colours; 12/,
    ],
  ])('is refused whole when it is %s', (_, text, code, words) => {
    const read = readPalette(text, 12)
    expect(read).toMatchObject({ ok: false, error: { code } })
    if (!read.ok) expect(paletteSentence(read.error)).toMatch(words)
  })
})
