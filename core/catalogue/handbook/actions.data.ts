import type { Sheet } from './handbook.schema.ts'

/** What can be done without any drug, named in the treatments: quarantine.md, head. */
export const ACTIONS: Sheet<{ id: string; what: string }> = {
  title: 'What to do without a drug',
  source: 'quarantine.md: general textbook knowledge',
  rows: [
    { id: 'act-test-water', what: 'test the water first: temperature, salinity, ammonia, oxygen' },
    { id: 'act-aerate', what: 'air: stone and surface ripple full on' },
    { id: 'act-water-change', what: 'change 30–50 % of the water, matched in temperature and salinity' },
    { id: 'act-carbon', what: 'fresh carbon, or metal resin for copper' },
    { id: 'act-no-carbon-dust', what: 'rinse or remove dusty carbon' },
    { id: 'act-isolate', what: 'into a tank of its own' },
    { id: 'act-clean-tank', what: 'move to a sterile tank' },
    { id: 'act-feed', what: 'small, varied, frequent meals' },
    { id: 'act-fast', what: 'no food for 48 hours' },
    { id: 'act-dim', what: 'dim the light' },
    { id: 'act-cool', what: 'to the low end of the species’ range, slowly' },
    { id: 'act-hand-removal', what: 'take the parasite off by hand' },
    { id: 'act-bind-ammonia', what: 'bind the ammonia; never with copper in the water' },
    { id: 'act-dry', what: 'empty, and dry fully for at least 24 hours' },
    { id: 'act-observe', what: 'watch, and change nothing yet' },
    { id: 'act-vet', what: 'ask a licensed aquatic veterinarian' },
    { id: 'act-euthanasia', what: 'a humane end, with a veterinarian, by local law' },
  ],
}
