import fc from 'fast-check'
import { explain } from './explain.ts'
import { isInstant } from './instant.ts'

describe('instants', () => {
  test.each([
    '2026-11-23T18:30:00Z',
    '2026-11-23T18:30Z',
    '2026-11-23T18:30:00.123456Z',
    '2024-02-29T00:00:00Z',
    '0001-01-01T00:00:00Z',
  ])('%s is one', (text) => expect(isInstant(text)).toBe(true))

  test.each([
    '2026-02-30T00:00:00Z',
    '2026-13-01T00:00:00Z',
    '2026-00-10T00:00:00Z',
    '2026-11-23T24:00:00Z',
    '2026-11-23T23:60:00Z',
    '2026-11-23T23:59:60Z',
    '2026-11-23T18:30:00+00:00',
    '2026-11-23T18:30:00',
    '2026-11-23',
    '2026-11-23t18:30:00z',
    ' 2026-11-23T18:30:00Z',
    '',
  ])('%s is none', (text) => expect(isInstant(text)).toBe(false))

  test('every date the machine can write is one', () => {
    fc.assert(
      fc.property(fc.date({ min: new Date('0001-01-01'), max: new Date('9999-12-31'), noInvalidDate: true }), (date) =>
        isInstant(date.toISOString()),
      ),
    )
  })
})

describe('faults in words', () => {
  const at = (keyword: string, instancePath: string, params: Record<string, unknown>, root: unknown) =>
    explain({ keyword, instancePath, params }, root)

  test('what was expected and what came', () => {
    expect(at('exclusiveMinimum', '/volumeL', { comparison: '>', limit: 0 }, { volumeL: -3 })).toEqual({
      path: '/volumeL',
      message: 'expected over 0; came -3',
    })
    expect(at('type', '/a/0', { type: 'number' }, { a: ['x'] })).toEqual({
      path: '/a/0',
      message: 'expected a number; came "x"',
    })
    expect(at('enum', '/unit', { allowedValues: ['psu', 'sg'] }, { unit: 'ppm' }).message).toBe(
      'expected one of psu, sg; came "ppm"',
    )
  })

  test('a missing and an unknown property are named in the path', () => {
    expect(at('required', '/shape', { missingProperty: 'heightCm' }, {}).path).toBe('/shape/heightCm')
    expect(at('additionalProperties', '', { additionalProperty: 'a/b' }, {}).path).toBe('/a~1b')
  })

  test('a wrong kind names its field, and an infinite number what it is', () => {
    expect(at('discriminator', '/shape', { tag: 'kind' }, { shape: { kind: 'torus' } })).toEqual({
      path: '/shape/kind',
      message: 'expected a known kind; came "torus"',
    })
    expect(at('type', '/x', { type: 'number' }, { x: Infinity }).message).toContain('Infinity')
  })

  test('a long value is shown short, and a path through nothing does not break', () => {
    expect(at('type', '/x', { type: 'number' }, { x: 'y'.repeat(500) }).message.length).toBeLessThan(120)
    expect(at('type', '/x/y/z', { type: 'number' }, null).message).toContain('came nothing')
  })
})
