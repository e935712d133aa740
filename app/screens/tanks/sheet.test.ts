import { METRIC } from '../../../core/household/settings.ts'
import { EMPTY_SHEET, readSheet, sheetValues, type SheetValues } from './sheet.ts'

const box = (more: Partial<SheetValues> = {}): SheetValues => ({
  ...EMPTY_SHEET,
  lengthCm: '90',
  widthCm: '45',
  heightCm: '45',
  ...more,
})
const INCHES = { ...METRIC, length: 'in', volume: 'us-gal' } as const

describe('the volume sheet as typed', () => {
  test('dimensions make a net volume', () => {
    expect(readSheet(box({ waterHeightCm: '41' }), METRIC)).toMatchObject({ volume: { netL: 166.05 }, problems: {} })
  })

  test('inches and gallons are turned into the core’s units, and back into what was typed', () => {
    const read = readSheet({ ...box(), lengthCm: '36', widthCm: '18', heightCm: '18', sumpL: '10' }, INCHES)
    expect(read.volume!.grossL).toBeCloseTo((36 * 18 * 18 * 2.54 ** 3) / 1000)
    expect(read.sheet!.sumpL).toBeCloseTo(37.854)
    expect(sheetValues(read.sheet, INCHES)).toMatchObject({ lengthCm: '36', heightCm: '18', sumpL: '10' })
  })

  test('an empty sheet is no fault; a half-filled one names what is missing', () => {
    expect(readSheet(EMPTY_SHEET, METRIC)).toEqual({ sheet: null, volume: null, problems: {} })
    expect(readSheet(box({ heightCm: '' }), METRIC).problems).toMatchObject({
      heightCm: { message: 'the height is missing' },
    })
  })

  test('a water line over the rim is told beside its field, in the household’s unit', () => {
    expect(readSheet(box({ waterHeightCm: '50' }), METRIC).problems['waterHeightCm']!.message).toContain('45 cm')
    const inches = { ...box(), lengthCm: '36', widthCm: '18', heightCm: '18', waterHeightCm: '20' }
    expect(readSheet(inches, INCHES).problems['waterHeightCm']!.message).toContain('18 in')
  })

  test('a comma, a word, a negative number and a tank full of rock', () => {
    expect(readSheet(box({ sandCm: '3,5' }), METRIC).problems['sandCm']!.choices).toEqual([
      { label: '3.5', value: '3.5' },
      { label: '35', value: '35' },
    ])
    expect(readSheet(box({ sandCm: 'some' }), METRIC).problems['sandCm']!.message).toContain('is no number')
    expect(readSheet(box({ heightCm: '-45' }), METRIC).problems['heightCm']!.message).toContain('over 0')
    expect(readSheet(box({ rockKg: '900' }), METRIC).problems['rockKg']!.message).toContain('no water is left')
    expect(readSheet(box({ sandCm: '4', porosity: '1.4' }), METRIC).problems['porosity']).toBeDefined()
  })

  test('a known volume has no water height, and a bow deeper than half its length is refused', () => {
    expect(readSheet({ ...EMPTY_SHEET, shape: 'known', litres: '45', waterHeightCm: '30' }, METRIC)).toMatchObject({
      volume: { netL: 45 },
      problems: {},
    })
    expect(readSheet(box({ shape: 'bow-front', bowCm: '60' }), METRIC).problems['bowCm']).toBeDefined()
  })
})
