import { withChosenParts, type Definition } from '../catalogue/courses/definitions.ts'
import { doseById } from '../catalogue/treatments/treatments.ts'
import { leastMoves, moveTrackOf } from '../catalogue/courses/move-track.ts'
import { LOWERING, RAISING } from '../courses/tracks/salinity.ts'
import { POINTS, worstWeek, type Handled } from './points.ts'

/** About so many days the salinity takes to come up again: quarantine.md 5.5. */
const RAISING_DAYS = 8

/** What a course does to each fish if all goes by its hours: moves with their catching, baths, salinity steps. */
function handledBy({ tracks, steps, days }: Definition, capture: string | undefined): Handled[] {
  const caught = capture === 'net' ? POINTS.net : POINTS.container
  const moves = moveTrackOf({ tracks })
  const list: Handled[] = []
  for (const track of tracks) {
    if (track.kind === 'rounds' && track.of === 'move') {
      const { usualHours } = track.rule
      for (let i = 1; i <= leastMoves(track.rule); i++)
        list.push({ atHours: i * usualHours, points: caught + POINTS.move })
    }
    if (track.kind === 'rounds' && track.of === 'bath') {
      const first = moves?.rule.usualHours ?? 0
      for (let i = 0; i < track.need; i++) list.push({ atHours: first + i * track.apartHours[1], points: POINTS.bath })
    }
    if (track.kind === 'rounds' && track.of === 'dose' && doseById(track.dose)?.route === 'bath')
      for (let i = 0; i < track.need; i++)
        list.push({
          atHours: track.first.hours[1] + i * track.apart[0]![1],
          points: POINTS.bath,
        })
    if (track.kind === 'hold' && track.by === 'salinity') {
      for (let i = 0; i < LOWERING.steps; i++)
        list.push({ atHours: i * LOWERING.hours[1], points: POINTS.salinityStep })
      for (let i = 0; i < RAISING_DAYS; i++)
        list.push({ atHours: days * 24 + i * RAISING.hours, points: POINTS.salinityStep })
    }
  }
  // A course that is not of moves has one at its end.
  if (!moves && steps.some(({ act }) => act === 'move')) list.push({ atHours: 0, points: caught + POINTS.move })
  return list
}

/**
 * The handling load of a course: points for each fish in its worst seven days.
 * @param options choices by option; `capture` is `net` or `container`
 * @example
 * handlingLoad(definitionById('qt-c-velvet')!, { capture: 'container' }) // 10
 */
export const handlingLoad = (definition: Definition, options: Readonly<Record<string, string>>): number =>
  worstWeek(handledBy(withChosenParts(definition, options), options['capture']))

/** Whether a course is run only where a veterinarian has named its drug. */
export const isByVet = ({ rules }: Definition): boolean => rules.some(({ id, role }) => id === 'vet' && role === 'gate')
