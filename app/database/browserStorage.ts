/** What a browser keeps of few words; null where it does not let pages keep anything. */
export function browserStorage(): Storage | null {
  try {
    return window.localStorage
  } catch {
    return null
  }
}
