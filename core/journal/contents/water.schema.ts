import Type from 'typebox'
import { nonNegative, oneOf, pH, positive, strict } from '../../schema/types.ts'
import { content, count, finiteValue, id, name, opt, overrides, taskId, words } from './parts.schema.ts'

export const ReadingResult = Type.Union([
  strict({ kind: Type.Literal('value'), value: finiteValue() }),
  strict({ kind: Type.Literal('below'), limit: finiteValue() }),
  strict({ kind: Type.Literal('above'), limit: finiteValue() }),
  strict({ kind: Type.Literal('range'), low: finiteValue(), high: finiteValue() }),
])
export const Reading = content(
  'reading',
  {
    tankId: id(),
    parameter: id('parameter of the catalogue'),
    result: ReadingResult,
    unit: Type.String({ maxLength: 12, description: 'the parameter’s unit, as a check' }),
    basis: opt(oneOf(['NH3', 'NH4', 'N'] as const, 'total ammonia only')),
    uncertainty: opt(nonNegative('95 % half-width, in the unit')),
    kitId: opt(id()),
    origin: opt(
      oneOf(['lab', 'file', 'probe', 'photometer'] as const, 'where it came from, where no hand tested and typed it'),
    ),
    deviceId: opt(id('the device that read it')),
    downL: opt(nonNegative('litres that were missing to the full line when it was drawn')),
    overrides: overrides(),
  },
  'a test value',
)

export const WaterChange = content(
  'water-change',
  {
    tankId: id(),
    litres: positive(),
    replacement: opt(
      strict(
        { copperMgPerL: opt(nonNegative()), salinityPsu: opt(nonNegative()), temperatureC: opt(finiteValue()) },
        'what the new water holds',
      ),
    ),
    overrides: overrides(),
  },
  'water is exchanged',
)

export const Dose = content(
  'dose',
  {
    tankId: id(),
    ingredient: id(),
    productId: opt(id()),
    amount: positive(),
    unit: oneOf(['mL', 'g', 'pack', 'drop'] as const),
    massMg: opt(positive('of what the product’s strength is counted in')),
    courseId: opt(id()),
    taskId: opt(taskId()),
    deviceId: opt(id('the pump that gave it')),
    overrides: overrides(),
  },
  'something is dosed into a tank',
)

export const Sighting = content(
  'sighting',
  {
    tankId: id(),
    animalIds: Type.Array(id(), { maxItems: 200 }),
    signs: Type.Array(strict({ sign: id('sign of the catalogue'), present: Type.Boolean() }), { maxItems: 100 }),
    appetite: opt(
      Type.Integer({
        minimum: 0,
        maximum: 4,
        description: '0 ignores, 1 looks, 2 mouths and spits, 3 eats some, 4 eats all',
      }),
    ),
    breathsPerMinute: opt(positive('gill beats at rest')),
    flashes: opt(nonNegative('scrapes on things in five minutes')),
    faeces: opt(oneOf(['none', 'stringy', 'normal'] as const)),
    lesion: opt(
      Type.Object(
        {
          mm: opt(nonNegative('across its widest part')),
          change: opt(oneOf(['worse', 'same', 'better', 'healed'] as const, 'against the look before')),
        },
        { additionalProperties: false, minProperties: 1, description: 'a sore or wound that is followed' },
      ),
    ),
    session: opt(id('the short look of the day that it was, of the catalogue')),
    minutes: opt(positive('of watching')),
    affected: opt(count('how many of a group show the signs; all of them where it is left out')),
    seen: opt(Type.Boolean({ description: 'head count: this animal was seen, or not' })),
    seenCount: opt(count('head count: how many of a group were seen, when not all were')),
    words: opt(words('what was written, in the keeper’s words')),
    courseId: opt(id()),
    taskId: opt(taskId()),
  },
  'something is seen, or looked for',
)

