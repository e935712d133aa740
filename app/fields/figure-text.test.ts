import { figureShown, figureTyped } from './figure-text.ts'

const speaks = (locale: string) => jest.spyOn(navigator, 'language', 'get').mockReturnValue(locale)

afterEach(() => jest.restoreAllMocks())

test('where decimals have a comma, 0,4 is held as 0.4 and shown as it was typed', () => {
  speaks('de-DE')
  expect(figureTyped('0,4')).toBe('0.4')
  expect(figureTyped('0,')).toBe('0.')
  expect(figureTyped('1,5..2,5')).toBe('1.5..2.5')
  expect(figureShown('0.4')).toBe('0,4')
  expect(figureShown(figureTyped('<0,05'))).toBe('<0,05')
})

test('elsewhere a comma stays as it was typed, to be asked about', () => {
  speaks('en-GB')
  expect(figureTyped('0,4')).toBe('0,4')
  expect(figureShown('0.4')).toBe('0.4')
})
