import { expectOk } from '../result/result.ts'
import { checkTransfers } from './transfer.ts'

const START = Date.parse('2026-11-01T12:00:00Z')
const at = (hours: number) => new Date(START + hours * 3_600_000).toISOString()
const TTM = { maxIntervalHours: 72, minTotalHours: 288, minTransfers: 4 }
const HYBRID = { ...TTM, baths: { count: 2, apartHours: 144, toleranceHours: 6 } }
const check = (moves: number[], now: number, rule: object = TTM, baths: number[] = []) =>
  expectOk(
    checkTransfers({
      rule: rule as typeof HYBRID,
      arrivalAt: at(0),
      transfers: moves.map(at),
      baths: baths.map(at),
      now: at(now),
    }),
  )

describe('moves from tank to tank', () => {
  test('a move eleven hours late, scene S4: said by how much, and the next counts from it', () => {
    const { violations, nextDueAt, ok } = check([72, 155], 156)
    expect(violations).toEqual([{ kind: 'late', index: 1, hoursLate: 11 }])
    expect(nextDueAt).toBe(at(155 + 72))
    expect(ok).toBe(false)
  })
  test('exactly on the hour is in time; a second after is not', () => {
    expect(check([72], 73).ok).toBe(true)
    expect(check([72 + 1 / 3600], 73).violations).toHaveLength(1)
  })
  test('in any order; and no move is late once the course is done', () => {
    expect(check([288, 72, 216, 144, 500], 600)).toMatchObject({ done: true, ok: true, earliestFinishAt: at(288) })
  })
  test('the velvet rule asks for a move every 36 hours', () => {
    const velvet = { maxIntervalHours: 36, minTotalHours: 288, minTransfers: 4 }
    expect(check([], 1, velvet).transfersNeeded).toBe(8)
  })
  test('a move before the arrival, or still to come, is a fault of the input', () => {
    const input = { rule: TTM, arrivalAt: at(0), transfers: [at(-1)], now: at(10) }
    expect(checkTransfers(input)).toMatchObject({ ok: false, error: { path: '/transfers/0' } })
    expect(checkTransfers({ ...input, transfers: [at(11)] })).toMatchObject({ ok: false })
    expect(checkTransfers({ ...input, transfers: [], now: at(-2) })).toMatchObject({ ok: false })
  })
})

describe('moves with baths', () => {
  test('six days apart, each just before a move: done', () => {
    expect(check([72, 144, 216, 288], 290, HYBRID, [71, 215])).toMatchObject({ done: true, ok: true })
  })
  test('seven hours off is said with its sign; six is within the tolerance', () => {
    expect(check([72, 144, 216, 288], 290, HYBRID, [71, 222]).violations).toEqual([
      { kind: 'bath-spacing', index: 1, hoursOff: 7 },
      { kind: 'bath-without-move', index: 1 },
    ])
    expect(check([72, 144, 216, 288], 290, HYBRID, [71, 214 - 5]).violations).toContainEqual({
      kind: 'bath-without-move',
      index: 1,
    })
  })
  test('a bath waits two hours for its move before it is missed', () => {
    expect(check([], 73, HYBRID, [71]).violations).toEqual([{ kind: 'late', index: 0, hoursLate: 1 }])
    expect(check([], 73.1, HYBRID, [71]).violations).toContainEqual({ kind: 'bath-without-move', index: 0 })
  })
  test('a bath that is still missing moves the end', () => {
    expect(check([72, 144, 216, 288], 290, HYBRID, [215]).earliestFinishAt).toBe(at(215 + 144))
    expect(check([72, 144, 216, 288], 290, HYBRID).earliestFinishAt).toBe(at(290 + 144))
  })
})
