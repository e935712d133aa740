import { alarmsOf } from './alarms.ts'
import { runById } from './runs.ts'
import { dripWords, methodWords, waterWords } from './step-words.ts'
import { home } from '../testing.ts'

test('the moments to come are those of the run, up to the measuring', () => {
  const it = home()
  it.start('run')
  const alarms = alarmsOf(runById(it.journal, 'run')!, it.ms(1, '10:42'))
  expect(alarms[0]).toEqual({ at: it.ms(1, '10:55'), title: 'Open the bag: floated long enough' })
  expect(alarms[1]).toEqual({ at: it.ms(1, '11:00'), title: '100 mL: a scoop of tank water in' })
  expect(alarms.at(-1)!.title).toMatch(/^100 mL.*, then Measure/)
  const gaps = alarms.slice(2).map(({ at }, i) => (at - alarms[i + 1]!.at) / 60_000)
  for (const gap of gaps) expect(gap).toBe(5)
})

test('a drip rings for its start, its pour-offs and its end', () => {
  const it = home()
  it.start('run', {
    way: 'drip',
    method: { kind: 'drip', mlPerMinute: 60 },
    limits: { maxPsuPerHour: 20, matchPsu: 0.2, matchC: 1.5, maxFreeAmmoniaMgPerL: 1, maxMinutes: 400 },
  })
  const titles = alarmsOf(runById(it.journal, 'run')!, it.ms(1, '10:42')).map(({ title }) => title.split(':')[0])
  expect(titles).toEqual(['Open the bag', 'down to 2 L', 'down to 2 L', 'Measure'])
})

test('amounts as a keeper measures them', () => {
  expect([waterWords(0.12), waterWords(1), waterWords(2.5)]).toEqual(['120 mL', '1 L', '2.5 L'])
  expect(dripWords(9)).toBe('9 mL a minute, 3 drops a second')
  expect(dripWords(1.5)).toBe('1.5 mL a minute, a drop every 2 seconds')
  expect(dripWords(60)).toBe('60 mL a minute, a thin stream')
  expect(methodWords({ kind: 'scoop', scoopL: 0.2, everyMinutes: 10 })).toBe('200 mL every 10 minutes')
})
