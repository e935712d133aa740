import { CELL_KINDS, cellKind } from '../catalogue/microscope/cell-kinds.data.ts'
import type { CellKindId } from '../catalogue/microscope/microscope.types.ts'
import { createField, drawnLengths, moveCells, traces, type CellField } from './field.ts'
import { OUTLINES } from './outlines.ts'
import { fieldUm, OBJECTIVES, pxPerUm, scaleBarUm } from './scale.ts'
import { viewOf } from './view.ts'

const SIDE_UM = 1e7
const STEP_S = 1 / 60

/** Where the cells of a field are, over some seconds of small steps: in water so wide that none comes round. */
function watch(field: CellField, seconds: number) {
  const paths = field.cells.map(({ x, y }) => [{ x, y }])
  for (let t = 0; t < seconds; t += STEP_S) {
    moveCells(field, STEP_S)
    field.cells.forEach(({ x, y }, i) => paths[i]!.push({ x, y }))
  }
  return paths
}
const pathLength = (path: readonly { x: number; y: number }[]) =>
  path.slice(1).reduce((sum, { x, y }, i) => sum + Math.hypot(x - path[i]!.x, y - path[i]!.y), 0)
const fieldOf = (kind: CellKindId, count = 60) => createField([{ kind, count }], SIDE_UM, 5, 1000)

describe('sizes', () => {
  test.each(CELL_KINDS.map((kind) => [kind.id, kind] as const))(
    '%s are as long and wide as the catalogue says',
    (id, kind) => {
      const { cells } = fieldOf(id, 200)
      const [least, most] = drawnLengths(kind)
      for (const { lengthUm, widthUm, body } of cells) {
        expect(lengthUm).toBeGreaterThanOrEqual(least)
        expect(lengthUm).toBeLessThanOrEqual(most)
        const span = kind.drawnWidthUm ?? kind.widthUm
        if (span) {
          expect(widthUm).toBeGreaterThanOrEqual(span[0])
          expect(widthUm).toBeLessThanOrEqual(span[1])
        } else if (body !== 'disc') {
          expect(widthUm / lengthUm).toBeGreaterThanOrEqual(kind.widthShare![0] - 1e-12)
          expect(widthUm / lengthUm).toBeLessThanOrEqual(kind.widthShare![1] + 1e-12)
        }
        expect(kind.bodies).toContain(body)
      }
      expect(new Set(cells.map(({ body }) => body)).size).toBe(kind.bodies.length)
    },
  )
  test('a long Amphidinium is a wide one', () => {
    const { cells } = fieldOf('amphidinium-large')
    const sorted = [...cells].sort((a, b) => a.lengthUm - b.lengthUm)
    expect(sorted[0]!.widthUm).toBeLessThan(sorted.at(-1)!.widthUm)
  })
  test.each(Object.entries(OUTLINES))('the outline of a %s fills its box', (_, outline) => {
    const xs = outline.map(([x]) => x)
    const ys = outline.map(([, y]) => y)
    for (const values of [xs, ys]) {
      expect(Math.min(...values)).toBeCloseTo(-0.5, 9)
      expect(Math.max(...values)).toBeCloseTo(0.5, 9)
    }
  })
})

