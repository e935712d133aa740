import { household, kept, labels } from './testing.ts'

const read = household()

describe('when', () => {
  const at = (line: string, from = read) => kept(from(line))[0]!.happened

  test.each([
    ['quar cu 2.1 yesterday 21:00', '2026-11-22T21:00:00.000Z'],
    ['quar cu 2.1 7:40', '2026-11-23T07:40:00.000Z'],
    ['quar cu 2.1 at 9pm yesterday', '2026-11-22T21:00:00.000Z'],
    ['quar cu 2.1 2h ago', '2026-11-23T16:30:00.000Z'],
    ['quar cu 2.1 30 min ago', '2026-11-23T18:00:00.000Z'],
    ['quar cu 2.1 sat 08:00', '2026-11-21T08:00:00.000Z'],
    ['quar cu 2.1 18 nov 21:00', '2026-11-18T21:00:00.000Z'],
    ['quar cu 2.1 20 dec 21:00', '2025-12-20T21:00:00.000Z'],
    ['quar cu 2.1 2026-08-01 12:00', '2026-08-01T11:00:00.000Z'],
  ])('%s', (line, expected) => expect(at(line)).toBe(expected))

  test.each([
    ['quar cu 2.1 now', '2026-11-23T18:30:00.000Z'],
    ['quar cu 2.1 11/20 21:00', '2026-11-20T21:00:00.000Z'],
    ['quar cu 2.1 20/11 21:00', '2026-11-20T21:00:00.000Z'],
    ['quar cu 2.1 11/20/2026 21:00', '2026-11-20T21:00:00.000Z'],
    ['quar cu 2.1 29 feb 2pm', 'unclear'],
  ])('%s', (line, expected) => {
    const back = read(line)
    expect(back.state === 'keep' ? back.contents[0]!.happened : back.state).toBe(expected)
  })

  test('“ago” beyond a year asks for the day, and the day written out is kept', () => {
    const back = read('quar no3 5 500 days ago')
    expect(labels(back)).toEqual(['11 July 2025'])
    const chosen = back.state === 'choose' ? back.choices[0]!.text : ''
    expect(at(chosen)).toBe('2025-07-11T18:30:00.000Z')
  })

  test.each([
    'quar no3 5 1e13 days ago',
    'quar no3 5 99999999999999999999 days ago',
    `quar no3 5 ${'9'.repeat(400)} min ago`,
    'quar no3 5 4000000 days ago',
    'quar no3 5 1066-10-14 12:00',
  ])('%s is no time of this household', (line) => {
    expect(read(line).state).toBe('unclear')
  })

  test('a date that could be two days is asked about', () => {
    expect(labels(read('quar cu 2.1 11/10 21:00'))).toEqual(['10 November 2026', '11 October 2026'])
  })

  test.each([
    'needle ate 31 nov',
    'quar cu 2.1 31 nov 21:00',
    'needle ate 2026-11-31',
    'needle ate 31/11',
    'needle ate 25:00',
    'needle ate 13pm',
  ])('%s is no time, and does not land today', (line) =>
    expect(read(line)).toMatchObject({ state: 'unclear', message: expect.stringMatching(/no date|no time of day/) }),
  )

  test('a note may hold what is no date', () => {
    expect(kept(read('hall note lamp comes 31 nov'))[0]).toMatchObject({ text: 'lamp comes 31 nov' })
  })

  test('a day without a time of day is asked about', () => {
    expect(read('quar cu 2.1 yesterday')).toMatchObject({
      state: 'choose',
      question: expect.stringContaining('yesterday'),
    })
  })

  test('a time that lies ahead is asked about', () => {
    expect(read('quar cu 2.1 23:00')).toMatchObject({
      state: 'choose',
      choices: [{ text: 'quar cu 2.1 yesterday 23:00' }, { text: 'quar cu 2.1' }],
    })
    expect(read('quar cu 2.1 2026-12-24 18:00').state).toBe('choose')
  })

  test('in the night the clocks change: the skipped hour is refused, the double hour is said', () => {
    expect(household({ now: Date.parse('2026-03-29T09:00:00Z') })('hall no3 3 1:30')).toMatchObject({
      state: 'unclear',
      choices: [{ label: '02:00' }],
    })
    const double = household({ now: Date.parse('2026-10-25T09:00:00Z') })('hall no3 3 1:30')
    expect(double).toMatchObject({ state: 'keep', notices: [expect.stringContaining('came twice')] })
    expect(kept(double)[0]!.happened).toBe('2026-10-25T00:30:00.000Z')
  })
})
