import { courseRisk } from '../../risk/course-risk.ts'
import { lifeModelOf } from '../../catalogue/treatments/treatments.ts'
import { MS_PER_HOUR } from '../../time/zone.ts'
import { ifChanged, ifMoved, ifNotRestarted, ifRead, ifStayed } from './what-if.ts'
import { ramped, type Ward } from '../testing/ward.ts'

/** In range from day 2 at 06:30 and read every morning up to a day. */
function held(until: number): Ward {
  const it = ramped()
  it.read(2, '08:00', 2.25)
  for (let day = 3; day <= until; day++) it.read(day, '08:00', 2.22)
  return it
}
const riskOf = (risks: { parasite: string; risk: number }[], parasite: string) =>
  risks.find((one) => one.parasite === parasite)!.risk

describe('the risks of the handbook, quarantine.md 4.1: marine ich, fifty on the fish', () => {
  const ich = lifeModelOf('marine-ich')!
  const risk = (protectedWindows: [number, number][], movesHours: number[]) => {
    const result = courseRisk({
      parasitesOnHost: 50,
      onHost: ich.onHost,
      cyst: ich.cyst,
      infection: ich.infection,
      protectedWindows: protectedWindows.map(([from, to]) => ({ fromHours: from * 24, toHours: to * 24 })),
      movesHours,
    })
    return result.ok ? result.value.risk : NaN
  }
  test.each([
    ['copper for thirty days', risk([[0, 30]], []), 0.04, 0.005],
    ['moved after seven days', risk([[0, 7]], [7 * 24]), 0.21, 0.005],
    [
      'nine hours under on day five of fourteen',
      risk(
        [
          [0, 5],
          [5.375, 14],
        ],
        [14 * 24],
      ),
      0.31,
      0.02,
    ],
  ])('%s', (_words, found, expected, within) => {
    expect(Math.abs(found - expected)).toBeLessThan(within)
  })
  test('fourteen days, then move: under one in a thousand', () => {
    expect(risk([[0, 14]], [14 * 24])).toBeLessThan(0.001)
  })
})

describe('what if', () => {
  test('a change: where it leaves the level, whether that breaks the count, and what puts it back', () => {
    const it = held(5)
    const outcome = ifChanged(it.journal, it.plan(5, '09:00'), 0.2)!
    expect(outcome.litres).toBeCloseTo(12)
    expect(outcome.afterMgPerL).toBeCloseTo(2.22 * 0.8)
    expect(outcome.breaks).toBe(true)
    // 60 L from 1.776 to 2.25 is 28.44 mg of a bottle of 10 mg/mL.
    expect(outcome.dose!.amount).toBeCloseTo(2.8)
    expect(outcome.dose!.makesMgPerL).toBeCloseTo(1.776 + 28 / 60, 3)
    expect(ifChanged(it.journal, it.plan(5, '09:00'), 0.05)!.breaks).toBe(false)
  })

  test('a next reading under the range starts the count over; one in range carries it on', () => {
    const it = held(5)
    const plan = it.plan(5, '20:00')
    expect(ifRead(plan, 1.9).state).toBe('broken')
    const good = ifRead(plan, 2.2)
    expect(good.state).toBe('running')
    expect(good.provenHours).toBeGreaterThan(plan.clock.provenHours)
  })

  test('moving early leaves more risk than moving on time, and waiting in one tank lies between', () => {
    const it = held(9)
    const plan = it.plan(9, '09:00')
    const on = (day: number) => riskOf(ifMoved(plan, it.ms(day, '09:00')), 'marine-ich')
    expect(on(9)).toBeGreaterThan(on(12))
    expect(on(12)).toBeGreaterThan(on(17))
    expect(on(17)).toBeLessThan(0.001)
    const stayed = ifStayed(plan)
    expect(stayed.map(({ parasite }) => parasite)).toEqual(['marine-ich', 'marine-velvet'])
    for (const { risk } of stayed) {
      expect(risk).toBeGreaterThanOrEqual(0)
      expect(risk).toBeLessThanOrEqual(1)
    }
  })

  test('hours out of range in the middle cost: the risk of the same move is higher', () => {
    const broke = held(6)
    broke.change(6, '20:00', 20)
    broke.read(7, '05:00', 1.5)
    broke.dose(7, '05:00', 4.5)
    broke.read(7, '08:00', 2.25)
    const whole = held(7)
    const at = (it: Ward) => riskOf(ifMoved(it.plan(7, '09:00'), it.ms(16, '09:00')), 'marine-ich')
    expect(at(broke)).toBeGreaterThan(5 * at(whole))
    expect(broke.plan(7, '09:00').clock.runFrom).toBeGreaterThan(broke.ms(7, '05:00') - MS_PER_HOUR)
    expect(ifNotRestarted(whole.plan(7, '09:00'))).toBeNull()
    const ignored = riskOf(ifNotRestarted(broke.plan(7, '09:00'))!.risks, 'marine-ich')
    expect(ignored).toBeGreaterThan(0.1)
    expect(ignored).toBeLessThan(0.6)
  })
})
