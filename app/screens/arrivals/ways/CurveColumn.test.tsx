import { render, screen } from '@testing-library/react'
import { limitsFor } from '../../../../core/acclimation/limits.ts'
import { playOut, type Setting } from '../../../../core/acclimation/simulate.ts'
import { METRIC } from '../../../../core/household/settings.ts'
import { CurveColumn, LEFT, RIGHT } from './CurveColumn.tsx'
import { domainOf, minuteTicks, quantitiesOf } from './curves.ts'

const setting: Setting = {
  bag: { volumeL: 1, temperatureC: 22, salinityPsu: 31, pH: 6.8, alkalinityDkh: 7, tanMgPerL: 6 },
  tank: { temperatureC: 25, salinityPsu: 33, pH: 8.1, alkalinityDkh: 8.4 },
  container: { capacityL: 4, leaveL: 2 },
  room: { temperatureC: 24 },
  float: { minutes: 15 },
}
const { limits } = limitsFor('hawkfish', 31, 33)!
const points = playOut(setting, { kind: 'scoop', scoopL: 0.1, everyMinutes: 5 }, 60)
const quantities = quantitiesOf(setting, limits, METRIC)
const domains = quantities.map((quantity) => domainOf(quantity, [points]))
const UNTIL = 60
const WIDTH = 400
const PLOT = WIDTH - LEFT - RIGHT
const xOf = (minute: number) => LEFT + (minute / UNTIL) * (WIDTH - LEFT - RIGHT)

function draw(more: Partial<Parameters<typeof CurveColumn>[0]> = {}) {
  render(
    <CurveColumn
      label="scoops"
      width={WIDTH}
      quantities={quantities}
      domains={domains}
      until={UNTIL}
      known={points.slice(0, 31)}
      hoped={points.slice(30)}
      beyond={[]}
      openAt={15}
      moveAt={50}
      named
      {...more}
    />,
  )
  const picture = screen.getByRole('img', { name: 'scoops' })
  const all = (selector: string) => [...picture.querySelectorAll(selector)]
  return { picture, all, figures: (of: string) => all(of).map(({ textContent }) => textContent) }
}

test('a row for each figure, named with its unit, the value at the move beside it', () => {
  const { figures } = draw()
  expect(figures('.name')).toEqual([
    'Salinity, psu',
    'Temperature, °C',
    'pH',
    'Free ammonia, mg/L N',
    'Bag water left, %',
  ])
  const at = points.find(({ minute }) => minute === 50)!
  expect(figures('.value')).toEqual(quantities.map(({ text, of }) => text(of(at))))
})

test('only what is off at the move is drawn as off', () => {
  const at = points.find(({ minute }) => minute === 50)!
  const off = quantities.filter(({ band, of }) => band && (of(at) < band[0] || of(at) > band[1]))
  expect(off.map(({ id }) => id)).toContain('freeAmmoniaMgPerL')
  expect(draw().figures('.over')).toEqual(off.map(({ text, of }) => text(of(at))))
})

test('proven is solid, expected is dotted, and they meet where the last is known, in every row', () => {
  const { all } = draw()
  const [solid, dotted] = ['known', 'hoped'].map((kind) => all(`[data-curve=${kind}]`)[0]!)
  expect([solid, dotted].map((path) => path!.hasAttribute('stroke-dasharray'))).toEqual([false, true])
  const rowsOf = (path: Element) => path.getAttribute('d')!.split('M').filter(Boolean)
  const starts = rowsOf(dotted!).map((row) => row.split('L')[0])
  expect(rowsOf(solid!).map((row) => row.split('L').at(-1))).toEqual(starts)
  expect(starts).toHaveLength(quantities.length)
})

test('what passes the limit of free ammonia is drawn once more as passed, and only then', () => {
  expect(draw().all('[data-over] path').length).toBeGreaterThan(0)
})

test('nothing is passed where nothing reaches the limit', () => {
  const mild = playOut({ ...setting, bag: { ...setting.bag, tanMgPerL: 0.1 } }, null, 30)
  expect(draw({ known: [], hoped: mild }).all('[data-over]')).toEqual([])
})

test('the scales stand beside the first column alone', () => {
  expect(draw().figures('text:not([class])').length).toBe(2 * quantities.length + minuteTicks(UNTIL, PLOT).length)
})

test('a column beside it has the minutes only', () => {
  const { figures } = draw({ named: false })
  expect(figures('text:not([class])')[0]).toBe('0 min')
  expect(figures('.name')).toEqual([])
})

test('uprights stand at the opening, the move, now and the wait that is dragged', () => {
  const at = (marks: object) =>
    draw(marks)
      .all('line:not(pattern line)')
      .filter((line) => line.getAttribute('x1') === line.getAttribute('x2'))
      .map((line) => Number(line.getAttribute('x1')))
  const marked = at({ now: 30, marker: 40 })
  expect(marked).toHaveLength(4)
  for (const minute of [15, 50, 30, 40]) expect(marked.some((x) => Math.abs(x - xOf(minute)) < 1e-6)).toBe(true)
})

test('a move that lies beyond the picture, or never comes, has no upright', () => {
  const uprights = ({ all }: ReturnType<typeof draw>) =>
    all('line').filter((line) => line.getAttribute('x1') === line.getAttribute('x2')).length
  expect(uprights(draw({ moveAt: 75 }))).toBe(1)
})

test('what was measured is a ring on its own row, at its minute', () => {
  const { all } = draw({
    measured: [
      { minute: 20, values: { salinityPsu: 31.5 } },
      { minute: 90, values: { pH: 7 } },
    ],
  })
  const rings = all('circle[fill="var(--sheet)"]')
  expect(rings).toHaveLength(1)
  expect(Number(rings[0]!.getAttribute('cx'))).toBeCloseTo(xOf(20), 6)
})

test('of a run what is expected is hatched, from now to its last minute', () => {
  const [first] = draw({ now: 30 }).all('[data-expected]')
  const [from, length] = /^M([\d.]+) [\d.]+h([\d.]+)/.exec(first!.getAttribute('d')!)!.slice(1).map(Number)
  expect(from).toBeCloseTo(xOf(30), 6)
  expect(from! + length!).toBeCloseTo(xOf(UNTIL), 6)
})

test.each([
  ['a plan', {}],
  ['a run that is over', { now: 30, hoped: [] }],
])('%s hatches nothing', (_what, more) => {
  expect(draw(more).all('[data-expected]')).toEqual([])
})
