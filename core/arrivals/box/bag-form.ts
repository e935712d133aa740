import { freeAmmonia } from '../../ammonia/ammonia.ts'
import { assumedBag, assumedContainer, assumedFloat, ASSUMED_ROOM_C, sharedPsu } from '../../acclimation/assumed.ts'
import { limitsFor } from '../../acclimation/limits.ts'
import type { BoxQuestion } from '../../acclimation/together.ts'
import type { Limits } from '../../acclimation/trials.ts'
import { Reading, type Fault, type Field, type Values } from '../../calculators/calculator.ts'
import { animalGroupById } from '../../catalogue/animal-group.ts'
import { gallonsOf, type UnitHabits } from '../../household/settings.ts'
import { measureText, shownFigure, shownUnit } from '../../words/measure.ts'
import type { Tank } from '../../household/tanks.ts'
import { BAG_FIGURES, readFigure, trim, typedFigure, type FigureHabits } from '../run/figures.ts'
import type { TankWater, WaterFigure } from '../run/water.ts'

/** Who is in a bag, or in the water of another tank. */
export interface Newcomer {
  id: string
  name: string
  group: string
  /** Salinity the seller keeps it at, as it was announced, psu. */
  sellerPsu?: number
}

/** Everything the form of a plan rests on. */
export interface BagContext {
  animals: readonly Newcomer[]
  tank: Tank
  water: TankWater
  /** Another of the household's tanks that they come from: its water is the bag's. */
  from: { tank: Tank; water: TankWater } | null
  /** What was announced. */
  hours: number | null
  canBeMatched: boolean
  units: FigureHabits
}

/** What a form as typed amounts to. */
export interface BagReading {
  /** Null while a needed figure is missing or wrong. */
  question: BoxQuestion | null
  faults: Readonly<Record<string, Fault>>
  /** Fields that nobody has filled, by id, with what is taken in their place, as it would be typed. */
  assumed: Readonly<Record<string, string>>
  /** Of those, the fields that nobody has read anywhere: the own tank that an animal comes from may have been. */
  guessed: readonly string[]
  /** Whether the tank's own salinity was typed: what the journal knows of it is passed over then. */
  isTankTyped: boolean
  /** Limits by animal, as they hold: the handbook's or the keeper's. */
  limits: ReadonlyMap<string, Limits>
}

const OFF_WORDS = new Set(['no', 'off', 'false'])
export const isOn = (values: Values, id: string, start: boolean): boolean =>
  values[id] === undefined ? start : !OFF_WORDS.has(values[id])

/** An animal's limits as they can be typed; differences, not levels. */
const LIMIT_FIELDS: readonly { id: keyof Limits; over: number; most: number; unit: string }[] = [
  { id: 'maxPsuPerHour', over: 0, most: 50, unit: 'psu apart' },
  { id: 'matchPsu', over: 0, most: 50, unit: 'psu apart' },
  { id: 'matchC', over: 0, most: 10, unit: '°C apart' },
  { id: 'matchDkh', over: 0, most: 30, unit: 'dKH' },
  { id: 'maxFreeAmmoniaMgPerL', over: 0, most: 1, unit: 'mg/L' },
  { id: 'maxMinutes', over: 0, most: 1440, unit: 'min' },
]
/** The unit beside a limit's field: the household's. */
export const limitUnit = (limit: keyof Limits, units: UnitHabits): string =>
  `${shownUnit(LIMIT_FIELDS.find(({ id }) => id === limit)!.unit, units)}${limit === 'maxPsuPerHour' ? '/h' : ''}`
/** A limit as it is typed in the household's unit. */
export const limitTyped = (limit: keyof Limits, value: number, units: UnitHabits): string =>
  shownFigure(value, LIMIT_FIELDS.find(({ id }) => id === limit)!.unit, units, 3)

/** Names a field of one animal's bag. */
export const bagField = (animalId: string, figure: WaterFigure | 'litres'): string => `${animalId}.${figure}`
export const limitField = (animalId: string, limit: keyof Limits): string => `${animalId}.limit.${limit}`
export const tankField = (figure: WaterFigure): string => `tank.${figure}`

