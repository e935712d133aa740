import { jest } from '@jest/globals'
import { render as renderBare, screen } from '@testing-library/react'
import userEvent from '@testing-library/user-event'
import { useState, type ReactElement } from 'react'
import { MemoryRouter } from 'react-router'
import { keepDraft, readDraft } from '../../fields/draft.ts'
import { Boundary } from './Boundary.tsx'

const broken = jest.spyOn(console, 'error').mockImplementation(() => {})
beforeEach(() => localStorage.clear())
afterAll(() => broken.mockRestore())

const render = (page: ReactElement) => renderBare(page, { wrapper: MemoryRouter })

/** A form that cannot bear what was typed in it. */
function Form({ name }: { name: string }) {
  const [left] = useState(() => readDraft<{ days: string }>(name))
  if (left?.values.days === '1e13') throw new RangeError('Invalid time value')
  return <p>an open form, {left === null ? 'empty' : left.values.days}</p>
}

test('a draft that broke a screen is put aside and shown, and the screen opens again without it', async () => {
  keepDraft('form', { days: '1e13', note: 'ate well' }, 0)
  render(
    <>
      <Boundary name="This screen" extent="screen">
        <Form name="form" />
      </Boundary>
      <p>all round it</p>
    </>,
  )
  expect(await screen.findByRole('heading', { name: 'This screen broke' })).toBeVisible()
  expect(screen.getByText('all round it')).toBeVisible()
  expect(await screen.findByText(/days: 1e13\s+note: ate well/)).toBeVisible()
  expect(screen.getByRole('link', { name: /Export the journal/ })).toHaveAttribute('href', '/records?safe')
  expect(readDraft('form')).toBeNull()
  await userEvent.click(screen.getByRole('button', { name: 'Open it again' }))
  expect(await screen.findByText('an open form, empty')).toBeVisible()
  expect(localStorage.getItem('brinvo-aside-form')).toContain('ate well')
})

test('a part puts aside its own draft alone, and the log line’s is never a screen’s', async () => {
  keepDraft('mine-log-line', 'quar no3 5', 0)
  keepDraft('form', { days: '1e13' }, 0)
  keepDraft('other', { days: '2' }, 0)
  const { unmount } = render(
    <Boundary name="The log line" extent="part" drafts={['form']}>
      <Form name="form" />
    </Boundary>,
  )
  expect(await screen.findByRole('alert')).toHaveTextContent('The log line cannot be shown')
  await screen.findByText('days: 1e13')
  expect(readDraft('other')).not.toBeNull()
  unmount()
  keepDraft('form', { days: '1e13' }, 0)
  render(
    <Boundary name="This screen" extent="screen">
      <Form name="form" />
    </Boundary>,
  )
  await screen.findByText('days: 2')
  expect(readDraft('mine-log-line')).not.toBeNull()
})

test('it is drawn again when what it was drawn from has changed', async () => {
  const Part = ({ value }: { value: number }) => {
    if (value === 0) throw new Error('nothing can be divided by it')
    return <p>{1 / value}</p>
  }
  const page = (value: number) => (
    <Boundary name="The share" extent="part" drafts="none" resets={[value]}>
      <Part value={value} />
    </Boundary>
  )
  const { rerender } = render(page(0))
  expect(await screen.findByText('nothing can be divided by it')).toBeVisible()
  rerender(page(4))
  expect(await screen.findByText('0.25')).toBeVisible()
})
