import Type, { type Static } from 'typebox'
import { fraction, instant, nonNegative, oneOf, positive, strict } from '../../schema/types.ts'
import { content, count, id, name, opt, overrides, taskId, words } from './parts.schema.ts'

const partProperties = {
  name: name('as the keeper calls it: "fern, left"'),
  control: opt(Type.Boolean({ description: 'left untreated, to compare with' })),
  x: opt(fraction('of the tank’s length, from the left')),
  y: opt(fraction('of the tank’s height, from the top')),
  pieces: opt(count('of a coral')),
  group: opt(id('animal group of the catalogue, of a coral')),
  animalId: opt(id('the animal of the ledger that it is')),
  elsewhere: opt(Type.String({ maxLength: 80, description: 'who else holds a piece of a coral' })),
  place: opt(
    strict(
      {
        compartment: opt(name('where in the tank: "left rack, high"')),
        flow: opt(oneOf(['none', 'gentle', 'pulsing', 'strong'] as const)),
        lightHours: opt(nonNegative('hours of light a day')),
        lightShare: opt(fraction('of the lamp’s full light')),
      },
      'where a coral stands',
    ),
  ),
}
const partDescription = strict({ ...partProperties, gone: opt(Type.Boolean()) })
const partChanges = Type.Unsafe<Partial<Static<typeof partDescription>>>(Type.Partial(partDescription))

export const PartSetup = content(
  'part-setup',
  {
    partId: id(),
    tankId: id(),
    what: oneOf(['patch', 'rock', 'coral', 'plant', 'jar'] as const),
    ...partProperties,
    overrides: overrides(),
  },
  'something in a tank that is measured by itself: a patch, a rock, a coral, a plant, a jar',
)
export const PartChange = content(
  'part-change',
  { partId: id(), changes: partChanges, overrides: overrides() },
  'what is known of a part changes',
)

const gearProperties = { name: name(), tankId: opt(id('the only tank it may touch')) }
const gearDescription = strict({ ...gearProperties, retired: opt(Type.Boolean()) })
const gearChanges = Type.Unsafe<Partial<Static<typeof gearDescription>>>(Type.Partial(gearDescription))
export const GearSetup = content(
  'gear-setup',
  { gearId: id(), ...gearProperties },
  'a net, tongs, a tub: a tool and whose it is',
)
export const GearChange = content('gear-change', { gearId: id(), changes: gearChanges }, 'a tool’s description changes')
export const GearClean = content(
  'gear-clean',
  {
    gearId: opt(id('a tool; left out, the whole set of the tank')),
    tankId: opt(id()),
    how: oneOf(['bleached', 'dried', 'boiled', 'new'] as const),
    until: opt(instant('when it may be used again; 24 h later unless said')),
    courseId: opt(id()),
    taskId: opt(Type.String({ minLength: 1, maxLength: 120 })),
  },
  'a tool or an emptied tank is made sterile',
)

/** Named figures, each in its own unit of the catalogue. */
const figures = (description: string) =>
  Type.Array(strict({ id: id(), value: nonNegative() }), { maxItems: 20, description })

export const BenchStart = content(
  'bench-start',
  {
    benchId: id(),
    procedure: id('of the catalogue'),
    tankId: opt(id()),
    partIds: opt(Type.Array(id(), { maxItems: 200 })),
    animalIds: opt(Type.Array(id(), { maxItems: 200 })),
    toTankId: opt(id('where animals go')),
    choices: opt(
      Type.Array(strict({ id: id(), option: id() }), { maxItems: 10, description: 'what was chosen before' }),
    ),
    figures: opt(figures('what was asked before')),
    measuredOut: opt(
      strict(
        {
          ingredient: id(),
          productId: opt(id()),
          amount: positive(),
          unit: oneOf(['mL', 'g', 'pack', 'drop'] as const),
          massMg: opt(positive('of what the product’s strength is counted in')),
          step: opt(positive('the least that its tool measures, in the unit')),
        },
        'for the tub or the tank',
      ),
    ),
    bottle: opt(
      strict(
        {
          name: name(),
          mgPerMl: positive('of the active ingredient'),
          step: opt(positive('the least that its syringe measures, mL')),
        },
        'what a session draws from; left out, 3 % peroxide',
      ),
    ),
    courseId: opt(id()),
    taskId: opt(taskId()),
    overrides: overrides(),
  },
  'a procedure at the bench begins',
)
export const BenchMark = content(
  'bench-mark',
  {
    benchId: id(),
    step: id(),
    state: oneOf(['begun', 'done', 'skipped'] as const),
    why: opt(words()),
    partId: opt(id('of a step that is done part by part')),
    animalId: opt(id('of a step that is done animal by animal')),
    values: opt(figures('of the step')),
  },
  'a step at the bench',
)
export const BenchEnd = content(
  'bench-end',
  {
    benchId: id(),
    outcome: oneOf(['finished', 'stopped'] as const),
    why: opt(words()),
    looks: opt(
      Type.Array(strict({ afterHours: positive(), words: words() }), {
        maxItems: 10,
        description: 'what is looked for afterwards, and when',
      }),
    ),
  },
  'a procedure at the bench is over',
)