/** Reads a plan's form: hours and the bags' litres are needed, everything else has what is assumed in its place. */
export function readBagForm(values: Values, context: BagContext): BagReading {
  const { animals, tank, water, from, units } = context
  const litreFields = ['capacity', 'leave', ...animals.map(({ id }) => bagField(id, 'litres'))]
  const fields: Field[] = [
    ...litreFields.map((id) => ({ id, label: id, unit: 'L' })),
    ...animals.flatMap(({ id }) =>
      LIMIT_FIELDS.map((limit) => ({ id: limitField(id, limit.id), label: limit.id, unit: limit.unit })),
    ),
  ]
  const reading = new Reading(values, fields, [], gallonsOf(units), units)
  const assumed: Record<string, string> = {}
  const isTyped = (id: string) => reading.text(id) !== ''
  const orAssumed = (id: string, taken: number, typed: string, read: () => number | undefined): number | undefined => {
    if (isTyped(id)) return read()
    assumed[id] = typed
    return taken
  }
  const hours = isTyped('hours')
    ? reading.number('hours', { least: 0, most: 120, rather: 'hours on the way, up to five days' })
    : from
      ? 0
      : (context.hours ?? reading.number('hours', { rather: 'hours on the way, door to door' }))
  const figure = (id: string, of: WaterFigure, taken: number) =>
    orAssumed(id, taken, typedFigure(of, taken, units), () => readFigure(reading, id, of, units))
  const volumes = animals.map(({ id }) =>
    reading.number(bagField(id, 'litres'), { over: 0, most: 200, rather: 'the water round it' }),
  )
  const tankWater = Object.fromEntries(
    BAG_FIGURES.map((id) => [
      id,
      water[id].readAt === null || isTyped(tankField(id))
        ? figure(tankField(id), id, water[id].value)
        : water[id].value,
    ]),
  ) as Record<WaterFigure, number | undefined>
  // Bags of one seller share one assumption: what was measured in one of them, what was announced, else by who is in the box.
  const measuredPsu = animals
    .map(({ id }) => bagField(id, 'salinityPsu'))
    .filter(isTyped)
    .map((id) => readFigure(reading, id, 'salinityPsu', units))
    .find((psu) => psu !== undefined)
  const boxPsu =
    measuredPsu ??
    sharedPsu(
      animals.map(({ group }) => animalGroupById(group)?.kind ?? 'fish'),
      animals.map(({ sellerPsu }) => sellerPsu),
    )
  const bags = animals.map(({ id, group, sellerPsu }) => {
    const known = animalGroupById(group)
    const taken: Record<WaterFigure, number> = from
      ? (Object.fromEntries(BAG_FIGURES.map((one) => [one, from.water[one].value])) as Record<WaterFigure, number>)
      : {
          ...assumedBag(hours ?? 0, known?.kind ?? 'fish', tank.water),
          ...(tank.water === 'marine' && { salinityPsu: sellerPsu ?? boxPsu }),
          ...(tank.water === 'freshwater' && sellerPsu !== undefined && { salinityPsu: sellerPsu }),
        }
    return Object.fromEntries(BAG_FIGURES.map((one) => [one, figure(bagField(id, one), one, taken[one])])) as Record<
      WaterFigure,
      number | undefined
    >
  })
  const total = volumes.reduce<number>((sum, litres) => sum + (litres ?? 0), 0)
  const container = assumedContainer(total || 1)
  const capacityL = orAssumed('capacity', container.capacityL, shownFigure(container.capacityL, 'L', units, 3), () =>
    reading.number('capacity', { over: 0, most: 500, rather: 'what the container holds' }),
  )
  const leave = Math.max(total, (capacityL ?? container.capacityL) / 2)
  const leaveL = orAssumed(
    'leave',
    Math.min(leave, (capacityL ?? leave * 2) * 0.9),
    shownFigure(leave, 'L', units, 3),
    () => reading.number('leave', { over: 0, most: 500, rather: 'what is left after a pour-off' }),
  )
  const keptWarm = isOn(values, 'warm', false)
  const room =
    keptWarm && tankWater.temperatureC !== undefined
      ? tankWater.temperatureC
      : figure('room', 'temperatureC', ASSUMED_ROOM_C)
  // What is dangerous in the sealed bag is not kept waiting in it, and the warmer it gets the worse.
  const isDangerous = bags.some((bag, i) => {
    const { tanMgPerL, pH, salinityPsu } = bag
    if (tanMgPerL === undefined || pH === undefined || salinityPsu === undefined) return false
    const free = freeAmmonia({
      tanMgPerL,
      pH,
      salinityPsu,
      temperatureC: Math.max(bag.temperatureC ?? 0, tankWater.temperatureC ?? 0),
    })
    const most = limitsFor(animals[i]!.group, salinityPsu, tankWater.salinityPsu ?? salinityPsu)?.limits
    return free.ok && most !== undefined && free.value.freeMgPerL > most.maxFreeAmmoniaMgPerL
  })
  const afloat = from ? 0 : assumedFloat(total, isDangerous)
  const float = orAssumed('float', afloat, String(afloat), () =>
    reading.number('float', { least: 0, most: 120, rather: 'minutes afloat; 15 to 30 are usual' }),
  )
  const limits = new Map<string, Limits>()
  animals.forEach(({ id, group }, i) => {
    const known = limitsFor(group, bags[i]!.salinityPsu ?? 0, tankWater.salinityPsu ?? 0)
    if (!known) return
    const own = { ...known.limits }
    for (const { id: limit, over, most } of LIMIT_FIELDS) {
      const field = limitField(id, limit)
      if (!isTyped(field)) continue
      const value = reading.number(field, { over, most, rather: limitUnit(limit, units) })
      if (value !== undefined) own[limit] = value
    }
    limits.set(id, own)
  })
  const read = new Set(
    from
      ? animals.flatMap(({ id }) =>
          BAG_FIGURES.filter((one) => from.water[one].readAt !== null).map((one) => bagField(id, one)),
        )
      : [],
  )
  const guessed = Object.keys(assumed).filter((id) => !read.has(id))
  faultsBetween(reading, { animals, volumes, capacityL, leaveL, float, limits }, units)
  const faults = reading.faults
  const isTankTyped = isTyped(tankField('salinityPsu'))
  if (Object.keys(faults).length > 0 || hours === undefined)
    return { question: null, faults, assumed, guessed, isTankTyped, limits }
  return {
    question: {
      animals: animals.map(({ id, name }, i) => ({
        id,
        name,
        bag: { volumeL: volumes[i]!, ...(bags[i] as Record<WaterFigure, number>) },
        limits: limits.get(id)!,
      })),
      tank: tankWater as Record<WaterFigure, number>,
      container: { capacityL: capacityL!, leaveL: leaveL! },
      room: { temperatureC: room! },
      float: { minutes: float! },
      ...(isOn(values, 'air', false) && { gasExchangePerHour: AERATED_PER_HOUR }),
      shippingHours: hours,
      tankCanBeMatched: isOn(values, 'match', context.canBeMatched),
      units: { salinity: units.salinity, temperature: units.temperature },
    },
    faults,
    assumed,
    guessed,
    isTankTyped,
    limits,
  }
}

