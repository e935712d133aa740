import { fragTub } from '../testing/corals.ts'
import { quarantine } from '../testing/schools.ts'

test('a fish that went to another tank is not watched in its course any more, and the course says where it is', () => {
  const it = quarantine({ definition: 'qt-f-observe', start: { animalIds: ['cobalt', 'ash'] } })
  it.write({
    kind: 'tank-setup',
    ...it.at(-9, '08:00'),
    tankId: 'hall',
    name: 'Hall',
    water: 'marine',
    role: 'display',
  })
  expect(it.plan(3, '12:00').living).toEqual(['cobalt', 'ash'])
  it.write({ kind: 'move', ...it.at(3, '10:00'), animalId: 'ash', fromTankId: 'quar', toTankId: 'hall' })
  const plan = it.plan(4, '12:00')
  expect(plan.living).toEqual(['cobalt'])
  expect(plan.tasks.find(({ step }) => step === 'look')!.animalIds).toEqual(['cobalt'])
  expect(plan.warnings.find(({ id }) => id === 'left')!.text).toMatch(
    /^ash went to Hall yesterday 10:00: no longer counted in this course\. Back here, it is counted again\.$/,
  )
  it.write({ kind: 'move', ...it.at(5, '10:00'), animalId: 'ash', fromTankId: 'hall', toTankId: 'quar' })
  expect(it.plan(6, '12:00').warnings.find(({ id }) => id === 'left')).toBeUndefined()
})

test('a coral that went to another tank is no host of the dips any more', () => {
  const it = fragTub()
  it.write({
    kind: 'arrival',
    ...it.at(-1, '09:00'),
    animalId: 'acro',
    tankId: 'frag',
    name: 'acro',
    species: 'acropora',
    group: 'coral-sps',
    count: 1,
  })
  it.write({
    kind: 'part-setup',
    ...it.at(-1, '09:30'),
    partId: 'acro-part',
    tankId: 'frag',
    what: 'coral',
    name: 'acro',
    group: 'coral-sps',
    pieces: 1,
    animalId: 'acro',
  })
  it.write({
    kind: 'course-change',
    ...it.at(0, '08:00'),
    courseId: 'c',
    changes: { partIds: ['zoa', 'psammo', 'acro-part'] },
  })
  expect(it.plan(1, '12:00').dips!.hosts.map(({ name }) => name)).toContain('acro')
  it.write({ kind: 'move', ...it.at(2, '10:00'), animalId: 'acro', fromTankId: 'frag', toTankId: 'hall' })
  const plan = it.plan(3, '12:00')
  expect(plan.dips!.hosts.map(({ name }) => name)).not.toContain('acro')
  expect(plan.warnings.find(({ id }) => id === 'left')!.text).toMatch(/^acro went to hall/)
})
