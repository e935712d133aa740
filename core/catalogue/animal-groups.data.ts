import type { AnimalGroup } from './animal-group.types.ts'

/**
 * Species groups: which rows of the handbook's acclimation, sensitivity and sign tables hold for an animal. The mapping
 * is an editorial assumption; the rows it points to carry their own sources. "Goes down / up" acclimation of marine fish
 * is chosen by the direction of the change, so both map to `marine-fish`.
 */
export const ANIMAL_GROUPS: readonly AnimalGroup[] = [
  { id: 'marine-fish', name: 'marine fish', kind: 'fish', water: 'marine', acclimation: 'marine-fish', sensitivity: null, host: null },
  { id: 'surgeonfish', name: 'surgeonfish, rabbitfish', kind: 'fish', water: 'marine', acclimation: 'marine-fish', sensitivity: 'surgeonfish', host: 'host-surgeon-angel' },
  { id: 'angelfish-large', name: 'large angelfish', kind: 'fish', water: 'marine', acclimation: 'marine-fish', sensitivity: null, host: 'host-surgeon-angel' },
  { id: 'angel-dwarf', name: 'dwarf angelfish', kind: 'fish', water: 'marine', acclimation: 'marine-fish', sensitivity: 'angel-dwarf', host: 'host-surgeon-angel' },
  { id: 'butterfly', name: 'butterflyfish', kind: 'fish', water: 'marine', acclimation: 'marine-fish', sensitivity: 'butterfly', host: null },
  { id: 'clownfish', name: 'clownfish', kind: 'fish', water: 'marine', acclimation: 'marine-fish', sensitivity: null, host: 'host-clownfish' },
  { id: 'damsel-chromis', name: 'damsels, chromis', kind: 'fish', water: 'marine', acclimation: 'marine-fish', sensitivity: 'anthias-chromis', host: 'host-damsel-anthias' },
  { id: 'anthias', name: 'anthias', kind: 'fish', water: 'marine', acclimation: 'marine-fish-delicate', sensitivity: 'anthias-chromis', host: 'host-damsel-anthias' },
  { id: 'wrasse', name: 'wrasses', kind: 'fish', water: 'marine', acclimation: 'marine-fish-delicate', sensitivity: null, host: null },
  { id: 'wrasse-sand', name: 'leopard, tamarin and pencil wrasses', kind: 'fish', water: 'marine', acclimation: 'marine-fish-delicate', sensitivity: 'wrasse-sand', host: null },
  { id: 'dottyback-basslet', name: 'dottybacks, basslets, assessors', kind: 'fish', water: 'marine', acclimation: 'marine-fish', sensitivity: null, host: null },
  { id: 'hawkfish', name: 'hawkfish', kind: 'fish', water: 'marine', acclimation: 'marine-fish', sensitivity: null, host: null },
  { id: 'filefish', name: 'filefish, triggerfish', kind: 'fish', water: 'marine', acclimation: 'marine-fish', sensitivity: null, host: null },
  { id: 'puffer-box', name: 'puffers, boxfish, cowfish', kind: 'fish', water: 'marine', acclimation: 'marine-fish', sensitivity: 'puffer-box', host: null },
  { id: 'goby-blenny', name: 'gobies, blennies, jawfish', kind: 'fish', water: 'marine', acclimation: 'marine-fish', sensitivity: 'scaleless-marine', host: null },
  { id: 'eel-lionfish', name: 'morays, eels, lionfish', kind: 'fish', water: 'marine', acclimation: 'marine-fish', sensitivity: 'scaleless-marine', host: null },
  { id: 'dragonet', name: 'mandarins, scooters', kind: 'fish', water: 'marine', acclimation: 'marine-fish', sensitivity: 'dragonet', host: null },
  { id: 'syngnathid', name: 'seahorses, pipefish', kind: 'fish', water: 'marine', acclimation: 'marine-fish', sensitivity: 'syngnathid', host: 'host-damsel-anthias' },
  { id: 'elasmobranch', name: 'sharks, rays', kind: 'fish', water: 'marine', acclimation: 'marine-fish', sensitivity: 'elasmobranch', host: null },
  { id: 'freshwater-fish', name: 'freshwater fish', kind: 'fish', water: 'freshwater', acclimation: 'freshwater-fish', sensitivity: null, host: null },
  { id: 'fw-livebearer', name: 'guppies, mollies, platies, swordtails', kind: 'fish', water: 'freshwater', acclimation: 'freshwater-fish', sensitivity: null, host: 'host-livebearer' },
  { id: 'fw-cichlid', name: 'cichlids, discus, freshwater angelfish', kind: 'fish', water: 'freshwater', acclimation: 'freshwater-fish', sensitivity: null, host: 'host-cichlid' },
  { id: 'fw-labyrinth', name: 'bettas, gouramis, killifish', kind: 'fish', water: 'freshwater', acclimation: 'freshwater-fish', sensitivity: null, host: 'host-labyrinth-killi' },
  { id: 'fw-goldfish', name: 'goldfish, koi', kind: 'fish', water: 'freshwater', acclimation: 'freshwater-fish', sensitivity: null, host: 'host-goldfish-koi' },
  { id: 'fw-scaleless', name: 'tetras, loaches, corydoras, knifefish', kind: 'fish', water: 'freshwater', acclimation: 'freshwater-fish', sensitivity: 'fw-scaleless', host: null },
  { id: 'shrimp', name: 'shrimp (marine)', kind: 'invertebrate', water: 'marine', acclimation: 'shrimp-crab-snail', sensitivity: 'shrimp', host: null },
  { id: 'crab', name: 'crabs, hermits, lobsters (marine)', kind: 'invertebrate', water: 'marine', acclimation: 'shrimp-crab-snail', sensitivity: 'crab', host: null },
  { id: 'snail', name: 'snails, conchs (marine)', kind: 'invertebrate', water: 'marine', acclimation: 'shrimp-crab-snail', sensitivity: 'snail', host: null },
  { id: 'shrimp-crab-snail', name: 'crustaceans or molluscs, not told apart (marine)', kind: 'invertebrate', water: 'marine', acclimation: 'shrimp-crab-snail', sensitivity: 'invertebrate', host: null },
  { id: 'star-urchin', name: 'sea stars, urchins, sea cucumbers', kind: 'invertebrate', water: 'marine', acclimation: 'star-urchin', sensitivity: 'invertebrate', host: null },
  { id: 'clam', name: 'clams', kind: 'invertebrate', water: 'marine', acclimation: 'shrimp-crab-snail', sensitivity: 'invertebrate', host: null },
  { id: 'anemone', name: 'anemones', kind: 'invertebrate', water: 'marine', acclimation: 'anemone', sensitivity: 'invertebrate', host: null },
  { id: 'coral-soft', name: 'soft corals, zoanthids, mushrooms', kind: 'coral', water: 'marine', acclimation: 'coral', sensitivity: 'invertebrate', host: null },
  { id: 'coral-lps', name: 'large-polyp stony corals', kind: 'coral', water: 'marine', acclimation: 'coral', sensitivity: 'invertebrate', host: null },
  { id: 'coral-sps', name: 'small-polyp stony corals', kind: 'coral', water: 'marine', acclimation: 'coral', sensitivity: 'invertebrate', host: null },
  { id: 'fw-shrimp', name: 'freshwater shrimp', kind: 'invertebrate', water: 'freshwater', acclimation: 'freshwater-shrimp', sensitivity: 'shrimp', host: null },
  { id: 'fw-snail', name: 'freshwater snails', kind: 'invertebrate', water: 'freshwater', acclimation: 'freshwater-shrimp', sensitivity: 'snail', host: null },
]
