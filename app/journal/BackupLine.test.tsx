import { screen, waitFor } from '@testing-library/react'
import type { Content } from '../../core/journal/entry.ts'
import { entriesOf, openJournal } from './opened.ts'
import { renderOpened } from '../../scripts/testing/app.tsx'
import { BackupLine } from './BackupLine.tsx'
import { rememberShown } from './which.ts'

const DAY = 86_400_000
const SETTINGS: Content = {
  kind: 'household',
  happened: '2026-07-01T00:00:00Z',
  timeZone: 'UTC',
  units: { volume: 'L', length: 'cm', temperature: 'C', salinity: 'psu', alkalinity: 'dKH' },
}

test('a journal of a month that was never exported is exported at one touch, and then it is quiet', async () => {
  URL.createObjectURL = () => 'blob:1'
  URL.revokeObjectURL = () => {}
  const opened = await openJournal('mine', { buildSample: () => Promise.resolve([]) })
  const [entry] = entriesOf(opened.journal, [SETTINGS])
  await opened.store.append([{ ...entry!, logged: new Date(Date.now() - 31 * DAY).toISOString() }])
  await rememberShown('mine')
  const { user, unmount } = await renderOpened(<BackupLine />)
  expect(await screen.findByText(/on this device alone, for 31 days now/)).toBeInTheDocument()
  await user.click(screen.getByRole('button', { name: 'Export the journal' }))
  await waitFor(() => expect(localStorage.getItem('brinvo-mine-exported')).not.toBeNull())
  unmount()
  await renderOpened(<BackupLine />)
  expect(screen.queryByText(/survives a lost phone/)).toBeNull()
})