const MEASURES = [
  'patch-stage',
  'came-off',
  'eggs',
  'brushed',
  'alive',
  'cells',
  'diatom-share',
  'coverage',
  'pest-count',
  'removed',
  'left',
  'edge-mm',
  'survey',
  'polyps',
  'colour',
  'head-count',
  'visibility-cm',
  'wet-g',
] as const

export const Count = content(
  'count',
  {
    tankId: id(),
    what: opt(
      oneOf(
        ['dip-count', 'patch-stage', 'cells', 'coverage', 'jar', 'pest-count'] as const,
        'format 1: what is counted; with values',
      ),
    ),
    values: opt(Type.Array(nonNegative(), { minItems: 1, maxItems: 100 })),
    measure: opt(oneOf(MEASURES, 'what is counted or scored; with parts')),
    parts: opt(
      Type.Array(
        strict({ partId: id(), value: nonNegative(), values: opt(Type.Array(nonNegative(), { maxItems: 100 })) }),
        {
          minItems: 1,
          maxItems: 200,
        },
      ),
    ),
    of: opt(name('what was counted')),
    photoId: opt(id()),
    courseId: opt(id()),
    taskId: opt(taskId()),
  },
  'a count or a score of an outbreak, the same measure each time',
)

export const Bath = content(
  'bath',
  {
    tankId: id('where they live'),
    animalIds: Type.Array(id(), { maxItems: 200 }),
    partIds: opt(Type.Array(id(), { maxItems: 200 })),
    ingredient: id(),
    productId: opt(id()),
    amount: positive(),
    unit: oneOf(['mL', 'g', 'pack', 'drop'] as const),
    massMg: opt(positive('of what the product’s strength is counted in')),
    litres: positive('of the bath’s water'),
    water: opt(oneOf(['new', 'tank'] as const)),
    temperatureC: opt(finiteValue()),
    pH: opt(pH()),
    minutes: positive(),
    stopped: opt(words('ended early, and why')),
    courseId: opt(id()),
    taskId: opt(taskId()),
    overrides: overrides(),
  },
  'animals or corals are bathed or dipped in water of their own: no dose into the tank',
)

export const Feed = content(
  'feed',
  {
    tankId: id(),
    animalIds: opt(Type.Array(id(), { maxItems: 200 })),
    foodG: positive('g of food'),
    ingredient: opt(id('medicine in the food')),
    mgPerG: opt(positive('mg of it in a gram of food')),
    courseId: opt(id()),
    taskId: opt(taskId()),
    overrides: overrides(),
  },
  'food is given',
)

export const TopOff = content(
  'top-off',
  {
    tankId: id(),
    litres: positive(),
    salinityPsu: opt(nonNegative()),
    downL: opt(nonNegative('litres that were missing to the full line before it: only more than that dilutes')),
    overrides: overrides(),
  },
  'what evaporated is filled up',
)

export const Contact = content(
  'contact',
  {
    tankId: id('the water it touched'),
    from: opt(id('the tank it came from')),
    what: oneOf(['fish', 'water', 'tool', 'hand', 'snail', 'plug', 'media', 'suspect'] as const),
    overrides: overrides(),
  },
  'something wet of another system touched this water',
)

export const NewWater = content(
  'new-water',
  {
    litres: positive(),
    saltG: opt(positive()),
    salinityPsu: opt(nonNegative()),
    readings: opt(
      Type.Array(strict({ parameter: id(), value: finiteValue() }), {
        maxItems: 30,
        description: 'in the parameter’s unit',
      }),
    ),
  },
  'water is mixed for changes',
)

export const Photo = content(
  'photo',
  {
    photoId: id('names the picture in its own store and in an export'),
    tankId: opt(id()),
    animalIds: opt(Type.Array(id(), { maxItems: 200 })),
    about: opt(id('the entry it belongs to')),
    caption: opt(words()),
    widthPx: count(),
    heightPx: count(),
    bytes: Type.Integer({ minimum: 1 }),
  },
  'a picture, scaled down; a JPEG',
)

export const Note = content(
  'note',
  { tankId: opt(id()), animalIds: opt(Type.Array(id(), { maxItems: 200 })), text: words() },
  'free words',
)
