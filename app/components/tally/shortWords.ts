/** So many letters find room on two lines below a figure. */
const MOST_LETTERS = 38

/**
 * What stands below a figure, as much of a list as finds room: "11 ± 1 sails, 6 ± 1 blooms and 6 more". One thing alone
 * is told whole.
 */
export function shortWords(words: string): string {
  const parts = words.split(', ')
  if (words.length <= MOST_LETTERS || parts.length < 2) return words
  const told = (many: number): string => `${parts.slice(0, many).join(', ')} and ${parts.length - many} more`
  const fitting = parts.map((_, at) => at).filter((many) => many > 1 && told(many).length <= MOST_LETTERS)
  return told(fitting.at(-1) ?? 1)
}
