import { ingredientById } from '../catalogue/ingredient.ts'
import { PARAMETERS } from '../catalogue/parameter.ts'
import { productById } from '../household/shelf.ts'
import { netVolumeAt } from '../household/tanks.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal, Line } from '../journal/journal.ts'
import { raisedBy } from '../readings/raises.ts'
import { iso, type Day, type ZoneClock } from '../time/zone.ts'
import type { PumpOrder } from './messages.ts'

type Plan = Line<ContentOf<'pump-plan'>>

/** A plan as the device is told it: with the household's clock, and with what a mL raises in its tank. */
export function orderOf(journal: Journal, { at, content }: Pick<Plan, 'at' | 'content'>, timeZone: string): PumpOrder {
  const product = productById(journal, content.productId)
  const netL = netVolumeAt(journal, content.tankId, at)
  const raises =
    product && netL
      ? PARAMETERS.flatMap(({ id }) => {
          const perMl = raisedBy(product.ingredient, id, product.mgPerUnit / netL)
          return perMl > 0 ? [{ parameter: id, perMl }] : []
        })
      : []
  return {
    startsAt: iso(at),
    timeZone,
    mlByHour: content.mlByHour,
    days: content.days ?? null,
    bottleMl: content.bottleMl ?? BOTTLE_UNTOLD_ML,
    residueMl: content.residueMl ?? 0,
    raises,
  }
}

/** A bottle whose content nobody said is taken for one that lasts (EA). */
const BOTTLE_UNTOLD_ML = 1e6

/**
 * What a pump gave and the journal does not hold yet, a dose a local day at the day's last shot: thinned from its shots. A day is written down when it is over,
 * or when the pump is stopped.
 * @param shots of the device since the plan started
 * @param isStopped whether the day under way is written down too
 * @param note what is noted on each, `noteOf` the pump
 * @example
 * await keep(unwrittenDoses(journal, plan, report.shots, settings.clock, Date.now(), false))
 */
export function unwrittenDoses(
  journal: Journal,
  plan: Plan,
  shots: readonly { at: string; ml: number }[],
  clock: ZoneClock,
  now: number,
  isStopped: boolean,
  note: { note?: string } = {},
): ContentOf<'dose'>[] {
  const { deviceId, tankId, productId } = plan.content
  const product = productById(journal, productId)
  if (!product) return []
  const written = new Set<Day>(
    journal
      .about(`water:${tankId}`)
      .flatMap(({ content, at, struck }) =>
        !struck && at >= plan.at && content.kind === 'dose' && content.deviceId === deviceId ? [clock.dayOf(at)] : [],
      ),
  )
  const days = new Map<Day, { ml: number; at: number }>()
  for (const { at: instant, ml } of shots) {
    const at = Date.parse(instant)
    if (at < plan.at || at > now || ml <= 0) continue
    const day = clock.dayOf(at)
    const sum = days.get(day)
    days.set(day, { ml: (sum?.ml ?? 0) + ml, at: Math.max(sum?.at ?? 0, at) })
  }
  return [...days].flatMap(([day, { ml, at }]): ContentOf<'dose'>[] =>
    written.has(day) || (day >= clock.dayOf(now) && !isStopped)
      ? []
      : [
          {
            kind: 'dose',
            happened: iso(at),
            tankId,
            ingredient: product.ingredient,
            productId,
            amount: Number(ml.toPrecision(8)),
            unit: 'mL',
            massMg: ml * product.mgPerUnit,
            deviceId,
            ...note,
          },
        ],
  )
}

/** What is said beside a pump before it is given a plan; the product's own caution first. */
export const pumpCautions = (ingredient: string): string[] => [
  ...[ingredientById(ingredient)?.caution ?? []].flat(),
  'Measure what it really gives: a mL ordered is a mL only once it was caught in a syringe. Check again each month.',
  'The hose ends above the water, so that no siphon empties the bottle; away from hoses of calcium or alkalinity.',
  'Mains plug with a ground-fault switch and a drip loop.',
]
