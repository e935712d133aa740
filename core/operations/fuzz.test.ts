import fc from 'fast-check'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { OPERATIONS } from './registry.ts'
import { isOperation, runUnknown } from './run.ts'

type Json = null | boolean | number | string | Json[] | { [key: string]: Json }

/** Sound inputs of every operation to begin from. */
const sound = new Map<string, Json[]>()
for (const line of readFileSync(join(__dirname, 'check-values.jsonl'), 'utf8').split('\n').filter(Boolean)) {
  const { operation, input, expect: expected } = JSON.parse(line) as { operation: string; input: Json; expect: object }
  if (isOperation(operation) && !('error' in expected))
    sound.set(operation, [...(sound.get(operation) ?? []), small(input)])
}
const bag = { volumeL: 1.2, temperatureC: 22, salinityPsu: 31, pH: 7.2, alkalinityDkh: 7, tanMgPerL: 1 }
const limits = { maxPsuPerHour: 2, matchPsu: 1, matchC: 1.5, maxFreeAmmoniaMgPerL: 0.03, maxMinutes: 60 }
sound.set('acclimation.compare', [
  {
    animals: [
      { id: 'a', name: 'Needle', bag, limits },
      { id: 'b', name: 'Button', bag: { ...bag, salinityPsu: 34 }, limits: { ...limits, maxPsuPerHour: 1 } },
    ],
    tank: { temperatureC: 25, salinityPsu: 33, pH: 8.1, alkalinityDkh: 8 },
    container: { capacityL: 5, leaveL: 2.5 },
    room: { temperatureC: 21 },
    float: { minutes: 20 },
    shippingHours: 20,
    tankCanBeMatched: true,
  },
])
sound.set('pest.clearanceByCounts', [
  {
    cameOff: 1,
    eggsMean: 3,
    hatchHours: { min: 96, max: 240 },
    maturationHours: { min: 336, max: 500 },
    eggsPerAdultPerDay: 1,
    killMobile: 0.8,
    removeEggs: 0.5,
    cleanDipsHours: [120, 240],
    runs: 50,
    seed: 1,
  },
])
sound.set('logline.read', [
  {
    journal: { format: 'brinvo-journal', version: 1, exported: '2026-11-23T10:00:00Z', entries: [] },
    now: '2026-11-23T10:00:00Z',
    line: 'quar cu 2.1',
    locale: 'de',
  },
])
sound.set('courses.concerns', [
  {
    journal: { format: 'brinvo-journal', version: 1, exported: '2026-11-23T10:00:00Z', entries: [] },
    now: '2026-11-23T10:00:00Z',
    proposed: {
      kind: 'equipment',
      happened: '2026-11-23T10:00:00Z',
      tankId: 'quar',
      item: 'carbon',
      running: true,
    },
  },
])
sound.set('courses.standing', [
  {
    journal: {
      format: 'brinvo-journal',
      version: 1,
      exported: '2026-11-23T10:00:00Z',
      entries: [
        {
          id: 'start',
          logged: '2026-11-20T18:00:00Z',
          content: {
            kind: 'course-start',
            happened: '2026-11-20T18:00:00Z',
            courseId: 'c',
            tankId: 'quar',
            protocol: 'qt-b-drug14',
            doseId: 'cu-chelated-std',
            animalIds: ['needle'],
          },
        },
      ],
    },
    now: '2026-11-23T10:00:00Z',
    horizonDays: 7,
  },
])
sound.set('journal.read', [{ text: '{"format":"brinvo-journal","version":1,"entries":[]}' }, { text: '' }])

/** Simulations are kept short: it is not their length that is tried. */
function small(input: Json): Json {
  if (input === null || typeof input !== 'object' || Array.isArray(input)) return input
  const copy = { ...input }
  if (typeof copy['runs'] === 'number') copy['runs'] = Math.min(copy['runs'], 8)
  if (typeof copy['horizonHours'] === 'number') copy['horizonHours'] = Math.min(copy['horizonHours'], 200)
  return copy
}

const HOSTILE: readonly unknown[] = [
  NaN,
  Infinity,
  -Infinity,
  -1,
  0,
  -0,
  5e-324,
  1e-9,
  0.5,
  1,
  7.5,
  1e6,
  1e15,
  1e308,
  Number.MAX_SAFE_INTEGER,
  null,
  true,
  '',
  'NaN',
  '12',
  '9999-12-31T23:59:59.999Z',
  '2026-02-30T00:00:00Z',
  '2026-11-23T18:30:00Z',
  [],
  {},
  [[]],
  { unknown: 1 },
]

