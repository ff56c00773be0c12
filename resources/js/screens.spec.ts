import { readdirSync, readFileSync } from 'node:fs'
import ts from 'typescript'
import { describe, expect, it } from 'vitest'
import { parse } from 'vue/compiler-sfc'

/** Names that end so hold µs, milliseconds, percent, volts or counts of a wire. */
const QUANTITY = /(?:^|_)(?:us|ms|pct|percent|mv|volts|raw|dbm?)$|(?:Us|Ms|Pct|Volts)$/
/** Waits and timers of a screen are no measurements. */
const OF_THE_SCREEN = /^[A-Z_]+$/
const ARITHMETIC = new Set([
  ts.SyntaxKind.PlusToken,
  ts.SyntaxKind.MinusToken,
  ts.SyntaxKind.AsteriskToken,
  ts.SyntaxKind.SlashToken,
  ts.SyntaxKind.PercentToken,
  ts.SyntaxKind.PlusEqualsToken,
  ts.SyntaxKind.MinusEqualsToken,
  ts.SyntaxKind.AsteriskEqualsToken,
  ts.SyntaxKind.SlashEqualsToken,
])

/** What an operand is called: its own name, or the last one of `row.reading.lo_us`. */
function nameOf(node: ts.Expression): string {
  if (ts.isIdentifier(node)) return node.text
  if (ts.isPropertyAccessExpression(node)) return node.name.text
  if (ts.isParenthesizedExpression(node) || ts.isNonNullExpression(node)) return nameOf(node.expression)
  if (ts.isBinaryExpression(node) && node.operatorToken.kind === ts.SyntaxKind.QuestionQuestionToken) return nameOf(node.left)
  return ''
}

const isQuantity = (node: ts.Expression) => QUANTITY.test(nameOf(node)) && !OF_THE_SCREEN.test(nameOf(node))

/** Every place where a measured quantity is reckoned with. */
function computes(code: string): string[] {
  const found: string[] = []
  const source = ts.createSourceFile('code.ts', code, ts.ScriptTarget.Latest, true)
  const visit = (node: ts.Node): void => {
    if (ts.isBinaryExpression(node) && ARITHMETIC.has(node.operatorToken.kind) && (isQuantity(node.left) || isQuantity(node.right)))
      found.push(node.getText(source))
    ts.forEachChild(node, visit)
  }
  visit(source)
  return found
}

/** The code of a file: a script as it is; of a component its script, and every expression of its template. */
function codeOf(path: string): string {
  const text = readFileSync(path, 'utf8')
  if (!path.endsWith('.vue')) return text
  const { descriptor } = parse(text)
  const template = descriptor.template?.content ?? ''
  const bound = [...template.matchAll(/(?:\s[:@#]|\sv-)[\w.:-]+="([^"]*)"/g)].map((match) => match[1])
  const shown = [...template.matchAll(/\{\{([\s\S]*?)\}\}/g)].map((match) => match[1])
  return [descriptor.scriptSetup?.content ?? '', ...[...bound, ...shown].map((expression) => `;(${expression})`)].join('\n')
}

const files = readdirSync('resources/js', { recursive: true, encoding: 'utf8' })
  .filter((file) => /\.(vue|ts)$/.test(file) && !/\.spec\.ts$/.test(file) && !/^(lib|api\/generated)\//.test(file))
  .map((file) => `resources/js/${file}`)

describe('screens', () => {
  it('are all looked at, and reckoning is noticed where it is', () => {
    expect(files.length).toBeGreaterThan(90)
    expect(computes('const middle = (row.lo_us + row.hi_us) / 2')).toEqual(['row.lo_us + row.hi_us'])
    expect(computes('<T,>() => (us - 1500) / scale')).toHaveLength(1)
    expect(computes('share += level.pct')).toHaveLength(1)
    expect(computes('later = now + WAIT_MS; k = n + 1; words = `${row.us} µs`')).toEqual([])
  })

  it.each(files)('%s reckons with no measured quantity: the core does, and lib/ for showing', (file) => {
    expect(computes(codeOf(file))).toEqual([])
  })
})
