import Type, { type Static, type TProperties } from 'typebox'
import { fraction, instant, nonNegative, oneOf, positive, strict } from '../schema/types.ts'
import { VolumeSheet } from '../volume/volume.schema.ts'
import { Product } from '../dosing/product.schema.ts'
import { AcclimationMethod, AcclimationSetting, WayKind, WayLimits } from '../acclimation/acclimation.schema.ts'
import { FORMAT_NAME } from './format.ts'

const id = (description?: string) =>
  Type.String({ minLength: 1, maxLength: 64, pattern: '^[A-Za-z0-9_-]+$', ...(description && { description }) })
const name = (description?: string) => Type.String({ minLength: 1, maxLength: 80, ...(description && { description }) })
const words = (description?: string) =>
  Type.String({ minLength: 1, maxLength: 4000, ...(description && { description }) })
const count = (description?: string) =>
  Type.Integer({ minimum: 1, maximum: 100_000, ...(description && { description }) })
const finiteValue = () => Type.Number()
/** A property that may be left out. */
const opt = Type.Optional

/** What every content has: its kind and the time it happened. */
const content = <K extends string, P extends TProperties>(kind: K, properties: P, description: string) =>
  strict({ kind: Type.Literal(kind), happened: instant(), note: opt(words()), ...properties }, description)

export const Household = content(
  'household',
  {
    timeZone: Type.String({ minLength: 1, maxLength: 64, description: 'IANA name; ledger days are its days' }),
    units: strict({
      volume: oneOf(['L', 'us-gal', 'uk-gal'] as const),
      length: oneOf(['cm', 'in'] as const),
      temperature: oneOf(['C', 'F'] as const),
      salinity: oneOf(['psu', 'sg'] as const),
      alkalinity: oneOf(['dKH', 'meq', 'ppm'] as const),
    }),
  },
  'time zone and unit habits of the household; the latest holds',
)

const tankProperties = {
  name: name(),
  short: opt(
    Type.String({
      minLength: 1,
      maxLength: 20,
      pattern: '^[A-Za-z0-9_-]+$',
      description: 'what the log line calls it',
    }),
  ),
  water: oneOf(['marine', 'freshwater'] as const),
  role: oneOf(['display', 'quarantine', 'frag', 'tub', 'jar', 'bucket'] as const),
  profile: opt(Type.String({ minLength: 1, maxLength: 40, description: 'band profile of the catalogue' })),
  sheet: opt(VolumeSheet),
  learntL: opt(positive('net volume as doses and readings showed it; holds over the sheet’s until the sheet changes')),
  contents: opt(Type.Array(oneOf(['rock', 'sand', 'plants', 'nothing'] as const), { maxItems: 4 })),
  retired: opt(Type.Boolean({ description: 'taken down' })),
}
const tankDescription = strict(tankProperties)
const tankChanges = Type.Unsafe<Partial<Static<typeof tankDescription>>>(Type.Partial(tankDescription))

export const TankSetup = content('tank-setup', { tankId: id(), ...tankProperties }, 'a tank is set up')
export const TankChange = content(
  'tank-change',
  { tankId: id(), changes: tankChanges },
  'parts of a tank’s description change; what is left out stays',
)

export const EquipmentSwitch = content(
  'equipment',
  {
    tankId: id(),
    item: oneOf([
      'carbon',
      'uv',
      'ozone',
      'skimmer',
      'auto-top-off',
      'flow',
      'heater',
      'air',
      'light',
      'resin',
      'dosing-pump',
      'co2',
      'ammonia-binder',
    ] as const),
    running: Type.Boolean(),
    removed: opt(Type.Boolean({ description: 'no longer at this tank' })),
  },
  'a piece of equipment is at a tank and runs or rests',
)

const kitProperties = {
  name: name(),
  parameter: id(),
  uncertainty: strict({
    abs: nonNegative('95 % half-width, in the parameter’s unit'),
    rel: opt(fraction('share of the value, added to abs')),
  }),
  step: opt(positive('smallest step it reads')),
  basis: opt(oneOf(['NH3', 'NH4', 'N', 'NO3', 'PO4', 'P', 'SiO2', 'Si'] as const, 'what it states its value as')),
  tankId: opt(id('the one tank it belongs to; any tank if left out')),
  retired: opt(Type.Boolean()),
}
const kitDescription = strict(kitProperties)
const kitChanges = Type.Unsafe<Partial<Static<typeof kitDescription>>>(Type.Partial(kitDescription))
export const KitSetup = content('kit-setup', { kitId: id(), ...kitProperties }, 'a test kit or meter is put to use')
export const KitChange = content('kit-change', { kitId: id(), changes: kitChanges }, 'a kit’s description changes')

