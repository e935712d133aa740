import { readingResult } from '../words/quantities.ts'
import { animalGroupById } from '../catalogue/animal-group.ts'
import type { Answer, CaseTable } from '../catalogue/diagnosis/diagnosis.types.ts'
import { parameterById, typicalUncertainty } from '../catalogue/parameter.ts'
import type { Setting } from '../catalogue/sign-tables/sign-tables.ts'
import { isCopper } from '../catalogue/treatments/groups.ts'
import { coursesOf } from '../courses/course.ts'
import { animalById, animalsOf, type Animal } from '../household/animals.ts'
import { coralsOf } from '../household/corals.ts'
import { partById } from '../household/parts.ts'
import type { Settings } from '../household/settings.ts'
import { equipmentAt, tankById, type Tank } from '../household/tanks.ts'
import type { Journal } from '../journal/journal.ts'
import { holds, lastEvidence, lastValue, valuesOf } from '../readings/evidence.ts'
import { dayBeside } from '../time/words.ts'
import { minuteOfTime, MS_PER_DAY, MS_PER_HOUR } from '../time/zone.ts'
import { BREATHS } from '../watching/breaths.ts'
import { measureText } from '../words/measure.ts'
import { figures } from '../words/numbers.ts'
import {
  NEW_FISH_DAYS,
  NEW_WET_DAYS,
  TEST_HOURS,
  NUTRIENT_DAYS,
  YOUNG_TANK_DAYS,
  RAISED_AMMONIA,
  RAISED_NITRITE,
  OXYGEN_DOSE_HOURS,
  OXYGEN_DRUGS,
  MOVES_WATER,
  HEAT_C,
  FILM,
  ALGAE,
  ALKALINITY_MOVE,
  SWING_C,
  LOW_POTASSIUM,
  UNDIPPED_DAYS,
  JUST_NOW_DAYS,
} from './context-limits.ts'
import { askedSigns } from './signs.ts'

/** What a case is about. */
export interface CaseSubject {
  table: CaseTable
  tankId: string
  animalIds: readonly string[]
  partIds?: readonly string[]
}

/** A sign that the journal answers by itself, and what it rests on. */
export interface KnownFromJournal {
  sign: string
  answer: Exclude<Answer, 'not-looked'>
  because: string
  /** It counts only beside this sign: a drug that takes oxygen only where fish gasp (quarantine.md 1). */
  onlyWith?: string
}

const WEEK = 7 * MS_PER_DAY

interface Asked {
  journal: Journal
  tank: Tank
  subject: CaseSubject
  settings: Settings
  now: number
}

/** The animals of a kind that came into a tank in a stretch of time, and when. */
const cameSince = (
  journal: Journal,
  tankId: string,
  kind: 'fish' | 'coral',
  from: number,
  until: number,
): { animal: Animal; at: number }[] =>
  animalsOf(journal).flatMap((animal) => {
    if (animalGroupById(animal.group)?.kind !== kind) return []
    const stay = animal.stays.find((one) => one.tankId === tankId && one.from >= from && one.from <= until)
    return stay ? [{ animal, at: stay.from }] : []
  })

/** Whether a case is about a newcomer: the priors of the ranking are chosen by it. */
export function settingOf(journal: Journal, { animalIds }: CaseSubject, now: number): Setting {
  const isNew = animalIds.some((id) => {
    const animal = animalById(journal, id)
    return animal !== null && now - animal.arrivedAt <= NEW_FISH_DAYS * MS_PER_DAY
  })
  return isNew ? 'new-arrival' : 'established'
}

/** What the journal says of a sign; null where it says nothing. */
type Found = KnownFromJournal | null
const yes = (sign: string, because: string): KnownFromJournal => ({ sign, answer: 'present', because })
const no = (sign: string, because: string): KnownFromJournal => ({ sign, answer: 'absent', because })

/** A test within two days, raised or not; nothing where it was not tested. */
function tested(
  { journal, tank, settings, now }: Asked,
  sign: string,
  parameter: string,
  limit: number,
  name: string,
): Found {
  const last = lastEvidence(journal, tank.id, parameter, now)
  if (!last || now - last.at > TEST_HOURS * MS_PER_HOUR) return null
  const isRaised = holds(last, '>=', limit)
  if (isRaised === 'open') return null
  const { value } = readingResult(last.line.content, settings.units)
  const because = `${name} ${value} mg/L ${dayBeside(settings.clock.dayOf(last.at), settings.clock.dayOf(now))}`
  return isRaised === 'yes' ? yes(sign, because) : no(sign, because)
}

