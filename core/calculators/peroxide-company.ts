import { animalGroupById } from '../catalogue/animal-group.ts'
import type { PeroxideCompany } from '../catalogue/treatments/peroxide-tiers.data.ts'
import { residentsOf } from '../household/animals.ts'
import { tankById } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'

/** Groups that suffer under peroxide first: outbreaks.md, plan peroxide-spot, and quarantine.md 5.6. */
const SENSITIVE = new Set(['shrimp', 'fw-shrimp', 'shrimp-crab-snail', 'anemone'])

/**
 * Who is in a tank, as far as peroxide is concerned, from the journal: the most sensitive decide. Mosses are not on record;
 * a planted tank counts as sensitive until the keeper says otherwise.
 */
export function peroxideCompanyIn(journal: Journal, tankId: string): PeroxideCompany {
  const groups = residentsOf(journal, tankId).map(({ group }) => group)
  if (groups.some((group) => SENSITIVE.has(group)) || tankById(journal, tankId)?.contents.includes('plants'))
    return 'sensitive'
  if (groups.some((group) => animalGroupById(group)?.kind !== 'fish')) return 'animals'
  // An empty tank still holds its filter: that it is out is the keeper's to say.
  return 'fish'
}
