import Type from 'typebox'
import { AcclimationMethod, AcclimationSetting, WayKind, WayLimits } from '../../acclimation/acclimation.schema.ts'
import { instant, nonNegative, oneOf, positive, strict } from '../../schema/types.ts'
import { animalProperties } from './animals.schema.ts'
import { content, count, id, name, opt, words } from './parts.schema.ts'

export const AcclimationStart = content(
  'acclimation-start',
  {
    runId: id(),
    tankId: id('where the animals go'),
    fromTankId: opt(id('the own tank they come from; else they come from outside')),
    animals: Type.Array(
      strict({
        animalId: id('of an awaited animal its expectedId'),
        ...animalProperties,
        count: count(),
        dip: opt(Type.Boolean({ description: 'a dip before it goes across' })),
        lightUmol: opt(nonNegative('light it comes from, µmol photons/m²/s')),
        noQuarantine: opt(Type.Boolean()),
        partOf: opt(id('the group of an own tank that it parts from when it goes across')),
      }),
      { minItems: 1, maxItems: 50 },
    ),
    way: WayKind,
    method: opt(AcclimationMethod),
    setting: AcclimationSetting,
    limits: WayLimits,
    shippingHours: nonNegative(),
    source: opt(name()),
    assumed: Type.Array(Type.String({ maxLength: 40 }), {
      maxItems: 40,
      description: 'figures of the setting that nobody measured',
    }),
    knowing: opt(words('limits the way does not keep, and was chosen all the same')),
  },
  'animals are brought from a bag, or another tank, to a tank: the float begins',
)
export const AcclimationEvent = content(
  'acclimation-event',
  {
    runId: id(),
    event: oneOf(['opened', 'scoop', 'pour-off', 'drip', 'measured', 'way', 'step'] as const),
    litres: opt(positive('of a scoop; of a pour-off what is left')),
    mlPerMinute: opt(nonNegative('of a drip; 0 is off')),
    temperatureC: opt(Type.Number({ minimum: 0, maximum: 40 })),
    salinityPsu: opt(Type.Number({ minimum: 0, maximum: 50 })),
    pH: opt(Type.Number({ minimum: 4, maximum: 10 })),
    tanMgPerL: opt(nonNegative('total ammonia as N')),
    way: opt(WayKind),
    method: opt(AcclimationMethod),
    step: opt(id('a step of the release that was done')),
  },
  'something done or measured during an acclimation',
)
export const AcclimationEnd = content(
  'acclimation-end',
  {
    runId: id(),
    tankId: id(),
    outcome: oneOf(['released', 'stopped'] as const),
    measured: opt(Type.Boolean({ description: 'that it was true was measured, not reckoned alone' })),
    off: opt(words('what was still off')),
    why: opt(words()),
  },
  'an acclimation is over',
)

export const IntroductionStart = content(
  'introduction-start',
  {
    introId: id(),
    way: oneOf(['box', 'neutral', 'pair'] as const, 'acclimation box, neutral tank first, mild rivals as a pair'),
    tankId: id('the tank they are to live in'),
    animalIds: Type.Array(id(), { minItems: 1, maxItems: 50 }),
    rivalIds: opt(Type.Array(id(), { maxItems: 50 })),
    neutralTankId: opt(id('of a neutral tank: where the rivals meet')),
    conditions: Type.Array(strict({ id: id(), words: words() }), {
      maxItems: 20,
      description: 'what must be true before the door is opened, written down first',
    }),
    notBefore: opt(instant('the door is not opened before this')),
  },
  'animals are to be brought together',
)
export const IntroductionMark = content(
  'introduction-mark',
  {
    introId: id(),
    tankId: id(),
    mark: oneOf(['condition', 'opened', 'shut', 'home'] as const),
    conditionId: opt(id()),
    holds: opt(Type.Boolean()),
    why: opt(words()),
  },
  'a condition is met or not, the door is opened or shut again, rivals go home together',
)
export const IntroductionEnd = content(
  'introduction-end',
  { introId: id(), tankId: id(), outcome: oneOf(['settled', 'stopped'] as const), why: opt(words()) },
  'an introduction is over',
)
export const Skirmish = content(
  'skirmish',
  {
    tankId: id(),
    introId: opt(id()),
    byId: opt(id('who began')),
    onId: opt(id('who bore it')),
    what: oneOf(['display', 'chase', 'nick', 'bite', 'pinned', 'rammed', 'fins-torn', 'singled-out'] as const),
    perHour: opt(nonNegative('chases an hour')),
    minutes: opt(nonNegative('how long the box was rammed')),
    words: opt(words()),
  },
  'two animals at odds',
)
export const Training = content(
  'training',
  {
    tankId: id(),
    animalIds: Type.Array(id(), { minItems: 1, maxItems: 50 }),
    food: name(),
    mark: Type.Integer({ minimum: 0, maximum: 4, description: 'as an appetite' }),
    place: opt(name('feeding clip, dish, hand')),
  },
  'a meal of feeding training, with its mark',
)
