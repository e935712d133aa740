import type { AnimalLimitRow, Sheet } from './handbook.schema.ts'

/** What animals bear when they arrive. */
export const ANIMAL_LIMITS: Sheet<AnimalLimitRow> = {
  title: "What animals bear when they arrive",
  source: "acclimation.md: hobby practice in the main; open to the keeper",
  rows: [
  { id: "marine-fish-down", group: "marine fish, salinity going down", maxPsuPerHour: 8, matchPsu: 2, matchC: 1.5, maxFreeAmmoniaMgPerL: 0.03, maxMinutes: 60 },
  { id: "marine-fish-up", group: "marine fish, salinity going up", maxPsuPerHour: 2, matchPsu: 1, matchC: 1.5, maxFreeAmmoniaMgPerL: 0.03, maxMinutes: 60 },
  { id: "marine-fish-delicate", group: "marine fish, delicate (anthias, wrasse, leopard types)", maxPsuPerHour: 1.5, matchPsu: 1, matchC: 1, maxFreeAmmoniaMgPerL: 0.02, maxMinutes: 75 },
  { id: "shrimp-crab-snail", group: "shrimp, crab, snail", maxPsuPerHour: 2, matchPsu: 1, matchC: 1, maxFreeAmmoniaMgPerL: 0.02, maxMinutes: 90 },
  { id: "star-urchin", group: "sea star, urchin, sea cucumber", maxPsuPerHour: 1, matchPsu: 0.5, matchC: 1, maxFreeAmmoniaMgPerL: 0.02, maxMinutes: 180 },
  { id: "coral", group: "soft and stony coral", maxPsuPerHour: 4, matchPsu: 1.5, matchC: 1.5, maxFreeAmmoniaMgPerL: 0.03, maxMinutes: 45 },
  { id: "anemone", group: "anemone", maxPsuPerHour: 3, matchPsu: 1, matchC: 1.5, maxFreeAmmoniaMgPerL: 0.03, maxMinutes: 60 },
  { id: "freshwater-fish", group: "freshwater fish", maxPsuPerHour: null, matchPsu: null, matchC: 1.5, maxFreeAmmoniaMgPerL: 0.02, maxMinutes: 45 },
  { id: "freshwater-shrimp", group: "freshwater shrimp", maxPsuPerHour: null, matchPsu: null, matchC: 1, maxFreeAmmoniaMgPerL: 0.02, maxMinutes: 120 },
  ],
}