function copperAbove(asked: Asked): Found {
  const course = coursesOf(asked.journal).find(
    ({ startedAt, ended, dose, tankId }) =>
      startedAt <= asked.now && ended === null && tankId === asked.tank.id && dose !== null && isCopper(dose.agent),
  )
  const high = course?.dose?.high
  return high === undefined ? null : tested(asked, 'copper-above-band', 'copper', high + 1e-9, 'copper')
}

function newFish({ journal, tank, subject, settings, now }: Asked): Found {
  const from = now - NEW_WET_DAYS * MS_PER_DAY
  const came = cameSince(journal, tank.id, 'fish', from, now).find(
    ({ animal }) => !subject.animalIds.includes(animal.id),
  )
  if (came)
    return yes(
      'new-fish-14d',
      `${came.animal.name ?? came.animal.species} came ${dayBeside(settings.clock.dayOf(came.at), settings.clock.dayOf(now))}`,
    )
  const wet = journal
    .ofKind('contact')
    .findLast(({ content, at }) => content.tankId === tank.id && at >= from && at <= now)
  return wet ? yes('new-fish-14d', 'something wet of another system was in the water') : null
}

function oxygenEvent({ journal, tank, settings, now }: Asked): Found {
  const dosed = journal
    .ofKind('dose')
    .findLast(
      ({ content, at }) =>
        content.tankId === tank.id &&
        OXYGEN_DRUGS.has(content.ingredient) &&
        at <= now &&
        now - at <= OXYGEN_DOSE_HOURS * MS_PER_HOUR,
    )
  if (dosed)
    return {
      ...yes('oxygen-event', `${dosed.content.ingredient} was dosed within a day`),
      onlyWith: 'surface-gasping',
    }
  // What has stood still for longer is no event any more.
  const stopped = equipmentAt(journal, tank.id, now).find(
    ({ item, running, since }) => !running && MOVES_WATER.has(item) && now - since <= OXYGEN_DOSE_HOURS * MS_PER_HOUR,
  )
  if (stopped) return yes('oxygen-event', `${stopped.item} is off`)
  const warm = lastValue(journal, tank.id, 'temp', now + 1)
  return warm && now - warm.at < MS_PER_DAY && warm.value > HEAT_C
    ? yes('oxygen-event', measureText(warm.value, '°C', settings.units, 3))
    : null
}

/** The values of a parameter since an instant. */
const valuesSince = ({ journal, tank, now }: Asked, parameter: string, from: number): { at: number; value: number }[] =>
  valuesOf(journal, tank.id, parameter, from, now)

function temperatureSwing(asked: Asked): Found {
  const values = valuesSince(asked, 'temp', asked.now - WEEK).map(({ value }) => value)
  if (values.length < 2) return null
  const by = Math.max(...values) - Math.min(...values)
  return by >= SWING_C
    ? yes('temp-swing', `${measureText(by, '°C apart', asked.settings.units, 2)} within a week`)
    : no('temp-swing', 'steady by its readings')
}

function breathing({ journal, subject, now }: Asked): Found {
  const counted = journal
    .ofKind('sighting')
    .findLast(
      ({ content, at }) =>
        content.breathsPerMinute !== undefined &&
        at <= now &&
        now - at < MS_PER_DAY &&
        content.animalIds.some((id) => subject.animalIds.includes(id)),
    )?.content.breathsPerMinute
  if (counted === undefined) return null
  const because = `${figures(counted)} gill beats a minute`
  return counted > BREATHS.warn ? yes('breathing-fast', because) : no('breathing-fast', because)
}

function fishContext(asked: Asked): Found[] {
  const { journal, subject } = asked
  const animals = subject.animalIds.flatMap((id) => animalById(journal, id) ?? [])
  const heads = animals.reduce((sum, { count }) => sum + Math.max(1, count), 0)
  const hosts = new Map(
    animals.flatMap((animal) => {
      const host = animalGroupById(animal.group)?.host
      return host == null ? [] : [[host, animal.name ?? animal.species] as const]
    }),
  )
  return [
    newFish(asked),
    animals.length === 0
      ? null
      : heads > 1
        ? yes('several-fish', `${heads} are chosen`)
        : no('several-fish', 'one is chosen'),
    tested(asked, 'ammonia-raised', 'tan', RAISED_AMMONIA, 'ammonia'),
    tested(asked, 'nitrite-raised', 'no2', RAISED_NITRITE, 'nitrite'),
    copperAbove(asked),
    oxygenEvent(asked),
    temperatureSwing(asked),
    breathing(asked),
    ...[...hosts].map(([sign, who]) => yes(sign, who)),
  ]
}

