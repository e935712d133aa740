import { scaledSize } from './scale.ts'

test('a picture keeps its shape and is never made larger', () => {
  expect(scaledSize(4000, 3000)).toEqual({ widthPx: 1600, heightPx: 1200 })
  expect(scaledSize(3000, 4000)).toEqual({ widthPx: 1200, heightPx: 1600 })
  expect(scaledSize(640, 480)).toEqual({ widthPx: 640, heightPx: 480 })
  expect(scaledSize(40_000, 10)).toEqual({ widthPx: 1600, heightPx: 1 })
})
