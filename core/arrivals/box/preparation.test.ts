import type { ContentOf } from '../../journal/entry.ts'
import { boxById } from './boxes.ts'
import { preparationsFor, type Preparation } from './preparation.ts'
import { tickId } from '../run/ticks.ts'
import { home } from '../testing.ts'

/** What is asked of the side tub on the evening before. */
function asked(it: ReturnType<typeof home>, tankId = 'side'): Record<string, Preparation> {
  const all = preparationsFor(it.journal, it.settings, boxById(it.journal, 'box')!, tankId, it.ms(0, '18:00'))
  return Object.fromEntries(all.map((one) => [one.id, one]))
}

const card = (result: ContentOf<'reading'>['result']) => ({ tankId: 'side', parameter: 'nh3', result, unit: 'mg/L' })

test('of an empty journal everything is missing, by the evening before, the missing first', () => {
  const it = home()
  it.expects('orchid')
  const items = preparationsFor(it.journal, it.settings, boxById(it.journal, 'box')!, 'side', it.ms(0, '08:00'))
  for (const id of ['cycled', 'salinity', 'heater', 'air', 'tests', 'lid', 'hides', 'own-tools', 'spare-water', 'ppe'])
    expect(items.find((one) => one.id === id)).toMatchObject({ state: 'missing', by: it.ms(0, '20:00') })
  const states = items.map(({ state }) => state)
  expect(states.indexOf('ok')).toBeGreaterThan(states.lastIndexOf('missing'))
  // What is not ticked leads to where it is put right.
  expect(Object.fromEntries(items.flatMap(({ id, mend }) => (mend ? [[id, mend]] : [])))).toEqual({
    cycled: 'readings',
    salinity: 'readings',
    heater: 'tank',
    air: 'tank',
    tests: 'tank',
  })
  expect(
    items.filter(({ state, isTick, mend }) => (state === 'missing' && !isTick && !mend) || (isTick && mend)),
  ).toEqual([])
})

test('a household of gallons, inches and specific gravity is told in them what the tank carries and what to swap', () => {
  const it = home()
  it.settings.units = { volume: 'us-gal', length: 'in', temperature: 'F', salinity: 'sg', alkalinity: 'dKH' }
  it.expects('orchid', { sellerPsu: 29 })
  it.read(0, '08:00', 'side', 'salinity', 33)
  const items = asked(it)
  expect(items['stocking']!.words).toBe('10 US gal with a fully seeded sponge carries them.')
  expect(items['salinity']!.words).toMatch(
    /1\.0249 SG.*1\.0218 SG, 0\.0030 SG apart.* swap 1\.22 US gal for fresh water/,
  )
  it.on(-20, '08:00', 'tank-setup', {
    tankId: 'side',
    name: 'Side tub',
    water: 'marine',
    role: 'quarantine',
    sheet: { shape: { kind: 'known', litres: 80 } },
  })
  for (let i = 0; i < 6; i++) it.expects(`more${i}`, { sizeCm: 12 })
  expect(asked(it)['stocking']!.words).toMatch(/^21\.1 US gal carries \d+ fish to 2 in, \d+ to 4 in or \d+ larger/)
})

describe('cycled: two ammonia methods that agree', () => {
  test('one method is not enough, whichever it is', () => {
    const it = home()
    it.expects('orchid')
    it.read(0, '08:00', 'side', 'tan', 0.05, { uncertainty: 0.1 })
    expect(asked(it)['cycled']).toMatchObject({
      state: 'missing',
      words: expect.stringMatching(/second method is missing/),
    })
    const other = home()
    other.expects('orchid')
    other.on(0, '08:00', 'reading', card({ kind: 'range', low: 0, high: 0.02 }))
    expect(asked(other)['cycled']!.words).toMatch(/the kit was not/)
  })

  test('a kit at nothing and a badge at nothing agree', () => {
    const it = home()
    it.expects('orchid')
    it.read(0, '08:00', 'side', 'tan', 0.05, { uncertainty: 0.1 })
    it.on(0, '08:05', 'reading', card({ kind: 'range', low: 0, high: 0.02 }))
    expect(asked(it)['cycled']).toMatchObject({ state: 'ok', by: null })
  })

  test('a badge that shows more than the kit allows disagrees, and the higher is acted on', () => {
    const it = home()
    it.expects('orchid')
    it.read(0, '08:00', 'side', 'tan', 0.05, { uncertainty: 0.1 })
    it.on(0, '08:05', 'reading', card({ kind: 'range', low: 0.05, high: 0.2 }))
    expect(asked(it)['cycled']).toMatchObject({
      state: 'missing',
      words: expect.stringMatching(/disagree.*Act on the higher/),
    })
  })

  test('total ammonia raised is not cycled; readings of last week are none', () => {
    const it = home()
    it.expects('orchid')
    it.read(0, '08:00', 'side', 'tan', 0.5)
    expect(asked(it)['cycled']!.words).toMatch(/not cycled yet/)
    const old = home()
    old.expects('orchid')
    old.read(-6, '08:00', 'side', 'tan', 0)
    expect(asked(old)['cycled']!.words).toMatch(/No ammonia reading of the last three days/)
  })
})

