import { limitsFor } from '../../acclimation/limits.ts'
import { psuWords } from '../../acclimation/words.ts'
import { bandFor, parameterById } from '../../catalogue/parameter.ts'
import { isCopper } from '../../catalogue/treatments/groups.ts'
import { coursesOf } from '../../courses/course.ts'
import { residentsOf } from '../../household/animals.ts'
import { volumeWords } from '../../household/settings.ts'
import { equipmentOf, kitsOf, type Tank } from '../../household/tanks.ts'
import type { Journal } from '../../journal/journal.ts'
import { lastValue } from '../../readings/evidence.ts'
import { readingsOf } from '../../readings/latest.ts'
import { swapSalinity } from '../../salinity/salinity.ts'
import { momentBeside } from '../../time/words.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import { figureUnit, typedFigure } from './figures.ts'
import { eveningBefore, kindOf, type Asking, type PreparationDraft } from '../asking.ts'
import { ammoniaByTwoMethods } from '../../water/two-methods.ts'
import { FREE_AMMONIA_ALARM } from '../../ammonia/free-steps.ts'
import { isAmmoniaLow } from '../../ammonia/basis.ts'

const FRESH_MS = 3 * MS_PER_DAY
const HEATER = { low: 24, high: 26 } as const
/** No copper is none: what a photometer cannot tell from nothing. */
const NO_COPPER = 0.05

/** Whether the tank carries its ammonia: two methods, and that they agree. */
export const cycled = (asking: Asking): PreparationDraft => ammoniaProof(asking, eveningBefore(asking))

/**
 * The same of any tank that animals are to go into.
 * @param by when it has to be so, ms
 */
export function ammoniaProof(
  { journal, tank, now, settings }: Pick<Asking, 'journal' | 'tank' | 'now' | 'settings'>,
  by: number,
): PreparationDraft {
  const title = 'Tank cycled: ammonia by two methods'
  const miss = (words: string): PreparationDraft => ({
    id: 'cycled',
    state: 'missing',
    title,
    words,
    by,
    mend: 'readings',
  })
  const total = lastValue(journal, tank.id, 'tan', now + 1)
  const card = readingsOf(journal, tank.id, 'nh3').findLast(({ at }) => at <= now)
  const isFresh = (at: number) => now - at <= FRESH_MS
  const hasTotal = total !== null && isFresh(total.at)
  if (!hasTotal && !(card && isFresh(card.at)))
    return miss('No ammonia reading of the last three days: total by kit, and free by a badge or card.')
  if (!hasTotal) return miss('The badge was read, the kit was not: total ammonia too, the two have to agree.')
  if (!isAmmoniaLow(total.line.content))
    return miss(
      `Total ammonia ${total.value.toFixed(2)} mg/L, ${momentBeside(total.at, now, settings.clock)}: not cycled yet.`,
    )
  if (!card || !isFresh(card.at))
    return miss(
      `Total ammonia ${total.value.toFixed(2)} by kit. The second method is missing: a badge or card for free ammonia; one alone misreads or sticks.`,
    )
  const both = ammoniaByTwoMethods(journal, tank, now, FRESH_MS)
  if (!both) return miss('No ammonia reading of the last three days.')
  const { compared, cardMgPerL } = both
  const [lowMgPerL] = cardMgPerL
  if (!compared.ok) return miss(compared.error.message)
  const { verdict, toMgPerL } = compared.value
  if (verdict === 'indicator-high')
    return miss(
      `The two disagree: the badge shows at least ${lowMgPerL.toFixed(3)} mg/L free, the kit allows ${toMgPerL.toFixed(3)} at most. Act on the higher, test both again.`,
    )
  if (verdict === 'indicator-low')
    return miss(
      'The two disagree: the kit finds more than the badge shows. Act on the kit: badges stick. Test both again.',
    )
  if (lowMgPerL >= FREE_AMMONIA_ALARM)
    return miss(`Free ammonia ${lowMgPerL.toFixed(3)} mg/L: the alarm is ${FREE_AMMONIA_ALARM}.`)
  return {
    id: 'cycled',
    state: 'ok',
    title,
    words: `Kit ${total.value.toFixed(2)} mg/L total, badge agrees.`,
    by: null,
  }
}

/** Whether salinity is set, to the seller's where it is known. */
export function salinity(asking: Asking): PreparationDraft | null {
  const { journal, tank, now, settings, animals } = asking
  if (tank.water === 'freshwater') return null
  const title = 'Salinity set to meet the bag'
  const by = eveningBefore(asking)
  const last = lastValue(journal, tank.id, 'salinity', now + 1)
  if (!last || now - last.at > FRESH_MS)
    return { id: 'salinity', state: 'missing', title, words: 'Not read in the last three days.', by, mend: 'readings' }
  const when = momentBeside(last.at, now, settings.clock)
  const sellers = animals.flatMap(({ sellerPsu }) => sellerPsu ?? [])
  const said = (psu: number) =>
    `${typedFigure('salinityPsu', psu, settings.units)} ${figureUnit('salinityPsu', settings.units)}`
  const read = `${said(last.value)}, ${when}`
  if (sellers.length === 0)
    return {
      id: 'salinity',
      state: 'asks',
      title,
      words: `${read}. Ask the seller what the animal is kept at: then the tank can wait for it set.`,
      by,
      mend: 'seller',
    }
  const seller = Math.min(...sellers)
  const bounds = animals.flatMap(({ group }) => limitsFor(group, seller, last.value)?.limits ?? [])
  const within = Math.min(...bounds.map(({ matchPsu }) => matchPsu))
  const apart = last.value - seller
  if (Math.abs(apart) <= within)
    return { id: 'salinity', state: 'ok', title, words: `${read}; the seller keeps it at ${said(seller)}.`, by: null }
  const canBeSet = canBeMatched(journal, tank)
  const swap =
    apart > 0 && tank.volume
      ? swapSalinity({
          volumeL: tank.volume.netL,
          fromPsu: last.value,
          toPsu: seller,
          replacementPsu: 0,
          maxStepPsu: 50,
          hoursBetween: 1,
        })
      : null
  return {
    id: 'salinity',
    state: 'warns',
    title,
    words: `${read}; the seller keeps it at ${said(seller)}, ${psuWords(Math.abs(apart), settings.units)} apart. ${
      canBeSet
        ? swap?.ok
          ? `Nobody lives there: swap ${volumeWords(swap.value.totalL, settings.units)} for fresh water, prepared and warm.`
          : 'Nobody lives there: it can be raised before.'
        : 'Others live there: it is mixed from the bag’s to the tank’s.'
    }`,
    by,
    mend: 'readings',
  }
}

