import { raisedBy } from '../readings/raises.ts'
import { L_PER_US_GAL } from '../units/units.ts'
import type { Calculator, Values } from './calculator.ts'

/** What is tested before and after, and its unit. */
const testedIn = (values: Values): string => (values['tracer'] === 'other' ? 'mg/L' : 'dKH')

export const BY_DOSE: Calculator = {
  id: 'volume-by-dose',
  group: 'How much water is it',
  title: 'By a known dose',
  about: 'what it raised says how much water there is',
  fields: (values) => [
    {
      id: 'tracer',
      label: 'Dosed',
      choices: [
        { value: 'bicarbonate', label: 'sodium bicarbonate, by alkalinity' },
        { value: 'other', label: 'something else, by its own test' },
      ],
      start: 'bicarbonate',
    },
    { id: 'amount', label: 'Amount', unit: values['tracer'] === 'other' ? 'mg of what is tested' : 'g' },
    { id: 'before', label: 'Before', unit: testedIn(values) },
    { id: 'after', label: 'After', unit: testedIn(values) },
    { id: 'sd', label: 'Each test may be off by', unit: testedIn(values), start: '0.1' },
  ],
  compute(reading) {
    const amount = reading.number('amount', { over: 0 })
    const before = reading.number('before', { least: 0 })
    const after = reading.number('after', { over: 0 })
    const off = reading.number('sd', { least: 0 })
    if (amount === undefined || before === undefined || after === undefined || off === undefined) return null
    const isBicarbonate = reading.text('tracer') !== 'other'
    const massMg = isBicarbonate ? raisedBy('sodium-bicarbonate', 'alk-kh', amount * 1000) : amount
    const out = reading.ask(
      'tank.volumeFromDose',
      { massMg, before: { mgPerL: before, sdMgPerL: off / 2 }, after: { mgPerL: after, sdMgPerL: off / 2 } },
      { '/after': 'after', '/before': 'before' },
      'not over what it was before: the dose has not mixed, or it was too small',
    )
    if (!out) return null
    return {
      lead: { what: 'net volume', value: out.netL, unit: 'L' },
      says: ['± ', { value: 2 * out.sdL, unit: 'L', digits: 2 }],
      lines:
        isBicarbonate && after - before < 0.8 ? [{ what: 'so small a rise', value: 'tells little: dose more' }] : [],
      cautions: isBicarbonate ? ['Raise alkalinity by at most 1 dKH a day, 0.5 with stony corals.'] : [],
    }
  },
}

const SHAPES = [
  { value: 'box', label: 'a box' },
  { value: 'cylinder', label: 'a cylinder' },
  { value: 'bow-front', label: 'a bow front' },
] as const

/** Net volume from dimensions, for a tank that is not set up here. */
export const GEOMETRY: Calculator = {
  id: 'volume',
  group: 'How much water is it',
  title: 'By its dimensions',
  about: 'box, cylinder or bow front, less sand and rock',
  fields: (values) => {
    const shape = values['shape'] ?? 'box'
    return [
      { id: 'shape', label: 'Shape', choices: SHAPES, start: 'box' },
      ...(shape === 'cylinder'
        ? [{ id: 'diameter', label: 'Diameter', unit: 'cm' }]
        : [
            { id: 'length', label: 'Length', unit: 'cm' },
            { id: 'width', label: 'Depth, front to back', unit: 'cm' },
          ]),
      ...(shape === 'bow-front' ? [{ id: 'bow', label: 'The front bows out by', unit: 'cm' }] : []),
      { id: 'height', label: 'Height', unit: 'cm' },
      { id: 'water', label: 'Water line above the floor', unit: 'cm', hint: 'empty: to the rim' },
      { id: 'sand', label: 'Sand, depth', unit: 'cm', start: '0' },
      { id: 'rock', label: 'Rock, dry', unit: 'kg', start: '0' },
      { id: 'sump', label: 'Water in the sump', unit: 'L', start: '0' },
    ]
  },
  compute(reading) {
    const kind = SHAPES.find(({ value }) => value === reading.text('shape'))?.value ?? 'box'
    const side = (id: string) => reading.number(id, { over: 0 })
    const heightCm = side('height')
    const lengthCm = kind === 'cylinder' ? 1 : side('length')
    const widthCm = kind === 'cylinder' ? 1 : side('width')
    const diameterCm = kind === 'cylinder' ? side('diameter') : 1
    const bowCm = kind === 'bow-front' ? reading.number('bow', { least: 0 }) : 0
    const waterHeightCm = reading.maybe('water', {
      over: 0,
      ...(heightCm !== undefined && { most: heightCm, rather: 'no higher than the rim' }),
    })
    const depthCm = reading.number('sand', { least: 0 })
    const dryMassKg = reading.number('rock', { least: 0 })
    const sumpL = reading.number('sump', { least: 0 })
    if (
      heightCm === undefined ||
      lengthCm === undefined ||
      widthCm === undefined ||
      diameterCm === undefined ||
      bowCm === undefined ||
      waterHeightCm === undefined ||
      depthCm === undefined ||
      dryMassKg === undefined ||
      sumpL === undefined
    )
      return null
    const shape =
      kind === 'cylinder'
        ? { kind, diameterCm, heightCm }
        : kind === 'bow-front'
          ? { kind, lengthCm, widthCm, bowCm, heightCm }
          : { kind, lengthCm, widthCm, heightCm }
    const out = reading.ask(
      'tank.volume',
      {
        shape,
        ...(waterHeightCm !== null && { waterHeightCm }),
        ...(depthCm > 0 && { substrate: { depthCm } }),
        ...(dryMassKg > 0 && { rock: { dryMassKg } }),
        sumpL,
      },
      { '/shape/bowCm': 'bow', '/shape': 'length', '/substrate': 'sand', '/rock': 'rock' },
      'sand and rock leave no water',
    )
    if (!out) return null
    return {
      lead: { what: 'net volume', value: out.netL, unit: 'L' },
      says: ['of ', { value: out.grossL, unit: 'L' }, ' to the rim'],
      lines: [
        { what: 'filled to the line', value: out.filledL, unit: 'L' },
        { what: 'sand and rock take', value: out.displacedL, unit: 'L' },
        { what: 'in US gallons', value: out.netL / L_PER_US_GAL, unit: 'US gal', isPlain: true },
        { what: 'in litres', value: out.netL, unit: 'L', isPlain: true },
      ],
      cautions: [],
    }
  },
}
