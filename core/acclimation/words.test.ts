import { beyondDegreesWords, beyondWords, degreesWords, psuWords, salinityWords } from './words.ts'

const US = { salinity: 'sg', temperature: 'F' } as const

test('a salinity and a difference of it, in psu or in specific gravity at 25 °C', () => {
  expect([salinityWords(35), psuWords(2)]).toEqual(['35 psu', '2 psu'])
  // The handbook: 1.0264 is 35 g/kg; 1.009 about 12.
  expect([salinityWords(35, US), salinityWords(12, US)]).toEqual(['1.0264 SG', '1.0090 SG'])
  expect(psuWords(23, US)).toBe('0.0174 SG')
})

test('a difference of temperature is scaled, not shifted', () => {
  expect([degreesWords(1.5), degreesWords(1.5, US), degreesWords(0, US)]).toEqual(['1.5 °C', '2.7 °F', '0 °F'])
})

test('what passes a limit is never printed as the limit', () => {
  expect(beyondWords(5.2, 2)).toBe('5.2 psu')
  expect(beyondWords(2.04, 2)).toBe('2.04 psu')
  expect(beyondWords(2.001, 2)).toBe('just over 2 psu')
  expect(beyondWords(2.04, 2, US)).toBe('0.00154 SG')
  expect(beyondDegreesWords(1.004, 1)).toBe('just over 1 °C')
  expect(beyondDegreesWords(1.53, 1.5, US)).toBe('2.8 °F')
})