describe('salinity to meet the bag', () => {
  test('the seller is asked; within reach it is well; further apart the litres are named where nobody lives', () => {
    const it = home()
    it.expects('orchid')
    it.read(0, '08:00', 'side', 'salinity', 33)
    expect(asked(it)['salinity']!.state).toBe('asks')
    it.expects('orchid', { sellerPsu: 32.5 })
    expect(asked(it)['salinity']!.state).toBe('ok')
    it.expects('orchid', { sellerPsu: 27 })
    // 38 L from 33 to 27 psu: 38 · 6/33.
    expect(asked(it)['salinity']).toMatchObject({
      state: 'warns',
      words: expect.stringMatching(/swap 6.91 L for fresh water/),
    })
    it.on(0, '09:00', 'arrival', {
      animalId: 'x',
      tankId: 'side',
      species: 'snail',
      group: 'shrimp-crab-snail',
      count: 1,
    })
    expect(asked(it)['salinity']!.words).toMatch(/Others live there/)
  })
})

test('heater, air and kits are read from the journal; what it cannot tell is ticked', () => {
  const it = home()
  it.expects('orchid')
  for (const item of ['heater', 'air'] as const)
    it.on(-5, '08:00', 'equipment', { tankId: 'side', item, running: true })
  expect(asked(it)['heater']!.words).toMatch(/temperature not read/)
  it.read(0, '08:00', 'side', 'temp', 25.2)
  for (const parameter of ['tan', 'salinity', 'ph', 'alk-kh'])
    it.on(-5, '08:00', 'kit-setup', { kitId: `k-${parameter}`, name: parameter, parameter, uncertainty: { abs: 0.1 } })
  it.on(0, '09:00', 'task', { taskId: tickId('box', 'side', 'lid'), tankId: 'side', state: 'done' })
  const items = asked(it)
  for (const id of ['heater', 'air', 'tests', 'lid']) expect(items[id]!.state).toBe('ok')
  expect(items['hides']).toMatchObject({ state: 'missing', isTick: true })
  it.read(0, '10:00', 'side', 'temp', 21)
  expect(asked(it)['heater']!.words).toMatch(/21 °C: 24 °C to 26 °C wanted/)
})

/** The side tub set up again. */
const sideIs = (it: ReturnType<typeof home>, role: 'quarantine' | 'tub', litres: number) =>
  it.on(-20, '08:00', 'tank-setup', {
    tankId: 'side',
    name: 'Side tub',
    water: 'marine',
    role,
    sheet: { shape: { kind: 'known', litres } },
  })

