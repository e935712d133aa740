import { Reading, type Fault } from '../../calculators/calculator.ts'
import { animalGroupById } from '../../catalogue/animal-group.ts'
import type { ExpectedArrival } from '../../household/expected.ts'
import type { Settings } from '../../household/settings.ts'
import type { Tank } from '../../household/tanks.ts'
import type { Content, ContentOf } from '../../journal/entry.ts'
import { dateInput, timeOf } from '../../time/words.ts'
import { dayFromText, iso } from '../../time/zone.ts'
import { CM_PER_INCH } from '../../units/units.ts'
import { readFigure, typedFigure } from '../run/figures.ts'
import type { Box } from './boxes.ts'

/** An animal of a box, as typed. */
export interface AnimalValues {
  expectedId: string
  species: string
  name: string
  count: string
  group: string
  tankId: string
  sizeCm: string
  sellerPsu: string
  lightUmol: string
  dip: boolean
}

/** A box announced, as typed. */
export interface BoxValues {
  date: string
  time: string
  hours: string
  source: string
  animals: AnimalValues[]
}

/** Parcels come in the morning. */
export const EMPTY_BOX: Omit<BoxValues, 'date' | 'animals'> = { time: '10:30', hours: '', source: '' }

/** A newcomer of which nothing is typed yet; it goes to a quarantine tank where there is one. */
export const emptyAnimal = (tanks: readonly Tank[], tankId: string | null, expectedId: string): AnimalValues => ({
  expectedId,
  species: '',
  name: '',
  count: '1',
  group: '',
  tankId: tankId ?? tanks.find(({ role }) => role === 'quarantine' || role === 'tub')?.id ?? tanks[0]!.id,
  sizeCm: '',
  sellerPsu: '',
  lightUmol: '',
  dip: false,
})

const text = (value: number | null | undefined) => (value === null || value === undefined ? '' : String(value))

/** A box as it was announced, to be put right. */
export const boxAsTyped = (box: Box, { clock, units }: Settings): BoxValues => ({
  date: dateInput(box.dueAt, clock),
  time: timeOf(box.dueAt, clock),
  hours: text(box.hoursInTransit),
  source: box.source ?? '',
  animals: box.animals.map((animal) => ({
    expectedId: animal.expectedId,
    species: animal.species,
    name: animal.name ?? '',
    count: String(animal.count),
    group: animal.group,
    tankId: animal.tankId,
    sizeCm:
      animal.sizeCm === undefined
        ? ''
        : text(Number((animal.sizeCm / (units.length === 'in' ? CM_PER_INCH : 1)).toFixed(2))),
    sellerPsu: animal.sellerPsu === undefined ? '' : typedFigure('salinityPsu', animal.sellerPsu, units),
    lightUmol: text(animal.lightUmol),
    dip: animal.dip ?? false,
  })),
})

/** Awaited animals that are not coming any more. */
export const cancelled = (animals: readonly ExpectedArrival[], now: number): Content[] =>
  animals.map((animal) => {
    const { dueAt: _dueAt, ...expected } = animal
    const content: ContentOf<'expected'> = { kind: 'expected', happened: iso(now), ...expected, cancelled: true }
    return content
  })

const waterWord = ({ water }: { water: 'marine' | 'freshwater' }) => (water === 'marine' ? 'salt' : 'fresh')

/** What is typed is read against this: the tanks there are, and the box as it was announced before. */
export interface BoxAsked {
  tanks: readonly Tank[]
  settings: Settings
  box: Box | null
  boxId: string
  now: number
}

/** Where a field of one of the box's animals stands. */
export const animalField = <F extends keyof AnimalValues>(index: number, field: F) =>
  `animals.${index}.${field}` as const

/** Which fields are asked of a group: what is not asked is not read, whatever was typed before. */
export function askedOf(groupId: string): { sizeCm: boolean; sellerPsu: boolean; lightUmol: boolean; dip: boolean } {
  const group = animalGroupById(groupId)
  return {
    sizeCm: group === undefined || group.kind === 'fish',
    sellerPsu: group?.water !== 'freshwater',
    lightUmol: group?.kind === 'coral',
    dip: group !== undefined && group.kind !== 'fish',
  }
}