/** Whether a tank can be set to a bag: nobody lives there. */
export const canBeMatched = (journal: Journal, tank: Tank): boolean => residentsOf(journal, tank.id).length === 0

export function heater(asking: Asking): PreparationDraft {
  const { journal, tank, now, settings } = asking
  const warmth = (celsius: number) =>
    `${typedFigure('temperatureC', celsius, settings.units)} ${figureUnit('temperatureC', settings.units)}`
  const title = 'Heater, and warmth that stays'
  const runs = equipmentOf(journal, tank.id).some(({ item, running }) => item === 'heater' && running)
  const last = lastValue(journal, tank.id, 'temp', now + 1)
  const by = eveningBefore(asking)
  if (!runs)
    return { id: 'heater', state: 'missing', title, words: 'No heater is on record as running here.', by, mend: 'tank' }
  if (!last || now - last.at > FRESH_MS)
    return {
      id: 'heater',
      state: 'missing',
      title,
      words: 'It runs; temperature not read in the last three days.',
      by,
      mend: 'readings',
    }
  const band = bandFor(parameterById('temp')!, tank.profile) ?? [HEATER.low, HEATER.high]
  const [low, high] = [band[0] ?? HEATER.low, band[1] ?? HEATER.high]
  return last.value < low || last.value > high
    ? {
        id: 'heater',
        state: 'missing',
        title,
        words: `${warmth(last.value)}: ${warmth(low)} to ${warmth(high)} wanted.`,
        by,
        mend: 'readings',
      }
    : { id: 'heater', state: 'ok', title, words: `It runs; ${warmth(last.value)}.`, by: null }
}

export function air(asking: Asking): PreparationDraft {
  const { journal, tank } = asking
  const moving = equipmentOf(journal, tank.id).filter(
    ({ item, running }) => running && (item === 'air' || item === 'flow'),
  )
  const title = 'Air and surface ripple'
  return moving.length > 0
    ? { id: 'air', state: 'ok', title, words: 'On record as running.', by: null }
    : {
        id: 'air',
        state: 'missing',
        title,
        words: 'No air stone or pump is on record as running here: gas has to get out, and oxygen in.',
        by: eveningBefore(asking),
        mend: 'tank',
      }
}

/** Kits that belong to this tank alone, or at least are there. */
export function tests(asking: Asking): PreparationDraft {
  const { journal, tank } = asking
  const wanted = tank.water === 'marine' ? ['tan', 'salinity', 'ph', 'alk-kh'] : ['tan', 'ph', 'alk-kh']
  const kits = kitsOf(journal).filter(({ tankId }) => tankId === undefined || tankId === tank.id)
  const lacking = wanted.filter((parameter) => !kits.some((kit) => kit.parameter === parameter))
  const names = lacking.map((id) => parameterById(id)?.name ?? id)
  const title = 'Tests, vials of its own'
  return lacking.length === 0
    ? {
        id: 'tests',
        state: 'ok',
        title,
        words: 'Kits for ammonia, salinity, pH and alkalinity are on record.',
        by: null,
      }
    : {
        id: 'tests',
        state: 'missing',
        title,
        words: `No kit on record for ${names.join(', ')}.`,
        by: eveningBefore(asking),
        mend: 'tank',
      }
}

/** Copper in the water kills every invertebrate; nothing else on the list matters then. */
export function copper({ journal, tank, animals, now }: Asking): PreparationDraft | null {
  if (!animals.some((animal) => kindOf(animal) !== 'fish')) return null
  const title = 'No copper for invertebrates'
  const never = (words: string): PreparationDraft => ({
    id: 'copper',
    state: 'never',
    title,
    words,
    by: null,
    mend: 'elsewhere',
  })
  const course = coursesOf(journal).find(
    (one) => one.tankId === tank.id && !one.ended && one.dose !== null && isCopper(one.dose.agent),
  )
  if (course)
    return never('Copper runs in this water. No coral, shrimp, snail, star or anemone survives it: another tank.')
  const dosed = journal
    .about(`water:${tank.id}`)
    .findLast(({ content, struck }) => !struck && content.kind === 'dose' && isCopper(content.ingredient))
  const read = lastValue(journal, tank.id, 'copper', now + 1)
  if (read && (!dosed || read.at > dosed.at))
    return read.value > NO_COPPER
      ? never(`Copper was read at ${read.value.toFixed(2)} mg/L here.`)
      : { id: 'copper', state: 'ok', title, words: `Copper read at ${read.value.toFixed(2)} mg/L.`, by: null }
  return dosed ? never('Copper was dosed here and has not been read at nothing since.') : null
}
