import { ingredientById } from '../catalogue/ingredient.ts'
import { CORAL_DIPS, type CoralDip } from '../catalogue/corals/coral-dips.data.ts'
import { dipForbidden } from '../courses/amounts/planned-dip.ts'
import { DOSES } from '../catalogue/treatments/treatments.ts'
import { animalById, animalLabel } from '../household/animals.ts'
import { partById } from '../household/parts.ts'
import { DEFAULT_SETTINGS, settingsOf } from '../household/settings.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { MS_PER_DAY, MS_PER_HOUR } from '../time/zone.ts'
import { measureText } from '../words/measure.ts'
import { sensitivityConcerns, type Concern } from './concerns.ts'

/** A dip of corals of another kind than those of the catalogue: the bench’s hard stop, outbreaks.md 6.2 and further-schools.md 4. */
const HARD_STOP_MINUTES = 15
/** A level or a time counts as over its limit by more than rounding. */
const SLACK = 1e-6

/** A dip whose dose is counted in minutes: fresh water. */
const isWaterAlone = ({ ingredient }: ContentOf<'bath'>): boolean =>
  DOSES.some(({ agent, unit }) => agent === ingredient && unit === 'min')

/** Corals that must not have a dip: outbreaks.md 6.2. */
const forbiddenConcerns = (journal: Journal, { partIds = [] }: ContentOf<'bath'>, dip: CoralDip): Concern[] =>
  partIds
    .flatMap((id) => partById(journal, id) ?? [])
    .filter((part) => dipForbidden(dip, part) !== null)
    .map(({ name }) => ({
      rule: 'dip-forbidden',
      severity: 'block' as const,
      what: `${name} in this dip`,
      reason: dip.notForWhy,
      override: 'reason' as const,
    }))

/**
 * What speaks against a bath or a dip: a level or a time over its row of the doses, what those in it do not tolerate, a strength
 * that nobody knows. The water is its own, so what is in the tank does not matter.
 */
export function bathConcerns(journal: Journal, bath: ContentOf<'bath'>): Concern[] {
  const name = ingredientById(bath.ingredient)?.name ?? bath.ingredient
  // Of what is dosed by volume a thousandth of a millilitre is counted as a milligram.
  const rows = DOSES.filter(
    ({ agent, route, unit }) => agent === bath.ingredient && route === 'bath' && (unit === 'mg/L' || unit === 'µL/L'),
  )
  const isOfCorals = bath.animalIds.length === 0
  const dip = isOfCorals ? CORAL_DIPS.find(({ ingredient }) => ingredient === bath.ingredient) : undefined
  const concerns: Concern[] = dip ? forbiddenConcerns(journal, bath, dip) : []
  if (isWaterAlone(bath)) {
    // Fresh water has no strength: its minutes are its dose.
  } else if (bath.massMg === undefined && dip?.mgPerL === null)
    concerns.push({
      rule: 'by-label',
      severity: 'note',
      what: name,
      reason: 'its label alone says how strong it is; one piece first',
      override: 'confirm',
    })
  else if (bath.massMg === undefined)
    concerns.push({
      rule: 'cannot-judge',
      severity: 'ask',
      what: `no strength of ${name} is known`,
      reason: 'what level this bath makes cannot be judged: put the product on the shelf with its strength',
      override: 'reason',
    })
  else if (rows.length > 0 || dip?.mgPerL) {
    const makes = bath.massMg / bath.litres
    const high = dip?.mgPerL?.high ?? Math.max(...rows.map((row) => row.high))
    if (makes > high + SLACK)
      concerns.push({
        rule: 'over-band',
        severity: 'block',
        what: `That makes ${Number(makes.toPrecision(3))} ${dip ? 'mg/L' : rows[0]!.unit}`,
        reason: `over the ${high} that the handbook’s baths of ${name} reach`,
        override: 'reason',
      })
  }
  const timed = isWaterAlone(bath) ? DOSES.filter(({ agent }) => agent === bath.ingredient) : rows
  const most = isOfCorals
    ? (dip?.minutes[1] ?? HARD_STOP_MINUTES)
    : Math.max(...timed.flatMap(({ bathMinutes }) => (bathMinutes ? [bathMinutes[1]] : [])), -Infinity)
  if (Number.isFinite(most) && bath.minutes > most + SLACK)
    concerns.push({
      rule: 'bath-too-long',
      severity: 'block',
      what: `${bath.minutes} min`,
      reason: `over the ${most} min that the handbook gives a bath of ${name}`,
      override: 'reason',
    })
  const animals = bath.animalIds.flatMap((id) => animalById(journal, id) ?? [])
  const gone = (bath.partIds ?? []).find((id) => partById(journal, id) === null)
  return [
    ...concerns,
    ...bathAfterBath(journal, bath),
    ...formalinConcerns(journal, bath),
    ...sensitivityConcerns(animals, { agent: bath.ingredient, ...(rows[0] && { dose: rows[0] }) }),
    ...(gone === undefined
      ? []
      : [
          {
            rule: 'cannot-judge',
            severity: 'ask' as const,
            what: `“${gone}” is not on record`,
            reason: 'who is dipped cannot be judged',
            override: 'reason' as const,
          },
        ]),
  ]
}

