import { animalGroupById } from '../catalogue/animal-group.ts'
import { PLAIN_ADVICE, SCHOOL_ADVICE } from '../catalogue/courses/school-advice.data.ts'
import { SCHOOL_LABELS } from '../catalogue/courses/coverage.data.ts'
import { DEFINITIONS } from '../catalogue/courses/all-definitions.ts'
import { animalLabel, type Animal } from '../household/animals.ts'
import { listed } from '../words/numbers.ts'

/** What suits one animal, and why: the keeper chooses. */
export interface AnimalAdvice {
  animalId: string
  label: string
  /** Schools it bears best, the first named first. */
  schools: readonly string[]
  /** Without the animal's name: "bears each of the schools; …". */
  sentence: string
}

/** Animals of one advice together, in their order. */
export function gatheredAdvice(
  advice: readonly AnimalAdvice[],
): (Omit<AnimalAdvice, 'animalId' | 'label'> & { who: string[] })[] {
  const groups: (Omit<AnimalAdvice, 'animalId' | 'label'> & { who: string[] })[] = []
  for (const { label, schools, sentence } of advice) {
    const same = groups.find((one) => one.sentence === sentence)
    if (same) same.who.push(label)
    else groups.push({ who: [label], schools, sentence })
  }
  return groups
}

/** A sentence of advice on one animal, by its row of the sensitivities: quarantine.md 5.6. */
export function adviceOn(animal: Animal): AnimalAdvice {
  const group = animalGroupById(animal.group)
  const row =
    SCHOOL_ADVICE.find(({ of }) => of === animal.group) ??
    SCHOOL_ADVICE.find(({ of }) => of === group?.sensitivity) ??
    PLAIN_ADVICE
  const label = animalLabel(animal)
  return {
    animalId: animal.id,
    label,
    schools: row.schools,
    sentence: row.sentence,
  }
}

const nameOf = (id: string): string =>
  (SCHOOL_LABELS[id] ?? DEFINITIONS.find((one) => one.id === id)?.name ?? id).toLowerCase()

/**
 * What it would take where animals want different schools: a school that all bear, else tanks apart.
 * @returns null where one school is named first for all
 */
export function splitAdvice(advice: readonly AnimalAdvice[]): string | null {
  const [first, ...rest] = advice
  if (!first || rest.every(({ schools }) => schools[0] === first.schools[0])) return null
  const shared = first.schools.filter((id) => rest.every(({ schools }) => schools.includes(id)))
  const wants = listed(advice.map(({ label, schools }) => `${label}: ${nameOf(schools[0]!)}`))
  const [one] = shared
  return one === undefined
    ? `They want different schools (${wants}). That takes a tank for each, 3 m apart, with its own net, siphon, heater and water; nothing may cross. In one tank one of them bears what does not suit it: then watching alone, and treating at the first sign, is what both bear.`
    : `They lean to different schools (${wants}). All of them bear ${nameOf(one)}: one tank is enough then. Each with its own school takes a tank for each, 3 m apart, with tools of its own.`
}
