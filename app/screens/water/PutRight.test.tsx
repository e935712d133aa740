import { fireEvent, screen, waitFor, within } from '@testing-library/react'
import type { Content } from '../../../core/journal/entry.ts'
import { sampleOf } from '../../../scripts/testing/app.tsx'
import { fromNow } from '../../../scripts/testing/arrivals.ts'
import { openScreens } from '../../../scripts/testing/screens.tsx'
import { Water } from './Water.tsx'

const DAY = 24 * 60
const TANK: Content = {
  kind: 'tank-setup',
  happened: fromNow(-300 * DAY),
  tankId: 'hall',
  name: 'Hall reef',
  water: 'marine',
  role: 'display',
  profile: 'reef-lps',
  sheet: { shape: { kind: 'known', litres: 200 } },
}
const reading = (daysAgo: number, parameter: string, value: number, more: object = {}): Content => ({
  kind: 'reading',
  happened: fromNow(-daysAgo * DAY),
  tankId: 'hall',
  parameter,
  result: { kind: 'value', value },
  unit: { 'alk-kh': 'dKH', ph: 'pH', temp: '°C', salinity: 'psu' }[parameter] ?? 'mg/L',
  ...(parameter === 'tan' && { basis: 'N' as const }),
  ...more,
})
const dose = (daysAgo: number, ingredient: string, massMg: number): Content => ({
  kind: 'dose',
  happened: fromNow(-daysAgo * DAY),
  tankId: 'hall',
  ingredient,
  amount: massMg / 50,
  unit: 'mL',
  massMg,
})
const STOCK: Content = {
  kind: 'product-setup',
  happened: fromNow(-100 * DAY),
  productId: 'stock',
  name: 'potash stock',
  ingredient: 'potassium-carbonate',
  strength: { kind: 'solution', mgPerMl: 50 },
  measure: { tool: 'syringe', step: 0.5 },
}
const open = (path: string, ...contents: Content[]) =>
  openScreens(
    { '/water/:part?': <Water /> },
    ['reading', 'dose', 'water-change', 'lab-result', 'csv-columns'],
    sampleOf(TANK, ...contents),
    path,
  )
const file = (text: string, name = 'table.csv') => {
  // jsdom's files have no arrayBuffer.
  const made = new File([text], name, { type: 'text/csv' })
  Object.assign(made, { arrayBuffer: () => Promise.resolve(new TextEncoder().encode(text).buffer) })
  fireEvent.change(screen.getByLabelText('Table of readings'), { target: { files: [made] } })
}

describe('what a tank takes up', () => {
  test('a day’s uptake with its error, and the way to put it right', async () => {
    await open(
      '/water/balance?tank=hall',
      reading(10, 'alk-kh', 9, { uncertainty: 0.3 }),
      reading(0.1, 'alk-kh', 7, { uncertainty: 0.3 }),
    )
    const row = (await screen.findByText('2 tests over 10 days')).closest('li')!
    expect(within(row).getByText('0.2 dKH')).toBeInTheDocument()
    expect(within(row).getByRole('link', { name: 'put right' })).toHaveAttribute(
      'href',
      '/water/correct?tank=hall&of=alk-kh',
    )
  })
  test('total ammonia and a card that disagree: which to act on', async () => {
    const water = [reading(1, 'ph', 8), reading(1, 'temp', 25), reading(1, 'salinity', 35)]
    const card = reading(0.5, 'nh3', 0, { result: { kind: 'range', low: 0, high: 0.01 } })
    await open('/water/balance?tank=hall', ...water, reading(0.6, 'tan', 2, { uncertainty: 0.3 }), card)
    expect(await screen.findByText(/Act on the kit: badges stick.*change (half of the )?water/)).toBeInTheDocument()
  })
})

