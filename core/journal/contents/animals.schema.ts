import Type, { type Static } from 'typebox'
import { instant, nonNegative, positive, strict } from '../../schema/types.ts'
import { content, count, id, name, opt, overrides, taskId, words } from './parts.schema.ts'

/** What an animal, or a group counted as one, is. */
export const animalProperties = {
  name: opt(name('an animal with a name; a group may go without')),
  species: name('as the keeper calls it'),
  group: id('species group of the catalogue'),
}
const sizeCm = () => opt(positive('a fish’s length, nose to tail'))
const animalDescription = strict({ ...animalProperties, sizeCm: sizeCm() })
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
    sizeCm: sizeCm(),
    expectedId: opt(id('the expected arrival it fulfils')),
    runId: opt(id('the acclimation it came by')),
    noQuarantine: opt(Type.Boolean({ description: 'straight in, by choice: watched instead' })),
    overrides: overrides(),
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
    sizeCm: sizeCm(),
    sellerPsu: opt(nonNegative('salinity it is kept at where it comes from')),
    lightUmol: opt(nonNegative('light a coral comes from, µmol photons/m²/s')),
    noQuarantine: opt(Type.Boolean({ description: 'straight in, by choice' })),
    dip: opt(Type.Boolean({ description: 'a dip is planned before it goes across' })),
    overrides: overrides(),
  },
  'an arrival is awaited; a later entry of the same expectedId replaces it',
)
export const DeadOnArrival = content(
  'dead-on-arrival',
  { expectedId: id(), tankId: id('where it was to go'), ...animalProperties, count: count() },
  'an awaited animal came dead; it never was in the tank',
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
    courseId: opt(id()),
    taskId: opt(taskId()),
    overrides: overrides(),
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