describe('motion, µm/s by outbreaks.md 4', () => {
  test.each([
    ['diatoms', 2, 10],
    ['cyano-chain', 1, 8],
    ['prorocentrum', 20, 80],
    ['coolia', 100, 200],
    ['amphidinium-large', 100, 250],
    ['amphidinium-small', 80, 200],
    ['gambierdiscus', 50, 150],
    ['ciliate', 300, 1500],
  ] as const)('%s go %d to %d µm/s, or rest', (kind, least, most) => {
    const seconds = 4
    const speeds = watch(fieldOf(kind), seconds).map((path) => pathLength(path) / seconds)
    const moving = speeds.filter((speed) => speed > 0)
    expect(moving.length).toBeGreaterThan(15)
    for (const speed of moving) {
      expect(speed).toBeGreaterThan(0.98 * least)
      expect(speed).toBeLessThan(1.02 * most)
    }
    const { motion } = cellKind(kind)
    if (motion.way === 'wanders' || motion.way === 'glides') expect(moving.length).toBeLessThan(speeds.length)
    else expect(moving).toHaveLength(speeds.length)
  })
  test('sand and cells in jelly never move', () => {
    for (const kind of ['sand', 'chrysophytes', 'green-thread'] as const)
      for (const path of watch(fieldOf(kind), 1)) expect(pathLength(path)).toBe(0)
  })
  test('tied ones turn once or twice a second round their point, a few are loose and swim', () => {
    const field = fieldOf('ostreopsis', 100)
    const tied = field.cells.map(({ tether }) => tether !== null)
    const before = field.cells.map(({ heading }) => heading)
    const paths = watch(field, 2)
    const loose = tied.filter((is) => !is).length
    expect(loose).toBeGreaterThan(5)
    expect(loose).toBeLessThan(40)
    field.cells.forEach(({ tether, lengthUm, heading }, i) => {
      if (!tether) return expect(pathLength(paths[i]!) / 2).toBeGreaterThan(98)
      for (const { x, y } of paths[i]!) expect(Math.hypot(x - tether.x, y - tether.y)).toBeCloseTo(lengthUm / 2, 6)
      const turns = Math.abs(heading - before[i]!) / (2 * Math.PI) / 2
      expect(turns).toBeGreaterThan(0.97)
      expect(turns).toBeLessThan(2.05)
    })
  })
  test('diatoms go straight, Coolia in loops, Amphidinium turns often', () => {
    const straightness = (kind: CellKindId) => {
      const shares = watch(fieldOf(kind), 3)
        .filter((path) => pathLength(path) > 0)
        .map((path) => Math.hypot(path.at(-1)!.x - path[0]!.x, path.at(-1)!.y - path[0]!.y) / pathLength(path))
      return shares.reduce((sum, share) => sum + share, 0) / shares.length
    }
    expect(straightness('diatoms')).toBeCloseTo(1, 6)
    expect(straightness('coolia')).toBeLessThan(0.5)
    expect(straightness('amphidinium-large')).toBeLessThan(0.9)
    expect(straightness('amphidinium-large')).toBeGreaterThan(straightness('coolia'))
  })
  test('what leaves on one side comes back on the other; a page that slept does not jump', () => {
    const field = createField([{ kind: 'ciliate', count: 40 }], 500, 3)
    for (let i = 0; i < 300; i++) moveCells(field, STEP_S)
    for (const { x, y } of field.cells) {
      expect(x >= 0 && x < 500).toBe(true)
      expect(y >= 0 && y < 500).toBe(true)
    }
    const { x, y, speedUmPerS } = field.cells[0]!
    field.cells[0]!.turnsIn = Infinity
    field.sideUm = SIDE_UM
    moveCells(field, 60)
    expect(Math.hypot(field.cells[0]!.x - x, field.cells[0]!.y - y)).toBeLessThanOrEqual(speedUmPerS * 0.1 + 1e-6)
  })
  test('the same seed makes the same field; a still picture shows the way and moves nothing', () => {
    const [one, other] = [fieldOf('coolia', 5), fieldOf('coolia', 5)]
    expect(one.cells).toEqual(other.cells)
    const ways = traces(one, 1, 12)
    expect(one.cells).toEqual(other.cells)
    ways.forEach((way, i) => expect(pathLength(way)).toBeCloseTo(one.cells[i]!.speedUmPerS, 3))
  })
})

describe('the scale', () => {
  test('×10 with a ×10 eyepiece sees 1.8 mm, the others by their power', () => {
    expect(OBJECTIVES.map(({ times, fieldUm: wide }) => [times, wide])).toEqual([
      [4, 4500],
      [10, 1800],
      [40, 450],
    ])
  })
  test('a cell is four times as long on the screen at ×40 as at ×10', () => {
    expect(pxPerUm(40) / pxPerUm(10)).toBeCloseTo(4, 12)
  })
  test('a narrow canvas shows the middle of the field at the same scale', () => {
    const [whole, part] = [viewOf(['coolia'], 10, 560), viewOf(['coolia'], 10, 280)]
    expect(whole.visibleUm).toBeCloseTo(fieldUm(10), 6)
    expect(part.visibleUm).toBeCloseTo(fieldUm(10) / 2, 6)
    expect(whole.mix[0]!.count).toBeGreaterThan(2 * part.mix[0]!.count)
  })
  test('two hundred cells lie in a whole field at ×4; two kinds share it', () => {
    const { mix, sideUm, visibleUm } = viewOf(['prorocentrum'], 4, 560)
    expect((mix[0]!.count * (Math.PI / 4) * visibleUm ** 2) / sideUm ** 2).toBeCloseTo(200, -1)
    const [first, second] = viewOf(['prorocentrum', 'coolia'], 4, 560).mix
    expect(first!.count).toBeLessThan(mix[0]!.count)
    expect(second!.count).toBe(first!.count)
  })
  test('the first of a kind lies near the middle; a grain lies anywhere beside others', () => {
    const { cells } = createField(
      [
        { kind: 'sand', count: 1 },
        { kind: 'coolia', count: 3 },
      ],
      3000,
      1,
      300,
    )
    const [, coolia] = cells
    expect(Math.abs(coolia!.x - 1500)).toBeLessThanOrEqual(150)
    expect(Math.abs(coolia!.y - 1500)).toBeLessThanOrEqual(150)
  })
  test('a scale bar takes at most a third of the width', () => {
    for (const { times } of OBJECTIVES)
      for (const width of [150, 300, 560])
        expect(scaleBarUm(times, width) * pxPerUm(times)).toBeLessThanOrEqual(width / 3)
    expect(scaleBarUm(10, 560)).toBe(500)
  })
})
