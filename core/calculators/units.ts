import {
  CACO3_MG_PER_MEQ,
  celsiusFromFahrenheit,
  DKH_PER_MEQ,
  fahrenheitFromCelsius,
  L_PER_UK_GAL,
  L_PER_US_GAL,
} from '../units/units.ts'
import type { Calculator } from './calculator.ts'

interface Conversion {
  value: string
  label: string
  unit: string
  to: (value: number) => { what: string; value: number; unit: string }[]
}

const CONVERSIONS: readonly Conversion[] = [
  {
    value: 'us-gal',
    label: 'US gallons',
    unit: 'US gal',
    to: (v) => [
      { what: 'litres', value: v * L_PER_US_GAL, unit: 'L' },
      { what: 'UK gallons', value: (v * L_PER_US_GAL) / L_PER_UK_GAL, unit: 'UK gal' },
    ],
  },
  {
    value: 'uk-gal',
    label: 'UK gallons',
    unit: 'UK gal',
    to: (v) => [
      { what: 'litres', value: v * L_PER_UK_GAL, unit: 'L' },
      { what: 'US gallons', value: (v * L_PER_UK_GAL) / L_PER_US_GAL, unit: 'US gal' },
    ],
  },
  {
    value: 'litres',
    label: 'litres',
    unit: 'L',
    to: (v) => [
      { what: 'US gallons', value: v / L_PER_US_GAL, unit: 'US gal' },
      { what: 'UK gallons', value: v / L_PER_UK_GAL, unit: 'UK gal' },
    ],
  },
  {
    value: 'mg-per-gal',
    label: 'mg in a US gallon',
    unit: 'mg/US gal',
    to: (v) => [{ what: 'milligrams in a litre (ppm)', value: v / L_PER_US_GAL, unit: 'mg/L' }],
  },
  {
    value: 'mg-per-l',
    label: 'mg in a litre (ppm)',
    unit: 'mg/L',
    to: (v) => [{ what: 'milligrams in a US gallon', value: v * L_PER_US_GAL, unit: 'mg/US gal' }],
  },
  {
    value: 'dkh',
    label: 'alkalinity, dKH',
    unit: 'dKH',
    to: (v) => [
      { what: 'milliequivalents', value: v / DKH_PER_MEQ, unit: 'meq/L' },
      { what: 'ppm as calcium carbonate', value: (v / DKH_PER_MEQ) * CACO3_MG_PER_MEQ, unit: 'ppm' },
    ],
  },
  {
    value: 'ppm-caco3',
    label: 'alkalinity, ppm as calcium carbonate',
    unit: 'ppm',
    to: (v) => [{ what: 'degrees', value: (v / CACO3_MG_PER_MEQ) * DKH_PER_MEQ, unit: 'dKH' }],
  },
  {
    value: 'f',
    label: 'Fahrenheit',
    unit: '°F',
    to: (v) => [{ what: 'Celsius', value: celsiusFromFahrenheit(v), unit: '°C' }],
  },
  {
    value: 'c',
    label: 'Celsius',
    unit: '°C',
    to: (v) => [{ what: 'Fahrenheit', value: fahrenheitFromCelsius(v), unit: '°F' }],
  },
  {
    value: 'drops',
    label: 'drops, 20 to a mL',
    unit: 'drops',
    to: (v) => [{ what: 'millilitres', value: v / 20, unit: 'mL' }],
  },
]

export const UNITS: Calculator = {
  id: 'units',
  group: 'Equipment',
  title: 'Units',
  about: 'gallons, degrees, ppm, drops, salinity',
  keepsUnits: true,
  fields: (values) => {
    const from = values['from'] ?? 'us-gal'
    const unit = CONVERSIONS.find(({ value }) => value === from)?.unit ?? (from === 'sg' ? 'SG at 25 °C' : 'psu')
    return [
      {
        id: 'from',
        label: 'From',
        choices: [
          ...CONVERSIONS.map(({ value, label }) => ({ value, label })),
          { value: 'sg', label: 'specific gravity' },
          { value: 'psu', label: 'salinity, psu (ppt)' },
        ],
        start: 'us-gal',
      },
      { id: 'value', label: 'Value', unit },
    ]
  },
  compute(reading) {
    const value = reading.number('value')
    if (value === undefined) return null
    const from = reading.text('from')
    if (from === 'sg' || from === 'psu') {
      const out = reading.ask('salinity.convert', { value, unit: from }, { '': 'value' })
      if (!out) return null
      return {
        lead:
          from === 'sg'
            ? { what: 'salinity', value: out.psu, unit: 'psu', isPlain: true }
            : { what: 'specific gravity', value: out.sg.toFixed(4) },
        lines: [{ what: 'density', value: out.densityKgPerM3, unit: 'kg/m³' }],
        cautions: [],
      }
    }
    const conversion = CONVERSIONS.find((one) => one.value === from) ?? CONVERSIONS[0]!
    if (value < 0 && from !== 'c' && from !== 'f') return reading.fault('value', 'nothing is less than none') ?? null
    const [lead, ...lines] = conversion.to(value).map((line) => ({ ...line, isPlain: true }))
    return { lead: lead!, lines, cautions: [] }
  },
}
