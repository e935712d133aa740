import type { Content } from '../journal/entry.ts'
import { readLine } from '../logline/read.ts'
import { ramped, type Ward } from '../courses/testing/ward.ts'

const typed = (it: Ward, line: string, day = 3, time = '08:00') =>
  readLine(line, { journal: it.journal, settings: it.settings, now: it.ms(day, time) })

describe('a copper dose that would pass the band’s high', () => {
  test('is stopped and asked about, with the amount that would be right', () => {
    const it = ramped()
    it.change(3, '07:00', 12)
    const back = typed(it, 'quar dose copper 26ml')
    expect(back).toMatchObject({
      state: 'choose',
      question: 'That makes 6.13 mg/L, above the 2.50 mg/L of this course.',
      choices: [
        { label: '2.7 mL, makes 2.25', text: 'quar dose copper 2.7mL' },
        { label: 'continue anyway: a reason', text: 'quar dose copper 26ml anyway because ' },
        { label: 'it has happened already: say what happened', text: 'quar dose copper 26ml happened because ' },
      ],
    })
  })

  test('either choice is kept as it says', () => {
    const it = ramped()
    it.change(3, '07:00', 12)
    const amountOf = (line: string) => {
      const back = typed(it, line)
      return back.state === 'keep' && back.contents[0]!.kind === 'dose' ? back.contents[0].amount : null
    }
    expect(amountOf('quar dose copper 2.7mL')).toBe(2.7)
    expect(amountOf('quar dose copper 26ml anyway')).toBeNull()
    expect(amountOf('quar dose copper 26ml anyway because read twice')).toBe(26)
    expect(amountOf('quar dose copper 26ml happened because the bottle slipped')).toBe(26)
    expect(amountOf('quar dose copper 2.7 mL anyway because none was in 06:00')).toBe(2.7)
  })

  test('exactly to the high is let through; a tenth more is not', () => {
    const it = ramped()
    it.read(3, '07:00', 2.25)
    // 2.25 → 2.50 in 60 L is 15 mg: 1.5 mL.
    expect(typed(it, 'quar dose copper 1.5ml').state).toBe('keep')
    expect(typed(it, 'quar dose copper 1.6ml').state).toBe('choose')
  })

  test('another form of copper in the same water is asked about', () => {
    const it = ramped()
    const amine: Content = {
      kind: 'product-setup',
      ...it.at(-1, '08:00'),
      productId: 'amine',
      name: 'amine bottle',
      ingredient: 'cu-amine',
      strength: { kind: 'solution', mgPerMl: 2 },
    }
    it.write(amine)
    expect(typed(it, 'quar dose amine 1ml')).toMatchObject({
      state: 'choose',
      question: expect.stringMatching(
        /^Chelated copper, 2.25 mg.L, is in this water in Quarantine: never mix two copper forms/,
      ),
    })
  })

  test('outside a course copper beside an invertebrate is asked about, and nothing else is', () => {
    const it = ramped()
    const urchin = (tankId: string): Content => ({
      kind: 'arrival',
      ...it.at(0, '09:00'),
      animalId: 'button',
      tankId,
      name: 'Button',
      species: 'tuxedo urchin',
      group: 'star-urchin',
      count: 1,
    })
    expect(typed(it, 'obs dose copper 1ml').state).toBe('keep')
    it.write(urchin('obs'))
    const back = typed(it, 'obs dose copper 1ml')
    expect(back).toMatchObject({ state: 'choose' })
    expect(back.state === 'choose' && back.question).toMatch(/^Button, tuxedo urchin in Observation: /)
  })
})
