import { dripWords, dropsASecond, methodWords, stepWords, waterWords } from './step-words.ts'

test('a drip is told in what can be set: mL a minute, and drops that can be counted', () => {
  // Twenty drops a millilitre: 9 mL a minute are three a second.
  expect(dropsASecond(9)).toBe(3)
  expect(dripWords(9)).toBe('9 mL a minute, 3 drops a second')
  expect(dripWords(5)).toBe('5 mL a minute, 1.7 drops a second')
  expect(dripWords(18.4)).toBe('18 mL a minute, 6 drops a second')
  expect(dripWords(1.5)).toBe('1.5 mL a minute, a drop every 2 seconds')
  expect(dripWords(60)).toBe('60 mL a minute, a thin stream')
})

test('small water in mL, a litre and more in litres', () => {
  expect([0.0421, 0.12, 0.9996, 1.25].map((litres) => waterWords(litres))).toEqual(['42 mL', '120 mL', '1 L', '1.25 L'])
  expect(methodWords({ kind: 'scoop', scoopL: 0.12, everyMinutes: 5 })).toBe('120 mL every 5 minutes')
})

test('every step names what is to be done, and its button what has been', () => {
  const drip = { kind: 'drip', mlPerMinute: 9 } as const
  expect(stepWords({ kind: 'start-drip', minute: 15 }, drip)).toEqual({
    title: 'Start the drip',
    figure: '9 mL a minute, 3 drops a second',
    done: 'It drips',
  })
  expect(stepWords({ kind: 'pour-off', minute: 40, toL: 1.5 }, drip).figure).toBe('down to 1.5 L')
  expect(stepWords({ kind: 'scoop', minute: 20, litres: 0.1 }, null).figure).toBe('100 mL')
  const kinds = ['open', 'measure', 'move'] as const
  expect(kinds.map((kind) => stepWords({ kind, minute: 0 }, null).figure)).toEqual([
    'Open the bag',
    'Measure',
    'Across',
  ])
})

test('before its minute a step says what goes on meanwhile', () => {
  const drip = { kind: 'drip', mlPerMinute: 9 } as const
  const title = (kind: 'open' | 'scoop' | 'pour-off' | 'measure', isDue: boolean, method: typeof drip | null = null) =>
    stepWords({ kind, minute: 10, litres: 0.1, toL: 1.5 }, method, isDue).title
  expect([title('open', false), title('open', true)]).toEqual(['Floating, sealed', 'Floated long enough'])
  expect([title('pour-off', false, drip), title('pour-off', true, drip)]).toEqual([
    'It drips; when full, pour off',
    'Full: pour off, not into a tank',
  ])
  expect(title('pour-off', false)).toBe('Before the next scoop, pour off')
  expect(title('measure', false, drip)).toBe('It drips; near enough, by reckoning, then')
})
