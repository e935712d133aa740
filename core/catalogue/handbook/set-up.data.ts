import type { SetUpItem, Stocking, Sheet } from './handbook.schema.ts'

/** What a quarantine tank needs. */
export const SET_UP: Sheet<SetUpItem> = {
  title: "What a quarantine tank needs",
  source: "quarantine.md 8: hobby practice in the main",
  rows: [
  { id: "tank", spec: "40–110 L (10–30 gal) for ≤ 12 cm fish; 150–300 L (40–80 gal) for larger; bare bottom", why: "dosing accuracy, cleaning", neededBy: "all" },
  { id: "lid", spec: "tight mesh, gaps < 5 mm", why: "jumpers", neededBy: "all" },
  { id: "hides", spec: "PVC elbows and pipes, one more than fish; sand dish only for sand sleepers", why: "stress; inert; bleachable", neededBy: "all" },
  { id: "filter-sponge", spec: "seeded sponge + air pump, or 2nd sponge spare", why: "nitrification", neededBy: "all but tank-transfer" },
  { id: "seed", spec: "4 weeks (2–6, HP) in a fish-free cycled tub or proven clean system; proof: 1 mg/L ammonia gone in 24 h", why: "a sponge from a fish tank can carry cysts; bottled bacteria need the same proof", neededBy: "all but tank-transfer" },
  { id: "powerhead", spec: "surface ripple, 5–10 × volume/h", why: "gas exchange while drugs act", neededBy: "all" },
  { id: "heater", spec: "guarded, 25 ± 1 °C (77 ± 2 °F), second thermometer", why: "stable clock", neededBy: "all" },
  { id: "tests", spec: "ammonia by two methods (liquid kit + gas badge), copper photometer, refractometer, pH, alkalinity; vials belong to one tank", why: "never trust one ammonia indicator: badges stick, kits misread with formalin or binders", neededBy: "all" },
  { id: "sentinels", spec: "2–4 mollies", why: "early warning", neededBy: "qt-f-observe, observation" },
  { id: "bath-bin", spec: "20 L (5 gal) food-grade bucket, air stone", why: "baths and dips", neededBy: "hybrid, qt-e" },
  { id: "scale", spec: "0.01 g", why: "gallon doses need it", neededBy: "drug protocols" },
  { id: "ttm-set", spec: "2 complete sets: bin or tank 40–75 L (10–20 gal), heater, air stone, pipe, lid; ammonia binder allowed only while no copper", why: "one dries while one runs", neededBy: "tank-transfer" },
  { id: "own-tools", spec: "net, siphon, cup, towel, bucket marked per tank", why: "no crossing", neededBy: "all" },
  { id: "spare-water", spec: "50 % of volume, matched salt and temperature", why: "emergencies", neededBy: "all" },
  { id: "ppe", spec: "nitrile gloves, goggles, apron, GFCI/RCD", why: "section 10", neededBy: "all" },
  ],
}

/** How many fish it carries. */
export const STOCKING: Sheet<Stocking> = {
  title: "How many fish it carries",
  source: "quarantine.md 8: editorial assumption; halve it if the sponge is not fully seeded",
  rows: [
  { id: "stock-s", tankL: { from: 40, to: 40, words: "40 (10)" }, small: 3, medium: 1, large: 0, feed: "2–3 tiny meals; remove uneaten in 10 min" },
  { id: "stock-m", tankL: { from: 75, to: 75, words: "75 (20)" }, small: 5, medium: 2, large: 1, feed: "2–3" },
  { id: "stock-l", tankL: { from: 110, to: 110, words: "110 (29)" }, small: 7, medium: 4, large: 2, feed: "3" },
  { id: "stock-xl", tankL: { from: 200, to: 200, words: "200 (55)" }, small: 12, medium: 6, large: 3, feed: "3" },
  ],
}
