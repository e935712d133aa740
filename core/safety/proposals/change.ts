import { isCopper } from '../../catalogue/treatments/groups.ts'
import { courseById } from '../../courses/course.ts'
import { DEFAULT_SETTINGS, settingsOf } from '../../household/settings.ts'
import { productById, shelfOf, type ShelfProduct } from '../../household/shelf.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { lastValue } from '../../readings/evidence.ts'
import { MS_PER_DAY } from '../../time/zone.ts'
import { measureText } from '../../words/measure.ts'
import { concern, type Asking, type Concern } from '../concern.ts'
import { agentConcerns } from '../judge/interactions.ts'
import { salinityConcerns } from '../judge/salinity.ts'
import { sensitivityConcerns } from '../judge/sensitivities.ts'
import { agentName, isCopperAgent, TEST_DAYS, type AgentInWater } from '../water/agents.ts'
import { COPPER_TRACE_MG_PER_L } from '../water/level.ts'
import { dilutingLitres, daysSinceFull, psuAfterChange, psuAfterTopOff, salinityOf } from '../water/salinity.ts'
import { waterBetween, type WaterState } from '../water/state.ts'

/** The water of a tank moves by at most so much in a day: outbreaks.md 5.4, °C. */
const TEMPERATURE_C_A_DAY = 1
/** A product is measured to so many figures where its tool is not told. */
const FIGURES = 2

/** Copper that comes in with the new water meets all that copper would. */
function copperBroughtIn(water: WaterState, mgPerL: number, after: number): Concern[] {
  if (mgPerL < COPPER_TRACE_MG_PER_L) return []
  const held = water.agents.find(({ agent }) => isCopper(agent))
  const treatment = {
    agent: held?.agent ?? 'copper',
    makesMgPerL: after,
    dayBeforeMgPerL: held?.mgPerL ?? 0,
    ...(held?.courseId !== undefined && { courseId: held.courseId }),
  }
  const others = { ...water, agents: water.agents.filter((one) => !isCopperAgent(one.agent)) }
  return [...agentConcerns(treatment, others), ...sensitivityConcerns(water.residents, treatment)].map((one) => ({
    ...one,
    what: `the new water holds copper, ${mgPerL.toFixed(2)} mg/L; ${one.what}`,
  }))
}

/** The product that a course doses its drug with, else one of the shelf. */
function productOf(journal: Journal, agent: string, courseId: string | undefined): ShelfProduct | null {
  const named = courseId === undefined ? null : courseById(journal, courseId)?.productId
  const product = named == null ? null : productById(journal, named)
  return product ?? shelfOf(journal).find(({ ingredient }) => ingredient === agent) ?? null
}

function amountText(mg: number, product: ShelfProduct): string {
  const exact = mg / product.mgPerUnit
  const step = product.measure?.step
  // Rounded down: what is mixed in does not lift the level over what is held.
  const amount = step === undefined ? Number(exact.toPrecision(FIGURES)) : Math.floor(exact / step + 1e-9) * step
  return `${Number(amount.toPrecision(4))} ${product.unit}`
}

/** What a change does to a drug that is in the water, and what to mix in so that it stays. */
function heldConcerns(journal: Journal, change: ContentOf<'water-change'>, water: WaterState): Concern[] {
  const { netL } = water
  if (netL === null) return []
  const { units } = settingsOf(journal) ?? DEFAULT_SETTINGS
  const fraction = Math.min(1, change.litres / netL)
  return water.agents.flatMap((one: AgentInWater): Concern[] => {
    const { agent, mgPerL, courseId } = one
    const dose = courseId === undefined ? null : courseById(journal, courseId)?.dose
    const isHeld = isCopperAgent(agent) || dose?.agent === agent
    if (!isHeld || mgPerL === null || mgPerL <= 0) return []
    const brought = isCopperAgent(agent) ? (change.replacement?.copperMgPerL ?? 0) : 0
    const after = mgPerL * (1 - fraction) + brought * fraction
    const name = agentName(agent)
    const product = productOf(journal, agent, courseId)
    const missing = mgPerL - brought
    const litres = measureText(change.litres, 'L', units, 3)
    const mix =
      missing <= 1e-6
        ? `the new water holds it`
        : product
          ? `mix ${amountText(missing * change.litres, product)} of ${product.name} into the ${litres} to hold ${mgPerL.toFixed(2)}`
          : `mix the new water to ${mgPerL.toFixed(2)} mg/L to hold it`
    const over = dose && after > dose.high * (1 + 1e-6)
    return [
      over
        ? concern(
            'over-band',
            'block',
            `That makes ${after.toFixed(2)} mg/L of ${name}`,
            `above the ${dose.high.toFixed(2)} mg/L of this course`,
            'reason',
          )
        : concern(
            'level-after',
            'note',
            `${name} goes from ${mgPerL.toFixed(2)} to ${after.toFixed(2)} mg/L with this change`,
            mix,
          ),
    ]
  })
}