/** Every place in an input. */
function placesOf(value: Json, path: (string | number)[] = []): (string | number)[][] {
  if (value === null || typeof value !== 'object') return [path]
  const inner = Array.isArray(value)
    ? value.flatMap((part, i) => placesOf(part, [...path, i]))
    : Object.entries(value).flatMap(([key, part]) => placesOf(part, [...path, key]))
  return [path, ...inner]
}

function replaced(value: Json, [key, ...rest]: (string | number)[], by: unknown): unknown {
  if (key === undefined) return by
  if (Array.isArray(value)) return value.map((part, i) => (i === key ? replaced(part, rest, by) : part))
  const object = value as { [key: string]: Json }
  if (by === DROPPED && rest.length === 0) {
    const { [key as string]: _gone, ...others } = object
    return others
  }
  return { ...object, [key]: replaced(object[key as string]!, rest, by) }
}
const DROPPED = Symbol('left out')

function numbersOf(value: unknown): number[] {
  if (typeof value === 'number') return [value]
  return value === null || typeof value !== 'object' ? [] : Object.values(value).flatMap(numbersOf)
}

const CODES = ['invalid-input', 'no-solution', 'unknown-operation']

/** Runs it and looks at what comes: an answer of finite numbers, or a refusal that says where and why. */
function judged(operation: string, input: unknown): void {
  const result = runUnknown(operation, input)
  if (result.ok) for (const number of numbersOf(result.value)) expect(Number.isFinite(number)).toBe(true)
  else {
    expect(CODES).toContain(result.error.code)
    expect(result.error.path).toMatch(/^(\/|$)/)
    expect(result.error.message.length).toBeGreaterThan(4)
  }
}

/** What would make a run long for no gain: the lengths of simulations stay short. */
const LENGTHS = new Set(['runs', 'horizonHours', 'cap', 'maxMinutes'])

describe.each(Object.keys(OPERATIONS))('%s under fire', (operation) => {
  const inputs = sound.get(operation)!

  test('has sound inputs to begin from', () => {
    expect(inputs.length).toBeGreaterThan(0)
    for (const input of inputs) expect(runUnknown(operation, input).ok || operation === 'journal.read').toBe(true)
  })

  test('one or two places made hostile: refused or answered, never thrown, never a NaN', () => {
    const places = inputs.flatMap((input) =>
      placesOf(input)
        .filter((path) => !LENGTHS.has(String(path.at(-1))))
        .map((path) => ({ input, path })),
    )
    fc.assert(
      fc.property(
        fc.constantFrom(...places),
        fc.constantFrom(...HOSTILE, DROPPED),
        fc.option(fc.tuple(fc.nat(), fc.constantFrom(...HOSTILE))),
        ({ input, path }, by, second) => {
          let made = replaced(input, path, by === DROPPED && path.length === 0 ? undefined : by)
          if (second && made !== null && typeof made === 'object') {
            const others = placesOf(made as Json).filter((one) => !LENGTHS.has(String(one.at(-1))))
            const other = others[second[0] % others.length]!
            made = replaced(made as Json, other, second[1])
          }
          judged(operation, made)
        },
      ),
      { numRuns: 150 },
    )
  })

  test('NaN and the infinities are refused wherever a number stands; so is a property that is not known', () => {
    for (const input of inputs.slice(0, 2)) {
      for (const path of placesOf(input)) {
        let at: Json = input
        for (const key of path) at = (at as never)[key]
        if (typeof at !== 'number') continue
        for (const by of [NaN, Infinity, -Infinity])
          expect(runUnknown(operation, replaced(input, path, by))).toMatchObject({
            ok: false,
            error: { code: 'invalid-input' },
          })
      }
      expect(runUnknown(operation, { ...(input as object), surprise: 1 })).toMatchObject({
        ok: false,
        error: { code: 'invalid-input' },
      })
    }
  })

  test('anything at all', () => {
    fc.assert(
      fc.property(fc.anything(), (input) => judged(operation, input)),
      { numRuns: 60 },
    )
  })
})

test('hours that lead past every calendar are refused, not thrown at', () => {
  const readings = [{ at: '2025-03-24T12:00:00Z', mgPerL: 2.2 }]
  const input = { band: { lowMgPerL: 2, highMgPerL: 2.5 }, requiredHours: 1e15, maxGapHours: 48, volumeL: 60, readings }
  expect(runUnknown('clock.therapeutic', { ...input, events: [], now: '2025-03-25T12:00:00Z' })).toMatchObject({
    ok: false,
    error: { code: 'invalid-input', path: '/requiredHours' },
  })
})
