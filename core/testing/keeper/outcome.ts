import type { CountMeasure, Definition, Track } from '../../catalogue/courses/definitions.ts'
import { measureScale } from '../../catalogue/measures.ts'

type MeasureTrack = Extract<Track, { kind: 'measure' }>

/** What a first count finds. */
const FIRST: Readonly<Partial<Record<CountMeasure, number>>> = {
  coverage: 40,
  cells: 50,
  'diatom-share': 0.1,
  'pest-count': 20,
  left: 20,
  removed: 6,
  'edge-mm': 6,
  colour: 3,
  polyps: 0,
  'visibility-cm': 30,
  'wet-g': 200,
  alive: 10,
  'head-count': 6,
  survey: 2,
}

/** What a good end comes to, where more is better. */
const BEST: Readonly<Partial<Record<CountMeasure, number>>> = {
  'diatom-share': 0.95,
  colour: 6,
  polyps: 2,
  'visibility-cm': 200,
  'head-count': 6,
  survey: 5,
}

/** The share of a course's days after which a good outcome is there. */
const DONE_AFTER = 0.25

/** A value as its measure is entered: tapped and named steps are whole. */
function onScale(measure: CountMeasure, value: number): number {
  const { entry, least, most } = measureScale(measure)
  const bounded = Math.max(least, most === null ? value : Math.min(most, value))
  return entry === 'typed' ? Number(bounded.toPrecision(3)) : Math.round(bounded)
}

/**
 * What is counted of a measure on a day: along the path that its plan expects, or worse and worse.
 * @param day of the course, 0 on its first
 */
export function countedOn(definition: Definition, measure: CountMeasure, day: number, isFailing: boolean): number {
  const track = definition.tracks.find((one): one is MeasureTrack => one.kind === 'measure' && one.measure === measure)
  const first = definition.id === 'aftercare' ? 0 : (FIRST[measure] ?? 5)
  if (measure === 'head-count') return onScale(measure, first)
  // It doubles in ten days, or halves; after a treatment something comes back.
  if (isFailing)
    return onScale(
      measure,
      track?.better === 'higher' ? first * 0.5 ** (day / 10) : Math.max(first, 1) * 2 ** (day / 10),
    )
  // Every session takes something off, until there is nothing left.
  const goal = track?.better === 'higher' ? (BEST[measure] ?? first) : 0
  // What is in the jar dies in a day; all else within two weeks.
  const length = measure === 'alive' ? 1 : Math.max(1, Math.min(14, definition.days * DONE_AFTER))
  const share = Math.min(1, Math.max(0, day) / length)
  let value = first + (goal - first) * share
  for (const { byDay, value: atLeast, share: ofFirst, plus } of track?.expected ?? []) {
    const due = Math.min(1, Math.max(0, day) / (byDay * 0.6))
    const wanted = atLeast ?? (ofFirst === undefined ? first + (plus ?? 0) : first * ofFirst)
    const along = first + (wanted - first) * due
    value = track?.better === 'higher' ? Math.max(value, along) : Math.min(value, along)
  }
  return onScale(measure, value)
}

/** The stage of a patch on a day: white after a week, off after two; one that is left untreated stays as it is. */
export const stageOn = (day: number, isControl: boolean, isFailing: boolean): number =>
  isControl || isFailing ? 0 : day < 1 ? 0 : day < 5 ? 2 : day < 9 ? 4 : 5
