// Makes TypeScript types of verbs, documents, intents and of what screens get from the JSON Schemas in core/schema.
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

/** References to other files become definitions here, so that every type has one name and stands once. */
async function gathered(file) {
  const taken = {}
  const take = async (path) => {
    const [name, pointer] = path.split('#')
    const key = (name + (pointer ?? '')).replace(/[^A-Za-z0-9]+/g, '_')
    if (taken[key] === undefined) {
      taken[key] = {}
      const whole = JSON.parse(await readFile(new URL(name, schemas), 'utf8'))
      const part = (pointer ?? '')
        .split('/')
        .slice(1)
        .reduce((at, step) => at[step], whole)
      const base = name.includes('/') ? name.slice(0, name.lastIndexOf('/') + 1) : ''
      taken[key] = path === CARD ? HEAD_OF_CARD : await followed({ ...part, title: NAMES[path] ?? part.title }, name, base)
    }
    return `#/$defs/${key}`
  }
  const followed = async (node, here, base = '') => {
    if (Array.isArray(node)) return Promise.all(node.map((one) => followed(one, here, base)))
    if (node === null || typeof node !== 'object') return node
    // Where a card stands or only its id, screens get the card.
    if (node.if && node.then && node.else) return followed(node.else, here, base)
    const plain = {}
    for (const [key, value] of Object.entries(node)) {
      if (['$id', '$schema', 'if', 'then', 'else', 'default', '$defs', 'pattern', 'propertyNames'].includes(key)) continue
      if (key === 'items' && node.prefixItems) continue
      if (key === 'prefixItems') {
        plain.items = await followed(value[0], here, base)
        continue
      }
      if (key === '$ref' && !(here === file && value.startsWith('#/'))) {
        plain.$ref = await take(
          value.startsWith('#')
            ? here + value
            : new URL(value, `file:///${base}`).pathname.slice(1) + (value.includes('#') ? value.slice(value.indexOf('#')) : ''),
        )
      } else plain[key] = await followed(value, here, base)
    }
    return plain
  }
  const whole = JSON.parse(await readFile(new URL(file, schemas), 'utf8'))
  const own = await followed(whole.$defs ?? {}, file)
  const root = await followed({ ...whole, $defs: undefined }, file)
  return { ...root, $defs: { ...own, ...taken } }
}

/** A card inside another document: its head is enough; whoever edits cards has the types of gear-card. */
const CARD = 'gear-card.schema.json'
const HEAD_OF_CARD = {
  title: 'CardHead',
  type: 'object',
  properties: { id: { type: 'string' }, kind: { type: 'string' }, name: { type: 'string' } },
  required: ['id', 'kind', 'name'],
}

/** What a definition is called where its place is no name. */
const NAMES = { 'rig.schema.json': 'RigDocument', 'rig.schema.json#/properties/craft': 'CraftView' }
for (const [file, name] of [
  ['screens.schema.json', 'Screens'],
  ['intents.schema.json', 'Intents'],
  ['dry-bench-question.schema.json', 'DryBenchQuestion'],
  ['practice-question.schema.json', 'PracticeQuestion'],
])
  await writeFile(
    new URL(`${name.toLowerCase()}.ts`, target),
    await compile(await gathered(file), name, { ...options, unreachableDefinitions: true }),
  )