describe('put right', () => {
  test('up by a stock of the shelf: the day’s mL largest, the cap and what comes along beside it, and it is logged', async () => {
    const { user, lines } = await open(
      '/water/correct?tank=hall&of=k',
      STOCK,
      reading(1, 'k', 350),
      reading(1, 'alk-kh', 9.5),
    )
    await user.clear(await screen.findByLabelText('Wanted'))
    await user.type(screen.getByLabelText('Wanted'), '380')
    // 10 mg/L a day of 200 L: 2,000 mg, 40 mL of 50 mg/mL.
    expect(screen.getByText('40 mL')).toBeInTheDocument()
    expect(screen.getByText(/Caustic dust: goggles/)).toBeInTheDocument()
    // 30 mg/L bring 2.15 dKH: 11.6, over the band of 10.
    expect(screen.getByText('11.6 dKH, over its band')).toBeInTheDocument()
    expect(screen.getByRole('link', { name: 'Hand it to a dosing pump' }).getAttribute('href')).toMatch(
      /salt=potassium-carbonate&rise=10&days=3/,
    )
    await user.click(screen.getByRole('button', { name: 'Log 40 mL in Hall reef' }))
    await waitFor(() => expect(lines('dose').at(-1)).toMatchObject({ productId: 'stock', amount: 40, massMg: 2000 }))
  })
  test('down by water changes under the day’s cap; water that cannot do it is said', async () => {
    const { user, lines } = await open('/water/correct?tank=hall&of=no3', reading(1, 'no3', 40))
    await user.clear(await screen.findByLabelText('Wanted'))
    await user.type(screen.getByLabelText('Wanted'), '30')
    expect(screen.getByText('25 L')).toBeInTheDocument()
    expect(screen.getByText(/At most 5 mg\/L or a quarter, the smaller a day/)).toBeInTheDocument()
    await user.click(screen.getByRole('button', { name: 'Log the change of 25 L' }))
    await waitFor(() => expect(lines('water-change').at(-1)).toMatchObject({ tankId: 'hall', litres: 25 }))
    // Changed since the test: what it should be now, and to test again.
    expect(await screen.findByText(/Test again before you correct it/)).toBeInTheDocument()
    await user.clear(screen.getByLabelText('In the new water'))
    await user.type(screen.getByLabelText('In the new water'), '35')
    expect(screen.getByText(/does not bring it to 30.0 mg\/L: use water that holds less/)).toBeInTheDocument()
  })
  test('what creeps up along with another is said here and on the round', async () => {
    const doses = [5, 4, 3, 2].map((day) => dose(day, 'potassium-carbonate', 2000))
    await open('/water', ...doses, reading(6, 'alk-kh', 8), reading(1, 'alk-kh', 10.5), reading(1, 'k', 390))
    expect(
      await screen.findByText(/alkalinity creeps up with potassium: potassium carbonate brought 2.9 dKH/),
    ).toBeInTheDocument()
  })
  test('without a net volume nothing is reckoned', async () => {
    const bare: Content = { ...TANK, tankId: 'bare', name: 'Bare' }
    delete (bare as { sheet?: unknown }).sheet
    await open('/water/correct?tank=bare', bare)
    expect(await screen.findByText(/Without its net volume nothing can be reckoned for Bare/)).toBeInTheDocument()
  })
})

