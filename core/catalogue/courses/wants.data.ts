/** Something of a tank's water that several courses may ask for. */
export type WaterThing =
  | 'carbon'
  | 'uv'
  | 'skimmer'
  | 'phosphate-remover'
  | 'auto-top-off'
  | 'light'
  | 'no3'
  | 'po4'
  | 'grazers'
  | 'fish'
  | 'invertebrates'
  | 'snails'

/** What is asked of it. */
export type Wanted = 'off' | 'on' | 'kept up' | 'lowered' | 'raised' | 'none' | 'new ones'

/** One order of a course to the water that it shares. */
export interface Want {
  thing: WaterThing
  wanted: Wanted
  /** Why, in a few words. */
  why: string
}

const want = (thing: WaterThing, wanted: Wanted, why: string): Want => ({ thing, wanted, why })

const KEPT = 'dinoflagellates win where it is at zero'
const DARK = 'the dark is the treatment'
const BINDS = 'it takes the medicine out'

/** What plans ask of the water, by definition: outbreaks.md 5.2. What a held drug, a dose or days without fish ask is worked out. */
export const PLAN_WANTS: Readonly<Record<string, readonly Want[]>> = {
  'dino-uv': [
    want('uv', 'on', 'it kills what swims at night'),
    want('no3', 'kept up', KEPT),
    want('po4', 'kept up', KEPT),
    want('grazers', 'none', 'what eats dinoflagellates dies of them'),
  ],
  'dino-sand': [
    want('phosphate-remover', 'off', 'phosphate is kept up'),
    want('no3', 'kept up', KEPT),
    want('po4', 'kept up', KEPT),
    want('grazers', 'none', 'what eats dinoflagellates dies of them'),
  ],
  'nutrient-lower': [want('no3', 'lowered', 'it feeds the algae'), want('po4', 'lowered', 'it feeds the algae')],
  'nutrient-raise': [
    want('no3', 'raised', 'corals pale without it'),
    want('po4', 'raised', 'corals pale without it'),
    want('phosphate-remover', 'off', 'it takes out what is dosed'),
  ],
  'blackout-marine': [want('light', 'off', DARK)],
  'cyano-fresh-blackout': [want('light', 'off', DARK)],
  'water-clear': [want('uv', 'on', 'it clears green water')],
  'siphonous-fluconazole': [want('carbon', 'off', BINDS), want('uv', 'off', 'it breaks the medicine down')],
  'planaria-fenbendazole': [want('carbon', 'off', BINDS), want('snails', 'none', 'it kills them')],
  'algae-manual-grazers': [want('grazers', 'new ones', 'they keep down what was pulled off')],
  'fresh-conditions': [want('grazers', 'new ones', 'they keep down what grows again')],
  'coral-rest': [want('light', 'on', 'dim, and up again in steps')],
  aftercare: [
    want('carbon', 'on', 'what was dosed is taken out'),
    want('grazers', 'new ones', 'one group at a time, each after a clean count'),
  ],
}

/** Orders that cannot both be followed. What is kept up may be raised. */
export const AGAINST: readonly (readonly [Wanted, Wanted])[] = [
  ['off', 'on'],
  ['lowered', 'raised'],
  ['lowered', 'kept up'],
  ['none', 'new ones'],
]
