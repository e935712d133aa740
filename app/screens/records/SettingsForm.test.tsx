import { screen, waitFor } from '@testing-library/react'
import { bareTank } from '../../../core/journal/testing.ts'
import { renderInHousehold, sampleOf } from '../../../scripts/testing/app.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { SettingsForm } from './SettingsForm.tsx'

function Beside() {
  const { journal } = useHousehold()
  return (
    <>
      <SettingsForm />
      <pre data-testid="kept">{JSON.stringify(journal.ofKind('household').at(-1)?.content)}</pre>
    </>
  )
}

test('the hours in which somebody is up are kept, seven to twenty-two unless said otherwise; an end before the beginning is refused', async () => {
  const { user } = await renderInHousehold(<Beside />, sampleOf(bareTank('q', 'Quarantine')), '/records')
  const [from, until] = [
    await screen.findByLabelText<HTMLInputElement>('Someone is awake from'),
    screen.getByLabelText<HTMLInputElement>('until'),
  ]
  expect([from.value, until.value]).toEqual(['07:00', '22:00'])
  await user.clear(until)
  await user.type(until, '06:30')
  await user.click(screen.getByRole('button', { name: 'Keep these' }))
  expect(await screen.findByText(/later on the same day/)).toBeVisible()
  await user.clear(until)
  await user.type(until, '23:30')
  await user.click(screen.getByRole('button', { name: 'Keep these' }))
  await waitFor(() => expect(screen.getByTestId('kept')).toHaveTextContent('"waking":{"from":"07:00","until":"23:30"}'))
})
