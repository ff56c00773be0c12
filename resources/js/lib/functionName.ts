/** What somebody calls a function, as documents have it: "Landing gear" is `landing_gear`. */
export const functionName = (text: string) => text.trim().toLowerCase().replace(/\s+/g, '_')

/** What is wrong with it, in words; '': it is one. */
export const wrongFunctionName = (name: string) =>
  /^[a-z][a-z0-9_]{0,31}$/.test(name) ? '' : 'A function has a name in small letters, 32 at most, such as flap.'

/** A channel that was typed; null: none can be meant. */
export function channelFrom(text: string): number | null {
  const number = Number(text)
  return text.trim() !== '' && Number.isInteger(number) && number >= 1 && number <= 32 ? number : null
}