/** Nitrate and phosphate of the last month, and what they say by a table's own limits. */
function nutrients(asked: Asked): { no3: number | null; po4: number | null; because: string } {
  const latest = (parameter: string) =>
    valuesSince(asked, parameter, asked.now - NUTRIENT_DAYS * MS_PER_DAY).at(-1)?.value ?? null
  const [no3, po4] = [latest('no3'), latest('po4')]
  const said = [
    ...(no3 === null ? [] : [`nitrate ${figures(no3)}`]),
    ...(po4 === null ? [] : [`phosphate ${figures(po4)}`]),
  ]
  return { no3, po4, because: `${said.join(', ')} mg/L` }
}

const decided = (sign: string, holds: boolean, because: string): KnownFromJournal =>
  holds ? yes(sign, because) : no(sign, because)

/** Both near nothing, in the words that films and corals share. */
function nearZero(asked: Asked): Found {
  const { no3, po4, because } = nutrients(asked)
  return no3 === null || po4 === null
    ? null
    : decided('ctx-no3-po4-near-zero', no3 < FILM.no3Zero && po4 < FILM.po4Zero, because)
}

function age({ tank, now }: Asked): Found {
  const days = Math.floor((now - tank.since) / MS_PER_DAY)
  return decided('ctx-tank-under-4-months', days < YOUNG_TANK_DAYS, `set up ${days} days ago`)
}

function photoperiod({ tank, subject }: Asked): Found {
  if (tank.lightsOn === undefined || tank.lightsOff === undefined) return null
  const hours = ((minuteOfTime(tank.lightsOff) - minuteOfTime(tank.lightsOn) + 1440) % 1440) / 60
  return decided(
    'ctx-photoperiod-long',
    hours > (subject.table === 'marine-film' ? FILM : ALGAE).lightHours,
    `lights ${tank.lightsOn} to ${tank.lightsOff}`,
  )
}

function exportRunning({ journal, tank, now }: Asked): Found {
  const running = equipmentAt(journal, tank.id, now).filter(
    ({ item, running: runs }) => runs && (item === 'phosphate-remover' || item === 'resin'),
  )
  return running.length > 0
    ? yes('ctx-aggressive-export', `${running.map(({ item }) => item.replaceAll('-', ' ')).join(', ')} running`)
    : null
}

function afterDieOff({ journal, tank, now }: Asked): Found {
  const from = now - JUST_NOW_DAYS * MS_PER_DAY
  const died = journal
    .ofKind('death')
    .findLast(({ content, at }) => content.tankId === tank.id && at >= from && at <= now)
  return died ? yes('ctx-die-off-or-carbon', 'a death within two weeks') : null
}

function filmContext(asked: Asked): Found[] {
  const { no3, po4, because } = nutrients(asked)
  return [
    nearZero(asked),
    no3 === null || po4 === null
      ? null
      : decided('ctx-no3-zero-po4-left', no3 < FILM.no3Zero && po4 >= FILM.po4Left, because),
    no3 === null && po4 === null
      ? null
      : decided('ctx-no3-po4-high', (no3 ?? 0) > FILM.no3High || (po4 ?? 0) > FILM.po4High, because),
    age(asked),
    photoperiod(asked),
    exportRunning(asked),
    afterDieOff(asked),
  ]
}

function algaeContext(asked: Asked): Found[] {
  const { no3, po4, because } = nutrients(asked)
  return [
    age(asked),
    photoperiod(asked),
    no3 === null ? null : decided('ctx-no3-near-zero', no3 < ALGAE.no3Zero, because),
    po4 === null || po4 >= ALGAE.po4Low ? null : yes('ctx-po4-low', because),
  ]
}

/** Whether a value moved by more than a limit within a span, over the last three weeks. */
function moved(asked: Asked, parameter: string, by: number, withinMs: number): boolean {
  const values = valuesSince(asked, parameter, asked.now - LOOK_BACK_DAYS * MS_PER_DAY)
  return values.some((one, i) =>
    values.slice(i + 1).some((other) => other.at - one.at <= withinMs && Math.abs(other.value - one.value) > by),
  )
}

