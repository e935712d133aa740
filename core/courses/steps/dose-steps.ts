import type { Step } from '../../catalogue/courses/definitions.ts'
import { doseById } from '../../catalogue/treatments/treatments.ts'
import { productById } from '../../household/shelf.ts'
import { animalLabel, type Animal } from '../../household/animals.ts'
import { bindersAt, tankById } from '../../household/tanks.ts'
import { spanText } from '../../time/words.ts'
import { measureText } from '../../words/measure.ts'
import { listed } from '../../words/numbers.ts'
import { plannedBath } from '../amounts/planned-bath.ts'
import { carriedInto, carriedWords } from '../amounts/carried-drugs.ts'
import { doseToward } from '../amounts/planned-dose.ts'
import { plannedFood } from '../amounts/planned-food.ts'
import type { DosesState } from '../tracks/doses.ts'
import { watchFromOf } from '../tracks/watch.ts'
import { wardNow } from '../ward-when-loaded.ts'
import { base, waitsForOf, type Draft, type TaskInput } from './step-input.ts'

/** Where a dose goes: to where the fish are then, after the move to where they are watched. @param best ms */
function doseTankOf(
  { facts, observation, rounds, drug, salinity }: TaskInput,
  { track }: DosesState,
  best: number,
): string {
  const { course } = facts
  if (observation) return observation.tankId
  const here = rounds?.tankId ?? course.tankId
  if (track.first.after !== 'watch') return here
  const movesAt = watchFromOf({ observation, rounds, clock: drug?.clock ?? null, salinity })
  return movesAt === null || best >= movesAt ? (course.moveToTankId ?? here) : here
}

function amountOf(input: TaskInput, state: DosesState, tankId: string): Partial<Draft> {
  const { journal, facts } = input
  const { course } = facts
  const dose = doseById(state.track.dose)!
  const productId = course.products[dose.id]
  const product = productId === undefined ? null : productById(journal, productId)
  const ingredient = dose.agent
  if (dose.route === 'food') return { ingredient, food: plannedFood(dose, product) }
  if (dose.route === 'bath') {
    const tub = course.tanks.tub === undefined ? null : tankById(journal, course.tanks.tub)
    return { ingredient, bath: plannedBath(dose, product, tub?.volume?.netL ?? null) }
  }
  const volumeL = tankById(journal, tankId)?.volume?.netL ?? null
  // What was dosed before is not measured at home and is mostly gone by the next round: each is dosed in full.
  const planned = volumeL === null ? null : doseToward(0, dose.target, dose.high, volumeL, product)
  return { ingredient, ...(planned && { dose: planned }) }
}

function whyOf({ track, done, state, missed }: DosesState, index: number): string {
  if (state === 'broken')
    return index === 0 ? 'overdue: both rounds are done again from here' : 'the second of the new pair'
  const number = done.length + index
  if (number === 0) return track.first.after === 'watch' ? 'once the treatment is over and the fish eat' : 'the first'
  const [least, best, most] = track.apart[Math.min(number - 1, track.apart.length - 1)]!
  const late = index === 0 && missed > 0 ? `; ${missed} missed, as many more at the end` : ''
  return `${spanText(best)} after the one before, ${spanText(least)} to ${spanText(most)}${late}`
}

/** What runs in the tank and would take the medicine out. */
const boundBy = ({ journal, facts }: TaskInput, { track }: DosesState, tankId: string): string[] =>
  doseById(track.dose)!.route === 'tank'
    ? bindersAt(journal, tankId, facts.now).map(({ item }) => `${item} is out of the water`)
    : []

/** A change before a dose, with what its new water brings: without it the change would lower a drug that is held. */
function changeFirstWords({ journal, facts, settings }: TaskInput, { changeFirst }: Step, tankId: string): string {
  if (changeFirst === undefined) return ''
  const litres = (tankById(journal, tankId)?.volume?.netL ?? 0) * changeFirst
  const carried = carriedInto(journal, tankId, litres, facts.now)
  return carried.length === 0
    ? 'Change a third to a half of the water first. '
    : `Change a third of the water first, ${measureText(litres, 'L', settings.units, 3)} ${carriedWords(carried)}: without it the change would lower the ${listed(carried.map(({ word }) => word))}. `
}

/** Who takes a dose: of medicine in food those that are not known to leave it. */
function takersOf({ journal, facts, living }: TaskInput, { track }: DosesState) {
  if (doseById(track.dose)!.route !== 'food') return { animalIds: living, leave: [], isEaten: false }
  const ward = wardNow()
  const conditions = ward?.conditionsOf(journal, living, facts.now) ?? []
  const takers = ward?.takesFood(conditions) ?? []
  return {
    animalIds: takers.length === 0 ? living : takers.map(({ animal }) => animal.id),
    leave: conditions.filter(({ eatsNot }) => eatsNot).map(({ animal }) => animal),
    isEaten: conditions.some(({ eats }) => eats),
  }
}

/** What is said of fish that leave the food. */
const leftFoodWords = (leave: readonly Animal[]): string =>
  leave.length === 0
    ? ''
    : `${listed(leave.map(animalLabel))} ${leave.length === 1 ? 'does' : 'do'} not eat, and ${leave.length === 1 ? 'is' : 'are'} not fed medicine. `

/** The doses to come of one of the course's counts of doses. */
export function doseTasks(input: TaskInput, step: Step): Draft[] {
  const { facts, living } = input
  const state = input.doses.find(({ track }) => track.id === step.track)
  if (!state || state.state === 'full') return []
  if (facts.course.animalIds.length > 0 && living.length === 0) return []
  const { need } = state.track
  const takers = takersOf(input, state)
  return state.ahead.map(({ ordinal, ...window }, i) => {
    const tankId = doseTankOf(input, state, window.best)
    // Where one fish eats it is fed, though another does not.
    const asked = takers.isEaten ? { ...step, needs: step.needs?.filter((id) => id !== 'eating') ?? [] } : step
    // Of the doses to come the first says what it waits for; one whose time has come beside a missed one waits as well.
    const waitsFor =
      i === 0 || window.notBefore <= facts.now ? [...waitsForOf(input, asked), ...boundBy(input, state, tankId)] : []
    const first = `${changeFirstWords(input, step, tankId)}${leftFoodWords(takers.leave)}`
    return {
      ...base(input, first === '' ? step : { ...step, how: `${first}${step.how ?? ''}` }, ordinal),
      tankId,
      title: need > 1 ? `${step.title}, ${state.done.length + i + 1} of ${need}` : step.title,
      why: whyOf(state, i),
      ...window,
      animalIds: takers.animalIds,
      ...amountOf(input, state, tankId),
      ...(waitsFor.length > 0 && { waitsFor }),
    }
  })
}
