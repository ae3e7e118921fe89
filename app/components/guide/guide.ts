import { marked } from 'marked'

/** A page of the user's guide: what it is called, and what is read, as HTML with its pictures. */
export type GuidePage = { readonly id: string; readonly title: string; readonly html: string }

const texts: Readonly<Record<string, string>> = import.meta.glob('../../../docs/guide/*.md', {
  query: '?raw',
  import: 'default',
  eager: true,
})
const pictures: Readonly<Record<string, string>> = import.meta.glob('../../../docs/screenshots/*.png', {
  query: '?url',
  import: 'default',
  eager: true,
})

const numberOf = (path: string): number => Number(/(\d+)-[^/]*$/.exec(path)![1])
const withPictures = (text: string): string =>
  text.replace(
    /\.\.\/screenshots\/([a-z-]+\.png)/g,
    (_, name: string) => pictures[`../../../docs/screenshots/${name}`]!,
  )

/** All pages in the order of the work. */
export const GUIDE: readonly GuidePage[] = Object.entries(texts)
  .sort(([one], [other]) => numberOf(one) - numberOf(other))
  .map(([path, text]) => ({
    id: /\d+-([^/]*)\.md$/.exec(path)![1]!,
    title: /^# (.*)$/m.exec(text)![1]!,
    html: marked.parse(withPictures(text.replace(/^# .*$/m, '')), { async: false }),
  }))

/** The page that a leaf is told on. */
const LEAF_PAGES: Readonly<Record<string, string>> = {
  '/brief': 'dry',
  '/tiers': 'arrange',
  '/arrange': 'arrange',
  '/cut': 'cut',
  '/tint': 'tint',
  '/dry': 'dry',
  '/timetable': 'timetable',
  '/supply': 'supply',
  '/drawers': 'supply',
  '/make': 'make',
  '/deliver': 'deliver',
  '/proposal': 'deliver',
  '/learn': 'learn',
}

/** Where the guide opens from an address of the app. */
export const pageFor = (path: string): string => LEAF_PAGES[path] ?? GUIDE[0]!.id
