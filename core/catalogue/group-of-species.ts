import type { Water } from './parameter.types.ts'
import { ANIMAL_GROUPS, type AnimalGroup } from './animal-group.ts'

/**
 * Words keepers call animals by that no group's own name has; editorial. A word that more than one group might mean
 * ("angelfish", "coral") stands under none.
 */
const ALSO: Readonly<Record<string, readonly string[]>> = {
  surgeonfish: ['tang', 'unicornfish', 'foxface'],
  'angel-dwarf': ['centropyge', 'pygmy'],
  clownfish: ['anemonefish'],
  butterfly: ['butterfly'],
  'damsel-chromis': ['damselfish'],
  'wrasse-sand': ['macropharyngodon', 'anampses'],
  'dottyback-basslet': ['gramma', 'pseudochromis'],
  filefish: ['trigger'],
  'puffer-box': ['toby', 'pufferfish'],
  'goby-blenny': ['goby', 'blenny', 'firefish'],
  'eel-lionfish': ['moray', 'eel', 'scorpionfish'],
  dragonet: ['dragonet', 'mandarin'],
  syngnathid: ['seahorse'],
  elasmobranch: ['shark', 'ray', 'stingray'],
  'marine-fish': ['cardinalfish', 'jack', 'grunt'],
  'fw-livebearer': ['guppy', 'molly', 'platy'],
  'fw-cichlid': ['cichlid', 'apistogramma'],
  'fw-labyrinth': ['betta', 'gourami'],
  'fw-scaleless': ['tetra', 'loach', 'cory', 'catfish', 'rasbora'],
  snail: ['whelk', 'abalone'],
  'star-urchin': ['starfish', 'star', 'cucumber', 'brittle'],
  clam: ['tridacna'],
  'coral-soft': ['zoanthid', 'palythoa', 'mushroom', 'leather', 'polyps', 'xenia', 'ricordea', 'discosoma'],
  'coral-lps': [
    'torch',
    'hammer',
    'frogspawn',
    'micromussa',
    'acanthastrea',
    'euphyllia',
    'goniopora',
    'duncan',
    'lps',
    'polyps',
  ],
  'coral-sps': ['acropora', 'montipora', 'stylophora', 'psammocora', 'seriatopora', 'pocillopora', 'sps', 'polyps'],
  'fw-snail': ['nerite', 'ramshorn'],
}

/** Words of a group's name that say nothing by themselves. */
const EMPTY = new Set([
  'marine',
  'freshwater',
  'fish',
  'large',
  'small',
  'dwarf',
  'and',
  'sea',
  'soft',
  'stony',
  'coral',
  'polyp',
])

/** "gobies" and "goby" are one word, "wrasses" and "wrasse" too. */
const singular = (word: string): string =>
  word.endsWith('ies') ? `${word.slice(0, -3)}y` : /[^s]s$/.test(word) && word.length > 4 ? word.slice(0, -1) : word

const wordsOf = (text: string): string[] =>
  text
    .toLowerCase()
    .split(/[^a-z]+/)
    .filter(Boolean)
    .map(singular)

interface Signs {
  group: AnimalGroup
  name: readonly string[]
  all: ReadonlySet<string>
}

const SIGNS: readonly Signs[] = ANIMAL_GROUPS.map((group) => {
  const name = wordsOf(group.name).filter((word) => !EMPTY.has(word))
  return { group, name, all: new Set([...name, ...(ALSO[group.id] ?? []).map(singular)]) }
})

/**
 * The species group that an animal's everyday name points to: the one most of its words speak for, of several alike the one
 * whose whole name it is. It only saves a choice: where two come into question, or none, it is undefined and the keeper
 * chooses.
 */
export function groupOfSpecies(species: string, water: Water): AnimalGroup | undefined {
  const words = new Set(wordsOf(species))
  const meant = SIGNS.filter(({ group }) => group.water === water)
    .map((signs) => ({ ...signs, hits: [...words].filter((word) => signs.all.has(word)) }))
    .filter(({ hits }) => hits.length > 0)
  const most = Math.max(...meant.map(({ hits }) => hits.length))
  const first = meant.filter(({ hits }) => hits.length === most)
  if (first.length < 2) return first[0]?.group
  // "anemone crab" speaks for two by different words: neither name decides.
  if (new Set(first.map(({ hits }) => hits.join(' '))).size > 1) return undefined
  const whole = first.filter(({ name }) => name.every((word) => words.has(word)))
  return whole.length === 1 ? whole[0]!.group : undefined
}