/** Reads one animal of the box; what is wrong stands beside its field. */
function readAnimal(reading: Reading, animal: AnimalValues, i: number, { tanks, settings, box }: BoxAsked) {
  const { units } = settings
  const at = (field: keyof AnimalValues) => animalField(i, field)
  if (animal.species.trim() === '') reading.fault(at('species'), 'what it is, as you call it')
  const count = reading.number(at('count'), { least: 1, most: 10_000, rather: 'a whole number' })
  if (count !== undefined && !Number.isInteger(count)) reading.fault(at('count'), 'a whole number, 1 or more')
  const group = animalGroupById(animal.group)
  if (!group) reading.fault(at('group'), 'which group: it decides how the animal is brought across')
  const tank = tanks.find(({ id }) => id === animal.tankId)
  if (tank && group && tank.water !== group.water)
    reading.fault(
      at('tankId'),
      `${tank.name} is ${waterWord(tank)} water; ${group.name} need ${waterWord(group)} water`,
    )
  const asked = askedOf(animal.group)
  const isTyped = (field: 'sizeCm' | 'sellerPsu' | 'lightUmol') => asked[field] && animal[field].trim() !== ''
  const unit = units.length === 'in' ? CM_PER_INCH : 1
  const size = isTyped('sizeCm')
    ? reading.number(at('sizeCm'), {
        least: 0.5 / unit,
        most: 200 / unit,
        rather: `${units.length === 'in' ? 'inches' : 'centimetres'}, nose to tail`,
      })
    : undefined
  const sellerPsu = isTyped('sellerPsu') ? readFigure(reading, at('sellerPsu'), 'salinityPsu', units) : undefined
  const lightUmol = isTyped('lightUmol')
    ? reading.number(at('lightUmol'), { least: 1, most: 1500, rather: 'µmol photons a square metre and second' })
    : undefined
  const before = box?.animals.find(({ expectedId }) => expectedId === animal.expectedId)
  return {
    expectedId: animal.expectedId,
    tankId: animal.tankId,
    species: animal.species.trim(),
    group: animal.group,
    count: count ?? 1,
    ...(animal.name.trim() && { name: animal.name.trim() }),
    ...(size !== undefined && { sizeCm: size * unit }),
    ...(sellerPsu !== undefined && { sellerPsu }),
    ...(lightUmol !== undefined && { lightUmol }),
    ...(asked.dip && animal.dip && { dip: true }),
    ...(before?.noQuarantine && before.tankId === animal.tankId && { noQuarantine: true }),
  }
}

/** Reads the form: contents to keep, or what would be right beside which field. */
export function readBox(
  values: BoxValues,
  asked: BoxAsked,
): { boxId: string; contents: Content[] } | { problems: Readonly<Record<string, Fault>> } {
  const { settings, box, boxId, now } = asked
  const typed = {
    hours: values.hours,
    ...Object.fromEntries(
      values.animals.flatMap((animal, i) =>
        (['count', 'sizeCm', 'sellerPsu', 'lightUmol'] as const).map((field) => [animalField(i, field), animal[field]]),
      ),
    ),
  }
  const reading = new Reading(typed, [], [])
  const day = dayFromText(values.date)
  const time = /^(\d{1,2}):(\d{2})$/.exec(values.time)
  const minute = time && Number(time[1]) < 24 && Number(time[2]) < 60 ? Number(time[1]) * 60 + Number(time[2]) : null
  if (day === null) reading.fault('date', 'a day that exists, such as 2026-11-26')
  if (minute === null) reading.fault('time', 'a time such as 10:30')
  const hours = reading.maybe('hours', { least: 0, most: 120, rather: 'hours on the way, up to five days' })
  const animals = values.animals.map((animal, i) => readAnimal(reading, animal, i, asked))
  if (day === null || minute === null || Object.keys(reading.faults).length > 0) return { problems: reading.faults }
  const shared = {
    due: iso(settings.clock.instantAt(day, minute)),
    ...(typeof hours === 'number' && { hoursInTransit: hours }),
    ...(values.source.trim() && { source: values.source.trim() }),
  }
  const contents = animals.map((animal): Content => ({
    kind: 'expected',
    happened: iso(now),
    boxId,
    ...animal,
    ...shared,
  }))
  const gone = (box?.animals ?? []).filter(
    ({ expectedId }) => !animals.some((animal) => animal.expectedId === expectedId),
  )
  return { boxId, contents: [...contents, ...cancelled(gone, now)] }
}
