import { animalGroupById } from '../../catalogue/animal-group.ts'
import { METRIC } from '../../household/settings.ts'
import type { Content, ContentOf } from '../../journal/entry.ts'
import { Journal } from '../../journal/journal.ts'
import { scribe } from '../../journal/testing.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import { concernsOf, type Concern } from '../concerns.ts'
import { concernWords } from '../guard.ts'

/** Something that is done at an hour; negative ones are before the thing that is proposed, which is done at hour 0. */
export type Doing = (hour: number) => Content

export const NOW = Date.parse('2026-11-20T12:00:00Z')
const happened = (hour: number) => ({ happened: new Date(NOW + hour * MS_PER_HOUR).toISOString() })

/** Whole litres, so that a level is easy to see: mg ÷ 100. */
const LITRES = 100

type TankId = 'quar' | 'reef' | 'fresh' | 'bare'
const tank = (tankId: TankId, more: Partial<ContentOf<'tank-setup'>>): Content => ({
  kind: 'tank-setup',
  ...happened(-10_000),
  tankId,
  name: { quar: 'Quarantine', reef: 'Reef', fresh: 'Planted', bare: 'Side tub' }[tankId],
  water: 'marine',
  role: 'quarantine',
  sheet: { shape: { kind: 'known', litres: LITRES } },
  ...more,
})

/** Four tanks of 100 L without anybody in them: a bare marine quarantine and a tub, a reef with rock, a planted freshwater tank. */
const TANKS: readonly Content[] = [
  { kind: 'household', ...happened(-10_001), timeZone: 'UTC', units: METRIC },
  tank('quar', {}),
  tank('bare', {}),
  tank('reef', { role: 'display', contents: ['rock', 'sand'], profile: 'reef-soft' }),
  tank('fresh', { water: 'freshwater', role: 'display', profile: 'planted-fresh' }),
]

/** What stands on the shelf for a pump. */
const PUMPED = ['cu-chelated', 'sodium-bicarbonate', 'sodium-nitrate'] as const
/** A praziquantel that is carried in alcohol. */
export const SOLVENT = 'bottle-solvent'
const bottle = (productId: string, ingredient: string): ContentOf<'product-setup'> => ({
  kind: 'product-setup',
  ...happened(-9999),
  productId,
  name: 'bottle',
  ingredient,
  strength: { kind: 'solution', mgPerMl: 10 },
})
const BOTTLES: readonly Content[] = [
  ...PUMPED.map((ingredient) => bottle(`bottle-${ingredient}`, ingredient)),
  { ...bottle(SOLVENT, 'praziquantel'), solvent: true },
]

type Before = readonly (readonly [hour: number, doing: Doing])[]

/** A journal of these things, in the four tanks. */
export function journalOf(before: Before): Journal {
  const journal = new Journal()
  const { record } = scribe('2025-01-01T00:00:00Z')
  const doings = before.map(([hour, doing]) => record(doing(hour)))
  journal.add([...[...TANKS, ...BOTTLES].map((content) => record(content)), ...doings])
  return journal
}

/** What speaks against a proposal, given what has happened before it. */
export const asked = (before: Before, proposed: Doing): Concern[] =>
  concernsOf(journalOf(before), proposed(0), { now: NOW })

/** The same in sentences. */
export function wordsOf(before: Before, proposed: Doing): string[] {
  const journal = journalOf(before)
  return concernsOf(journal, proposed(0), { now: NOW }).map((one) => concernWords(journal, proposed(0), one))
}

/** An amount of an ingredient into a tank, mg of what its strength is counted in; without one its strength is not known. */
export const dose =
  (tankId: TankId, ingredient: string, massMg?: number, more: Partial<ContentOf<'dose'>> = {}): Doing =>
  (hour) => ({
    kind: 'dose',
    ...happened(hour),
    tankId,
    ingredient,
    amount: 1,
    unit: 'mL',
    ...(massMg !== undefined && { massMg }),
    ...more,
  })

export const lives =
  (tankId: TankId, group: string, animalId = group, count = 1): Doing =>
  (hour) => ({
    kind: 'arrival',
    ...happened(hour),
    animalId,
    tankId,
    species: animalGroupById(group)?.name ?? 'something',
    name: 'Pip',
    group,
    count,
  })

export const piece =
  (
    tankId: TankId,
    group: string | undefined,
    partId = `piece-${group}`,
    what: 'coral' | 'plant' | 'rock' = 'coral',
  ): Doing =>
  (hour) => ({ kind: 'part-setup', ...happened(hour), partId, tankId, what, name: 'Piece', ...(group && { group }) })

