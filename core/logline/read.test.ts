import type { Content } from '../journal/entry.ts'
import { METRIC } from '../household/settings.ts'
import { bareTank } from '../journal/testing.ts'
import { household, kept, labels } from './testing.ts'

const read = household()

describe('readings', () => {
  test('a tank, a parameter, a value', () => {
    expect(kept(read('quar cu 2.1'))).toEqual([
      {
        kind: 'reading',
        happened: '2026-11-23T18:30:00.000Z',
        tankId: 'quar',
        parameter: 'copper',
        result: { kind: 'value', value: 2.1 },
        unit: 'mg/L',
        uncertainty: 0.05 + 0.05 * 2.1,
      },
    ])
  })

  test('several in a line, a leading point and a limit among them', () => {
    const values = kept(read('hall no3 12 po4 .08, no2 <0.05')).map((content) =>
      content.kind === 'reading' ? [content.parameter, content.result] : content.kind,
    )
    expect(values).toEqual([
      ['no3', { kind: 'value', value: 12 }],
      ['po4', { kind: 'value', value: 0.08 }],
      ['no2', { kind: 'below', limit: 0.05 }],
    ])
  })

  test('2,1 is asked about: one number or two', () => {
    const back = read('quar cu 2,1')
    expect(back.state).toBe('choose')
    expect('choices' in back && back.choices[0]).toEqual({ label: '2.1', text: 'quar cu 2.1' })
    expect(labels(read('hall ca 1,250'))).toEqual(['1.250', '1250', 'two numbers, 1 and 250'])
  })

  test('0,4 is 0.4 where the locale writes it so, in every line alike', () => {
    const german = household({ locale: 'de' })
    expect(kept(german('hall no3 0,4'))[0]).toMatchObject({ result: { kind: 'value', value: 0.4 } })
    expect(kept(german('quar change 7,5L'))[0]).toMatchObject({ litres: 7.5 })
    expect(kept(german('hall no2 <0,05, po4 0,1'))).toHaveLength(2)
    expect(household({ locale: 'en-GB' })('hall no3 0,4').state).toBe('choose')
    expect(household({ locale: 'no such locale' })('hall no3 0,4').state).toBe('choose')
  })

  test.each([
    ['hall NO3: 12', ['no3']],
    ['hall no3=12', ['no3']],
    ['hall no3:12 po4=.08', ['no3', 'po4']],
    ['hall no3 12 and po4 .08', ['no3', 'po4']],
    ['Hall: no3 12 now', ['no3']],
  ])('%s', (line, parameters) =>
    expect(kept(read(line)).map((content) => 'parameter' in content && content.parameter)).toEqual(parameters),
  )

  test('a slip of the decimal point is refused, with what would be plausible', () => {
    const back = read('quar cu 21')
    expect(back).toMatchObject({ state: 'unclear', message: expect.stringContaining('0 to 6 mg/L') })
    expect(labels(back)).toContain('2.1 mg/L')
    expect(read('quar cu -2').state).toBe('unclear')
    expect(read('quar cu').state).toBe('unclear')
    expect(read('quar cu high').state).toBe('unclear')
  })

  test('units as typed become the units that are kept', () => {
    const value = (line: string, from = read) => {
      const [content] = kept(from(line))
      return content?.kind === 'reading' && content.result.kind === 'value' ? content.result.value : null
    }
    expect(value('hall temp 77f')).toBeCloseTo(25)
    expect(value('hall alk 2.9 meq')).toBeCloseTo(8.12)
    expect(value('hall alk 150 ppm')).toBeCloseTo(8.393)
    expect(value('hall no3-n 2')).toBeCloseTo(8.854)
    expect(value('hall no3 2 mg/l N')).toBeCloseTo(8.854)
    expect(value('hall sal 1.0264')).toBeCloseTo(35.03, 1)
    expect(value('hall temp 77', household({ units: { ...METRIC, temperature: 'F' } }))).toBeCloseTo(25)
  })

  test('a temperature that can only be the other unit is offered as that', () => {
    expect(labels(read('hall temp 78'))).toContain('78 °F')
  })

  test('ammonia needs its basis, from the line or from the kit', () => {
    expect(labels(read('quar ammonia 0.5'))).toEqual(['as NH4', 'as NH3', 'as N'])
    expect(kept(read('quar ammonia 0.5 n'))[0]).toMatchObject({ basis: 'N' })
    expect(kept(read('quar nh3 .5'))[0]).toMatchObject({ basis: 'NH3' })
    const kit: Content = {
      kind: 'kit-setup',
      happened: '2026-07-01T00:00:00Z',
      kitId: 'k',
      name: 'drops',
      parameter: 'tan',
      uncertainty: { abs: 0.2 },
      basis: 'NH4',
    }
    expect(kept(household({ extra: [kit] })('quar ammonia 0.5'))[0]).toMatchObject({
      basis: 'NH4',
      kitId: 'k',
      uncertainty: 0.2,
    })
  })

  test('a gravity near 1 in fresh water could be psu', () => {
    expect(labels(read('study sal 1.0'))).toEqual(['specific gravity 1.0', '1.0 psu'])
    expect(kept(read('study sal 1.0psu'))[0]).toMatchObject({ result: { kind: 'value', value: 1 } })
  })

  test('a value far from the last is kept, and a repeat is asked for', () => {
    expect(read('quar cu 1.2')).toMatchObject({
      state: 'keep',
      notices: [expect.stringContaining('far from the last copper, 2.11')],
    })
    expect(read('quar cu 2.2')).toMatchObject({ state: 'keep', notices: [] })
  })

  test('a dose in between explains a value; without one it is far', () => {
    const dose: Content = {
      kind: 'dose',
      happened: '2026-11-23T10:00:00Z',
      tankId: 'quar',
      ingredient: 'cu-chelated',
      productId: 'cu',
      amount: 3.1,
      unit: 'mL',
      massMg: 31.08,
    }
    const at = (value: number): Content => ({
      kind: 'reading',
      happened: '2026-11-23T09:00:00Z',
      tankId: 'quar',
      parameter: 'copper',
      result: { kind: 'value', value },
      unit: 'mg/L',
    })
    // 31.08 mg in 64.75 L are 0.48 mg/L.
    expect(household({ extra: [at(1), dose] })('quar cu 1.48')).toMatchObject({ state: 'keep', notices: [] })
    expect(household({ extra: [at(2.22)] })('quar cu 2.71')).toMatchObject({
      notices: [expect.stringContaining('far from the last copper, 2.22 mg/L')],
    })
  })

  test('a stray number or word is named', () => {
    expect(read('hall no3 12 8')).toMatchObject({ state: 'unclear', message: expect.stringContaining('“8”') })
    expect(read('hall no3 12 gold 8')).toMatchObject({ state: 'unclear', message: expect.stringContaining('“gold”') })
  })
})

