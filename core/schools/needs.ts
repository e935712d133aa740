import type { Definition } from '../catalogue/courses/definitions.ts'
import { ingredientById } from '../catalogue/ingredient.ts'
import { isCopper } from '../catalogue/treatments/groups.ts'
import { doseById } from '../catalogue/treatments/treatments.ts'
import { shelfOf } from '../household/shelf.ts'
import { kitsOf, tanksOf, type Tank } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'

/** Something a school needs, and whether the journal has it. */
export interface SchoolNeed {
  what: string
  has: boolean
}

/** What a school asks to be owned, of what the journal can tell: medicine, kits, tanks (quarantine.md 8). */
export function schoolNeeds(journal: Journal, definition: Definition, tank: Tank | null): SchoolNeed[] {
  const shelf = shelfOf(journal)
  const kits = kitsOf(journal)
  const onShelf = (agents: readonly string[]) => shelf.some(({ ingredient }) => agents.includes(ingredient))
  const kit = (parameter: string, what: string): SchoolNeed => ({
    what,
    has: kits.some((one) => one.parameter === parameter),
  })
  const needs: SchoolNeed[] = []
  const agents = definition.drugs.flatMap((id) => doseById(id)?.agent ?? [])
  if (agents.length > 0) {
    const isOfCopper = agents.some(isCopper)
    needs.push({
      what: isOfCopper
        ? agents.includes('chloroquine')
          ? 'copper or chloroquine'
          : 'copper'
        : (ingredientById(agents[0]!)?.name ?? agents[0]!),
      has: onShelf(agents),
    })
    if (isOfCopper) needs.push(kit('copper', 'a photometer for copper'))
  }
  for (const { ingredient, only } of definition.products)
    if (!only && !needs.some(({ what }) => what === (ingredientById(ingredient)?.name ?? ingredient)))
      needs.push({ what: ingredientById(ingredient)?.name ?? ingredient, has: onShelf([ingredient]) })
  if (definition.ends === 'raise') needs.push(kit('salinity', 'a refractometer'), kit('ph', 'a pH test'))
  if (definition.id !== 'qt-g-none') needs.push(kit('tan', 'an ammonia kit'), kit('nh3', 'an ammonia badge'))
  const spare = tanksOf(journal).filter(
    ({ id, water, role }) => id !== tank?.id && water === (tank?.water ?? 'marine') && role !== 'display',
  )
  for (const { role, must, label } of definition.roles)
    if (role !== 'main' && must)
      needs.push({
        what: label.toLowerCase() === 'then to' ? 'a sterile second tank' : label.toLowerCase(),
        has: spare.length > 0,
      })
  return needs
}
