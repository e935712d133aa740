import type { Definition, Track } from './definition.ts'

export type MoveTrack = Extract<Track, { of: 'move' }>

/** Fewest moves that fill a transfer school's hours, each at the longest interval: quarantine.md 7.2 by courses.md. */
export const leastMoves = ({ maxIntervalHours, minTotalHours, minTransfers }: MoveTrack['rule']): number =>
  Math.max(minTransfers, Math.ceil(minTotalHours / maxIntervalHours))

/** The move track of a definition; undefined where nothing moves by the clock. */
export const moveTrackOf = ({ tracks }: Pick<Definition, 'tracks'>): MoveTrack | undefined =>
  tracks.find((one): one is MoveTrack => one.kind === 'rounds' && one.of === 'move')

/** Days of a chain that is moved at its usual hours. */
export const chainDays = (rule: MoveTrack['rule']): number => (leastMoves(rule) * rule.usualHours) / 24
