import type { ProgressMeasure, Trajectory, Sheet } from './handbook.schema.ts'

/** Measures of progress. */
export const PROGRESS_MEASURES: Sheet<ProgressMeasure> = {
  title: "Measures of progress",
  source: "outbreaks.md 7: hobby practice in the main",
  rows: [
  { id: "coverage", unit: "%", how: "10 × 10 grid on same-frame photo, points on target / 100", noise: "±10 points at 50 %; real if > 14 points or 3 same-sign days" },
  { id: "patch-stage", unit: "0-5", how: "0 living colour, 1 dull or bubbling, 2 pink/red or lighter, 3 half pale, 4 white, 5 detached; same lamp, vs control", noise: "±1 per observer: use one observer, median of patches" },
  { id: "count", unit: "n per rock / dip / glass / 10 fields", how: "all seen in 60 s at a fixed time; cells at ×10, 3 spots pooled", noise: "real if difference > 2 x sqrt(n1 + n2) on totals" },
  { id: "jar", unit: "alive of 10", how: "poke with pipette, 30 s; dead = no motion, turns soft", noise: "small worms last; >= 6 h dead" },
  { id: "edge", unit: "mm", how: "scale bar beside fixed mark", noise: "±0.5 mm" },
  { id: "reading", unit: "mg/L, dKH", how: "kit, twice if outside trend", noise: "section 8 kit error; real if difference > 1.4 x error" },
  ],
}

/** How it should go. */
export const TRAJECTORIES: Sheet<Trajectory> = {
  title: "How it should go",
  source: "outbreaks.md 7: hobby practice in the main",
  rows: [
  { id: "algae-peroxide", record: "stage per patch + control, mL", every: "day", expected: "stage 2 by day 2-4, 4 by 7-10, 5 by 14", noResponseBy: "5" },
  { id: "algae-by-hand", record: "coverage, wet g", every: "3 d", expected: "-30 % by day 14, -80 % by day 45", noResponseBy: "21" },
  { id: "bryopsis-derbesia-drug", record: "stage, NO3, PO4", every: "day", expected: "pale day 7-10, gone 14-21", noResponseBy: "14" },
  { id: "cyano", record: "coverage, NO3, PO4", every: "day", expected: "-50 % day 7", noResponseBy: "14" },
  { id: "dinos-water-column", record: "coverage at fixed hour, cells, NO3, PO4", every: "day, cells 2 × week", expected: "cells -50 % day 7-10, -95 % by week 4-8", noResponseBy: "10" },
  { id: "dinos-sand", record: "dose, SiO2, tally, coverage", every: "day, tally week", expected: "p rises by day 14-28, > 0.5 day 30-60, >= 0.9 day 60-90", noResponseBy: "28" },
  { id: "blackout", record: "NO3, PO4, breathing", every: "day", expected: "fall or +50 %; stop rule at 2 × start", noResponseBy: "3" },
  { id: "planaria", record: "jar, trap, TAN", every: "6-12 h, then weekly", expected: "most dead at 24 h, all by day 3, new young day 10-14", noResponseBy: "2" },
  { id: "coral-dips", record: "live count per dip", every: "per dip", expected: "falls >= 50 % each dip, 0 by dip 3-4", noResponseBy: "15 (third dip)" },
  { id: "counted-pests", record: "removed and left per rock or square (anemones, bubbles, vermetids, hydroids)", every: "session", expected: "-80 % after first pass; small ones reappear day 7-14", noResponseBy: "21" },
  { id: "brown-jelly", record: "12/24/48 h heads, edge", every: "12 h", expected: "jelly gone at 24 h or discard", noResponseBy: "1" },
  { id: "recession-burns", record: "mm line, alk, NO3, PO4", every: "2 d", expected: "slope halves in 7 d, 0 in 14-28 d", noResponseBy: "14" },
  { id: "bleaching", record: "colour card 1-6", every: "week", expected: "+1 step in 30 d, not worse at 14 d", noResponseBy: "21" },
  ],
}