/** New water of another temperature. */
function temperatureConcerns(
  journal: Journal,
  change: ContentOf<'water-change'>,
  water: WaterState,
  at: number,
): Concern[] {
  const other = change.replacement?.temperatureC
  const last = lastValue(journal, change.tankId, 'temp', at + 1)
  if (other === undefined || !last || at - last.at > TEST_DAYS * MS_PER_DAY || water.netL === null) return []
  if (water.residents.length === 0) return []
  const by = Math.min(1, change.litres / water.netL) * (other - last.value)
  if (Math.abs(by) <= TEMPERATURE_C_A_DAY + 1e-6) return []
  const { units } = settingsOf(journal) ?? DEFAULT_SETTINGS
  return [
    concern(
      'temp-apart',
      'caution',
      `the new water is ${measureText(other, '°C', units, 3)}, the tank ${measureText(last.value, '°C', units, 3)}`,
      `that moves it by ${measureText(Math.abs(by), '°C apart', units, 2)}; at most ${measureText(TEMPERATURE_C_A_DAY, '°C apart', units, 2)} a day`,
    ),
  ]
}

/** What speaks against a water change. */
export function changeConcerns(
  journal: Journal,
  change: ContentOf<'water-change'>,
  { now, except }: Asking,
): Concern[] {
  const at = Date.parse(change.happened)
  const water = waterBetween(journal, change.tankId, at, Math.max(at, now), except)
  if (!water) return []
  const { netL } = water
  const { salinityPsu, copperMgPerL = 0 } = change.replacement ?? {}
  const salinity = salinityOf(journal, change.tankId, at, except)
  const copper = water.agents.find(({ agent }) => isCopperAgent(agent))?.mgPerL ?? 0
  const fraction = netL === null ? 1 : Math.min(1, change.litres / netL)
  return [
    ...copperBroughtIn(water, copperMgPerL, copper * (1 - fraction) + copperMgPerL * fraction),
    ...heldConcerns(journal, change, water),
    ...(salinityPsu === undefined || !salinity || netL === null
      ? []
      : salinityConcerns(
          journal,
          water,
          {
            before: salinity.psu,
            after: psuAfterChange(salinity.psu, change.litres, netL, salinityPsu),
            withPsu: salinityPsu,
          },
          at,
          except,
        )),
    ...temperatureConcerns(journal, change, water, at),
  ]
}

/** What speaks against a top-off: salt water where fresh is right, and more than can have evaporated. */
export function topOffConcerns(journal: Journal, topOff: ContentOf<'top-off'>, { now, except }: Asking): Concern[] {
  const at = Date.parse(topOff.happened)
  const water = waterBetween(journal, topOff.tankId, at, Math.max(at, now), except)
  const salinity = salinityOf(journal, topOff.tankId, at, except)
  if (!water || !salinity || water.netL === null) return []
  const { units } = settingsOf(journal) ?? DEFAULT_SETTINGS
  const days = daysSinceFull(journal, topOff.tankId, at, except)
  const withPsu = topOff.salinityPsu ?? 0
  const after = psuAfterTopOff(salinity.psu, topOff.litres, water.netL, withPsu, days, topOff.downL)
  const more = dilutingLitres(topOff.litres, water.netL, days, topOff.downL)
  const found = salinityConcerns(journal, water, { before: salinity.psu, after, withPsu }, at, except)
  const isMore = more > 0 && water.tank.water === 'marine' && found.length === 0 && water.residents.length > 0
  return [
    ...found,
    ...(isMore
      ? [
          concern(
            'top-off-large',
            'caution',
            `${measureText(topOff.litres, 'L', units, 3)} of top-off`,
            `more than can have evaporated: salinity falls from ${measureText(salinity.psu, 'psu', units, 3)} to about ${measureText(after, 'psu', units, 3)}. Was it a water change?`,
          ),
        ]
      : []),
  ]
}
