import type { KeyStep } from './microscope.types.ts'

const film = (signs: Readonly<Record<string, 'present' | 'absent'>>) => ({ 'marine-film': signs })

/** The handbook's microscope key, outbreaks.md 4, question by question; a test holds it against the handbook's rows. */
export const KEY_STEPS: readonly KeyStep[] = [
  {
    id: 'k1',
    question: 'Does anything move by itself?',
    how: 'At ×10, within ten minutes of taking the drop, the lamp dimmed. What only drifts along with everything else does not move by itself.',
    shows: { yes: ['ostreopsis', 'coolia'], no: ['diatoms', 'sand'] },
    choices: [
      { id: 'yes', label: 'Yes, it moves', leads: { to: 'k6' } },
      { id: 'no', label: 'No, it lies still', leads: { to: 'k2' } },
    ],
  },
  {
    id: 'k2',
    question: 'A rigid see-through box, boat, stick, needle or disc, golden inside?',
    how: 'The wall is glass: sharp edges, see-through ends, plates of gold within.',
    shows: { yes: ['diatoms'], no: ['chrysophytes', 'sand'] },
    choices: [
      {
        id: 'yes',
        label: 'Yes, a glass wall',
        leads: { found: { conditions: ['diatoms'], words: 'Diatoms: long ones are pennate, round ones centric.' } },
        says: {
          'marine-film': { 'a-m-glass-shells': 'present' },
          'freshwater-algae': { 'b-m-glass-shells': 'present' },
        },
      },
      {
        id: 'no',
        label: 'No',
        leads: { to: 'k3' },
        says: {
          'marine-film': { 'a-m-glass-shells': 'absent' },
          'freshwater-algae': { 'b-m-glass-shells': 'absent' },
        },
      },
    ],
  },
  {
    id: 'k3',
    question: 'A long unbranched chain of short discs, no grains inside?',
    how: 'Like a roll of coins, hundreds of them, one colour throughout.',
    shows: { yes: ['cyano-chain'], no: ['chrysophytes'] },
    choices: [
      {
        id: 'yes',
        label: 'Yes, a chain',
        leads: { found: { conditions: ['cyano-marine', 'cyano-fresh'], words: 'Cyanobacteria.' } },
        says: { 'marine-film': { 'a-m-chains': 'present' }, 'freshwater-algae': { 'b-m-chains': 'present' } },
      },
      {
        id: 'no',
        label: 'No',
        leads: { to: 'k4' },
        says: { 'marine-film': { 'a-m-chains': 'absent' }, 'freshwater-algae': { 'b-m-chains': 'absent' } },
      },
    ],
  },
  {
    id: 'k4',
    question: 'A thread with green or red bodies inside?',
    how: 'Follow one thread: do walls cross it, does it branch, how do the green bodies lie?',
    shows: { yes: ['green-thread'], no: ['chrysophytes', 'prorocentrum'] },
    choices: [
      {
        id: 'spiral',
        label: 'Yes: a green ribbon wound in a spiral',
        leads: { found: { conditions: ['spirogyra'], words: 'Spirogyra.' } },
        says: { 'freshwater-algae': { 'b-m-spiral': 'present' } },
      },
      {
        id: 'side-rows',
        label: 'Yes: no cross-wall, side branches in rows',
        leads: { found: { conditions: ['bryopsis'], words: 'Bryopsis.' } },
        says: film({ 'a-m-tube-no-walls': 'present', 'a-m-cross-walls': 'absent' }),
      },
      {
        id: 'plain-tube',
        label: 'Yes: no cross-wall, plain',
        leads: { found: { conditions: ['derbesia'], words: 'Derbesia.' } },
        says: film({ 'a-m-tube-no-walls': 'present', 'a-m-cross-walls': 'absent' }),
      },
      {
        id: 'walls-plain',
        label: 'Yes: cross-walls, unbranched',
        leads: { found: { conditions: ['gha-marine', 'hair-algae-fresh'], words: 'Green hair algae.' } },
        says: {
          ...film({ 'a-m-cross-walls': 'present', 'a-m-tube-no-walls': 'absent' }),
          'freshwater-algae': { 'b-m-spiral': 'absent', 'b-m-branched-walls': 'absent' },
        },
      },
      {
        id: 'walls-branched',
        label: 'Yes: cross-walls, branched',
        leads: {
          found: {
            conditions: ['cladophora-fresh', 'turf-algae', 'black-beard-algae', 'staghorn-algae'],
            words: 'A branched alga: how it sits and feels tells which.',
          },
        },
        says: {
          ...film({ 'a-m-cross-walls': 'present', 'a-m-tube-no-walls': 'absent' }),
          'freshwater-algae': { 'b-m-branched-walls': 'present' },
        },
      },
      {
        id: 'no',
        label: 'No thread',
        leads: { to: 'k5' },
        says: {
          ...film({ 'a-m-cross-walls': 'absent', 'a-m-tube-no-walls': 'absent' }),
          'freshwater-algae': { 'b-m-spiral': 'absent', 'b-m-branched-walls': 'absent' },
        },
      },
    ],
  },
  {
    id: 'k5',
    question: 'Golden cells at rest?',
    how: 'Go to ×40 and look at one: its size, its outline, what holds it.',
    shows: { yes: ['chrysophytes', 'prorocentrum'], no: ['sand'] },
    choices: [
      {
        id: 'jelly',
        label: 'Yes: round, 5–15 µm, in jelly',
        leads: { found: { conditions: ['chrysophytes'], words: 'Golden fluff of the chrysophyte type.' } },
        says: film({ 'a-m-still-in-jelly': 'present' }),
      },
      {
        id: 'notched',
        label: 'Yes: oval with a notch, 30–55 µm',
        leads: { found: { conditions: ['dino-prorocentrum'], words: 'The Prorocentrum type, at rest.' } },
        says: film({ 'a-m-notch-slow': 'present', 'a-m-still-in-jelly': 'absent' }),
      },
      {
        id: 'other',
        label: 'Yes, but neither of these',
        leads: { again: 'Cells slow down in the cold: warm the slide in the hand, wait two minutes, then ask again whether anything moves.' },
      },
      {
        id: 'no',
        label: 'No golden cells',
        leads: { again: 'Detritus, sand or pollen: take a new sample, from the freshest string or the top millimetre of the sand.' },
      },
    ],
  },
  {
    id: 'k6',
    question: 'Does it slide slowly and straight, stiff, without turning?',
    how: 'Watch one for ten seconds against the edge of the field.',
    shows: { yes: ['diatoms', 'cyano-chain'], no: ['coolia', 'amphidinium-large'] },
    choices: [
      {
        id: 'boat',
        label: 'Yes: a golden boat',
        leads: { found: { conditions: ['diatoms'], words: 'Diatoms that glide.' } },
        says: {
          'marine-film': { 'a-m-glass-shells': 'present' },
          'freshwater-algae': { 'b-m-glass-shells': 'present' },
        },
      },
      {
        id: 'chain',
        label: 'Yes: a chain of discs, gliding or swaying',
        leads: { found: { conditions: ['cyano-marine', 'cyano-fresh'], words: 'Cyanobacteria.' } },
        says: { 'marine-film': { 'a-m-chains': 'present' }, 'freshwater-algae': { 'b-m-chains': 'present' } },
      },
      { id: 'no', label: 'No, it swims', leads: { to: 'k7' } },
    ],
  },
  {
    id: 'k7',
    question: 'Hairs all round, fast, longer than 50 µm, eating others?',
    how: 'At ×40 the hairs flicker like a rim of heat; at ×10 it crosses the field within a second or two.',
    shows: { yes: ['ciliate'], no: ['ostreopsis', 'amphidinium-large'] },
    choices: [
      {
        id: 'slime',
        label: 'Yes, in coral slime and packed with algae cells',
        leads: { found: { conditions: ['brown-jelly'], words: 'Ciliates of brown jelly: minutes count for the coral.' } },
      },
      {
        id: 'cleaner',
        label: 'Yes, in a film',
        leads: { found: { conditions: [], words: 'A ciliate: a normal cleaner of sand and film. Follow another kind of cell.' } },
      },
      { id: 'no', label: 'No', leads: { to: 'k8' } },
    ],
  },
  {
    id: 'k8',
    question: 'Does it spin round one point as if tied, shaped like a tear-drop?',
    how: 'Choose one and keep your eye on it: does it come back to the same place with every turn?',
    only: { water: 'marine', else: 'k13' },
    shows: { yes: ['ostreopsis'], no: ['coolia', 'amphidinium-large'] },
    choices: [
      {
        id: 'yes',
        label: 'Yes, tied and spinning',
        leads: { found: { conditions: ['dino-ostreopsis'], words: 'The Ostreopsis type.' } },
        says: film({ 'a-m-tether-spin': 'present' }),
      },
      { id: 'no', label: 'No', leads: { to: 'k9' }, says: film({ 'a-m-tether-spin': 'absent' }) },
    ],
  },
  {
    id: 'k9',
    question: 'A flat oval with a small beak in front, swimming in all directions?',
    how: 'The beak is a tiny bent tip at the leading end: ×40 shows it when the cell rests.',
    shows: { yes: ['amphidinium-large', 'amphidinium-small'], no: ['coolia', 'prorocentrum'] },
    choices: [
      {
        id: 'large',
        label: 'Yes, 29 µm or longer',
        leads: { found: { conditions: ['dino-amphidinium-large'], words: 'Amphidinium, the large cell.' } },
        says: film({ 'a-m-oval-beak': 'present', 'a-m-under-25um': 'absent' }),
      },
      {
        id: 'small',
        label: 'Yes, 25 µm or shorter',
        leads: { found: { conditions: ['dino-amphidinium-small'], words: 'Amphidinium, the small cell.' } },
        says: film({ 'a-m-oval-beak': 'present', 'a-m-under-25um': 'present' }),
      },
      {
        id: 'between',
        label: 'Yes, between or not measured yet',
        leads: {
          found: {
            conditions: ['dino-amphidinium-large', 'dino-amphidinium-small'],
            words: 'Amphidinium: measure 20 cells. The median, split at 27 µm, says whether it is the large or the small cell.',
            measure: true,
          },
        },
        says: film({ 'a-m-oval-beak': 'present' }),
      },
      { id: 'no', label: 'No', leads: { to: 'k10' }, says: film({ 'a-m-oval-beak': 'absent' }) },
    ],
  },
  {
    id: 'k10',
    question: 'A round ball of 25–45 µm, swirling briskly?',
    how: 'It loops and wanders off; nothing holds it to one point.',
    shows: { yes: ['coolia'], no: ['prorocentrum', 'gambierdiscus'] },
    choices: [
      {
        id: 'yes',
        label: 'Yes, round and swirling',
        leads: { found: { conditions: ['dino-coolia'], words: 'The Coolia type.' } },
        says: film({ 'a-m-round-swirl': 'present' }),
      },
      { id: 'no', label: 'No', leads: { to: 'k11' }, says: film({ 'a-m-round-swirl': 'absent' }) },
    ],
  },
  {
    id: 'k11',
    question: 'An oval of 30–55 µm with a notch at one end, no groove across, slow?',
    how: 'At ×40: the notch sits at the narrow end, a pale spot in the middle.',
    shows: { yes: ['prorocentrum'], no: ['gambierdiscus', 'coolia'] },
    choices: [
      {
        id: 'yes',
        label: 'Yes, notched and slow',
        leads: { found: { conditions: ['dino-prorocentrum'], words: 'The Prorocentrum type.' } },
        says: film({ 'a-m-notch-slow': 'present' }),
      },
      { id: 'no', label: 'No', leads: { to: 'k12' }, says: film({ 'a-m-notch-slow': 'absent' }) },
    ],
  },
  {
    id: 'k12',
    question: 'A big lens of 60–100 µm, slow?',
    how: 'At ×10 it is as large as three of the others side by side.',
    shows: { yes: ['gambierdiscus'], no: ['coolia', 'prorocentrum'] },
    choices: [
      {
        id: 'yes',
        label: 'Yes, a big lens',
        leads: { found: { conditions: ['dino-gambierdiscus'], words: 'Gambierdiscus: rare, and its poison is a strong one.' } },
      },
      { id: 'no', label: 'No', leads: { to: 'k13' } },
    ],
  },
  {
    id: 'k13',
    question: 'Green and round, 2–30 µm?',
    how: 'Was the water itself green, or did it come off the glass?',
    shows: { yes: ['green-cells'], no: ['coolia'] },
    choices: [
      {
        id: 'water',
        label: 'Yes, from green water',
        leads: { found: { conditions: ['green-water'], words: 'Green water.' } },
      },
      {
        id: 'glass',
        label: 'Yes, from dust on the glass',
        leads: { found: { conditions: ['green-dust-algae'], words: 'Zoospores of green dust algae.' } },
      },
      {
        id: 'points',
        label: 'No: points of 0.5–2 µm that tremble',
        leads: { found: { conditions: ['bacterial-bloom'], words: 'Bacteria: a bloom.' } },
      },
      {
        id: 'unknown',
        label: 'None of these',
        leads: { found: { conditions: [], words: 'Unknown. Keep a clip and ask someone who knows algae; a treatment now could feed it.' } },
      },
    ],
  },
]
