/** What a browser keeps of few words, under names. */
export type BrowserStorage = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'> & {
  readonly names: () => readonly string[]
}

/** Where a browser keeps nothing: known until the page is left. */
function untilThePageIsLeft(): BrowserStorage {
  const known = new Map<string, string>()
  return {
    getItem: (name) => known.get(name) ?? null,
    setItem: (name, words) => void known.set(name, words),
    removeItem: (name) => void known.delete(name),
    names: () => [...known.keys()],
  }
}

function keptByTheBrowser(): BrowserStorage | null {
  try {
    const storage = window.localStorage
    return {
      getItem: (name) => storage.getItem(name),
      setItem: (name, words) => storage.setItem(name, words),
      removeItem: (name) => storage.removeItem(name),
      names: () => Object.keys(storage),
    }
  } catch {
    // Some browsers keep nothing for some addresses, and say so by throwing.
    return null
  }
}

/**
 * What this browser keeps; where it refuses to, what this page knows. Windows do not follow each other in it: each stays
 * in the studio it is in.
 */
export const browserStorage: BrowserStorage = keptByTheBrowser() ?? untilThePageIsLeft()
