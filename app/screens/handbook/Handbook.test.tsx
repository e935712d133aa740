import { screen, within } from '@testing-library/react'
import { Route, Routes } from 'react-router'
import { renderInHousehold, sampleOf } from '../../../scripts/testing/app.tsx'
import { Handbook } from './Handbook.tsx'

const open = (path: string) =>
  renderInHousehold(
    <Routes>
      <Route path="/handbook/:chapter?" element={<Handbook />} />
    </Routes>,
    sampleOf(),
    path,
  )

test('every chapter stands in the contents, with how much it holds', async () => {
  await open('/handbook')
  const agents = await screen.findByRole('link', { name: /Agents what each drug is/ })
  expect(agents).toHaveTextContent('26')
})

test('looking up finds what is named so first, and says where it stands', async () => {
  const { user } = await open('/handbook')
  await screen.findByRole('link', { name: /Agents what each drug is/ })
  await user.click(screen.getByLabelText('Look up'))
  await user.paste('velvet marine')
  const [first] = await screen.findAllByRole('article')
  expect(within(first!).getByRole('heading')).toHaveTextContent(/^Marine velvet/)
  expect(screen.getAllByRole('link', { name: 'Conditions of fish' }).length).toBeGreaterThan(1)
  await user.clear(screen.getByLabelText('Look up'))
  await user.paste('xyzzy')
  expect(await screen.findByText(/Nothing in the handbook holds all of these words/)).toBeInTheDocument()
})

test.each([
  ['black ich', /black/i],
  ['pregnant', /./],
])('“%s” is found, though no row is named so', async (looked, title) => {
  const { user } = await open('/handbook')
  await screen.findByRole('link', { name: /Agents what each drug is/ })
  await user.click(screen.getByLabelText('Look up'))
  await user.paste(looked)
  const [first] = await screen.findAllByRole('article')
  expect(within(first!).getByRole('heading')).toHaveTextContent(title)
})

test('a dose stands with its range and its source written out', async () => {
  await open('/handbook/doses')
  const heading = await screen.findByRole('heading', { name: /cu-chelated-std/ })
  const article = heading.closest('article')!
  expect(article).toHaveTextContent(/lowest2.*target2.25.*highest2.5/)
  expect(article).toHaveTextContent(/Hobby practice\. Dose by test/)
  expect(within(article).getByRole('link', { name: 'chelated copper' })).toHaveAttribute(
    'href',
    '/handbook/agents#cu-chelated',
  )
})
