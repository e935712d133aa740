import type { CoralTask, FallowPlan, Sheet } from './handbook.schema.ts'

/** Fishless days. */
export const FALLOW_PLANS: Sheet<FallowPlan> = {
  title: "Fishless days",
  source: "quarantine.md 7.5: each row its own; see the risk curve for what is left",
  rows: [
  { id: "fallow-76", what: "fishless display or coral quarantine", days: { from: 76, to: 76, words: "76" }, temperatureC: { from: 24, to: 27, words: "24–27" }, reasoning: "72-day outlier cyst (Colorni & Burgess 1997) + 4 d for trailing theronts" },
  { id: "fallow-45", what: "same, shorter", days: { from: 45, to: 45, words: "45" }, temperatureC: { from: 27, to: 28, words: "27–28" }, reasoning: "covers the usual 3–28 d hatch with margin (HP); a rare late cyst stays possible" },
  { id: "fallow-velvet", what: "marine-velvet only", days: { from: 45, to: 45, words: "45" }, temperatureC: { from: 25, to: 28, words: "25–28" }, reasoning: "HP; tomont and dinospore far shorter when warm" },
  { id: "fallow-fluke", what: "skin-flukes, gill-flukes, black-spot-worm", days: { from: 28, to: 45, words: "28–45" }, temperatureC: { from: 25, to: 28, words: "25–28" }, reasoning: "eggs to ~21 d + larva 2 d + margin (EA)" },
  { id: "fallow-brook", what: "brooklynella", days: { from: 45, to: 45, words: "45" }, temperatureC: { from: 25, to: 28, words: "25–28" }, reasoning: "off-host life unknown (HP)" },
  { id: "fallow-uronema", what: "uronema", days: { from: null, to: null, words: "never works" }, temperatureC: null, reasoning: "free-living; cut detritus and stock with care" },
  { id: "fallow-fw", what: "fw-ich, fw-velvet", days: { from: 14, to: 14, words: "14 / 28" }, temperatureC: { from: 25, to: 25, words: "25" }, reasoning: "at 25 °C theronts starve within days; margin for cool water (EA)" },
  ],
}

/** Coral and invertebrate quarantine. */
export const CORAL_TASKS: Sheet<CoralTask> = {
  title: "Coral and invertebrate quarantine",
  source: "quarantine.md 7.5: hobby practice in the main",
  rows: [
  { id: "coral-in", cadence: "day 0", do: "cut off plug and base, dip (iodine-coral or mild pest dip), inspect under magnifier with red light after dark", accept: "eggs scraped away, not dipped: eggs survive dips" },
  { id: "coral-redip", cadence: "routine day 7, 14, 21, 28; with a pest found: interval of outbreaks.md 6.1", do: "dip and inspect", accept: "flatworm or nudibranch seen → day 0 again" },
  { id: "coral-chem", cadence: "2 × week, then weekly", do: "alkalinity and calcium; corals and coralline algae in a small tank deplete them; add or change water", accept: "7–9 dKH, 400–450 mg/L Ca, 1250–1400 mg/L Mg (HP)" },
  { id: "coral-light", cadence: "ramp 7–14 d", do: "low start, acclimate", accept: "bleaching → lower" },
  { id: "coral-tools", cadence: "always", do: "own tongs, nets, vials, test tubes, syringes marked by colour", accept: "shared item → cross-contamination event" },
  { id: "invert-in", cadence: "day 0", do: "rinse shells and bases in clean sea water; no copper, no fresh dip for sponges, clams, stars", accept: "76 or 45 d with no fish in the tank" },
  { id: "kick-back", cadence: "any time", do: "one suspect coral, snail or hitch-hiker sends the whole batch to day 0", accept: "suspicion is enough" },
  { id: "plants-fw", cadence: "28 d fishless", do: "snail check, optional short alum or permanganate dip, rinse", accept: "no fish in the tub" },
  ],
}