/** Formalin and peroxide react: one bath and the other on the same fish at least so long apart, quarantine.md 6 (EA). */
const APART_HOURS = 48
const REACTING: Readonly<Record<string, string>> = { formalin: 'peroxide', peroxide: 'formalin' }

function bathAfterBath(journal: Journal, bath: ContentOf<'bath'>): Concern[] {
  const other = REACTING[bath.ingredient]
  if (other === undefined) return []
  const at = Date.parse(bath.happened)
  const met = journal
    .ofKind('bath')
    .find(
      (line) =>
        line.content.ingredient === other &&
        Math.abs(line.at - at) < APART_HOURS * MS_PER_HOUR &&
        line.content.animalIds.some((id) => bath.animalIds.includes(id)),
    )
  return met
    ? [
        {
          rule: 'formalin-peroxide',
          severity: 'block',
          what: `a bath of ${ingredientById(other)?.name ?? other} within ${APART_HOURS} h on the same fish`,
          reason: `they react, and both burn the gills: at least ${APART_HOURS} h between the two`,
          override: 'reason-and-vet',
        },
      ]
    : []
}

/** Rows formalin-warm and formalin-sore of quarantine.md 6. */
const WARM_C = 27
const SORE_DAYS = 7

function formalinConcerns(journal: Journal, bath: ContentOf<'bath'>): Concern[] {
  if (bath.ingredient !== 'formalin') return []
  const at = Date.parse(bath.happened)
  const { units } = settingsOf(journal) ?? DEFAULT_SETTINGS
  const concerns: Concern[] = []
  if (bath.temperatureC !== undefined && bath.temperatureC > WARM_C)
    concerns.push({
      rule: 'formalin-warm',
      severity: 'block',
      what: `the bath is ${measureText(bath.temperatureC, '°C', units, 3)}`,
      reason: `over ${measureText(WARM_C, '°C', units, 3)} its poison and the want of oxygen rise together`,
      override: 'reason-and-vet',
    })
  for (const id of bath.animalIds) {
    const animal = animalById(journal, id)
    const isSore = journal
      .about(`animal:${id}`)
      .some(
        ({ content, struck, at: seen }) =>
          !struck &&
          content.kind === 'sighting' &&
          seen <= at &&
          at - seen < SORE_DAYS * MS_PER_DAY &&
          content.signs.some(({ sign, present }) => sign === 'open-ulcer' && present),
      )
    if (animal && isSore)
      concerns.push({
        rule: 'formalin-sore',
        severity: 'caution',
        what: `${animalLabel(animal)} has an open sore`,
        reason: 'pain, and more of it is taken up: the low end of the range',
        override: 'confirm',
      })
  }
  return concerns
}
