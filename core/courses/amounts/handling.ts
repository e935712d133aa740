import type { Definition } from '../../catalogue/courses/definitions.ts'

/** Points of handling, and where they are said and asked about: quarantine.md 8, stress budget (EA). */
const POINTS = { net: 2, container: 1, move: 1, bath: 3 } as const
const WINDOW_HOURS = 168
export const HANDLING_LIMITS = { said: 8, asked: 14 } as const

interface Handled {
  atHours: number
  points: number
}

/** What a school does to each fish if all goes by its hours: moves with their catching, baths. */
function handledBy({ tracks, steps }: Definition, capture: string | undefined): Handled[] {
  const caught = capture === 'net' ? POINTS.net : POINTS.container
  const moves = tracks.find((track) => track.kind === 'rounds' && track.of === 'move')
  const baths = tracks.find((track) => track.kind === 'rounds' && track.of === 'bath')
  const list: Handled[] = []
  if (moves?.kind === 'rounds' && moves.of === 'move') {
    const { maxIntervalHours, minTotalHours, minTransfers } = moves.rule
    const count = Math.max(minTransfers, Math.ceil(minTotalHours / maxIntervalHours))
    for (let i = 1; i <= count; i++) list.push({ atHours: i * maxIntervalHours, points: caught + POINTS.move })
    if (baths?.kind === 'rounds' && baths.of === 'bath')
      for (let i = 0; i < baths.need; i++)
        list.push({ atHours: maxIntervalHours + i * baths.apartHours[1], points: POINTS.bath })
  } else if (steps.some(({ act }) => act === 'move')) list.push({ atHours: 0, points: caught + POINTS.move })
  return list
}

/**
 * The handling load of a course: points for each fish in its worst seven days.
 * @param capture `net` or `container`
 * @example
 * handlingLoad(definitionById('qt-c-velvet')!, 'container') // 10
 */
export function handlingLoad(definition: Definition, capture: string | undefined): number {
  const list = handledBy(definition, capture)
  return Math.max(
    0,
    ...list.map(({ atHours }) =>
      list
        .filter((one) => one.atHours >= atHours && one.atHours < atHours + WINDOW_HOURS)
        .reduce((sum, { points }) => sum + points, 0),
    ),
  )
}
