/** Words whose plural is not made with an s. */
const SEVERAL: readonly (readonly [RegExp, string])[] = [
  [/^(\w+)( of .+)$/, '$1s$2'],
  [/leaf$/, 'leaves'],
  [/([^aeiou])y$/, '$1ies'],
  [/(ch|sh|x|ss)$/, '$1es'],
]

/** What several of a thing are called: “large leaves” for “large leaf”. */
export function several(name: string): string {
  const found = SEVERAL.find(([ending]) => ending.test(name))
  return found ? name.replace(found[0], found[1]) : `${name}s`
}

/** So many of a thing: “1 leaf”, “3 leaves”. */
export const counted = (count: number, name: string): string => `${count} ${count === 1 ? name : several(name)}`

/** A share in whole percent. */
export const percent = (share: number): string => `${Math.round(share * 100)} %`
