import type { Definition } from '../../../../core/catalogue/courses/definitions.ts'
import { doseById } from '../../../../core/catalogue/treatments/treatments.ts'
import { capital } from '../../../../core/words/numbers.ts'

/** What the courses are gathered under in a list. */
const KIND_GROUPS: Record<Definition['kind'], string> = {
  school: 'Quarantine',
  'add-on': 'Beside a quarantine',
  plan: 'Rest, and against outbreaks',
  fallow: 'Without fish',
  coral: 'Corals',
}

/** The courses to choose from, gathered by kind. */
export const definitionOptions = (definitions: readonly Definition[]) =>
  definitions.map((one) => ({ value: one.id, label: definitionLabel(one), group: KIND_GROUPS[one.kind] }))

/** What a definition is called in a list: its name, its drugs and its days. */
export const definitionLabel = ({ name, days, kind, drugs }: Definition): string =>
  `${capital(name)}${drugs.length > 0 ? `, ${drugs.every((id) => doseById(id)?.agent === 'chloroquine') ? 'chloroquine' : drugs.includes('chloroquine-std') ? 'copper or chloroquine' : 'copper'}` : ''}${kind === 'school' && !/\b(days|watched)\b/.test(name) ? `, ${days} days` : ''}`
