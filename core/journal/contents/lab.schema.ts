import Type from 'typebox'
import { nonNegative, oneOf, positive, strict } from '../../schema/types.ts'
import { content, id, name, opt, words, overrides } from './parts.schema.ts'

export const LabResult = content(
  'lab-result',
  {
    tankId: id(),
    sample: opt(name('what the sample is called on the sheet')),
    results: Type.Array(
      strict({
        element: id('element of the catalogue'),
        mgPerL: opt(nonNegative('left out where it was not found')),
        below: opt(nonNegative('mg/L: not found, and under this')),
      }),
      { minItems: 1, maxItems: 200 },
    ),
  },
  'a laboratory’s analysis of a tank’s water; what the household tests too is kept as readings beside it',
)

export const CsvColumns = content(
  'csv-columns',
  {
    header: Type.Array(Type.String({ maxLength: 120 }), { minItems: 1, maxItems: 2000 }),
    columns: Type.Array(Type.String({ maxLength: 60 }), {
      minItems: 1,
      maxItems: 2000,
      description: 'what each column holds, in the order of the header',
    }),
    dayOrder: oneOf(['ymd', 'dmy', 'mdy'] as const),
    names: opt(
      Type.Array(
        strict({
          name: Type.String({ minLength: 1, maxLength: 120, description: 'of a row' }),
          is: Type.String({ maxLength: 60, description: '“el:” an element, “of:” a parameter, or “ignore”' }),
        }),
        { maxItems: 200, description: 'names that were not known, and what they mean' },
      ),
    ),
  },
  'how the columns of a kind of table are read: asked once, then known',
)

export const Device = content(
  'device',
  {
    deviceId: id(),
    name: name('the keeper’s own word for it'),
    type: oneOf(['probe', 'photometer', 'pump', 'camera'] as const),
    tankId: id(),
    channel: Type.String({ minLength: 1, maxLength: 64, description: 'what the device server calls it' }),
    keeps: opt(
      Type.Array(id('parameter'), {
        maxItems: 20,
        description: 'parameters whose values are written down without being asked',
      }),
    ),
    standIn: opt(Type.Boolean({ description: 'simulated: what it sends is made up' })),
    retired: opt(Type.Boolean()),
  },
  'a device is attached to a tank; the latest holds',
)

export const PumpPlan = content(
  'pump-plan',
  {
    deviceId: id(),
    tankId: id(),
    productId: id('what is in its bottle'),
    mlByHour: Type.Array(nonNegative('mL'), {
      minItems: 24,
      maxItems: 24,
      description: 'what it gives in each hour of the local day',
    }),
    days: opt(positive('after so many days it ends')),
    bottleMl: opt(positive('what the bottle holds when the plan starts')),
    residueMl: opt(nonNegative('what the pump cannot draw')),
    stopped: opt(Type.Boolean({ description: 'it gives nothing any more' })),
    beingSent: opt(Type.Boolean({ description: 'the pump has not yet said that it took it; corrected once it has' })),
    why: opt(words()),
    overrides: overrides(),
  },
  'a dosing pump is given a plan of the day; the latest holds',
)
