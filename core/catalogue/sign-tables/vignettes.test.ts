import { rankDiagnosis } from '../../diagnosis/rank.ts'
import { expectOk } from '../../result/result.ts'
import { runUnknown } from '../../operations/run.ts'
import { SIGN_SHEETS, signTable } from './sign-tables.ts'
import { VIGNETTES } from './vignettes.data.ts'

/** Already counted by the newcomer's priors: quarantine.md 3. */
const SKIPPED_FOR_NEWCOMERS = 'new-fish-14d'

describe('the handbook’s cases', () => {
  test('are all there', () => {
    expect(VIGNETTES).toHaveLength(45)
  })

  test.each(VIGNETTES.map((one) => [one.id, one.story, one] as const))(
    '%s, %s: the right one first',
    (_id, _story, one) => {
      const isNew = one.setting === 'new-arrival'
      const { ranked } = expectOk(
        rankDiagnosis(
          {
            catalogue: one.catalogue,
            ...(one.setting && { setting: one.setting }),
            present: one.present.filter((sign) => !isNew || sign !== SKIPPED_FOR_NEWCOMERS),
            absent: [...one.absent],
          },
          signTable,
        ),
      )
      expect(ranked[0]!.id).toBe(one.first)
      expect(ranked.reduce((sum, { probability }) => sum + probability, 0)).toBeCloseTo(1, 9)
    },
  )
})

describe('by catalogue name', () => {
  const rank = (input: object) => runUnknown('diagnosis.rank', { present: [], ...input })
  test.each([...SIGN_SHEETS.keys()])('%s ranks all its conditions and what none of them is', (catalogue) => {
    const { ranked, next } = expectOk(rank({ catalogue })) as { ranked: unknown[]; next: { bits: number }[] }
    const sheet = SIGN_SHEETS.get(catalogue)!
    expect(ranked).toHaveLength(sheet.conditions.length + 1)
    expect(next).toHaveLength(sheet.signs.length)
    expect(next[0]!.bits).toBeGreaterThan(0)
  })
  test('a newcomer is another case than a fish of the house, where the table knows both', () => {
    const first = (catalogue: string, setting: string) =>
      (expectOk(rank({ catalogue, setting })) as { ranked: { probability: number }[] }).ranked
    expect(first('marine-fish', 'new-arrival')).not.toEqual(first('marine-fish', 'established'))
    expect(first('marine-film', 'new-arrival')).toEqual(first('marine-film', 'established'))
  })
  test.each([
    [{ catalogue: 'no-such' }, '/catalogue'],
    [{ catalogue: 'marine-fish', present: ['no-such'] }, '/present/0'],
    [{ catalogue: 'marine-fish', present: ['flashing'], absent: ['flashing'] }, '/absent/0'],
    [{ catalogue: 'marine-fish', setting: 'winter' }, '/setting'],
  ])('%j is a fault of the input at %s', (input, path) => {
    expect(rank(input)).toMatchObject({ ok: false, error: { code: 'invalid-input', path } })
  })
  test('a sign named twice counts once', () => {
    expect(rank({ catalogue: 'marine-fish', present: ['flashing', 'flashing'] })).toEqual(
      rank({ catalogue: 'marine-fish', present: ['flashing'] }),
    )
  })
})
