import type { Sensitivity } from './treatment.types.ts'

/**
 * What groups of animals do not tolerate, quarantine.md 5.6 (ids unchanged); shrimp, crabs and snails apart, further-schools.md 6. `agents` are agent, dose or group ids; `only` narrows
 * them: "high-band" to the standard band where a gentle one exists, "fast-ramp" to direct-to-dose and steps under 24 h. Where
 * the handbook says to avoid something it is refused without a written reason and a veterinarian's word, the safer reading.
 */
export const SENSITIVITIES: readonly Sensitivity[] = [
  { id: 'elasmobranch', examples: 'sharks, rays', source: 'Noga 2010; HP',
    avoid: [{ agents: ['cu-any', 'hyposalinity', 'formalin', 'chloroquine'] }], caution: [{ agents: ['praziquantel'], words: 'with a vet' }], prefer: 'act-vet', instead: 'a veterinarian' },
  { id: 'syngnathid', examples: 'seahorses, pipefish', source: 'HP',
    avoid: [{ agents: ['cu-any'] }], caution: [{ agents: ['chloroquine'] }, { agents: ['fw-dip'], words: 'length' }], prefer: 'formalin, metronidazole, fenbendazole', instead: 'formalin, metronidazole or fenbendazole' },
  { id: 'dragonet', examples: 'mandarins, scooters', source: 'HP',
    avoid: [{ agents: ['cu-any'] }], caution: [{ agents: ['chloroquine'] }], prefer: 'tank-transfer, observation', instead: 'tank transfer, or observation' },
  { id: 'wrasse-sand', examples: 'leopard, tamarin, pencil', source: 'HP',
    avoid: [{ agents: ['chloroquine'], only: 'high-band' }], caution: [{ agents: ['cu-chelated-gentle'] }, { agents: ['cu-any'], words: 'the gentle band is preferred' }, { agents: [], words: 'need a clean sand dish' }], prefer: 'cu-chelated-gentle, tank-transfer', instead: 'chelated copper in the gentle range, or tank transfer' },
  { id: 'angel-dwarf', examples: 'dwarf angels', source: 'HP',
    avoid: [{ agents: ['cu-any'], only: 'fast-ramp' }], caution: [{ agents: ['cu-chelated-gentle'] }, { agents: ['cu-any'], words: 'the gentle band is preferred' }], prefer: '2.0 + longer observation', instead: '2.0 mg/L with longer observation' },
  { id: 'butterfly', examples: 'butterflyfish', source: 'HP',
    avoid: [{ agents: ['cu-any'], only: 'high-band' }], caution: [{ agents: ['cu-any'], words: 'appetite' }], prefer: 'tank-transfer, chloroquine, gentle copper', instead: 'tank transfer, chloroquine or gentle copper' },
  { id: 'puffer-box', examples: 'puffers, boxfish, cowfish', source: 'HP',
    avoid: [{ agents: ['cu-any'], only: 'fast-ramp' }], caution: [{ agents: ['cu-any'], words: 'stressed boxfish can poison the water: alone' }], prefer: 'chloroquine, tank-transfer', instead: 'chloroquine, or tank transfer' },
  { id: 'scaleless-marine', examples: 'morays, eels, lionfish, jawfish, blennies, gobies', source: 'HP',
    avoid: [{ agents: ['cu-any'], only: 'high-band' }], caution: [{ agents: ['cu-any'] }, { agents: ['chloroquine'], words: 'in lionfish' }], prefer: 'tank-transfer, gentle copper', instead: 'tank transfer, or gentle copper' },
  { id: 'surgeonfish', examples: 'tangs', source: 'HP',
    avoid: [], caution: [{ agents: ['cu-any'], words: 'long copper upsets gut flora; watch weight' }], prefer: 'cu-chelated-std 14 d + transfer', instead: 'chelated copper for 14 days, then a move' },
  { id: 'anthias-chromis', examples: 'anthias, chromis, damsels', source: 'HP',
    avoid: [], caution: [{ agents: ['formalin', 'peroxide'], words: 'a bath costs it oxygen: strong air' }], prefer: 'the school against uronema (metronidazole)', instead: 'metronidazole against uronema' },
  { id: 'fw-scaleless', examples: 'loaches, corydoras, knifefish, tetras', source: 'Noga 2010; HP',
    avoid: [{ agents: ['malachite-green'], only: 'full-dose' }, { agents: ['salt'], only: 'over-1-to-2-g-per-l' }, { agents: ['permanganate'] }], caution: [{ agents: ['formalin'] }], prefer: 'half dose; heat for fw-ich if tolerated', instead: 'half the dose; heat against ich if they tolerate it' },
  { id: 'shrimp', examples: 'shrimp', source: 'HP; further-schools 6',
    avoid: [{ agents: ['cu-any', 'chloroquine', 'formalin', 'hyposalinity', 'levamisole'] }],
    caution: [{ agents: ['fenbendazole'], words: 'most tolerate it; expect single losses: count before and after' }, { agents: ['praziquantel'], words: 'kills flatworms, some tube worms' }, { agents: ['peroxide'], words: 'among the first to suffer' }, { agents: ['metronidazole'] }], prefer: 'separate fish first', instead: 'treat the fish in another tank' },
  { id: 'crab', examples: 'crabs, hermits, lobsters', source: 'HP; further-schools 6',
    avoid: [{ agents: ['cu-any', 'chloroquine', 'formalin', 'hyposalinity', 'levamisole'] }, { agents: ['fenbendazole'], words: 'dies of it' }],
    caution: [{ agents: ['praziquantel'], words: 'kills flatworms, some tube worms' }, { agents: ['peroxide', 'metronidazole'] }], prefer: 'separate fish first', instead: 'treat the fish in another tank' },
  { id: 'snail', examples: 'snails, conchs', source: 'HP; further-schools 6',
    avoid: [{ agents: ['cu-any', 'chloroquine', 'formalin', 'hyposalinity', 'levamisole'] }, { agents: ['fenbendazole'], words: 'out, and kept out for weeks to months' }],
    caution: [{ agents: ['praziquantel'], words: 'kills flatworms, some tube worms' }, { agents: ['peroxide', 'metronidazole'] }], prefer: 'separate fish first', instead: 'treat the fish in another tank' },
  { id: 'invertebrate', examples: 'corals, stars, clams, sponges; shrimp, crabs and snails where they are not told apart', source: 'HP',
    avoid: [{ agents: ['cu-any', 'chloroquine', 'formalin', 'hyposalinity', 'fenbendazole', 'levamisole'] }],
    caution: [{ agents: ['praziquantel'], words: 'kills flatworms, some tube worms' }, { agents: ['peroxide', 'metronidazole'] }], prefer: 'separate fish first', instead: 'treat the fish in another tank' },
]
