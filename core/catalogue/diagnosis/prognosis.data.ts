/** What has no cure, or about which schools differ: said plainly, and both stand. */
export interface Prognosis {
  says: string
  /** Two views that are both held; empty where nobody disagrees. */
  views: readonly { view: string; because: string }[]
  source: string
}

export const PROGNOSES: Readonly<Record<string, Prognosis>> = {
  uronema: {
    says: 'Advanced red sores are rarely curable: it is in muscle and organs by then. A small patch in a fish that eats still has a chance.',
    views: [
      {
        view: 'Treat: formalin baths, metronidazole in water and food',
        because: 'caught early, in a fish that eats and swims, some recover',
      },
      {
        view: 'A humane end, with a veterinarian',
        because: 'not upright, not eating, sores into muscle: treatment only prolongs it',
      },
    ],
    source: 'quarantine.md 2.1 uronema, 2.3 rule-euthanasia',
  },
  lymphocystis: {
    says: 'No drug works, and none is needed: it clears by itself in weeks to months. Good food, calm, no cutting.',
    views: [],
    source: 'quarantine.md 2.1 lymphocystis',
  },
  hlle: {
    says: 'No medicine. Food, water and dust-free carbon stop it; scars may stay.',
    views: [],
    source: 'quarantine.md 2.1 hlle',
  },
  'bacterial-internal': {
    says: 'Poor odds once it is off food. Mycobacteria are not curable and can infect human skin: gloves.',
    views: [
      { view: 'Antibiotic in food, with a veterinarian', because: 'while it still eats' },
      { view: 'A humane end, with a veterinarian', because: 'once it neither eats nor keeps upright' },
    ],
    source: 'quarantine.md 2.1 bacterial-internal, 2.3 rule-euthanasia',
  },
  'fungal-marine': {
    says: 'Rare: confirm by microscope before anything. The internal form is incurable.',
    views: [],
    source: 'quarantine.md 2.1 fungal-marine',
  },
  dropsy: {
    says: 'Mostly fatal once the scales stand. A humane end is fair, above all without a gain after five days.',
    views: [
      { view: 'Isolate, clean water, salts, antibiotic by a veterinarian', because: 'a few do turn, early on' },
      { view: 'A humane end, with a veterinarian', because: 'raised scales with no gain after five days' },
    ],
    source: 'quarantine.md 2.2 dropsy, 2.3 rule-euthanasia',
  },
  mycobacteriosis: {
    says: 'No reliable cure, and it can infect human skin: gloves, no bare cuts in the water.',
    views: [],
    source: 'quarantine.md 2.2 mycobacteriosis',
  },
  buoyancy: {
    says: 'A fault of body shape is lifelong; a fast and other food help the rest.',
    views: [],
    source: 'quarantine.md 2.2 buoyancy',
  },
  'brown-jelly': {
    says: 'Low odds: expect to lose more heads than you save. The neighbours are what you save.',
    views: [],
    source: 'outbreaks.md 5.1 brown-jelly',
  },
}
