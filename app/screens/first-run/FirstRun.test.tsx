import { screen } from '@testing-library/react'
import { rememberHeld } from '../../journal/opened.ts'
import { rememberShown } from '../../journal/which.ts'
import { renderOpened } from '../../../scripts/testing/app.tsx'
import { FirstRun } from './FirstRun.tsx'

describe('an own household that opens empty', () => {
  test('new on this device: asks where it is, and no more', async () => {
    await rememberShown('mine')
    await renderOpened(<FirstRun />)
    expect(await screen.findByRole('heading', { name: 'Your household' })).toBeInTheDocument()
    expect(screen.queryByRole('alert')).toBeNull()
  })

  test('cleared by the browser: says how much is gone, and offers the import before anything else', async () => {
    await rememberShown('mine')
    rememberHeld(76)
    await renderOpened(<FirstRun />)
    expect(await screen.findByRole('alert')).toHaveTextContent(/has cleared the journal: it held 76 entries/)
    expect(screen.getAllByLabelText('Journal file')).toHaveLength(1)
    expect(screen.getByRole('alert')).toContainElement(screen.getByLabelText('Journal file'))
  })
})