describe('names', () => {
  test('a beginning will do when it is the only one', () => {
    expect(kept(read('qua cu 2.1'))[0]).toMatchObject({ tankId: 'quar' })
    expect(kept(read('hall reef no3 3'))[0]).toMatchObject({ tankId: 'hall' })
  })

  test('two that match are both shown and neither is taken', () => {
    const back = household({ extra: [bareTank('hallway', 'Hallway nano')] })('hal no3 3')
    expect(back).toMatchObject({
      state: 'choose',
      choices: [
        { label: 'Hall reef', text: 'hall reef no3 3' },
        { label: 'Hallway nano', text: 'hallway nano no3 3' },
      ],
    })
  })

  test('a word of two names is asked about, though it is the first word of one', () => {
    const back = household({ extra: [bareTank('big', 'Big reef'), bareTank('nano', 'Reef nano')] })('reef no3 3')
    expect(labels(back)).toEqual(['Hall reef', 'Big reef', 'Reef nano'])
  })

  test('a whole name goes before the beginning of a longer one', () => {
    expect(kept(household({ extra: [bareTank('hallway', 'Hallway nano')] })('hall no3 3'))[0]).toMatchObject({
      tankId: 'hall',
    })
  })

  test('an unknown name is said, and can be kept as a note', () => {
    expect(read('kitchen no3 3')).toMatchObject({ state: 'unclear', choices: [{ text: 'note kitchen no3 3' }] })
  })

  test('names complete as they are typed', () => {
    expect(read('qu').completions).toEqual([{ label: 'Quarantine', text: 'quarantine ' }])
    expect(read('needle to si').completions).toEqual([{ label: 'Side tub', text: 'needle to side tub ' }])
    expect(read('needle ate, scr').completions).toContainEqual({ label: 'scratching', text: 'needle ate, scratching' })
    expect(read('hall nit').completions.map(({ label }) => label)).toEqual(['nitrate', 'nitrite'])
  })
})