export const goes =
  (animalId: string, fromTankId: TankId, toTankId: TankId): Doing =>
  (hour) => ({ kind: 'move', ...happened(hour), animalId, fromTankId, toTankId })

export const runs =
  (tankId: TankId, item: ContentOf<'equipment'>['item'], more: Partial<ContentOf<'equipment'>> = {}): Doing =>
  (hour) => ({ kind: 'equipment', ...happened(hour), tankId, item, running: true, ...more })

export const reads =
  (
    tankId: TankId,
    parameter: string,
    result: number | ContentOf<'reading'>['result'],
    more: Partial<ContentOf<'reading'>> = {},
  ): Doing =>
  (hour) => ({
    kind: 'reading',
    ...happened(hour),
    tankId,
    parameter,
    result: typeof result === 'number' ? { kind: 'value', value: result } : result,
    unit: 'mg/L',
    ...more,
  })

export const changes =
  (tankId: TankId, litres: number, replacement: ContentOf<'water-change'>['replacement'] = {}): Doing =>
  (hour) => ({ kind: 'water-change', ...happened(hour), tankId, litres, replacement })

export const topsOff =
  (tankId: TankId, litres: number, salinityPsu?: number): Doing =>
  (hour) => ({ kind: 'top-off', ...happened(hour), tankId, litres, ...(salinityPsu !== undefined && { salinityPsu }) })

/** A bath of some animals, mg in a litre. */
export const bath =
  (
    tankId: TankId,
    ingredient: string,
    mgPerL: number | undefined,
    minutes: number,
    animalIds: string[],
    more: Partial<ContentOf<'bath'>> = {},
  ): Doing =>
  (hour) => ({
    kind: 'bath',
    ...happened(hour),
    tankId,
    ingredient,
    amount: 1,
    unit: 'mL',
    ...(mgPerL !== undefined && { massMg: mgPerL * 10 }),
    litres: 10,
    water: 'new',
    minutes,
    animalIds,
    ...more,
  })

export const feeds =
  (tankId: TankId, ingredient: string, mgPerG?: number): Doing =>
  (hour) => ({ kind: 'feed', ...happened(hour), tankId, foodG: 1, ingredient, ...(mgPerG !== undefined && { mgPerG }) })

export const sees =
  (tankId: TankId, animalId: string, sign: string): Doing =>
  (hour) => ({ kind: 'sighting', ...happened(hour), tankId, animalIds: [animalId], signs: [{ sign, present: true }] })

export const starts =
  (tankId: TankId, definition: string, more: Partial<ContentOf<'course-start'>> = {}): Doing =>
  (hour) => ({
    kind: 'course-start',
    ...happened(hour),
    courseId: `course-${definition}`,
    definition,
    tanks: { main: tankId },
    animalIds: [],
    options: {},
    products: {},
    ...more,
  })

export const holds =
  (tankId: TankId, contents: ('rock' | 'sand' | 'plants' | 'nothing')[]): Doing =>
  (hour) => ({ kind: 'tank-change', ...happened(hour), tankId, changes: { contents } })

export const touches =
  (tankId: TankId, what: ContentOf<'contact'>['what'], from?: TankId): Doing =>
  (hour) => ({ kind: 'contact', ...happened(hour), tankId, what, ...(from && { from }) })

/** A pump that gives some mL a day of a stock with 10 mg in each. */
export const pumps =
  (tankId: TankId, ingredient: (typeof PUMPED)[number], mlPerDay: number): Doing =>
  (hour) => ({
    kind: 'pump-plan',
    ...happened(hour),
    deviceId: 'pump',
    tankId,
    productId: `bottle-${ingredient}`,
    mlByHour: Array.from({ length: 24 }, () => mlPerDay / 24),
  })

/** A case of a tank, with a cause that is thought of. */
export const suspects =
  (tankId: TankId, table: ContentOf<'case-start'>['table'], caseId = 'case'): Doing =>
  (hour) => ({ kind: 'case-start', ...happened(hour), caseId, tankId, table, animalIds: [], title: 'brown strings' })

export const thinksOf =
  (tankId: TankId, cause: string, caseId = 'case'): Doing =>
  (hour) => ({ kind: 'case-mark', ...happened(hour), caseId, tankId, mark: 'thought-of', cause })
