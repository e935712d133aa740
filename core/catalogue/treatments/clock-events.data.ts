import type { ClockEvent } from './treatment.types.ts'

/**
 * What happens to the count of a course, quarantine.md 7.4.
 */
export const CLOCK_EVENTS: readonly ClockEvent[] = [
  { id: "level-low", appliesTo: "copper protocols", effect: "restart", detail: "path below low: the clock starts over when it is back (`clock.therapeutic`)" },
  { id: "level-unknown", appliesTo: "copper protocols", effect: "pause", detail: "`clock.therapeutic` lists gaps; the app takes the part of each gap beyond 48 h off what it calls proven and adds it to the end (EA); a gap > 96 h starts over" },
  { id: "level-high", appliesTo: "copper protocols", effect: "warn", detail: "above high: matched water change to target; clock keeps running; watch copper-toxicity signs" },
  { id: "carbon-left-in", appliesTo: "any drug", effect: "restart", detail: "from the removal of carbon" },
  { id: "new-fish-added", appliesTo: "all", effect: "restart", detail: "for every fish in that water" },
  { id: "cross-contamination", appliesTo: "all", effect: "restart", detail: "wet tool, hand or splash from an unclean system" },
  { id: "late-move", appliesTo: "tank-transfer", effect: "restart", detail: "a move later than 72 h (velvet: 36 h) becomes hour 0 of a new course: `transfer.check` again with arrivalAt = that move; baths before it no longer count" },
  { id: "peroxide-gap", appliesTo: "qt-c-hybrid", effect: "redo pair", detail: "second bath not 144 h ± 6 h after the first (tolerance EA)" },
  { id: "salinity-high", appliesTo: "qt-d-hypo", effect: "restart", detail: "SG > 1.010: band for the clock 1.008–1.010, broken only above (the same definition as the copper clock with the sides exchanged); under 1.008 is a warning" },
  { id: "sign-seen", appliesTo: "all", effect: "kick-back", detail: "back to treatment; observation counter to zero" },
  { id: "unexplained-death", appliesTo: "all", effect: "extend", detail: "+ 14 d and post-mortem advice" },
  { id: "missed-redose", appliesTo: "metronidazole, antibiotics", effect: "extend", detail: "one dose per dose missed" },
  { id: "new-wet-item", appliesTo: "fallow, coral quarantine", effect: "restart", detail: "any unquarantined fish, snail, plug or water" },
]
