import { screen, waitFor, within } from '@testing-library/react'
import type { Content } from '../../../core/journal/entry.ts'
import { sampleOf } from '../../../scripts/testing/app.tsx'
import { fromNow } from '../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../scripts/testing/screens.tsx'
import { Water } from './Water.tsx'

const DAY = 24 * 60
const tank = (tankId: string, name: string): Content => ({
  kind: 'tank-setup',
  happened: fromNow(-300 * DAY),
  tankId,
  name,
  water: 'marine',
  role: 'display',
  profile: 'reef-lps',
  sheet: { shape: { kind: 'known', litres: 200 } },
})
const reading = (daysAgo: number, parameter: string, value: number, tankId = 'hall', uncertainty = 0.5): Content => ({
  kind: 'reading',
  happened: fromNow(-daysAgo * DAY),
  tankId,
  parameter,
  result: { kind: 'value', value },
  unit: parameter === 'alk-kh' ? 'dKH' : 'mg/L',
  uncertainty,
})
const KIT: Content = {
  kind: 'kit-setup',
  happened: fromNow(-200 * DAY),
  kitId: 'drops',
  name: 'nitrate drops',
  parameter: 'no3',
  uncertainty: { abs: 2 },
  basis: 'N',
}
const open = (path: string, ...contents: Content[]) =>
  openScreens({ '/water/:part?': <Water /> }, ['reading', 'new-water', 'top-off'], sampleOf(...contents), path)
const pad = (name: string) => within(screen.getByRole('region', { name }))

beforeEach(() => localStorage.clear())

describe('the round', () => {
  test('asks for what is due, and keeps what is typed tank by tank', async () => {
    const { user, lines } = await open(
      '/water',
      tank('hall', 'Hall reef'),
      tank('den', 'Den reef'),
      reading(5, 'alk-kh', 8.2),
      reading(1, 'no3', 10),
    )
    expect(await screen.findByText('1 test to do, clean tanks first.')).toBeInTheDocument()
    expect(pad('Hall reef').getByText('due: every 4 days')).toBeInTheDocument()
    // What is not due is folded.
    expect(pad('Hall reef').queryByText('nitrate')).toBeNull()
    await user.type(pad('Hall reef').getByLabelText('alkalinity'), '8.1')
    await user.click(pad('Hall reef').getByRole('button', { name: 'Log 1 test of Hall reef' }))
    expect(await screen.findByText('1 reading kept.')).toBeInTheDocument()
    expect(lines('reading').at(-1)).toMatchObject({ tankId: 'hall', parameter: 'alk-kh', result: { value: 8.1 } })
    expect(await screen.findByText('Nothing has to be tested today.')).toBeInTheDocument()
    await user.click(pad('Den reef').getByRole('button', { name: /other tests/ }))
    expect(pad('Den reef').getByLabelText('nitrate')).toBeInTheDocument()
  })
  test('a level that is down is filled up first, or goes with the readings', async () => {
    const { user, lines } = await open('/water', tank('hall', 'Hall reef'), reading(5, 'alk-kh', 8.2))
    const level = () => pad('Hall reef').getByLabelText(/^Is the level down/)
    await user.type(await screen.findByLabelText(/^Is the level down/), '10')
    // 200 of 190 L are five in a hundred too many.
    expect(pad('Hall reef').getByText(/a test now reads 5 % too high/)).toBeInTheDocument()
    await user.type(pad('Hall reef').getByLabelText('alkalinity'), '8.4')
    await user.click(pad('Hall reef').getByRole('button', { name: 'Log 1 test of Hall reef' }))
    await waitFor(() => expect(lines('reading').at(-1)).toMatchObject({ downL: 10, result: { value: 8.4 } }))
    await user.type(level(), '4')
    await user.click(pad('Hall reef').getByRole('button', { name: 'Log 4 L filled up' }))
    await waitFor(() =>
      expect(lines('top-off').at(-1)).toMatchObject({ tankId: 'hall', litres: 4, downL: 4, salinityPsu: 0 }),
    )
    expect(level()).toHaveValue('')
  })
  test('a value under its band is never folded away, due or not', async () => {
    await open('/water', tank('hall', 'Hall reef'), reading(1, 'alk-kh', 5.1), reading(1, 'no3', 10))
    expect(await screen.findByText('Nothing has to be tested today.')).toBeInTheDocument()
    expect(pad('Hall reef').getByLabelText('alkalinity')).toBeInTheDocument()
    expect(pad('Hall reef').queryByLabelText('nitrate')).toBeNull()
  })
  test('a value far from the last asks for a repeat in one tap; both are kept, and their mean is said', async () => {
    const { user, lines } = await open('/water', tank('hall', 'Hall reef'), reading(5, 'alk-kh', 8.2))
    await user.type(await screen.findByLabelText('alkalinity'), '11')
    expect(screen.getByText(/far from the last alkalinity, 8\.2 dKH: repeat the test to be sure/)).toBeInTheDocument()
    expect(screen.getByText('11.0 dKH is over its band.')).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'Repeat the test' }))
    await user.type(screen.getByLabelText('The same test again'), '8.4')
    expect(screen.getByText(/Together/).textContent).toMatch(/9\.7 dKH ± 0\.35/)
    await user.click(screen.getByRole('button', { name: /^Log 1 test/ }))
    await waitFor(() => expect(lines('reading')).toHaveLength(3))
    const [, first, second] = lines('reading')
    expect([first, second].map((one) => one!.result)).toEqual([
      { kind: 'value', value: 11 },
      { kind: 'value', value: 8.4 },
    ])
    expect(Date.parse(second!.happened) - Date.parse(first!.happened)).toBe(60_000)
  })
  test('a figure is read as the kit prints it, and what cannot be read is said beside it and kept in the field', async () => {
    const { user, lines } = await open('/water', tank('hall', 'Hall reef'), KIT, reading(8, 'no3', 20, 'hall', 5))
    expect(await screen.findByText('mg/L as N')).toBeInTheDocument()
    const nitrate = screen.getByLabelText('nitrate')
    await user.type(nitrate, 'some')
    expect(screen.getByText(/“some” is not a value of nitrate/)).toBeInTheDocument()
    expect(screen.getByRole('button', { name: /^Log/ })).toBeDisabled()
    await user.clear(nitrate)
    await user.type(nitrate, '5')
    expect(screen.getByText('read as nitrate drops prints it, as N')).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: /^Log/ }))
    await waitFor(() =>
      expect(lines('reading').at(-1)).toMatchObject({ result: { value: expect.closeTo(22.134, 3) as number } }),
    )
  })
})

