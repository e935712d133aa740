import type { Definition, Rule, Step, Track } from './definition.ts'
import { ammonia, ammoniaLow, close, dewormProduct, dewormRules, dewormStep, dewormings, DEWORM_AFTER, join, look, setBack, watch } from './school-parts.ts'

/** Moves 72 h apart, four of them: courses.md. */
const STANDARD = { minIntervalHours: 60, usualHours: 72, maxIntervalHours: 74, minTotalHours: 272, minTransfers: 4 } as const

/** What all three tank-transfer schools share. */
const transfer = (
  part: Pick<Definition, 'id' | 'name' | 'treats' | 'handling'> & {
    rule: Extract<Track, { of: 'move' }>['rule']
    baths?: Extract<Track, { of: 'bath' }>
  },
): Definition => ({
  id: part.id,
  kind: 'school',
  name: part.name,
  treats: part.treats,
  roles: [
    { role: 'main', label: 'First tank set', must: true },
    {
      role: 'other',
      label: 'Second tank set',
      must: true,
    },
    { role: 'tub', label: 'Tub for baths', must: false },
  ],
  drugs: [],
  products: [
    ...(part.baths ? [{ dose: part.baths.dose, ingredient: 'peroxide', label: 'Peroxide for the baths' }] : []),
    dewormProduct,
  ],
  options: [
    {
      id: 'capture',
      label: 'Caught with',
      choices: [
        { id: 'container', label: 'a container' },
        { id: 'net', label: 'a net' },
      ],
    },
    DEWORM_AFTER,
  ],
  days: 12,
  ends: 'rounds',
  lead: 'moves',
  tracks: [
    { id: 'moves', kind: 'rounds', of: 'move', name: 'moves', rule: part.rule },
    ...(part.baths ? [part.baths] : []),
    watch,
    // A bare tank that is left every third day is no place for a wormer: after the moves only.
    ...dewormings.filter(({ only }) => only?.is.includes('after')),
  ],
  steps: [
    join,
    ...(part.baths
      ? [
          {
            id: 'bath',
            title: 'Peroxide bath',
            act: 'bath',
            due: { by: 'baths' },
            caution:
              'Gloves and goggles: peroxide burns skin and eyes. Strong air, stay beside it; out at once when a fish lies over or gasps. Local law and a licensed aquatic veterinarian decide on its use.',
          } satisfies Step,
        ]
      : []),
    {
      id: 'move',
      title: 'Move the fish',
      act: 'move',
      due: { by: 'moves' },
      caution: 'Only the fish moves: no water, net, filter or hide goes with it. Unplug heaters before hands go in.',
    },
    {
      id: 'sterilise',
      title: 'Empty and sterilise the tank they left',
      act: 'tick',
      due: { by: 'sets' },
      caution: 'Bleach: gloves, goggles, open windows, never with acids or ammonia. Rinse and dechlorinate, then dry.',
    },
    dewormStep,
    ammonia,
    look,
    close,
  ],
  rules: [
    { id: 'late-move', role: 'event', when: { judged: 'late-move' }, says: 'a move came too late' },
    ...(part.baths
      ? ([
          {
            id: 'bath-spacing',
            role: 'event',
            when: { judged: 'bath-spacing' },
            says: 'the second bath was not six days after the first',
          },
          {
            id: 'bath-without-move',
            role: 'event',
            when: { judged: 'bath-without-move' },
            says: 'a bath was not followed by a move within two hours',
          },
        ] satisfies Rule[])
      : []),
    {
      id: 'set-dry',
      role: 'gate',
      when: { judged: 'sets-dry' },
      says: 'the next tank set has stood bleached or dry for 24 h',
    },
    ammoniaLow,
    ...dewormRules,
    ...setBack,
  ],
  handling: part.handling,
  restore: [],
})

/** Schools that leave the parasite’s cysts behind by moving the fish: quarantine.md 7.1–7.4. */
export const TRANSFER_COURSES: readonly Definition[] = [
  transfer({
    id: 'qt-c-ttm',
    name: 'tank transfer',
    treats: ['marine-ich'],
    handling: 4,
    rule: STANDARD,
  }),
  transfer({
    id: 'qt-c-velvet',
    name: 'tank transfer, velvet interval',
    treats: ['marine-velvet', 'marine-ich'],
    handling: 8,
    rule: { minIntervalHours: 30, usualHours: 36, maxIntervalHours: 37, minTotalHours: 272, minTransfers: 8 },
  }),
  transfer({
    id: 'qt-c-hybrid',
    name: 'tank transfer with two peroxide baths',
    treats: ['marine-ich', 'marine-velvet'],
    handling: 6,
    rule: STANDARD,
    baths: {
      id: 'baths',
      kind: 'rounds',
      of: 'bath',
      name: 'peroxide baths',
      dose: 'peroxide-bath',
      need: 2,
      apartHours: [138, 144, 150],
      moveWithinHours: 2,
    },
  }),
]