describe('water changes and doses', () => {
  test('litres, a share of the net volume, gallons of the household', () => {
    expect(kept(read('quar change 15L'))).toEqual([
      { kind: 'water-change', happened: '2026-11-23T18:30:00.000Z', tankId: 'quar', litres: 15 },
    ])
    expect(kept(read('hall water change 20 %'))[0]).toMatchObject({ litres: 57.2 })
    expect(kept(household({ units: { ...METRIC, volume: 'us-gal' } })('hall change 4 gal'))[0]).toMatchObject({
      litres: 4 * 3.785411784,
    })
  })

  test('without a unit that matters the choices are shown', () => {
    expect(read('quar change 15')).toMatchObject({
      state: 'choose',
      choices: [{ text: 'quar change 15L' }, { text: 'quar change 15%' }],
    })
    const gallons = read('quar change 4 gal')
    expect('choices' in gallons && gallons.choices.map(({ text }) => text)).toEqual([
      'quar change 4usgal',
      'quar change 4ukgal',
    ])
  })

  test('more than the tank holds is no change; nor is nothing', () => {
    expect(read('quar change 100L').state).toBe('unclear')
    expect(read('quar change 0L').state).toBe('unclear')
    expect(read('quar change 120%').state).toBe('unclear')
  })

  test('a dose by the product’s ingredient, as measured, yesterday', () => {
    expect(kept(read('hall dose kno3 40ml yesterday 21:00'))).toEqual([
      {
        kind: 'dose',
        happened: '2026-11-22T21:00:00.000Z',
        tankId: 'hall',
        ingredient: 'potassium-nitrate',
        productId: 'kno3',
        amount: 40,
        unit: 'mL',
        massMg: 400,
      },
    ])
  })

  test('a dose without a product, of an unknown one, in the wrong unit or without one', () => {
    expect(read('quar dose 2.6ml')).toMatchObject({
      state: 'unclear',
      message: expect.stringContaining('Name the product'),
    })
    expect(read('quar dose gold 2ml').state).toBe('unclear')
    expect(read('quar dose copper 2g')).toMatchObject({
      state: 'unclear',
      message: expect.stringContaining('measured in mL'),
    })
    expect(read('quar dose copper 2.6')).toMatchObject({
      state: 'choose',
      choices: [{ text: 'quar dose copper 2.6mL' }],
    })
  })
})