describe('the charts', () => {
  const weeks = [24, 18, 12, 6, 1].map((days, i) => reading(days, 'alk-kh', 9 - 0.3 * i, 'hall', 0.2))
  test('say the trend in words, and go out as CSV', async () => {
    let saved: Blob | null = null
    Object.assign(URL, { createObjectURL: (blob: Blob) => ((saved = blob), 'blob:csv'), revokeObjectURL: () => {} })
    HTMLAnchorElement.prototype.click = () => {}
    const { user } = await open('/water/charts?tank=hall', tank('hall', 'Hall reef'), ...weeks)
    expect(await screen.findByText(/^Falling 0\.05\d? dKH a day; at this pace 7\.5 dKH about/)).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'Save as CSV' }))
    expect(saved!.type).toBe('text/csv')
    expect(saved!.size).toBeGreaterThan(300)
  })
  test('without readings in the time it is said; a longer time shows them', async () => {
    const { user } = await open('/water/charts?tank=hall', tank('hall', 'Hall reef'), reading(120, 'alk-kh', 8))
    expect(await screen.findByText('No readings in this time.')).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'a year' }))
    expect(await screen.findByRole('heading', { name: /alkalinity/ })).toBeInTheDocument()
  })
  test('new water is written down with its tests; a figure that cannot be is said beside it', async () => {
    const { user, lines } = await open('/water/balance', tank('hall', 'Hall reef'))
    await user.click(await screen.findByRole('button', { name: 'Write down new water' }))
    await user.type(screen.getByLabelText('Mixed'), '40')
    await user.type(screen.getByLabelText('Alkalinity'), '80')
    await user.click(screen.getByRole('button', { name: 'Keep the record' }))
    expect(await screen.findByText('0 to 30: test it again')).toBeVisible()
    await user.clear(screen.getByLabelText('Alkalinity'))
    await user.type(screen.getByLabelText('Alkalinity'), '8.2')
    await user.click(screen.getByRole('button', { name: 'Keep the record' }))
    await waitFor(() =>
      expect(lines('new-water')).toMatchObject([{ litres: 40, readings: [{ parameter: 'alk-kh', value: 8.2 }] }]),
    )
    expect(await screen.findByText('alkalinity 8.2 dKH')).toBeVisible()
  })
  test('a part that is none leads back', async () => {
    await open('/water/lab', tank('hall', 'Hall reef'))
    expect(await screen.findByText('No such part')).toBeInTheDocument()
  })
})
