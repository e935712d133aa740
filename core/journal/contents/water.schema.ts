import Type from 'typebox'
import { nonNegative, oneOf, positive, strict } from '../../schema/types.ts'
import { content, count, finiteValue, id, name, opt, overrides, words } from './parts.schema.ts'

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
    seen: opt(Type.Boolean({ description: 'head count: this animal was seen, or not' })),
    seenCount: opt(count('head count: how many of a group were seen, when not all were')),
    words: opt(words('what was written, in the keeper’s words')),
  },
  'something is seen, or looked for',
)

export const Count = content(
  'count',
  {
    tankId: id(),
    what: oneOf(['dip-count', 'patch-stage', 'cells', 'coverage', 'jar', 'pest-count'] as const),
    values: Type.Array(nonNegative(), { minItems: 1, maxItems: 100 }),
    of: opt(name('what was counted')),
    courseId: opt(id()),
  },
  'a count or a score of an outbreak, the same measure each time',
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