const productProperties = {
  name: name('the keeper’s own word for it'),
  ingredient: id('active ingredient of the catalogue'),
  strength: Product,
  measure: opt(strict({ tool: name(), step: positive('smallest amount it measures, in the product’s unit') })),
  left: opt(nonNegative('in the product’s unit')),
  useBy: opt(Type.String({ pattern: '^\\d{4}-\\d{2}-\\d{2}$', description: 'last day' })),
  solvent: opt(Type.Boolean({ description: 'carried in alcohol or glycol' })),
  retired: opt(Type.Boolean()),
}
const productDescription = strict(productProperties)
const productChanges = Type.Unsafe<Partial<Static<typeof productDescription>>>(Type.Partial(productDescription))
export const ProductSetup = content(
  'product-setup',
  { productId: id(), ...productProperties },
  'a product stands on the shelf',
)
export const ProductChange = content(
  'product-change',
  { productId: id(), changes: productChanges },
  'a product’s description changes',
)

const animalProperties = {
  name: opt(name('an animal with a name; a group may go without')),
  species: name('as the keeper calls it'),
  group: id('species group of the catalogue'),
}
const animalDescription = strict(animalProperties)
const animalChanges = Type.Unsafe<Partial<Static<typeof animalDescription>>>(Type.Partial(animalDescription))
export const Arrival = content(
  'arrival',
  {
    animalId: id(),
    tankId: id(),
    ...animalProperties,
    count: count(),
    source: opt(name()),
    hoursInTransit: opt(nonNegative()),
    expectedId: opt(id('the expected arrival it fulfils')),
    runId: opt(id('the acclimation it came by')),
    noQuarantine: opt(Type.Boolean({ description: 'straight in, by choice: watched instead' })),
  },
  'an animal, or a group counted as one, comes into a tank',
)
export const AnimalChange = content(
  'animal-change',
  { animalId: id(), changes: animalChanges },
  'an animal’s description changes',
)
export const Expected = content(
  'expected',
  {
    expectedId: id(),
    tankId: id(),
    ...animalProperties,
    count: count(),
    due: instant('when it should be at the door'),
    hoursInTransit: opt(nonNegative()),
    source: opt(name()),
    cancelled: opt(Type.Boolean()),
    boxId: opt(id('arrivals that come in one box share it')),
    sizeCm: opt(positive('a fish’s length')),
    sellerPsu: opt(nonNegative('salinity it is kept at where it comes from')),
    lightUmol: opt(nonNegative('light a coral comes from, µmol photons/m²/s')),
    noQuarantine: opt(Type.Boolean({ description: 'straight in, by choice' })),
    dip: opt(Type.Boolean({ description: 'a dip is planned before it goes across' })),
  },
  'an arrival is awaited; a later entry of the same expectedId replaces it',
)
export const DeadOnArrival = content(
  'dead-on-arrival',
  { expectedId: id(), tankId: id('where it was to go'), ...animalProperties, count: count() },
  'an awaited animal came dead; it never was in the tank',
)

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

export const Move = content(
  'move',
  {
    animalId: id(),
    fromTankId: id(),
    toTankId: id(),
    count: opt(count('how many of a group; all if left out')),
    newAnimalId: opt(id('names the part of a group that moved')),
    cleanTransfer: opt(Type.Boolean({ description: 'only the animal moved: no water, net or decor with it' })),
  },
  'an animal moves between two tanks',
)
export const Death = content(
  'death',
  { animalId: id(), tankId: id(), count: opt(count('of a group; 1 if left out')), cause: opt(words()) },
  'an animal dies',
)
export const Departure = content(
  'departure',
  { animalId: id(), tankId: id(), count: opt(count('of a group; all if left out')), to: opt(words()) },
  'an animal leaves the household alive',
)

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
    what: oneOf(['display', 'chase', 'nick', 'bite', 'pinned', 'rammed', 'fins-torn'] as const),
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