describe('what the newcomer would do to others, and the water to it', () => {
  const copperCourse = (it: ReturnType<typeof home>) =>
    it.on(-3, '08:00', 'course-start', {
      courseId: 'cu',
      tankId: 'side',
      protocol: 'qt-b-drug14',
      doseId: 'cu-chelated-std',
      animalIds: [],
    })

  test('a fish into a running course starts it over, and that is said', () => {
    const it = home()
    it.expects('orchid')
    copperCourse(it)
    expect(asked(it)['restart-cu']).toMatchObject({
      state: 'warns',
      words: expect.stringMatching(/Copper, chelated runs here, 0 of 14 days proven\. A new fish starts it over/),
    })
  })

  test('a shrimp into copper is stopped, course or remains', () => {
    const it = home()
    it.expects('shrimp', { species: 'sexy shrimp', group: 'shrimp-crab-snail', count: 2 })
    expect(asked(it)['copper']).toBeUndefined()
    it.on(-9, '08:00', 'dose', { tankId: 'side', ingredient: 'cu-chelated', amount: 4, unit: 'mL', massMg: 40 })
    expect(asked(it)['copper']).toMatchObject({
      state: 'never',
      words: expect.stringMatching(/has not been read at nothing since/),
    })
    it.read(-2, '08:00', 'side', 'copper', 0)
    expect(asked(it)['copper']!.state).toBe('ok')
    copperCourse(it)
    expect(asked(it)['copper']!.state).toBe('never')
  })

  test('corals on their days without fish: a snail sends the batch to day 0', () => {
    const it = home()
    it.on(-19, '08:00', 'arrival', {
      animalId: 'frags',
      tankId: 'side',
      species: 'zoanthids',
      group: 'coral-soft',
      count: 3,
    })
    it.expects('snail', { species: 'turbo snail', group: 'shrimp-crab-snail' })
    expect(asked(it)['restart-fishless']!.words).toMatch(/day 19 of 76 without fish.*day 0/)
  })

  test('a fish into a quarantine tank where others are only watched starts their watch over', () => {
    const it = home()
    sideIs(it, 'quarantine', 38)
    it.expects('orchid')
    expect(asked(it)['restart-watch']).toBeUndefined()
    it.on(-9, '08:00', 'arrival', {
      animalId: 'needle',
      tankId: 'side',
      name: 'Needle',
      species: 'longnose hawkfish',
      group: 'hawkfish',
      count: 1,
    })
    expect(asked(it)['restart-watch']!.words).toMatch(/^Needle: under watch here, day 9 since the last came in/)
    copperCourse(it)
    expect(asked(it)).not.toHaveProperty('restart-watch')
    it.expects('orchid', { species: 'turbo snail', group: 'shrimp-crab-snail' })
    expect(asked(it)).not.toHaveProperty('restart-watch')
  })

  test('a display that its last fish left ten days ago may be left fallow: that is said until its days are over', () => {
    const it = home()
    it.expects('snail', { tankId: 'hall', species: 'turbo snail', group: 'shrimp-crab-snail' })
    const inHall = (now = it.ms(0, '12:00')) =>
      preparationsFor(it.journal, it.settings, boxById(it.journal, 'box')!, 'hall', now).find(
        ({ id }) => id === 'restart-fallow',
      )
    expect(inHall()).toBeUndefined()
    it.on(-10, '08:00', 'move', {
      animalId: 'plum',
      fromTankId: 'hall',
      toTankId: 'side',
      cleanTransfer: true,
    })
    expect(inHall()!.words).toMatch(/The last fish left 10 days ago.*snail or plug, ends that count/)
    expect(inHall(it.ms(66, '12:00'))).toBeUndefined()
  })

  test('more fish than the handbook’s table gives the tub is said, with the table', () => {
    const it = home()
    it.expects('orchid', { count: 1, sizeCm: 8 })
    expect(asked(it)['stocking']).toMatchObject({ state: 'ok' })
    it.expects('orchid', { count: 4, sizeCm: 8 })
    expect(asked(it)['stocking']).toMatchObject({
      state: 'warns',
      words: expect.stringMatching(/this is 4.0 times that/),
      mend: 'elsewhere',
    })
    // The table's 5 and 10 cm are 2 and 4 in: a fish of just that belongs to the row.
    it.expects('orchid', { count: 1, sizeCm: 5.08 })
    const small = asked(it)['stocking']!
    it.expects('orchid', { count: 3, sizeCm: 5 })
    it.expects('orchid', { count: 3, sizeCm: 5.08 })
    expect([small.state, asked(it)['stocking']!.state]).toEqual(['ok', 'ok'])
    sideIs(it, 'tub', 42)
    it.expects('orchid', { name: 'Rex', count: 1, sizeCm: 13 })
    expect(asked(it)['stocking']!.words).toBe('42 L carries no fish over 10 cm: a larger tank for Rex.')
  })

  test('two newcomers weeks apart in one water, and a second box the same day, are on the calendar', () => {
    const it = home()
    it.expects('orchid')
    expect(asked(it)['calendar']!.state).toBe('ok')
    it.expects('later', { boxId: 'other', due: '2026-11-12T10:00:00Z' })
    expect(asked(it)['calendar']!.words).toMatch(/whoever is second starts the count over/)
    it.expects('later', { boxId: 'other', due: '2026-11-02T15:00:00Z', tankId: 'hall' })
    expect(asked(it)['calendar']!.words).toMatch(/another box is due that day/)
  })

  test('the seller of a coral is asked for its light', () => {
    const it = home()
    it.expects('torch', { species: 'torch coral', group: 'coral-lps' })
    expect(asked(it)['light-torch']!.state).toBe('asks')
    it.expects('torch', { species: 'torch coral', group: 'coral-lps', lightUmol: 90 })
    expect(asked(it)['light-torch']).toMatchObject({ state: 'ok', words: '90 µmol; it starts at half of it.' })
  })
})
