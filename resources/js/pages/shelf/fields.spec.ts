import { readFileSync } from 'node:fs'
import { describe, expect, it } from 'vitest'
import { CHAPTERS, type Field } from './fields'

interface Schema {
  $ref?: string
  type?: string | string[]
  enum?: unknown[]
  properties?: Record<string, Schema>
  additionalProperties?: Schema | boolean
  items?: Schema
  anyOf?: Schema[]
  oneOf?: Schema[]
  allOf?: Schema[]
  then?: Schema
  else?: Schema
  $defs?: Record<string, Schema>
}

const root = JSON.parse(readFileSync('core/schema/gear-card.schema.json', 'utf8')) as Schema

/** Every form a schema may take: what it refers to, and its alternatives. */
function forms(schema: Schema | undefined): Schema[] {
  if (!schema) return []
  const referred = schema.$ref ? root.$defs?.[schema.$ref.split('/').at(-1) ?? ''] : undefined
  return [
    schema,
    ...forms(referred),
    ...forms(schema.then),
    ...forms(schema.else),
    ...[...(schema.anyOf ?? []), ...(schema.oneOf ?? []), ...(schema.allOf ?? [])].flatMap(forms),
  ]
}

/** A key by its own name, or one of those that may have any. */
const inside = (schemas: Schema[], key: string) =>
  schemas
    .flatMap(forms)
    .flatMap((form) => forms(form.properties?.[key] ?? (typeof form.additionalProperties === 'object' ? form.additionalProperties : undefined)))
const at = (schemas: Schema[], path: string) => path.split('.').reduce(inside, schemas)
const typesOf = (schemas: Schema[]) => schemas.flatMap((form) => form.type ?? [])
const choicesOf = (schemas: Schema[]) => schemas.flatMap((form) => form.enum ?? []).map(String)

/** What a question of each type fills in. */
const FILLS: Record<Field['type'], string[]> = {
  text: ['string'],
  number: ['number', 'integer'],
  choice: ['string', 'boolean', 'integer'],
  several: ['array'],
  sequence: ['array'],
  words: ['array'],
  numbers: ['array'],
  list: ['array'],
}

function every(fields: Field[], schemas: Schema[], kind: string, found: [string, Field, Schema[]][] = []) {
  for (const field of fields) {
    const place = at(schemas, field.key)
    found.push([`${kind}.${field.key}`, field, place])
    if (field.fields)
      every(
        field.fields,
        place.flatMap((form) => forms(form.items)),
        `${kind}.${field.key}`,
        found,
      )
  }
  return found
}

describe('questions about gear', () => {
  const asked = Object.entries(CHAPTERS).flatMap(([kind, chapters]) =>
    every(
      chapters.flatMap((chapter) => chapter.fields),
      forms(root.$defs?.[kind]),
      kind,
    ),
  )

  it('are many, and for every kind of gear', () => {
    expect(asked.length).toBeGreaterThan(120)
    expect(Object.keys(CHAPTERS)).toHaveLength(6)
  })

  it.each(asked.map(([place, field, schemas]) => ({ place, field, schemas })))('$place is a place of a gear card', ({ place, field, schemas }) => {
    expect(schemas.length, `${place} is not in the schema`).toBeGreaterThan(0)
    const choices = choicesOf(schemas.flatMap((form) => [form, ...forms(form.items)]))
    if (choices.length === 0) expect(typesOf(schemas).filter((type) => FILLS[field.type].includes(type))).not.toEqual([])
    if (choices.length > 0 && field.options) expect(field.options.map(([value]) => value).filter((value) => !choices.includes(value))).toEqual([])
    if (field.fresh) for (const key of Object.keys(field.fresh)) expect(field.fields?.map((one) => one.key)).toContain(key)
  })

  it('have a sentence each, and none is asked twice', () => {
    // The parts of a converter stand in one chapter each, where the heading asks.
    for (const [place, field] of asked) expect(field.question, place).not.toBe('')
    for (const chapters of Object.values(CHAPTERS)) {
      const keys = chapters.flatMap((chapter) => chapter.fields.map((field) => field.key))
      expect(new Set(keys).size).toBe(keys.length)
    }
  })

  /** Said by a field of the form itself, in another word (`corner` for both sticks at once), or of the other end only. */
  const ELSEWHERE =
    /\.(id|kind|name|alias|corner)$|^(handset|module).*\.(refuses_auto|left_stick|right_stick)$|^receiver\.protocols\.(modes|order)$|^converter\.output\.mode$|^servo_set\.setting_names$/

  it('leave no key of a card to "As text"', () => {
    const places = new Set(asked.map(([place]) => place))
    const missing: string[] = []
    const walk = (schemas: Schema[], place: string): void => {
      const keys = new Set(schemas.flatMap((form) => Object.keys(form.properties ?? {})))
      for (const key of keys) {
        const here = `${place}.${key}`
        const found = inside(schemas, key)
        if (places.has(here))
          walk(
            found.flatMap((form) => forms(form.items)),
            here,
          )
        else if ([...places].some((place) => place.startsWith(`${here}.`)) || found.some((form) => form.properties)) walk(found, here)
        else if (!ELSEWHERE.test(here)) missing.push(here)
      }
    }
    for (const kind of Object.keys(CHAPTERS)) walk(forms(root.$defs?.[kind]), kind)
    expect(missing).toEqual([])
  })
})
