import type { DinoHabit, KeyNode, SamplingStep, Sheet } from './handbook.schema.ts'

/** Taking a sample for the microscope. */
export const SAMPLING: Sheet<SamplingStep> = {
  title: "Taking a sample for the microscope",
  source: "outbreaks.md 4: hobby practice in the main",
  rows: [
  { id: "m1", action: "choose and collect", detail: "take the brown, not the red film (cyano hides dinos): freshest string, bubble edge or top 1 mm of sand, mid light period; pipette 5-20 mL with tank water into a clear jar, look the same day" },
  { id: "m2", action: "shake or stir, then settle", detail: "10 s shake frees cells from mucus and sand; stand about 5 min: sand falls, cells stay above it" },
  { id: "m3", action: "pipette", detail: "the light brown layer just above the sand, not the sand" },
  { id: "m4", action: "slide", detail: "one drop; lower the cover slip at an angle so it pushes sand grains aside; a grain under the slip cracks it" },
  { id: "m5", action: "focus", detail: "lowest objective first (×4, then ×10, ×40); dim the lamp; judge motion at ×10 within 10 min, before heat slows cells" },
  { id: "m6", action: "measure", detail: "eyepiece scale or known grid; ×10 objective + ×10 eyepiece = field about 1.8 mm; 20 cells, median length" },
  { id: "m7", action: "record", detail: "10-20 s video per objective, cell length, motion word, count; three samples from different spots" },
  ],
}

/** Microscope key. */
export const KEY: Sheet<KeyNode> = {
  title: "Microscope key",
  source: "outbreaks.md 4: hobby practice with Hoppenrath et al. 2014 and Parsons et al. 2012",
  rows: [
  { id: "k1", look: "anything moving by itself?", yes: "k6", no: "k2" },
  { id: "k2", look: "rigid see-through box, boat, stick, needle or disc, golden inside?", yes: "diatoms (pennate = long, centric = round)", no: "k3" },
  { id: "k3", look: "long unbranched chain of short discs, no inner grains?", yes: "cyano-marine or cyano-fresh", no: "k4" },
  { id: "k4", look: "thread with green or red bodies inside?", yes: "spiral ribbon -> spirogyra; no cross-wall -> bryopsis (side rows) or derbesia (plain); cross-walls unbranched -> gha-marine or hair-algae-fresh; branched -> cladophora-fresh, turf-algae, black-beard-algae, staghorn-algae", no: "k5" },
  { id: "k5", look: "golden cells at rest?", yes: "5-15 µm round in jelly -> chrysophytes; 30-55 µm oval with notch -> dino-prorocentrum; otherwise warm the slide, wait 2 min, repeat k1", no: "detritus, sand, pollen: new sample" },
  { id: "k6", look: "slow straight slide, stiff body, no rotation?", yes: "golden boat -> diatoms; disc chain gliding or swaying -> cyano", no: "k7" },
  { id: "k7", look: "hairs all round, fast, > 50 µm, eats others?", yes: "ciliate: normal cleaner; in coral slime packed with algae cells -> brown-jelly", no: "k8" },
  { id: "k8", look: "spins round one point as if tied, tear-drop?", yes: "dino-ostreopsis", no: "k9" },
  { id: "k9", look: "flat oval, small front beak, swims in all directions?", yes: ">= 29 µm dino-amphidinium-large; <= 25 µm dino-amphidinium-small; between: measure 20 cells, split the median at 27", no: "k10" },
  { id: "k10", look: "round ball 25-45 µm, brisk swirling?", yes: "dino-coolia", no: "k11" },
  { id: "k11", look: "oval 30-55 µm, notch at one end, no cross groove, slow?", yes: "dino-prorocentrum", no: "k12" },
  { id: "k12", look: "big lens 60-100 µm, slow?", yes: "dino-gambierdiscus", no: "k13" },
  { id: "k13", look: "green, round, 2-30 µm?", yes: "green-water or green-dust-algae (zoospores)", no: "points 0.5-2 µm trembling -> bacterial-bloom; else unknown: ask an expert" },
  ],
}

/** What dinoflagellates do at night. */
export const DINO_HABITS: Sheet<DinoHabit> = {
  title: "What dinoflagellates do at night",
  source: "outbreaks.md 4: hobby practice in the main",
  rows: [
  { id: "dino-ostreopsis", atNight: "water column", uvHelps: "yes", mainLever: "dino-uv + floors", source: "good [H]; field studies also report daytime drift, so run UV 24 h/day" },
  { id: "dino-coolia", atNight: "water column", uvHelps: "yes", mainLever: "dino-uv + floors", source: "fair [H]" },
  { id: "dino-prorocentrum", atNight: "part leaves, part stays in mucus", uvHelps: "partial", mainLever: "dino-uv + siphon; add dino-sand if on sand", source: "poor [H]" },
  { id: "dino-amphidinium-small", atNight: "mixed reports", uvHelps: "partial", mainLever: "dino-sand; UV as helper", source: "poor [H]" },
  { id: "dino-amphidinium-large", atNight: "stays in sand", uvHelps: "no", mainLever: "dino-sand: silicate, diatoms, siphon", source: "good [H]" },
  { id: "dino-gambierdiscus", atNight: "mostly attached", uvHelps: "unknown", mainLever: "remove host algae", source: "poor [H]" },
  ],
}
