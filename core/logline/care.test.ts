import type { Content } from '../journal/entry.ts'
import { household, kept, labels } from './testing.ts'

const happened = '2026-11-01T10:00:00Z'
const SHELF: Content[] = [
  {
    kind: 'product-setup',
    happened,
    productId: 'iodine',
    name: 'iodine dip',
    ingredient: 'iodine-dip',
    strength: { kind: 'solution', mgPerMl: 50 },
  },
  { kind: 'part-setup', happened, partId: 'A', tankId: 'study', what: 'patch', name: 'fern, left' },
  { kind: 'part-setup', happened, partId: 'B', tankId: 'study', what: 'patch', name: 'wood' },
  { kind: 'part-setup', happened, partId: 'C', tankId: 'study', what: 'patch', name: 'fern, right', control: true },
  {
    kind: 'arrival',
    happened,
    animalId: 'zoas',
    tankId: 'side',
    species: 'zoanthid frags',
    group: 'coral-soft',
    count: 6,
  },
]
const read = household({ extra: SHELF })
const one = (line: string) => kept(read(line))[0]!

describe('baths and dips', () => {
  test('what, in how much water, how long; its milligrams are known', () => {
    expect(one('side bath iodine 0.4ml 1L 8min')).toMatchObject({
      kind: 'bath',
      tankId: 'side',
      animalIds: ['zoas'],
      ingredient: 'iodine-dip',
      amount: 0.4,
      unit: 'mL',
      massMg: 20,
      litres: 1,
      minutes: 8,
    })
    expect(one('side dip iodine 0.4 ml in 1 l 8 min')).toMatchObject({ litres: 1, minutes: 8 })
  })
  test.each([
    ['side bath iodine 0.4ml', /how much water/],
    ['side bath iodine 0.4ml 1L', /how many minutes/],
    ['side bath iodine 0.4ml 1L 8min tomorrow', /left over|lies ahead/],
    ['jar bath iodine 0.4ml 1L 8min', /nobody lives/],
  ])('%s: it says what is missing', (line, message) => {
    const back = read(line)
    expect('message' in back ? back.message : 'question' in back ? back.question : '').toMatch(message)
  })
  test('stronger than the handbook, or longer: asked about', () => {
    const strong = read('side bath iodine 0.6ml 1L 8min')
    expect(strong).toMatchObject({ state: 'choose', question: expect.stringMatching(/above the 25/) as string })
    expect(read('side bath iodine 0.4ml 1L 40min')).toMatchObject({ state: 'choose' })
    expect(one('side bath iodine 0.6ml 1L 8min anyway because label')).toMatchObject({
      overrides: [{ rule: 'over-band' }],
    })
  })
})

describe('counts and scores', () => {
  test.each([
    ['side count dip 9', 'came-off', 9],
    ['side count eggs 0', 'eggs', 0],
    ['study count coverage 12%', 'coverage', 12],
    ['study count jar 3', 'alive', 3],
  ])('%s', (line, measure, value) => expect(one(line)).toMatchObject({ kind: 'count', measure, values: [value] }))
  test('a count of nothing known is asked', () => expect(labels(read('side count things 9'))).toContain('dip'))
  test('each patch with its stage; the control by that word', () => {
    expect(one('study stage A2 B1 control0')).toMatchObject({
      measure: 'patch-stage',
      parts: [
        { partId: 'A', value: 2 },
        { partId: 'B', value: 1 },
        { partId: 'C', value: 0 },
      ],
    })
    expect(one('study stage wood 4')).toMatchObject({ parts: [{ partId: 'B', value: 4 }] })
  })
  test('a stage of seven, and a patch that two could be', () => {
    expect(read('study stage A7')).toMatchObject({
      state: 'unclear',
      message: expect.stringMatching(/to 5, detached; came 7/) as string,
    })
    expect(labels(read('study stage fern2'))).toEqual(['fern, left', 'wood', 'fern, right'])
    expect(read('quar stage A2')).toMatchObject({
      state: 'unclear',
      message: expect.stringMatching(/no patches/) as string,
    })
  })
})

describe('how far the level was down stands beside the tests of its line', () => {
  test.each([
    ['quar salinity 14 level down 2cm', 3.5],
    ['quar 2cm', null],
    ['quar salinity 14, level down by 2 cm', 3.5],
    ['quar down 2cm salinity 14 cu 2.1', 3.5],
    ['quar salinity 14 cu 2.1 water low 20mm', 3.5],
    ['quar salinity 14 3 litres missing', null],
    ['quar salinity 14 down 3L', 3],
    ['hall alk 8.2 down 3 l', 3],
    ['quar salinity 14 level down 1in', 4.445],
  ] as const)('%s', (line, downL) => {
    const back = read(line)
    if (downL === null) return expect(back.state).not.toBe('keep')
    const contents = kept(back)
    expect(contents.length).toBeGreaterThan(0)
    for (const content of contents)
      expect(content).toMatchObject({ kind: 'reading', downL: expect.closeTo(downL, 3) as number })
    expect(back).toMatchObject({
      notices: expect.arrayContaining([expect.stringMatching(/^with .* L evaporated$/)]) as string[],
    })
  })
  test.each([
    ['quar level down 2cm', /kept with a test/],
    ['quar salinity 14 level down', /by how much/],
    ['quar salinity 14 level down 2', /“2” of what/],
    ['quar salinity 14 level down 40L', /more than half/],
    // Of the hall nobody knows the floor.
    ['hall salinity 35 level down 2cm', /say the litres/],
    ['quar salinity 14 level down much', /“much”/],
    ['quar salinity 14 down 0cm', /“0cm”/],
  ])('%s: it says what is wrong', (line, message) => {
    expect(read(line)).toMatchObject({ state: 'unclear', message: expect.stringMatching(message) as string })
  })
})

test('top-off, food, and what touched the water', () => {
  expect(one('hall top-off 3L')).toMatchObject({ kind: 'top-off', litres: 3, salinityPsu: 0 })
  expect(one('quar feed 2g')).toMatchObject({ kind: 'feed', foodG: 2 })
  expect(one('quar feed 2g metronidazole 5mg/g')).toMatchObject({ ingredient: 'metronidazole', mgPerG: 5 })
  expect(one('quar contact water hall')).toMatchObject({ kind: 'contact', what: 'water', from: 'hall' })
  expect(read('quar contact spoon')).toMatchObject({ state: 'unclear' })
  expect(read('hall top-off')).toMatchObject({ state: 'unclear', message: expect.stringMatching(/3L/) as string })
})
