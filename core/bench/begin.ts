import { coralDipById } from '../catalogue/corals/coral-dips.data.ts'
import { AIR_LIMITS } from '../catalogue/procedures/limits.data.ts'
import type { Procedure } from '../catalogue/procedures/procedure.types.ts'
import { doseById } from '../catalogue/treatments/treatments.ts'
import { peroxideCompanyIn } from '../calculators/peroxide-company.ts'
import { tierById } from '../catalogue/treatments/peroxide-tiers.data.ts'
import type { Course } from '../courses/course.ts'
import { tierOf } from '../courses/amounts/planned-session.ts'
import { doseToLevel } from '../courses/amounts/planned-dose.ts'
import { bathAmount, plannedBath, type PlannedBath } from '../courses/amounts/planned-bath.ts'
import { partById } from '../household/parts.ts'
import type { ShelfProduct } from '../household/shelf.ts'
import type { Content } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { iso, MS_PER_MINUTE } from '../time/zone.ts'
import { amountOf, HALF, levelUnitOf, sessionLimit } from './amounts.ts'
import { bathOf, measuredDose, movesOf, peroxideDose } from './ledger.ts'
import { chosenOption, occasionsOf, type BenchStart } from './occasions.ts'

/**
 * What a choice stands at before the keeper touches it: how long a rock may be in air by the most sensitive coral on it, peroxide
 * by who is in the water.
 */
export function presetOption(
  journal: Journal,
  tankId: string,
  procedure: Procedure,
  choice: string,
  partIds: readonly string[],
): string | undefined {
  const options = procedure.choices.find(({ id }) => id === choice)?.options
  if (choice === 'tier' && options && options.length > 1) {
    // The lowest tier, never a higher one by itself.
    const company = peroxideCompanyIn(journal, tankId)
    return options.find(({ id }) => tierById(id).allows.includes(company))?.id ?? options[0]!.id
  }
  if (choice !== 'air') return options?.[0]?.id
  const groups = partIds.flatMap((id) => partById(journal, id)?.group ?? [])
  const areHardy = partIds.length > 0 && groups.length === partIds.length && groups.every((group) => HARDY.has(group))
  return areHardy ? 'hardy' : AIR_LIMITS[0]!.id
}

/** What a course has chosen for a procedure's choice; undefined where it has no such option. */
export const optionOfCourse = ({ options }: Pick<Course, 'options'>, choice: string): string | undefined =>
  choice === 'tier' && options['tier'] !== undefined ? tierOf(options['tier']).id : options[choice]

/** Corals that bear an hour of bench work if they are kept wet: further-schools.md 4. */
const HARDY: ReadonlySet<string> = new Set(['coral-soft', 'coral-lps'])

/** The bath or the dose that has to be measured out, before a product is chosen for it. */
export function needsOf(
  procedure: Procedure,
  start: Pick<BenchStart, 'choices'>,
): { ingredient: string; byLabel: boolean; levelUnit: string } | null {
  const out = procedure.measuredOut
  if (!out) return null
  if (out.for === 'tank') return { ingredient: out.ingredient, byLabel: false, levelUnit: levelUnitOf(procedure) }
  if (out.for === 'bath')
    return { ingredient: doseById(out.dose)!.agent, byLabel: false, levelUnit: levelUnitOf(procedure) }
  const dip = coralDipById(chosenOption(procedure, start, 'dip'))
  return { ingredient: dip.ingredient, byLabel: dip.mgPerL === null, levelUnit: levelUnitOf(procedure) }
}

function plannedFor(
  procedure: Procedure,
  start: Pick<BenchStart, 'choices'>,
  product: ShelfProduct,
): PlannedBath | null {
  const out = procedure.measuredOut
  if (out?.for === 'bath') return plannedBath(doseById(out.dose)!, product, null)
  const dip = coralDipById(chosenOption(procedure, start, 'dip'))
  return (
    dip.mgPerL &&
    plannedBath({ agent: dip.ingredient, unit: 'mg/L', ...dip.mgPerL, bathMinutes: [...dip.minutes] }, product, null)
  )
}

/**
 * What is measured out of a product for a tub, or for a tank.
 * @param litres of the tub, or the tank's net volume
 * @param label  the amount that the label says, where only the label knows
 * @returns null where it cannot be worked out
 */
