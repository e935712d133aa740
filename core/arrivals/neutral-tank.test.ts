import { fragTub } from '../courses/testing/corals.ts'
import { neutralTankFaults } from './neutral-tank.ts'

const rival = (it: ReturnType<typeof fragTub>, animalId: string, tankId: string) =>
  it.write({
    kind: 'arrival',
    ...it.at(-20, '09:00'),
    animalId,
    tankId,
    name: animalId,
    species: 'blenny',
    group: 'goby-blenny',
    count: 1,
  })
const read = (it: ReturnType<typeof fragTub>, tankId: string, parameter: 'temp' | 'salinity', value: number) =>
  it.write({
    kind: 'reading',
    ...it.at(0, '08:00'),
    tankId,
    parameter,
    result: { kind: 'value', value },
    unit: parameter === 'temp' ? '°C' : 'psu',
  })
const faults = (it: ReturnType<typeof fragTub>) =>
  neutralTankFaults(it.journal, it.settings, 'frag', ['rusty', 'dot'], it.ms(0, '12:00'))

test('a neutral tank is proven like any: ammonia by two methods, matched water, no course in it', () => {
  const it = fragTub()
  rival(it, 'rusty', 'hall')
  rival(it, 'dot', 'hall')
  read(it, 'hall', 'temp', 25)
  read(it, 'hall', 'salinity', 35)
  read(it, 'frag', 'temp', 23)
  const found = faults(it)
  expect(found).toEqual([
    expect.stringMatching(/^No ammonia reading/),
    expect.stringMatching(/^Dips against a pest.* runs in it/),
    expect.stringMatching(/^Its temperature does not match theirs/),
    'Its salinity was not read yet.',
  ])
  read(it, 'frag', 'temp', 25.5)
  read(it, 'frag', 'salinity', 35)
  it.write({ kind: 'course-end', ...it.at(0, '09:00'), courseId: 'c', outcome: 'finished' })
  it.write({
    kind: 'reading',
    ...it.at(0, '08:30'),
    tankId: 'frag',
    parameter: 'tan',
    result: { kind: 'value', value: 0 },
    unit: 'mg/L',
    basis: 'NH4',
  })
  it.write({
    kind: 'reading',
    ...it.at(0, '08:40'),
    tankId: 'frag',
    parameter: 'nh3',
    result: { kind: 'range', low: 0, high: 0.01 },
    unit: 'mg/L',
  })
  expect(faults(it)).toEqual([])
})

test('where one of them lived before is no neutral ground, nor where others live', () => {
  const it = fragTub()
  rival(it, 'rusty', 'frag')
  rival(it, 'dot', 'hall')
  rival(it, 'plum', 'frag')
  expect(faults(it)).toEqual(
    expect.arrayContaining([
      expect.stringMatching(/^rusty lived there/),
      expect.stringMatching(/^plum lives there already/),
    ]),
  )
})
