import { screen, waitFor } from '@testing-library/react'
import { arrival, bareTank, copper } from '../../core/journal/testing.ts'
import { renderInHousehold, sampleOf } from '../../scripts/testing/app.tsx'
import { LogLine } from './LogLine.tsx'

const household = () =>
  sampleOf(
    bareTank('q', 'Quarantine'),
    bareTank('h', 'Hall reef'),
    arrival('n', 'q', 1, 1, 'Needle'),
    copper('q', 2, 2.1),
  )

async function open() {
  const onShowKeys = jest.fn()
  const view = await renderInHousehold(<LogLine onShowKeys={onShowKeys} />, household())
  const field = await screen.findByRole('combobox')
  return { ...view, field, status: screen.getByRole('status'), onShowKeys }
}

describe('the log line', () => {
  test('reads back what it would keep while it is typed', async () => {
    const { user, field, status } = await open()
    await user.type(field, 'quar cu 2.16')
    expect(status).toHaveTextContent('keeps: Quarantine, copper 2.16 mg/L ± 0.16, now')
  })

  test('a line that was left half typed is there again, and says when it was typed once that is long ago', async () => {
    const first = await open()
    await first.user.type(first.field, 'quar cu 2.1')
    first.unmount()
    const stored = JSON.parse(localStorage.getItem('brinvo-draft-sample-log-line')!) as { at: number }
    localStorage.setItem('brinvo-draft-sample-log-line', JSON.stringify({ ...stored, at: stored.at - 3 * 3_600_000 }))
    await renderInHousehold(<LogLine onShowKeys={jest.fn()} />, household())
    const field = await screen.findByRole('combobox')
    expect(field).toHaveValue('quar cu 2.1')
    expect(screen.getByRole('status')).toHaveTextContent(/^typed .*: keeps: Quarantine, copper 2.1/)
    await first.user.type(field, '6')
    expect(screen.getByRole('status')).toHaveTextContent(/^keeps: Quarantine, copper 2.16/)
    await first.user.type(field, '{Enter}')
    await waitFor(() => expect(screen.getByRole('status')).toHaveTextContent('Kept.'))
    expect(localStorage.getItem('brinvo-draft-sample-log-line')).toBeNull()
  })

  test('Enter keeps it, clears the line and says so; undo strikes it out', async () => {
    const { user, field, status } = await open()
    await user.type(field, 'needle ate{Enter}')
    await waitFor(() => expect(status).toHaveTextContent('Kept.'))
    expect(field).toHaveValue('')
    await user.click(screen.getByRole('button', { name: 'undo' }))
    await waitFor(() => expect(status).toHaveTextContent('Struck out again.'))
  })

  test('Enter waits where the line could mean two things; arrows and Enter pick', async () => {
    const { user, field, status } = await open()
    await user.type(field, 'quar change 15{Enter}')
    expect(field).toHaveValue('quar change 15')
    expect(status).toHaveTextContent('15 of what? Pick one.')
    await user.keyboard('{ArrowDown}{ArrowDown}')
    expect(screen.getByRole('option', { name: '15 %' })).toHaveAttribute('aria-selected', 'true')
    await user.keyboard('{ArrowUp}{Enter}')
    expect(field).toHaveValue('quar change 15L')
  })

  test('a click on a choice takes it and gives the line back', async () => {
    const { user, field } = await open()
    await user.type(field, 'quar cu 2,1')
    await user.click(screen.getByRole('option', { name: '2.1' }))
    expect(field).toHaveValue('quar cu 2.1')
    expect(field).toHaveFocus()
  })

  test('Tab completes a name that is begun, and leaves the line once it can be kept', async () => {
    const { user, field } = await open()
    await user.type(field, 'ha')
    await user.tab()
    expect(field).toHaveValue('hall reef ')
    await user.type(field, 'no3 8')
    await user.tab()
    expect(field).not.toHaveFocus()
  })

  test('what cannot be read is said, and stays', async () => {
    const { user, field, status } = await open()
    await user.type(field, 'kitchen no3 8{Enter}')
    expect(status).toHaveTextContent('nothing here is called “kitchen”')
    expect(field).toHaveValue('kitchen no3 8')
  })

  test('several readings are kept as several entries', async () => {
    const { user, field, status } = await open()
    await user.type(field, 'quar no3 8 po4 .05')
    expect(screen.getByRole('button', { name: 'Keep 2' })).toBeInTheDocument()
    await user.keyboard('{Enter}')
    await waitFor(() => expect(status).toHaveTextContent('Kept, 2 entries.'))
  })

  test('Escape lets go of a marked choice first, then of the line', async () => {
    const { user, field } = await open()
    await user.type(field, 'quar change 15{ArrowDown}{Escape}')
    expect(screen.getByRole('option', { name: '15 L' })).toHaveAttribute('aria-selected', 'false')
    expect(field).toHaveFocus()
    await user.keyboard('{Escape}')
    expect(field).not.toHaveFocus()
  })

  test('the key beside it lists the keys', async () => {
    const { user, onShowKeys } = await open()
    await user.click(screen.getByRole('button', { name: 'Keys' }))
    expect(onShowKeys).toHaveBeenCalled()
  })
})
