import type { ContentOf } from '../journal/entry.ts'
import { isAnswered, NO_ANSWER, setAside, setAsideWords, withAnswers, type Answer } from './answers.ts'
import { concern, type Override } from './concern.ts'

const said = (change: Partial<Answer>): Answer => ({ ...NO_ANSWER, ...change })
const WHY = { why: 'no other tank' }

describe('what answers a concern', () => {
  const CASES: readonly [Override, Partial<Answer>, boolean][] = [
    ['confirm', {}, false],
    ['confirm', { isRead: true }, true],
    ['confirm', WHY, false],
    ['reason', { isRead: true }, false],
    ['reason', { why: '  ' }, false],
    ['reason', WHY, true],
    ['reason-and-vet', WHY, false],
    ['reason-and-vet', { ...WHY, vetAgreed: false }, true],
    ['reason-and-vet', { ...WHY, vetAgreed: true }, true],
    ['reason-and-vet', { vetAgreed: true }, false],
    ['none', { ...WHY, vetAgreed: true, isRead: true }, false],
    ['none', { hasHappened: true }, false],
    ['none', { ...WHY, hasHappened: true }, true],
    // What has happened cannot be asked a veterinarian about any more.
    ['reason-and-vet', { ...WHY, hasHappened: true }, true],
  ]
  test.each(CASES)('%s, %o: %s', (override, change, isEnough) => {
    expect(isAnswered({ override }, said(change))).toBe(isEnough)
  })
})

describe('what is kept of it', () => {
  const block = concern('cu-rock', 'block', 'rock', 'binds it')
  const caution = concern('read-first', 'caution', 'copper', 'read it')
  const never = concern('drug-invert', 'never', 'Pip', 'contraindicated')

  test('only the answer about a veterinarian says that one has agreed', () => {
    expect(setAside(block, said({ ...WHY, vetAgreed: true }))).toMatchObject({ vetAgreed: true, answer: 'reason' })
    expect(setAside(caution, said({ isRead: true, vetAgreed: true }))).toEqual({
      rule: 'read-first',
      why: 'read and confirmed',
      vetAgreed: false,
      answer: 'read',
    })
    expect(setAside(never, said({ why: ' the bottle slipped ', hasHappened: true, vetAgreed: true }))).toEqual({
      rule: 'drug-invert',
      why: 'the bottle slipped',
      vetAgreed: false,
      answer: 'happened',
    })
    expect(
      setAside(concern('over-band', 'block', 'x', 'y', 'reason'), said({ ...WHY, vetAgreed: true })),
    ).toMatchObject({ vetAgreed: false })
  })

  test.each([
    [{ why: 'bare rock only', vetAgreed: false }, 'bare rock only'],
    [{ why: 'bare rock only', vetAgreed: true, answer: 'reason' as const }, 'bare rock only; a veterinarian agreed'],
    [{ why: 'read and confirmed', vetAgreed: false, answer: 'read' as const }, 'read and confirmed'],
    // An earlier version kept a mark of care as a veterinarian's word.
    [{ why: 'read and confirmed', vetAgreed: true }, 'read and confirmed'],
    [{ why: 'kept as it happened', vetAgreed: true }, 'read and confirmed'],
    [{ why: 'it slipped', vetAgreed: false, answer: 'happened' as const }, 'it had happened already: it slipped'],
  ])('%o in words: %s', (kept, words) => {
    expect(setAsideWords({ rule: 'cu-rock', ...kept })).toBe(words)
  })

  test('a content keeps what was set aside of it beside what was before', () => {
    const dose: ContentOf<'dose'> = {
      kind: 'dose',
      happened: '2026-11-02T12:00:00Z',
      tankId: 'q',
      ingredient: 'cu-chelated',
      amount: 1,
      unit: 'mL',
      overrides: [{ rule: 'by-label', why: 'the label says so', vetAgreed: false }],
    }
    const answered = withAnswers(dose, [block], () => said({ ...WHY, vetAgreed: false }))
    expect(answered.overrides?.map(({ rule }) => rule)).toEqual(['by-label', 'cu-rock'])
    expect(withAnswers(dose, [], () => NO_ANSWER)).toBe(dose)
  })
})
