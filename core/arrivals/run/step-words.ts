import { METRIC, type UnitHabits } from '../../household/settings.ts'
import { measureText } from '../../words/measure.ts'
import type { NextStep } from '../../acclimation/follow.ts'
import type { AcclimationMethod, WayKind } from '../../acclimation/acclimation.schema.ts'

/** A small amount of water: mL under a litre, as every measuring jug has them; above it the household's own unit. */
export const waterWords = (litres: number, units: UnitHabits = METRIC): string =>
  litres < 0.9995 ? `${Math.round(litres * 1000)} mL` : measureText(litres, 'L', units, 3)

/** Drops a second of a drip: twenty drops a millilitre (acclimation.md 4). */
export const dropsASecond = (mlPerMinute: number): number => (mlPerMinute * 20) / 60
/** Faster than this no drops are seen: a thin stream. */
const STREAM_DROPS = 8

export function dripWords(mlPerMinute: number): string {
  const drops = dropsASecond(mlPerMinute)
  const seen =
    drops > STREAM_DROPS
      ? 'a thin stream'
      : drops >= 0.95
        ? `${Number(drops.toFixed(drops < 3 ? 1 : 0))} drops a second`
        : `a drop every ${Number((1 / drops).toFixed(1))} seconds`
  return `${Number(mlPerMinute.toPrecision(2))} mL a minute, ${seen}`
}

/** A way of mixing in a few words: "120 mL every 5 minutes". */
export const methodWords = (method: AcclimationMethod, units: UnitHabits = METRIC): string =>
  method.kind === 'scoop'
    ? `${waterWords(method.scoopL, units)} every ${Number(method.everyMinutes.toFixed(1))} minutes`
    : dripWords(method.mlPerMinute)

export const WAY_NAMES: Record<WayKind, string> = {
  drip: 'Drip',
  scoop: 'Scoops',
  'match-and-release': 'Match the tank, then across',
  'at-once': 'Across at once',
}

/**
 * What a step asks for, and what its button says once it is done.
 * @param isDue whether its minute has come; before it the words say what goes on meanwhile
 */
export function stepWords(
  step: NextStep,
  method: AcclimationMethod | null,
  isDue = true,
  units: UnitHabits = METRIC,
): { title: string; figure: string; done: string } {
  const drips = method?.kind === 'drip'
  switch (step.kind) {
    case 'open':
      return {
        title: isDue ? 'Floated long enough' : 'Floating, sealed',
        figure: 'Open the bag',
        done: 'The bag is open',
      }
    case 'scoop':
      return {
        title: isDue ? 'A scoop of tank water in' : 'Next, a scoop of tank water',
        figure: waterWords(step.litres!, units),
        done: 'The scoop is in',
      }
    case 'pour-off':
      return {
        title: isDue
          ? 'Full: pour off, not into a tank'
          : `${drips ? 'It drips; when full' : 'Before the next scoop'}, pour off`,
        figure: `down to ${waterWords(step.toL!, units)}`,
        done: 'Poured off',
      }
    case 'start-drip':
      return {
        title: 'Start the drip',
        figure: drips ? dripWords(method.mlPerMinute) : 'drip',
        done: 'It drips',
      }
    case 'measure':
      if (!method)
        return {
          title: 'Planned by figures that nobody has measured',
          figure: 'Measure',
          done: 'Enter what is measured',
        }
      return {
        title: isDue
          ? 'By reckoning it is near enough'
          : `${drips ? 'It drips; n' : 'N'}ear enough, by reckoning, then`,
        figure: 'Measure',
        done: 'Enter what is measured',
      }
    case 'choose':
      return { title: 'Not near enough for this way', figure: 'Another way', done: 'Show the other ways' }
    case 'move':
      return { title: 'It is time', figure: 'Across', done: 'Across now' }
  }
}