export const Note = content(
  'note',
  { tankId: opt(id()), animalIds: opt(Type.Array(id(), { maxItems: 200 })), text: words() },
  'free words',
)

export const Task = content(
  'task',
  {
    taskId: Type.String({ minLength: 1, maxLength: 120, description: 'as the schedule names it' }),
    tankId: id(),
    courseId: opt(id()),
    state: oneOf(['done', 'skipped', 'postponed'] as const),
    until: opt(instant('postponed to')),
    why: opt(words()),
  },
  'a task of the schedule is done, skipped or postponed',
)

const courseProperties = {
  animalIds: Type.Array(id(), { maxItems: 200 }),
  productId: opt(id('what it is dosed with')),
  kitId: opt(id('what it is tested with')),
  rampHours: opt(positive('hours between the steps up to the dose')),
  direct: opt(Type.Boolean({ description: 'straight to the dose, where the handbook allows it' })),
  readAt: opt(
    Type.String({
      pattern: '^([01]\\d|2[0-3]):[0-5]\\d$',
      description: 'when the daily reading is due, on the wall clock',
    }),
  ),
  moveToTankId: opt(id('the sterile observation tank')),
  overrides: opt(
    Type.Array(
      strict({ rule: id('interaction or sensitivity of the catalogue'), why: words(), vetAgreed: Type.Boolean() }),
      { maxItems: 50 },
    ),
  ),
}
const courseDescription = strict(courseProperties)
const courseChanges = Type.Unsafe<Partial<Static<typeof courseDescription>>>(Type.Partial(courseDescription))

export const CourseStart = content(
  'course-start',
  {
    courseId: id(),
    tankId: id(),
    protocol: id('of the catalogue'),
    doseId: id('of the catalogue'),
    ...courseProperties,
  },
  'a treatment over days begins in a tank',
)
export const CourseChange = content(
  'course-change',
  { courseId: id(), changes: courseChanges },
  'how a course is run changes',
)
export const CourseEvent = content(
  'course-event',
  {
    courseId: id(),
    event: oneOf(
      ['carbon-left-in', 'new-fish-added', 'cross-contamination', 'sign-seen', 'unexplained-death'] as const,
      'of the catalogue’s clock events',
    ),
  },
  'something that changes the count of a course and that nothing else in the journal tells',
)
export const CourseEnd = content(
  'course-end',
  { courseId: id(), outcome: oneOf(['finished', 'stopped'] as const), why: opt(words()) },
  'a course is over',
)

/** Everything that can happen, apart from corrections and strike-outs. */
export const Content = Type.Union([
  Household,
  TankSetup,
  TankChange,
  EquipmentSwitch,
  KitSetup,
  KitChange,
  ProductSetup,
  ProductChange,
  Arrival,
  AnimalChange,
  Expected,
  DeadOnArrival,
  AcclimationStart,
  AcclimationEvent,
  AcclimationEnd,
  Move,
  Death,
  Departure,
  Reading,
  WaterChange,
  Dose,
  Sighting,
  Count,
  Photo,
  IntroductionStart,
  IntroductionMark,
  IntroductionEnd,
  Skirmish,
  Training,
  Note,
  Task,
  CourseStart,
  CourseChange,
  CourseEvent,
  CourseEnd,
])
export type Content = Static<typeof Content>
export type ContentKind = Content['kind']
export type ContentOf<K extends ContentKind> = Extract<Content, { kind: K }>

/**
 * The frame of one line of the journal, content apart: an entry records something, or corrects an earlier entry (content
 * of the same kind takes its place), or strikes one out. Nothing is ever changed in place.
 */
export const EntryFrame = strict({
  id: id(),
  logged: instant('when it was written down'),
  content: opt(Type.Unknown({ description: 'one of the contents; every entry but a strike-out has one' })),
  corrects: opt(id('the first entry, also when it was corrected before')),
  strikes: opt(id('an entry, or a correction or strike-out to take back')),
  why: opt(words('of a strike-out')),
})

export const JournalFile = strict({
  format: Type.Literal(FORMAT_NAME),
  version: Type.Integer({ minimum: 1 }),
  exported: instant('when the file was written'),
  entries: Type.Array(Type.Unknown({ description: 'entries' })),
})
