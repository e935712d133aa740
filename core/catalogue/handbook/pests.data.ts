import type { CoralDip, PestTiming, Sheet } from './handbook.schema.ts'

/** Timing of pests. */
export const PEST_TIMING: Sheet<PestTiming> = {
  title: "Timing of pests",
  source: "outbreaks.md 6.1: poor to fair: see each row",
  rows: [
  { ids: ["montipora-nudi"], hatch: "1.5-4 (some keepers), 5-7+ (others): plan for 1.5-10", hatchToEggs: "unknown, assume >= 6", clutch: "few to tens per coil, several coils", killedByDip: "crawlers", survivesDip: "eggs, animals inside skeleton", dipIntervalDays: { from: 4, to: 4, words: "4" }, cleanDips: "4", source: "poor; species: Wang et al. 2020" },
  { ids: ["aefw"], hatch: "10-21, slower when cool", hatchToEggs: "~ 20-30", clutch: "20-30 capsules, 3-7 embryos each", killedByDip: "crawlers", survivesDip: "eggs", dipIntervalDays: { from: 7, to: 7, words: "7" }, cleanDips: "4", source: "fair; Rawlinson 2011, Barton 2019" },
  { ids: ["zoa-nudi"], hatch: "4-10", hatchToEggs: "unknown, assume >= 14", clutch: "coil of tens to hundreds", killedByDip: "crawlers", survivesDip: "eggs", dipIntervalDays: { from: 5, to: 5, words: "5" }, cleanDips: "3", source: "poor" },
  { ids: ["red-bugs", "black-bugs"], hatch: "unknown, female carries eggs; assume <= 14", hatchToEggs: "unknown", clutch: "few", killedByDip: "many adults", survivesDip: "eggs, some adults", dipIntervalDays: { from: 7, to: 7, words: "7" }, cleanDips: "3", source: "poor" },
  { ids: ["brown-flatworm"], hatch: "unknown, assume <= 14", hatchToEggs: "unknown; also splits", clutch: "unknown", killedByDip: "most adults", survivesDip: "eggs, folds of tissue", dipIntervalDays: { from: 7, to: 7, words: "7" }, cleanDips: "3", source: "poor" },
  { ids: ["planaria"], hatch: "10-21 at 20-25 °C", hatchToEggs: "30-60", clutch: "1-10+ young per cocoon", killedByDip: "drug: all free worms", survivesDip: "cocoons", dipIntervalDays: { from: null, to: null, words: "drug course again day 10-14" }, cleanDips: "trap 0 at day 14 and 28", source: "fair; textbook" },
  { ids: ["aiptasia"], hatch: "foot scrap to feeding polyp 7-21 d", hatchToEggs: "weeks", clutch: "any scrap > ~ 0.5 mm", killedByDip: null, survivesDip: "scraps, spat", dipIntervalDays: { from: null, to: null, words: "bench 1-2" }, cleanDips: "28 d zero", source: "fair; Clayton 1985 (pedal laceration)" },
  { ids: ["vermetid"], hatch: "brooded, 2-4 weeks", hatchToEggs: "months", clutch: "tens of crawl-out young or short larvae", killedByDip: null, survivesDip: "all (closed tube)", dipIntervalDays: null, cleanDips: "8 weekly counts flat", source: "poor" },
  ],
}

/** Coral dips. */
export const CORAL_DIPS: Sheet<CoralDip> = {
  title: "Coral dips",
  source: "outbreaks.md 6.2: hobby practice in the main",
  rows: [
  { id: "iodine", strength: "product label, or 20 mg/L as I2, 25 at most (0.4 mL of 5 % iodine-iodide solution, or 2 mL of 10 % povidone-iodine, which is 1 % available iodine, per L tank water) [H]", minutes: { from: 5, to: 10, words: "5-10" }, hits: "bacteria, ciliates, wounds", misses: "most flatworms, eggs", caution: "stains, toxic to fish; never in display; keep off anemones" },
  { id: "essential-oil", strength: "label dose", minutes: { from: 5, to: 15, words: "5-15" }, hits: "flatworms, nudibranchs, some crustaceans", misses: "eggs, red bugs partly", caution: "fresh batch each 30 min; rinse twice" },
  { id: "potassium-chloride", strength: "published or label strength only, no agreed dose", minutes: { from: 5, to: 15, words: "5-15" }, hits: "nudibranchs, flatworms", misses: "eggs", caution: "test one frag first; raises K: rinse well" },
  { id: "peroxide", strength: "3 % 5-10 mL per L for zoanthids only [H]", minutes: { from: 5, to: 5, words: "5" }, hits: "algae films, some slugs", misses: "eggs", caution: "not for small-polyp coral or anemones" },
  { id: "insecticide", strength: "no recipe given", minutes: null, hits: "crustaceans, worms", misses: "eggs", caution: "some keepers use garden insecticides: off-label, illegal in places, harms user, pods, shrimp and sewers; do not offer as a plan" },
  ],
}
