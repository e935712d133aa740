import type { Definition } from './definition.ts'
import { addDefinitions, definitionById } from './definitions.ts'

interface DefinitionFile {
  ids: readonly string[]
  load: () => Promise<readonly Definition[]>
}

/** How sick fish are judged: what is fed, what is told of them. */
const loadWard = () => import('../../courses/warnings/ward-warnings.ts')

/** Which file holds which definitions. A test holds it against all of them. */
export const DEFINITION_FILES: readonly DefinitionFile[] = [
  {
    ids: ['qt-b-drug14', 'qt-a-cu30', 'qt-a-cq30'],
    load: async () => (await import('./schools.data.ts')).SCHOOL_COURSES,
  },
  {
    ids: ['qt-c-ttm', 'qt-c-velvet', 'qt-c-hybrid'],
    load: async () => {
      const [{ TRANSFER_COURSES }] = await Promise.all([
        import('./transfers.data.ts'),
        import('../../courses/steps/round-steps.ts'),
      ])
      return TRANSFER_COURSES
    },
  },
  {
    ids: ['qt-d-hypo', 'qt-d-fluke', 'qt-e-uronema', 'qt-f-observe', 'qt-g-none', 'qt-freshwater'],
    load: async () => {
      const [{ FURTHER_SCHOOLS }] = await Promise.all([
        import('./further-schools.data.ts'),
        import('../../courses/steps/salinity-steps.ts'),
        loadWard(),
      ])
      return FURTHER_SCHOOLS
    },
  },
  {
    ids: ['qt-add-worm', 'qt-add-metro', 'qt-add-formalin', 'qt-add-soak'],
    load: async () => {
      const [{ ADD_ONS }] = await Promise.all([import('./add-ons.data.ts'), loadWard()])
      return ADD_ONS
    },
  },
  {
    ids: ['qt-add-kanamycin', 'qt-add-nitrofurazone', 'qt-add-enrofloxacin', 'qt-add-ciprofloxacin'],
    load: async () => {
      const [{ ANTIBIOTICS }] = await Promise.all([
        import('./antibiotics.data.ts'),
        import('../../courses/steps/antibiotic-steps.ts'),
        loadWard(),
      ])
      return ANTIBIOTICS
    },
  },
  { ids: ['rest'], load: async () => (await import('./rest.data.ts')).REST_COURSES },
  {
    ids: ['fallow-76', 'fallow-45', 'fallow-velvet', 'fallow-fluke', 'fallow-brook', 'fallow-fw'],
    load: async () => {
      // How fish come back is asked for once the days are full: it comes when the page is idle.
      if (typeof requestIdleCallback === 'function')
        requestIdleCallback(() => void import('../../courses/steps/back-steps.ts'))
      else await import('../../courses/steps/back-steps.ts')
      return (await import('./fallow.data.ts')).FALLOW_COURSES
    },
  },
  {
    ids: ['coral-76', 'coral-45', 'coral-dip-cycle'],
    load: async () => (await import('./corals.data.ts')).CORAL_COURSES,
  },
  { ids: ['peroxide-spot'], load: async () => (await import('./plans/peroxide-spot.data.ts')).PEROXIDE_SPOT },
  {
    ids: [
      'peroxide-emersed',
      'peroxide-bench',
      'turf-in-tank',
      'peroxide-lift-and-spot',
      'peroxide-tank',
      'leather-drip',
    ],
    load: async () => (await import('./plans/peroxide.data.ts')).PEROXIDE_PLANS,
  },
  {
    ids: ['cyano-fresh-blackout', 'blackout-marine', 'siphonous-fluconazole'],
    load: async () => (await import('./plans/films.data.ts')).FILM_PLANS,
  },
  { ids: ['dino-uv', 'dino-sand'], load: async () => (await import('./plans/dinos.data.ts')).DINO_PLANS },
  {
    ids: [
      'cyano-marine-conditions',
      'algae-manual-grazers',
      'fresh-conditions',
      'water-clear',
      'bloom-aerate',
      'watch-wait',
    ],
    load: async () => (await import('./plans/conditions.data.ts')).CONDITION_PLANS,
  },
  {
    ids: [
      'bubble-rock',
      'anemone-bench',
      'anemone-mop-up',
      'vermetid-control',
      'hydroid-control',
      'asterina-manage',
      'bristleworm-manage',
      'flatworm-siphon',
      'trap-and-pick',
      'feed-less',
    ],
    load: async () => (await import('./plans/pests.data.ts')).PEST_PLANS,
  },
  {
    ids: ['planaria-fenbendazole'],
    load: async () => (await import('./plans/planaria.data.ts')).PLANARIA_PLANS,
  },
  {
    ids: [
      'brown-jelly',
      'cut-and-save',
      'recession-workup',
      'element-correct',
      'nutrient-lower',
      'nutrient-raise',
      'coral-rest',
      'coral-relocate',
    ],
    load: async () => {
      // What works out a day's portion comes with the plans that dose by it.
      const [{ DECLINE_PLANS }] = await Promise.all([
        import('./plans/decline.data.ts'),
        import('../../courses/steps/raise-steps.ts'),
      ])
      return DECLINE_PLANS
    },
  },
  {
    ids: ['aftercare'],
    load: async () => {
      const [{ AFTERCARE }] = await Promise.all([
        import('./plans/aftercare.data.ts'),
        import('../../courses/steps/ladder-steps.ts'),
      ])
      return AFTERCARE
    },
  },
]

/**
 * Loads the files of some definitions, so that the ledger needs only those that its journal names. Ids that no file holds are left out.
 * @throws where a file cannot be fetched: a course that is not known would silently have no tasks
 * @example
 * await loadDefinitions(['fallow-76']) // definitionById('fallow-76') is known
 */
export async function loadDefinitions(ids: Iterable<string>): Promise<void> {
  const wanted = new Set([...ids].filter((id) => definitionById(id) === undefined))
  const files = DEFINITION_FILES.filter((file) => file.ids.some((id) => wanted.has(id)))
  for (const definitions of await Promise.all(files.map(({ load }) => load()))) addDefinitions(definitions)
  // Courses of fish that need it at once have loaded it; for the others it comes when the page is idle.
  if (typeof requestIdleCallback === 'function') requestIdleCallback(() => void loadWard())
  else await loadWard()
}