/** An air stone drives the gas off faster: acclimation.md, assumed there too. */
const AERATED_PER_HOUR = 5

/** What is wrong between fields that are each right by themselves. */
function faultsBetween(
  reading: Reading,
  {
    animals,
    volumes,
    capacityL,
    leaveL,
    float,
    limits,
  }: {
    animals: readonly Newcomer[]
    volumes: readonly (number | undefined)[]
    capacityL: number | undefined
    leaveL: number | undefined
    float: number | undefined
    limits: ReadonlyMap<string, Limits>
  },
  units: UnitHabits,
): void {
  animals.forEach(({ id }, i) => {
    const litres = volumes[i]
    if (litres !== undefined && capacityL !== undefined && litres > capacityL)
      reading.fault(
        bagField(id, 'litres'),
        `more than the container’s ${measureText(capacityL, 'L', units, 3)}: a larger container, or the bag’s water in part`,
      )
    const own = limits.get(id)
    if (own && float !== undefined && own.maxMinutes < float)
      reading.fault('float', `longer than ${trim(own.maxMinutes, 0)} minutes, the longest it may wait`)
  })
  if (capacityL !== undefined && leaveL !== undefined && leaveL >= capacityL)
    reading.fault('leave', `less than the ${measureText(capacityL, 'L', units, 3)} it holds`)
}