describe('lab and files', () => {
  const LAB =
    'Element;Result;Unit\nK;352;mg/l\nCa;431;mg/l\nSr;8;mg/l\nB;4;mg/l\nBr;66;mg/l\nI;22;µg/l\nCu;14;µg/l\nLi;0,2;mg/l\nMoonium;1;mg/l'
  test('a lab’s result: known as one, shown, kept, and judged', async () => {
    const { user, lines } = await open('/water/files?tank=hall')
    await screen.findByText(/A lab’s result, or the spreadsheet/)
    file(LAB)
    expect(await screen.findByLabelText('It is')).toHaveValue('lab')
    await user.selectOptions(screen.getByLabelText('Moonium'), 'nothing that is kept')
    await user.click(screen.getByRole('button', { name: 'Keep 8 elements and 2 readings' }))
    expect(await screen.findByText('The lab’s result is kept: 8 elements, 2 readings beside it.')).toBeInTheDocument()
    expect(lines('reading').map(({ parameter, origin }) => [parameter, origin])).toEqual([
      ['k', 'lab'],
      ['ca', 'lab'],
    ])
    expect(screen.getByText('2 of 8 elements are off; one at a time, within the day’s caps.')).toBeInTheDocument()
    expect(screen.getByText(/70 × sea water. Look for its source: brass/)).toBeInTheDocument()
    expect(screen.getByRole('link', { name: 'Plan it' })).toHaveAttribute('href', '/water/correct?tank=hall&of=k')
    const field = screen.getByLabelText('Copper in the new water')
    await user.type(field, '0')
    expect(await screen.findByText(/^A tenth changed a week: \d+ weeks to/)).toBeInTheDocument()
    expect(lines('csv-columns')[0]!.names).toEqual([{ name: 'Moonium', is: 'ignore' }])
    file(LAB)
    await screen.findByLabelText('It is')
    expect(screen.queryByLabelText('Moonium')).not.toBeInTheDocument()
  })
  test('a lab’s file with lines above its table: its own date is filled in, and another line of names may be pointed at', async () => {
    const { user } = await open('/water/files?tank=hall')
    await screen.findByText(/A lab’s result, or the spreadsheet/)
    file(`Report of the lab\nSample taken: 2026-02-03 09:15\nReport date: 2026-02-20\n${LAB}`)
    expect(await screen.findByText('As the file says.')).toBeInTheDocument()
    expect(screen.getByDisplayValue('2026-02-03')).toBeInTheDocument()
    expect(screen.getByDisplayValue('09:15')).toBeInTheDocument()
    expect(screen.getByText('Passed over: 3 lines above it.')).toBeInTheDocument()
    await user.selectOptions(
      screen.getByLabelText('The columns are named in'),
      screen.getByRole('option', { name: /^line 5:/ }),
    )
    expect(await screen.findByText('Passed over: 4 lines above it.')).toBeInTheDocument()
  })
  test('a spreadsheet: what is not clear is asked, and a table like it is known the next time', async () => {
    const { user, lines } = await open('/water/files?tank=hall')
    await screen.findByText(/A lab’s result, or the spreadsheet/)
    file('when,NO3,mystery\n1/2/2026,12,7\n2/2/2026,11,8')
    expect(await screen.findByText(/say whether the day or the month comes first/)).toBeInTheDocument()
    expect(screen.getByRole('button', { name: 'Keep 0 readings' })).toBeDisabled()
    await user.selectOptions(screen.getByLabelText('Dates are written'), 'day first: 31/12/2026')
    await user.selectOptions(screen.getByLabelText(/mystery/), 'of:alk-kh:dkh')
    await user.click(screen.getByRole('button', { name: 'Keep 4 readings' }))
    expect(await screen.findByText('4 readings kept.')).toBeInTheDocument()
    expect(lines('reading')).toHaveLength(4)
    file('when,NO3,mystery\n1/2/2026,12,7\n3/2/2026,10,9')
    expect(await screen.findByText(/its columns are known from last time/)).toBeInTheDocument()
    expect(screen.getByRole('button', { name: 'Keep 2 readings' })).toBeEnabled()
    expect(screen.getByText('2 readings are here already')).toBeInTheDocument()
  })
  test('what is no table is said, and changes nothing', async () => {
    const { lines } = await open('/water/files?tank=hall')
    await screen.findByText(/A lab’s result, or the spreadsheet/)
    file('hello', 'letter.csv')
    expect(await screen.findByRole('alert')).toHaveTextContent('letter.csv: no table in it')
    expect(lines('csv-columns')).toEqual([])
  })
})