function doubled(asked: Asked, parameter: string): boolean {
  const values = valuesSince(asked, parameter, asked.now - 2 * WEEK)
  const known = parameterById(parameter)
  // Near nothing a kit's own error doubles a value: the rise has to be more than two readings' errors.
  const isRise = (from: number, to: number): boolean =>
    to >= 2 * from && to - from > 2 * (known ? typicalUncertainty(known, from) : 0)
  return values.some(
    ({ at, value }) => value > 0 && values.some((other) => other.at > at && isRise(value, other.value)),
  )
}

function undipped({ journal, tank, now }: Asked): Found {
  const from = now - UNDIPPED_DAYS * MS_PER_DAY
  const came = cameSince(journal, tank.id, 'coral', from, now)[0]?.animal
  if (!came) return null
  const wasDipped = journal
    .ofKind('bath')
    .some(
      ({ content, at }) =>
        at >= from && (content.partIds ?? []).some((id) => partById(journal, id)?.animalId === came.id),
    )
  return wasDipped ? null : yes('ctx-undipped-addition', `${came.name ?? came.species} came without a dip on record`)
}

function coralContext(asked: Asked): Found[] {
  const { journal, tank, subject, now } = asked
  const arrived = cameSince(journal, tank.id, 'coral', now - NEW_WET_DAYS * MS_PER_DAY, now)[0]?.animal
  const warm = valuesSince(asked, 'temp', now - LOOK_BACK_DAYS * MS_PER_DAY).find(({ value }) => value > HEAT_C)
  const potassium = lastValue(journal, tank.id, 'k', now + 1)
  const kinds = new Set(
    (subject.partIds ?? []).flatMap((id) => coralsOf(journal, tank.id).find((part) => part.id === id)?.name ?? []),
  )
  const alkalinity = valuesSince(asked, 'alk-kh', now - LOOK_BACK_DAYS * MS_PER_DAY)
  return [
    decided('c-freshwater-tank', tank.water === 'freshwater', `${tank.name} is ${tank.water}`),
    kinds.size > 1 ? yes('c-several-species', `${kinds.size} corals are chosen`) : null,
    arrived ? yes('ctx-arrived-14d', `${arrived.name ?? arrived.species} came within 14 days`) : null,
    warm ? yes('ctx-light-or-heat-up', `${measureText(warm.value, '°C', asked.settings.units, 3)} was read`) : null,
    nearZero(asked),
    doubled(asked, 'no3') || doubled(asked, 'po4')
      ? yes('ctx-nutrients-jumped', 'nitrate or phosphate doubled within two weeks')
      : null,
    alkalinity.length < 2
      ? null
      : decided(
          'ctx-alk-change',
          moved(asked, 'alk-kh', ALKALINITY_MOVE.inADay, MS_PER_DAY) ||
            moved(asked, 'alk-kh', ALKALINITY_MOVE.inAWeek, WEEK),
          'by the alkalinity of three weeks',
        ),
    potassium === null
      ? null
      : decided('ctx-k-or-trace-low', potassium.value < LOW_POTASSIUM, `potassium ${figures(potassium.value)} mg/L`),
    undipped(asked),
  ]
}

/** What happened before is shown this far back: further-schools.md 8, recession. */
export const LOOK_BACK_DAYS = 21

const BY_TABLE: Record<CaseTable, (asked: Asked) => Found[]> = {
  'marine-fish': fishContext,
  'freshwater-fish': fishContext,
  'marine-film': filmContext,
  'freshwater-algae': algaeContext,
  'coral-and-pests': coralContext,
}

/**
 * What the journal knows of the context signs of a case, each with what it rests on. It is shown as such, and the keeper's word comes
 * before it.
 * @param now ms; what was kept later is not looked at
 * @example
 * contextOf(journal, { table: 'marine-film', tankId: 'hall', animalIds: [] }, settings, now)
 */
export function contextOf(journal: Journal, subject: CaseSubject, settings: Settings, now: number): KnownFromJournal[] {
  const tank = tankById(journal, subject.tankId)
  if (!tank) return []
  const known = askedSigns(subject.table)
  return BY_TABLE[subject.table]({ journal, tank, subject, settings, now }).flatMap((one) =>
    one !== null && known.has(one.sign) ? [one] : [],
  )
}
