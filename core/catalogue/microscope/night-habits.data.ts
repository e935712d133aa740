/** Where the cells of a dinoflagellate are at night, and what follows. Rows of the handbook (outbreaks.md 4) with their words apart. */
export interface NightHabit {
  condition: string
  at: 'water' | 'sand' | 'part' | 'mixed' | 'attached'
  where: string
  uv: string
  /** Plans of outbreaks.md 5, first one first. */
  plans: readonly string[]
  lever: string
  source: string
}

/** What each dinoflagellate does at night. */
export const NIGHT_HABITS: readonly NightHabit[] = [
  {
    condition: 'dino-ostreopsis',
    at: 'water',
    where: 'leaves its strings and drifts in the water at night',
    uv: 'UV catches it there. Field studies also report drift by day: run the UV round the clock.',
    plans: ['dino-uv'],
    lever: 'UV from display to display, with nitrate and phosphate kept off zero',
    source: 'hobby practice, good',
  },
  {
    condition: 'dino-coolia',
    at: 'water',
    where: 'drifts in the water at night',
    uv: 'UV catches it there.',
    plans: ['dino-uv'],
    lever: 'UV from display to display, with nitrate and phosphate kept off zero',
    source: 'hobby practice, fair',
  },
  {
    condition: 'dino-prorocentrum',
    at: 'part',
    where: 'part leaves at night, part stays in its mucus',
    uv: 'UV catches only what leaves.',
    plans: ['dino-uv', 'dino-sand'],
    lever: 'UV and siphoning; where it is on the sand, the silicate way is added',
    source: 'hobby practice, poor',
  },
  {
    condition: 'dino-amphidinium-small',
    at: 'mixed',
    where: 'reports differ: some find it in the water at night, some in the sand',
    uv: 'UV helps in part.',
    plans: ['dino-sand', 'dino-uv'],
    lever: 'the silicate way; UV as a helper',
    source: 'hobby practice, poor',
  },
  {
    condition: 'dino-amphidinium-large',
    at: 'sand',
    where: 'stays in the sand at night',
    uv: 'UV does not reach it.',
    plans: ['dino-sand'],
    lever: 'silicate, so that diatoms take its place, and siphoning the sand',
    source: 'hobby practice, good',
  },
  {
    condition: 'dino-gambierdiscus',
    at: 'attached',
    where: 'stays mostly on the algae it sits on',
    uv: 'Whether UV helps is not known.',
    plans: ['algae-manual-grazers', 'dino-uv'],
    lever: 'its host algae taken out by hand, in gloves',
    source: 'hobby practice, poor',
  },
]
