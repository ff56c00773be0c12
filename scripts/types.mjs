// Makes TypeScript types of verbs and documents from the JSON Schemas in core/schema.
import { mkdir, readdir, readFile, writeFile } from 'node:fs/promises'
import { compile } from 'json-schema-to-typescript'

const schemas = new URL('../core/schema/', import.meta.url)
const target = new URL('../resources/js/api/generated/', import.meta.url)

/** The compiler knows neither if/then on kinds nor addresses that are not files: it gets each kind by name. */
async function gear() {
  const schema = JSON.parse(await readFile(new URL('gear-card.schema.json', schemas), 'utf8'))
  const kinds = ['handset', 'module', 'receiver', 'converter', 'controller', 'servo_set']
  for (const kind of kinds) schema.$defs[kind].properties.kind = { const: kind }
  const plain = (node) => {
    if (Array.isArray(node)) return node.map(plain)
    if (node === null || typeof node !== 'object') return node
    const { if: condition, then: whenTrue, else: whenFalse, ...rest } = node
    const entries = Object.fromEntries(Object.entries(rest).map(([key, value]) => [key, plain(value)]))
    return condition && whenTrue && whenFalse ? { anyOf: [plain(whenTrue), plain(whenFalse)] } : entries
  }
  return plain({
    title: 'GearCard',
    $defs: schema.$defs,
    oneOf: kinds.map((kind) => ({ $ref: `#/$defs/${kind}` })),
  })
}

const options = {
  ignoreMinAndMaxItems: true,
  bannerComment: '/* Made by `npm run types` from core/schema. */',
  style: { semi: false, singleQuote: true },
}
await mkdir(target, { recursive: true })
await writeFile(new URL('gear-card.ts', target), await compile(await gear(), 'GearCard', options))

const cwd = new URL('verbs/', schemas).pathname
for (const file of await readdir(cwd)) {
  const schema = JSON.parse(await readFile(`${cwd}${file}`, 'utf8'))
  delete schema.$id
  const text = JSON.stringify(schema)
    .replaceAll('"../gear-card.schema.json#/$defs/', '"#/$defs/')
    .replaceAll('"../gear-card.schema.json"', '"#/$defs/card"')
  const whole = JSON.parse(text)
  const card = await gear()
  if (text.includes('#/$defs/')) whole.$defs = { ...card.$defs, card: { type: 'object' } }
  await writeFile(
    new URL(file.replace(/\.json$/, '.ts'), target),
    await compile(whole, schema.title, { ...options, cwd, declareExternallyReferenced: true, unreachableDefinitions: false }),
  )
}
