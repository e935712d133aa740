import type { Draft } from './step-input.ts'

/**
 * A task beside days away: what may move is moved to the leaving, or to the coming back, within its own window; what cannot be
 * kept says so and stays where it is.
 * @param away stretches in which nobody is at home, ms
 */
export function besideAway(draft: Draft, away: readonly { from: number; until: number }[]): Draft {
  const gone = away.find(({ from, until }) => draft.best >= from && draft.best < until)
  if (!gone) return draft
  if (draft.notBefore <= gone.from) return { ...draft, best: gone.from, why: `${draft.why}; before you leave` }
  if (draft.notAfter >= gone.until) return { ...draft, best: gone.until, why: `${draft.why}; once you are back` }
  return { ...draft, isAway: true, why: `${draft.why}; nobody is at home` }
}
