import { expect, fromMenu, downloaded, openLeaf, tally, test } from './studio'

type Content = {
  format: string
  version: unknown
  commission: {
    brief: Record<string, unknown>
    options: {
      cake: { tiers: (Record<string, unknown> & { shape: Record<string, unknown> })[] }
      decorations: { composition: Record<string, unknown> }[]
    }[]
  } & Record<string, unknown>
  workshop: Record<string, unknown>
}

const broken: readonly (readonly [string, (text: string) => string, RegExp])[] = [
  ['an empty file', () => '', /empty/],
  ['a file cut off in the middle', (text) => text.slice(0, 700), /damaged/],
  ['a picture', () => '\u0089PNG\r\n\u001a\n', /damaged/],
  ['a shopping list', () => 'eggs;12\nflour;1kg', /damaged/],
  ['another program’s JSON', () => '{"cakes":[]}', /not a file of Lamellon/],
  [
    'a later version',
    (text) =>
      changed(text, (content) => {
        content.version = 99
      }),
    /version 99/,
  ],
  [
    'a commission without tiers',
    (text) =>
      changed(text, (content) => {
        content.commission.options[0]!.cake.tiers = []
      }),
    /options → 0 → cake → tiers/,
  ],
  [
    'a tier wider than any oven',
    (text) =>
      changed(text, (content) => {
        content.commission.options[0]!.cake.tiers[0]!.shape.acrossMm = 99999
      }),
    /tiers → 0 → shape → acrossMm/,
  ],
  [
    'a number that is a word',
    (text) =>
      changed(text, (content) => {
        content.commission.options[0]!.decorations[0]!.composition.overlap = 'lush'
      }),
    /composition → overlap/,
  ],
  [
    'a covering nobody makes',
    (text) =>
      changed(text, (content) => {
        content.commission.options[0]!.cake.tiers[0]!.covering = 'concrete'
      }),
    /covering/,
  ],
  [
    'a field from elsewhere',
    (text) =>
      changed(text, (content) => {
        content.commission.script = 'alert(1)'
      }),
    /script/,
  ],
  [
    'no workshop',
    (text) =>
      changed(text, (content) => {
        content.workshop = {}
      }),
    /workshop/,
  ],
]

function changed(text: string, change: (content: Content) => void): string {
  const content = JSON.parse(text) as Content
  change(content)
  return JSON.stringify(content)
}

test('twelve kinds of bad file are refused with the reason, and nothing changes', async ({ page }) => {
  await openLeaf(page, 'arrange')
  const before = await tally(page)
  const file = await downloaded(page, () => fromMenu(page, 'Save to a file'))
  const text = file.bytes.toString()
  for (const [kind, spoil, reason] of broken) {
    await test.step(kind, async () => {
      await page
        .getByTestId('file-input')
        .setInputFiles({ name: 'spoilt.lamellon.json', mimeType: 'application/json', buffer: Buffer.from(spoil(text)) })
      await expect(page.getByTestId('file-refused')).toHaveText(reason)
      await page.getByRole('button', { name: 'Close' }).click()
      await expect(page.getByTestId('file-refused')).toBeHidden()
      expect(await tally(page)).toEqual(before)
    })
  }
  await expect(page.getByTestId('undo')).toBeDisabled()
})

test('a changed file shows what it will change, can be left, taken, and taken back', async ({ page }) => {
  await openLeaf(page, 'arrange')
  const before = await tally(page)
  const file = await downloaded(page, () => fromMenu(page, 'Save to a file'))
  const text = changed(file.bytes.toString(), (content) => {
    content.commission.brief.driveMin = 95
    content.commission.options[0]!.decorations[0]!.composition.overlap = 0.7
    ;(content.workshop.mats as { count: number }).count = 4
  })
  const choose = () =>
    page
      .getByTestId('file-input')
      .setInputFiles({ name: 'changed.lamellon.json', mimeType: 'application/json', buffer: Buffer.from(text) })
  await choose()
  await expect(page.getByRole('dialog')).toContainText('brief drive: 40 95')
  await expect(page.getByRole('dialog')).toContainText('mats count: 2 → 4')
  await page.getByRole('button', { name: 'Leave it' }).click()
  expect(await tally(page)).toEqual(before)
  await choose()
  await page.getByTestId('take-file').click()
  await expect.poll(() => tally(page)).not.toEqual(before)
  await page.getByTestId('undo').click()
  await expect.poll(() => tally(page)).toEqual(before)
})
