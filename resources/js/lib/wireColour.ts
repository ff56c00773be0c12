/** Words for the colours of wires; what stands first in the text counts. */
const COLOURS: [RegExp, string][] = [
  [/black|blk/, '#1c1c1e'],
  [/brown/, '#7a4a21'],
  [/red/, '#c8281e'],
  [/orange/, '#e8791a'],
  [/yellow/, '#eec21f'],
  [/green/, '#2f8f3f'],
  [/blue/, '#2a62c4'],
  [/violet|purple/, '#7b3fa0'],
  [/gr[ae]y|silver/, '#8c9296'],
  [/white|clear/, '#fbfbf7'],
  [/pink/, '#e58aa8'],
]

/** A colour to draw a wire in, from what somebody calls it; null: not said, or a word that names no colour. */
export function wireColour(words: string): string | null {
  const text = words.toLowerCase()
  const found = COLOURS.map(([word, paint]) => ({ at: text.search(word), paint })).filter(({ at }) => at >= 0)
  found.sort((a, b) => a.at - b.at)
  return found[0]?.paint ?? null
}
