import { screen, waitFor } from '@testing-library/react'
import { Route, Routes, useLocation } from 'react-router'
import { renderInHousehold, sampleOf } from '../../../scripts/testing/app.tsx'
import { bareTank } from '../../../core/journal/testing.ts'
import type { Content } from '../../../core/journal/entry.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { Dose } from './Dose.tsx'

const PRODUCT: Content = {
  kind: 'product-setup',
  happened: '2026-07-01T00:00:00Z',
  productId: 'bottle',
  name: 'copper bottle',
  ingredient: 'cu-chelated',
  strength: { kind: 'solution', mgPerMl: 10 },
  measure: { tool: 'syringe', step: 0.1 },
}

function Lines() {
  const { journal } = useHousehold()
  const { search } = useLocation()
  return (
    <>
      <output aria-label="lines">{JSON.stringify(journal.about('tank:q').map(({ content }) => content))}</output>
      <output aria-label="address">{search}</output>
    </>
  )
}

const open = (path: string, ...contents: Content[]) =>
  renderInHousehold(
    <>
      <Routes>
        <Route path="/dose/:calculator?" element={<Dose />} />
      </Routes>
      <Lines />
    </>,
    sampleOf(...contents),
    path,
  )
const lead = () => screen.getByRole('status', { name: 'Answer' })

test('a first visitor, with nothing set up, gets an amount from a label in three fields', async () => {
  const { user } = await open('/dose')
  await user.type(screen.getByLabelText('Net volume'), '60')
  await user.type(screen.getByLabelText('Level wanted'), '1')
  await user.type(screen.getByLabelText('Strength'), '10')
  expect(lead()).toHaveTextContent('6 mL')
  expect(screen.getByText(/Gloves; read the label first/)).toBeInTheDocument()
})

test('an address opens the same again, and follows what is typed', async () => {
  const { user } = await open('/dose/change-for?volumeL=100&start=40&target=10')
  expect(lead()).toHaveTextContent('50 L')
  expect(lead()).toHaveTextContent('2 times')
  await user.clear(screen.getByLabelText('Level wanted'))
  await user.type(screen.getByLabelText('Level wanted'), '20')
  expect(lead()).toHaveTextContent('50 Lonce')
  await waitFor(() => expect(screen.getByLabelText('address')).toHaveTextContent('target=20'))
})

test('a picked tank brings its net volume, and the dose is logged there', async () => {
  const { user } = await open('/dose?target=1', bareTank('q', 'Quarantine'), PRODUCT)
  await user.selectOptions(screen.getByLabelText('Tank'), 'q')
  expect(screen.getByLabelText('Net volume')).toHaveValue('64.75')
  await user.click(screen.getByRole('button', { name: 'Log 6.5 mL in Quarantine' }))
  await waitFor(() => expect(screen.getByText('Kept in the ledger of Quarantine.')).toBeInTheDocument())
  expect(screen.getByLabelText('lines')).toHaveTextContent(/"kind":"dose".*"amount":6.5/)
})

test('what is wrong stands beside its field once it was touched, and what was typed stays', async () => {
  const { user } = await open('/dose/peroxide?volumeL=60')
  await user.clear(screen.getByLabelText('Strength'))
  await user.type(screen.getByLabelText('Strength'), '50')
  expect(screen.getByRole('alert')).toHaveTextContent('at most 35')
  expect(screen.getByLabelText('Strength')).toHaveValue('50')
  await user.clear(screen.getByLabelText('Net volume of the tank'))
  await user.type(screen.getByLabelText('Net volume of the tank'), '16 gal')
  await user.click(screen.getByRole('button', { name: 'US gallons' }))
  expect(screen.getByLabelText('Net volume of the tank')).toHaveValue('16 US gal')
})
