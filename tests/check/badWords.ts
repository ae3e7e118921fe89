/** What no page may say: broken numbers, wrong plurals, sentences run into each other. */

/** How one thing is called, and several: those that come with numbers. */
const ONE_AND_SEVERAL: readonly (readonly [string, string])[] = [
  ['bow', 'bows'],
  ['branch', 'branches'],
  ['bloom', 'blooms'],
  ['bud', 'buds'],
  ['leaf', 'leaves'],
  ['sail', 'sails'],
  ['globe', 'globes'],
  ['butterfly', 'butterflies'],
  ['panel', 'panels'],
  ['puff', 'puffs'],
  ['fan', 'fans'],
  ['piece', 'pieces'],
  ['sheet', 'sheets'],
  ['disc', 'discs'],
  ['wire', 'wires'],
  ['tier', 'tiers'],
  ['drop', 'drops'],
  ['dish', 'dishes'],
  ['load', 'loads'],
  ['bath', 'baths'],
  ['day', 'days'],
  ['strip', 'strips'],
  ['holder', 'holders'],
  ['skewer', 'skewers'],
  ['pick', 'picks'],
  ['dowel', 'dowels'],
  ['straw', 'straws'],
]

type Rule = { readonly because: string; readonly found: RegExp }

const RULES: readonly Rule[] = [
  { because: 'not a number', found: /\b(NaN|undefined|null|Infinity)\b|\[object/ },
  { because: 'a full stop runs into the next word', found: /[a-zé)’”]\.[A-Z0-9]/ },
  {
    because: 'nothing at all, told as a figure',
    found: /(?<![\d.,:–×−-] ?)\b0 (min|h|fl oz|ml|g|mm|in|cm|drops|pieces|sheets)\b/,
  },
  { because: 'nought with a sign', found: /(?<![\d/])[−+±]\s?0(?![.,\d])(?! °)/ },
  { because: 'two marks after each other', found: /,\s*[,.;]|\.\s*,|;\s*[.;]|\(\)|\s[,;](?=\s)/ },
  { because: 'the same word twice', found: /\b([a-z]{3,}) \1\b/ },
  ...ONE_AND_SEVERAL.flatMap(([one, several]): readonly Rule[] => [
    { because: `1 ${several}`, found: new RegExp(`(?<![\\d.,/×±] ?)\\b1 ([a-z]+ )?${several}\\b`) },
    {
      because: `several ${one}`,
      found: new RegExp(
        `(?<![×.,/] ?)\\b([2-9]|[1-9]\\d+) ((?!mm|cm)[a-z]+ )?${one}\\b(?! of| at| for|[-–]| [a-z]+s\\b)`,
      ),
    },
  ]),
]

/** Every place in a text that breaks a rule, with the words round it. */
export function badWords(text: string): readonly string[] {
  return text.split('\n').flatMap((line) =>
    RULES.flatMap(({ because, found }) => {
      const hit = found.exec(line)
      return hit ? [`${because}: “${line.slice(Math.max(0, hit.index - 30), hit.index + 50)}”`] : []
    }),
  )
}