describe('sightings, moves, deaths, notes', () => {
  test('what an animal did, in known signs and in its own words', () => {
    expect(kept(read('needle ate, scratching'))).toEqual([
      {
        kind: 'sighting',
        happened: '2026-11-23T18:30:00.000Z',
        tankId: 'quar',
        animalIds: ['needle'],
        signs: [{ sign: 'flashing', present: true }],
        appetite: 3,
        words: 'ate, scratching',
      },
    ])
    expect(kept(read('needle and burr not eating, no white spots'))[0]).toMatchObject({
      animalIds: ['needle', 'burr'],
      appetite: 0,
      signs: [
        { sign: 'not-eating', present: true },
        { sign: 'white-grains-countable', present: false },
      ],
    })
    expect(kept(read('quar all ate'))[0]).toMatchObject({ animalIds: ['burr', 'needle'] })
    expect(kept(read('quar burr breathing fast'))[0]).toMatchObject({
      animalIds: ['burr'],
      signs: [{ sign: 'breathing-fast', present: true }],
    })
  })

  test('words that are no known sign are kept as written, and that is said', () => {
    expect(read('plum guards its cave')).toMatchObject({
      state: 'keep',
      notices: ['“guards its cave” is kept in your words'],
      contents: [{ signs: [], words: 'guards its cave' }],
    })
  })

  test('one line cannot place a sighting in two tanks', () => {
    expect(read('needle and plum ate').state).toBe('unclear')
  })

  test('a move', () => {
    expect(kept(read('needle, burr to side'))).toEqual([
      { kind: 'move', happened: '2026-11-23T18:30:00.000Z', animalId: 'needle', fromTankId: 'quar', toTankId: 'side' },
      { kind: 'move', happened: '2026-11-23T18:30:00.000Z', animalId: 'burr', fromTankId: 'quar', toTankId: 'side' },
    ])
    expect(read('needle to quar')).toMatchObject({ state: 'unclear', message: expect.stringContaining('already') })
    expect(read('needle to').state).toBe('unclear')
  })

  test('a death in a group asks how many', () => {
    expect(read('tetras died')).toMatchObject({
      state: 'choose',
      choices: [{ text: 'tetras 1 died' }, { text: 'tetras 9 died' }],
    })
    expect(kept(read('tetras 2 died, jumped yesterday 07:15'))[0]).toMatchObject({
      kind: 'death',
      count: 2,
      cause: 'jumped',
      happened: '2026-11-22T07:15:00.000Z',
    })
    expect(read('tetras 12 died').state).toBe('unclear')
  })

  test('a note keeps every word', () => {
    expect(kept(read('hall note new lamp, 18 cm up'))).toEqual([
      { kind: 'note', happened: '2026-11-23T18:30:00.000Z', tankId: 'hall', text: 'new lamp, 18 cm up' },
    ])
    expect(kept(read('note salt ordered'))[0]).toEqual({
      kind: 'note',
      happened: '2026-11-23T18:30:00.000Z',
      text: 'salt ordered',
    })
    expect(kept(read('plum note <script>alert(1)</script>'))[0]).toMatchObject({
      text: '<script>alert(1)</script>',
      animalIds: ['plum'],
    })
  })

  test('anything else about a tank can be kept as a note', () => {
    expect(read('hall looks cloudy')).toMatchObject({ state: 'unclear', choices: [{ text: 'hall note looks cloudy' }] })
  })
})

test('an empty line is nothing, and odd ones never throw', () => {
  expect(read('   ').state).toBe('empty')
  for (const line of [
    ',',
    ';;;',
    'quar',
    'needle',
    'quar cu 2.1.3',
    '°',
    'quar dose',
    'all',
    'needle >',
    '2,1',
    'quar cu <',
    'quar 2.1 cu',
    'quar "x"',
    'note',
    '\u0000',
    'needle and',
    'quar all',
  ])
    expect(['choose', 'unclear', 'keep', 'empty']).toContain(read(line).state)
})

describe('equipment', () => {
  const switched = (line: string) =>
    kept(read(line)).map((content) => content.kind === 'equipment' && `${content.item} ${content.running}`)

  test.each([
    ['hall carbon in', ['carbon true']],
    ['hall uv off', ['uv false']],
    ['hall skimmer on', ['skimmer true']],
    ['hall uv off, skimmer on', ['uv false', 'skimmer true']],
    ['hall turned off the flow and the skimmer', ['flow false', 'skimmer false']],
    ['hall auto top-off back on 12:00', ['auto-top-off true']],
    ['hall carbon out', ['carbon false']],
  ])('%s', (line, expected) => expect(switched(line)).toEqual(expected))

  test('without on or off it is asked', () => {
    expect(labels(read('hall skimmer'))).toEqual(['on', 'off'])
  })
})

test('what is too long to be kept is said with what would be right, and never read as kept', () => {
  const back = household()(`note ${'y'.repeat(4001)}`)
  expect(back).toMatchObject({
    state: 'unclear',
    message: 'The note: expected at most 4000 letters; came 4001 letters',
  })
  expect(household()(`note ${'y'.repeat(4000)}`).state).toBe('keep')
})
