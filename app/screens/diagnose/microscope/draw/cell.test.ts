import { CELL_KINDS } from '../../../../../core/catalogue/microscope/cell-kinds.data.ts'
import { createField } from '../../../../../core/microscope/field.ts'
import { OBJECTIVES, pxPerUm } from '../../../../../core/microscope/scale.ts'
import { drawBody, drawThread, HAIR_SHARE, JELLY_LENGTHS, type Pen } from './cell.ts'
import { fieldInks } from './inks.ts'
import { paintPlate, placesOnPlate, plateHeight, PLATE_PX_PER_UM, plateKinds } from './plate.ts'

/** A pen that draws nothing and measures what it is told to draw, lines with their width. */
function measuringPen() {
  let [left, right, top, bottom] = [Infinity, -Infinity, Infinity, -Infinity]
  let path: [number, number][] = []
  const reach = (x: number, y: number) => {
    left = Math.min(left, x)
    right = Math.max(right, x)
    top = Math.min(top, y)
    bottom = Math.max(bottom, y)
  }
  const pen = {
    lineWidth: 1,
    lineCap: 'butt',
    lineJoin: 'round',
    fillStyle: '',
    strokeStyle: '',
    setLineDash: () => {},
    beginPath: () => void (path = []),
    closePath: () => {},
    moveTo: (x: number, y: number) => void path.push([x, y]),
    lineTo: (x: number, y: number) => void path.push([x, y]),
    ellipse: (x: number, y: number, rx: number, ry: number) => void path.push([x - rx, y - ry], [x + rx, y + ry]),
    fill: () => path.forEach(([x, y]) => reach(x, y)),
    stroke() {
      // Ends of an open line are cut off square: it is wider only across.
      const [first, last] = [path[0]!, path.at(-1)!]
      const isFlat = first[1] === last[1] && first[0] !== last[0]
      for (const [x, y] of path)
        for (const sign of [-1, 1]) {
          const half = (sign * this.lineWidth) / 2
          reach(isFlat ? x : x + half, y + half)
        }
    },
  }
  return { pen: pen as unknown as Pen, size: () => ({ length: right - left, width: bottom - top }) }
}

describe('drawn sizes', () => {
  test.each(OBJECTIVES.flatMap(({ times }) => CELL_KINDS.map((kind) => [kind.id, times] as const)))(
    '%s at ×%d is as long and wide on the screen as its µm say',
    (kind, times) => {
      for (const { body, lengthUm, widthUm } of createField([{ kind, count: 12 }], 4000, 9).cells) {
        const [length, width] = [lengthUm * pxPerUm(times), widthUm * pxPerUm(times)]
        if (Math.min(length, width) < 3) continue
        const { pen, size } = measuringPen()
        if (body === 'chain' || body === 'thread') drawThread(pen, body, length, width, 0, fieldInks())
        else drawBody(pen, body, length, width, fieldInks())
        const drawn = size()
        if (body === 'colony') {
          // A blob of jelly with single cells in it; they are the ones that have the length.
          expect(drawn.length).toBeCloseTo(JELLY_LENGTHS * length, 6)
          continue
        }
        const hairs = body === 'ciliate' ? 2 * HAIR_SHARE * width + 2 : 0
        expect(drawn.length).toBeGreaterThan(0.98 * length - 0.5)
        expect(drawn.length).toBeLessThan(1.02 * length + hairs + 0.5)
        expect(drawn.width).toBeGreaterThan(0.97 * width - 0.5)
        expect(drawn.width).toBeLessThan(1.03 * width + hairs + 0.5)
      }
    },
  )
})

test('the plate has one cell of each kind, at its size, within its own room', () => {
  for (const width of [358, 700, 1232]) {
    const places = placesOnPlate(width)
    expect(places.map(({ kind }) => kind)).toEqual(plateKinds())
    for (const { x, y, lengthPx, widthPx, kind } of places) {
      expect(x - lengthPx / 2).toBeGreaterThan(0)
      expect(x + lengthPx / 2).toBeLessThan(width)
      expect(y).toBeLessThan(plateHeight(width))
      if (kind.widthUm === undefined)
        expect(widthPx / PLATE_PX_PER_UM).toBeGreaterThanOrEqual(kind.lengthUm[0] * kind.widthShare![0])
    }
    expect(new Set(places.map(({ x, y }) => `${x} ${y}`)).size).toBe(places.length)
  }
})

test('the mesh lies round a cell’s middle: half an opening to each side is free', () => {
  const lines: [number, number, number, number][] = []
  let from: [number, number] = [0, 0]
  const pen = new Proxy(
    {
      moveTo: (x: number, y: number) => void (from = [x, y]),
      lineTo: (x: number, y: number) => void lines.push([...from, x, y]),
    },
    { get: (has, name: string): unknown => has[name as 'moveTo'] ?? (() => undefined), set: () => true },
  )
  paintPlate(pen as never, { widthPx: 1232, heightPx: plateHeight(1232), meshUm: 60 })
  const { x } = placesOnPlate(1232)[0]!
  // The first thread that is drawn is the nearest to the middle of the first room.
  const nearest = Math.abs(lines[0]![0] - x)
  expect(nearest).toBeCloseTo((60 / 2 + 60 / 6) * PLATE_PX_PER_UM, 6)
})
