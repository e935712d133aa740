import { DEFAULT_SETTINGS } from '../household/settings.ts'
import { householdTasks } from '../schedule/household-tasks.ts'
import { at, now, session, tank } from './testing.ts'
import { benchTasks } from './watch.ts'

describe('what is looked for afterwards', () => {
  const closed = () => {
    const it = session('bath-peroxide', { animalIds: ['spike'] }, [tank('study', 60)])
    it.end(40, {
      looks: [
        { afterHours: 1, words: 'breathing, upright' },
        { afterHours: 144, words: 'the second bath' },
      ],
    })
    return it
  }
  test('is a task of the ledger at its hour', () => {
    const it = closed()
    expect(benchTasks(it.journal(), now(41)).map(({ id, state, best }) => [id, state, best])).toEqual([
      ['bench/b/1', 'ahead', now(100)],
      ['bench/b/144', 'ahead', now(40 + 144 * 60)],
    ])
    expect(benchTasks(it.journal(), now(100))[0]).toMatchObject({
      state: 'due',
      title: 'Look: breathing, upright',
      tankId: 'study',
    })
    expect(benchTasks(it.journal(), now(140))[0]).toMatchObject({ state: 'late' })
    const day = DEFAULT_SETTINGS.clock.dayOf(now(100))
    expect(householdTasks(it.journal(), DEFAULT_SETTINGS, now(100), day).map(({ id }) => id)).toContain('bench/b/1')
  })
  test('of missed looks the newest is told, for a week', () => {
    const it = closed()
    const late = (minute: number) =>
      benchTasks(it.journal(), now(minute)).flatMap(({ id, state }) => (state === 'late' ? [id] : []))
    expect(late(200)).toEqual(['bench/b/1'])
    expect(late(40 + 220 * 60)).toEqual(['bench/b/144'])
    expect(late(40 + 400 * 60)).toEqual([])
  })
  test('goes when it is ticked', () => {
    const it = closed()
    it.write({ kind: 'task', ...at(100), taskId: 'bench/b/1', tankId: 'study', state: 'done' })
    expect(benchTasks(it.journal(), now(101)).map(({ id }) => id)).toEqual(['bench/b/144'])
  })
})
