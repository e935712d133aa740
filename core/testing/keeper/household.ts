import type { Definition } from '../../catalogue/courses/definitions.ts'
import { ingredientById } from '../../catalogue/ingredient.ts'
import { doseById } from '../../catalogue/treatments/treatments.ts'
import { usualStrengthOf } from '../../catalogue/usual-strengths.data.ts'
import { productValues, readProduct, strengthsFor } from '../../dosing/product-form.ts'
import { METRIC, type Settings } from '../../household/settings.ts'
import type { Content, ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { CORRECTION_SALTS } from '../../water/correction/salts.ts'
import { iso, MS_PER_DAY, zoneClock } from '../../time/zone.ts'

/** Where the simulated keeper lives. */
export const ZONE = 'Europe/Lisbon'
const clock = zoneClock(ZONE)
export const KEEPER_SETTINGS: Settings = { timeZone: ZONE, units: METRIC, clock }

/**
 * A product as the shelf's form writes it: in the form that it opens on, with the strength that is usual on a label.
 * @returns null where the form does not take it: its ingredient cannot be put on the shelf
 */
export function onTheShelf(ingredient: string, happened: string): ContentOf<'product-setup'> | null {
  const row = ingredientById(ingredient)
  if (!row) return null
  const values = productValues(null, ingredient)
  if (!strengthsFor(ingredient, values.form).some(({ value }) => value === values.stated)) return null
  const { usual } = usualStrengthOf(ingredient, row.kind)
  const read = readProduct(
    {
      ...values,
      name: `jar of ${ingredient}`,
      strength: values.stated === 'pure' ? '' : usual,
      tool: 'the finest measure',
      step: '0.001',
      isSure: true,
    },
    [],
    METRIC,
  )
  return 'properties' in read
    ? { kind: 'product-setup', happened, productId: `jar-${ingredient}`, ...read.properties }
    : null
}

/** The ingredients that a definition names: of its drugs, its products and what a day's portion may be raised by. */
export function ingredientsOf({ drugs, products, steps }: Definition): string[] {
  const raised = steps.flatMap(({ raises }) => raises?.parameter ?? [])
  return [
    ...new Set([
      ...drugs.flatMap((id) => doseById(id)?.agent ?? []),
      ...products.map(({ ingredient }) => ingredient),
      ...CORRECTION_SALTS.filter(({ parameter }) => raised.includes(parameter)).map(({ id }) => id),
    ]),
  ]
}

const isQuarantine = ({ kind }: Definition) => kind === 'school' || kind === 'add-on'

/** What is counted one by one in a course: patches, corals, rocks, a jar, a plant. */
function partsFor(definition: Definition, happened: string): ContentOf<'part-setup'>[] {
  const patches = definition.tracks.some(({ kind }) => kind === 'series')
  const each = new Set(definition.steps.flatMap((step) => step.each ?? []))
  const part = (
    partId: string,
    what: ContentOf<'part-setup'>['what'],
    more: Partial<ContentOf<'part-setup'>> = {},
  ): ContentOf<'part-setup'> => ({ kind: 'part-setup', happened, partId, tankId: MAIN, what, name: partId, ...more })
  return [
    ...(patches ? [part('west', 'patch'), part('east', 'patch'), part('left-alone', 'patch', { control: true })] : []),
    ...(definition.kind === 'coral' || each.has('coral')
      ? [part('zoa', 'coral', { group: 'coral-soft', pieces: 2 }), part('chalice', 'coral', { group: 'coral-lps' })]
      : []),
    ...(each.has('rock') ? [part('arch', 'rock'), part('slab', 'rock')] : []),
    ...(each.has('jar') ? [part('glass', 'jar')] : []),
    ...(each.has('plant') ? [part('fern', 'plant')] : []),
  ]
}

/** What a second course needs beside the first one: the parts and the products that are not there yet. */
export function broughtBeside(definition: Definition, journal: Journal, startsAt: number): Content[] {
  const happened = iso(startsAt - MS_PER_DAY)
  const named = new Set(journal.ofKind('part-setup').map(({ content }) => content.partId))
  const there = new Set(journal.ofKind('product-setup').map(({ content }) => content.ingredient))
  return [
    ...partsFor(definition, happened).filter(({ partId }) => !named.has(partId)),
    ...ingredientsOf(definition)
      .filter((ingredient) => !there.has(ingredient))
      .flatMap((ingredient) => onTheShelf(ingredient, happened) ?? []),
  ]
}

/** The tank of a definition where it begins. */
export const MAIN = 'main-tank'

/** Litres of each tank, net. */
const LITRES: Readonly<Record<string, number>> = { main: 60, other: 60, observe: 60, tub: 10 }

/**
 * The household that a definition is begun in, as its forms write it: tanks by role, who lives in them, what is counted there, and the products.
 * @param startsAt ms; all of it is older
 */
export function householdFor(definition: Definition, startsAt: number): Content[] {
  const at = (days: number) => ({ happened: iso(startsAt - days * MS_PER_DAY) })
  const water = definition.water === 'freshwater' ? 'freshwater' : 'marine'
  const role = isQuarantine(definition) ? 'quarantine' : definition.kind === 'coral' ? 'frag' : 'display'
  const isFish = isQuarantine(definition) || definition.kind === 'plan'
  return [
    { kind: 'household', ...at(200), timeZone: ZONE, units: METRIC },
    ...definition.roles.map(({ role: place }): Content => ({
      kind: 'tank-setup',
      ...at(180),
      tankId: place === 'main' ? MAIN : place,
      name: place === 'main' ? 'Tank' : place,
      water,
      role: place === 'main' ? role : place === 'tub' ? 'tub' : 'quarantine',
      sheet: { shape: { kind: 'known', litres: place === 'main' && !isQuarantine(definition) ? 200 : LITRES[place]! } },
      ...(place === 'main' && { lightsOn: '10:00', lightsOff: '20:00' }),
    })),
    ...(isFish
      ? (['ash', 'cobalt'] as const).map((animalId): Content => ({
          kind: 'arrival',
          ...at(isQuarantine(definition) ? 1 : 150),
          animalId,
          tankId: MAIN,
          name: animalId,
          species: water === 'marine' ? 'clownfish' : 'guppy',
          group: water === 'marine' ? 'clownfish' : 'fw-livebearer',
          count: 1,
        }))
      : []),
    ...partsFor(definition, at(20).happened),
    ...ingredientsOf(definition).flatMap((ingredient) => onTheShelf(ingredient, at(100).happened) ?? []),
  ]
}