export function measureOut(
  procedure: Procedure,
  start: Pick<BenchStart, 'choices'>,
  product: ShelfProduct | null,
  litres: number | null,
  label: number | null,
): NonNullable<BenchStart['measuredOut']> | null {
  const needs = needsOf(procedure, start)
  if (!needs || litres === null || !(litres > 0)) return null
  if (needs.byLabel)
    return label !== null && label > 0
      ? {
          ingredient: needs.ingredient,
          ...(product && { productId: product.id }),
          amount: label,
          unit: product?.unit ?? 'mL',
        }
      : null
  if (!product) return null
  const out = procedure.measuredOut!
  if (out.for === 'tank') {
    const mgPerL = out.mgPerL[chosenOption(procedure, start, 'dose') ?? '']
    if (mgPerL === undefined) return null
    // After a half change the replaced half is dosed, unless all of it was chosen.
    const share = chosenOption(procedure, start, 'redose') === 'replaced' ? HALF : 1
    const dose = doseToLevel(mgPerL * share, litres, product)
    // Less than the tool measures is nothing that can be measured out.
    if (!dose || dose.amount === null || dose.belowMeasurable) return null
    return {
      ingredient: out.ingredient,
      productId: product.id,
      amount: Number(dose.amount.toPrecision(8)),
      unit: product.unit,
      massMg: Number((dose.amount * product.mgPerUnit).toPrecision(8)),
      ...(product.measure && { step: product.measure.step }),
    }
  }
  const bath = plannedFor(procedure, start, product)
  const measured = bath && bathAmount(bath, litres)
  return measured && measured.amount > 0
    ? {
        ingredient: needs.ingredient,
        productId: product.id,
        amount: measured.amount,
        unit: product.unit,
        massMg: Number((measured.makesMgPerL * litres).toPrecision(8)),
      }
    : null
}

/**
 * What a procedure is going to leave in the ledger, as it would be kept now: what the water speaks against it is asked before it
 * begins.
 * @param now ms
 */
export function proposedBy(
  journal: Journal,
  procedure: Procedure,
  start: BenchStart,
  netL: number | null,
  now: number,
): Content[] {
  const happened = iso(now)
  const subjectIds = [...(start.partIds ?? []), ...(start.animalIds ?? [])]
  const steps = occasionsOf(procedure, start, subjectIds)
  const makes = (what: string) => steps.find(({ item }) => 'makes' in item && item.makes === what)
  const input = { procedure, start, totals: new Map<string, number>(), netL }
  const most = procedure.doses ? sessionLimit('peroxide-by-tier', input).most : 0
  const dose = peroxideDose({ procedure }, start, most, happened)
  const bathStep = makes('bath')
  const bath = bathStep?.timer ? bathOf(procedure, start, bathStep.timer.minutes, happened) : null
  // Half of the water goes before the drug is given back: the level it is judged against is the lower one.
  const dosing = makes('dose')
  const changing = makes('water-change')
  const changes = changing && dosing && steps.indexOf(changing) < steps.indexOf(dosing)
  const changed = changes && changing.item.amount ? amountOf(changing.item.amount, input) : null
  const poured = dosing ? measuredDose(start, start.measuredOut?.amount ?? 0, happened) : null
  // What the list before it takes out of the water decides on what goes in.
  const isFilterOff = procedure.before.some(({ switches }) => switches?.item === 'filter' && !switches.running)
  return [
    ...(isFilterOff && start.tankId !== undefined
      ? [{ kind: 'equipment' as const, happened, tankId: start.tankId, item: 'filter' as const, running: false }]
      : []),
    ...(changed && start.tankId !== undefined
      ? [{ kind: 'water-change' as const, happened, tankId: start.tankId, litres: changed.value }]
      : []),
    ...(dose ? [dose] : []),
    ...(bath ? [bath] : []),
    ...(poured ? [poured] : []),
    ...(makes('move') ? movesOf(journal, start, start.animalIds ?? [], happened) : []),
  ]
}

/** When the timers and clocks of a run ring and must be over, for a calendar that rings on a locked phone. */
export const ringsOf = (
  clocks: readonly { label: string; subjectId: string | null; ringsAt: number; stopsAt: number | null }[],
  name: (id: string) => string,
  now: number,
): { at: number; title: string }[] =>
  clocks
    .flatMap(({ label, subjectId, ringsAt, stopsAt }) => {
      const who = subjectId === null ? label : `${name(subjectId)}, ${label}`
      return [
        { at: ringsAt, title: who },
        ...(stopsAt !== null && stopsAt > ringsAt
          ? [{ at: stopsAt - MS_PER_MINUTE, title: `${who}: end it now` }]
          : []),
      ]
    })
    .filter(({ at }) => at > now)
