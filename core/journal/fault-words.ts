import { capital } from '../words/numbers.ts'
import type { Explained } from '../schema/explain.ts'

/** What the properties of entries are called on the screens; of others their own name says it. */
const LABELS: Readonly<Record<string, string>> = {
  animalIds: 'the animals',
  amount: 'the amount',
  caption: 'the caption',
  cause: 'the cause',
  compartment: 'the place in the tank',
  count: 'how many',
  elsewhere: 'who else has a piece',
  foodG: 'the food',
  happened: 'the time',
  litres: 'the water',
  logged: 'the time it was written down',
  massMg: 'the amount of the drug',
  mgPerMl: 'the strength',
  minutes: 'the minutes',
  name: 'the name',
  note: 'the note',
  parts: 'the count',
  result: 'the reading',
  results: 'the results',
  sample: 'the name of the sample',
  source: 'where it came from',
  species: 'what it is',
  text: 'the note',
  title: 'the title',
  tool: 'the tool',
  unit: 'the unit',
  value: 'the value',
  values: 'the count',
  why: 'the reason',
  words: 'the words',
}

const isIndex = (key: string) => /^\d+$/.test(key)

/**
 * The property that a fault is about: the last named one of its path.
 * @example
 * faultProperty('/content/overrides/0/why') // "why"
 */
export const faultProperty = (path: string): string =>
  path
    .split('/')
    .filter((key) => key !== '' && key !== 'content' && !isIndex(key))
    .at(-1) ?? ''

/**
 * What is wrong with an entry, as a sentence for the keeper: which field, what would be right, what came.
 * @param fault as `entryFault` or `contentFault` found it
 * @example
 * faultWords({ path: '/content/species', message: 'expected at most 80 letters; came 86 letters' })
 * // "What it is: expected at most 80 letters; came 86 letters"
 */
export function faultWords({ path, message }: Explained): string {
  const property = faultProperty(path)
  const label = LABELS[property] ?? property.replace(/([A-Z])/g, ' $1').toLowerCase()
  return label === '' ? capital(message) : `${capital(label)}: ${message}`
}
